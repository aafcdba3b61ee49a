import { ToothSpace } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { sectionOf } from '../section.ts';

/** The cutter standing in its space. */
export function CutterScribe({ planned, units, station }: StationProps<'cutter'>) {
  const drawing = sectionOf(planned)?.drawing;
  if (!drawing)
    return (
      <p className="scribe-empty">
        The cutter is drawn in its tooth space as soon as pitch and teeth are known.
      </p>
    );
  return (
    <>
      <ToothSpace drawing={drawing} units={units} cutter height={340} />
      <p className="scribe-say">
        {station.detail.chosen
          ? 'The tooth space as this very count needs it. A cutter of the set is exact at the lowest count of its range and near enough above it.'
          : 'No set goes below 12 teeth: grind a single-point tool to this tooth space.'}
      </p>
    </>
  );
}
