import type { GearInput } from '../gear/index.ts';
import { toldLength, fieldAt, placedUnder, ok, type Issue, type Result } from '../findings/index.ts';
import { questionPitch, type SpurSizes } from '../gear/index.ts';
import { type GearDrawing } from '../involute/index.ts';
import {
  mmResult,
  lengthValue,
  type Placed,
  type StationWork,
  type Value,
  type Working,
} from '../station/index.ts';
import {
  approx,
  decimalText,
  lengthFigure,
  parseLength,
  parsePositiveLength,
  type Exact,
  type Measure,
  type UnitSystem,
} from '../units/index.ts';
import type { BlankInput } from './schema.ts';

export interface BlankFacts {
  /** mm */
  readonly tipDiameter: Exact;
  readonly faceWidth: Exact | null;
  readonly bore: Exact | null;
  /** The outside as it was turned; null until it is measured, mm. */
  readonly measured: Exact | null;
  /** Depth on the dial, set from the outside as it is, mm. */
  readonly dialDepth: Exact;
}

export interface BlankDetail {
  readonly drawing:
    (GearDrawing & { readonly bore: number | null; readonly faceWidth: number | null }) | null;
}

interface BlankReadings {
  readonly faceWidth: Exact | null;
  /** null when missing or wrong; zero for a solid blank */
  readonly bore: Exact | null;
  /** null until it is measured */
  readonly measured: Exact | null;
  readonly issues: readonly Issue[];
}

/** Issues: those of the length parser; not-positive (a bore may be 0: solid, or an integral shaft). */
function readBlank(input: BlankInput): BlankReadings {
  const face = parsePositiveLength(input.faceWidth, 'The face width');
  const bore = readBore(input.bore);
  const measured: Result<Exact | null> =
    input.measured.typed.trim() === ''
      ? ok(null)
      : parsePositiveLength(input.measured, 'The blank as turned');
  return {
    faceWidth: face.ok ? face.value : null,
    bore: bore.value,
    measured: measured.ok ? measured.value : null,
    issues: [
      ...(measured.ok ? [] : placedUnder('measured', measured.issues)),
      ...(face.ok ? [] : placedUnder('faceWidth', face.issues)),
      ...placedUnder('bore', bore.issues),
    ],
  };
}

function readBore(typed: Measure): { value: Exact | null; issues: readonly Issue[] } {
  const bore = parseLength(typed);
  if (!bore.ok) {
    return {
      value: null,
      issues: bore.issues.map((found) =>
        found.code === 'missing' ? { ...found, allowed: 'the bore (0 for none)' } : found,
      ),
    };
  }
  if (bore.value.gte(0)) return { value: bore.value, issues: [] };
  const issue: Issue = {
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: typed.typed,
    allowed: 'A bore is 0 (solid) or more',
    detail: { what: 'A bore' },
  };
  return { value: null, issues: [issue] };
}

function judgeBore({
  bore,
  given,
  sizes,
  system,
}: {
  readonly bore: Exact;
  readonly given: string;
  readonly sizes: SpurSizes;
  readonly system: UnitSystem;
}): Issue[] {
  const wall = sizes.rootDiameter.sub(bore).div(2);
  const path = 'bore';
  if (wall.lte(0)) {
    const root = toldLength(approx(sizes.rootDiameter), system);
    return [{ code: 'bore-over-root', path, severity: 'wrong', given, detail: { root } }];
  }
  if (bore.gt(0) && wall.lt(sizes.depth.wholeDepth)) {
    const detail = {
      wall: toldLength(approx(wall), system),
      wanted: toldLength(approx(sizes.depth.wholeDepth), system),
    };
    return [{ code: 'bore-near-root', path, severity: 'query', given, detail }];
  }
  return [];
}

/**
 * A blank off nominal by δ on its diameter: the dial, set from its outside, goes δ/2 deeper when it is over
 * size, less when it is under, and root and tooth come out right.
 * Issues: blank-off-nominal, blank-far-off
 */
