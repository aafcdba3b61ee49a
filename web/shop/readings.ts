import { fail, ok, type Result } from '../../core/findings/index.ts';
import { leadFromThreads, lengthCell, readCuttingSpeed } from '../../core/shop/index.ts';
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

/** The lead of a screw, as a length or by its threads to the inch; may be left empty. */
export const readScrewLead =
  (what: string) =>
  (typed: string): Result<Measure> => {
    const threads = leadFromThreads(typed);
    return threads ? ok(threads) : readLength(what)(typed);
  };

/** A cutting speed, kept as it is typed. */
export function readSpeedText(typed: string): Result<string> {
  const read = readCuttingSpeed(typed);
  return read.ok ? ok(typed.trim().slice(0, 40)) : read;
}
