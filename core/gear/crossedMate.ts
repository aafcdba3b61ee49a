import type { GearInput } from './schema.ts';
import { toldLength, fieldAt, type Issue } from '../findings/index.ts';
import { crossedPair, mateOnCrossedShafts, type CrossedReport } from '../mesh/index.ts';
import { degreesTex, mmResult, type Working } from '../station/index.ts';
import { approx, decimalText, lengthText, type UnitSystem, radiansOf, degreesOf } from '../units/index.ts';
import type { GearReadings } from './readings.ts';
import type { SpurSizes } from './spurSizes.ts';

/** The gear and its mate on shafts that cross, as plain data. mm and degrees. */
export interface CrossedDetail extends CrossedReport {
  readonly mateTeeth: number;
  readonly shaftDeg: number;
  readonly mateHelixDeg: number;
  readonly mateHand: 'right' | 'left';
  readonly mateTipDiameter: number;
  readonly mateLead: number | null;
  /** Count the mate’s cutter is chosen by: z/cos³β. */
  readonly mateVirtual: number;
}

/** @returns null on parallel shafts, or while the mate is not known */
export function crossedMate(sizes: SpurSizes, { mate }: GearReadings): CrossedDetail | null {
  const { crossed, teeth } = mate;
  if (!crossed || teeth === null) return null;
  const own = radiansOf(approx(sizes.helixDeg));
  const found = crossed.helixDeg
    ? { helixAngle: radiansOf(approx(crossed.helixDeg)), hand: crossed.hand }
    : crossed.shaftDeg && mateOnCrossedShafts(own, sizes.hand, radiansOf(approx(crossed.shaftDeg)));
  // the mate’s own teeth would lie across its shaft
  if (!found || found.helixAngle > radiansOf(85)) return null;
  const report = crossedPair({
    normalModule: approx(sizes.module),
    teeth: [sizes.teeth, teeth],
    helixAngles: [own, found.helixAngle],
    hands: [sizes.hand, found.hand],
  });
  const straight = found.helixAngle < 1e-9;
  return {
    ...report,
    mateTeeth: teeth,
    shaftDeg: degreesOf(report.shaftAngle),
    mateHelixDeg: degreesOf(found.helixAngle),
    mateHand: found.hand,
    mateTipDiameter: report.pitchDiameters[1] + 2 * approx(sizes.depth.addendum),
    mateLead: straight ? null : (Math.PI * report.pitchDiameters[1]) / Math.tan(found.helixAngle),
    mateVirtual: teeth / Math.cos(found.helixAngle) ** 3,
  };
}

/** Issues: shafts-needed, shafts-at-odds, crossed-centre-off */
export function judgeCrossed({
  found,
  gearReadings: { mate },
  path,
  system,
}: {
  readonly found: CrossedDetail | null;
  readonly gearReadings: GearReadings;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  const { crossed, centre } = mate;
  if (!crossed || mate.teeth === null) return [];
  if (!found)
    return [{ code: 'shafts-needed', path: fieldAt<GearInput>(path, 'mate.shaftAngle'), severity: 'needed' }];
  const issues: Issue[] = [];
  const shafts = crossed.shaftDeg;
  if (shafts && Math.abs(approx(shafts) - found.shaftDeg) > 1 / 120)
    issues.push({
      code: 'shafts-at-odds',
      path: fieldAt<GearInput>(path, 'mate.helix'),
      severity: 'wrong',
      given: `${decimalText(shafts, 3)}°`,
      detail: { found: found.shaftDeg },
    });
  if (centre && Math.abs(approx(centre) - found.centre) > 0.02)
    issues.push({
      code: 'crossed-centre-off',
      path: fieldAt<GearInput>(path, 'mate.centre'),
      severity: 'query',
      given: lengthText(approx(centre), system, 'fine'),
      detail: { nominal: toldLength(found.centre, system, 'fine') },
    });
  return issues;
}

export function crossedWorking(found: CrossedDetail, sizes: SpurSizes): Working[] {
  const [own, other] = [decimalText(sizes.helixDeg, 3), decimalText(found.mateHelixDeg, 3)];
  const same = found.mateHand === sizes.hand;
  const m = decimalText(approx(sizes.module), 4);
  const source = 'Machinery’s Handbook, helical gears on shafts at an angle';
  return [
    {
      key: 'shafts',
      label: `Angle of the shafts, ${same ? 'one hand' : 'opposite hands'}`,
      formula: same ? '\\Sigma = \\beta_1 + \\beta_2' : '\\Sigma = |\\beta_1 - \\beta_2|',
      put: same ? `${own}^\\circ + ${other}^\\circ` : `|${own}^\\circ - ${other}^\\circ|`,
      result: degreesTex(found.shaftDeg, 3),
      source,
    },
    {
      key: 'crossedCentre',
      label: 'Centre distance',
      formula: 'a = \\frac{m_n}{2}\\left(\\frac{z_1}{\\cos\\beta_1} + \\frac{z_2}{\\cos\\beta_2}\\right)',
      put: `\\frac{${m}}{2}\\left(\\frac{${sizes.teeth}}{\\cos ${own}^\\circ} + \\frac{${found.mateTeeth}}{\\cos ${other}^\\circ}\\right)`,
      ...mmResult(found.centre, 4),
      source,
    },
  ];
}
