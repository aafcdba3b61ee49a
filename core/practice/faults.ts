import type { PracticeBench } from './bench.ts';
import type { FaultKey, FaultOn, Ground } from './fault.ts';
import { HEAD_FAULTS } from './headFaults.ts';
import { freshMachine, type Machine } from './machine.ts';
import { TABLE_FAULTS } from './tableFaults.ts';

/** A fault of one bench: hidden in it as it is made ready. */
export interface Fault extends Pick<FaultOn<PracticeBench>, 'key' | 'symptom' | 'say'> {
  readonly hide: (machine: Machine) => Ground;
}

function among<B extends PracticeBench>(bench: B, faults: readonly FaultOn<B>[]): readonly Fault[] {
  return faults
    .filter(({ fits }) => fits(bench))
    .map(({ key, symptom, say, hide }) => ({ key, symptom, say, hide: (machine) => hide(bench, machine) }));
}

/** Those that this bench can have. */
export const faultsFor = (bench: PracticeBench): readonly Fault[] =>
  bench.on === 'head' ? among(bench, HEAD_FAULTS) : among(bench, TABLE_FAULTS);

/**
 * One fault hidden in a bench that is made ready.
 * @param seed whole; the same seed hides the same fault
 */
export function hideFault(bench: PracticeBench, seed: number): Ground & { readonly key: FaultKey } {
  const all = faultsFor(bench);
  const fault = all[Math.abs(Math.trunc(seed)) % all.length]!;
  return { ...fault.hide(freshMachine(bench)), key: fault.key };
}

/** By its name, of those that this bench can have. */
export const faultOf = (bench: PracticeBench, key: FaultKey): Fault | null =>
  faultsFor(bench).find((each) => each.key === key) ?? null;
