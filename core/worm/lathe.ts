import {
  compareTrains,
  findNearTrains,
  tableOfGears,
  trainRatio,
  type OwnedGear,
  type Train,
} from '../gearing/index.ts';
import { approx, exact, exactText, type Exact } from '../units/index.ts';

/** A lathe as far as an odd thread needs it. */
export interface Lathe {
  /** Travel for one turn of the leadscrew, mm, exact. */
  readonly leadscrew: Exact;
  /** Turns of the leadscrew for one of the gearbox's input, for each setting; [1] without a box. Exact, > 0. */
  readonly box: readonly { readonly name: string; readonly ratio: Exact }[];
  readonly gears: readonly OwnedGear[];
  /** Has the banjo room for two gears side by side? */
  readonly stud: boolean;
}

/** Gears and a setting of the box that cut a lead, and what they are off. */
export interface LatheWay {
  readonly setting: string;
  /** Drivers from the spindle on, drivens to the box. */
  readonly train: Train;
  /** mm, exact text. */
  readonly leadText: string;
  readonly lead: number;
  /** Parts in a million; more than 0: too long. */
  readonly ppm: number;
  /** How far the thread has gone astray at the end of the length engaged, µm. */
  readonly overLength: number;
}

/**
 * The change gears and box settings nearest to a lead, each setting searched with the same search that leads on the mill use.
 * @param lead wanted, mm @param engaged length of thread in the wheel, mm @param most how many
 * @returns the least astray first, the plainer of two alike; empty where no gears are owned
 * Source: lead cut = leadscrew × box × drivers/drivens; checked against every train and setting in the test
 */
export function findLatheGears(lathe: Lathe, lead: number, engaged: number, most: number): readonly LatheWay[] {
  const table = tableOfGears(lathe.gears);
  return lathe.box
    .flatMap(({ name, ratio }) => {
      const base = lathe.leadscrew.mul(ratio);
      const near = findNearTrains(table, lead / approx(base), { compound: lathe.stud, most });
      return near.map((train): LatheWay => {
        const cut = base.mul(trainRatio(train));
        const off = approx(cut) / lead - 1;
        return { setting: name, train, leadText: exactText(cut), lead: approx(cut), ppm: off * 1e6, overLength: engaged * off * 1000 };
      });
    })
    .sort((a, b) => Math.abs(a.ppm) - Math.abs(b.ppm) || compareTrains(a.train, b.train))
    .slice(0, most);
} // prettier-ignore

/** Fractions that stand for π among whole gears, with what they are off, parts in a million. */
export const PI_STAND_INS: readonly { readonly text: string; readonly value: Exact; readonly ppm: number }[] =
  (['22/7', '355/113', '157/50', '377/120'] as const).map((text) => ({
    text,
    value: exact(text),
    ppm: (approx(exact(text)) / Math.PI - 1) * 1e6,
  }));
