import { radiansOf } from '../units/index.ts';
import { families, PITCHES, type Family, type KnownPitch } from './families.ts';
import { addendumOf, readingMisfit, type Hypothesis } from './predict.ts';
import { READINGS, type ReadingName, type Readings } from './readings.ts';

/** A gear the sample may be, and how ill the readings sit on it. */
export interface Candidate {
  readonly hypothesis: Hypothesis;
  readonly pitch: KnownPitch;
  /** 0 and up: misfits of the readings, and how rare such a gear is. */
  readonly cost: number;
  /** Place among equals: family, pitch, count. */
  readonly order: readonly [number, number, number];
}

/** Angles a helical sample may have; less is seen as none, more is a screw. Radians. */
const HELIX = { least: radiansOf(5), most: radiansOf(46) };

const better = (a: Candidate, b: Candidate): number =>
  a.cost - b.cost || a.order[0] - b.order[0] || a.order[1] - b.order[1] || a.order[2] - b.order[2];

/**
 * The helix angle by the readings that tell it: a lead, else a print off the tips brought down to the pitch
 * cylinder; null when there is none.
 */
function helixRead({
  family,
  module,
  teeth,
  readings: { lead, helixAngle },
}: {
  readonly family: Family;
  readonly module: number;
  readonly teeth: number;
  readonly readings: Readings;
}): number | null {
  if (lead !== null) {
    const sine = (Math.PI * teeth * module) / lead;
    return sine < Math.sin(HELIX.most) ? Math.asin(sine) : null;
  }
  if (helixAngle === null) return null;
  const addendum = addendumOf(family) * module;
  let angle = helixAngle;
  for (let i = 0; i < 4; i += 1) {
    const pitchDiameter = (teeth * module) / Math.cos(angle);
    angle = Math.atan((Math.tan(helixAngle) * pitchDiameter) / (pitchDiameter + 2 * addendum));
  }
  return angle;
}

/** The helix angle at which a count of this pitch has the outside that was read; null when there is none. */
function helixFor({
  family,
  module,
  teeth,
  readings,
}: {
  readonly family: Family;
  readonly module: number;
  readonly teeth: number;
  readonly readings: Readings;
}): number | null {
  if (!readings.tip) return helixRead({ family, module, teeth, readings });
  // worn tips read low: a quarter of the usual loss is added back
  const pitchDiameter = readings.tip.mm + readings.wear / 4 - 2 * addendumOf(family) * module;
  const cos = (teeth * module) / pitchDiameter;
  if (!(cos > 0 && cos < 1)) return null;
  const angle = Math.acos(cos);
  return angle >= HELIX.least && angle <= HELIX.most ? angle : null;
}

/**
 * A helical gear can be made to fit any outside, so one that was not even looked for has to have its teeth
 * counted.
 */
const helicalMay = (readings: Readings): boolean =>
  readings.teeth.least === readings.teeth.most || readings.helixAngle !== null || readings.lead !== null;

const rest = (guide: ReadingName | null): readonly ReadingName[] => READINGS.filter((name) => name !== guide);

/** Misfits added up until they pass what may be kept. */
function costOf({
  names,
  hypothesis,
  readings,
  from,
  limit,
}: {
  readonly names: readonly ReadingName[];
  readonly hypothesis: Hypothesis;
  readonly readings: Readings;
  readonly from: number;
  readonly limit: number;
}): number {
  let cost = from;
  for (const name of names) {
    cost += readingMisfit(name, hypothesis, readings);
    if (cost > limit) return cost;
  }
  return cost;
}

/** The best so far, in order, no more than wanted. */
class Best {
  private readonly kept: Candidate[] = [];
  private readonly wanted: number;
  constructor(wanted: number) {
    this.wanted = wanted;
  }
  get limit(): number {
    return this.kept.length < this.wanted ? Infinity : this.kept.at(-1)!.cost;
  }
  offer(candidate: Candidate): void {
    if (candidate.cost > this.limit) return;
    let place = this.kept.length;
    while (place > 0 && better(candidate, this.kept[place - 1]!) < 0) place -= 1;
    this.kept.splice(place, 0, candidate);
    if (this.kept.length > this.wanted) this.kept.pop();
  }
  list(): readonly Candidate[] {
    return this.kept;
  }
}

/** The reading whose misfit has one low point along the counts, to walk outward from. */
const GUIDES: readonly ReadingName[] = ['tip', 'root', 'mateCentre', 'survivors', 'span'];
const guideOf = (readings: Readings): ReadingName | null =>
  GUIDES.find((name) => readings[name as 'tip'] !== null && !(name === 'tip' && readings.tip!.acrossOdd)) ??
  null;

