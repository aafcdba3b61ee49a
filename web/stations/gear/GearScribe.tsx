import { stationOf } from '../../../core/plan/index.ts';
import { GearDrawing, ToothSpace } from '../../scribe/index.ts';
import type { StationProps } from '../panel.ts';

/** The gear as it will be, and one space of it enlarged. */
export function GearScribe({ planned, units }: StationProps<'gear'>) {
  const drawing = stationOf(planned, 'blank')?.detail.drawing;
  if (!drawing)
    return <p className="scribe-empty">The gear is drawn here as soon as pitch and teeth are known.</p>;
  return (
    <>
      <GearDrawing drawing={drawing} units={units} />
      <ToothSpace drawing={drawing} units={units} height={190} />
    </>
  );
}
