import type { GearReadings } from '../../gear/index.ts';
import { parseCount } from '../../units/index.ts';
import type { SpurPart } from './document.ts';

/**
 * Are both gears of a pair cut from this one card: straight, of one count, two blanks and more in one stack,
 * and no card for the mate? What is taken off them then goes off both.
 */
export function isCutTogether(part: SpurPart, read: GearReadings, hasMate: boolean): boolean {
  if (hasMate || read.teeth === null || read.mate.teeth !== read.teeth || read.mate.crossed) return false;
  if (!read.helixKnown || !read.helixDeg.equals(0)) return false;
  const blanks = parseCount({ given: part.setup.blanks, what: 'Blanks', least: 1, most: 1000 });
  return blanks.ok && blanks.value >= 2;
}
