import { useState } from 'react';
import { dmsText, exact, lengthText } from '../../../core/units/index.ts';
import { SwingView, TiltView, TrainView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

const STEPS = 200;

/**
 * The table swung, seen from above, and the train to scale; both move as the table is moved along the face.
 */
export function LeadScribe({ station, units }: StationProps<'lead'>) {
  const [step, setStep] = useState(0);
  const { inForce, table, faceWidth, pitchDiameter, hand, drive, machine } = station.detail;
  if (!inForce || !table || faceWidth === null || pitchDiameter === null || machine === null)
    return <p className="scribe-empty">Table and train are drawn here as soon as the lead has gears.</p>;
  const travelled = step / STEPS;
  const travel = travelled * faceWidth;
  const spindle = travel / inForce.lead;
  // turns of the screw: the first gear of the train
  const ratio = drive === 'worm' ? Number(exact(station.detail.head?.ratio ?? '1').valueOf()) : 1;
  const screw = travel / (machine / ratio);
  return (
    <>
      <div className="scribe-caption">
        <span>{table.by === 'head' ? 'Head tilted, from the front' : 'Table swung, seen from above'}</span>
        <span>{hand}-hand</span>
      </div>
      {table.way === 'right' || table.way === 'left' ? (
        <TiltView
          hand={hand}
          helixDeg={inForce.helixDeg}
          side={table.side}
          top={table.way}
          tiltDeg={table.scale}
          diameter={pitchDiameter}
          faceWidth={faceWidth}
        />
      ) : (
        <SwingView
          hand={hand}
          helixDeg={inForce.helixDeg}
          rightEnd={table.way}
          swingDeg={table.scale}
          arborAlong={table.arborAlong}
          diameter={pitchDiameter}
          faceWidth={faceWidth}
          travelled={travelled}
          turn={faceWidth / inForce.lead}
        />
      )}
      <TrainView
        train={inForce.train}
        idlers={inForce.idlers}
        ends={['screw', drive === 'worm' ? 'worm shaft' : 'spindle']}
        caption={`${hand}-hand: ${inForce.idlers === 0 ? 'no idler' : inForce.idlers === 1 ? 'one idler' : 'two idlers'} by custom; the scribed line decides`}
        turned={screw}
      />
      <div className="turn-crank">
        <input
          type="range"
          min={0}
          max={STEPS}
          value={step}
          onChange={(event) => setStep(Number(event.target.value))}
          aria-label="Travel of the table along the face"
        />
        <p className="scribe-say">
          {lengthText(travel, units)} of travel, the screw {screw.toFixed(2)} turns, the work{' '}
          {dmsText(exact(Math.round(spindle * 1_296_000)).div(3600))} round
        </p>
      </div>
    </>
  );
}
