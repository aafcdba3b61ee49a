/** A term drawn in 120 × 72: thin lines for what is there, lit ones for what is meant. SVG paths. */
export interface TermDrawing {
  readonly thin: string;
  readonly lit: string;
}

const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
/** A measure from one end to the other, with its ends marked. */
const across = (x1: number, x2: number, y: number): string =>
  `M${x1} ${y}H${x2}M${x1} ${y - 4}v8M${x2} ${y - 4}v8`;
const upright = (y1: number, y2: number, x: number): string =>
  `M${x} ${y1}V${y2}M${x - 4} ${y1}h8M${x - 4} ${y2}h8`;

/** One tooth: root at 60, pitch line at 36, tip at 16. */
const TOOTH = 'M8 60H32C38 60 40 56 43 44L49 16H71L77 44C80 56 82 60 88 60H112';
const PITCH_LINE = 'M8 36H112';
/** Two teeth with a space between them. */
const TEETH =
  'M4 60H10C15 60 17 54 19 44L25 16H41L47 44C49 54 51 60 56 60H64C69 60 71 54 73 44L79 16H95L101 44C103 54 105 60 110 60H116';
/** A worm from the side. */
const WORM = 'M14 20H106V52H14ZM22 52L34 20M38 52L50 20M54 52L66 20M70 52L82 20M86 52L98 20';
const BLANK = 'M34 24H86V62H34ZM20 43H34M86 43H100';

export const TERM_DRAWINGS: Readonly<Record<string, TermDrawing>> = {
  'Module, DP': { thin: `${TEETH}M4 36H116`, lit: across(20.5, 74.5, 36) },
  'Pitch circle': {
    thin: `${circle(38, 36, 4)}${circle(82, 36, 4)}`,
    lit: `${circle(38, 36, 26)}${circle(82, 36, 18)}`,
  },
  Addendum: { thin: `${TOOTH}${PITCH_LINE}`, lit: upright(16, 36, 98) },
  'Whole depth': { thin: `${TOOTH}M49 16H112`, lit: upright(16, 60, 100) },
  'Pressure angle': { thin: TOOTH, lit: 'M74 8V66M69.500 8L82 66M74 24A18 18 0 0 0 77 26' },
  Backlash: {
    thin: 'M30 64L46 8M46 8H16M90 64L74 8M74 8H104M58 64L66 8',
    lit: 'M46 8M52 30L62 30M38 36H52M82 36H64',
  },
  'Axial pitch': { thin: WORM, lit: across(50, 66, 14) },
  Starts: { thin: WORM, lit: 'M22 52L34 20M54 52L66 20M86 52L98 20' },
  Start: { thin: WORM, lit: 'M22 52L34 20M54 52L66 20M86 52L98 20' },
  'Lead angle': { thin: WORM, lit: 'M54 60V12M54 60L72 12M54 24A36 36 0 0 1 67 26' },
  'Across flats': { thin: 'M60 8L88 22V50L60 64L32 50V22Z', lit: 'M32 36H88M32 30v12M88 30v12' },
  'Outside diameter': { thin: `${circle(60, 40, 22)}${circle(60, 40, 28)}`, lit: across(32, 88, 8) },
  'Root diameter': { thin: `${circle(60, 40, 22)}${circle(60, 40, 28)}`, lit: 'M38 40H82M38 34v12M82 34v12' },
  Throat: { thin: 'M34 12C46 26 74 26 86 12V64H34Z', lit: upright(22, 64, 60) },
  Range: {
    thin: 'M10 44H110M10 38v12M35 38v12M60 38v12M85 38v12M110 38v12',
    lit: 'M35 44H60M35 36v16M47 24v14m-5 -6l5 6l5 -6',
  },
  School: {
    thin: 'M14 22H106M14 50H106',
    lit: 'M96 22l10 -6M96 22l10 6M106 22H60M24 50l-10 -6M24 50l-10 6M14 50H60',
  },
  Space: {
    thin: `${circle(20, 36, 6)}${circle(60, 36, 6)}${circle(100, 36, 6)}`,
    lit: 'M26 36H54m-8 -5l8 5l-8 5M66 36H94m-8 -5l8 5l-8 5',
  },
  Arms: {
    thin: [0, 1, 2, 3, 4].map((i) => circle(24 + i * 18, 20 + Math.abs(2 - i) ** 2 * 2.5, 3.5)).join(''),
    lit: 'M60 66L22 22M60 66L98 22',
  },
  Differential: {
    thin: `${circle(30, 44, 18)}${circle(88, 28, 14)}${circle(63, 36, 16)}`,
    lit: 'M22 20A26 26 0 0 1 46 24m-8 -6l8 6l-9 4M82 8A20 20 0 0 1 104 16m-9 -4l9 4l-7 6',
  },
  Idler: { thin: `${circle(24, 36, 16)}${circle(98, 36, 16)}`, lit: circle(61, 36, 21) },
  Leadscrew: {
    thin: 'M8 50H112V60H8ZM16 60l6 -10M28 60l6 -10M40 60l6 -10M52 60l6 -10M64 60l6 -10M76 60l6 -10M88 60l6 -10M46 50V30H78V50',
    lit: 'M46 22H82m-8 -5l8 5l-8 5',
  },
  Lead: {
    thin: 'M10 18H110V54H10Z',
    lit: 'M14 54C30 54 30 18 46 18M46 18C62 18 62 54 78 54M14 64H78M14 60v8M78 60v8',
  },
  Swing: {
    thin: 'M18 28H102V52H18Z',
    lit: 'M24 56L92 16L100 28L32 68ZM104 40A44 44 0 0 0 98 24m-2 8l2 -8l7 4',
  },
  Gash: { thin: BLANK, lit: 'M54 24L50 62M62 24L58 62M54 24H62' },
  Hob: { thin: WORM, lit: 'M14 30H106M14 42H106' },
  Approach: { thin: `${BLANK}${circle(26, 12, 22)}`, lit: across(26, 34, 68) },
  Climb: {
    thin: `${circle(60, 26, 20)}M14 50H106`,
    lit: 'M60 46A20 20 0 0 1 42 34m-2 8l2 -8l8 2M100 62H30m8 -5l-8 5l8 5',
  },
  Touch: { thin: `${circle(60, 18, 16)}M24 34H96V64H24Z`, lit: 'M52 34H68M60 40V30' },
  'Scratch round': {
    thin: circle(60, 36, 28),
    lit: Array.from({ length: 12 }, (_, i) => {
      const a = (i * Math.PI) / 6;
      return `M${(60 + 23 * Math.cos(a)).toFixed(1)} ${(36 + 23 * Math.sin(a)).toFixed(1)}L${(60 + 28 * Math.cos(a)).toFixed(1)} ${(36 + 28 * Math.sin(a)).toFixed(1)}`;
    }).join(''),
  },
  Span: { thin: TEETH, lit: 'M16 6V50M104 6V50M16 10H104' },
  'Over pins': {
    thin: `${circle(60, 36, 18)}`,
    lit: `${circle(60, 14, 6)}${circle(60, 58, 6)}${upright(8, 64, 92)}`,
  },
  'Chordal thickness': { thin: `${TOOTH}${PITCH_LINE}`, lit: across(44.5, 75.5, 36) },
  Runout: { thin: `${circle(60, 38, 24)}${circle(64, 36, 24)}`, lit: across(84, 88, 10) },
};
