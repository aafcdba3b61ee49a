import { SCHOOL_GEARS } from '../owned.ts';
import {
  checkChart,
  findDifferentials,
  type ChartGears,
  type ChartRow,
  type DifferentialMove,
} from '../../dividing/index.ts';
import { tableOfGears, TWELVE_GEARS } from '../../gearing/index.ts';
import { approx, exact, exactText } from '../../units/index.ts';
import { schoolCircles, schoolMoves } from '../move.ts';
import { planDivided, SCHOOL_CIRCLES, SCHOOL_RATIO, workingAt } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Level } from '../types.ts';

export const R = exact(SCHOOL_RATIO);
const GEARS = tableOfGears(TWELVE_GEARS);
export const headGiven = {
  label: 'Head',
  text: `${SCHOOL_RATIO} : 1, the gears drive the plate from the spindle`,
};
export const gearsGiven = { label: 'Gears', text: SCHOOL_GEARS };
export const circlesGiven = { label: 'Circles', text: SCHOOL_CIRCLES };
const REACH: Readonly<Record<Level, readonly [number, number]>> = {
  1: [51, 100],
  2: [51, 180],
  3: [120, 382],
};

/** A count that is had by gears alone, and the plainest way of it. */
export function differentialCount(
  chance: Chance,
  level: Level,
): { count: number; way: DifferentialMove } | null {
  const count = chance.whole(...REACH[level]);
  if (schoolMoves(count).length > 0) return null;
  const found = findDifferentials({ ratio: R, divisions: count, circles: schoolCircles, gears: GEARS });
  const way = level === 1 ? found.find(({ train }) => !train.second) : found[0];
  return way ? { count, way } : null;
}

const gearsOf = ({ train, idlers }: DifferentialMove): ChartGears => ({
  spindle: train.driver,
  stud: train.second ? { first: train.driven, second: train.second.driver } : null,
  plateShaft: train.second ? train.second.driven : train.driven,
  idlers,
});

export const rowOf = (count: number, way: DifferentialMove): ChartRow => ({
  divisions: count,
  turns: way.move.turns,
  spaces: way.move.spaces,
  circle: way.move.circle.holes,
  gears: gearsOf(way),
});

/** What the plan of a gear so divided works out. */
export function workingOf(count: number, { move, near, train, idlers }: DifferentialMove, ...keys: string[]) {
  const { plateId, plateName, side, holes } = move.circle;
  const crank = { plateId, plateName, side, circle: holes, turns: move.turns, spaces: move.spaces };
  const advance = exactText(exact(1, count));
  const part = planDivided(
    { units: 'mm', pitch: '1', teeth: count },
    { method: 'differential', advance, exact: true, ...crank, near, train, idlers },
  );
  return workingAt(part, 'dividing', ...keys);
}

export const check = (row: ChartRow) =>
  checkChart(row, { ratio: R, circles: schoolCircles, gears: TWELVE_GEARS });

/** A count as it is read: `83`, or `82.47`. */
export const givesText = (gives: string): string => {
  const count = exact(gives);
  return count.d === 1n ? gives : approx(count).toFixed(2);
};
