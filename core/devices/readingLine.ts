import type { ReadoutDevice, ToolDevice } from './schema.ts';

/** mm in one of each; signs as they come. */
const UNITS: Readonly<Record<string, number>> = { mm: 1, MM: 1, in: 25.4, IN: 25.4, '"': 25.4 };

/** Nothing at a bench measures farther, mm. */
const FARTHEST = 10_000;

/** A figure with its unit, in mm; null where it is none, or of a unit that is no length. */
function lengthOf(
  figure: string,
  unit: string | undefined,
  { unit: own, decimal }: Pick<ToolDevice, 'unit' | 'decimal'>,
): number | null {
  const plain = decimal === ',' ? figure.replace(',', '.') : figure;
  if (!/^[+-]?(?:\d{1,6}(?:\.\d{0,6})?|\.\d{1,6})$/.test(plain)) return null;
  const by = unit === undefined || unit === '' ? UNITS[own]! : UNITS[unit];
  if (by === undefined) return null;
  const mm = Number(plain) * by;
  return Math.abs(mm) <= FARTHEST ? mm : null;
}

const FIGURE = String.raw`[+-]?[\d.,]{1,14}`;
const READING = new RegExp(`^(${FIGURE})\\s*([A-Za-z"]{0,3})$`);

/**
 * A line of a measuring tool: `12.34 mm`, `-.0025 in`, `1,234`.
 * @returns mm; null for anything else
 */
export function readToolLine(tool: ToolDevice, line: string): number | null {
  const read = READING.exec(line.trim());
  if (!read) return null;
  const mm = lengthOf(read[1]!, read[2], tool);
  return mm === null ? null : tool.reversed && mm !== 0 ? -mm : mm;
}

const AXIS = new RegExp(`([A-Z])\\s*[:=]?\\s*(${FIGURE})(?:\\s*(mm|MM|in|IN|"))?`, 'g');

/**
 * A line of a readout: one axis or several, `X 12.345 Y -3.2 mm`. A unit that stands at the end is that of
 * all.
 * @returns mm by the axis’s letter, as the readout shows them; null where the line is no such thing
 */
export function readReadoutLine(
  readout: ReadoutDevice,
  line: string,
): Readonly<Record<string, number>> | null {
  const text = line.trim();
  const parts = [...text.matchAll(AXIS)];
  // nothing but axes and what stands between them
  const rest = parts.reduce((left, [part]) => left.replace(part, ''), text);
  if (parts.length === 0 || /[^\s;]/.test(rest)) return null;
  const unit = parts.at(-1)![3];
  const found: Record<string, number> = {};
  for (const [, letter, figure, own] of parts) {
    if (!readout.axes.some((axis) => axis.letter === letter)) continue;
    const mm = lengthOf(figure!, own ?? unit, readout);
    if (mm === null) return null;
    found[letter!] = mm;
  }
  return Object.keys(found).length > 0 ? found : null;
}
