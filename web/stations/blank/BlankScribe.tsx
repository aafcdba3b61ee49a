import { GearDrawing } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** The blank from front and side, to one scale. */
export function BlankScribe({ station, units }: StationProps<'blank'>) {
  const { drawing } = station.detail;
  if (!drawing)
    return <p className="scribe-empty">The blank is drawn here as soon as pitch and teeth are known.</p>;
  return <GearDrawing drawing={drawing} units={units} />;
}
