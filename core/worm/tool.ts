import type { DriveShape } from '../drive/index.ts';
import {
  CHECK_BAR,
  checkBar,
  FRONT_RELIEF,
  templateLine,
  type Template,
  type TemplateSize,
} from '../toothform/index.ts';
import { decimalText, degreesOf, radiansOf } from '../units/index.ts';
import type { WormInput } from './schema.ts';

/** A worm’s tool as ground. mm, radians. */
export interface WormTool {
  /** Both flanks together. */
  readonly includedAngle: number;
  readonly flat: number;
  /** Across the tool at the worm’s outside. */
  readonly width: number;
  /**
   * Side angles below the edges that clear the thread: on the side that goes ahead, and on the other.
   * Degrees; the second may be less than 0.
   */
  readonly leading: number;
  readonly trailing: number;
}

/** Clearance ground besides the lead angle, degrees. Common practice. */
const SIDE_CLEARANCE = 4;

/**
 * The tool of a worm. Level along the axis it has the angle and the flat of the axial section; turned to the
 * lead angle it is narrower by its cosine.
 * Source: section of the thread by geometry; clearances: common practice, the lead angle is steepest at the
 * root
 */
export function toolOf({ worm, proportions }: DriveShape, set: WormInput['tool']): WormTool {
  const turned = set === 'thread' ? Math.cos(worm.leadAngle) : 1;
  const lean = Math.tan(proportions.pressureAngle) * turned;
  const flat = worm.toolFlat * turned;
  // a tool that is turned needs its clearance alike on both sides, but for what root and pitch line differ by
  const along = degreesOf(Math.atan(worm.lead / (Math.PI * worm.root)));
  const outside = degreesOf(Math.atan(worm.lead / (Math.PI * worm.outside)));
  const own = set === 'thread' ? degreesOf(worm.leadAngle) : 0;
  return {
    includedAngle: 2 * Math.atan(lean),
    flat,
    width: flat + 2 * worm.depth * lean,
    leading: SIDE_CLEARANCE + along - own,
    trailing: SIDE_CLEARANCE - outside + own,
  };
}

/**
 * The tool’s form, to hold a ground one against.
 * @param scale times life size, 1 to 200
 */
export function wormTemplate({
  facts,
  set,
  scale,
  title,
}: {
  readonly facts: DriveShape;
  readonly set: WormInput['tool'];
  readonly scale: number;
  readonly title: string;
}): Template {
  const { worm, addendum } = facts;
  const tool = toolOf(facts, set);
  const half = (tool.flat / 2) * scale;
  const top = (tool.width / 2) * scale;
  const depth = worm.depth * scale;
  const lean = Math.tan(tool.includedAngle / 2);
  const shank = depth * 1.35;
  const side = [
    { x: half, y: 0 },
    { x: top, y: depth },
    { x: half + shank * lean, y: shank },
  ];
  const pitchUp = (worm.depth - addendum) * scale;
  const size = (name: string, mm: number): TemplateSize => ({ name, mm, printed: mm * scale });
  const sizes = [
    size('depth, tip to outside', worm.depth),
    size('width of the tip', tool.flat),
    size('width at the pitch line', tool.flat + 2 * (worm.depth - addendum) * lean),
    size('width at the outside', tool.width),
    size('pitch line above the tip', worm.depth - addendum),
  ];
  const letter = Math.max(3, depth * 0.06);
  const wide = half + shank * lean + 8;
  const barAt = -3 * letter;
  const reliefAt = wide + 0.6 * depth + 6;
  const degrees = (angle: number) => decimalText(degreesOf(angle), 2);
  const words = [
    title,
    `${decimalText(scale, 2)} times life size. The bar is ${CHECK_BAR} mm on paper: measure it before you trust the sheet.`,
    `Included angle ${degrees(tool.includedAngle)} deg, tool set ${set === 'axis' ? 'level along the axis' : `turned to the lead angle of ${degrees(worm.leadAngle)} deg`}.`,
    ...sizes.map(
      ({ name, mm, printed }) =>
        `${name}: ${decimalText(mm, 4)} mm (${decimalText(mm / 25.4, 5)} in), here ${decimalText(printed, 2)} mm`,
    ),
    `Clear the side that goes ahead by ${decimalText(tool.leading, 1)} deg, the other by ${decimalText(tool.trailing, 1)} deg; ${FRONT_RELIEF} deg below the tip.`,
  ];
  return {
    scale,
    outline: [...side.map(({ x, y }) => ({ x: -x, y })).reverse(), ...side],
    lines: [
      templateLine('pitch line', [-wide, pitchUp], [wide, pitchUp]),
      templateLine('outside', [-wide, depth], [wide, depth]),
      templateLine('centre', [0, -letter], [0, shank + letter]),
      ...checkBar(barAt),
      templateLine('relief', [reliefAt, 0], [reliefAt, shank]),
      templateLine(
        'relief',
        [reliefAt, 0],
        [reliefAt + shank * 0.6 * Math.tan(radiansOf(FRONT_RELIEF)), shank * 0.6],
      ),
    ],
    circles: [],
    words: [
      ...words.map((text, i) => ({
        at: { x: -wide, y: barAt - (i + 2) * 1.6 * letter },
        height: letter,
        text,
      })),
      { at: { x: wide + 2, y: pitchUp }, height: letter * 0.7, text: 'pitch line' },
      { at: { x: wide + 2, y: depth }, height: letter * 0.7, text: 'outside' },
    ],
    sizes,
    buttons: null,
  };
}
