import type { SymptomId } from '../trouble/index.ts';
import type { PracticeBench } from './bench.ts';
import { CLEAR, reachOf } from './hand.ts';
import { freshMachine, type Machine } from './machine.ts';

/** What can be wrong at a bench without being seen; named as among the causes of trouble. */
export type FaultKey =
  | 'arms'
  | 'pin-hole'
  | 'chart'
  | 'school'
  | 'blank-under'
  | 'bends'
  | 'tailstock'
  | 'along'
  | 'circle'
  | 'ratio'
  | 'locked'
  | 'idlers'
  | 'eccentric'
  | 'crept'
  | 'off-centre'
  | 'laid'
  | 'wide'
  | 'blank-over'
  | 'knee'
  | 'slack'
  | 'early'
  | 'steps'
  | 'screw'
  | 'slipped'
  | 'askew'
  | 'packing';

export interface Ground {
  readonly bench: PracticeBench;
  readonly machine: Machine;
}

/** A fault, what of the work shows it, and how it is hidden. */
export interface FaultOn<B extends PracticeBench> {
  readonly key: FaultKey;
  /** Where “Something looks wrong” lists it. */
  readonly symptom: SymptomId;
  /** Said when it is named, and when one chooses among them. */
  readonly say: string;
  /** Can this bench have it? */
  readonly fits: (bench: B) => boolean;
  readonly hide: (bench: B, machine: Machine) => Ground;
}

export const always = (): boolean => true;

/** A bench with something hidden in it; what a fresh machine is made of goes along. */
export function hidden<B extends PracticeBench>(
  bench: B,
  change: Partial<B>,
): { readonly bench: B; readonly machine: Machine } {
  const other = { ...bench, ...change };
  return { bench: other, machine: freshMachine(other) };
}

/** So much is seen with tools of the shop and not by eye, mm. */
const LOST = 0.12;
/** How far in from the first touch a work that is moved too early stands, as a part of the approach. */
const NEAR = 0.4;

/** Faults of what carries the work, and brings it in: whatever divides. */
export const KNEE: FaultOn<PracticeBench> = {
  key: 'knee',
  symptom: 'shallow',
  say: 'The knee sinks under the cut: it is shallower than the dial says',
  fits: always,
  hide: (bench) => hidden(bench, { depthLost: LOST }),
};

/** @param dial whose it is */
export const early = (dial: string): FaultOn<PracticeBench> => ({
  key: 'early',
  symptom: 'nick',
  say: `The dial of ${dial} has slipped: where it reads clear the cutter still reaches the work`,
  fits: ({ run }) => run.helix === null && run.safe?.way === 'along',
  hide: (bench) => {
    const { run } = bench;
    const off = CLEAR + NEAR * reachOf(bench, run.rounds.at(-1)?.depthMm ?? 0);
    const atEntry = run.safe?.way === 'along' && run.safe.indexAt === 'entry';
    return hidden(bench, { fedOff: atEntry ? off : -off });
  },
});
