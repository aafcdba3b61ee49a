import { degreesOf, radiansOf } from '../units/index.ts';
import { usualSpan } from '../inspect/index.ts';
import {
  bandOf,
  basePitchBand,
  spanBand,
  tipBand,
  tipDiameter,
  wouldRead,
  type Band,
  type Hypothesis,
} from './predict.ts';
import { PITCHES } from './families.ts';
import { READINGS, taken, without, type ReadingName, type Readings } from './readings.ts';
import { search, type Candidate } from './search.ts';

/** How a reading sits: within what wear and backlash leave, or so far outside. mm */
export interface Fit {
  readonly reading: ReadingName;
  readonly given: number;
  readonly nominal: number;
  /** Given less nominal. */
  readonly off: number;
  readonly sits: 'within' | 'over' | 'under';
}

/** A gear the sample may be, as plain data. */
export interface Identification {
  readonly system: 'module' | 'dp';
  /** `m 1.25`, `20 DP`. */
  readonly pitch: string;
  /** The figure alone, as it would be typed. */
  readonly figure: string;
  readonly module: number;
  /** Null: what was read does not tell it. */
  readonly angleDeg: number | null;
  readonly stub: boolean;
  readonly teeth: number;
  /** Degrees; 0 for a spur gear. */
  readonly helixDeg: number;
  readonly tipDiameter: number;
  readonly cost: number;
  /**
   * Do the readings sit on it as well as on the first? What is left between them is how often such a gear is
   * met.
   */
  readonly tied: boolean;
  readonly fits: readonly Fit[];
}

/** A reading that does not go with the others, and what the others would have it be. */
export interface Contradiction {
  readonly reading: ReadingName;
  readonly given: number;
  readonly wanted: Band;
  /** What the rest fits. */
  readonly rest: Identification;
  readonly cause:
    | 'unit'
    | 'one-tooth-fewer'
    | 'one-tooth-more'
    | 'across-odd'
    | 'radius'
    | 'miscounted'
    | 'count-again'
    | 'unknown';
}

/** One more measurement that tells the first two apart, and what it would read on each. */
export interface Deciding {
  readonly by: 'span' | 'basePitch' | 'depth' | 'root' | 'tip' | 'count';
  /** Teeth between the jaws, for a span; 0 otherwise. */
  readonly k: number;
  readonly first: number;
  readonly second: number;
  /** How far apart the two are beyond what wear and schools blur, against the tool’s ±. */
  readonly sure: boolean;
}

export interface Identified {
  readonly verdict: 'clear' | 'tie' | 'none' | 'contradiction' | 'nothing-read';
  readonly best: readonly Identification[];
  readonly contradictions: readonly Contradiction[];
  readonly deciding: Deciding | null;
  /** When none fits: the gear as its bare figures say. */
  readonly bare: Bare | null;
}

/** What the figures say without any standard. */
export interface Bare {
  readonly module: number;
  readonly dp: number;
  /** Profile shift with the nearest standard module, where that is modest; null otherwise. */
  readonly shifted: { readonly pitch: string; readonly shift: number } | null;
}

/** Misfits closer than this cannot be told apart: about one ± of the tool. */
const TIE = 1.5;
/** A gear whose readings misfit by more than this is not that gear: three ± on one of them. */
const POOR = 9;

