import { MOST_HOLES, type Head } from '../shop/index.ts';
import { exact, exactText } from '../units/index.ts';
import { advanceOf, advanceText, type Aim } from './aim.ts';
import { findDirects } from './direct.ts';
import type { DividingChoice } from './schema.ts';
import { circleNeeded, circlesOf, findCrankMoves, type Circle, type SimpleMove } from './simple.ts';
import { plateEffort } from './trouble.ts';
import { answersWithLead } from './withLead.ts';
import type { Ground, Method, MethodAnswer, Way } from './way.ts';
import { inOrder, onPlate, stepsPerTurn, wayOf } from './ways.ts';

export const answer = ({
  method,
  ways,
  total,
  out,
}: {
  readonly method: Method;
  readonly ways: readonly Way[];
  readonly total: number;
  readonly out: string;
}): MethodAnswer => ({
  method,
  ways,
  total,
  out: total > 0 ? null : out,
});

/**
 * Best first: least to change on the head; then the larger circle (a hole's error counts for less); then the
 * plate's name. The order is total: equal inputs give equal plans.
 */
export const compareCircles =
  (head: Head) =>
  (a: Circle, b: Circle): number =>
    plateEffort(head, a) - plateEffort(head, b) ||
    b.holes - a.holes ||
    inOrder(a.plateName, b.plateName) ||
    inOrder(a.plateId, b.plateId) ||
    a.side - b.side;

export const byTrouble = (a: Way, b: Way): number => a.trouble - b.trouble || inOrder(a.key, b.key);

export const crankChoice = (
  aim: Aim,
  { turns, spaces, circle }: SimpleMove,
  isExact: boolean,
): DividingChoice => ({
  method: 'simple',
  advance: advanceText(aim),
  exact: isExact,
  ...onPlate(circle),
  turns,
  spaces,
});

function simpleMoves(head: Head, aim: Aim): SimpleMove[] {
  const turns = exact(head.ratio).mul(advanceOf(aim));
  // finer than any circle; beyond that whole numbers would outgrow a float
  if (turns.d > BigInt(MOST_HOLES)) return [];
  const compare = compareCircles(head);
  return findCrankMoves(Number(turns.n), Number(turns.d), circlesOf(head.plates)).sort((a, b) =>
    compare(a.circle, b.circle),
  );
}

/** Simple ways that are proved and listed: more circles of one multiple than any shop has. */
const MOST_SIMPLE = 60;

const provedWays = (head: Head, aim: Aim, moves: readonly SimpleMove[]): Way[] =>
  moves.map((move) => wayOf(head, aim, crankChoice(aim, move, true)));

/** The simple ways of an aim on a head, each proved by motion, best first. @param most how many */
export const simpleWays = (head: Head, aim: Aim, most = MOST_SIMPLE): Way[] =>
  provedWays(head, aim, simpleMoves(head, aim).slice(0, most));

export function simpleAnswer({ head }: Ground, aim: Aim): MethodAnswer {
  const moves = simpleMoves(head, aim);
  const ways = provedWays(head, aim, moves.slice(0, MOST_SIMPLE));
  const needed = circleNeeded(exact(head.ratio).mul(advanceOf(aim)));
  const out =
    head.plates.length === 0
      ? `${head.name} has no index plates listed.`
      : `It needs a circle whose holes are a multiple of ${needed}, and no plate here has one.`;
  return answer({ method: 'simple', ways, total: moves.length, out });
}

function directAnswer({ head }: Ground, aim: Aim): MethodAnswer {
  const advance = advanceOf(aim);
  const ways = findDirects(advance, head.rings)
    .map(({ ring, spaces }) =>
      wayOf(head, aim, {
        method: 'direct',
        advance: advanceText(aim),
        ringId: ring.id,
        ringName: ring.name,
        holes: ring.holes,
        spaces,
        ...(ring.onWork ? { onWork: true as const } : {}),
      }),
    )
    .sort(byTrouble);
  const rings = head.rings.map(({ holes }) => holes).join(', ');
  const out =
    head.rings.length === 0
      ? `${head.name} has no ring of holes on its spindle listed.`
      : `It needs a ring whose holes are a multiple of ${advance.d}; here are ${rings}.`;
  return answer({ method: 'direct', ways, total: ways.length, out });
}

/** One that is off by half a space has lost the count. */
export const keepsCount = (aim: Aim) => (way: Way) =>
  Math.abs(way.proof.worst.turns) < advanceOf(aim).valueOf() / 2;
const COARSE = 'Its finest reading is coarser than half a place.';

function handwheelAnswer({ head }: Ground, aim: Aim): MethodAnswer {
  const wheel = head.handwheel;
  const ways = (
    wheel ? [wayOf(head, aim, { method: 'handwheel', advance: advanceText(aim), ...wheel })] : []
  ).filter(keepsCount(aim));
  const out = wheel ? COARSE : `${head.name} has no graduated handwheel listed.`;
  return answer({ method: 'handwheel', ways, total: ways.length, out });
}

function stepperAnswer({ head, steppers }: Ground, aim: Aim): MethodAnswer {
  const drives = steppers.filter(({ headId }) => headId === head.id);
  const ways = drives
    .map((drive) =>
      wayOf(head, aim, {
        method: 'stepper',
        advance: advanceText(aim),
        driveId: drive.id,
        driveName: drive.name,
        stepsPerTurn: exactText(stepsPerTurn(drive, head)),
      }),
    )
    .filter(keepsCount(aim))
    .sort((a, b) => Math.abs(a.proof.worst.turns) - Math.abs(b.proof.worst.turns) || inOrder(a.key, b.key));
  const out = drives.length > 0 ? COARSE : `No stepper drive is listed for ${head.name}.`;
  return answer({ method: 'stepper', ways, total: ways.length, out });
}

/** The methods that are found at once: each with its ways, or why it is out. */
export function quickMethods(ground: Ground, aim: Aim): MethodAnswer[] {
  const answers = [
    simpleAnswer(ground, aim),
    directAnswer(ground, aim),
    handwheelAnswer(ground, aim),
    stepperAnswer(ground, aim),
  ];
  return ground.lead ? answersWithLead(answers, ground.head, ground.lead) : answers;
}

/**
 * Methods in the order a machinist would try them: by the least trouble of their best way; those that are out
 * come last.
 */
export function rankMethods(answers: readonly MethodAnswer[]): MethodAnswer[] {
  const least = ({ ways }: MethodAnswer) => ways[0]?.trouble ?? Infinity;
  return [...answers].sort((a, b) => Math.sign(least(a) - least(b)) || inOrder(a.method, b.method));
}
