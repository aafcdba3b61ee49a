import { plateRatioBy } from '../dividing/index.ts';
import { meshesOf, trainRatio, type Train } from '../gearing/index.ts';
import type { GearSet } from '../shop/index.ts';
import { exact, type Exact } from '../units/index.ts';
import type { ActionOf } from './actions.ts';
import type { HeadBench } from './bench.ts';
import { done, held, type Done, type Machine } from './machine.ts';

/* What stands on the head and can be changed by hand: gears and idlers, the plate and its side. */

/** Gears as they are on, from the first shaft to the last. */
export interface GearsOn {
  readonly train: Train;
  readonly idlers: number;
}

/** Gears a bench is made ready with: from the spindle to the plate, or from the table’s screw. */
export interface Gearing extends GearsOn {
  readonly between: 'spindle' | 'screw';
  /** Out of which set of the shop; null where none is named. */
  readonly setId: string | null;
}

/** Every mesh turns the hand round, and every idler makes one more. */
const meshes = ({ train, idlers }: GearsOn): number => meshesOf(train).length + idlers;

/**
 * Turns of the plate for one of the spindle, by the gears that are on; 0 where none join them.
 * Idlers as is the custom: heads differ.
 */
export function plateRatioNow({ gearing }: Pick<HeadBench, 'gearing'>, { gears }: Machine): Exact {
  return gearing?.between === 'spindle' && gears ? plateRatioBy(gears) : exact(0);
}

/**
 * The lead that the table is geared for, mm; < 0 for a left hand. Null where no gears turn the plate.
 */
export function leadNow({ gearing, helix }: HeadBench, { gears }: Machine): number | null {
  if (!helix) return null;
  const made = helix.hand === 'right' ? helix.lead : -helix.lead;
  if (gearing?.between !== 'screw') return made;
  if (!gears) return null;
  // once round takes as much more travel as the train is slower than the one it was made ready with
  const slower = trainRatio(gearing.train).div(trainRatio(gears.train)).valueOf();
  return (meshes(gears) - meshes(gearing)) % 2 === 0 ? made * slower : -made * slower;
}

/** Of a drawer of change gears: how many there are of each tooth count. */
export type Drawer = GearSet['gears'];

/** Gears that are on and not in the drawer so often. @returns in the order they mesh, each count once */
export function notOwned(
  { train }: GearsOn,
  drawer: Drawer,
): readonly { readonly teeth: number; readonly owned: number; readonly on: number }[] {
  const on = meshesOf(train).flatMap(({ driver, driven }) => [driver, driven]);
  return [...new Set(on)]
    .map((teeth) => ({
      teeth,
      owned: drawer.reduce((sum, gear) => sum + (gear.teeth === teeth ? gear.count : 0), 0),
      on: on.filter((each) => each === teeth).length,
    }))
    .filter(({ owned, on: many }) => many > owned);
}

/** Are the spindle, or the table, and the plate joined by gears? */
export const isGearedNow = (machine: Pick<Machine, 'gears'>): boolean => machine.gears !== null;

/** Gears are taken off, or others put on. */
export function putGears(bench: HeadBench, machine: Machine, { on }: ActionOf<'gears'>): Done {
  if (!bench.gearing) return held(machine, 'no-bracket');
  return done({ ...machine, gears: on }, { what: 'did' });
}

/** Circles of the plate’s side that is in front. */
export function circlesOn({ plates, circles }: HeadBench, { mounted }: Machine): readonly number[] {
  const plate = plates.find(({ id }) => id === mounted?.plateId);
  return (mounted && plate?.sides[mounted.side]?.circles) ?? circles;
}

/** The circle of a plate that lies nearest to where the pin is: of as many holes, or nearly. */
const nearestCircle = (circles: readonly number[], holes: number): number =>
  circles.reduce((best, each) => (Math.abs(each - holes) < Math.abs(best - holes) ? each : best));

/**
 * Another plate, or its other side, put on with a hole under the pin. What was marked on the one before is
 * gone: that hole is 0.
 */
export function putPlate(bench: HeadBench, machine: Machine, { plateId, side }: ActionOf<'plate'>): Done {
  const circles = bench.plates.find(({ id }) => id === plateId)?.sides[side]?.circles;
  if (!machine.mounted || !circles) return held(machine, 'no-plate');
  if (machine.pin === 'in') return held(machine, 'pin-in-plate');
  const circle = nearestCircle(circles, machine.circle);
  const arms = { ...machine.arms, at: exact(0) };
  const on = { mounted: { plateId, side }, plate: machine.crank, zero: exact(0) };
  return done({ ...machine, ...on, circle, arms }, { what: 'did' });
}