function asIdentification(
  candidate: Candidate,
  readings: Readings,
  first: Candidate = candidate,
): Identification {
  const { hypothesis, pitch, cost } = candidate;
  const fits = READINGS.flatMap((reading): Fit[] => {
    const found = bandOf(reading, hypothesis, readings);
    if (!found) return [];
    const { given, band } = found;
    const nominal = reading === 'mateCentre' ? band.low : band.high;
    const { give } = readings;
    const sits = given > band.high + give ? 'over' : given < band.low - give ? 'under' : 'within';
    return [{ reading, given, nominal, off: given - nominal, sits }];
  });
  return {
    system: pitch.pitch.system,
    pitch: pitch.text,
    figure: pitch.text.replace(/[^\d.]/g, ''),
    module: pitch.module,
    angleDeg: hypothesis.family.angleDeg,
    stub: hypothesis.family.stub,
    teeth: hypothesis.teeth,
    helixDeg: degreesOf(hypothesis.helixAngle),
    tipDiameter: tipDiameter(hypothesis),
    cost,
    // any outside can be made by some helix: an eye decides that, not the tool
    tied:
      misfitOf(candidate) - misfitOf(first) < TIE &&
      hypothesis.helixAngle > 0 === first.hypothesis.helixAngle > 0,
    fits,
  };
}

const misfitOf = ({ cost, hypothesis, pitch }: Candidate): number =>
  cost - hypothesis.family.rarity - pitch.rarity;

/** What was most likely done wrong with a reading that the others contradict. */
function causeOf({
  reading,
  given,
  band,
  hypothesis,
  readings,
}: {
  readonly reading: ReadingName;
  readonly given: number;
  readonly band: Band;
  readonly hypothesis: Hypothesis;
  readonly readings: Readings;
}): Contradiction['cause'] {
  const give = 2 * readings.give;
  const inside = (value: number, { low, high }: Band) => value > low - give && value < high + give;
  if (inside(given * 25.4, band) || inside(given / 25.4, band)) return 'unit';
  if (reading === 'span' && readings.span) {
    const { k } = readings.span;
    if (k > 1 && inside(given, spanBand(hypothesis, k - 1))) return 'one-tooth-fewer';
    if (inside(given, spanBand(hypothesis, k + 1))) return 'one-tooth-more';
  }
  if (reading === 'tip' && readings.tip && !readings.tip.acrossOdd) {
    const across = tipBand(hypothesis, { ...readings, tip: { ...readings.tip, acrossOdd: true } });
    if (hypothesis.teeth % 2 === 1 && inside(given, across)) return 'across-odd';
  }
  if (inside(given * 2, band)) return 'radius';
  return reading === 'teeth' ? 'miscounted' : 'unknown';
}

/** Readings that stand against all the others: without one of them the rest fits. */
function contradictions(readings: Readings): readonly Contradiction[] {
  const names = taken(readings).filter(
    (name) => name !== 'survivors' && name !== 'gauge' && name !== 'helixAngle' && name !== 'lead',
  );
  if (names.length < 2) return [];
  return names.flatMap((reading): Contradiction[] => {
    const others = without(readings, reading);
    const [best] = search(others, 1);
    // what is left must still say something: a size and a count, or two sizes
    if (!best || taken(others).length < 2 || misfitOf(best) > POOR) return [];
    if (reading === 'teeth') {
      const given = readings.teeth.least;
      // a slip of counting is a small one
      if (Math.abs(best.hypothesis.teeth - given) > 3) return [];
      const wanted = { low: best.hypothesis.teeth, high: best.hypothesis.teeth };
      return [{ reading, given, wanted, rest: asIdentification(best, others), cause: 'miscounted' }];
    }
    const found = bandOf(reading, best.hypothesis, readings);
    if (!found) return [];
    const cause = causeOf({
      reading,
      given: found.given,
      band: found.band,
      hypothesis: best.hypothesis,
      readings,
    });
    return [{ reading, given: found.given, wanted: found.band, rest: asIdentification(best, others), cause }];
  });
}

/**
 * Teeth are seldom cut at more, degrees; a helix that nobody saw or measured makes any outside fit some
 * pitch. Common practice.
 */
const UNUSUAL_HELIX = radiansOf(32);

/**
 * A count that was slipped, where the likeliest gear would need an angle that is hardly ever met: straight
 * teeth of that pitch, or of any within two of the count, that sit on the other readings.
 */
