import { at, issueOf, type FiguresOf, type Issue, type IssueCode, type Result } from '../findings/index.ts';
import {
  approx,
  decimalText,
  lengthText,
  parseAngleDeg,
  parseCount,
  parsePitch,
  parsePositiveLength,
  type Measure,
  type UnitSystem,
  radiansOf,
} from '../units/index.ts';
import { ANY_COUNT, type Readings } from './readings.ts';
import type { SampleInput } from './schema.ts';

/** ± of the usual tools on a diameter, mm. Common practice. */
export const TOOL_GIVE = { caliper: 0.03, micrometer: 0.01, rule: 0.4 } as const;
/** What tips lose, on the diameter, mm. Common practice: undersize by habit up to 0.25. */
const WEAR = { crisp: 0.08, usual: 0.25, worn: 0.6 } as const;
/**
 * How far two ways to the outside may differ: two readings of a caliper over worn tips, mm; straight across
 * an odd count, as a part of it.
 */
const TIPS_APART = { over: 0.35, across: 0.08 } as const;
/** ± of an arc read off a head or a protractor, degrees. */
const ARC_GIVE = 0.5;
/** Finer than any standard pitch. */
const FINEST_MODULE = 0.09;

const blank = ({ typed }: Measure): boolean => typed.trim() === '';

/**
 * A sample’s fields as readings; wrong ones are left out, each with its sentence.
 * Issues: those of the parsers; tip-under-bore, tips-at-odds, spans-contradict, sample-unit,
 * survivors-over-turn, span-alone
 */
