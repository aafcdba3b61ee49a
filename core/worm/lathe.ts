import {
  compareTrains,
  findNearTrains,
  tableOfGears,
  trainRatio,
  type OwnedGear,
  type Train,
} from '../gearing/index.ts';
import type { BoxSetting } from '../shop/index.ts';
import { approx, exact, exactText, type Exact } from '../units/index.ts';

/** A lathe as far as an odd thread needs it. */
export interface Lathe {
  /** Travel for one turn of the leadscrew, mm, exact. */
  readonly leadscrew: Exact;
  /**
   * Its settings, each with the turns of the leadscrew for one of the spindle when the gears are one to one;
   * none without a box.
   */
  readonly box: readonly BoxSetting[];
  readonly gears: readonly OwnedGear[];
  /** Has the bracket room for two gears side by side? */
  readonly stud: boolean;
}

/** Gears and a setting of the box that cut a lead, and what they are off. */
export interface LatheWay {
  /** Empty without a box. */
  readonly setting: string;
  /**
   * Drivers from the spindle on, drivens to the box; null: the gears as the box’s plate wants them, one to
   * one.
   */
  readonly train: Train | null;
  /** mm, exact text. */
  readonly leadText: string;
  readonly lead: number;
  /** Parts in a million; more than 0: too long. */
  readonly ppm: number;
  /** How far the thread has gone astray at the end of the length engaged, µm. */
  readonly overLength: number;
}

const NO_BOX: BoxSetting = { name: '', ratio: exact(1) };

/** What a train and a setting cut. @param lead wanted, mm @param engaged mm */
export function judgeLatheGears({
  leadscrew,
  boxSetting: { name, ratio },
  train,
  lead,
  engaged,
}: {
  readonly leadscrew: Exact;
  readonly boxSetting: BoxSetting;
  readonly train: Train | null;
  readonly lead: number;
  readonly engaged: number;
}): LatheWay {
  const cut = leadscrew.mul(ratio).mul(train ? trainRatio(train) : 1);
  const off = approx(cut) / lead - 1;
  return {
    setting: name,
    train,
    leadText: exactText(cut),
    lead: approx(cut),
    ppm: off * 1e6,
    overLength: engaged * off * 1000,
  };
}

/**
 * The change gears and box settings nearest to a lead, each setting searched with the same search that leads
 * on the mill use.
 * @param lead wanted, mm @param engaged length of thread in the wheel, mm @param most how many
 * @param dividesBy only those whose gear on the spindle divides by so many starts, slipped on from one to the
 * next; 1: all
 * @returns the least astray first, the plainer of two alike; empty where there are neither gears nor a box
 * Source: lead cut = leadscrew × box × drivers/drivens; checked against every train and setting in the test
 */
export function findLatheGears(
  lathe: Lathe,
  { lead, engaged }: { readonly lead: number; readonly engaged: number },
  { most, dividesBy = 1 }: { readonly most: number; readonly dividesBy?: number },
): readonly LatheWay[] {
  const table = tableOfGears(lathe.gears);
  const settings = lathe.box.length > 0 ? lathe.box : [NO_BOX];
  return settings
    .flatMap((setting) => {
      const wanted = lead / approx(lathe.leadscrew.mul(setting.ratio));
      const near: readonly (Train | null)[] = findNearTrains(table, wanted, {
        compound: lathe.stud,
        most,
        onFirst: (teeth) => teeth % dividesBy === 0,
      });
      const trains = lathe.box.length > 0 && dividesBy === 1 ? [null, ...near] : near;
      return trains.map((train) =>
        judgeLatheGears({ leadscrew: lathe.leadscrew, boxSetting: setting, train, lead, engaged }),
      );
    })
    .sort(compareWays)
    .slice(0, most);
}

/** The least astray first, the plainer of two alike. The order is total. */
export const compareWays = (a: LatheWay, b: LatheWay): number =>
  nearer(a.ppm, b.ppm) ||
  plainer(a.train, b.train) ||
  (a.setting < b.setting ? -1 : a.setting > b.setting ? 1 : 0);

/** The same to a thousandth of a part in a million is the same: the plainer train goes first then. */
const nearer = (a: number, b: number): number =>
  Math.round(Math.abs(a) * 1000) - Math.round(Math.abs(b) * 1000);

const plainer = (a: Train | null, b: Train | null): number =>
  a === null || b === null ? Number(a !== null) - Number(b !== null) : compareTrains(a, b);

/** Fractions that stand for π among whole gears, with what they are off, parts in a million. */
export const PI_STAND_INS: readonly { readonly text: string; readonly value: Exact; readonly ppm: number }[] =
  (['22/7', '355/113', '157/50', '377/120'] as const).map((text) => ({
    text,
    value: exact(text),
    ppm: (approx(exact(text)) / Math.PI - 1) * 1e6,
  }));
