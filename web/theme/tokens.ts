/**
 * The one source of colours, faces and sizes: style sheets read them as `var(--name)`, the component library
 * as its theme. Names are those of things: a surface plate with paper on it, layout dye, scribe lines, brass.
 */
const DAY = {
  plate: '#e9e6df',
  paper: '#f7f5f0',
  paperSunk: '#efece4',
  line: '#cfcabd',
  ink: '#1d2127',
  soft: '#575c5b',
  brass: '#8f6310',
  brassInk: '#7a5209',
  brassWash: '#efe6d0',
  red: '#94301f',
  redWash: '#f4e6e1',
  green: '#2a6146',
  field: '#fffefb',
  dye: '#20265a',
  dyeLit: '#2b3272',
  dyeLine: '#6a72b0',
  scribe: '#dfe6ff',
  scribeSoft: '#aeb7e6',
  brassOnDye: '#f0c063',
  onBrass: '#2a2008',
  redOnDye: '#ffb4a2',
  greenOnDye: '#9be0b8',
  /** Of the component library alone. */
  placeholder: '#6b706e',
  border: '#b9b3a4',
  track: '#dedacf',
  onPrimary: '#ffffff',
} as const;

export type Token = keyof typeof DAY;
export type Shift = 'day' | 'night';

const NIGHT: Partial<Record<Token, string>> = {
  plate: '#17191f',
  paper: '#1f222a',
  paperSunk: '#262a33',
  line: '#3a3f4b',
  ink: '#e8e6df',
  soft: '#a5a9ae',
  brass: '#e0b04e',
  brassInk: '#e0b04e',
  brassWash: '#35301f',
  red: '#f09a85',
  redWash: '#3a2522',
  green: '#7cc3a0',
  field: '#14161b',
  dye: '#141838',
  dyeLit: '#1d2250',
  placeholder: '#8d9298',
  border: '#4a505d',
  track: '#262a33',
  onPrimary: '#1d1705',
};

export const FACE = "'Atkinson Hyperlegible Next Variable', 'Shop Signs', sans-serif";

/** A colour of a shift. What night does not say otherwise is as by day. */
export const token = (shift: Shift, name: Token): string => (shift === 'night' && NIGHT[name]) || DAY[name];

const variable = (name: string): string =>
  `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;

const rules = (values: Partial<Record<Token, string>>): string =>
  Object.entries(values)
    .map(([name, value]) => `${variable(name)}:${value};`)
    .join('');

/** Lays the tokens out for the style sheets, before any of them is read. */
export function layTokens(): void {
  const sheet = document.createElement('style');
  sheet.textContent =
    `:root{--face:${FACE};${rules(DAY)}color-scheme:light}` +
    `:root[data-shift='night']{${rules(NIGHT)}color-scheme:dark}`;
  document.head.prepend(sheet);
}
