import type { TroubleFacts } from './facts.ts';

/** Spaces in a turn, for a move that is so many turns of the crank. */
const spacesFor = (ratio: number, turns: number): number => ratio / turns;

/**
 * What a differential move divides when something is wrong with its gears. g = R − N·m turns of the plate for
 * one of the spindle: with the plate locked it is 0, with a wrong count of idlers it goes the other way.
 * Source: the motion of the head, spindle(R − g) = pin moves
 */
export function wrongDifferential({
  ratio,
  moveTurns,
  divisions,
}: Pick<TroubleFacts, 'ratio' | 'moveTurns' | 'divisions'>): {
  readonly locked: number;
  readonly wrongWay: number;
} | null {
  if (ratio === null || moveTurns === null) return null;
  const g = ratio - divisions * moveTurns;
  return { locked: ratio / moveTurns, wrongWay: (ratio + g) / moveTurns };
}

/** Is a move of whole turns? Then no arms are set, and any circle brings the pin back to its hole. */
export const isOfWholeTurns = ({ moveTurns }: Pick<TroubleFacts, 'moveTurns'>): boolean =>
  moveTurns !== null && Number.isInteger(moveTurns);

/** What comes out when a move of whole turns is a turn short, or long; null where it is none such. */
export function wrongTurns(
  facts: TroubleFacts,
): { readonly short: number | null; readonly long: number } | null {
  const { ratio, moveTurns, differential } = facts;
  if (ratio === null || moveTurns === null || differential || !isOfWholeTurns(facts)) return null;
  return {
    short: moveTurns > 1 ? spacesFor(ratio, moveTurns - 1) : null,
    long: spacesFor(ratio, moveTurns + 1),
  };
}

/**
 * What comes out when the hole the pin is in was counted, or one too many; and on circles one larger or
 * smaller.
 */
export function wrongHoles(facts: TroubleFacts): { readonly short: number; readonly long: number } | null {
  const { ratio, moveTurns, circle, differential } = facts;
  if (ratio === null || moveTurns === null || circle === null || differential) return null;
  if (moveTurns <= 1 / circle || isOfWholeTurns(facts)) return null;
  return { short: spacesFor(ratio, moveTurns - 1 / circle), long: spacesFor(ratio, moveTurns + 1 / circle) };
}

/** How far a blank has crept when what is left is so much of a tooth. @param part of a space, 0 … 1 */
export function creep({ spaceDeg, bore, outside, done, ratio, circle }: TroubleFacts, part: number) {
  const degrees = part * spaceDeg;
  const arc = (diameter: number | null) => diameter && (Math.PI * diameter * degrees) / 360;
  return {
    degrees,
    atBore: arc(bore),
    atOutside: arc(outside),
    /** As seen between two spaces, had it come evenly. */
    eachDeg: done > 0 ? degrees / done : null,
    /** In holes of the circle in use: near a whole figure it is a miscount, not a creep. */
    holes: ratio !== null && circle !== null ? (degrees / 360) * ratio * circle : null,
    turns: ratio === null ? null : (degrees / 360) * ratio,
  };
}
