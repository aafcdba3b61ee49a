import type { ReadoutDevice } from '../../core/devices/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import { api, useDevices } from '../state/index.ts';
import { useListening, useLiveDevice } from './live.ts';
import './devices.css';

const THERE = 0.005;

interface CentreByReadoutProps {
  /** From the touch to the middle, mm; whichever way it is gone. */
  readonly move: number;
  readonly units: UnitSystem;
}

/** How much more to the middle, live from the touch on; nothing while no readout has that axis. */
export function CentreByReadout({ move, units }: CentreByReadoutProps) {
  const readout = useDevices().find(
    (device): device is ReadoutDevice =>
      device.kind === 'readout' && device.on && device.axes.some(({ use }) => use === 'cross'),
  );
  useListening(readout !== undefined);
  const live = useLiveDevice(readout?.id ?? null);
  if (!readout || live?.line !== 'here' || !live.readout) return null;
  // a zero that a run took is of its work, and no touch of this one
  const gone = live.run === null ? (live.readout.find(({ use }) => use === 'cross')?.reads ?? null) : null;
  const left = gone === null ? null : move - Math.abs(gone);
  const { letter } = readout.axes.find(({ use }) => use === 'cross')!;
  const touched = () =>
    void api.zeroReadout(readout.id, { use: 'cross', reads: 0, runId: null }).catch(() => null);
  return (
    <section className="hole-by-hole on-dye" aria-label={`To the middle, by ${readout.name}`}>
      {left !== null && (
        <p className="readout-axis">
          <span>{letter}</span>
          <b>{lengthText(Math.abs(gone!), units, 'fine')}</b>
          <span className="readout-left">
            {Math.abs(left) < THERE
              ? '✓ the middle: lock it'
              : left > 0
                ? `${lengthText(left, units, 'fine')} more, the same way`
                : `${lengthText(-left, units, 'fine')} too far: back past it, and up again`}
          </span>
        </p>
      )}
      <p>
        <button type="button" className={`mill-tick${left === null ? ' is-asked' : ''}`} onClick={touched}>
          {left === null ? `It touches: ${letter} is 0 here` : `It touches again: ${letter} is 0 here`}
        </button>
      </p>
      {live.run !== null && <p>A run has taken its zeros by {readout.name}: they end with one taken here.</p>}
    </section>
  );
}
