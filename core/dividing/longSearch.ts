import { bracketRefuses, clearsStud, trainText } from '../gearing/index.ts';
import type { Head } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import { advanceOf, advanceText, countOf, type Aim } from './aim.ts';
import { findCompounds, findNearCompounds, type CompoundMove } from './compound.ts';
import {
  findDifferentials,
  findNearDifferentials,
  type DifferentialMove,
  type NearDifferential,
} from './differential.ts';
import {
  answer,
  byTrouble,
  compareCircles,
  crankChoice,
  keepsCount,
  quickMethods,
  rankMethods,
  simpleAnswer,
} from './methods.ts';
import type { DividingChoice } from './schema.ts';
import { circlesOf, findNearMoves, findSimpleIndexings, type Circle } from './simple.ts';
import { plateEffort } from './trouble.ts';
import { answersWithLead } from './withLead.ts';
import { differentialGears, inOrder, onPlate, wayOf } from './ways.ts';
import type { Ground, MethodAnswer, Way } from './way.ts';

const differentialChoice = (
  aim: Aim,
  { near, move, train, idlers }: DifferentialMove | NearDifferential,
  isExact: boolean,
): DividingChoice => ({
  method: 'differential',
  advance: advanceText(aim),
  exact: isExact,
  ...onPlate(move.circle),
  turns: move.turns,
  spaces: move.spaces,
  near,
  train,
  idlers,
});

/** Up to so many circles each is looked at for itself; no shop has a third of it. */
const EACH_CIRCLE = 200;

/**
 * Where a search goes through them all: every circle, or of a great many one for each count of holes, the one
 * with the least to change. Another with as many holes makes the same moves.
 */
function circlesToSearch(head: Head): readonly Circle[] {
  const all = circlesOf(head.plates);
  if (all.length <= EACH_CIRCLE) return all;
  const byHoles = new Map<number, Circle>();
  for (const circle of all) {
    const known = byHoles.get(circle.holes);
    if (!known || plateEffort(head, circle) < plateEffort(head, known)) byHoles.set(circle.holes, circle);
  }
  return [...byHoles.values()];
}

/** Why differential indexing is out of the question on a head; null when it may be looked for. */
function differentialOut({ head, gearSets }: Ground, aim: Aim): string | null {
  if (countOf(aim) === null) return 'Differential indexing divides a whole turn into equal parts.';
  if (!differentialGears(head, gearSets))
    return `${head.name} has no gears between spindle and plate, so its plate cannot be turned.`;
  if (!head.plateLock)
    return `The plate must be free for a differential train, and the plate of ${head.name} has no lock pin to draw.`;
  if (head.plates.length === 0) return `${head.name} has no index plates listed.`;
  return null;
}

/**
 * Every differential way of a count on a head: those found in all, and the best of them proved by motion.
 * Best first: fewest gears, a train that clears the stud, least to change, the nearer count, the larger
 * circle.
 * @param most how many to prove and return
 */
function differentialAnswer(ground: Ground, aim: Aim, most: number): MethodAnswer {
  const closed = differentialOut(ground, aim);
  if (closed !== null) return answer({ method: 'differential', ways: [], total: 0, out: closed });
  const { head, gearSets } = ground;
  const divisions = countOf(aim)!;
  const compare = compareCircles(head);
  const all = findDifferentials({
    ratio: exact(head.ratio),
    divisions,
    circles: circlesToSearch(head),
    gears: differentialGears(head, gearSets)!,
    search: { stride: aim.stride },
  });
  const found = all
    .filter(({ train, idlers }) => bracketRefuses(head.differential, train, idlers) === null)
    .sort(
      (a, b) =>
        (a.train.second ? 1 : 0) - (b.train.second ? 1 : 0) ||
        Number(clearsStud(b.train)) - Number(clearsStud(a.train)) ||
        plateEffort(head, a.move.circle) - plateEffort(head, b.move.circle) ||
        Math.abs(a.near - divisions) - Math.abs(b.near - divisions) ||
        compare(a.move.circle, b.move.circle) ||
        a.near - b.near ||
        inOrder(trainText(a.train), trainText(b.train)),
    );
  const ways = found.slice(0, most).map((move) => wayOf(head, aim, differentialChoice(aim, move, true)));
  const refused = all[0] && bracketRefuses(head.differential, all[0].train, all[0].idlers);
  const out = refused
    ? `There are trains for it, but none goes on ${head.name}: ${refused}.`
    : 'No train of these gears reaches this count exactly.';
  return answer({ method: 'differential', ways, total: found.length, out });
}

const compoundChoice = (aim: Aim, { pin, back }: CompoundMove, isExact: boolean): DividingChoice => ({
  method: 'compound',
  advance: advanceText(aim),
  exact: isExact,
  ...onPlate(pin.circle),
  turns: pin.turns,
  spaces: pin.spaces,
  back: { circle: back.circle.holes, spaces: back.spaces },
});

function compoundAnswer({ head }: Ground, aim: Aim, most: number): MethodAnswer {
  const turns = exact(head.ratio).mul(advanceOf(aim));
  const circles = circlesOf(head.plates);
  const found = findCompounds(turns, circles);
  const ways = found.slice(0, most).map((move) => wayOf(head, aim, compoundChoice(aim, move, true)));
  const most2 = head.plates.some(({ sides }) => sides.some((side) => side.circles.length > 1));
  const out = most2
    ? 'No two circles of one plate make this move between them.'
    : 'It needs two circles on one plate.';
  return answer({ method: 'compound', ways: [...ways].sort(byTrouble), total: found.length, out });
}

