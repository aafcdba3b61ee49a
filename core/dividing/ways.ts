import { clearsStud, tableOfGears, type GearTable } from '../gearing/index.ts';
import { exact, exactText, turnsText, type Exact } from '../units/index.ts';
import type { GearSet, Head } from '../shop/index.ts';
import { findDifferentials, plateRatioFor, usualIdlers, type DifferentialMove } from './differential.ts';
import { proveDivision, type Proof } from './proof.ts';
import type { DifferentialChoice, DividingChoice } from './schema.ts';
import { circlesOf, findSimpleIndexings, type Circle, type SimpleMove } from './simple.ts';

/** What a differential way adds to the crank's move. */
export interface Geared {
  readonly near: number;
  readonly train: DifferentialMove['train'];
  readonly idlers: number;
  /** g as exact text; plate turns for one of the spindle. */
  readonly plateRatio: string;
  /** Which way the plate must be seen to turn when the crank is turned. */
  readonly plateTurns: 'with' | 'against';
  /** Does a compound train go together on a usual stud? */
  readonly clearsStud: boolean;
}

/** A way of dividing that has been run through the head's motion. */
export interface Way {
  /** Names the way by its content; equal ways have equal keys. */
  readonly key: string;
  readonly method: DividingChoice['method'];
  readonly move: SimpleMove;
  /** Holes the sector arms span: one more than the spaces. */
  readonly armsHoles: number;
  /** What has to be changed on the head first, or null. */
  readonly change: string | null;
  readonly geared: Geared | null;
  readonly proof: Proof;
  readonly choice: DividingChoice;
}

const LOCKED = exact(0);

/** `20 spaces on 29`, `1 turn + 9 spaces on 27`, `2 turns`. */
export function moveText(move: {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
}): string {
  const { turns, spaces, circle } = move;
  const whole = turns === 0 ? '' : turns === 1 ? '1 turn' : `${turns} turns`;
  if (spaces === 0) return whole || 'no move';
  const part = `${spaces} ${spaces === 1 ? 'space' : 'spaces'} on ${circle}`;
  return whole ? `${whole} + ${part}` : part;
}

/** `56 : 24`, or with a stud `72 : 24, 40 : 56`; drivers before drivens, from the spindle on. */
export function trainText({ driver, driven, second }: DifferentialMove['train']): string {
  return second ? `${driver} : ${driven}, ${second.driver} : ${second.driven}` : `${driver} : ${driven}`;
}

/** A choice in words: the crank's move, and the gears where there are any. */
export function choiceText(choice: DividingChoice): string {
  const move = moveText(choice);
  return choice.method === 'differential' ? `${move}, gears ${trainText(choice.train)}` : move;
}

/** Turns the plate makes for one of the spindle under a choice. @param ratio R, exact @returns exact; 0 when the plate is locked */
export function plateRatioOf(choice: DividingChoice, ratio: Exact): Exact {
  return choice.method === 'differential' ? plateRatioFor(ratio, choice.near, choice.divisions) : LOCKED;
}

/** Which way the plate must be seen to creep when the crank is turned. @param choice a differential one */
export function plateTurnsOf({ near, divisions }: DifferentialChoice): Geared['plateTurns'] {
  return near > divisions ? 'with' : 'against';
}

function gearedOf(choice: DividingChoice, ratio: Exact): Geared | null {
  if (choice.method !== 'differential') return null;
  const { near, train, idlers } = choice;
  const plateRatio = plateRatioOf(choice, ratio);
  return {
    near,
    train,
    idlers,
    plateRatio: exactText(plateRatio),
    plateTurns: plateTurnsOf(choice),
    clearsStud: clearsStud(train),
  };
}

function plateChange(head: Head, circle: Circle): string | null {
  const onPlate = head.mounted?.plateId === circle.plateId;
  if (onPlate && head.mounted?.side === circle.side) return null;
  if (onPlate) return `turn over to side ${circle.side + 1}`;
  return `plate ${circle.plateName}${circle.twoSided ? `, side ${circle.side + 1}` : ''}`;
}

const keyOf = ({ method, plateId, side, circle, turns, spaces, ...rest }: DividingChoice): string =>
  [method, plateId, side, circle, turns, spaces, 'train' in rest ? trainText(rest.train) : ''].join(':');

/** A choice made into a way: what to change first, and its proof by motion. */
function wayOf(head: Head, ratio: Exact, circle: Circle, choice: DividingChoice): Way {
  const { turns, spaces, divisions } = choice;
  const geared = gearedOf(choice, ratio);
  const changes = [plateChange(head, circle), geared && `gears ${trainText(geared.train)}`].filter(Boolean);
  return {
    key: keyOf(choice),
    method: choice.method,
    move: { turns, spaces, circle },
    armsHoles: spaces + 1,
    change: changes.length > 0 ? changes.join('; ') : null,
    geared,
    proof: proveDivision(
      { ratio, plateRatio: plateRatioOf(choice, ratio) },
      { turns, spaces, circle: circle.holes },
      divisions,
    ),
    choice,
  };
}

