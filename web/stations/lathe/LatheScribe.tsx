import { useState } from 'react';
import { lengthText } from '../../../core/units/index.ts';
import { TrainView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

const STEPS = 120;

/** The train from spindle to box to scale, turning with the spindle. */
export function LatheScribe({ station, units }: StationProps<'lathe'>) {
  const [step, setStep] = useState(0);
  const { inForce, lathe } = station.detail;
  if (!inForce || !lathe)
    return <p className="scribe-empty">The gears are drawn here as soon as the lathe can cut this lead.</p>;
  const turns = (step / STEPS) * 3;
  return (
    <>
      <div className="scribe-caption">
        <span>Spindle to leadscrew, seen from the end</span>
        <span>{inForce.setting && `box ${inForce.setting}`}</span>
      </div>
      {inForce.train ? (
        <TrainView
          train={inForce.train}
          idlers={0}
          ends={['spindle', inForce.setting ? 'box' : 'leadscrew']}
          caption="idlers and tumbler as your lathe wants them for the hand"
          turned={turns}
        />
      ) : (
        <p className="scribe-empty">The box alone cuts this lead, its gears one to one.</p>
      )}
      <div className="turn-crank">
        <input
          type="range"
          min={0}
          max={STEPS}
          value={step}
          onChange={(event) => setStep(Number(event.target.value))}
          aria-label="Turns of the spindle"
        />
        <p className="scribe-say">
          Spindle {turns.toFixed(2)} turns, carriage {lengthText(turns * inForce.lead, units, 'fine')}
        </p>
      </div>
    </>
  );
}
