import { decimalText } from './format.ts';
import { exact, type Exact } from './exact.ts';
import { measure, type Measure, type Unit } from './measure.ts';

/**
 * What one step of a field is, in its own unit: a tenth of a millimetre, five thou, half a degree, one tooth.
 */
const STEP: Readonly<Record<Unit, string>> = {
  mm: '0.1',
  in: '0.005',
  module: '0.25',
  dp: '1',
  deg: '0.5',
  count: '1',
};
/** Vulgar fractions go by sixty-fourths. */
const SIXTY_FOURTH = exact(1, 64);

function fractionText(value: Exact): string {
  const whole = value.floor();
  const part = value.sub(whole);
  if (part.equals(0)) return decimalText(whole);
  const text = part.toFraction(false);
  return whole.equals(0) ? text : `${decimalText(whole)} ${text}`;
}

/**
 * A measure one step up or down, written as it was: decimals stay decimals, vulgar fractions go by 64ths, and
 * a unit written in the field stays in it.
 * @param way 1 or −1 @param many steps at once
 * @returns null when what stands there is no plain figure, or would fall to zero or below
 */
export function stepped(given: Measure, way: 1 | -1, many = 1): Measure | null {
  const found =
    /^(\s*(?:M|Ø)?\s*)(\d+\.?\d*|\.\d+|(?:\d+[ -])?\d+\/(?:2|4|8|16|32|64))(\s*(?:mm|in|"|DP|°)?\s*)$/i.exec(
      given.typed,
    );
  if (!found) return null;
  const [, before = '', figure = '', after = ''] = found;
  const unit = /mm/i.test(after) ? 'mm' : /in|"/i.test(after) ? 'in' : /dp/i.test(after) ? 'dp' : given.unit;
  const vulgar = figure.includes('/');
  if (vulgar) {
    const [over, under] = figure.replace(/^\d+[ -]/, '').split('/');
    const whole = /^(\d+)[ -]/.exec(figure)?.[1] ?? '0';
    const value = exact(Number(whole))
      .add(exact(Number(over), Number(under)))
      .add(SIXTY_FOURTH.mul(way * many));
    return value.gt(0) ? measure(`${before}${fractionText(value)}${after}`, given.unit) : null;
  }
  const value = exact(figure.replace(/^\./, '0.').replace(/\.$/, '')).add(exact(STEP[unit]).mul(way * many));
  return value.gt(0) ? measure(`${before}${decimalText(value)}${after}`, given.unit) : null;
}
