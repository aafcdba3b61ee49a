import { useState } from 'react';
import type { ReadoutDevice } from '../../core/devices/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import { api, useDevices } from '../state/index.ts';
import { useListening, useLiveDevice } from './live.ts';
import './devices.css';

/** A hole to drill, mm from the middle of the plate, to the right and away from you. */
interface HolePlace {
  readonly hole: number;
  readonly x: number;
  readonly y: number;
}

const THERE = 0.005;
const AXES = [
  ['travel', 'X', 'x'],
  ['cross', 'Y', 'y'],
] as const;

const isFor = (device: { readonly kind: string; readonly on: boolean }): device is ReadoutDevice => {
  if (device.kind !== 'readout' || !device.on) return false;
  const { axes } = device as ReadoutDevice;
  return AXES.every(([use]) => axes.some((axis) => axis.use === use));
};

/** A ring of holes, one after the other, by a readout of both axes; nothing while none is on its line. */
export function HoleByHole({
  holes,
  units,
}: {
  readonly holes: readonly HolePlace[];
  readonly units: UnitSystem;
}) {
  const readout = useDevices().find(isFor) ?? null;
  useListening(readout !== null);
  const live = useLiveDevice(readout?.id ?? null);
  const [k, setK] = useState(0);
  const aim = holes[Math.min(k, holes.length - 1)];
  if (!readout || live?.line !== 'here' || !live.readout || !aim) return null;
  const readsOf = (use: string) =>
    (live.run === null ? live.readout!.find((axis) => axis.use === use)?.reads : null) ?? null;
  const isZeroed = AXES.every(([use]) => readsOf(use) !== null);
  const zero = () => {
    for (const [use] of AXES)
      void api.zeroReadout(readout.id, { use, reads: 0, runId: null }).catch(() => null);
  };
  return (
    <section className="hole-by-hole on-dye" aria-label="Hole by hole, by the readout">
      {!isZeroed && <p>Bring the spindle over the middle of the plate, then:</p>}
      <p>
        <button type="button" className="mill-tick" onClick={zero}>
          {isZeroed ? 'Take the zero again: the middle is here' : 'The middle is here'}
        </button>
      </p>
      {isZeroed && (
        <>
          <p className="hole-now">
            Hole {aim.hole} <small>{`${k + 1} of ${holes.length}`}</small>
          </p>
          {AXES.map(([use, letter, key]) => {
            const left = aim[key] - readsOf(use)!;
            return (
              <p key={use} className="readout-axis">
                <span>{letter}</span>
                <b>{lengthText(readsOf(use)!, units, 'fine')}</b>
                <span className="readout-left">
                  {Math.abs(left) < THERE
                    ? '✓ there'
                    : `${lengthText(Math.abs(left), units, 'fine')} ${left > 0 ? 'more' : 'back'}`}
                </span>
              </p>
            );
          })}
          <p>
            <button type="button" className="mill-tick" disabled={k === 0} onClick={() => setK(k - 1)}>
              Back
            </button>{' '}
            <button
              type="button"
              className="mill-tick is-asked"
              disabled={k >= holes.length - 1}
              onClick={() => setK(k + 1)}
            >
              {k >= holes.length - 1 ? 'The last one' : 'Drilled: the next'}
            </button>
          </p>
        </>
      )}
    </section>
  );
}