/** The best of what does not come out exactly, by its worst departure; then the less trouble. */
function approximateAnswer(ground: Ground, aim: Aim, most: number): MethodAnswer {
  const { head, gearSets } = ground;
  const ratio = exact(head.ratio);
  const turns = ratio.mul(advanceOf(aim));
  const circles = circlesToSearch(head);
  const choices: DividingChoice[] = [
    ...findNearMoves(turns, circles).map((move) => crankChoice(aim, move, false)),
    ...circles.map((circle): DividingChoice => ({
      method: 'nearest-hole',
      advance: advanceText(aim),
      ...onPlate(circle),
    })),
    ...findNearCompounds(turns, circlesOf(head.plates))
      .slice(0, most)
      .map((move) => compoundChoice(aim, move, false)),
  ];
  if (differentialOut(ground, aim) === null) {
    const { differential } = head;
    const near = findNearDifferentials(ratio, countOf(aim)!, {
      circles,
      gears: differentialGears(head, gearSets)!,
      simpleOnly: !differential!.stud,
      most,
      stride: aim.stride,
    });
    for (const move of near) {
      if (bracketRefuses(head.differential, move.train, move.idlers) === null)
        choices.push(differentialChoice(aim, move, false));
    }
  }
  const worst = ({ proof }: Way) => Math.abs(proof.worst.turns);
  const ways = choices
    .map((choice) => wayOf(head, aim, choice))
    // what is exact is found under its own name
    .filter((way) => !way.proof.everySpaceTrue)
    .filter(keepsCount(aim))
    .sort((a, b) => worst(a) - worst(b) || byTrouble(a, b));
  const out =
    circles.length === 0
      ? `${head.name} has no index plates listed.`
      : 'Everything near it is exact already, or off by more than half a part.';
  return answer({ method: 'approximate', ways: ways.slice(0, most), total: ways.length, out });
}

/** What the longer search has found. */
export interface LongSearch {
  readonly methods: readonly MethodAnswer[];
  /** Where nothing exact was found: the nearest counts that this head and its gears do reach. */
  readonly nearest: readonly number[];
}

/** Counts looked at on either side for a neighbour that can be reached. */
const LOOK = 30;

function nearestReached({ head, gearSets, lead }: Ground, divisions: number): number[] {
  const ratio = exact(head.ratio);
  const circles = circlesToSearch(head);
  const gears = head.plateLock && !lead ? differentialGears(head, gearSets) : null;
  if (lead?.drive === 'spindle') return [];
  const reached = (n: number) =>
    findSimpleIndexings(ratio, n, circles).length > 0 ||
    (gears !== null &&
      findDifferentials({
        ratio,
        divisions: n,
        circles,
        gears,
        search: { any: true, simpleOnly: !head.differential!.stud },
      }).length > 0);
  const look = (step: 1 | -1) => {
    for (let n = divisions + step, tried = 0; n >= 2 && tried < LOOK; n += step, tried += 1)
      if (reached(n)) return n;
    return null;
  };
  return [look(-1), look(1)].filter((n) => n !== null);
}

/** Ways of a method that are proved and listed unless more are asked for. */
export const MOST_WAYS = 50;

/**
 * The longer search of the dividing station: differential, compound and approximate indexing. Run it off the
 * thread that the screen is drawn on.
 * @param most ways of each method to prove and return
 */
export function searchMethods(ground: Ground, aim: Aim, most = MOST_WAYS): LongSearch {
  let found: LongSearch = { methods: [], nearest: [] };
  for (const { methods, nearest } of searchMethodsInSteps(ground, aim, most)) found = { methods, nearest };
  return found;
}

/** The same search, told after each method: what was found so far. */
export function* searchMethodsInSteps(
  ground: Ground,
  aim: Aim,
  most = MOST_WAYS,
): Generator<LongSearch & { readonly finished: boolean }> {
  const found: MethodAnswer[] = [];
  const told = () => (ground.lead ? answersWithLead(found, ground.head, ground.lead) : [...found]);
  const searches = [
    // with the lead geared there is nothing to look for
    () =>
      ground.lead
        ? answer({ method: 'differential', ways: [], total: 0, out: '' })
        : differentialAnswer(ground, aim, most),
    () => compoundAnswer(ground, aim, most),
    () => approximateAnswer(ground, aim, most),
  ];
  for (const search of searches) {
    found.push(search());
    yield { methods: told(), nearest: [], finished: false };
  }
  const methods = told();
  const count = countOf(aim);
  const geared = methods.some(({ method, total }) => method === 'differential' && total > 0);
  const simple = simpleAnswer(ground, aim).total > 0;
  const nearest = count !== null && !geared && !simple ? nearestReached(ground, count) : [];
  yield { methods, nearest, finished: true };
}

/** The way with the least trouble of all there are on a head, exact ones first; null when there is none. */
export function bestWay(ground: Ground, aim: Aim): Way | null {
  const answers = rankMethods([...quickMethods(ground, aim), ...searchMethods(ground, aim, 1).methods]);
  const ways = answers.flatMap(({ ways: found }) => found.slice(0, 1));
  return ways.find(({ proof }) => proof.everySpaceTrue) ?? ways[0] ?? null;
}
