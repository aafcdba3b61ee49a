import { dividedName } from '../../core/cut/index.ts';
import { capital } from '../../core/units/index.ts';
import type { NowSay, Progress } from '../../core/prompts/index.ts';
import { LandingView, SpacesView, StrokeView } from '../scribe/index.ts';
import type { MillProps } from './millProps.ts';

interface MillDrawingProps extends Pick<MillProps, 'run' | 'state'> {
  readonly progress: Progress;
  readonly now: NowSay | null;
}

/**
 * What belongs to the thing to do now: the return stroke of a helical gear, the move on the plate, or the pin
 * where it stands. A move that is made is not drawn as one to make.
 */
export function MillDrawing({ run, state, progress, now }: MillDrawingProps) {
  const { next, last } = state;
  const main = now?.main;
  if (run.helix && main && (main.do === 'out' || main.do === 'back' || main.do === 'in'))
    return <StrokeView stage={main.do} hand={run.helix.hand} mount={run.mount} />;
  // the drawing would tell the hole that is asked for
  if (main?.do === 'tell-hole') return null;
  const turn = progress.prompts.findIndex((prompt) => prompt.do === 'turn' || prompt.do === 'return');
  const moving = main?.do === 'turn' || main?.do === 'turn-plate';
  const moved = progress.made > turn;
  const standsAt = moved && turn !== -1 ? (next?.landing ?? run.closing) : last?.landing;
  const to =
    moving && main.do === 'turn' ? main.landing : (standsAt ?? next?.landing ?? run.cuts[0]!.landing);
  if (to.on === 'steps') {
    const space = next?.space ?? run.startSpace;
    const label = `${capital(dividedName(run, space))} of ${run.divisions} is next`;
    return (
      <SpacesView spaces={run.divisions} step={360 / run.divisions} along="turn" at={space} label={label} />
    );
  }
  return (
    <LandingView
      choice={run.move}
      head={run.head}
      landing={to}
      from={moving && last ? last.landing : null}
      large
    />
  );
}
