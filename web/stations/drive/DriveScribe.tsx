import { useState } from 'react';
import { lengthText } from '../../../core/units/index.ts';
import { WormPairView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

const STEPS = 240;

/** Worm and wheel in mesh, in the middle plane, turned by hand. */
export function DriveScribe({ station, units }: StationProps<'drive'>) {
  const [step, setStep] = useState(0);
  const { shape, pair } = station.detail;
  if (!shape || !pair)
    return <p className="scribe-empty">Worm and wheel are drawn here as soon as their sizes are known.</p>;
  const turns = (step / STEPS) * 4;
  return (
    <>
      <div className="scribe-caption">
        <span>In mesh, through the middle of the face</span>
        <span>{shape.hand}-hand</span>
      </div>
      <WormPairView
        drive={shape}
        turns={turns}
        centreText={`${lengthText(shape.centre, units)} between shafts`}
      />
      <div className="turn-crank">
        <input
          type="range"
          min={0}
          max={STEPS}
          value={step}
          onChange={(event) => setStep(Number(event.target.value))}
          aria-label="Turns of the worm"
        />
        <p className="scribe-say">
          Worm {turns.toFixed(2)} turns, wheel {((turns * shape.starts * 360) / shape.teeth).toFixed(1)}°;{' '}
          {pair.ratio} turns bring it once round
        </p>
      </div>
    </>
  );
}
