import { stationOf } from '../../../core/plan/index.ts';
import { CentreView, ColumnView, RoundView, SetupView, SinkView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** Can sizes be drawn in one picture? A unit mistaken for another leaves some of them vanishing. mm */
function goTogether({
  outside,
  cutter,
  depth,
  face = outside,
}: {
  readonly outside: number;
  readonly cutter: number;
  readonly depth: number;
  readonly face?: number | undefined;
}): boolean {
  const reach = Math.max(outside, face, cutter);
  return depth < Math.min(outside, cutter) / 2 && Math.min(outside, face, cutter) >= reach / 500;
}

/** Where the table is swung, whether its corner clears the column. */
function Column({ planned, units }: Pick<StationProps<'setup'>, 'planned' | 'units'>) {
  const setting = stationOf(planned, 'lead')?.detail.table ?? stationOf(planned, 'wheel')?.detail.setting;
  if (!setting?.size || setting.reach === null || setting.toColumn === null) return null;
  const { size, reach, toColumn, scale, way } = setting;
  return (
    <>
      <div className="scribe-caption">
        <span>Table swung, in the middle of its travel</span>
        <span>to scale</span>
      </div>
      <ColumnView
        {...{ size, reach, toColumn, units }}
        swingDeg={scale}
        rightEnd={way === 'towards' ? 'towards' : 'away'}
      />
    </>
  );
}

/** The work, what holds it, and the cutter where it first touches; readings round the blank below it. */
export function SetupScribe({ station, planned, units }: StationProps<'setup'>) {
  const { detail } = station;
  const rim = stationOf(planned, 'wheelBlank')?.detail.facts;
  const { stroke, outside, face, depth, cutter, round } = detail;
  if (
    detail.sink &&
    rim &&
    cutter.diameter !== null &&
    goTogether({ outside: rim.throat, cutter: cutter.diameter, depth: detail.sink.depth })
  )
    return (
      <>
        <div className="scribe-caption">
          <span>Sunk in place, seen {detail.mill?.upright ? 'from above' : 'from in front'}</span>
          <span>to scale</span>
        </div>
        <SinkView
          rim={{ ...rim, outside: rim.corners }}
          depth={detail.sink.depth}
          cutterDiameter={cutter.diameter}
          units={units}
        />
        <Column planned={planned} units={units} />
        {round && <RoundView round={round} units={units} />}
      </>
    );
  if (!stroke || outside === null || face === null || depth === null || cutter.diameter === null)
    return (
      <p className="scribe-empty">
        {detail.travels === 'table'
          ? 'The set-up is drawn here as soon as blank, face and the cutter’s diameter are known.'
          : 'The table divides, so it is locked for every cut: the cross slide carries the work past the cutter.'}
      </p>
    );
  // figures of another unit, or half typed, leave nothing that could be drawn
  if (!goTogether({ outside, cutter: cutter.diameter, depth, face }))
    return (
      <p className="scribe-empty">
        These sizes do not go together, so nothing is drawn. Look at their units.
      </p>
    );
  return (
    <>
      <div className="scribe-caption">
        <span>{detail.mill?.upright ? 'Seen from above, you below' : 'Seen from in front'}</span>
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
        beside={detail.beside}
        strikes={detail.fits.filter(({ fits }) => fits === false).map(({ key }) => key)}
      />
      {cutter.width !== null && (
        <CentreView
          chosen={detail.centrings.find(({ by }) => by === detail.centring)!}
          width={cutter.width}
          cutterDiameter={cutter.diameter}
          upright={detail.mill?.upright ?? false}
          place={detail.thrust.place}
          {...{ outside, depth, units }}
        />
      )}
      <Column planned={planned} units={units} />
      {round && <RoundView round={round} units={units} />}
    </>
  );
}
