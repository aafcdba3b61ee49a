import {
  engagedLength,
  FAIR_GASH_DEG,
  MOST_GASH_DEG,
  shapeOf,
  wheelCutAs,
  type DriveFacts,
  type DriveShape,
} from '../drive/index.ts';
import { at, type Issue } from '../findings/index.ts';
import { setTable, settingOf, type TableSetting } from '../lead/index.ts';
import {
  angleValue,
  lengthValue,
  textValue,
  type Caution,
  type StationWork,
  type Value,
  type Working,
} from '../station/index.ts';
import type { Mill } from '../shop/index.ts';
import {
  approx,
  decimalText,
  dmsText,
  exact,
  lengthFigure,
  lengthText,
  parseCount,
  parsePositiveLength,
  type UnitSystem,
} from '../units/index.ts';
import { contactOf, type Contact } from './contact.ts';
import { hobOf, infeedOf, type HobData, type Infeed } from './gash.ts';
import type { RimFacts } from './rim.ts';
import { GASH_SCHOOLS, type GashInput, type GashSchool } from './schema.ts';

/** Of the cutter in force. */
export interface WheelCutter {
  /** mm; null where not known. */
  readonly diameter: number | null;
  /** The count its form is made for; null where none is picked. */
  readonly madeFor: number | null;
}

export interface WheelFacts {
  /** On the dial, from what is touched, mm. */
  readonly depth: number;
  readonly school: GashSchool;
  /** How table or head stands, degrees on its scale. */
  readonly setting: TableSetting | null;
}

/** A school beside the others: what it leaves, and what that is fit for. */
export interface SchoolAnswer {
  readonly school: GashSchool;
  readonly name: string;
  readonly how: string;
  readonly fitFor: string;
  /** Null where the cutter’s diameter is not known; of a hob it is whole by its make. */
  readonly contact: Contact | null;
}

export interface WheelDetail {
  readonly drive: DriveShape | null;
  readonly rim: RimFacts | null;
  readonly school: GashSchool;
  readonly schools: readonly SchoolAnswer[];
  readonly mill: { readonly id: string; readonly name: string } | null;
  readonly setting: TableSetting | null;
  /** How far the gash leans over the face for the scale’s nearest mark, µm. */
  readonly lean: number | null;
  readonly infeed: Infeed | null;
  readonly hobStock: number | null;
  readonly hob: HobData | null;
  readonly cutAs: number | null;
  readonly cutterDiameter: number | null;
}

const DEG = 180 / Math.PI;

const NAMES: Readonly<Record<GashSchool, { readonly name: string; readonly how: string }>> = {
  plunge: {
    name: 'Plunge',
    how: 'the cutter over the middle of the face, sunk straight in at the lead angle',
  },
  traverse: {
    name: 'Traverse',
    how: 'straight across the face at the lead angle, as a helical gear of that angle',
  },
  hob: {
    name: 'Gash and hob',
    how: 'gashed short of depth, then finished by a hob like the worm, the wheel free to turn',
  },
};

/** What the bearing a school leaves is fit for. Common practice. */
const FIT_FOR: Readonly<Record<GashSchool, string>> = {
  plunge: 'motion and light reduction, not power; better with a cutter little larger than the worm',
  traverse: 'motion by hand, dividing and light reduction, not power: it bears in the middle only',
  hob: 'power and steady running: the whole flank bears, to the centre distance',
};

function schoolsOf(
  drive: DriveFacts,
  rim: RimFacts,
  { diameter, madeFor }: WheelCutter,
  cutAs: number,
): readonly SchoolAnswer[] {
  return GASH_SCHOOLS.map((school): SchoolAnswer => {
    // beyond the hollow the corners are chamfered away
    const gash = {
      rim: rim.rim,
      faceWidth: rim.rim === 'throat' ? rim.hollow : rim.faceWidth,
      madeFor: madeFor ?? Math.max(12, cutAs),
    };
    const contact =
      school === 'hob' || (school === 'plunge' && diameter === null)
        ? null
        : contactOf(drive, { ...gash, school, cutterDiameter: diameter ?? 0 });
    return { school, ...NAMES[school], fitFor: FIT_FOR[school], contact };
  });
}

interface GashReadings {
  readonly hobStock: number | null;
  readonly flutes: number | null;
  readonly issues: readonly Issue[];
}

