import type { FormCutter } from '../shop/index.ts';
import { formErrors } from '../toothform/index.ts';
import { approx, decimalText, exactText, pitchText, radiansOf } from '../units/index.ts';
import { isStockPitch, judgeCutter, type CutterNeed } from './judge.ts';
import { FIFTEEN, otherSchool, type SchoolRange } from './sets.ts';

/** A gear that has to be cut some day. */
export interface PlannedGear {
  readonly name: string;
  readonly need: CutterNeed;
}

/** A cutter to be bought, and what it is for. */
export interface ToBuy {
  readonly pitch: string;
  readonly angleDeg: string;
  readonly inch: string;
  readonly metric: string;
  readonly from: number;
  readonly to: number | null;
  readonly serves: readonly {
    readonly name: string;
    readonly teeth: number;
    /** Worst error of the flank with it, µm. */
    readonly error: number;
  }[];
}

export interface Shopping {
  readonly buy: readonly ToBuy[];
  /** What owned cutters serve already. */
  readonly served: readonly { readonly name: string; readonly by: string }[];
  /** Below every set: a tool has to be ground. */
  readonly toGrind: readonly { readonly name: string; readonly teeth: number }[];
}

/** Flank error of a gear with a cutter made for a count, µm. Depth 2.157·m, as form cutters have it. */
function errorWith({ pitch, angleDeg }: CutterNeed, count: number, madeFor: number): number {
  const module = approx(pitch.module);
  const form = {
    teeth: count,
    module,
    pressureAngle: radiansOf(approx(angleDeg)),
    addendum: module,
    wholeDepth: 2.157 * module,
    thinning: 0,
  };
  return formErrors(form, madeFor, 24).worst;
}

interface Wanted {
  readonly gear: PlannedGear;
  readonly count: number;
  /** Places in FIFTEEN of the cutters that serve it, next to each other. */
  readonly low: number;
  readonly high: number;
}

/**
 * The cutters that serve a count: those whose range covers it, and those whose error a person puts up with.
 */
function wantedOf(gear: PlannedGear, tolerance: number): Wanted | null {
  const { need } = gear;
  const count = need.teeth / Math.cos(radiansOf(need.helixDeg)) ** 3;
  const serves = (range: SchoolRange) =>
    (count >= range.from - 0.5 && (range.to === null || count < range.to + 0.5)) ||
    (tolerance > 0 && errorWith(need, count, range.from) <= tolerance);
  const places = FIFTEEN.flatMap((range, i) => (serves(range) ? [i] : []));
  return places.length === 0 ? null : { gear, count, low: places[0]!, high: places.at(-1)! };
}

/**
 * The fewest cutters to buy so that every planned gear can be cut. Along the row of fifteen each gear takes a
 * stretch of cutters that would serve it; the fewest that touch every stretch are found from the left, one at
 * each end met first.
 * @param owned the shop’s cutters: what they serve is not bought again
 * @param tolerance µm of flank error a person puts up with beyond the ranges; 0 keeps to the ranges
 * Source: least points that touch every interval; checked against all choices in the test
 */
export function fewestCutters(
  gears: readonly PlannedGear[],
  owned: readonly FormCutter[],
  tolerance: number,
): Shopping {
  const served: { name: string; by: string }[] = [];
  const toGrind: { name: string; teeth: number }[] = [];
  const groups = new Map<string, Wanted[]>();
  for (const gear of gears) {
    const { need } = gear;
    const mine = owned.find((cutter) => judgeCutter({ cutter, need, by: 'book', owned }).verdict === 'fits');
    if (mine) {
      served.push({ name: gear.name, by: mine.name });
      continue;
    }
    const wanted = wantedOf(gear, tolerance);
    // of several starts no stock cutter has the pitch across the thread
    if (!wanted || !isStockPitch(need)) toGrind.push({ name: gear.name, teeth: need.teeth });
    else {
      const key = `${exactText(need.pitch.module)} ${exactText(need.angleDeg)}`;
      groups.set(key, [...(groups.get(key) ?? []), wanted]);
    }
  }
  const buy = [...groups.values()].flatMap(coverGroup);
  return { buy, served, toGrind };
}

function coverGroup(group: readonly Wanted[]): ToBuy[] {
  let left = [...group].sort((a, b) => a.high - b.high);
  const found: ToBuy[] = [];
  while (left.length > 0) {
    const at = left[0]!.high;
    const taken = left.filter(({ low }) => low <= at);
    left = left.filter(({ low }) => low > at);
    // of the cutters that serve all of these, a whole number is easier to come by
    const low = Math.max(...taken.map((wanted) => wanted.low));
    const range = FIFTEEN.slice(low, at + 1).find(({ half }) => !half) ?? FIFTEEN[at]!;
    const { need } = taken[0]!.gear;
    found.push({
      pitch: pitchText(need.pitch),
      angleDeg: decimalText(need.angleDeg),
      inch: range.number,
      metric: otherSchool(range.number),
      from: range.from,
      to: range.to,
      serves: taken.map(({ gear, count }) => ({
        name: gear.name,
        teeth: gear.need.teeth,
        error: errorWith(gear.need, count, range.from),
      })),
    });
  }
  return found;
}
