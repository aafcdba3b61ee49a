import { fail, ok, type Result } from '../findings/index.ts';
import { approx, parsePositiveLength, type Measure } from '../units/index.ts';

const MOST_MM = 10_000;

/**
 * A size of a part of a drive, as a float.
 * @returns mm, > 0 and up to 10 m. Issues: those of the parser; out-of-range
 */
export function parseSize(given: Measure, what: string): Result<number> {
  const read = parsePositiveLength(given, what);
  if (!read.ok) return read;
  const mm = approx(read.value);
  if (mm <= MOST_MM && mm >= 1e-3) return ok(mm);
  return fail({
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: given.typed,
    allowed: 'It runs from a thousandth of a millimetre to 10 m. Was the unit meant otherwise?',
    detail: { what },
  });
}