export function readSample(
  input: SampleInput,
  system: UnitSystem,
): { readonly readings: Readings; readonly issues: readonly Issue[] } {
  const issues: Issue[] = [];
  const take = <T>(path: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    issues.push(...at(path, result.issues));
    return null;
  };
  const length = (path: string, typed: Measure, what: string): number | null => {
    if (blank(typed)) return null;
    const read = take(path, parsePositiveLength(typed, what));
    return read && approx(read);
  };
  const count = ({
    path,
    typed,
    what,
    least,
    most,
  }: {
    readonly path: string;
    readonly typed: Measure;
    readonly what: string;
    readonly least: number;
    readonly most: number;
  }): number | null => (blank(typed) ? null : take(path, parseCount({ given: typed, what, least, most })));
  const leaf = (path: string, typed: Measure): number | null => {
    if (blank(typed)) return null;
    const read = take(path, parsePitch(typed));
    return read && approx(read.module);
  };
  const ask = <Code extends IssueCode>(
    code: Code,
    where: Pick<Issue, 'path' | 'severity' | 'given'>,
    ...figures: FiguresOf<Code>
  ) => issues.push(issueOf(code, where, ...figures));
  const wrong = <Code extends IssueCode>(
    code: Code,
    path: string,
    given: string,
    ...figures: FiguresOf<Code>
  ) => ask(code, { path, given, severity: 'wrong' }, ...figures);
  const mm = (value: number) => lengthText(value, system);

  const teeth = count({ path: 'teeth', typed: input.teeth, what: 'The tooth count', least: 4, most: 1000 });
  const tip = readTip();
  function readTip(): Readings['tip'] {
    const over = length('tip', input.tip, 'The outside diameter');
    const bore = length('bore', input.bore, 'The bore');
    const edge = length('edgeToTip', input.edgeToTip, 'Bore edge to tip');
    const reached = bore === null || edge === null ? null : bore + 2 * edge;
    if (over !== null && bore !== null && over <= bore) {
      wrong('tip-under-bore', 'tip', input.tip.typed, { bore: mm(bore), tip: mm(over) });
      return null;
    }
    const give = input.tipBy === 'across' ? TIPS_APART.across * (over ?? 0) : TIPS_APART.over;
    if (over !== null && reached !== null && Math.abs(over - reached) > give)
      ask(
        'tips-at-odds',
        { path: 'edgeToTip', severity: 'query', given: input.edgeToTip.typed },
        { over: mm(over), bore: mm(bore!), edge: mm(edge!), reached: mm(reached) },
      );
    // the one that was chosen, else the one there is
    if (reached !== null && (input.tipBy === 'bore' || over === null))
      return { mm: reached, acrossOdd: false };
    return over === null ? null : { mm: over, acrossOdd: input.tipBy === 'across' };
  }
  const k = count({
    path: 'spanTeeth',
    typed: input.spanTeeth,
    what: 'Teeth between the jaws',
    least: 1,
    most: teeth ?? 1000,
  });
  const span = length('span', input.span, 'The span');
  const next = length('spanNext', input.spanNext, 'The span over one more');
  if (span !== null && k === null && blank(input.spanTeeth))
    ask('span-alone', { path: 'spanTeeth', severity: 'query', given: '' }, { span: mm(span) });
  let basePitch = span !== null && next !== null ? next - span : null;
  if (basePitch !== null && basePitch <= 0) {
    wrong('spans-contradict', 'spanNext', input.spanNext.typed, {
      first: mm(span!),
      why: 'it must be larger by one base pitch',
    });
    basePitch = null;
  } else if (basePitch !== null && tip && basePitch > tip.mm / 1.5) {
    wrong('spans-contradict', 'spanNext', input.spanNext.typed, {
      first: mm(span!),
      why: `one base pitch would be ${mm(basePitch)}, too much for a gear of this outside`,
    });
    basePitch = null;
  }
  const survivors = readSurvivors();
  function readSurvivors(): Readings['survivors'] {
    const pitches = count({
      path: 'survivors.pitches',
      typed: input.survivors.pitches,
      what: 'Pitches between survivors',
      least: 1,
      most: 999,
    });
    if (!blank(input.survivors.arc)) {
      const arc = take('survivors.arc', parseAngleDeg(input.survivors.arc));
      if (!arc || pitches === null) return null;
      const degrees = approx(arc);
      if (degrees <= 0 || degrees > 360) {
        wrong('survivors-over-turn', 'survivors.arc', input.survivors.arc.typed);
        return null;
      }
      const found = (360 * pitches) / degrees;
      return { teeth: found, give: Math.max(0.15, (found * ARC_GIVE) / degrees) };
    }
    const chord = length('survivors.chord', input.survivors.chord, 'Across the survivors');
    if (chord === null || pitches === null || !tip) return null;
    if (chord >= tip.mm) {
      wrong('survivors-over-turn', 'survivors.chord', input.survivors.chord.typed);
      return null;
    }
    const found = (Math.PI * pitches) / Math.asin(chord / tip.mm);
    return { teeth: found, give: Math.max(0.15, (found * 4 * TOOL_GIVE.caliper) / chord) };
  }
  const mate = count({
    path: 'mateTeeth',
    typed: input.mateTeeth,
    what: 'The mate’s teeth',
    least: 4,
    most: 1000,
  });
  const centre = length('mateCentre', input.mateCentre, 'The centre distance');
  const fits = leaf('gaugeFits', input.gaugeFits);
  const not = [leaf('gaugeCoarse', input.gaugeCoarse), leaf('gaugeFine', input.gaugeFine)].filter(
    (found) => found !== null,
  );
  const helix = blank(input.helixAngle) ? null : take('helixAngle', parseAngleDeg(input.helixAngle));
  if (helix && (helix.lte(0) || helix.gte(60)))
    issues.push({
      code: 'out-of-range',
      path: 'helixAngle',
      severity: 'wrong',
      given: input.helixAngle.typed,
      allowed: 'A helix angle lies between 0° and 60°',
      detail: { what: 'A helix angle' },
    });
  const typedGive = input.tool === 'typed' ? length('toolError', input.toolError, 'The tool’s ±') : null;
  const readings: Readings = {
    teeth: teeth === null ? aboutSurvivors(survivors) : { least: teeth, most: teeth },
    survivors: teeth === null ? survivors : null,
    tip,
    depth: length('depth', input.depth, 'The whole depth'),
    root: length('root', input.root, 'The root diameter'),
    span: span !== null && k !== null ? { k, mm: span } : null,
    basePitch,
    mateCentre: mate !== null && centre !== null ? { teeth: mate, mm: centre } : null,
    gauge: fits === null && not.length === 0 ? null : { fits, not },
    helix: input.helix,
    helixAngle:
      input.helix === 'none' || !helix || helix.lte(0) || helix.gte(60) ? null : radiansOf(approx(helix)),
    lead: input.helix === 'none' ? null : length('lead', input.lead, 'The lead'),
    wear: WEAR[input.wear],
    give: input.tool === 'typed' ? (typedGive ?? TOOL_GIVE.caliper) : TOOL_GIVE[input.tool],
  };
  if (tip && teeth !== null && tip.mm / (teeth + 2) < FINEST_MODULE) {
    const [other, turned] =
      input.tip.unit === 'mm' ? ['inches', tip.mm * 25.4] : ['millimetres', tip.mm / 25.4];
    const module = turned / (teeth + 2);
    ask(
      'sample-unit',
      { path: 'tip', severity: 'query', given: input.tip.typed },
      {
        module: decimalText(tip.mm / (teeth + 2), 3),
        other,
        dp: decimalText(25.4 / module, 2),
        m: decimalText(module, 3),
      },
    );
  }
  // kept with the readings, though it says nothing of what gear this is
  length('room', input.room, 'The room where it goes');
  if (tip && readings.root !== null && readings.root >= tip.mm)
    wrong('spans-contradict', 'root', input.root.typed, {
      first: mm(tip.mm),
      why: 'the root is smaller than the outside',
    });
  return { readings, issues };
}

/** Survivors narrow the counts to look through: five of their ± either way. */
function aboutSurvivors(survivors: Readings['survivors']): Readings['teeth'] {
  if (!survivors) return ANY_COUNT;
  const reach = 5 * survivors.give + 1;
  return {
    least: Math.max(4, Math.floor(survivors.teeth - reach)),
    most: Math.min(1000, Math.ceil(survivors.teeth + reach)),
  };
}
