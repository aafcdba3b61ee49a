import type { Issue } from '../findings/index.ts';
import {
  angleValue,
  lengthValue,
  textValue,
  type StationWork,
  type Value,
  type Working,
} from '../station/index.ts';
import { approx, decimalText, degreesText, lengthText, pitchText, type UnitSystem } from '../units/index.ts';
import { depthsOfAllSchools } from './depth.ts';
import { comparePitch } from './pitchJudgement.ts';
import type { GearReadings } from './readings.ts';
import { spurSizes, undercutLimit, type SpurSizes } from './spurSizes.ts';

/** Another school's whole depth, to stand beside the one in force. */
export interface OtherDepth {
  readonly name: string;
  readonly mm: number;
  readonly source: string;
  readonly inForce: boolean;
}

export interface GearDetail {
  readonly otherDepths: readonly OtherDepth[];
}

/** Figures written into TeX: lengths always in mm there, the unit the formulas are worked in. */
const mm = (value: number) => `${decimalText(value, 4)}\\ \\mathrm{mm}`;

function workingOf(sizes: SpurSizes): Working[] {
  const m = approx(sizes.module);
  const ha = approx(sizes.depth.addendum);
  const h = approx(sizes.depth.wholeDepth);
  const d = approx(sizes.pitchDiameter);
  const iso = 'ISO 21771';
  const lines: Working[] = [];
  if (sizes.pitch.system === 'dp') {
    const P = decimalText(sizes.pitch.figure);
    lines.push({
      key: 'module',
      label: 'Module',
      formula: 'm = \\frac{25.4}{P}',
      put: `\\frac{25.4}{${P}}`,
      result: mm(m),
      source: 'the inch is 25.4 mm exactly',
    });
  }
  lines.push(
    { key: 'pitchDiameter', label: 'Pitch diameter', formula: 'd = z\\,m', put: `${sizes.teeth} \\times ${decimalText(m)}`, result: mm(d), source: iso },
    { key: 'addendum', label: 'Addendum', formula: sizes.depth.rule ? `h_a = ${sizes.depth.rule.addendum}\\,m` : 'h_a', put: sizes.depth.rule ? `${sizes.depth.rule.addendum} \\times ${decimalText(m)}` : '\\text{as typed}', result: mm(ha), source: sizes.depth.rule?.source ?? sizes.depth.readFrom ?? '' },
    depthWorking(sizes, m, h),
    { key: 'clearance', label: 'Clearance', formula: 'c = h - 2h_a', put: `${decimalText(h, 4)} - 2 \\times ${decimalText(ha, 4)}`, result: mm(approx(sizes.clearance)), source: iso },
    { key: 'circularPitch', label: 'Circular pitch', formula: 'p = \\pi\\,m', put: `\\pi \\times ${decimalText(m)}`, result: mm(sizes.circularPitch), source: iso },
    { key: 'toothThickness', label: 'Tooth thickness', formula: 's = \\frac{p}{2}', put: `\\frac{${decimalText(sizes.circularPitch, 4)}}{2}`, result: mm(sizes.toothThickness), source: iso },
    { key: 'baseDiameter', label: 'Base diameter', formula: 'd_b = d\\cos\\alpha', put: `${decimalText(d)} \\times \\cos ${decimalText(sizes.pressureAngleDeg)}^\\circ`, result: mm(sizes.baseDiameter), source: iso },
  ); // prettier-ignore
  return lines;
}

function depthWorking(sizes: SpurSizes, m: number, h: number): Working {
  const { depth } = sizes;
  const base = { key: 'wholeDepth', label: 'Whole depth', result: mm(h) };
  if (depth.from === 'stamped') {
    return {
      ...base,
      formula: 'h',
      put: '\\text{as stamped on the cutter}',
      source: 'the cutter’s own mark wins over every rule',
    };
  }
  if (depth.from === 'typed' || !depth.rule) {
    return { ...base, formula: 'h', put: '\\text{as typed}', source: depth.readFrom ?? '' };
  }
  const plus = depth.rule.plusInch ? ` + ${depth.rule.plusInch} \\times 25.4` : '';
  return {
    ...base,
    formula: depth.rule.depthFormula,
    put: `${depth.rule.wholeDepth} \\times ${decimalText(m)}${plus}`,
    source: depth.rule.source,
  };
}

