import {
  bracketRefuses,
  clearsStud,
  ownsTrain,
  tableOfGears,
  trainText,
  type GearTable,
} from '../gearing/index.ts';
import type { GearSet, Head, Stepper } from '../shop/index.ts';
import { exact, exactText, type Exact } from '../units/index.ts';
import { advanceOf, advanceText, type Aim } from './aim.ts';
import { usualIdlers } from './differential.ts';
import { plateRatioOf } from './motion.ts';
import { proveChoice, type Proof } from './proof.ts';
import type { ChoiceOf, DividingChoice } from './schema.ts';
import { circlesOf, type Circle } from './simple.ts';
import { troubleOf } from './trouble.ts';
import type { Geared, Ground, Method, Way } from './way.ts';
import { leadRefuses } from './withLead.ts';
import { choiceText } from './words.ts';

/** Which way the plate must be seen to creep when the crank is turned. */
export function plateTurnsOf(choice: ChoiceOf<'differential'>): Geared['plateTurns'] {
  return plateRatioOf(choice).gt(0) ? 'with' : 'against';
}

function gearedOf(choice: DividingChoice): Geared | null {
  if (choice.method !== 'differential') return null;
  const { near, train, idlers } = choice;
  return {
    near,
    train,
    idlers,
    plateRatio: exactText(plateRatioOf(choice)),
    plateTurns: plateTurnsOf(choice),
    clearsStud: clearsStud(train),
  };
}

/** What changes on the head for a circle: nothing, turning the plate over, or another plate. */
export function plateChange(head: Head, { plateId, plateName, side, twoSided }: Circle): string | null {
  const onPlate = head.mounted?.plateId === plateId;
  if (onPlate && head.mounted?.side === side) return null;
  if (onPlate) return `turn over to side ${side + 1}`;
  return `plate ${plateName}${twoSided ? `, side ${side + 1}` : ''}`;
}

/** The circle that a choice names, if the head has it. */
export function circleOfChoice(head: Head, choice: DividingChoice): Circle | null {
  if (!('plateId' in choice)) return null;
  const { plateId, side, circle } = choice;
  return (
    circlesOf(head.plates).find(
      (own) => own.plateId === plateId && own.side === side && own.holes === circle,
    ) ?? null
  );
}

function changesOf(head: Head, choice: DividingChoice, circle: Circle | null): string | null {
  const changes: (string | null)[] = [];
  if (circle) changes.push(plateChange(head, circle));
  if (choice.method === 'differential') changes.push(`gears ${trainText(choice.train)}`);
  if (choice.method === 'direct') {
    if (head.standing.worm !== 'out' && !choice.onWork) changes.push('worm out');
    if (head.standing.ringId !== choice.ringId && head.rings.length > 1)
      changes.push(`ring ${choice.ringName}`);
  } else if (head.standing.worm === 'out') changes.push('worm in');
  if (choice.method === 'stepper') changes.push(`${choice.driveName} on`);
  const said = changes.filter((change) => change !== null);
  return said.length > 0 ? said.join('; ') : null;
}

/** Holes between the arms, both ends counted. Common practice: arms span one hole more than the spaces. */
export function armsOf(choice: DividingChoice): number | null {
  const arms = choice.method === 'simple' || choice.method === 'differential' || choice.method === 'compound';
  return arms && choice.spaces > 0 ? choice.spaces + 1 : null;
}

function methodOf({ method }: DividingChoice, { everySpaceTrue }: Proof): Method {
  if (method === 'nearest-hole') return 'approximate';
  if (method === 'handwheel' || method === 'stepper' || method === 'table' || everySpaceTrue) return method;
  return 'approximate';
}