/** Issues: those of the parsers; hob-stock-deep */
function readGash(input: GashInput, depth: number, system: UnitSystem): GashReadings {
  if (input.school !== 'hob') return { hobStock: null, flutes: null, issues: [] };
  const stock =
    input.hobStock.typed.trim() === ''
      ? null
      : parsePositiveLength(input.hobStock, 'What is left for the hob');
  const flutes = parseCount(input.flutes, 'The number of flutes', 3, 24);
  const issues: Issue[] = [
    ...(stock && !stock.ok ? at('hobStock', stock.issues) : []),
    ...(flutes.ok ? [] : at('flutes', flutes.issues)),
  ];
  const left = stock?.ok ? approx(stock.value) : depth / 10;
  if (left >= depth)
    issues.push({
      code: 'hob-stock-deep',
      path: 'hobStock',
      severity: 'wrong',
      given: input.hobStock.typed,
      detail: { depth: lengthText(depth, system) },
    });
  return { hobStock: left < depth ? left : null, flutes: flutes.ok ? flutes.value : null, issues };
}

/**
 * The wheel station: how it is cut, what bears then, how the machine is set and how deep it goes.
 * @param drive, rim null while unknown @param path of `gash` in the document
 * Issues: those of the parsers; gash-no-mill, gash-too-steep, gash-steep, gash-hollow-straight, gash-corners, gash-cutter-unknown, hob-stock-deep,
 * cutter-under-worm, hob-flutes-share; those of
 * the table’s setting
 * Source: docs/sources.md#worm
 */
export function planWheel(
  input: GashInput,
  drive: DriveFacts | null,
  rim: RimFacts | null,
  mill: Mill | null,
  cutter: WheelCutter,
  path: string,
  system: UnitSystem,
): StationWork<WheelFacts, WheelDetail> {
  const detail: WheelDetail = {
    drive: drive && shapeOf(drive),
    rim,
    school: input.school,
    schools: [],
    mill: mill && { id: mill.id, name: mill.name },
    setting: null,
    lean: null,
    infeed: null,
    hobStock: null,
    hob: null,
    cutAs: null,
    cutterDiameter: cutter.diameter,
  };
  const empty: StationWork<WheelFacts, WheelDetail> = {
    id: 'wheel',
    facts: null,
    answer: drive ? 'waits for the blank' : 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail,
  };
  if (!drive || !rim) return empty;
  const { worm, teeth, starts } = drive;
  const cutAs = wheelCutAs(teeth, starts, worm.leadAngle);
  const leadDeg = worm.leadAngle * DEG;
  const known: WheelDetail = { ...detail, cutAs, schools: schoolsOf(drive, rim, cutter, cutAs) };
  const infeed = infeedOf(drive, rim, input.school, cutter.diameter);
  const read = readGash(input, infeed.fromThroat, system);
  if (leadDeg > MOST_GASH_DEG) {
    const steep: Issue = {
      code: 'gash-too-steep',
      path: `${path}.choice`,
      severity: 'blocked',
      given: dmsText(exact(leadDeg.toFixed(6))),
      detail: { most: `${MOST_GASH_DEG}°` },
    };
    return {
      ...empty,
      answer: 'too steep to gash',
      issues: [steep, ...at(path, read.issues)],
      detail: known,
    };
  }
  const set =
    mill && setTable(input, { hand: drive.hand, helixDeg: leadDeg, depth: worm.depth, mill, cutter }, path);
  const lean = mill ? settingOf(leadDeg, mill.scaleMinutes, rim.faceWidth).lean : null;
  const stock = read.hobStock ?? 0;
  const depth = (infeed.fromCorners ?? infeed.fromThroat) - stock;
  const hob =
    input.school === 'hob' && read.flutes !== null
      ? hobOf(drive, read.flutes, engagedLength(drive.wheelDiameter, drive.addendum))
      : null;
  const done: WheelDetail = {
    ...known,
    setting: set?.setting ?? null,
    lean,
    infeed,
    hobStock: read.hobStock,
    hob,
  };
  const issues = [
    ...at(path, [...read.issues, ...judge(drive, cutter, done, mill, system)]),
    ...(set?.issues ?? []),
  ];
  const bad = issues.some(({ severity }) => severity === 'wrong' || severity === 'blocked');
  const words = set ? set.words : `${dmsText(exact(leadDeg.toFixed(6)))}`;
  return {
    ...empty,
    facts: bad ? null : { depth, school: input.school, setting: set?.setting ?? null },
    answer: `${NAMES[input.school].name.toLowerCase()}, ${words}, ${lengthFigure(depth, system)} deep`,
    values: valuesOf(done, drive, depth, system),
    working: workingOf(drive, rim, done, mill, depth),
    cautions: cautionsOf(input.school, infeed, { depth, stock, system }),
    issues,
    detail: done,
  };
}

