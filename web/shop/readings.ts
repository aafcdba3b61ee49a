import { fail, ok, type Result } from '../../core/findings/index.ts';
import { lengthCell } from '../../core/shop/index.ts';
import { measure, parseCount, parsePositiveLength, type Measure } from '../../core/units/index.ts';

/** A name of 1 to 80 signs. */
export function readName(typed: string): Result<string> {
  const name = typed.trim();
  if (name !== '' && name.length <= 80) return ok(name);
  return fail({ code: 'missing', path: '', severity: 'wrong', allowed: 'a name, of 80 signs at most' });
}

export const readWhole =
  (what: string, least: number, most: number) =>
  (typed: string): Result<number> =>
    parseCount(measure(typed, 'count'), what, least, most);

/** A length that may be left empty, kept as it is typed. */
export const readLength =
  (what: string) =>
  (typed: string): Result<Measure> => {
    const given = lengthCell(typed);
    if (given.typed === '') return ok(given);
    const read = parsePositiveLength(given, what);
    return read.ok ? ok(given) : read;
  };
