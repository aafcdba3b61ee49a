import type { GearInput } from './schema.ts';
import { toldLength, fieldAt, type Issue } from '../findings/index.ts';
import { involute, isUndercut } from '../involute/index.ts';
import {
  centreForBacklash,
  deeperForThinning,
  meshAt,
  thinningFromDeeper,
  type MeshReport,
  type Pair,
} from '../mesh/index.ts';
import { mmResult, type Working } from '../station/index.ts';
import {
  approx,
  decimalText,
  dmsText,
  exact,
  lengthText,
  type UnitSystem,
  radiansOf,
  degreesOf,
} from '../units/index.ts';
import type { GearReadings } from './readings.ts';
import { undercutOf, type SpurSizes } from './spurSizes.ts';

/** How the gear runs with its mate, as plain data. mm and radians. */
export interface MeshDetail {
  readonly mateTeeth: number;
  readonly report: MeshReport;
  /** What is asked for, or what is usual for the pitch. */
  readonly wanted: number;
  /** Are both cut from this card, in one stack? Then what is taken off goes off both. */
  readonly together: boolean;
  /**
   * Deeper into this gear, or into both, for the wanted backlash at the real centre; 0 when there is enough.
   */
  readonly deeper: number;
  /** Taken off this gear’s teeth besides, for the same; mm along the pitch circle. */
  readonly thinner: number;
  /** Backlash that each mm of depth gives, in the plane of rotation. */
  readonly perDepth: number;
  /** Where the shafts would give the wanted backlash. */
  readonly centreForWanted: number;
  readonly undercut: readonly [boolean, boolean];
  /** Both gears for the drawing, in the plane of rotation. */
  readonly pair: Pair;
}

/** Backlash a pair is given when nothing else is asked, as a part of the module. Common practice. */
export const USUAL_BACKLASH = 0.04;

const MOST_THINNING = 0.12;

/**
 * The pair at its real centre distance; the mate’s teeth are of the same system.
 * @param cutterTeeth the count the cutter of this gear is made for
 * @param mateThinning taken off the mate’s teeth, mm; 0 for nominal ones @param together is the mate this
 * very gear, cut with it?
 * @returns null when no mate is given, or on crossed shafts
 */
export function meshWithMate({
  sizes,
  gearReadings: { mate },
  cutterTeeth,
  mateThinning,
  together,
}: {
  readonly sizes: SpurSizes;
  readonly gearReadings: GearReadings;
  readonly cutterTeeth: number;
  readonly mateThinning: number;
  readonly together: boolean;
}): MeshDetail | null {
  if (mate.teeth === null || mate.crossed) return null;
  const cos = Math.cos(radiansOf(approx(sizes.helixDeg)));
  const addendum = approx(sizes.depth.addendum);
  const wholeDepth = approx(sizes.depth.wholeDepth);
  const thinning = approx(sizes.thinning) / cos;
  const own = { teeth: sizes.teeth, addendum, wholeDepth: approx(sizes.cutDepth), thinning };
  const other = { teeth: mate.teeth, addendum, wholeDepth, thinning: mateThinning / cos };
  const pair: Pair = {
    module: approx(sizes.module) / cos,
    pressureAngle: sizes.transverse.pressureAngle,
    gears: [own, together ? own : other],
  };
  const nominal = (pair.module * (sizes.teeth + mate.teeth)) / 2;
  const centre = mate.centre ? approx(mate.centre) : nominal;
  const report = meshAt(pair, centre);
  const wanted = mate.backlash ? approx(mate.backlash) : USUAL_BACKLASH * approx(sizes.module);
  const lacking = report.backlash === null ? 0 : wanted - report.backlash;
  const short = together ? lacking / 2 : lacking;
  const limit = undercutOf(sizes);
  return {
    mateTeeth: mate.teeth,
    report,
    wanted,
    together,
    thinner: Math.max(0, short * cos),
    deeper: short > 1e-9 ? deeperForThinning(short * cos, sizes.pressureAngle, cutterTeeth) : 0,
    perDepth: (thinningFromDeeper(1, sizes.pressureAngle, cutterTeeth) * (together ? 2 : 1)) / cos,
    centreForWanted: centreForBacklash(pair, wanted),
    undercut: [isUndercut(sizes.teeth, limit), isUndercut(mate.teeth, limit)],
    pair,
  };
}

