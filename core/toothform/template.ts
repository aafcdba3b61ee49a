import type { Point } from '../involute/index.ts';
import { approx, decimalText, exact, radiansOf } from '../units/index.ts';
import { fitButtons, type TwoButtons } from './buttons.ts';
import {
  pitchRadius,
  rootRadius,
  spaceOf,
  spaceSide,
  tipRadius,
  type Continuation,
  type ToothForm,
} from './space.ts';

/**
 * Relief of a single-point form tool: below its tip, and at its sides; degrees. Common practice for steel and
 * brass.
 */
export const FRONT_RELIEF = 12;
export const SIDE_RELIEF = 4;
/** The bar printed on a template to check the printer by, mm on paper. */
export const CHECK_BAR = 50;

/** A size to hold the ground tool against. */
export interface TemplateSize {
  readonly name: string;
  /** mm, life size */
  readonly mm: number;
  /** mm on paper */
  readonly printed: number;
}

/** mm on paper */
interface TemplateLine {
  readonly name: 'pitch line' | 'outside' | 'centre' | 'check' | 'relief';
  readonly from: Point;
  readonly to: Point;
}

/**
 * A tool’s form at a scale, as lines and words that any drawing program takes. mm on paper, y upward, the
 * tool’s tip at 0.
 */
export interface Template {
  readonly scale: number;
  /** Closed: up one flank, over the shank, down the other. */
  readonly outline: readonly Point[];
  readonly lines: readonly TemplateLine[];
  readonly circles: readonly { readonly at: Point; readonly radius: number }[];
  readonly words: readonly { readonly at: Point; readonly height: number; readonly text: string }[];
  readonly sizes: readonly TemplateSize[];
  readonly buttons: TwoButtons | null;
}

type At = readonly [x: number, y: number];

/** A straight line on a template, mm on paper. */
export const templateLine = (name: TemplateLine['name'], [x1, y1]: At, [x2, y2]: At): TemplateLine => ({
  name,
  from: { x: x1, y: y1 },
  to: { x: x2, y: y2 },
});

/** A bar of known length with its ends marked, to measure a print by. @param at its height, mm on paper */
export const checkBar = (at: number): readonly TemplateLine[] => {
  const [left, right] = [-CHECK_BAR / 2, CHECK_BAR / 2];
  return [
    templateLine('check', [left, at], [right, at]),
    templateLine('check', [left, at - 1.5], [left, at + 1.5]),
    templateLine('check', [right, at - 1.5], [right, at + 1.5]),
  ];
};

/**
 * A template for a fly cutter or another single-point tool: the tooth space of this very count, enlarged,
 * with the lines and sizes to grind it by; or the two buttons that come nearest.
 * @param scale times life size, > 0 @param as the ground form, or two buttons @param title named on the sheet
 * Source: spaceOf; relief angles: common practice
 */
