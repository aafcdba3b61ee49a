import { circlesOf, findSimpleIndexings, type SimpleMove } from '../dividing/index.ts';
import { approx, exact, turnsText, type Exact } from '../units/index.ts';
import type { JudgedField } from './figure.ts';
import { SCHOOL_HEAD } from './school.ts';
import type { Verdict } from './types.ts';

/** A move of the crank as somebody wrote it; `circle` 1 where there are whole turns alone. */
export interface WrittenMove {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
}

const LONGEST = 80;
const PLAIN = /^(?:(\d{1,3}) )?(\d{1,3}) ?\/ ?(\d{1,3})$/;
const NUMBERS = /^\d{1,3}( \d{1,3}){0,2}$/;

/**
 * A move as people write it: `1 9/27`, `9/27`, `1 turn + 9 spaces on 27`, `1 9 27`, `2`.
 * @returns null where it cannot be read
 */
export function readMove(typed: string): WrittenMove | null {
  if (typed.length > LONGEST) return null;
  const text = typed
    .toLowerCase()
    .replace(/turns?|spaces?|holes?|circles?|\band\b|\bof\b|\bthe\b|\+|,/g, ' ')
    .replace(/\bon\b|\bin\b/g, '/')
    .replace(/\s+/g, ' ')
    .trim();
  const plain = PLAIN.exec(text);
  if (plain) return { turns: Number(plain[1] ?? 0), spaces: Number(plain[2]), circle: Number(plain[3]) };
  if (!NUMBERS.test(text)) return null;
  const numbers = text.split(' ').map(Number);
  if (numbers.length === 1) return { turns: numbers[0]!, spaces: 0, circle: 1 };
  if (numbers.length === 2) return { turns: 0, spaces: numbers[0]!, circle: numbers[1]! };
  return { turns: numbers[0]!, spaces: numbers[1]!, circle: numbers[2]! };
}

export const MOVE_LIKE = 'such as 1 9/27, or 1 turn 9 spaces on 27';
const UNREAD: Verdict = {
  state: 'unread',
  says: 'Write turns, spaces and circle: 1 9/27, or 1 turn 9 spaces on 27.',
};

export const schoolCircles = circlesOf(SCHOOL_HEAD.plates);
const hasCircle = (holes: number): boolean =>
  holes === 1 || schoolCircles.some((circle) => circle.holes === holes);

const amountOf = ({ turns, spaces, circle }: WrittenMove): Exact => exact(turns).add(exact(spaces, circle));

/** What a move of so much divides a turn of the work into, in words. */
export function dividesWords(ratio: Exact, amount: Exact): string {
  const count = ratio.div(amount);
  return count.d === 1n
    ? `it divides ${String(count.n)}`
    : `it divides ${approx(count).toFixed(2)}, which does not close`;
}

interface MoveAsked {
  readonly ratio: Exact;
  /** Turns of the crank that are right. */
  readonly turns: Exact;
  /** What a move of so much would give, in words; what it divides, where nothing else is said. */
  readonly gives?: (amount: Exact) => string;
}

/** What a move that is not right would have been right for. */
function slipOf(move: WrittenMove, { ratio, turns }: MoveAsked): string | null {
  const { spaces, circle } = move;
  const amount = amountOf(move);
  if (amount.sub(exact(1, circle)).equals(turns))
    return `That counts the hole the pin is in. Spaces, not holes: ${spaces - 1}.`;
  if (amount.equals(turns.inverse())) return `Turned over: R/N it is, not N/R.`;
  if (spaces > 0 && amountOf({ ...move, spaces: circle, circle: spaces }).equals(turns))
    return 'Spaces and circle are exchanged.';
  const missing = turns.sub(amount);
  if (missing.d === 1n && missing.n > 0n) return `The spaces are right; the whole turns are not.`;
  if (missing.d === 1n) return 'The spaces are right; there are too many whole turns.';
  if (amount.equals(ratio.div(turns)) || amount.equals(turns.mul(ratio)))
    return 'That leaves out, or counts twice, the ratio of the head.';
  return null;
}

/** Judges a move of the crank on the school’s head. */
export function judgeMove(asked: MoveAsked, typed: string): Verdict {
  if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
  const move = readMove(typed);
  if (!move || move.circle === 0) return UNREAD;
  const amount = amountOf(move);
  if (amount.equals(0)) return { state: 'wrong', says: 'That does not move the work.' };
  if (amount.equals(asked.turns)) {
    return hasCircle(move.circle)
      ? { state: 'right' }
      : { state: 'slip', says: `The amount is right, but this head has no circle of ${move.circle}.` };
  }
  const slip = slipOf(move, asked);
  const { gives = (turns: Exact) => dividesWords(asked.ratio, turns) } = asked;
  const divides = gives(amount);
  if (slip) return { state: 'slip', says: `${slip} As written ${divides}.` };
  const isShort = amount.add(exact(1, move.circle)).equals(asked.turns);
  return { state: 'wrong', says: `${isShort ? 'One space short' : 'Not that'}: as written ${divides}.` };
}

export const moveText = ({ turns, spaces, circle }: SimpleMove): string =>
  turnsText(turns, spaces, circle.holes);

/** Every simple indexing on the school’s head. */
export const schoolMoves = (divisions: number): readonly SimpleMove[] =>
  findSimpleIndexings(exact(SCHOOL_HEAD.ratio), divisions, schoolCircles);

export const moveField = (asked: MoveAsked & { readonly answer: string }): JudgedField => ({
  key: 'move',
  label: 'Move of the crank',
  unit: '',
  like: MOVE_LIKE,
  answer: asked.answer,
  judge: (typed) => judgeMove(asked, typed),
});
