import { stationOf } from '../../../core/plan/index.ts';
import { InspectView, RoundView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** Where the tools lie on the teeth: jaws over a span, caliper over a tooth, pins in their spaces. */
export function InspectScribe({ planned, station, units }: StationProps<'inspect'>) {
  const drawing = stationOf(planned, 'blank')?.detail.drawing;
  const { checks, pin, round } = station.detail;
  if (!drawing || pin === null || checks.length === 0)
    return (
      <p className="scribe-empty">Teeth and tools are drawn here as soon as pitch and teeth are known.</p>
    );
  return (
    <>
      <div className="scribe-caption">
        <span>Where it is measured</span>
        <span>{drawing.teeth} teeth</span>
      </div>
      <InspectView drawing={drawing} checks={checks} pin={pin} units={units} />
      {round && <RoundView round={round.off} units={units} />}
    </>
  );
}
