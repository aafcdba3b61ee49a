import {
  degreesTex,
  mmResult,
  angleValue,
  lengthValue,
  pitchValue,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import { decimalText, exact, pitchText, type UnitSystem, degreesOf } from '../units/index.ts';
import { lengthText } from '../units/index.ts';
import type { DriveReadings } from './read.ts';
import type { DriveFacts, PairReport } from './detail.ts';

const HANDBOOK = 'Machinery’s Handbook, worm gearing';
const degrees = (deg: number) => exact(deg.toFixed(7));

/** Figures of the pair, in the order they are asked for. */
export function valuesOf(facts: DriveFacts, pair: PairReport, system: UnitSystem): Value[] {
  const { worm, pitch, plane, wormDiameter, wheelDiameter, centre, starts, teeth, hand } = facts;
  return [
    textValue({ key: 'ratio', label: 'Ratio', settles: true }, `${pair.ratio} : 1`),
    textValue(
      { key: 'pitch', label: plane === 'normal' ? 'Normal pitch' : 'Pitch along the axis', settles: true },
      pitchText(pitch),
    ),
    textValue({ key: 'counts', label: 'Starts, teeth', settles: true }, `${starts}, ${teeth}`),
    textValue({ key: 'hand', label: 'Hand of both', settles: true }, hand),
    pitchValue({ key: 'axialPitch', label: 'Axial pitch', symbol: 'p_x', settles: true }, worm.axialPitch),
    lengthValue({ key: 'lead', label: 'Lead', symbol: 'p_z' }, worm.lead),
    angleValue({ key: 'leadAngle', label: 'Lead angle', symbol: '\\gamma' }, degrees(pair.leadAngleDeg)),
    lengthValue({ key: 'wormDiameter', label: 'Worm, pitch Ø', symbol: 'd_1', settles: true }, wormDiameter),
    lengthValue({ key: 'wheelDiameter', label: 'Wheel, pitch Ø', symbol: 'd_2' }, wheelDiameter),
    lengthValue({ key: 'centre', label: 'Centre distance', symbol: 'a', settles: true }, centre),
    textValue(
      { key: 'usual', label: 'Worms usual at this distance' },
      `Ø ${lengthText(pair.usualWorms[0], system)} to ${lengthText(pair.usualWorms[1], system)}`,
    ),
    textValue(
      { key: 'locking', label: 'The wheel turns the worm' },
      pair.selfLocking ? 'hardly: likely self-locking' : 'yes: not self-locking',
    ),
    textValue({ key: 'contact', label: 'Teeth in contact, middle' }, decimalText(pair.contactRatio, 2)),
  ];
}

export function workingOf(
  facts: DriveFacts,
  pair: PairReport,
  { module, friction }: DriveReadings,
): Working[] {
  const { worm, axialModule, wormDiameter, wheelDiameter, starts, teeth, plane, proportions, centre } = facts;
  const f = (value: number) => decimalText(value, 4);
  const angle = degreesTex(pair.leadAngleDeg, 4);
  const lines: Working[] = [];
  if (plane === 'normal')
    lines.push({
      key: 'axialModule',
      label: 'Module along the axis',
      formula: 'm = \\frac{m_n}{\\cos\\gamma},\\ \\sin\\gamma = \\frac{z_1 m_n}{d_1}',
      put: `\\frac{${f(module!)}}{\\cos ${angle}}`,
      ...mmResult(axialModule),
      source: 'by geometry of the thread',
    });
  return [
    ...lines,
    {
      key: 'axialPitch',
      label: 'Axial pitch',
      formula: 'p_x = \\pi m',
      put: `\\pi \\times ${f(axialModule)}`,
      ...mmResult(worm.axialPitch),
      source: HANDBOOK,
    },
    {
      key: 'lead',
      label: 'Lead',
      formula: 'p_z = z_1 p_x',
      put: `${starts} \\times ${f(worm.axialPitch)}`,
      ...mmResult(worm.lead),
      source: HANDBOOK,
    },
    {
      key: 'leadAngle',
      label: 'Lead angle',
      formula: '\\tan\\gamma = \\frac{p_z}{\\pi d_1}',
      put: `\\frac{${f(worm.lead)}}{\\pi \\times ${f(wormDiameter)}}`,
      result: `\\gamma = ${angle}`,
      joined: 'looked-up',
      source: HANDBOOK,
    },
    {
      key: 'wheelDiameter',
      label: 'Wheel, pitch diameter',
      formula: 'd_2 = z_2 m',
      put: `${teeth} \\times ${f(axialModule)}`,
      ...mmResult(wheelDiameter),
      source: HANDBOOK,
    },
    {
      key: 'centre',
      label: 'Centre distance',
      formula: 'a = \\frac{d_1 + d_2}{2}',
      put: `\\frac{${f(wormDiameter)} + ${f(wheelDiameter)}}{2}`,
      ...mmResult(centre),
      source: HANDBOOK,
    },
    {
      key: 'friction',
      label: 'Angle of friction',
      formula: '\\tan\\rho = \\frac{\\mu}{\\cos\\alpha}',
      put: `\\frac{${decimalText(friction, 3)}}{\\cos ${decimalText(degreesOf(proportions.pressureAngle), 2)}^\\circ}`,
      result: `\\rho = ${decimalText(pair.frictionDeg, 2)}^\\circ`,
      joined: 'looked-up',
      source: `${HANDBOOK}; guidance`,
    },
    {
      key: 'usual',
      label: 'Worms usual at this distance, in inches',
      formula: '\\frac{a^{0.875}}{3}\\ \\text{to}\\ \\frac{a^{0.875}}{1.6}',
      put: `a = ${decimalText(centre / 25.4, 4)}`,
      result: `${decimalText(pair.usualWorms[0] / 25.4, 3)}\\ \\text{to}\\ ${decimalText(pair.usualWorms[1] / 25.4, 3)}\\ \\mathrm{in}`,
      joined: '\\Rightarrow',
      source: 'AGMA, worm gearing (from memory); guidance',
    },
    {
      key: 'contact',
      label: 'Teeth in contact, in the middle plane',
      formula:
        '\\varepsilon = \\frac{\\sqrt{r_a^2 - r_b^2} - r\\sin\\alpha + h_a/\\sin\\alpha}{\\pi m\\cos\\alpha}',
      put: `\\alpha = ${decimalText(degreesOf(proportions.pressureAngle), 2)}^\\circ,\\ r = ${f(wheelDiameter / 2)}`,
      result: `\\varepsilon = ${decimalText(pair.contactRatio, 3)}`,
      joined: '\\Rightarrow',
      source: 'a rack and its gear; ISO 21771',
    },
  ];
}
