import { useState } from 'react';
import { lengthText } from '../../../core/units/index.ts';
import { WormPairView } from '../../scribe/index.ts';
import type { StationProps } from '../panel.ts';

const STEPS = 240;

/** Worm and wheel in mesh, in the middle plane, turned by hand. */
export function DriveScribe({ station, units }: StationProps<'drive'>) {
  const [step, setStep] = useState(0);
  const { facts, pair } = station.detail;
  if (!facts || !pair) return <p className="scribe-empty">Worm and wheel are drawn here as soon as their sizes are known.</p>;
  const turns = (step / STEPS) * 4;
  return (
    <>
      <div className="scribe-caption">
        <span>In mesh, through the middle of the face</span>
        <span>{facts.hand}-hand</span>
      </div>
      <WormPairView drive={facts} turns={turns} centreText={`${lengthText(facts.centre, units)} between shafts`} />
      <div className="turn-crank">
        <input type="range" min={0} max={STEPS} value={step} onChange={(event) => setStep(Number(event.target.value))} aria-label="Turns of the worm" />
        <p className="scribe-say">
          Worm {turns.toFixed(2)} turns, wheel {((turns * facts.starts * 360) / facts.teeth).toFixed(1)}°; {pair.ratio} turns bring it once round
        </p>
      </div>
    </>
  );
} // prettier-ignore
