import { PlateView, TrainView } from '../../scribe/index.ts';
import type { StationProps } from '../panel.ts';

/** The plate as it stands on the head, the pin in its start hole, the landing hole lit; or why no circle serves. */
export function DividingScribe({ station }: StationProps<'dividing'>) {
  const { drawing, plate, inForce } = station.detail;
  const geared = inForce?.geared;
  if (!plate) return <p className="scribe-empty">The plate is drawn here when the head has one.</p>;
  const where = `Plate ${plate.plateName}${plate.twoSided ? `, side ${plate.side + 1}` : ''}`;
  const words = drawing
    ? `${where}: the pin goes from hole 0 to hole ${drawing.spaces} of the ${drawing.circle} circle${drawing.turns > 0 ? ` after ${drawing.turns} whole turns` : ''}`
    : `${where}: none of its circles serves`;
  return (
    <>
      <div className="scribe-caption">
        <span>{where}, seen from the crank</span>
        <span>{drawing ? 'space 1 → 2' : 'no circle serves'}</span>
      </div>
      <div className={geared ? 'plate-beside-train' : ''}>
        <PlateView
          circles={plate.circles}
          move={drawing && { ...drawing, from: 0, to: drawing.spaces }}
          label={words}
        />
      </div>
      <p className="plate-caption">
        {plate.circles.map((holes) => (
          <span key={holes} className={holes === drawing?.circle ? 'is-used' : ''}>
            {holes}
          </span>
        ))}
      </p>
      {geared && <TrainView train={geared.train} idlers={geared.idlers} plateTurns={geared.plateTurns} />}
    </>
  );
}
