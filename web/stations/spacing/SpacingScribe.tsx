import { FlatsView, SpacesView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** What is divided, where it stands. */
export function SpacingScribe({ station, units }: StationProps<'spacing'>) {
  const { drawing } = station.detail;
  if (!drawing)
    return <p className="scribe-empty">What is to be divided is drawn here as soon as it is given.</p>;
  return (
    <>
      <div className="scribe-caption">
        <span>{drawing.along === 'turn' ? 'Seen from the cutter’s side' : 'Seen from above'}</span>
        <span>number 1 at the {drawing.along === 'turn' ? 'top' : 'left'}</span>
      </div>
      {drawing.acrossFlats !== null && drawing.diameter !== null ? (
        <FlatsView
          flats={drawing.spaces}
          across={drawing.acrossFlats}
          diameter={drawing.diameter}
          label={station.answer}
          units={units}
        />
      ) : (
        <SpacesView {...drawing} label={station.answer} height={420} />
      )}
    </>
  );
}