function countedWrong(first: Candidate, readings: Readings): readonly Contradiction[] {
  const { helixAngle, module } = first.hypothesis;
  const told = readings.helix === 'seen' || readings.helixAngle !== null || readings.lead !== null;
  const { least, most } = readings.teeth;
  if (told || helixAngle <= UNUSUAL_HELIX || least !== most || !readings.tip) return [];
  const straight = Math.round(readings.tip.mm / module - 2);
  const counts = [least + 1, least - 1, least + 2, least - 2, straight].filter(
    (count) => count >= 4 && count !== least,
  );
  const found = counts.flatMap((count) => {
    const [best] = search({ ...readings, teeth: { least: count, most: count }, helix: 'none' }, 1);
    return best && misfitOf(best) <= TIE ? [best] : [];
  });
  // the very pitch first, then the nearest slip
  const best = found.find((one) => Math.abs(one.hypothesis.module - module) < 1e-9) ?? found[0];
  if (!best) return [];
  const { teeth } = best.hypothesis;
  return [
    {
      reading: 'teeth',
      given: least,
      wanted: { low: teeth, high: teeth },
      rest: asIdentification(best, readings),
      cause: 'count-again',
    },
  ];
}

/** The gap between two bands beyond what blurs each; 0 when they overlap. */
const gap = (a: Band, b: Band): number => Math.max(0, a.low - b.high, b.low - a.high);

/** The measurement not yet taken, or to be taken finer, that tells two gears furthest apart. */
function deciding(one: Hypothesis, two: Hypothesis, readings: Readings): Deciding | null {
  const options: { by: Deciding['by']; k: number; bands: readonly [Band, Band]; fine: number }[] = [];
  const add = ({
    by,
    bands,
    fine = readings.give,
    k = 0,
  }: {
    readonly by: Deciding['by'];
    readonly bands: readonly [Band, Band];
    readonly fine?: number | undefined;
    readonly k?: number | undefined;
  }) => options.push({ by, k, bands, fine });
  // a family whose angle is open is met at either angle: its span is a band over both
  const spanOf = (hypothesis: Hypothesis, k: number): Band => {
    if (hypothesis.family.angleDeg !== null) return spanBand(hypothesis, k);
    const both = [14.5, 20].map((angleDeg) =>
      spanBand({ ...hypothesis, family: { ...hypothesis.family, angleDeg } }, k),
    );
    return { low: Math.min(...both.map(({ low }) => low)), high: Math.max(...both.map(({ high }) => high)) };
  };
  const baseOf = (hypothesis: Hypothesis): Band => {
    if (hypothesis.family.angleDeg !== null) return basePitchBand(hypothesis);
    const both = [20, 14.5].map(
      (angleDeg) => basePitchBand({ ...hypothesis, family: { ...hypothesis.family, angleDeg } }).low,
    );
    return { low: both[0]!, high: both[1]! };
  };
  if (one.teeth !== two.teeth && readings.teeth.least !== readings.teeth.most)
    add({
      by: 'count',
      bands: [
        { low: one.teeth, high: one.teeth },
        { low: two.teeth, high: two.teeth },
      ],
      fine: 0.1,
    });
  const k = usualSpan({
    teeth: one.teeth,
    module: one.module,
    pressureAngle: radiansOf(one.family.angleDeg ?? 20),
  });
  if (!readings.span) add({ by: 'span', bands: [spanOf(one, k), spanOf(two, k)], fine: readings.give, k });
  if (readings.basePitch === null)
    add({ by: 'basePitch', bands: [baseOf(one), baseOf(two)], fine: readings.give, k });
  if (readings.depth === null)
    add({
      by: 'depth',
      bands: [wouldRead.depth(one, readings), wouldRead.depth(two, readings)],
      fine: 2 * readings.give,
    });
  if (readings.root === null)
    add({ by: 'root', bands: [wouldRead.root(one), wouldRead.root(two)], fine: 2 * readings.give });
  if (!readings.tip || readings.give > 0.02) {
    const crisp = { ...readings, tip: readings.tip ?? { mm: 0, acrossOdd: false } };
    add({ by: 'tip', bands: [tipBand(one, crisp), tipBand(two, crisp)], fine: 0.02 });
  }
  const ranked = options
    .map((option) => ({ ...option, apart: gap(...option.bands) / option.fine }))
    .sort((a, b) => b.apart - a.apart);
  const best = ranked[0];
  if (!best || best.apart === 0) return null;
  // the plainest that is enough comes before the widest
  const enough = ranked.filter(({ apart }) => apart >= 3);
  const chosen = enough.find(({ by }) => by === 'span' || by === 'count') ?? best;
  const middle = ({ low, high }: Band) => (low + high) / 2;
  return {
    by: chosen.by,
    k: chosen.k,
    first: middle(chosen.bands[0]),
    second: middle(chosen.bands[1]),
    sure: chosen.apart >= 3,
  };
}

