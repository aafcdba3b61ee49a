import { SampleScribe, ShaftsScribe, StockScribe, useFace } from '../../arrival/index.ts';
import { stationOf } from '../../../core/plan/index.ts';
import { GearDrawing, HandView, PairView, ToothSpace } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/**
 * What to measure; or the gear as it will be, with its mate where there is one, and a space of it enlarged.
 */
export function GearScribe(props: StationProps<'gear'>) {
  const { planned, units, part, job, station } = props;
  const { face } = useFace(job.id, part);
  if (face === 'hand') {
    if (part.arrival.by === 'sample') return <SampleScribe {...props} />;
    if (part.arrival.by === 'blank') return <StockScribe {...props} />;
    if (part.arrival.by === 'shafts') return <ShaftsScribe {...props} />;
  }
  const drawing = stationOf(planned, 'blank')?.detail.drawing;
  const { mesh, helical } = station.detail;
  if (!drawing)
    return <p className="scribe-empty">The gear is drawn here as soon as pitch and teeth are known.</p>;
  return (
    <>
      {mesh?.report.operatingAngle != null ? (
        <PairView pair={mesh.pair} centre={mesh.report.centre} units={units} />
      ) : (
        <GearDrawing drawing={drawing} units={units} />
      )}
      {helical ? (
        <HandView {...helical} teeth={drawing.teeth} faceWidth={drawing.faceWidth} units={units} />
      ) : (
        <ToothSpace drawing={drawing} units={units} height={190} />
      )}
    </>
  );
}
