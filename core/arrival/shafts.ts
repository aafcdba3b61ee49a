import { standardPitches } from '../gear/index.ts';
import { centreForBacklash, deeperForThinning, meshAt, type Pair } from '../mesh/index.ts';
import { cutterFor } from '../cutter/index.ts';
import { approx, pitchText, type Pitch } from '../units/index.ts';

/** What is asked of two shafts, in figures. Lengths mm. */
export interface ShaftsAsked {
  readonly centre: number;
  /** ± of that distance. */
  readonly give: number;
  /** Teeth of the second over the first; null for any. */
  readonly ratio: number | null;
  /** How far it may be off, as a part of it. */
  readonly ratioGive: number;
  /** Pitches to look through; null for every standard one. */
  readonly pitches: 'any' | 'module' | 'dp' | Pitch;
  readonly leastTeeth: number;
  /** Backlash wanted; null: what is usual for the pitch. */
  readonly backlash: number | null;
  /** radians */
  readonly pressureAngle: number;
  /** Addendum and whole depth, modules. */
  readonly addendum: number;
  readonly wholeDepth: number;
}

/** A pair for two shafts, and what would put it right where it is not. Lengths mm. */
export interface PairForShafts {
  readonly system: Pitch['system'];
  readonly pitch: string;
  readonly figure: string;
  readonly module: number;
  readonly teeth: readonly [number, number];
  readonly ratio: number;
  readonly nominalCentre: number;
  /** Real less nominal. */
  readonly off: number;
  /** At the real distance; negative: interference. Null: cannot roll at all. */
  readonly backlash: number | null;
  readonly contactRatio: number | null;
  readonly sits: 'exact' | 'loose' | 'tight';
  readonly remedies: {
    /** The shafts would have to stand here for the wanted backlash. */
    readonly spreadTo: number;
    /** Deeper into the first gear, or the second, for the wanted backlash; 0 when there is enough. */
    readonly deeper: readonly [number, number];
    /** With one tooth fewer on the second: backlash then, null when it cannot roll. */
    readonly oneFewer: number | null;
  };
}

/** Backlash given when nothing else is asked, modules. Common practice. */
const USUAL = 0.04;
/** Teeth of the smaller gear that run well, and what each one more counts against a pair. Common practice. */
const ENOUGH_TEETH = 24;
const MANY_TEETH = 0.03;
/** How far real and nominal centres may be apart for a pair to be told, modules. */
const NEAR = 0.6;

const pairOf = (asked: ShaftsAsked, module: number, teeth: readonly [number, number]): Pair => {
  const gear = (count: number) => ({
    teeth: count,
    addendum: asked.addendum * module,
    wholeDepth: asked.wholeDepth * module,
    thinning: 0,
  });
  return { module, pressureAngle: asked.pressureAngle, gears: [gear(teeth[0]), gear(teeth[1])] };
};

function judged(asked: ShaftsAsked, pitch: Pitch, teeth: readonly [number, number]): PairForShafts {
  const module = approx(pitch.module);
  const pair = pairOf(asked, module, teeth);
  const report = meshAt(pair, asked.centre);
  const wanted = asked.backlash ?? USUAL * module;
  const short = wanted - (report.backlash ?? 0);
  const deeper = (count: number) =>
    short > 1e-9 && report.backlash !== null
      ? deeperForThinning(short, asked.pressureAngle, cutterFor(count)?.range.from ?? count)
      : 0;
  const fewer: readonly [number, number] = [teeth[0], teeth[1] - 1];
  const off = asked.centre - report.nominalCentre;
  return {
    system: pitch.system,
    pitch: pitchText(pitch),
    figure: pitchText(pitch).replace(/[^\d.]/g, ''),
    module,
    teeth,
    ratio: teeth[1] / teeth[0],
    nominalCentre: report.nominalCentre,
    off,
    backlash: report.backlash,
    contactRatio: report.contactRatio,
    sits: Math.abs(off) <= asked.give + 1e-9 ? 'exact' : off > 0 ? 'loose' : 'tight',
    remedies: {
      spreadTo: centreForBacklash(pair, wanted),
      deeper: [deeper(teeth[0]), deeper(teeth[1])],
      oneFewer: meshAt(pairOf(asked, module, fewer), asked.centre).backlash,
    },
  };
}