/** Issues: gash-no-mill, gash-cutter-unknown, gash-steep, cutter-under-worm, gash-hollow-straight, gash-corners, hob-flutes-share */
function judge(
  { worm, axialModule }: DriveFacts,
  { diameter }: WheelCutter,
  { school, schools, hob, rim }: WheelDetail,
  mill: Mill | null,
  system: UnitSystem,
): Issue[] {
  const issues: Issue[] = [];
  const contact = schools.find((one) => one.school === school)?.contact ?? null;
  const leadDeg = worm.leadAngle * DEG;
  if (!mill) issues.push({ code: 'gash-no-mill', path: 'choice', severity: 'needed', allowed: 'the mill' });
  if (school !== 'hob' && leadDeg > FAIR_GASH_DEG)
    issues.push({
      code: 'gash-steep',
      path: 'choice',
      severity: 'query',
      given: dmsText(exact(leadDeg.toFixed(6))),
      detail: { fair: `${FAIR_GASH_DEG}°` },
    });
  if (school !== 'traverse' && rim?.rim === 'throat' && diameter === null)
    issues.push({ code: 'gash-cutter-unknown', path: 'choice', severity: 'note' });
  if (school === 'plunge' && diameter !== null && diameter < worm.outside)
    issues.push({
      code: 'cutter-under-worm',
      path: 'choice',
      severity: 'query',
      given: decimalText(diameter, 2),
      detail: { worm: decimalText(worm.outside, 2) },
    });
  if (school === 'traverse' && rim?.rim === 'throat')
    issues.push({ code: 'gash-hollow-straight', path: 'choice', severity: 'note' });
  // the usual backlash is 0.04 of the module: what touches first by more keeps the worm out
  if (school === 'plunge' && contact && contact.digs > 40 * axialModule)
    issues.push({
      code: 'gash-corners',
      path: 'choice',
      severity: 'query',
      given: `${decimalText(contact.digs, 0)} µm`,
      detail: { clear: lengthText(contact.clear, system) },
    });
  if (hob?.shares)
    issues.push({ code: 'hob-flutes-share', path: 'flutes', severity: 'query', given: String(hob.flutes) });
  return issues;
}

function valuesOf(
  { school, schools, setting, lean, infeed, hobStock, cutAs }: WheelDetail,
  drive: DriveFacts,
  depth: number,
  system: UnitSystem,
): Value[] {
  const angle = (deg: number) => exact(deg.toFixed(7));
  const contact = schools.find((one) => one.school === school)?.contact;
  const values = [
    textValue({ key: 'school', label: 'Cut by', settles: true }, NAMES[school].name),
    angleValue(
      { key: 'leadAngle', label: 'Lead angle', symbol: '\\gamma', settles: true },
      angle(drive.worm.leadAngle * DEG),
    ),
    textValue({ key: 'hand', label: 'Hand, as the worm', settles: true }, drive.hand),
    lengthValue(
      { key: 'depth', label: hobStock === null ? 'Depth on the dial' : 'Gash, on the dial', settles: true },
      exact(depth.toFixed(9)),
    ),
  ];
  if (setting) {
    const way =
      setting.way === 'towards'
        ? 'towards you'
        : setting.way === 'away'
          ? 'away from you'
          : `to the ${setting.way}`;
    values.push(
      angleValue(
        {
          key: 'swing',
          label: setting.by === 'head' ? 'Tilt of the head' : 'Swing of the table',
          settles: true,
        },
        angle(setting.scale),
      ),
    );
    values.push(
      textValue(
        { key: 'way', label: setting.by === 'head' ? 'Its top goes' : 'Its right end goes', settles: true },
        way,
      ),
    );
  }
  if (lean !== null)
    values.push(textValue({ key: 'lean', label: 'Leans over the face' }, `${decimalText(lean, 0)} µm`));
  if (infeed?.fromCorners)
    values.push(
      lengthValue(
        { key: 'fromThroat', label: 'Depth below the throat' },
        infeed.fromThroat - (hobStock ?? 0),
      ),
    );
  if (cutAs !== null)
    values.push(textValue({ key: 'cutAs', label: 'Cutter for' }, `${decimalText(cutAs, 1)} teeth`));
  if (contact)
    values.push(
      textValue({ key: 'contact', label: 'Bears over' }, `${lengthText(contact.width, system)} of the face`),
    );
  if (school === 'hob')
    values.push(
      textValue(
        { key: 'contact', label: 'Bears over' },
        'the whole face, when hobbed to the centre distance',
      ),
    );
  return values;
}