function judgeMeasured({
  measured,
  given,
  sizes,
  system,
}: {
  readonly measured: Exact;
  readonly given: string;
  readonly sizes: SpurSizes;
  readonly system: UnitSystem;
}): Issue[] {
  const off = measured.sub(sizes.tipDiameter);
  if (off.equals(0)) return [];
  const mm = (value: Exact) => toldLength(approx(value), system, 'fine');
  const path = 'measured';
  const far = off.abs().gt(sizes.depth.addendum.div(4));
  if (far) {
    const detail = { off: mm(off.abs()), wanted: mm(sizes.tipDiameter) };
    return [{ code: 'blank-far-off', path, severity: 'query', given, detail }];
  }
  const over = off.gt(0);
  const detail = {
    off: mm(off.abs()),
    way: over ? 'over' : 'under',
    dial: mm(sizes.cutDepth.add(off.div(2))),
    nominal: mm(sizes.cutDepth),
    tips: over ? 'long and eat the clearance of the mate' : 'short, which does no harm',
  };
  return [{ code: 'blank-off-nominal', path, severity: over ? 'query' : 'note', given, detail }];
}

function workingOf(sizes: SpurSizes, bore: Exact | null, measured: Exact | null): Working[] {
  const d = decimalText(approx(sizes.pitchDiameter), 4);
  const ha = decimalText(approx(sizes.depth.addendum), 4);
  // as deep as it is cut: thinner teeth go deeper
  const h = decimalText(approx(sizes.cutDepth), 4);
  const da = decimalText(approx(sizes.tipDiameter), 4);
  const lines: Working[] = [
    {
      key: 'tipDiameter',
      label: 'Blank diameter',
      formula: 'd_a = d + 2h_a',
      put: `${d} + 2 \\times ${ha}`,
      ...mmResult(sizes.tipDiameter),
      source: 'ISO 21771',
    },
    {
      key: 'rootDiameter',
      label: 'Root diameter',
      formula: 'd_f = d_a - 2h',
      put: `${da} - 2 \\times ${h}`,
      ...mmResult(sizes.rootDiameter),
      source: 'ISO 21771',
    },
  ];
  if (bore?.gt(0)) {
    lines.push({
      key: 'wall',
      label: 'Metal under the teeth',
      formula: '\\frac{d_f - \\text{bore}}{2}',
      put: `\\frac{${decimalText(approx(sizes.rootDiameter), 4)} - ${decimalText(approx(bore), 4)}}{2}`,
      ...mmResult(sizes.rootDiameter.sub(bore).div(2)),
      source: 'by drawing it',
    });
  }
  if (measured) {
    const off = measured.sub(sizes.tipDiameter);
    lines.push({
      key: 'dialDepth',
      label: 'Depth on the dial, from this blank’s outside',
      formula: 'h + \\frac{\\delta}{2}',
      put: `${decimalText(sizes.cutDepth, 4)} + \\frac{${decimalText(off, 4)}}{2}`,
      ...mmResult(sizes.cutDepth.add(off.div(2))),
      source: 'keeps the root where it belongs; by drawing it',
    });
  }
  return lines;
}

/** What a blank is planned from; `path` is that of the part. */
export interface BlankAsked extends Placed {
  readonly input: BlankInput;
  /** Null while the gear is unknown. */
  readonly sizes: SpurSizes | null;
}

/**
 * The blank station: what to turn before the first tooth.
 * Issues: those of the readings; bore-over-root, bore-near-root; pitch-slip at the pitch
 */
