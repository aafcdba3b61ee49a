import { approx, exact } from '../units/index.ts';
import type { HeadBench, PracticeBench, TableBench } from './bench.ts';
import { cutsAsDeep } from './counted.ts';
import type { Machine } from './machine.ts';
import { afterWidestLand, outsideReads, spacesBelow, type FoundSpace, type Where } from './measure.ts';
import type { Work } from './work.ts';

/* What is measured on work that is no gear: a rack, slots in a row, flats. */

/** What a row of figures is of. */
export type DividedWhat =
  | 'depth'
  /** From one to the next: along a bar, or the angle round the work. */
  | 'step'
  | 'length'
  /** A rack’s tooth at its pitch line. */
  | 'tooth'
  /** Of a slot, at half its depth. */
  | 'width'
  | 'across-flats'
  /** How far a slot’s middle stands beside the work’s. */
  | 'aside'
  /** How far the first stands aside where the cutter leaves, beside where it enters; round work at its outside. */
  | 'lean';

/** Least and most of what was read, beside what the card wants; mm, or degrees where it says so. */
export interface DividedReading {
  readonly what: DividedWhat;
  readonly where: Where;
  readonly least: number;
  readonly most: number;
  readonly wanted: number;
  readonly degrees?: true;
}

export interface DividedReadings {
  /** Cuts there are. */
  readonly cuts: number;
  readonly rows: readonly DividedReading[];
}

const PLACES: readonly Where[] = ['entry', 'middle', 'exit'];

type Row = Omit<DividedReading, 'least' | 'most'>;
const row = (kind: Row, values: readonly number[]): DividedReading[] =>
  values.length === 0
    ? []
    : [
        {
          ...kind,
          least: values.reduce((a, b) => Math.min(a, b)),
          most: values.reduce((a, b) => Math.max(a, b)),
        },
      ];

const middle = ({ from, to }: FoundSpace): number => (from + to) / 2;
const steps = (at: readonly number[]): number[] => at.slice(1).map((each, i) => each - at[i]!);

/** How deep each cut is below the outside as it was made, at its middle. */
const depths = (work: Work, found: readonly FoundSpace[], where: Where): number[] =>
  outsideReads(work, found.map(middle), where).map((reads) => -reads);

function onBar(bench: TableBench, work: Work, depth: number): DividedReading[] {
  const { pitch, rack } = bench.bar;
  // a rack that is not sunk to its pitch line yet has no tooth to be measured there
  const toPitchLine = rack !== null && depth > rack.module;
  const at = (where: Where) =>
    toPitchLine
      ? spacesBelow(work, work.top - rack.module, where)
      : cutsAsDeep(bench, work, { depth, share: 0.5, where });
  const there = at('middle');
  const teeth = there.slice(1).map(({ from }, i) => from - there[i]!.to);
  const [first, last] = [there[0], there.at(-1)];
  const [enters, leaves] = [at('entry')[0], at('exit')[0]];
  return [
    ...PLACES.flatMap((where) =>
      row({ what: 'depth', where, wanted: depth }, depths(work, at(where), where)),
    ),
    ...row({ what: 'step', where: 'middle', wanted: pitch }, steps(there.map(middle))),
    ...(there.length > 2
      ? row({ what: 'length', where: 'middle', wanted: (there.length - 1) * pitch }, [
          middle(last!) - middle(first!),
        ])
      : []),
    ...(toPitchLine
      ? row({ what: 'tooth', where: 'middle', wanted: pitch / 2 }, teeth)
      : row(
          { what: 'width', where: 'middle', wanted: 2 * bench.form.halfWidth(depth / 2) },
          there.map(({ from, to }) => to - from),
        )),
    ...(enters && leaves
      ? row({ what: 'lean', where: 'exit', wanted: 0 }, [middle(leaves) - middle(enters)])
      : []),
  ];
}

function round(bench: HeadBench, work: Work, depth: number): DividedReading[] {
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
  const [enters, leaves] = [at(0.5, 'entry').found[0], at(0.5, 'exit').found[0]];
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
    ...(enters && leaves
      ? row({ what: 'lean', where: 'exit', wanted: 0 }, [
          (middle(leaves) - middle(enters)) * 2 * Math.PI * work.top,
        ])
      : []),
  ];
}

/** Degrees from one to the next, as planned: of a part of a turn as it was asked for. */
const wantedStep = ({ run, teeth }: HeadBench): number =>
  run.full ? 360 / teeth : 360 * approx(exact(run.move.advance));

/** What caliper, depth gauge and protractor find. */
export function dividedReadings(bench: PracticeBench, { work }: Pick<Machine, 'work'>): DividedReadings {
  const depth = bench.run.rounds.at(-1)?.depthMm ?? 0;
  const rows = bench.on === 'table' ? onBar(bench, work, depth) : round(bench, work, depth);
  return { cuts: cutsAsDeep(bench, work, { depth, share: 0.5 }).length, rows };
}
