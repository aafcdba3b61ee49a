import { issueOf, type FiguresOf, type Issue, type IssueCode } from '../findings/index.ts';
import type { FormCutter } from '../shop/index.ts';
import { virtualTeeth } from '../toothform/index.ts';
import {
  angleText,
  approx,
  decimalText,
  parseAngleDeg,
  parseLength,
  parsePitch,
  pitchText,
  type Exact,
  type Pitch,
  radiansOf,
} from '../units/index.ts';
import { rangeText } from './cutterFor.ts';
import { rangeByNumber, type CutterSchool } from './sets.ts';

/** What a gear asks of its cutter. */
export interface CutterNeed {
  readonly teeth: number;
  readonly pitch: Pitch;
  readonly angleDeg: Exact;
  /** Degrees; 0 for a spur gear. */
  readonly helixDeg: number;
  /** mm; depth below the pitch line, to know the cutter’s diameter there. */
  readonly dedendum: number;
  /**
   * Of a worm wheel, mm: its pitch is named in the plane of the worm’s axis, and a cutter cuts the normal
   * one.
   */
  readonly normalModule?: number;
}

export interface TeethRange {
  readonly from: number;
  readonly to: number | null;
}

/** One owned cutter beside a need, as plain data. */
export interface JudgedCutter {
  readonly id: string;
  readonly name: string;
  readonly verdict: 'fits' | 'unsure' | 'out';
  /** Why it is out or unsure, or what to know of it. */
  readonly reasons: readonly Issue[];
  /** What it covers; null while nobody knows. */
  readonly range: TeethRange | null;
  /** The count its form is exact for. */
  readonly madeFor: number | null;
  /** The count this gear is cut as with it: its virtual count when helical. */
  readonly cutAs: number;
  /** Of the right pitch and angle, whatever its range. */
  readonly sameForm: boolean;
}

/**
 * The count a need is cut as by a cutter of this diameter. @param diameter mm over the outside; null when not
 * known
 */
export function countFor(need: CutterNeed, by: 'disk' | 'book', diameter: number | null): number {
  if (need.helixDeg === 0) return need.teeth;
  const atPitchLine = diameter === null ? null : diameter - 2 * need.dedendum;
  const { book, disk } = virtualTeeth({
    teeth: need.teeth,
    helixAngle: radiansOf(need.helixDeg),
    normalModule: approx(need.pitch.module),
    cutterDiameter: atPitchLine,
  });
  return by === 'disk' && disk !== null ? disk : book;
}

/** Which rule made a virtual count, as it is said behind it; empty for straight teeth. */
export function ruleText(need: CutterNeed, by: 'disk' | 'book', diameter: number | null): string {
  if (need.helixDeg === 0) return '';
  return by === 'disk' && diameter !== null ? ', by the cutter’s own roundness' : ', by the book';
}

const note = <Code extends IssueCode>(code: Code, ...figures: FiguresOf<Code>): Issue =>
  issueOf(code, { path: '', severity: 'note' }, ...figures);

/**
 * Wider than its space by these parts of the module a cutter leaves backlash that nobody asked for: some of
 * the usual, and all of it. Common practice.
 */
const WIDE = 0.01;
const TOO_WIDE = 0.04;
/**
 * Of a cutter that was ground for the pitch across the thread, and is listed with as many places as people
 * write.
 */
const GROUND = 0.001;

/**
 * How much wider a space a cutter leaves than the thread asks for, mm; half a pitch of either, in the normal
 * plane.
 */
const widerBy = (module: number, normalModule: number): number => (Math.PI / 2) * (module - normalModule);

/**
 * Would a cutter of the named pitch serve? Not a wheel of several starts: across the thread its pitch is
 * another.
 */
export const isStockPitch = ({ normalModule, pitch }: CutterNeed): boolean =>
  normalModule === undefined || widerBy(approx(pitch.module), normalModule) <= WIDE * normalModule;

/** Is this the pitch, and if it is only nearly so, by how much? */
function judgePitch(
  cutter: FormCutter,
  need: CutterNeed,
): { same: boolean; reason: Issue | null; sure: boolean } {
  const pitch = parsePitch(cutter.pitch);
  const module = pitch.ok ? approx(pitch.value.module) : null;
  const { normalModule } = need;
  const named = pitch.ok && pitch.value.module.equals(need.pitch.module);
  if (module !== null && normalModule !== undefined) {
    const wider = widerBy(module, normalModule);
    const part = Math.abs(wider) / normalModule;
    if (part <= (named ? WIDE : GROUND)) return { same: true, reason: null, sure: true };
    // a look-alike of another series is not this pitch, however near it comes
    if (named) {
      const detail = {
        normal: `m ${decimalText(normalModule, 3)}`,
        by: `${decimalText(Math.abs(wider) * 1000, 0)} µm too ${wider > 0 ? 'wide' : 'narrow'}`,
      };
      return { same: part <= TOO_WIDE, reason: note('cutter-axial-pitch', detail), sure: false };
    }
  } else if (named) return { same: true, reason: null, sure: true };
  const apart = module === null ? 1 : Math.abs(module / (normalModule ?? approx(need.pitch.module)) - 1);
  const detail = {
    its: pitch.ok ? pitchText(pitch.value) : cutter.pitch.typed,
    wanted: normalModule === undefined ? pitchText(need.pitch) : `m ${decimalText(normalModule, 3)}, normal`,
    apart: apart < 0.025 ? `${(apart * 100).toFixed(1)} %` : '',
  };
  return { same: false, reason: note('cutter-pitch', detail), sure: true };
}

