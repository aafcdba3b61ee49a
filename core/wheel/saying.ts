import type { DriveFacts } from '../drive/index.ts';
import {
  degreesTex,
  mmResult,
  unitTex,
  angleValue,
  lengthValue,
  textValue,
  type Caution,
  type Value,
  type Working,
} from '../station/index.ts';
import type { Mill } from '../shop/index.ts';
import { decimalText, exact, lengthText, type UnitSystem, degreesOf } from '../units/index.ts';
import type { WheelDetail } from './detail.ts';
import type { Infeed } from './gash.ts';
import type { RimFacts } from './rim.ts';
import type { GashSchool } from './schema.ts';
import { SCHOOL_NAMES } from './schools.ts';

export function valuesOf({
  wheelDetail: { school, schools, setting, lean, infeed, hobStock, cutAs },
  drive,
  depth,
  system,
}: {
  readonly wheelDetail: WheelDetail;
  readonly drive: DriveFacts;
  readonly depth: number;
  readonly system: UnitSystem;
}): Value[] {
  const angle = (deg: number) => exact(deg.toFixed(7));
  const contact = schools.find((one) => one.school === school)?.contact;
  const values = [
    textValue({ key: 'school', label: 'Cut by', settles: true }, SCHOOL_NAMES[school].name),
    angleValue(
      { key: 'leadAngle', label: 'Lead angle', symbol: '\\gamma', settles: true },
      angle(degreesOf(drive.worm.leadAngle)),
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
      textValue(
        { key: 'contact', label: 'Bears over' },
        `${lengthText(contact.width, system)} of the face, give or take ${lengthText(contact.grain, system)}`,
      ),
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

export function workingOf({
  drive,
  rim,
  wheelDetail: { infeed, cutterDiameter, hobStock, lean, setting, cutAs },
  mill,
  depth,
}: {
  readonly drive: DriveFacts;
  readonly rim: RimFacts;
  readonly wheelDetail: WheelDetail;
  readonly mill: Mill | null;
  readonly depth: number;
}): Working[] {
  const { worm, teeth, starts, wormDiameter, addendum, centre } = drive;
  const f = (value: number) => decimalText(value, 4);
  const angle = degreesTex(degreesOf(worm.leadAngle), 4);
  const lines: Working[] = [
    {
      key: 'leadAngle',
      label: 'Angle of the gash',
      formula: '\\tan\\gamma = \\frac{p_z}{\\pi d_1}',
      put: `\\frac{${f(worm.lead)}}{\\pi \\times ${f(wormDiameter)}}`,
      result: `\\gamma = ${angle}`,
      joined: 'looked-up',
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
      put: `${f(rim.faceWidth)}\\tan ${decimalText(Math.abs(setting.scale - degreesOf(worm.leadAngle)), 4)}^\\circ`,
      result: unitTex(lean, '\u00b5m', 1),
      source: 'by geometry',
    });
  if (infeed?.fromCorners && infeed.rise === null)
    lines.push({
      key: 'corners',
      label: 'Depth from the corners, run across',
      formula: 'h + \\frac{d_c - d_{a2}}{2}',
      put: `${f(worm.depth)} + \\frac{${f(rim.corners)} - ${f(rim.throat)}}{2}`,
      ...mmResult(infeed.fromCorners),
      source: 'by geometry of the rim',
    });
  if (infeed?.fromCorners && infeed.rise !== null)
    lines.push({
      key: 'corners',
      label: 'Depth from the corners',
      formula: 'r_f - r_c - \\left(R - \\sqrt{R^2 - e^2}\\right)',
      put: `R = ${f(cutterDiameter! / 2)},\\ e = \\frac{${f(rim.hollow / 2)}}{\\cos ${angle}},\\ r_f = ${f(wormDiameter / 2 + worm.depth - addendum)},\\ a = ${f(centre)}`,
      ...mmResult(infeed.fromCorners),
      source: 'by geometry of cutter and rim',
    });
  if (hobStock !== null)
    lines.push({
      key: 'gash',
      label: 'Gash, short by what the hob takes',
      formula: 'h - u',
      put: `${f(depth + hobStock)} - ${f(hobStock)}`,
      ...mmResult(depth),
      source: 'common practice',
    });
  return lines;
}

/** @param depth from what is touched first, short by the stock that a hob takes */
export function cautionsOf(
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
