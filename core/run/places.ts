import type { Cut, Run } from './schema.ts';

type Place = Readonly<Pick<Cut, 'round' | 'index'>>;

const key = ({ round, index }: Place): number => round * 10_000 + index;
const known = new WeakMap<Run, ReadonlyMap<number, number>>();

/**
 * Where a cut stands among the cuts of its run, from 0; -1 where the run has no such cut. A run that goes on
 * with another begins in the middle of a round, so a place is looked up, not reckoned.
 */
export function placeOf(run: Run, place: Place): number {
  let places = known.get(run);
  if (!places) {
    places = new Map(run.cuts.map((cut, i) => [key(cut), i]));
    known.set(run, places);
  }
  return places.get(key(place)) ?? -1;
}

/**
 * The place of the first cut of a run that takes metal to a depth: not a scratch, and not the space another
 * run left off at, which is run through once more. -1 where there is none.
 */
export function firstMetal({ cuts, rounds, continues }: Pick<Run, 'cuts' | 'rounds' | 'continues'>): number {
  return cuts.findIndex(
    ({ round }, i) => (i > 0 || !continues) && (rounds[round - 1]?.depthMm ?? null) !== null,
  );
}

/** The cuts of one round, with the place of its first. */
export function roundOf(run: Run, round: number): { readonly from: number; readonly cuts: readonly Cut[] } {
  const cuts = run.cuts.filter((cut) => cut.round === round);
  return { from: cuts[0] ? placeOf(run, cuts[0]) : 0, cuts };
}
