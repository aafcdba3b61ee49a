import { approx, exact } from '../units/index.ts';
import type { HeadBench } from './bench.ts';
import { cutsAsDeep } from './counted.ts';
import { depths, middle, PLACES, row, steps, type DividedReading } from './dividedRow.ts';
import { afterWidestLand, depthReads, spacesBelow, type FoundSpace, type Where } from './measure.ts';
import type { Rim } from './rim.ts';
import type { Work } from './work.ts';

/** Flats, slots and splines round the work. @param depth mm */
export function roundRows(bench: HeadBench, work: Work, depth: number): DividedReading[] {
  const { run, teeth } = bench;
  const found = afterWidestLand(cutsAsDeep(bench, work, { depth, share: 0.5 }));
  const middles = found.map(middle);
  const apart = steps(middles);
  const whole = run.full && found.length === teeth;
  if (whole && teeth > 1) apart.push(middles[0]! + 1 - middles.at(-1)!);
  const deep = depths(work, found, 'middle');
  const half = teeth / 2;
  const flats = run.divides === 'flat';
  return [
    ...PLACES.flatMap((where) => row({ what: 'depth', where, wanted: depth }, depths(work, found, where))),
    ...row(
      { what: 'step', where: 'middle', wanted: wantedStep(bench), degrees: true },
      apart.map((turn) => turn * 360),
    ),
    // an odd count has no flat across from another
    ...(flats && whole && Number.isInteger(half)
      ? row(
          { what: 'across-flats', where: 'middle', wanted: 2 * (work.top - depth) },
          deep.slice(0, half).map((each, i) => 2 * work.top - each - deep[i + half]!),
        )
      : []),
    ...(flats ? [] : slotsRound(bench, work, depth)),
  ];
}

/** Degrees from one to the next, as planned: of a part of a turn as it was asked for. */
const wantedStep = ({ run, teeth }: HeadBench): number =>
  run.full ? 360 / teeth : 360 * approx(exact(run.move.advance));

/** A point of the outline. @param turn part of a turn from what is straight up @returns mm */
const pointAt = (radius: number, turn: number): readonly [number, number] => [
  radius * Math.sin(2 * Math.PI * turn),
  radius * Math.cos(2 * Math.PI * turn),
];

/** How far a line through two points passes the axis, mm; > 0 on the far side of it, seen clockwise. */
function passesBy([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]): number {
  return (ax * by - ay * bx) / Math.hypot(bx - ax, by - ay);
}

/** Between its walls, how far their middle passes the axis, and how it leans along the work. */
function slotsRound(bench: HeadBench, work: Work, depth: number): DividedReading[] {
  const at = (share: number, where: Where = 'middle') => ({
    radius: work.top - share * depth,
    found: cutsAsDeep(bench, work, { depth, share, where }),
  });
  const [high, low] = [at(0.25), at(0.75)];
  // each wall by two points of it, one below the other
  const walls = high.found.length === low.found.length ? high.found : [];
  const [lefts, rights] = (['from', 'to'] as const).map((side) =>
    walls.map((slot, i) =>
      passesBy(pointAt(low.radius, low.found[i]![side]), pointAt(high.radius, slot[side])),
    ),
  ) as [number[], number[]];
  const where = 'middle';
  return [
    ...row(
      { what: 'width', where, wanted: 2 * bench.form.halfWidth(depth / 2) },
      rights.map((right, i) => right - lefts[i]!),
    ),
    ...row(
      { what: 'aside', where, wanted: 0 },
      rights.map((right, i) => (right + lefts[i]!) / 2),
    ),
    ...row(
      { what: 'lean', where: 'exit', wanted: 0 },
      followed(PLACES.map((place) => at(0.5, place).found)).map((turn) => turn * 2 * Math.PI * work.top),
    ),
  ];
}

/** A wheel as it is gashed: in its throat, and how the gash leans from corner to corner. */
export function rimRows(
  { teeth }: HeadBench,
  { gear, deep, stock, leanWanted }: Rim,
  work: Work,
): DividedReading[] {
  const pitchCircle = Math.PI * gear.pitchDiameter;
  const at = (where: Where) => afterWidestLand(spacesBelow(work, gear.pitchDiameter / 2, where));
  const found = at('middle');
  const middles = found.map(middle);
  const lands = middles.slice(1).map((each, i) => (each + middles[i]!) / 2);
  const apart = steps(middles);
  if (found.length === teeth && teeth > 1) apart.push(middles[0]! + 1 - middles.at(-1)!);
  const where = 'middle';
  return [
    ...row(
      { what: 'depth', where, wanted: deep },
      lands.map((land, i) => depthReads(work, { land, floor: middles[i]!, where })),
    ),
    ...row(
      { what: 'step', where, wanted: 360 / teeth, degrees: true },
      apart.map((turn) => turn * 360),
    ),
    // what is left for a hob is left on the flanks
    ...(stock > 0
      ? []
      : row(
          { what: 'tooth', where, wanted: gear.toothThickness },
          found.slice(1).map(({ from }, i) => (from - found[i]!.to) * pitchCircle),
        )),
    ...row(
      { what: 'lean', where: 'exit', wanted: leanWanted },
      followed(PLACES.map(at)).map((turn) => turn * pitchCircle),
    ),
  ];
}

/** From one direction to another the short way, parts of a turn. */
const shortWay = (from: number, to: number): number => to - from - Math.round(to - from);

/**
 * The first space followed along the face, from place to place the nearest one.
 * @returns how far on it is where it leaves, parts of a turn; nothing where it does not go through
 */
function followed(places: readonly (readonly FoundSpace[])[]): readonly number[] {
  const first = places[0]?.[0];
  if (!first) return [];
  let on = 0;
  for (const found of places.slice(1)) {
    const here = middle(first) + on;
    const ways = found.map((each) => shortWay(here, middle(each)));
    if (ways.length === 0) return [];
    on += ways.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
  }
  return [on];
}