export function templateOf({
  form,
  continuation,
  scale,
  as,
  title,
}: {
  readonly form: ToothForm;
  readonly continuation: Continuation;
  readonly scale: number;
  readonly as: 'form' | 'buttons';
  readonly title: string;
}): Template {
  const root = rootRadius(form);
  const space = spaceOf(form, continuation);
  const side = spaceSide(form, continuation, 60).map(({ x, y }) => ({ x: x * scale, y: (y - root) * scale }));
  const top = side.at(-1)!;
  const shank = { x: top.x, y: top.y + 0.7 * form.module * scale };
  const right = [...side, shank];
  const outline = [...right.map(({ x, y }) => ({ x: -x, y })).reverse(), ...right.slice(1)];
  const wide = (radius: number) => 2 * radius * Math.sin(Math.max(0, space(radius)));
  // where the pitch circle meets the flank: its chord, and how far above the floor
  const pitch = pitchRadius(form);
  const pitchUp = pitch * Math.cos(space(pitch)) - root;
  const buttons = as === 'buttons' ? fitButtons(form) : null;
  const size = (name: string, mm: number): TemplateSize => ({ name, mm, printed: mm * scale });
  const sizes: TemplateSize[] = [
    size('depth, floor to outside', tipRadius(form) * Math.cos(space(tipRadius(form))) - root),
    size('width at the outside', wide(tipRadius(form))),
    size('width at the pitch line', wide(pitch)),
    size('pitch line above the tip', pitchUp),
    size('width of the tip', wide(root)),
    ...(buttons
      ? [
          size('button diameter', buttons.diameter),
          size('button spacing', buttons.spacing),
          size('infeed', buttons.infeed),
        ]
      : []),
  ];
  const half = Math.max(top.x, buttons ? (buttons.spacing / 2 + buttons.radius) * scale : 0) + 8;
  const letter = Math.max(3, form.wholeDepth * scale * 0.06);
  const below = buttons ? Math.min(0, (buttons.centre.y - root - buttons.radius) * scale) : 0;
  const barAt = below - 3 * letter;
  const reliefAt = half + 0.6 * form.wholeDepth * scale + 6;
  const words = [
    title,
    `${decimalText(scale, 2)} times life size. The bar is ${CHECK_BAR} mm on paper: measure it before you trust the sheet.`,
    ...sizes.map(
      ({ name, mm, printed }) =>
        `${name}: ${decimalText(mm, 4)} mm (${decimalText(mm / 25.4, 5)} in), here ${decimalText(printed, 2)} mm`,
    ),
    buttons
      ? `Largest distance of the arcs from the true flank: ${decimalText(buttons.residual, 2)} um.`
      : `Relief: ${FRONT_RELIEF} deg below the tip, ${SIDE_RELIEF} deg at the sides. Ground square to the relief the form is ${decimalText(Math.cos(radiansOf(FRONT_RELIEF)), 4)} as deep.`,
  ];
  return {
    scale,
    outline,
    lines: [
      templateLine('pitch line', [-half, pitchUp * scale], [half, pitchUp * scale]),
      templateLine('outside', [-half, top.y], [half, top.y]),
      templateLine('centre', [0, below - letter], [0, shank.y + letter]),
      ...checkBar(barAt),
      // the tool from the side: its face upright, its tip leaning back by the relief
      ...(buttons
        ? []
        : [
            templateLine('relief', [reliefAt, 0], [reliefAt, shank.y]),
            templateLine(
              'relief',
              [reliefAt, 0],
              [reliefAt + shank.y * 0.6, shank.y * 0.6 * Math.tan(radiansOf(FRONT_RELIEF))],
            ),
          ]),
    ],
    circles: buttons
      ? [-1, 1].map((way) => ({
          at: { x: way * buttons.centre.x * scale, y: (buttons.centre.y - root) * scale },
          radius: buttons.radius * scale,
        }))
      : [],
    words: [
      ...words.map((text, i) => ({
        at: { x: -half, y: barAt - (i + 2) * 1.6 * letter },
        height: letter,
        text,
      })),
      { at: { x: half + 2, y: pitchUp * scale }, height: letter * 0.7, text: 'pitch line' },
      { at: { x: half + 2, y: top.y }, height: letter * 0.7, text: 'outside' },
      ...(buttons
        ? []
        : [
            {
              at: { x: reliefAt + 3, y: shank.y * 0.5 },
              height: letter * 0.7,
              text: `face, and ${FRONT_RELIEF} deg`,
            },
          ]),
    ],
    sizes,
    buttons,
  };
}

/** A scale as it is typed, 1 to 200. @returns null when it cannot be used */
export const readScale = (typed: string): number | null => {
  const text = typed
    .trim()
    .replace(/^[×x]\s*|\s*[×x]$|:1$/g, '')
    .replace(',', '.');
  if (!/^\d{1,3}(\.\d{1,3})?$/.test(text)) return null;
  const scale = approx(exact(text));
  return scale >= 1 && scale <= 200 ? scale : null;
};
