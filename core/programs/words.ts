import { approx, MM_PER_INCH } from '../units/index.ts';

/** How an owner’s control takes its programs. */
export interface ProgramSet {
  readonly units: 'mm' | 'in';
  /** Above the work where everything is clear, mm, > 0. */
  readonly safe: number;
  readonly lineEnd: 'lf' | 'crlf';
  /** N10, N20 … before each block. */
  readonly numbered: boolean;
}

/** Letters that any control takes in a comment: no accents, no brackets. */
const plainLetters = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[Ø]/g, 'DIA ')
    .replace(/[^ -~]/g, '?')
    .replace(/[()%;]/g, ' ')
    .replace(/ +/g, ' ')
    .toUpperCase()
    .trim();

/** A remark between round brackets, as ISO 6983 has them. */
export const remark = (text: string): string => `(${plainLetters(text).slice(0, 70)})`;

/**
 * A coordinate: thousandths of a millimetre, hundred-thousandths of an inch, so that neither is a micrometre
 * off; always with its point, for a control may take a bare number in its smallest step.
 */
export const coordinate = (mm: number, units: ProgramSet['units']): string => {
  const figure = units === 'mm' ? mm.toFixed(3) : (mm / approx(MM_PER_INCH)).toFixed(5);
  return /^-0\.0+$/.test(figure) ? figure.slice(1) : figure;
};

/** Degrees to a ten-thousandth: 0.36″. */
export const degrees = (value: number): string => value.toFixed(4);

/** Blocks as a file: per cent signs at its ends, numbers where they are wanted. */
export function programText(blocks: readonly string[], { numbered, lineEnd }: ProgramSet): string {
  let number = 0;
  const lines = blocks.map((block) => {
    if (!numbered || block.startsWith('(')) return block;
    number += 10;
    return `N${number} ${block}`;
  });
  return ['%', ...lines, '%', ''].join(lineEnd === 'crlf' ? '\r\n' : '\n');
}
