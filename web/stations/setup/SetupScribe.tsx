import { CentreView, RoundView, SetupView } from '../../scribe/index.ts';
import type { StationProps } from '../panel.ts';

/** The work, what holds it, and the cutter where it first touches; readings round the blank below it. */
export function SetupScribe({ station, units }: StationProps<'setup'>) {
  const { detail } = station;
  const { stroke, outside, face, depth, cutter, round } = detail;
  if (!stroke || outside === null || face === null || depth === null || cutter.diameter === null)
    return (
      <p className="scribe-empty">
        The set-up is drawn here as soon as blank, face and the cutter’s diameter are known.
      </p>
    );
  // figures of another unit, or half typed, leave nothing that could be drawn
  const reach = Math.max(outside, face, cutter.diameter);
  if (
    depth >= outside / 2 ||
    depth >= cutter.diameter / 2 ||
    Math.min(outside, face, cutter.diameter) < reach / 500
  )
    return (
      <p className="scribe-empty">
        These sizes do not go together, so nothing is drawn. Look at their units.
      </p>
    );
  return (
    <>
      <div className="scribe-caption">
        <span>{detail.mill?.upright ? 'Seen from above' : 'Seen from in front'}</span>
        <span>to scale</span>
      </div>
      <SetupView
        {...{ stroke, outside, face, depth, units }}
        thrust={detail.thrust}
        headAt={detail.headAt}
        spin={detail.spin}
        feed={detail.feed}
        indexAt={detail.indexAt}
        cutterDiameter={cutter.diameter}
      />
      {cutter.width !== null && (
        <CentreView
          chosen={detail.centrings.find(({ by }) => by === detail.centring)!}
          width={cutter.width}
          cutterDiameter={cutter.diameter}
          upright={detail.mill?.upright ?? false}
          {...{ outside, depth, units }}
        />
      )}
      {round && <RoundView round={round} units={units} />}
    </>
  );
}