function valuesOf(sizes: SpurSizes): Value[] {
  return [
    textValue({ key: 'teeth', label: 'Teeth', symbol: 'z', settles: true }, String(sizes.teeth)),
    lengthValue({ key: 'module', label: 'Module', symbol: 'm', settles: true }, sizes.module),
    angleValue(
      { key: 'pressureAngle', label: 'Pressure angle', symbol: '\\alpha', settles: true },
      sizes.pressureAngleDeg,
    ),
    lengthValue({ key: 'pitchDiameter', label: 'Pitch diameter', symbol: 'd' }, sizes.pitchDiameter),
    lengthValue(
      { key: 'wholeDepth', label: 'Whole depth', symbol: 'h', settles: true },
      sizes.depth.wholeDepth,
    ),
    lengthValue({ key: 'addendum', label: 'Addendum', symbol: 'h_a', settles: true }, sizes.depth.addendum),
    lengthValue({ key: 'clearance', label: 'Clearance', symbol: 'c' }, sizes.clearance),
    lengthValue({ key: 'toothThickness', label: 'Tooth thickness', symbol: 's' }, sizes.toothThickness),
    lengthValue({ key: 'circularPitch', label: 'Circular pitch', symbol: 'p' }, sizes.circularPitch),
    lengthValue({ key: 'baseDiameter', label: 'Base diameter', symbol: 'd_b' }, sizes.baseDiameter),
  ];
}

function judge(sizes: SpurSizes, path: string, system: UnitSystem): Issue[] {
  const issues = comparePitch(sizes.pitch, sizes.teeth, system).map((issue) => ({
    ...issue,
    path: `${path}.pitch`,
  }));
  if (sizes.rootDiameter.lte(0)) {
    const detail = { blank: lengthText(approx(sizes.tipDiameter), system) };
    issues.push({
      code: 'depth-over-root',
      path: `${path}.depth.stamped`,
      severity: 'wrong',
      given: lengthText(approx(sizes.depth.wholeDepth), system),
      detail,
    });
  }
  const limit = undercutLimit(sizes.depth.addendum, sizes.module, sizes.pressureAngle);
  // 17 at 20° shows only a trace, and is cut everywhere
  if (sizes.teeth < Math.floor(limit)) {
    const detail = { limit: decimalText(limit, 1), angle: degreesText(sizes.pressureAngleDeg) };
    issues.push({
      code: 'undercut',
      path: `${path}.teeth`,
      severity: 'note',
      given: String(sizes.teeth),
      detail,
    });
  }
  return issues;
}

/**
 * The gear station: what the drawing fixes.
 * @param path where the gear's fields stand in the document @param system units for the answer
 * Issues: those of the readings; pitch-look-alike, pitch-not-standard, undercut, depth-over-root
 */
export function planGear(
  read: GearReadings,
  path: string,
  system: UnitSystem,
): StationWork<SpurSizes, GearDetail> {
  const issues: Issue[] = read.issues.map((issue) => ({ ...issue, path: `${path}.${issue.path}` }));
  const { teeth, pitch, pressureAngleDeg, depth } = read;
  const answer =
    !teeth && !pitch
      ? 'pitch and teeth needed'
      : [
          teeth ? `${teeth} teeth` : 'teeth needed',
          pitch ? pitchText(pitch) : 'pitch needed',
          pressureAngleDeg && degreesText(pressureAngleDeg),
        ]
          .filter(Boolean)
          .join(', ');
  const none: GearDetail = { otherDepths: [] };
  const empty = {
    id: 'gear',
    facts: null,
    answer,
    values: [],
    working: [],
    cautions: [],
    detail: none,
  } as const;
  if (!teeth || !pitch || !pressureAngleDeg || !depth) return { ...empty, issues };

  const sizes = spurSizes(teeth, pitch, pressureAngleDeg, depth);
  issues.push(...judge(sizes, path, system));
  const usable = sizes.rootDiameter.gt(0);
  return {
    ...empty,
    facts: usable ? sizes : null,
    values: valuesOf(sizes),
    working: workingOf(sizes),
    issues,
    detail: {
      otherDepths: depthsOfAllSchools(pitch.module).map((other) => ({
        name: other.rule!.name,
        mm: approx(other.wholeDepth),
        source: other.rule!.source,
        inForce: depth.from === 'rule' && depth.rule === other.rule,
      })),
    },
  };
}