/** A count that is not whole is covered from half a tooth below: 20.4 teeth are cut as 20. */
const covers = ({ from, to }: TeethRange, count: number): boolean =>
  count >= from - 0.5 && (to === null || count < to + 0.5);

/** What is known of a cutter’s range: engraved, by its number and school, or by either school. */
function rangesOf(cutter: FormCutter): readonly TeethRange[] {
  if (cutter.range) return [cutter.range];
  if (cutter.number === null) return [];
  const schools: readonly CutterSchool[] = cutter.school === 'unknown' ? ['inch', 'metric'] : [cutter.school];
  return schools.map((school) => rangeByNumber(cutter.number!, school));
}

/** A whole number serves less when its half is at hand: with 4½ there, 5 is for 21 and 22. */
function shrunk(cutter: FormCutter, range: TeethRange, owned: readonly FormCutter[]): FormCutter | null {
  if (cutter.range || cutter.school === 'unknown' || cutter.number?.endsWith('½')) return null;
  return (
    owned.find(
      (other) =>
        other.number?.endsWith('½') &&
        other.school === cutter.school &&
        other.pitch.typed === cutter.pitch.typed &&
        other.pitch.unit === cutter.pitch.unit &&
        other.angle.typed === cutter.angle.typed &&
        rangeByNumber(other.number, cutter.school as CutterSchool).to === range.to,
    ) ?? null
  );
}

const countText = (count: number): string => `${Number.isInteger(count) ? count : count.toFixed(1)} teeth`;

/**
 * Does an owned cutter serve a gear, and if not, why not?
 * @param owned all of the shop’s cutters, for the halves among them
 */
export function judgeCutter({
  cutter,
  need,
  by,
  owned,
}: {
  readonly cutter: FormCutter;
  readonly need: CutterNeed;
  readonly by: 'disk' | 'book';
  readonly owned: readonly FormCutter[];
}): JudgedCutter {
  const pitch = judgePitch(cutter, need);
  const angle = parseAngleDeg(cutter.angle);
  const diameter = parseLength(cutter.diameter);
  const mm = diameter.ok ? approx(diameter.value) : null;
  const cutAs = countFor(need, by, mm);
  const reasons: Issue[] = pitch.reason ? [pitch.reason] : [];
  const sameAngle = angle.ok && angle.value.equals(need.angleDeg);
  if (angle.ok && !sameAngle)
    reasons.push(note('cutter-angle', { its: angleText(angle.value), wanted: angleText(need.angleDeg) }));
  const ranges = rangesOf(cutter);
  const covering = ranges.filter((range) => covers(range, cutAs));
  const sure = ranges.length === 1;
  const nearly = pitch.same && !pitch.sure;
  let verdict: JudgedCutter['verdict'] =
    !pitch.same || (angle.ok && !sameAngle) ? 'out' : nearly ? 'unsure' : 'fits';
  if (ranges.length === 0) {
    reasons.push(note('cutter-unnumbered'));
    if (verdict === 'fits') verdict = 'unsure';
  } else if (covering.length === 0) {
    const range = ranges.map(rangeText).join(' or ');
    reasons.push(note('cutter-range', { range, count: countText(cutAs) + ruleText(need, by, mm) }));
    verdict = 'out';
  } else if (!sure) {
    const [inch, metric] = ranges.map(rangeText);
    reasons.push(note('cutter-school', { number: cutter.number!, inch: inch!, metric: metric! }));
    if (verdict === 'fits') verdict = 'unsure';
  } else {
    const half = shrunk(cutter, ranges[0]!, owned);
    const from = half && rangeByNumber(half.number!, cutter.school as CutterSchool).from;
    if (half && from !== null && cutAs >= from - 0.5)
      reasons.push(
        note('cutter-shrinks', {
          half: half.number!,
          range: rangeText({ from: ranges[0]!.from, to: from - 1 }),
        }),
      );
  }
  const known = covering[0] ?? (sure ? ranges[0]! : null);
  return {
    id: cutter.id,
    name: cutter.name,
    verdict,
    reasons,
    range: known && { from: known.from, to: known.to },
    madeFor: known?.from ?? null,
    cutAs,
    sameForm: pitch.same && sameAngle,
  };
}

const ORDER = { fits: 0, unsure: 1, out: 2 } as const;

/** All owned cutters, the best for a need first: those that fit, nearest to the count they are made for. */
export function rankCutters(
  owned: readonly FormCutter[],
  need: CutterNeed,
  by: 'disk' | 'book',
): readonly JudgedCutter[] {
  const away = ({ madeFor, cutAs }: JudgedCutter) =>
    madeFor === null ? 1e6 : Math.abs(1 / madeFor - 1 / cutAs);
  return owned
    .map((cutter) => judgeCutter({ cutter, need, by, owned }))
    .sort(
      (a, b) =>
        ORDER[a.verdict] - ORDER[b.verdict] ||
        Number(b.sameForm) - Number(a.sameForm) ||
        away(a) - away(b) ||
        (a.name < b.name ? -1 : 1),
    );
}
