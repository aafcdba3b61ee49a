import {
  engagedLength,
  flatAndCrest,
  WORM_SCHOOLS,
  parseSize,
  shapeOf,
  type DriveFacts,
  type DriveShape,
} from '../drive/index.ts';
import { toldLength, placedUnder, type Issue } from '../findings/index.ts';
import { settingOf } from '../lead/index.ts';
import { readScale } from '../toothform/index.ts';
import {
  degreesTex,
  mmResult,
  angleValue,
  lengthValue,
  pitchValue,
  type Placed,
  type StationWork,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import {
  decimalText,
  dmsText,
  exact,
  lengthFigure,
  lengthText,
  type UnitSystem,
  degreesOf,
} from '../units/index.ts';
import type { WormInput } from './schema.ts';
import { toolOf, type WormTool } from './tool.ts';

/** A scale that the lead angle is set on, when the wheel is gashed. */
export interface AngleScale {
  readonly mill: string;
  /** Minutes it can be set to. */
  readonly minutes: number;
}

export interface WormFacts {
  readonly outside: number;
  readonly length: number;
  readonly tool: WormTool;
}

/** What a school gives for this pitch, to be set beside the one in force. mm */
export interface ThreadSchool {
  readonly id: '29' | '40';
  readonly name: string;
  readonly depth: number;
  readonly flat: number;
  readonly crest: number;
  readonly source: string;
}

export interface WormDetail {
  readonly schools: readonly ThreadSchool[];
  readonly drive: DriveShape | null;
  readonly tool: WormTool | null;
  readonly length: number | null;
  /** Taken where none is typed: the usual length, or as far as the wheel reaches where that is more. mm */
  readonly lengthTaken: { readonly mm: number; readonly reached: boolean } | null;
  /** Radial depth, and along the flank with the top slide set over by half the tool’s angle, mm. */
  readonly infeed: { readonly radial: number; readonly alongFlank: number } | null;
  /** The mill’s nearest mark to the lead angle, degrees, and what the rest leans over 10 mm of face, µm. */
  readonly onScale: {
    readonly mill: string;
    readonly degrees: number;
    readonly off: number;
    readonly lean: number;
  } | null;
}
const HANDBOOK = 'Machinery’s Handbook, worm gearing';

const schoolsFor = (axialPitch: number): readonly ThreadSchool[] =>
  WORM_SCHOOLS.map((school) => {
    const { flat, crest } = flatAndCrest(school);
    return {
      id: school.id === '29' ? '29' : '40',
      name: school.name,
      depth: school.depth * axialPitch,
      flat: flat * axialPitch,
      crest: crest * axialPitch,
      source: school.source,
    };
  });

/**
 * Length of thread a worm usually has: p·(4.5 + z2/50).
 * @returns mm
 * Source: Machinery’s Handbook, worm gearing (from memory)
 */
export const usualThreadLength = (axialPitch: number, wheelTeeth: number): number =>
  axialPitch * (4.5 + wheelTeeth / 50);

/** What a thread and its tool are planned from. */
export interface WormAsked extends Placed {
  readonly input: WormInput;
  /** Null while unknown. */
  readonly drive: DriveFacts | null;
  /** Of the mill that the wheel is gashed on; null where that is not known. */
  readonly scale: AngleScale | null;
}

/**
 * The worm station: the thread and its tool.
 * Issues: those of the parsers; worm-short
 */
export function planWorm({
  input,
  drive,
  scale,
  path,
  units: system,
}: WormAsked): StationWork<WormFacts, WormDetail> {
  const empty: StationWork<WormFacts, WormDetail> = {
    id: 'worm',
    facts: null,
    answer: 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: {
      schools: drive ? schoolsFor(drive.worm.axialPitch) : [],
      drive: drive && shapeOf(drive),
      tool: null,
      length: null,
      lengthTaken: null,
      infeed: null,
      onScale: null,
    },
  };
  const given = input.length.typed.trim() === '' ? null : parseSize(input.length, 'The length of the thread');
  const issues: Issue[] = given && !given.ok ? placedUnder('length', given.issues) : [];
  if (readScale(input.scale.typed) === null)
    issues.push({
      code: 'out-of-range',
      path: 'scale',
      severity: 'wrong',
      given: input.scale.typed,
      allowed: 'It runs from 1 to 200 times life size',
      detail: { what: 'A scale' },
    });
  if (!drive) return { ...empty, issues: placedUnder(path, issues) };
  const { worm, teeth, addendum, wheelDiameter } = drive;
  const tool = toolOf(drive, input.tool);
  const usual = usualThreadLength(worm.axialPitch, teeth);
  const engaged = engagedLength(wheelDiameter, addendum);
  // a wheel of many teeth reaches over more thread than is usual
  const length = given?.ok ? given.value : Math.max(usual, engaged);
  if (given?.ok && length < engaged)
    issues.push({
      code: 'worm-short',
      path: 'length',
      severity: 'query',
      given: lengthText(length, system),
      detail: { engaged: toldLength(engaged, system) },
    });
  const leadDeg = degreesOf(worm.leadAngle);
  const setting = scale && { mill: scale.mill, ...settingOf(leadDeg, scale.minutes, 10) };
  const infeed = { radial: worm.depth, alongFlank: worm.depth / Math.cos(drive.proportions.pressureAngle) };
  const wrong = issues.some(({ severity }) => severity === 'wrong');
  return {
    ...empty,
    facts: wrong ? null : { outside: worm.outside, length, tool },
    answer: `Ø ${lengthFigure(worm.outside, system)} × ${lengthFigure(length, system)}, ${lengthFigure(worm.depth, system)} deep`,
    values: valuesOf({ drive, tool, length, setting, system }),
    working: workingOf({
      driveFacts: drive,
      set: input.tool,
      tool,
      lengths: given?.ok ? null : { usual, engaged },
    }),
    cautions: [
      {
        code: 'thread-hands',
        when: 'While the thread is cut',
        text: 'hands, sleeves and rags away from work and leadscrew; stop the spindle to measure. The lathe’s manual and your shop’s rules come first.',
      },
    ],
    issues: placedUnder(path, issues),
    detail: {
      schools: schoolsFor(worm.axialPitch),
      drive: shapeOf(drive),
      tool,
      length,
      lengthTaken: { mm: Math.max(usual, engaged), reached: engaged > usual },
      infeed,
      onScale: setting,
    },
  };
}

function valuesOf({
  drive,
  tool,
  length,
  setting,
  system,
}: {
  readonly drive: DriveFacts;
  readonly tool: WormTool;
  readonly length: number;
  readonly setting: WormDetail['onScale'];
  readonly system: UnitSystem;
}): Value[] {
  const { worm, wormDiameter, starts, hand } = drive;
  const angle = (deg: number) => exact(deg.toFixed(7));
  return [
    lengthValue({ key: 'outside', label: 'Outside', symbol: 'd_{a1}', settles: true }, worm.outside),
    lengthValue(
      { key: 'pitchDiameter', label: 'Pitch diameter', symbol: 'd_1', settles: true },
      wormDiameter,
    ),
    lengthValue({ key: 'root', label: 'Root', symbol: 'd_{f1}' }, worm.root),
    lengthValue({ key: 'length', label: 'Length of thread', settles: true }, length),
    lengthValue({ key: 'depth', label: 'Depth', symbol: 'h', settles: true }, worm.depth),
    pitchValue(
      { key: 'lead', label: starts === 1 ? 'Lead' : `Lead, ${starts} starts`, symbol: 'p_z', settles: true },
      worm.lead,
    ),
    textValue({ key: 'hand', label: 'Hand', settles: true }, hand),
    angleValue(
      { key: 'leadAngle', label: 'Lead angle', symbol: '\\gamma' },
      angle(degreesOf(worm.leadAngle)),
    ),
    ...(setting
      ? [
          textValue(
            { key: 'scale', label: `On ${setting.mill}` },
            `${dmsText(angle(setting.degrees))}: leans ${decimalText(setting.lean, 0)} µm in ${lengthText(10, system, 'shop')}`,
          ),
        ]
      : []),
    angleValue({ key: 'included', label: 'Tool angle', settles: true }, angle(degreesOf(tool.includedAngle))),
    lengthValue({ key: 'flat', label: 'Tool flat', settles: true }, tool.flat),
    lengthValue({ key: 'crest', label: 'Crest of the thread' }, worm.crest),
    textValue(
      { key: 'clear', label: 'Clear the sides by' },
      `${decimalText(tool.leading, 1)}° ahead, ${tool.trailing < 0.5 ? 'none' : `${decimalText(tool.trailing, 1)}°`} behind`,
    ),
  ];
}

function workingOf({
  driveFacts: { worm, addendum, wormDiameter, wheelDiameter, proportions, teeth },
  set,
  tool,
  lengths,
}: {
  readonly driveFacts: DriveFacts;
  readonly set: WormInput['tool'];
  readonly tool: WormTool;
  readonly lengths: { readonly usual: number; readonly engaged: number } | null;
}): Working[] {
  const f = (value: number) => decimalText(value, 4);
  const of = (part: number) => `${decimalText(part, 4)}`;
  const px = f(worm.axialPitch);
  const a = degreesTex(degreesOf(proportions.pressureAngle), 2);
  const source = proportions.source;
  return [
    {
      key: 'outside',
      label: 'Outside of the worm',
      formula: 'd_{a1} = d_1 + 2h_a',
      put: `${f(wormDiameter)} + 2 \\times ${f(addendum)}`,
      ...mmResult(worm.outside),
      source: HANDBOOK,
    },
    {
      key: 'depth',
      label: 'Depth of the thread',
      formula: `h = ${of(proportions.depth)}\\,p_x`,
      put: `${of(proportions.depth)} \\times ${px}`,
      ...mmResult(worm.depth),
      source,
    },
    {
      key: 'root',
      label: 'Root',
      formula: 'd_{f1} = d_{a1} - 2h',
      put: `${f(worm.outside)} - 2 \\times ${f(worm.depth)}`,
      ...mmResult(worm.root),
      source: HANDBOOK,
    },
    {
      key: 'flat',
      label: 'Flat of the tool',
      formula:
        set === 'axis'
          ? '\\tfrac12 p_x - 2(h - h_a)\\tan\\alpha'
          : '\\left(\\tfrac12 p_x - 2(h - h_a)\\tan\\alpha\\right)\\cos\\gamma',
      put: `\\tfrac12 ${px} - 2(${f(worm.depth)} - ${f(addendum)})\\tan ${a}`,
      ...mmResult(tool.flat),
      source: `${source}; by geometry`,
    },
    {
      key: 'crest',
      label: 'Crest',
      formula: '\\tfrac12 p_x - 2h_a\\tan\\alpha',
      put: `\\tfrac12 ${px} - 2 \\times ${f(addendum)}\\tan ${a}`,
      ...mmResult(worm.crest),
      source: `${source}; by geometry`,
    },
    ...(lengths === null
      ? []
      : [
          {
            key: 'length',
            label: 'Usual length of thread',
            formula: 'p_x\\left(4.5 + \\frac{z_2}{50}\\right)',
            put: `${px}\\left(4.5 + \\frac{${teeth}}{50}\\right)`,
            ...mmResult(lengths.usual),
            source: 'Machinery’s Handbook, worm gearing (from memory)',
          },
          {
            key: 'engaged',
            label:
              lengths.engaged > lengths.usual
                ? 'The wheel reaches over more: taken'
                : 'The wheel reaches over less',
            formula: '4\\sqrt{\\tfrac{d_2}{2} h_a}',
            put: `4\\sqrt{\\tfrac{${f(wheelDiameter)}}{2} \\times ${f(addendum)}}`,
            ...mmResult(lengths.engaged),
            source: 'chord of the throat circle, by geometry',
          },
        ]),
  ];
}