/** The count at which a guide’s reading would be nominal for this pitch. */
function centreOf({
  guide,
  family,
  module,
  readings,
}: {
  readonly guide: ReadingName;
  readonly family: Family;
  readonly module: number;
  readonly readings: Readings;
}): number {
  const at = (teeth: number): Hypothesis => ({ family, module, teeth, helixAngle: 0 });
  switch (guide) {
    case 'tip':
      return readings.tip!.mm / module - 2 * addendumOf(family);
    case 'root':
      return readings.root! / module + (family.stub ? 2 : 2.5);
    case 'mateCentre':
      return (2 * readings.mateCentre!.mm) / module - readings.mateCentre!.teeth;
    case 'survivors':
      return readings.survivors!.teeth;
    default: {
      // the span grows a little with each tooth: find where its misfit is least by halving
      let [low, high] = [4, 1000];
      while (high - low > 2) {
        const middle = Math.floor((low + high) / 2);
        const [here, next] = [middle, middle + 1].map((teeth) => readingMisfit(guide, at(teeth), readings));
        if (here! < next!) high = middle;
        else if (here! > next!) low = middle;
        else return middle;
      }
      return (low + high) / 2;
    }
  }
}

/**
 * The gears that readings of a sample fit best, over every family and standard pitch. For each pitch the
 * counts are walked outward from where one reading is nominal, and left as soon as that reading alone costs
 * more than the worst that is kept: nothing better lies further out.
 * @param wanted how many, ≥ 1
 * @returns best first; equal to {@link searchPlainly}
 */
export function search(readings: Readings, wanted: number): readonly Candidate[] {
  const best = new Best(wanted);
  const { least, most } = readings.teeth;
  const guide = guideOf(readings);
  const others = rest(guide);
  const angleTold = readings.span !== null || readings.basePitch !== null;
  for (const [f, family] of families(angleTold, readings.helix).entries()) {
    if (family.helical && !helicalMay(readings)) continue;
    for (const [p, pitch] of PITCHES[family.system].entries()) {
      const { module } = pitch;
      const prior = family.rarity + pitch.rarity;
      if (prior > best.limit) continue;
      const take = (teeth: number, helixAngle: number, guided: number) => {
        const hypothesis = { family, module, teeth, helixAngle };
        const cost = costOf({ names: others, hypothesis, readings, from: prior + guided, limit: best.limit });
        if (cost <= best.limit) best.offer({ hypothesis, pitch, cost, order: [f, p, teeth] });
      };
      const guidedCost = (teeth: number, helixAngle: number) =>
        guide ? readingMisfit(guide, { family, module, teeth, helixAngle }, readings) : 0;
      if (family.helical) {
        for (let teeth = least; teeth <= most; teeth += 1) {
          const angle = helixFor({ family, module, teeth, readings });
          if (angle !== null) take(teeth, angle, guidedCost(teeth, angle));
        }
        continue;
      }
      if (!guide || most - least < 3) {
        for (let teeth = least; teeth <= most; teeth += 1) take(teeth, 0, guidedCost(teeth, 0));
        continue;
      }
      const middle = Math.round(
        Math.min(most, Math.max(least, centreOf({ guide, family, module, readings }))),
      );
      for (const way of [1, -1]) {
        // the first step past the middle may still come down a little: rounding
        let came = Infinity;
        for (let teeth = way === 1 ? middle : middle - 1; teeth >= least && teeth <= most; teeth += way) {
          const guided = guidedCost(teeth, 0);
          if (prior + guided > best.limit && guided >= came) break;
          came = guided;
          take(teeth, 0, guided);
        }
      }
    }
  }
  return best.list();
}

/** The same by plain nested search over every family, pitch and count: the witness of {@link search}. */
export function searchPlainly(readings: Readings, wanted: number): readonly Candidate[] {
  const found: Candidate[] = [];
  const angleTold = readings.span !== null || readings.basePitch !== null;
  for (const [f, family] of families(angleTold, readings.helix).entries()) {
    if (family.helical && !helicalMay(readings)) continue;
    for (const [p, pitch] of PITCHES[family.system].entries()) {
      for (let teeth = readings.teeth.least; teeth <= readings.teeth.most; teeth += 1) {
        const angle = family.helical ? helixFor({ family, module: pitch.module, teeth, readings }) : 0;
        if (angle === null) continue;
        const hypothesis = { family, module: pitch.module, teeth, helixAngle: angle };
        const prior = family.rarity + pitch.rarity;
        const guide = guideOf(readings);
        const guided = guide ? readingMisfit(guide, hypothesis, readings) : 0;
        const cost = costOf({
          names: rest(guide),
          hypothesis,
          readings,
          from: prior + guided,
          limit: Infinity,
        });
        found.push({ hypothesis, pitch, cost, order: [f, p, teeth] });
      }
    }
  }
  return found.sort(better).slice(0, wanted);
}
