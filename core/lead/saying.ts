import type { SpurSizes } from '../gear/index.ts';
import { meshesOf, trainText } from '../gearing/index.ts';
import {
  degreesTex,
  mmResult,
  unitTex,
  angleValue,
  figureValue,
  lengthValue,
  pitchValue,
  textValue,
  type Caution,
  type Value,
  type Working,
} from '../station/index.ts';
import { approx, decimalText, exact, type Exact } from '../units/index.ts';
import type { TableSetting } from './setting.ts';
import type { LeadCutter, LeadDetail, LeadWay } from './types.ts';

/** Where each gear of a train goes, from the table screw to the worm shaft, in plain words. */
export function positionsOf(
  { train }: Pick<LeadWay, 'train'>,
  drive: LeadDetail['drive'],
): readonly { readonly key: string; readonly where: string; readonly teeth: number }[] {
  const last = drive === 'worm' ? 'On the worm shaft' : 'On the spindle';
  const meshes = meshesOf(train);
  const stud = (i: number) => (meshes.length > 2 ? `stud ${i}` : 'the stud');
  return meshes.flatMap(({ driver, driven }, i) => [
    { key: `driver${i}`, where: i === 0 ? 'On the table screw' : `Second on ${stud(i)}`, teeth: driver },
    { key: `driven${i}`, where: i === meshes.length - 1 ? last : `First on ${stud(i + 1)}`, teeth: driven },
  ]);
}

/** An error over the face as it is said: `0.4 µm too steep`. @param um µm */
export function strayText(um: number): string {
  const size = Math.abs(um);
  if (size < 0.05) return 'too little to tell';
  return `${size < 10 ? decimalText(size, 1) : decimalText(size, 0)} µm too ${um > 0 ? 'steep' : 'shallow'}`;
}

export function valuesOf({
  leadDetail: { wanted, machine, drive },
  way,
  lead,
  table,
}: {
  readonly leadDetail: LeadDetail;
  readonly way: LeadWay;
  readonly lead: Exact;
  readonly table: TableSetting;
}): Value[] {
  const places = positionsOf(way, drive).map(({ key, where, teeth }) =>
    textValue({ key, label: where }, `${teeth} teeth`),
  );
  return [
    lengthValue({ key: 'wanted', label: 'Lead wanted', symbol: 'L' }, wanted!),
    lengthValue({ key: 'machine', label: 'Machine lead', symbol: 'L_0' }, machine!),
    textValue({ key: 'train', label: 'Gears', settles: true }, trainText(way.train)),
    ...places,
    textValue(
      { key: 'idlers', label: 'Idlers, usually', settles: true },
      way.idlers === 0 ? 'none' : String(way.idlers),
    ),
    pitchValue({ key: 'lead', label: 'Lead they cut', settles: true }, lead),
    angleValue({ key: 'helix', label: 'Angle it makes' }, exact(way.helixDeg.toFixed(7))),
    figureValue({
      naming: { key: 'stray', label: 'Over this face', settles: true },
      text: strayText(way.overFace),
      figure: {
        is: way.overFace,
        within: 2,
        unit: 'µm',
      },
    }),
    angleValue(
      { key: 'swing', label: table.by === 'head' ? 'Tilt of the head' : 'Swing of the table', settles: true },
      exact(table.scale.toFixed(7)),
    ),
    textValue(
      { key: 'way', label: table.by === 'head' ? 'Its top goes' : 'Its right end goes', settles: true },
      table.way === 'towards'
        ? 'towards you'
        : table.way === 'away'
          ? 'away from you'
          : `to the ${table.way}`,
    ),
  ];
}

