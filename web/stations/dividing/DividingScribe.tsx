import { useMemo } from 'react';
import {
  aimFrom,
  landingGround,
  landingOf,
  landingText,
  runChoice,
  spaceAt,
  type Way,
} from '../../../core/dividing/index.ts';
import { stationOf } from '../../../core/plan/index.ts';
import { exact } from '../../../core/units/index.ts';
import { LandingView, PlateView, SpacesView, TrainView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { TurnCrank } from './TurnCrank.tsx';
import { liveOf, useCrank } from './useCrank.ts';

/**
 * The head at work: the plate, ring or wheel of the way in force, turned move by move; or why no circle
 * serves.
 */
export function DividingScribe(props: StationProps<'dividing'>) {
  const { plate, inForce, aim, line } = props.station.detail;
  if (inForce && (aim || line)) return <WayDrawing key={inForce.key} {...props} way={inForce} />;
  if (!plate) return <p className="scribe-empty">The plate is drawn here when the head has one.</p>;
  const where = `Plate ${plate.plateName}${plate.twoSided ? `, side ${plate.side + 1}` : ''}`;
  return (
    <>
      <div className="scribe-caption">
        <span>{where}, seen from the crank</span>
        <span>no circle serves</span>
      </div>
      <PlateView circles={plate.circles} move={null} label={`${where}: none of its circles serves`} />
      <Circles circles={plate.circles} used={[]} />
    </>
  );
}

function Circles({
  circles,
  used,
}: {
  readonly circles: readonly number[];
  readonly used: readonly number[];
}) {
  return (
    <p className="plate-caption">
      {circles.map((holes) => (
        <span key={holes} className={used.includes(holes) ? 'is-used' : ''}>
          {holes}
        </span>
      ))}
    </p>
  );
}

function whereOf({ choice }: Way, plate: StationProps<'dividing'>['station']['detail']['plate']): string {
  if ('plateId' in choice) {
    const side = plate?.twoSided ? `, side ${choice.side + 1}` : '';
    return `Plate ${choice.plateName}${side}, seen from the crank`;
  }
  if (choice.method === 'direct')
    return `Ring of ${choice.holes} ${choice.onWork ? 'between spindle and work' : 'on the spindle'}`;
  if (choice.method === 'table') return 'Dial of the table screw';
  return choice.method === 'handwheel' ? 'The wheel at its zero line' : 'The work';
}

/** What is moved where there is no crank to turn. */
const HANDLES: Readonly<Partial<Record<Way['choice']['method'], string>>> = {
  direct: 'Turn the spindle',
  handwheel: 'Turn the wheel',
  stepper: 'Let the motor go',
  table: 'Move the table',
};

function WayDrawing({ station, planned, shop, job, way }: StationProps<'dividing'> & { readonly way: Way }) {
  const { aim, plate, line } = station.detail;
  const { choice, geared } = way;
  const head =
    [...job.equipment.heads, ...shop.heads].find(({ id }) => id === station.detail.head?.id) ?? null;
  const ratio = head?.ratio ?? '1';
  const spaces = aim?.spaces ?? line?.spaces ?? 1;
  const motion = useMemo(() => runChoice(exact(ratio), choice, spaces), [ratio, choice, spaces]);
  const crank = useCrank(aim?.full ? spaces : spaces - 1);
  const done = Math.floor(crank.at + 1e-9);
  const next = Math.min(done + 1, spaces);
  const landing = (move: number) => landingOf({ ratio: exact(ratio), choice, motion, at: move });
  const from = done === 0 ? { ...landing(0) } : landing(done);
  const spindle = spindleAt(motion, crank.at);
  const live = crank.at > 0 ? liveOf({ choice, geared, at: crank.at, headMotion: motion, ratio }) : null;
  const used =
    'circle' in choice ? [choice.circle, ...(choice.method === 'compound' ? [choice.back.circle] : [])] : [];
  const named = (move: number) => (aim ? spaceAt(aimFrom(aim), move + 1, 1) : move + 1);
  const spacing = stationOf(planned, 'spacing')?.detail.drawing;
  return (
    <>
      <div className="scribe-caption">
        <span>{whereOf(way, plate)}</span>
        <span>
          no. {named(done)} {next > done && done < spaces ? `→ ${named(next)}` : ''}
        </span>
      </div>
      {choice.method === 'stepper' ? (
        <SpacesView
          spaces={spaces}
          step={spacing?.step ?? 360 / spaces}
          along="turn"
          at={named(done)}
          label={`Number ${named(done)} is at the cutter`}
        />
      ) : (
        <div className={geared ? 'plate-beside-train' : ''}>
          <LandingView
            choice={choice}
            head={head}
            landing={landing(choice.method === 'handwheel' || choice.method === 'table' ? done : next)}
            from={from}
            live={live}
          />
        </div>
      )}
      {'plateId' in choice && plate && <Circles circles={plate.circles} used={used} />}
      {geared && (
        <TrainView
          train={geared.train}
          idlers={geared.idlers}
          ends={['spindle', 'plate shaft']}
          caption={`the plate creeps ${geared.plateTurns} the crank`}
          turned={spindle}
        />
      )}
      <TurnCrank
        crank={crank}
        handle={HANDLES[choice.method] ?? 'Turn the crank'}
        said={done === 0 ? 'at the start' : landingText(landing(done), landingGround(choice, exact(ratio)))}
        spindle={aim ? spindle : null}
      />
    </>
  );
}

/** Turns of the work after so many moves, those in the middle of one with it. */
function spindleAt({ states, denominator }: ReturnType<typeof runChoice>, at: number): number {
  const whole = Math.min(Math.floor(at), states.length - 1);
  const [a, b] = [states[whole]!.spindle, states[Math.min(whole + 1, states.length - 1)]!.spindle];
  return (a + (b - a) * (at - whole)) / denominator;
}
