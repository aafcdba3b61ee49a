import {
  toldLength,
  placedUnder,
  issueOf,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
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

/** Reads fields one after the other; what is wrong with any of them is collected. */
function readerOf(system: UnitSystem) {
  const issues: Issue[] = [];
  const take = <T>(path: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    issues.push(...placedUnder(path, result.issues));
    return null;
  };
  const length = (path: string, typed: Measure, what: string): number | null => {
    if (blank(typed)) return null;
    const read = take(path, parsePositiveLength(typed, what));
    return read && approx(read);
  };
  const count = (path: string, asked: Parameters<typeof parseCount>[0]): number | null =>
    blank(asked.given) ? null : take(path, parseCount(asked));
  const leaf = (path: string, typed: Measure): number | null => {
    if (blank(typed)) return null;
    const read = take(path, parsePitch(typed));
    return read && approx(read.module);
  };
  const ask = <Code extends IssueCode>(
    code: Code,
    where: Pick<Issue, 'path' | 'severity' | 'given'>,
    ...figures: FiguresOf<Code>
  ) => void issues.push(issueOf(code, where, ...figures));
  return { issues, take, length, count, leaf, ask, mm: (value: number) => toldLength(value, system), system };
}
type Reader = ReturnType<typeof readerOf>;

function readTip(input: SampleInput, { length, ask, mm }: Reader): Readings['tip'] {
  const over = length('tip', input.tip, 'The outside diameter');
  const bore = length('bore', input.bore, 'The bore');
  const edge = length('edgeToTip', input.edgeToTip, 'Bore edge to tip');
  const reached = bore === null || edge === null ? null : bore + 2 * edge;
  if (over !== null && bore !== null && over <= bore) {
    const where = { path: 'tip', severity: 'wrong', given: input.tip.typed } as const;
    ask('tip-under-bore', where, { bore: mm(bore), tip: mm(over) });
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
  if (reached !== null && (input.tipBy === 'bore' || over === null)) return { mm: reached, acrossOdd: false };
  return over === null ? null : { mm: over, acrossOdd: input.tipBy === 'across' };
}

/** Two spans over a number of teeth and one more, and the base pitch between them. mm */
function readSpans(
  input: SampleInput,
  known: Pick<Readings, 'tip'> & { readonly count: number | null },
  { length, count, ask, mm, system }: Reader,
): Pick<Readings, 'span' | 'basePitch'> {
  const k = count('spanTeeth', {
    given: input.spanTeeth,
    what: 'Teeth between the jaws',
    least: 1,
    most: known.count ?? 1000,
  });
  const span = length('span', input.span, 'The span');
  const next = length('spanNext', input.spanNext, 'The span over one more');
  if (span !== null && k === null && blank(input.spanTeeth))
    ask('span-alone', { path: 'spanTeeth', severity: 'query', given: '' }, { span: mm(span) });
  const read = span !== null && k !== null ? { k, mm: span } : null;
  if (span === null || next === null) return { span: read, basePitch: null };
  const basePitch = next - span;
  const { tip } = known;
  const why =
    basePitch <= 0
      ? 'it must be larger by one base pitch'
      : tip && basePitch > tip.mm / 1.5
        ? `one base pitch would be ${lengthText(basePitch, system)}, too much for a gear of this outside`
        : null;
  if (why === null) return { span: read, basePitch };
  const where = { path: 'spanNext', severity: 'wrong', given: input.spanNext.typed } as const;
  ask('spans-contradict', where, { first: mm(span), why });
  return { span: read, basePitch: null };
}

function readSurvivors(
  { survivors }: SampleInput,
  tip: Readings['tip'],
  { take, length, count, ask }: Reader,
): Readings['survivors'] {
  const overTurn = (field: 'arc' | 'chord') => {
    const given = survivors[field].typed;
    ask('survivors-over-turn', { path: `survivors.${field}`, severity: 'wrong', given });
    return null;
  };
  const pitches = count('survivors.pitches', {
    given: survivors.pitches,
    what: 'Pitches between survivors',
    least: 1,
    most: 999,
  });
  if (!blank(survivors.arc)) {
    const arc = take('survivors.arc', parseAngleDeg(survivors.arc));
    if (!arc || pitches === null) return null;
    const degrees = approx(arc);
    if (degrees <= 0 || degrees > 360) return overTurn('arc');
    const found = (360 * pitches) / degrees;
    return { teeth: found, give: Math.max(0.15, (found * ARC_GIVE) / degrees) };
  }
  const chord = length('survivors.chord', survivors.chord, 'Across the survivors');
  if (chord === null || pitches === null || !tip) return null;
  if (chord >= tip.mm) return overTurn('chord');
  const found = (Math.PI * pitches) / Math.asin(chord / tip.mm);
  return { teeth: found, give: Math.max(0.15, (found * 4 * TOOL_GIVE.caliper) / chord) };
}

function readMate(input: SampleInput, { length, count }: Reader): Readings['mateCentre'] {
  const given = { given: input.mateTeeth, what: 'The mate’s teeth', least: 4, most: 1000 };
  const teeth = count('mateTeeth', given);
  const centre = length('mateCentre', input.mateCentre, 'The centre distance');
  return teeth !== null && centre !== null ? { teeth, mm: centre } : null;
}

function readGauge(input: SampleInput, { leaf }: Reader): Readings['gauge'] {
  const fits = leaf('gaugeFits', input.gaugeFits);
  const not = [leaf('gaugeCoarse', input.gaugeCoarse), leaf('gaugeFine', input.gaugeFine)].filter(
    (found) => found !== null,
  );
  return fits === null && not.length === 0 ? null : { fits, not };
}

/** Radians; null for straight teeth, and where it is not known. */
function readHelixAngle(input: SampleInput, { take, ask }: Reader): number | null {
  const helix = blank(input.helixAngle) ? null : take('helixAngle', parseAngleDeg(input.helixAngle));
  if (!helix) return null;
  if (helix.gt(0) && helix.lt(60)) return input.helix === 'none' ? null : radiansOf(approx(helix));
  const { typed: given } = input.helixAngle;
  const allowed = 'A helix angle lies between 0° and 60°';
  const where = { path: 'helixAngle', severity: 'wrong', given, allowed } as const;
  ask('out-of-range', where, { what: 'A helix angle' });
  return null;
}

/** A module finer than any gear has: was the outside typed in the other unit? */
function questionUnit({ tip: typed }: SampleInput, { tip, teeth }: Readings, { ask }: Reader): void {
  if (!tip || teeth.least !== teeth.most || tip.mm / (teeth.least + 2) >= FINEST_MODULE) return;
  const [other, turned] = typed.unit === 'mm' ? ['inches', tip.mm * 25.4] : ['millimetres', tip.mm / 25.4];
  const module = turned / (teeth.least + 2);
  ask(
    'sample-unit',
    { path: 'tip', severity: 'query', given: typed.typed },
    {
      module: decimalText(tip.mm / (teeth.least + 2), 3),
      other,
      dp: decimalText(25.4 / module, 2),
      m: decimalText(module, 3),
    },
  );
}

/**
 * A sample’s fields as readings; wrong ones are left out, each with its sentence.
 * Issues: those of the parsers; tip-under-bore, tips-at-odds, spans-contradict, sample-unit,
 * survivors-over-turn, span-alone
 */
export function readSample(
  input: SampleInput,
  system: UnitSystem,
): { readonly readings: Readings; readonly issues: readonly Issue[] } {
  const reader = readerOf(system);
  const { issues, length, count, ask, mm } = reader;
  const teeth = count('teeth', { given: input.teeth, what: 'The tooth count', least: 4, most: 1000 });
  const tip = readTip(input, reader);
  const spans = readSpans(input, { tip, count: teeth }, reader);
  const survivors = readSurvivors(input, tip, reader);
  const mateCentre = readMate(input, reader);
  const gauge = readGauge(input, reader);
  const helixAngle = readHelixAngle(input, reader);
  const typedGive = input.tool === 'typed' ? length('toolError', input.toolError, 'The tool’s ±') : null;
  const readings: Readings = {
    teeth: teeth === null ? aboutSurvivors(survivors) : { least: teeth, most: teeth },
    survivors: teeth === null ? survivors : null,
    tip,
    depth: length('depth', input.depth, 'The whole depth'),
    root: length('root', input.root, 'The root diameter'),
    ...spans,
    mateCentre,
    gauge,
    helix: input.helix,
    helixAngle,
    lead: input.helix === 'none' ? null : length('lead', input.lead, 'The lead'),
    wear: WEAR[input.wear],
    give: input.tool === 'typed' ? (typedGive ?? TOOL_GIVE.caliper) : TOOL_GIVE[input.tool],
  };
  if (teeth !== null) questionUnit(input, readings, reader);
  // kept with the readings, though it says nothing of what gear this is
  length('room', input.room, 'The room where it goes');
  if (tip && readings.root !== null && readings.root >= tip.mm) {
    const where = { path: 'root', severity: 'wrong', given: input.root.typed } as const;
    ask('spans-contradict', where, { first: mm(tip.mm), why: 'the root is smaller than the outside' });
  }
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