/** A choice made into a way: what to change first, how much trouble it is, and its proof by motion. */
export function wayOf(head: Head, aim: Aim, choice: DividingChoice): Way {
  const circle = circleOfChoice(head, choice);
  const proof = proveChoice(exact(head.ratio), choice, aim);
  const change = changesOf(head, choice, circle);
  const geared = gearedOf(choice);
  return {
    key: keyOf(choice),
    method: methodOf(choice, proof),
    words: choiceText(choice),
    armsHoles: armsOf(choice),
    change,
    ...troubleOf({ head, choice, circle, proof }),
    geared,
    proof,
    choice,
  };
}

const keyOf = (choice: DividingChoice): string =>
  Object.entries(choice)
    .filter(([key]) => key !== 'plateName' && key !== 'ringName' && key !== 'driveName')
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, value]) => (typeof value === 'object' ? JSON.stringify(value) : String(value)))
    .join(':');

/** Where a circle is, as a choice keeps it. */
export const onPlate = ({ plateId, plateName, side, holes }: Circle) => ({
  plateId,
  plateName,
  side,
  circle: holes,
});

export const inOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The gears that go between a head's spindle and its plate, made ready; null when it cannot be geared. */
export function differentialGears(head: Head, gearSets: readonly GearSet[]): GearTable | null {
  const set = gearSets.find(({ id }) => id === head.differential?.gearSetId);
  return set ? tableOfGears(set.gears) : null;
}

/** Has the head, with its gears and drives, still what a choice needs? */
export function canBeSet({ head, gearSets, steppers, lead }: Ground, choice: DividingChoice): boolean {
  if (lead && leadRefuses(head, lead, choice) !== null) return false;
  switch (choice.method) {
    case 'simple':
    case 'nearest-hole':
      return circleOfChoice(head, choice) !== null;
    case 'compound': {
      const { plateId, side, back } = choice;
      const circles = head.plates.find(({ id }) => id === plateId)?.sides[side]?.circles ?? [];
      return circles.includes(choice.circle) && circles.includes(back.circle);
    }
    case 'differential': {
      const gears = differentialGears(head, gearSets);
      if (!circleOfChoice(head, choice) || !gears || !head.plateLock) return false;
      const wanted = exact(choice.near).sub(exact(choice.advance).inverse());
      return (
        ownsTrain(gears, choice.train) &&
        bracketRefuses(head.differential, choice.train, choice.idlers) === null &&
        choice.idlers === usualIdlers(wanted, choice.train)
      );
    }
    case 'table':
      return false;
    case 'direct':
      return head.rings.some(({ id, holes }) => id === choice.ringId && holes === choice.holes);
    case 'handwheel':
      return head.handwheel?.marks === choice.marks && head.handwheel.vernier === choice.vernier;
    case 'stepper':
      return steppers.some(
        (drive) =>
          drive.id === choice.driveId && exactText(stepsPerTurn(drive, head)) === choice.stepsPerTurn,
      );
  }
}

/** Steps of a drive for one turn of the work, exact. */
export function stepsPerTurn({ on, belt, stepsPerTurn: steps, microsteps }: Stepper, head: Head): Exact {
  const turns = exact(belt).mul(on === 'crank' ? exact(head.ratio) : 1);
  return turns.mul(steps * microsteps);
}

/**
 * The way that a choice stands for, on this head and for this aim; null when it no longer serves: the head
 * lacks what it needs, it was made for another move, or it was said to be exact and is not.
 */
export function wayOfChoice(ground: Ground, aim: Aim, choice: DividingChoice): Way | null {
  if (choice.advance !== advanceText(aim) || !canBeSet(ground, choice)) return null;
  const way = wayOf(ground.head, aim, choice);
  const { everySpaceTrue, closes, worst } = way.proof;
  const mustBeExact = choice.method === 'direct' || ('exact' in choice && choice.exact);
  if (mustBeExact) return everySpaceTrue && closes ? way : null;
  // one that is off by half a space has lost the count
  return Math.abs(worst.turns) < advanceOf(aim).valueOf() / 2 ? way : null;
}
