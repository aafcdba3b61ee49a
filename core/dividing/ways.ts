import { exact, turnsText, type Exact } from '../units/index.ts';
import type { Head } from '../shop/index.ts';
import { proveDivision, type Proof } from './proof.ts';
import type { DividingChoice } from './schema.ts';
import { circlesOf, findSimpleIndexings, type SimpleMove } from './simple.ts';

/** A way of dividing that has been run through the head's motion. */
export interface Way {
  /** Names the way by its content; equal ways have equal keys. */
  readonly key: string;
  readonly method: 'simple';
  readonly move: SimpleMove;
  /** Holes the sector arms span: one more than the spaces. */
  readonly armsHoles: number;
  /** What has to be changed on the head first, or null. */
  readonly change: string | null;
  readonly proof: Proof;
  readonly choice: DividingChoice;
}

const LOCKED = exact(0);

/** `20 spaces on 29`, `1 turn + 9 spaces on 27`, `2 turns`. */
export function moveText({
  turns,
  spaces,
  circle,
}: {
  turns: number;
  spaces: number;
  circle: number;
}): string {
  const whole = turns === 0 ? '' : turns === 1 ? '1 turn' : `${turns} turns`;
  if (spaces === 0) return whole || 'no move';
  const part = `${spaces} ${spaces === 1 ? 'space' : 'spaces'} on ${circle}`;
  return whole ? `${whole} + ${part}` : part;
}

function wayOf(head: Head, ratio: Exact, divisions: number, move: SimpleMove): Way {
  const { circle, turns, spaces } = move;
  const onPlate = head.mounted?.plateId === circle.plateId;
  const mounted = onPlate && head.mounted?.side === circle.side;
  const choice: DividingChoice = {
    method: 'simple',
    plateId: circle.plateId,
    plateName: circle.plateName,
    side: circle.side,
    circle: circle.holes,
    turns,
    spaces,
    divisions,
  };
  const plateText = `plate ${circle.plateName}${circle.twoSided ? `, side ${circle.side + 1}` : ''}`;
  return {
    key: `simple:${circle.plateId}:${circle.side}:${circle.holes}:${turns}:${spaces}`,
    method: 'simple',
    move,
    armsHoles: spaces + 1,
    change: mounted ? null : onPlate ? `turn over to side ${circle.side + 1}` : plateText,
    proof: proveDivision({ ratio, plateRatio: LOCKED }, { turns, spaces, circle: circle.holes }, divisions),
    choice,
  };
}

/**
 * Best first: nothing to change, then turning the mounted plate over, then changing it; then the larger circle
 * (a hole's error counts for less); then the plate's name. The order is total: equal inputs give equal plans.
 */
function compareWays(head: Head): (a: Way, b: Way) => number {
  const effort = ({ change, move }: Way) =>
    change === null ? 0 : move.circle.plateId === head.mounted?.plateId ? 1 : 2;
  return (a, b) =>
    effort(a) - effort(b) ||
    b.move.circle.holes - a.move.circle.holes ||
    (a.move.circle.plateName < b.move.circle.plateName
      ? -1
      : a.move.circle.plateName > b.move.circle.plateName
        ? 1
        : 0) ||
    (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
}

/** Every simple way of a count on a head, each proved by motion, best first. @param divisions whole, ≥ 1 */
export function simpleWays(head: Head, divisions: number): Way[] {
  const ratio = exact(head.ratio);
  return findSimpleIndexings(ratio, divisions, circlesOf(head.plates))
    .map((move) => wayOf(head, ratio, divisions, move))
    .sort(compareWays(head));
}

/** Is this way the one that was chosen? By content, not by rank. */
export function isChoice(way: Way, choice: DividingChoice): boolean {
  const { move } = way;
  return (
    move.circle.plateId === choice.plateId &&
    move.circle.side === choice.side &&
    move.circle.holes === choice.circle &&
    move.turns === choice.turns &&
    move.spaces === choice.spaces
  );
}

/** The crank's move for one space as a mixed number of turns. */
export const crankTurnsText = ({ turns, spaces, circle }: SimpleMove): string =>
  turnsText(turns, spaces, circle.holes);
