import { toldLength, fail, ok, type Result } from '../findings/index.ts';
import { approx, otherSystem, parseLength, type Measure, type UnitSystem } from '../units/index.ts';
import type { FormCutter } from './schema.ts';
import { leadFromThreads } from './reading.ts';
import { lengthCell } from './rowReaders.ts';

/**
 * What a thing of the shop may measure, least and most, mm. Common practice, wide: beyond it a bare figure is
 * asked about.
 */
export const SIZES = {
  diameter: [10, 400],
  bore: [3, 130],
  width: [0.2, 150],
  stamped: [0.1, 60],
  lead: [0.4, 30],
  travel: [20, 4000],
  room: [50, 2000],
  collar: [8, 250],
  tableLength: [100, 4000],
  tableWidth: [50, 1200],
  toColumn: [30, 2000],
  centreHeight: [15, 600],
  seat: [0.8, 300],
  mandrelLength: [5, 2000],
  chipLoad: [0.0005, 1],
} as const;
export type SizeOf = keyof typeof SIZES;

/** Has the text a unit of its own? */
export const saysItsUnit = (typed: string): boolean => /[a-z"″'′]\s*$/i.test(typed.trim());

/** What a bare figure of a cutter is meant in: one of a diametral pitch is an inch cutter. */
export const unitsOfCutter = ({ pitch }: Pick<FormCutter, 'pitch'>): UnitSystem =>
  pitch.unit === 'dp' || /d\.?p\.?$|^dp/i.test(pitch.typed.trim()) ? 'in' : 'mm';

/** What a bare figure is meant in where another size of the same thing has a unit. */
export const unitsOfSize = (size: Measure, otherwise: UnitSystem): UnitSystem =>
  size.typed === '' ? otherwise : size.unit === 'in' ? 'in' : 'mm';

/**
 * A length of a thing in the shop, kept as it is typed; empty where it is not known. A bare figure is in the
 * thing's own units, and one that cannot be that is asked about, with both readings.
 * @param units of the thing @param what its name in a sentence
 * Issues: those of the parser; not-positive, size-unlikely
 */
export function readSize(
  typed: string,
  of: SizeOf,
  { units, what }: { readonly units: UnitSystem; readonly what: string },
): Result<Measure> {
  const threads = of === 'lead' ? leadFromThreads(typed) : null;
  const given = threads ?? lengthCell(typed, units);
  if (given.typed === '') return ok(given);
  const read = parseLength(given);
  if (!read.ok) return read;
  const mm = approx(read.value);
  if (mm <= 0)
    return fail({ code: 'not-positive', path: '', severity: 'wrong', given: typed, detail: { what } });
  const [least, most] = SIZES[of];
  const likely = (value: number) => value >= least && value <= most;
  if (threads || saysItsUnit(typed) || likely(mm)) return ok(given);
  const other = otherSystem(units);
  const otherMm = units === 'mm' ? mm * 25.4 : mm / 25.4;
  const detail = {
    what,
    read: `${typed.trim()} ${units}`,
    least: toldLength(least, units),
    most: toldLength(most, units),
    other: likely(otherMm) ? `${typed.trim()} ${other}` : '',
  };
  return fail({ code: 'size-unlikely', path: '', severity: 'wrong', given: typed, detail });
}
