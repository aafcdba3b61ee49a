import { exact, type Exact } from '../../core/units/index.ts';

/**
 * Whole turns and parts of one as they are typed, `1 + 14`; null for what is no such thing.
 * @param parts of a turn @param fine parts of a part too, as decimals
 */
export function turnsTyped(typed: string, parts: number, fine: boolean): Exact | null {
  const number = fine ? String.raw`\d{1,5}(?:\.\d{1,3})?` : String.raw`\d{1,5}`;
  const read = new RegExp(`^\\s*(?:(\\d{1,4})\\s*\\+\\s*)?(${number})\\s*$`).exec(typed);
  if (!read) return null;
  return exact(read[2]!)
    .div(parts)
    .add(Number(read[1] ?? 0));
}