function workingOf(
  drive: DriveFacts,
  rim: RimFacts,
  { infeed, cutterDiameter, hobStock, lean, setting, cutAs }: WheelDetail,
  mill: Mill | null,
  depth: number,
): Working[] {
  const { worm, teeth, starts, wormDiameter, addendum, centre } = drive;
  const f = (value: number) => decimalText(value, 4);
  const mm = (value: number) => `${f(value)}\\ \\mathrm{mm}`;
  const angle = `${decimalText(worm.leadAngle * DEG, 4)}^\\circ`;
  const lines: Working[] = [
    {
      key: 'leadAngle',
      label: 'Angle of the gash',
      formula: '\\tan\\gamma = \\frac{p_z}{\\pi d_1}',
      put: `\\frac{${f(worm.lead)}}{\\pi \\times ${f(wormDiameter)}}`,
      result: `\\gamma = ${angle}`,
      joined: '\\Rightarrow',
      source: 'Machinery’s Handbook, worm wheels',
    },
  ];
  if (starts > 1)
    lines.push({
      key: 'cutAs',
      label: 'Cutter for',
      formula: '\\frac{z_2}{\\cos^3\\gamma}',
      put: `\\frac{${teeth}}{\\cos^3 ${angle}}`,
      result: decimalText(cutAs!, 2),
      source: 'Machinery’s Handbook, worm wheels by formed cutters',
    });
  if (lean !== null && setting && mill)
    lines.push({
      key: 'lean',
      label: 'Lean over the face, for the nearest mark',
      formula: 'b\\tan\\delta',
      put: `${f(rim.faceWidth)}\\tan ${decimalText(Math.abs(setting.scale - worm.leadAngle * DEG), 4)}^\\circ`,
      result: `${decimalText(lean, 1)}\\ \\mathrm{\u00b5m}`,
      source: 'by geometry',
    });
  if (infeed?.fromCorners && infeed.rise !== null)
    lines.push({
      key: 'corners',
      label: 'Depth from the corners',
      formula: 'r_f - r_c - \\left(R - \\sqrt{R^2 - e^2}\\right)',
      put: `R = ${f(cutterDiameter! / 2)},\\ e = \\frac{${f(rim.hollow / 2)}}{\\cos ${angle}},\\ r_f = ${f(wormDiameter / 2 + worm.depth - addendum)},\\ a = ${f(centre)}`,
      result: mm(infeed.fromCorners),
      source: 'by geometry of cutter and rim',
    });
  if (hobStock !== null)
    lines.push({
      key: 'gash',
      label: 'Gash, short by what the hob takes',
      formula: 'h - u',
      put: `${f(depth + hobStock)} - ${f(hobStock)}`,
      result: mm(depth),
      source: 'common practice',
    });
  return lines;
}

/** @param depth from what is touched first, short by the stock that a hob takes */
function cautionsOf(
  school: GashSchool,
  { fromCorners, fromThroat }: Infeed,
  { depth, stock, system }: { readonly depth: number; readonly stock: number; readonly system: UnitSystem },
): Caution[] {
  const cautions: Caution[] = [
    {
      code: 'worm-first',
      when: 'Before the last cut',
      text: 'lay the finished worm in the wheel and look that it lies square. Cut the worm first: the wheel is made to it.',
    },
  ];
  if (fromCorners !== null)
    cautions.unshift({
      code: 'corners-first',
      when: 'Touching off',
      text: `the cutter meets the two corners before the throat. From there it goes ${lengthText(depth, system, 'fine')}; sunk only ${lengthText(fromThroat - stock, system, 'fine')} from there the teeth stay too thick.`,
    });
  if (school === 'hob')
    cautions.push({
      code: 'hob-free',
      when: 'At the hob',
      text: 'table back to zero, the wheel free on its centres, hands away: the hob pulls it round. Let it stop by itself.',
    });
  return cautions;
}
