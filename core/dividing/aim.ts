import { exact, exactText, type Exact } from '../units/index.ts';

/** What is to be divided: so many spaces, each so far from the last. */
export interface Aim {
  /** Spaces to cut, whole, ≥ 1. */
  readonly spaces: number;
  /** From one space to the next as a part of a turn of the work, exact, > 0. */
  readonly step: Exact;
  /** Do the spaces go once round, so that one more move closes on the first? */
  readonly full: boolean;
  /** Block order: every how many-th space is cut next. 1 is in order; on a full turn prime to the count. */
  readonly stride: number;
  /** Where an error of angle is felt, mm; null while not known. */
  readonly diameter: number | null;
}

/** A whole turn in so many equal spaces. @param spaces N, whole, ≥ 1 @param stride prime to N */
export function countAim(spaces: number, diameter: number | null = null, stride = 1): Aim {
  return { spaces, step: exact(1, spaces), full: true, stride, diameter };
}

/**
 * So many spaces at a stated angle. When they come to a whole turn exactly they close like any count.
 * @param degrees exact, > 0 @param spaces whole, ≥ 1
 */
export function angleAim(degrees: Exact, spaces: number, diameter: number | null = null): Aim {
  const step = degrees.div(360);
  return { spaces, step, full: step.mul(spaces).equals(1), stride: 1, diameter };
}

/** What one move turns the work by, exact: the step, or several of them in block order. */
export const advanceOf = ({ step, stride }: Aim): Exact => step.mul(stride);
export const advanceText = (aim: Aim): string => exactText(advanceOf(aim));

/** Moves that are made: one for each space on a full turn, one less on a part of it. */
export const movesOf = ({ spaces, full }: Aim): number => (full ? spaces : spaces - 1);

/** The count of equal spaces in a whole turn; null when the step is no such part of it. */
export const countOf = ({ step }: Aim): number | null => (step.n === 1n ? Number(step.d) : null);

/**
 * Which space is cut at a place in the order of cutting. @param index 1 … spaces @param start space cut first
 */
export function spaceAt({ spaces, stride }: Aim, index: number, start: number): number {
  return ((start - 1 + (index - 1) * stride) % spaces) + 1;
}
