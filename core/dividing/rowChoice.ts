import type { Head } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import type { ChartRow } from './chart.ts';
import type { CrankChoice } from './schema.ts';
import { circlesOf } from './simple.ts';

/**
 * The way that a chart's row says, as it is chosen on a head: to be used by whoever has found the row right.
 * @param row one that is right on this head: see `checkChart`
 * @returns null where the head has no such circle, or the crank is moved for no whole count
 */
export function choiceOfRow(
  { divisions, turns, spaces, circle, gears }: ChartRow,
  { plates, mounted, ratio }: Pick<Head, 'plates' | 'mounted' | 'ratio'>,
): CrankChoice | null {
  const serves = circlesOf(plates).filter(({ holes }) => holes === circle);
  // the plate that is on, before one that has to be put on
  const on = serves.find(({ plateId, side }) => plateId === mounted?.plateId && side === mounted.side);
  const place = on ?? serves[0];
  if (!place || spaces >= circle) return null;
  const move = {
    advance: `1/${divisions}`,
    exact: true,
    plateId: place.plateId,
    plateName: place.plateName,
    side: place.side,
    circle,
    turns,
    spaces,
  };
  if (!gears) return { method: 'simple', ...move };
  const near = exact(ratio).div(exact(turns).add(exact(spaces, circle)));
  if (near.d !== 1n) return null;
  const { spindle, stud, plateShaft, idlers } = gears;
  return {
    method: 'differential',
    ...move,
    near: Number(near.n),
    train: stud
      ? { driver: spindle, driven: stud.first, second: { driver: stud.second, driven: plateShaft } }
      : { driver: spindle, driven: plateShaft, second: null },
    idlers,
  };
}