/** Issues: mesh-too-close, mesh-binds, mesh-bottoms, mesh-interferes, mesh-barely */
export function judgeMesh({
  meshDetail: { report, deeper, centreForWanted, together },
  hasCentre,
  path,
  system,
}: {
  readonly meshDetail: MeshDetail;
  readonly hasCentre: boolean;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  const mm = (value: number) => toldLength(value, system, 'fine');
  const given = lengthText(report.centre, system, 'fine');
  const at = fieldAt<GearInput>(path, 'mate.centre');
  if (report.operatingAngle === null)
    return [
      {
        code: 'mesh-too-close',
        path: at,
        severity: 'query',
        given,
        detail: { nominal: mm(report.nominalCentre) },
      },
    ];
  const issues: Issue[] = [];
  const clearance = Math.min(...report.tipClearance);
  if (clearance < 0)
    issues.push({
      code: 'mesh-bottoms',
      path: at,
      severity: 'query',
      given,
      detail: { clearance: mm(clearance) },
    });
  if (report.backlash! < 1e-6)
    issues.push({
      code: 'mesh-binds',
      path: at,
      severity: hasCentre ? 'query' : 'note',
      given,
      detail: {
        backlash: mm(Math.abs(report.backlash!) < 5e-5 ? 0 : report.backlash!),
        spread: mm(centreForWanted),
        deeper: mm(deeper),
        into: together ? 'both, which are cut together' : 'this gear',
      },
    });
  const [first, second] = report.tipInterference!;
  const worst = Math.max(first, second);
  if (worst > 0)
    issues.push({
      code: 'mesh-interferes',
      path: fieldAt<GearInput>(path, 'mate.teeth'),
      severity: 'note',
      given: '',
      detail: { which: first > second ? 'gear on this card' : 'mate', by: mm(worst) },
    });
  if (report.contactRatio! < 1.1)
    issues.push({
      code: 'mesh-barely',
      path: fieldAt<GearInput>(path, 'mate.teeth'),
      severity: 'note',
      given: decimalText(report.contactRatio!, 2),
    });
  return issues;
}

const TOO_MUCH = (sizes: SpurSizes): boolean =>
  approx(sizes.thinning) > MOST_THINNING * approx(sizes.module) * Math.PI;

/** Issues: thinning-too-much */
export function judgeThinning({
  sizes,
  given,
  path,
  system,
}: {
  readonly sizes: SpurSizes;
  readonly given: string;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  if (!TOO_MUCH(sizes)) return [];
  const tooth = toldLength(sizes.circularPitch / 2, system);
  const usable = approx(sizes.thinning) < sizes.circularPitch / 2;
  return [
    {
      code: 'thinning-too-much',
      path: fieldAt<GearInput>(path, 'thinning'),
      severity: usable ? 'query' : 'wrong',
      given,
      detail: { tooth },
    },
  ];
}

export function meshWorking(
  { report, pair, wanted, deeper, together }: MeshDetail,
  cutterTeeth: number,
): Working[] {
  const [one, two] = pair.gears;
  const m = decimalText(pair.module, 4);
  const deg = (angle: number) => dmsText(exact(degreesOf(angle).toFixed(6))).replace('°', '^\\circ');
  const source = 'ISO 21771';
  const lines: Working[] = [
    {
      key: 'nominalCentre',
      label: 'Centres where the pitch circles touch',
      formula: 'a_0 = \\frac{m(z_1 + z_2)}{2}',
      put: `\\frac{${m}(${one.teeth} + ${two.teeth})}{2}`,
      ...mmResult(report.nominalCentre),
      source,
    },
  ];
  if (report.operatingAngle === null) return lines;
  const tangents = report.centre * Math.sin(report.operatingAngle);
  const thinned = one.thinning + two.thinning;
  /** No more than the line of contact has: beyond it is interference. */
  const reach = ({ teeth, addendum }: (typeof pair.gears)[number]) => {
    const radius = (pair.module * teeth) / 2;
    const length = Math.sqrt(
      Math.max(0, (radius + addendum) ** 2 - (radius * Math.cos(pair.pressureAngle)) ** 2),
    );
    return Math.min(length, tangents);
  };
  lines.push(
    {
      key: 'operatingAngle',
      label: 'Operating angle',
      formula: '\\cos\\alpha_w = \\frac{a_0\\cos\\alpha}{a}',
      put: `\\frac{${decimalText(report.nominalCentre, 4)}\\cos ${decimalText(degreesOf(pair.pressureAngle), 4)}^\\circ}{${decimalText(report.centre, 4)}}`,
      result: `\\alpha_w = ${deg(report.operatingAngle)}`,
      joined: 'looked-up',
      source,
    },
    {
      key: 'backlash',
      label: 'Backlash at the real centres',
      formula: 'j = 2a(\\mathrm{inv}\\,\\alpha_w - \\mathrm{inv}\\,\\alpha) + \\Delta s\\frac{a}{a_0}',
      put: `2 \\times ${decimalText(report.centre, 4)}(${decimalText(involute(report.operatingAngle), 6)} - ${decimalText(involute(pair.pressureAngle), 6)})${thinned > 0 ? ` + ${decimalText((thinned * report.centre) / report.nominalCentre, 4)}` : ''}`,
      ...mmResult(report.backlash!),
      source,
    },
    {
      key: 'contactRatio',
      label: 'Contact ratio',
      formula:
        '\\varepsilon = \\frac{\\sqrt{r_{a1}^2 - r_{b1}^2} + \\sqrt{r_{a2}^2 - r_{b2}^2} - a\\sin\\alpha_w}{\\pi m\\cos\\alpha}',
      put: `\\frac{${decimalText(reach(one), 4)} + ${decimalText(reach(two), 4)} - ${decimalText(tangents, 4)}}{\\pi \\times ${m}\\cos ${decimalText(degreesOf(pair.pressureAngle), 3)}^\\circ}`,
      result: decimalText(report.contactRatio!, 3),
      source,
    },
  );
  if (deeper > 0)
    lines.push({
      key: 'deeper',
      label: 'Deeper for the backlash wanted',
      formula: '\\Delta h = \\frac{\\Delta j\\,\\cos\\alpha}{2\\sin(\\alpha + 90^\\circ/z_c)}',
      put: `\\Delta j = ${together ? '\\tfrac12 \\times ' : ''}${decimalText(wanted - report.backlash!, 4)},\\ z_c = ${decimalText(cutterTeeth, 1)}`,
      ...mmResult(deeper),
      source: 'a form cutter keeps its shape and moves radially; by drawing it',
    });
  return lines;
}