/** A profile shift beyond this leaves no tooth worth the name, modules. Common practice. */
const MOST_SHIFT = 0.7;
/** Pinions are made larger far oftener than smaller. Common practice. */
const INWARD = 0.05;

/**
 * The bare figures, when no standard fits, and the standard pitch whose teeth would have to be moved least.
 */
function bareOf(readings: Readings): Bare | null {
  const { least, most } = readings.teeth;
  if (least !== most || !readings.tip) return null;
  const { mm } = readings.tip;
  const shifts = [...PITCHES.module, ...PITCHES.dp]
    .map(({ text, module, rarity }) => ({ pitch: text, shift: (mm / module - least - 2) / 2, rarity }))
    .filter(({ shift }) => Math.abs(shift) <= MOST_SHIFT);
  const size = ({ shift, rarity }: (typeof shifts)[number]) =>
    Math.abs(shift) + (shift < 0 ? INWARD : 0) + rarity / 10;
  const [nearest] = shifts.sort((one, two) => size(one) - size(two));
  const module = mm / (least + 2);
  return {
    module,
    dp: 25.4 / module,
    shifted: nearest ? { pitch: nearest.pitch, shift: nearest.shift } : null,
  };
}

/** Can the readings say anything? A size of some sort is needed. */
const sized = (readings: Readings): boolean =>
  readings.tip !== null ||
  readings.root !== null ||
  readings.depth !== null ||
  readings.basePitch !== null ||
  readings.span !== null ||
  readings.mateCentre !== null ||
  readings.gauge?.fits != null;

/**
 * What gear a sample is: every standard pitch and family ranked by how well the readings sit, whether the
 * first can be told from the second, readings that contradict each other, and the one more measurement that
 * would decide.
 * @param wanted how many to name, ≥ 2
 */
export function identify(readings: Readings, wanted = 10): Identified {
  if (!sized(readings))
    return { verdict: 'nothing-read', best: [], contradictions: [], deciding: null, bare: null };
  const found = search(readings, wanted);
  const [first, second] = found;
  const best = found.map((candidate) => asIdentification(candidate, readings, first));
  if (!first || misfitOf(first) > POOR) {
    const against = contradictions(readings);
    return {
      verdict: against.length > 0 ? 'contradiction' : 'none',
      best,
      contradictions: against,
      deciding: null,
      bare: bareOf(readings),
    };
  }
  const recount = countedWrong(first, readings);
  if (recount.length > 0)
    return {
      verdict: 'contradiction',
      best: [recount[0]!.rest, ...best],
      contradictions: recount,
      deciding: null,
      bare: null,
    };
  const tied = best.filter((one) => one.tied).length;
  return {
    verdict: tied > 1 ? 'tie' : 'clear',
    best,
    contradictions: [],
    deciding: second ? deciding(first.hypothesis, second.hypothesis, readings) : null,
    bare: null,
  };
}
