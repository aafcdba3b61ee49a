import type { Cut, Run } from './schema.ts';

/**
 * The check while there is still metal: two chords over equally many spaces, each from an edge of a space to
 * the same edge of another, on the land of the blank. Across the whole half a chord hardly changes with an
 * angle; across a quarter it does, so the half is measured in two.
 */
export interface ChordCheck {
  /** Spaces measured from, to, and to again. */
  readonly from: number;
  readonly middle: number;
  readonly to: number;
  /** Spaces between two of them. */
  readonly over: number;
  /** mm, for either */
  readonly chord: number;
  /** What a chord changes by for one space too many or too few, mm. */
  readonly perSpace: number;
}

/** Fewer spaces than this are counted at a glance. */
const LEAST_SPACES = 12;

/**
 * Chord between the same edges of two spaces, measured at the blank's outside.
 * @param outside mm @param spaces between the two @param divisions in a whole turn
 * Source: chord of a circle, D·sin(kπ/N); tested by direct geometry
 */
export const chordOver = (outside: number, spaces: number, divisions: number): number =>
  outside * Math.sin((spaces * Math.PI) / divisions);

/** Are the spaces of a round cut one after another? In block order a half is not a stretch. */
const inTurn = (run: Run, cuts: readonly Cut[]): boolean =>
  cuts.every((cut, i) => i === 0 || cut.space === (cuts[i - 1]!.space % run.divisions) + 1);

/**
 * The check that falls due after a cut: half-way round the first round that is more than a scratch. Null at
 * any other place.
 */
export function dueCheck(run: Run, last: Cut): ChordCheck | null {
  const { outside, divisions, full, continues } = run;
  if (outside === null || !full || continues || run.mill || divisions < LEAST_SPACES) return null;
  const round = run.rounds[0]?.name === 'scratch' ? 2 : 1;
  const over = Math.floor(divisions / 4);
  if (last.round !== round || last.index !== 2 * over + 1) return null;
  const cuts = run.cuts.filter((cut) => cut.round === round);
  if (!inTurn(run, cuts.slice(0, last.index))) return null;
  const step = Math.PI / divisions;
  return {
    from: cuts[0]!.space,
    middle: cuts[over]!.space,
    to: last.space,
    over,
    chord: chordOver(outside, over, divisions),
    perSpace: outside * Math.cos(over * step) * step,
  };
}

/** What a reading across says. */
export interface ChordSays {
  /** Read less than it should be is less than zero, mm. */
  readonly off: number;
  /** Spaces too many between the two; 0 where it is good. */
  readonly slip: number;
  /** So far from any whole slip that the reading itself is doubted: another unit, other edges. */
  readonly odd: boolean;
}

/** @param read mm */
export function chordSays({ chord, perSpace }: ChordCheck, read: number): ChordSays {
  const off = read - chord;
  const spaces = off / perSpace;
  const slip = Math.round(spaces);
  return { off, slip: slip === 0 ? 0 : slip, odd: Math.abs(spaces) > 4.5 || Math.abs(spaces - slip) > 0.3 };
}
