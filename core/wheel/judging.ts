import { FAIR_GASH_DEG, type DriveFacts } from '../drive/index.ts';
import { toldLength, placedUnder, type FieldIn, type Issue } from '../findings/index.ts';
import type { Mill } from '../shop/index.ts';
import {
  approx,
  decimalText,
  dmsText,
  exact,
  parseCount,
  parsePositiveLength,
  type UnitSystem,
  degreesOf,
} from '../units/index.ts';
import type { WheelCutter, WheelDetail } from './detail.ts';
import type { GashInput } from './schema.ts';

const SCHOOL: FieldIn<GashInput> = 'school';

interface GashReadings {
  readonly hobStock: number | null;
  readonly flutes: number | null;
  readonly issues: readonly Issue[];
}

/** Issues: those of the parsers; hob-stock-deep */
export function readGash(input: GashInput, depth: number, system: UnitSystem): GashReadings {
  if (input.school !== 'hob') return { hobStock: null, flutes: null, issues: [] };
  const stock =
    input.hobStock.typed.trim() === ''
      ? null
      : parsePositiveLength(input.hobStock, 'What is left for the hob');
  const flutes = parseCount({ given: input.flutes, what: 'The number of flutes', least: 3, most: 24 });
  const issues: Issue[] = [
    ...(stock && !stock.ok ? placedUnder('hobStock', stock.issues) : []),
    ...(flutes.ok ? [] : placedUnder('flutes', flutes.issues)),
  ];
  const left = stock?.ok ? approx(stock.value) : depth / 10;
  if (left >= depth)
    issues.push({
      code: 'hob-stock-deep',
      path: 'hobStock',
      severity: 'wrong',
      given: input.hobStock.typed,
      detail: { depth: toldLength(depth, system) },
    });
  return { hobStock: left < depth ? left : null, flutes: flutes.ok ? flutes.value : null, issues };
}

/**
 * Issues: gash-no-mill, gash-cutter-unknown, gash-steep, cutter-under-worm, gash-hollow-straight,
 * gash-corners, hob-flutes-share
 */
export function judgeGash({
  driveFacts: { worm, axialModule },
  wheelCutter: { diameter },
  wheelDetail: { school, schools, hob, rim },
  mill,
  system,
}: {
  readonly driveFacts: DriveFacts;
  readonly wheelCutter: WheelCutter;
  readonly wheelDetail: WheelDetail;
  readonly mill: Mill | null;
  readonly system: UnitSystem;
}): Issue[] {
  const issues: Issue[] = [];
  const contact = schools.find((one) => one.school === school)?.contact ?? null;
  const leadDeg = degreesOf(worm.leadAngle);
  if (!mill) issues.push({ code: 'gash-no-mill', path: SCHOOL, severity: 'needed', allowed: 'the mill' });
  if (school !== 'hob' && leadDeg > FAIR_GASH_DEG)
    issues.push({
      code: 'gash-steep',
      path: SCHOOL,
      severity: 'query',
      given: dmsText(exact(leadDeg.toFixed(6))),
      detail: { fair: FAIR_GASH_DEG },
    });
  if (school !== 'traverse' && rim?.rim === 'throat' && diameter === null)
    issues.push({ code: 'gash-cutter-unknown', path: SCHOOL, severity: 'note' });
  if (school === 'plunge' && diameter !== null && diameter < worm.outside)
    issues.push({
      code: 'cutter-under-worm',
      path: SCHOOL,
      severity: 'query',
      given: decimalText(diameter, 2),
      detail: { worm: worm.outside },
    });
  if (school === 'traverse' && rim?.rim === 'throat')
    issues.push({ code: 'gash-hollow-straight', path: SCHOOL, severity: 'note' });
  // the usual backlash is 0.04 of the module: what touches first by more keeps the worm out
  if (school === 'plunge' && contact && contact.digs > 40 * axialModule)
    issues.push({
      code: 'gash-corners',
      path: SCHOOL,
      severity: 'query',
      given: `${decimalText(contact.digs, 0)} µm`,
      detail: { clear: toldLength(contact.clear, system) },
    });
  if (hob?.shares)
    issues.push({ code: 'hob-flutes-share', path: 'flutes', severity: 'query', given: String(hob.flutes) });
  return issues;
}
