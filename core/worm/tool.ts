import type { DriveShape } from '../drive/index.ts';
import { CHECK_BAR, FRONT_RELIEF, type Template, type TemplateSize } from '../toothform/index.ts';
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
  const line = ({
    name,
    x1,
    y1,
    x2,
    y2,
  }: {
    readonly name: Template['lines'][number]['name'];
    readonly x1: number;
    readonly y1: number;
    readonly x2: number;
    readonly y2: number;
  }) => ({
    name,
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
  });
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
      line({ name: 'pitch line', x1: -wide, y1: pitchUp, x2: wide, y2: pitchUp }),
      line({ name: 'outside', x1: -wide, y1: depth, x2: wide, y2: depth }),
      line({ name: 'centre', x1: 0, y1: -letter, x2: 0, y2: shank + letter }),
      line({ name: 'check', x1: -CHECK_BAR / 2, y1: barAt, x2: CHECK_BAR / 2, y2: barAt }),
      line({ name: 'check', x1: -CHECK_BAR / 2, y1: barAt - 1.5, x2: -CHECK_BAR / 2, y2: barAt + 1.5 }),
      line({ name: 'check', x1: CHECK_BAR / 2, y1: barAt - 1.5, x2: CHECK_BAR / 2, y2: barAt + 1.5 }),
      line({ name: 'relief', x1: reliefAt, y1: 0, x2: reliefAt, y2: shank }),
      line({
        name: 'relief',
        x1: reliefAt,
        y1: 0,
        x2: reliefAt + shank * 0.6 * Math.tan(radiansOf(FRONT_RELIEF)),
        y2: shank * 0.6,
      }),
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