export function workingOf({
  sizes,
  leadDetail: detail,
  way,
  screwLead,
  ratio,
  machine,
  cutter,
}: {
  readonly sizes: SpurSizes;
  readonly leadDetail: LeadDetail;
  readonly way: LeadWay;
  readonly screwLead: Exact;
  readonly ratio: Exact;
  readonly machine: Exact;
  readonly cutter: LeadCutter;
}): Working[] {
  const b = degreesTex(sizes.helixDeg, 4);
  const meshes = meshesOf(way.train);
  const product = (which: 'driver' | 'driven') => meshes.map((mesh) => mesh[which]).join(' \\times ');
  const handbook = 'Machinery’s Handbook, helical milling';
  const face = decimalText(detail.faceWidth!, 3);
  const d = decimalText(detail.pitchDiameter!, 4);
  const { test } = detail;
  const lines: Working[] = [
    {
      key: 'lead',
      label: 'Lead of the helix',
      formula: 'L = \\frac{\\pi z m_n}{\\sin\\beta}',
      put: `\\frac{\\pi \\times ${sizes.teeth} \\times ${decimalText(approx(sizes.module), 4)}}{\\sin ${b}}`,
      ...mmResult(detail.wanted!),
      source: 'ISO 21771',
    },
    {
      key: 'machine',
      label: 'Lead of the machine',
      formula: detail.drive === 'worm' ? 'L_0 = R\\,p' : 'L_0 = p',
      put:
        detail.drive === 'worm'
          ? `${decimalText(ratio)} \\times ${decimalText(screwLead)}`
          : decimalText(screwLead),
      ...mmResult(machine),
      source: handbook,
    },
    {
      key: 'ratio',
      label: 'Drivens over drivers',
      formula: '\\frac{\\text{drivens}}{\\text{drivers}} = \\frac{L}{L_0}',
      put: `\\frac{${decimalText(detail.wanted!, 4)}}{${decimalText(machine, 4)}}`,
      result: decimalText(detail.wanted! / approx(machine), 6),
      source: handbook,
    },
    {
      key: 'cut',
      label: 'Lead these gears cut',
      formula: "L' = L_0\\,\\frac{\\text{drivens}}{\\text{drivers}}",
      put: `${decimalText(machine, 4)} \\times \\frac{${product('driven')}}{${product('driver')}}`,
      ...mmResult(way.lead),
      source: handbook,
    },
    {
      key: 'angle',
      label: 'Angle it makes',
      formula: "\\tan\\beta' = \\frac{\\pi d}{L'}",
      put: `\\frac{\\pi \\times ${d}}{${decimalText(way.lead, 4)}}`,
      result: `\\beta' = ${decimalText(way.helixDeg, 4)}^\\circ`,
      joined: 'looked-up',
      source: 'ISO 21771',
    },
    {
      key: 'stray',
      label: 'Tooth astray at the end of the face',
      formula: "\\Delta = b\\,\\pi d\\left(\\frac{1}{L'} - \\frac{1}{L}\\right)",
      put: `${face} \\times \\pi \\times ${d}\\left(\\frac{1}{${decimalText(way.lead, 4)}} - \\frac{1}{${decimalText(detail.wanted!, 4)}}\\right)`,
      result: unitTex(way.overFace, '\u00b5m', 2),
      source: 'by geometry',
    },
  ];
  if (test)
    lines.push({
      key: 'test',
      label: 'Turn over the face',
      formula: "\\varphi = 360^\\circ\\,\\frac{b}{L'}",
      put: `360^\\circ \\times \\frac{${face}}{${decimalText(way.lead, 4)}}`,
      result: degreesTex(test.spindleDeg, 3),
      source: 'by geometry',
    });
  const [h, D, w] = [sizes.cutDepth, cutter.diameter ?? 0, cutter.width ?? 0].map((value) =>
    decimalText(value, 3),
  );
  if (detail.approach !== null)
    lines.push({
      key: 'approach',
      label: 'Approach along the work',
      formula: '\\sqrt{h(D_c - h)}\\cos\\beta + \\frac{w}{2}\\sin\\beta',
      put: `\\sqrt{${h}(${D} - ${h})}\\cos ${b} + \\frac{${w}}{2}\\sin ${b}`,
      ...mmResult(detail.approach, 2),
      source: 'common practice; checked by the cutter’s outline',
    });
  return [...lines, ...settingWorking(detail.table, h!, D!)];
}

/**
 * What the nearest mark of the scale costs, and where a corner of the table comes to. @param h, D depth and
 * cutter's diameter, as text
 */
function settingWorking(table: TableSetting | null, h: string, D: string): Working[] {
  const lines: Working[] = [];
  if (table?.wider != null)
    lines.push({
      key: 'wider',
      label: 'Mouth of a tooth space wider, for the nearest mark, at most',
      formula: '2\\sqrt{h(D_c - h)}\\,\\tan\\delta',
      put: `2\\sqrt{${h}(${D} - ${h})}\\,\\tan ${decimalText(Math.abs(table.off), 4)}^\\circ`,
      ...mmResult(table.wider, 3),
      source: 'by geometry',
    });
  if (table?.size && table.reach !== null) {
    const s = degreesTex(table.scale, 3);
    lines.push({
      key: 'reach',
      label: 'Corner of the swung table, from its middle',
      formula: '\\frac{l}{2}\\sin\\beta + \\frac{t}{2}\\cos\\beta',
      put: `\\frac{${decimalText(table.size.length, 1)}}{2}\\sin ${s} + \\frac{${decimalText(table.size.width, 1)}}{2}\\cos ${s}`,
      ...mmResult(table.reach, 3),
      source: 'by geometry',
    });
  }
  return lines;
}

export function cautionsOf({ hand, test, table, faceWidth }: LeadDetail): Caution[] {
  if (!test || !table || faceWidth === null) return [];
  return [
    {
      code: 'draw-clear',
      when: 'Before running back',
      text: 'draw clear. The gears have slack: a cutter left in its tooth space drags across the flank it has just cut.',
    },
    {
      code: 'lead-hand',
      when: 'Before cutting',
      text: `scribe one line: ${hand}-hand, it ${test.leans === 'towards' ? 'comes towards' : 'goes away from'} you as it runs to the right. Gear cover shut, hands off; your machine’s manual and shop rules come first.`,
    },
  ];
}