export function planBlank({
  input,
  sizes,
  path,
  units: system,
}: BlankAsked): StationWork<BlankFacts, BlankDetail> {
  const read = readBlank(input);
  const issues: Issue[] = placedUnder(
    fieldAt<{ blank: BlankInput; gear: GearInput }>(path, 'blank'),
    read.issues,
  );
  const face = read.faceWidth && lengthFigure(approx(read.faceWidth), system);
  const sized: Value[] = [];
  if (read.faceWidth)
    sized.push(
      lengthValue({ key: 'faceWidth', label: 'Face width', symbol: 'b', settles: true }, read.faceWidth),
    );
  if (read.bore) sized.push(lengthValue({ key: 'bore', label: 'Bore', settles: true }, read.bore));
  const cautions = [] as const;
  const none: BlankDetail = { drawing: null };
  if (!sizes) {
    return {
      id: 'blank',
      facts: null,
      answer: 'waits for the gear',
      values: sized,
      working: [],
      cautions,
      issues,
      detail: none,
    };
  }

  const slip = questionPitch({
    pitch: sizes.pitch,
    teeth: sizes.teeth,
    faceWidth: read.faceWidth && approx(read.faceWidth),
    bore: read.bore && approx(read.bore),
    system,
  });
  issues.push(...placedUnder(fieldAt<{ blank: BlankInput; gear: GearInput }>(path, 'gear.pitch'), slip));
  const boreIssues = read.bore ? judgeBore({ bore: read.bore, given: input.bore.typed, sizes, system }) : [];
  issues.push(...placedUnder(fieldAt<{ blank: BlankInput; gear: GearInput }>(path, 'blank'), boreIssues));
  const measured = read.measured;
  if (measured)
    issues.push(
      ...placedUnder(
        fieldAt<{ blank: BlankInput; gear: GearInput }>(path, 'blank'),
        judgeMeasured({ measured, given: input.measured.typed, sizes, system }),
      ),
    );
  const dialDepth = measured ? sizes.cutDepth.add(measured.sub(sizes.tipDiameter).div(2)) : sizes.cutDepth;
  const boreFits = !boreIssues.some((issue) => issue.severity === 'wrong');
  const wall = read.bore?.gt(0) ? sizes.rootDiameter.sub(read.bore).div(2) : null;
  return {
    id: 'blank',
    facts: boreFits
      ? { tipDiameter: sizes.tipDiameter, faceWidth: read.faceWidth, bore: read.bore, measured, dialDepth }
      : null,
    answer: `Ø ${lengthFigure(approx(sizes.tipDiameter), system)}${face ? ` × ${face}` : ''}`,
    values: [
      lengthValue(
        { key: 'tipDiameter', label: 'Blank diameter', symbol: 'd_a', settles: true },
        sizes.tipDiameter,
      ),
      ...sized,
      lengthValue({ key: 'rootDiameter', label: 'Root diameter', symbol: 'd_f' }, sizes.rootDiameter),
      ...(measured
        ? [
            lengthValue({ key: 'measured', label: 'As turned', settles: true }, measured),
            lengthValue({ key: 'dialDepth', label: 'Depth on the dial from it', settles: true }, dialDepth),
          ]
        : []),
      ...(wall && boreFits ? [lengthValue({ key: 'wall', label: 'Metal under the teeth' }, wall)] : []),
    ],
    working: workingOf(sizes, boreFits ? read.bore : null, measured),
    cautions: [],
    issues,
    detail: { drawing: drawingOf(sizes, boreFits ? read.bore : null, read.faceWidth) },
  };
}

function drawingOf(sizes: SpurSizes, bore: Exact | null, faceWidth: Exact | null): BlankDetail['drawing'] {
  return {
    teeth: sizes.teeth,
    tipDiameter: approx(sizes.tipDiameter),
    pitchDiameter: approx(sizes.pitchDiameter),
    baseDiameter: sizes.baseDiameter,
    rootDiameter: approx(sizes.rootDiameter),
    ...sizes.transverse,
    bore: bore ? approx(bore) : null,
    faceWidth: faceWidth ? approx(faceWidth) : null,
  };
}
