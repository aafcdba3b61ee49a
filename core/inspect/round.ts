import { z } from 'zod';
import { fail, ok, type Result } from '../findings/index.ts';
import { approx, measure, parseLength, unitSystemSchema } from '../units/index.ts';
import { LEAST_READINGS } from './eccentric.ts';

/** Readings as they are written down, one after another, with the unit they are meant in. */
export const roundTextSchema = z.object({ typed: z.string().max(600), unit: unitSystemSchema }).readonly();
export type RoundText = z.infer<typeof roundTextSchema>;

const MOST_READINGS = 72;
const LENGTH_UNIT = /^(?:mm|in|inch|inches|thou|")$/i;

/**
 * Indicator readings one after another: `0 .02 .05 -.01`, all in one unit, which may stand behind the last.
 * Issues: those of the length parser for each; readings-few
 */
export function readRound({ typed, unit }: RoundText): Result<readonly number[]> {
  const said = typed.split(/[\s;]+|,(?=\s)/).filter((word) => word !== '');
  // `0 .002 .007 in`: the unit behind the last is meant for all
  const behind = LENGTH_UNIT.test(said.at(-1) ?? '') ? ` ${said.at(-1)}` : '';
  const words = behind ? said.slice(0, -1) : said;
  if (words.length === 0) return ok([]);
  const bare = (word: string) => /^[-+]?[\d.,/]+$/.test(word);
  const read = words.map((word) => parseLength(measure(bare(word) ? word + behind : word, unit)));
  const issues = read.flatMap((one) => (one.ok ? [] : one.issues));
  if (issues.length > 0) return fail(issues[0]!);
  const few = { code: 'readings-few', path: '', severity: 'wrong', given: String(words.length) } as const;
  if (words.length < LEAST_READINGS || words.length > MOST_READINGS) return fail(few);
  return ok(read.map((one) => (one.ok ? approx(one.value) : 0)));
}