const crankMove = ({ turns, spaces, circle }: SimpleMove, divisions: number) => ({
  plateId: circle.plateId,
  plateName: circle.plateName,
  side: circle.side,
  circle: circle.holes,
  turns,
  spaces,
  divisions,
});

/** Nothing to change, then turning the mounted plate over, then changing it. */
const effort = (head: Head, { plateId, side }: Circle): number =>
  head.mounted?.plateId !== plateId ? 2 : head.mounted.side === side ? 0 : 1;

const inOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * Best first: least to change on the head; then the larger circle (a hole's error counts for less); then the plate's
 * name. The order is total: equal inputs give equal plans.
 */
const compareMoves =
  (head: Head) =>
  (a: SimpleMove, b: SimpleMove): number =>
    effort(head, a.circle) - effort(head, b.circle) ||
    b.circle.holes - a.circle.holes ||
    inOrder(a.circle.plateName, b.circle.plateName) ||
    inOrder(a.circle.plateId, b.circle.plateId) ||
    a.circle.side - b.circle.side;

/** Every simple way of a count on a head, each proved by motion, best first. @param divisions whole, ≥ 1 */
export function simpleWays(head: Head, divisions: number): Way[] {
  const ratio = exact(head.ratio);
  return findSimpleIndexings(ratio, divisions, circlesOf(head.plates))
    .sort(compareMoves(head))
    .map((move) => wayOf(head, ratio, move.circle, { method: 'simple', ...crankMove(move, divisions) }));
}

/** The gears that go between a head's spindle and its plate, made ready; null when it cannot be geared. */
export function differentialGears(head: Head, gearSets: readonly GearSet[]): GearTable | null {
  const set = gearSets.find(({ id }) => id === head.differential?.gearSetId);
  return set ? tableOfGears(set.gears) : null;
}

/**
 * Every differential way of a count on a head: those found in all, and the best of them proved by motion.
 * Best first: fewest gears, a train that clears the stud, least to change, the nearer count, the larger circle.
 * @param divisions whole, ≥ 2 @param most how many to prove and return
 */
export function differentialWays(
  head: Head,
  gears: GearTable,
  divisions: number,
  most: number,
): { readonly ways: readonly Way[]; readonly total: number } {
  const ratio = exact(head.ratio);
  const moves = compareMoves(head);
  const found = findDifferentials(ratio, divisions, circlesOf(head.plates), gears).sort(
    (a, b) =>
      (a.train.second ? 1 : 0) - (b.train.second ? 1 : 0) ||
      Number(clearsStud(b.train)) - Number(clearsStud(a.train)) ||
      effort(head, a.move.circle) - effort(head, b.move.circle) ||
      Math.abs(a.near - divisions) - Math.abs(b.near - divisions) ||
      moves(a.move, b.move) ||
      a.near - b.near ||
      inOrder(trainText(a.train), trainText(b.train)),
  );
  const ways = found.slice(0, most).map(({ near, move, train, idlers }) =>
    wayOf(head, ratio, move.circle, {
      method: 'differential',
      ...crankMove(move, divisions),
      near,
      train,
      idlers,
    }),
  );
  return { ways, total: found.length };
}

/**
 * The way that a choice stands for, on this head and for this count; null when it no longer serves.
 * A differential choice must still have its circle, its gears as often as it needs them, and the ratio it needs.
 */
export function wayOfChoice(
  head: Head,
  gearSets: readonly GearSet[],
  divisions: number,
  choice: DividingChoice,
): Way | null {
  const ratio = exact(head.ratio);
  const circle = circlesOf(head.plates).find(
    ({ plateId, side, holes }) =>
      plateId === choice.plateId && side === choice.side && holes === choice.circle,
  );
  if (!circle || choice.divisions !== divisions) return null;
  if (choice.method === 'differential') {
    const gears = differentialGears(head, gearSets);
    if (!gears || !head.plateLock || !ownsTrain(gears, choice.train)) return null;
    if (choice.idlers !== usualIdlers(plateRatioOf(choice, ratio), choice.train)) return null;
  }
  const way = wayOf(head, ratio, circle, choice);
  const trainRight = !way.geared || trainTurns(way.geared, ratio, choice);
  return way.proof.everySpaceTrue && way.proof.closes && trainRight ? way : null;
}

function trainTurns({ train }: Geared, ratio: Exact, choice: DividingChoice): boolean {
  const { driver, driven, second } = train;
  const turns = exact(driver * (second?.driver ?? 1), driven * (second?.driven ?? 1));
  return turns.equals(plateRatioOf(choice, ratio).abs());
}

function ownsTrain(gears: GearTable, { driver, driven, second }: DifferentialMove['train']): boolean {
  const wheels = [driver, driven, ...(second ? [second.driver, second.driven] : [])];
  return wheels.every(
    (teeth) => wheels.filter((other) => other === teeth).length <= (gears.counts.get(teeth) ?? 0),
  );
}

/** The crank's move for one space as a mixed number of turns. */
export const crankTurnsText = ({ turns, spaces, circle }: SimpleMove): string =>
  turnsText(turns, spaces, circle.holes);