/** However widely a distance is given, sums further off than this many half teeth are not looked at. */
const MOST_APART = 6;

interface Ranked {
  readonly cost: number;
  readonly pitch: Pitch;
  readonly teeth: readonly [number, number];
}

const better = (a: Ranked, b: Ranked): number =>
  a.cost - b.cost || approx(b.pitch.module) - approx(a.pitch.module) || a.teeth[0] - b.teeth[0];

/** The best so far, thrown out now and then so that few are held. */
class Kept {
  private held: Ranked[] = [];
  private limit = Infinity;
  total = 0;
  private readonly wanted: number;
  constructor(wanted: number) {
    this.wanted = wanted;
  }
  offer(cost: number, pitch: Pitch, teeth: readonly [number, number]): void {
    this.total += 1;
    if (cost > this.limit) return;
    this.held.push({ cost, pitch, teeth });
    if (this.held.length > 8 * this.wanted) this.limit = this.best().at(-1)!.cost;
  }
  best(): readonly Ranked[] {
    this.held = this.held.sort(better).slice(0, this.wanted);
    return this.held;
  }
}

/** Pitches less often met come after. Common practice. */
const rarity = (series: 'I' | 'II' | 'fine' | 'dp'): number =>
  series === 'II' ? 0.12 : series === 'fine' ? 0.05 : 0;

/**
 * Every pair of standard pitch whose centres land on, or near, a distance; exact ones first, then by what
 * would have to be done to them and how far the ratio is off.
 * @param wanted how many, ≥ 1
 * @returns the best, and how many there are
 * Source: a = m(z1 + z2)/2; checked against plain enumeration in the test
 */
export function findPairs(
  asked: ShaftsAsked,
  wanted: number,
): { readonly pairs: readonly PairForShafts[]; readonly total: number } {
  const { pitches, centre, ratio, ratioGive, leastTeeth } = asked;
  const known =
    typeof pitches === 'object'
      ? [{ pitch: pitches, series: 'I' as const }]
      : (pitches === 'any' ? (['module', 'dp'] as const) : [pitches]).flatMap((system) =>
          standardPitches(system),
        );
  const kept = new Kept(wanted);
  for (const { pitch, series } of known) {
    const module = approx(pitch.module);
    const sum = (2 * centre) / module;
    if (sum < 2 * leastTeeth - 1 || sum > 1200) continue;
    const near = Math.min(MOST_APART, Math.max(NEAR, asked.give / module));
    for (let total = Math.ceil(sum - 2 * near); total <= Math.floor(sum + 2 * near); total += 1) {
      const off = Math.abs(total - sum) / 2;
      // the larger ratio of a range needs the smaller first gear
      const [least, most] =
        ratio === null
          ? [leastTeeth, Math.floor(total / 2)]
          : [
              Math.ceil(total / (1 + ratio * (1 + ratioGive)) - 1e-9),
              Math.floor(total / (1 + ratio * (1 - ratioGive)) + 1e-9),
            ];
      for (let one = Math.max(leastTeeth, least); one <= Math.min(most, total - leastTeeth); one += 1) {
        const two = total - one;
        const miss = ratio === null ? 0 : Math.abs(two / one / ratio - 1);
        const exactly = off * module <= asked.give + 1e-9;
        // fine teeth make exact pairs of anything; a person wants as few as run well
        const many = MANY_TEETH * Math.max(0, Math.min(one, two) - ENOUGH_TEETH);
        const cost =
          many +
          (exactly ? 0 : 1 + 8 * off) +
          30 * miss +
          rarity(series) +
          (total < sum ? 0 : exactly ? 0 : 0.3);
        kept.offer(cost, pitch, [one, two]);
      }
    }
  }
  const pairs = kept.best().map(({ pitch, teeth }) => judged(asked, pitch, teeth));
  return { pairs, total: kept.total };
}
