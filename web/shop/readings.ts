import { fail, ok, type Result } from '../../core/findings/index.ts';
import { readCuttingSpeed, readSize, type SizeOf } from '../../core/shop/index.ts';
import { measure, parseCount, type Measure, type UnitSystem } from '../../core/units/index.ts';

/** A name of 1 to 80 signs. */
export function readName(typed: string): Result<string> {
  const name = typed.trim();
  if (name !== '' && name.length <= 80) return ok(name);
  return fail({ code: 'missing', path: '', severity: 'wrong', allowed: 'a name, of 80 signs at most' });
}

export const readWhole =
  (what: string, least: number, most: number) =>
  (typed: string): Result<number> =>
    parseCount({ given: measure(typed, 'count'), what, least, most });

/** A size of something in the shop, in its own units where the figure is bare. */
export const readSizeOf =
  (of: SizeOf, what: string, units: UnitSystem) =>
  (typed: string): Result<Measure> =>
    readSize(typed, of, { units, what });

/** A cutting speed, kept as it is typed. */
export function readSpeedText(typed: string): Result<string> {
  const read = readCuttingSpeed(typed);
  return read.ok ? ok(typed.trim().slice(0, 40)) : read;
}
