import { PlateView } from '../../scribe/index.ts';
import type { StationProps } from '../panel.ts';

/** The plate as it stands on the head, the pin in its start hole, the landing hole lit. */
export function DividingScribe({ station }: StationProps<'dividing'>) {
  const { drawing } = station.detail;
  if (!drawing)
    return <p className="scribe-empty">The plate is drawn here when there is a way to divide with it.</p>;
  const { plateName, side, twoSided, circles, circle, turns, spaces } = drawing;
  const where = `Plate ${plateName}${twoSided ? `, side ${side + 1}` : ''}`;
  return (
    <>
      <div className="scribe-caption">
        <span>{where}, seen from the crank</span>
        <span>space 1 → 2</span>
      </div>
      <PlateView
        circles={circles}
        circle={circle}
        spaces={spaces}
        turns={turns}
        from={0}
        to={spaces}
        label={`${where}: the pin goes from hole 0 to hole ${spaces} of the ${circle} circle${turns > 0 ? ` after ${turns} whole turns` : ''}`}
      />
      <p className="plate-caption">
        {circles.map((holes) => (
          <span key={holes} className={holes === circle ? 'is-used' : ''}>
            {holes}
          </span>
        ))}
      </p>
    </>
  );
}
