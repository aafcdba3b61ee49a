import { stationOf } from '../../../core/plan/index.ts';
import { approx, exact, lengthText } from '../../../core/units/index.ts';
import { Fold } from '../../frame/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** A gear that has been off the head and is too tight: back on it, found again, and sunk. */
export function PutBack({ station, planned, units }: StationProps<'inspect'>) {
  const { verdict } = station.detail;
  const dividing = stationOf(planned, 'dividing');
  const choice = dividing?.detail.inForce?.choice;
  const ratio = dividing?.detail.head?.ratio;
  const outside = stationOf(planned, 'blank')?.detail.drawing?.tipDiameter;
  const circle = choice && 'circle' in choice ? choice.circle : null;
  // one hole of the circle in use, at the outside of the gear
  const hole =
    circle !== null && ratio && outside ? (Math.PI * outside) / (circle * approx(exact(ratio))) : null;
  return (
    <Fold className="schools" summary="Put it back and sink it deeper">
      <ol className="inspect-after">
        <li>
          Same mandrel, same way round. Indicate it: readings round the blank, at Set-up; a tenth out is a
          tenth of depth from side to side.
        </li>
        <li>Cutter to the middle as before.</li>
        <li>
          Start it <b>once more round</b>, as one that “was off, or moved”. The mill has the outside touched
          anew, a tooth space found with the cutter, and the plate set to the pin, not the work to the plate.
          Find it with paper on either side: both flanks touch alike.
          {hole !== null &&
            ` One space on ${circle} is ${lengthText(hole, units, 'fine')} at the outside; less than that is done with the plate’s own adjustment.`}
        </li>
        <li>
          It goes in{' '}
          {verdict?.agreed && verdict.thick > 0 ? (
            <b>
              {lengthText(verdict.sink, units, 'fine')}
              {verdict.dial !== lengthText(verdict.sink, units, 'fine') && `, ${verdict.dial}`}
            </b>
          ) : (
            'what the readings above ask for'
          )}{' '}
          more than it was cut.
        </li>
        <li>
          Measure again before it comes off.{' '}
          {circle !== null && `Moves are as before: ${dividing?.answer ?? ''}.`}
        </li>
      </ol>
    </Fold>
  );
}
