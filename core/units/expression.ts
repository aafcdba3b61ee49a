import {
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { exact, type Exact } from './exact.ts';

/** A number with the unit word that was written behind it, if any. */
interface Term {
  readonly value: Exact;
  /** Power of the measured quantity: 0 a bare number, 1 a measure. */
  readonly power: 0 | 1;
}

/** Turns a unit word into the factor that brings a figure to the base unit, or null when it is not known. */
export type UnitFactor = (word: string) => Exact | null;

export interface Reading {
  /** In base units if `hadUnit`, else the bare figure. */
  readonly value: Exact;
  readonly hadUnit: boolean;
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

type Token =
  | { readonly kind: 'number'; readonly value: Exact; readonly text: string; readonly mixed: boolean }
  | { readonly kind: 'sign'; readonly text: '+' | '-' | '*' | '/' | '(' | ')' }
  | { readonly kind: 'word'; readonly text: string };

const issue = <Code extends IssueCode>(
  code: Code,
  given: string,
  more: Pick<Issue, 'allowed'> = {},
  ...figures: FiguresOf<Code>
): Issue => issueOf(code, { path: '', severity: 'wrong', given, ...more }, ...figures);

/**
 * Brings the many ways of writing one sign to one: vulgar fractions, primes, times and minus signs, commas.
 */
function tidy(typed: string): string {
  return typed
    .trim()
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]} `)
    .replace(/[×·]/g, '*')
    .replace(/[÷⁄∕]/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/''|[″“”]/g, '"')
    .replace(/[′’]/g, "'")
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * A shop's mixed number: `2 3/8`, `2-3/8` (no space around the stroke, halves of halves), `3/8`, `.154`,
 * `12.`; a blank that slipped in before the point, `0 .007`, is read over.
 */
const MIXED = /^(\d+)(?: |-)(\d+)\/(2|4|8|16|32|64|128)(?![\d./])/;
const MIXED_SPACED = /^(\d+) (\d+)\/(\d+)(?![\d./])/;
const NUMBER = /^(\d+ ?\.\d+|\d+\.?|\.\d+)/;
const WORD = /^(["'°]|[a-zA-Zµ]+)/;

function readTokens(text: string): Token[] | null {
  const tokens: Token[] = [];
  let rest = text;
  while (rest.length > 0) {
    if (rest[0] === ' ') {
      rest = rest.slice(1);
      continue;
    }
    const mixed = MIXED.exec(rest) ?? MIXED_SPACED.exec(rest);
    if (mixed) {
      const [all, whole, over, under] = mixed;
      if (Number(under) === 0) return null;
      tokens.push({
        kind: 'number',
        value: exact(Number(whole)).add(exact(`${over}/${under}`)),
        text: all,
        mixed: true,
      });
      rest = rest.slice(all.length);
      continue;
    }
    const number = NUMBER.exec(rest);
    if (number) {
      const all = number[0];
      tokens.push({
        kind: 'number',
        value: exact(all.replace(' ', '').replace(/^\./, '0.').replace(/\.$/, '')),
        text: all,
        mixed: false,
      });
      rest = rest.slice(all.length);
      continue;
    }
    const word = WORD.exec(rest);
    if (word) {
      tokens.push({ kind: 'word', text: word[0] });
      rest = rest.slice(word[0].length);
      continue;
    }
    if (!'+-*/()'.includes(rest[0]!)) return null;
    tokens.push({ kind: 'sign', text: rest[0] as '+' });
    rest = rest.slice(1);
  }
  return tokens;
}

class Unreadable extends Error {
  readonly issue: Issue;
  constructor(found: Issue) {
    super(found.code);
    this.issue = found;
  }
}

/** Recursive descent over sums, products and bracketed terms; each term may carry a unit word. */
class Reader {
  private place = 0;
  private readonly tokens: readonly Token[];
  private readonly given: string;
  private readonly factorOf: UnitFactor;
  private readonly allowed: string;
  sawUnit = false;

  constructor(
    tokens: readonly Token[],
    {
      given,
      factorOf,
      allowed,
    }: { readonly given: string; readonly factorOf: UnitFactor; readonly allowed: string },
  ) {
    this.tokens = tokens;
    this.given = given;
    this.factorOf = factorOf;
    this.allowed = allowed;
  }

  readAll(): Term {
    const term = this.sum();
    if (this.place < this.tokens.length) throw this.unreadable();
    return term;
  }

  private unreadable(): Unreadable {
    return new Unreadable(issue('not-a-number', this.given, { allowed: this.allowed }));
  }

  private sign(...wanted: string[]): string | null {
    const token = this.tokens[this.place];
    if (token?.kind !== 'sign' || !wanted.includes(token.text)) return null;
    this.place += 1;
    return token.text;
  }

  private sum(): Term {
    let left = this.product();
    for (let op = this.sign('+', '-'); op; op = this.sign('+', '-')) {
      const right = this.product();
      if (left.power !== right.power) throw new Unreadable(issue('units-mixed', this.given));
      left = {
        value: op === '+' ? left.value.add(right.value) : left.value.sub(right.value),
        power: left.power,
      };
    }
    return left;
  }

  private product(): Term {
    let left = this.signed();
    for (let op = this.sign('*', '/'); op; op = this.sign('*', '/')) {
      const right = this.signed();
      const power = op === '*' ? left.power + right.power : left.power - right.power;
      if (power !== 0 && power !== 1) throw this.unreadable();
      if (op === '/' && right.value.equals(0)) throw new Unreadable(issue('divided-by-zero', this.given));
      left = { value: op === '*' ? left.value.mul(right.value) : left.value.div(right.value), power };
    }
    return left;
  }

  private signed(): Term {
    if (this.sign('-')) {
      const term = this.signed();
      return { value: term.value.neg(), power: term.power };
    }
    this.sign('+');
    return this.single();
  }

  private single(): Term {
    if (this.sign('(')) {
      const inside = this.sum();
      if (!this.sign(')')) throw this.unreadable();
      return this.withUnit(inside);
    }
    const token = this.tokens[this.place];
    if (token?.kind !== 'number') throw this.unreadable();
    this.place += 1;
    return this.withUnit({ value: token.value, power: 0 });
  }

  private withUnit(term: Term): Term {
    const token = this.tokens[this.place];
    if (token?.kind !== 'word') return term;
    const factor = this.factorOf(token.text);
    if (!factor || term.power !== 0) {
      throw new Unreadable(
        issue('unit-unknown', this.given, { allowed: this.allowed }, { unit: token.text }),
      );
    }
    this.place += 1;
    this.sawUnit = true;
    return { value: term.value.mul(factor), power: 1 };
  }
}

/**
 * A kilometre, or a million of anything: far beyond what is cut, and far within what can be reckoned exactly.
 */
const MOST = exact(1_000_000);
/** Finer than anything is measured; a figure may be 0, and not less than this beside it. */
const LEAST = exact(1, 1_000_000_000);
/** Longer fractions come of a held key, not of a hand. */
const MOST_DIGITS = 40;

/** A figure of a held key, or of another unit. */
export const beyond = (typed: string, examples: string): Issue =>
  issue('figure-beyond', typed.length > 24 ? `${typed.slice(0, 20)}…` : typed, {
    allowed: `Write it like ${examples}`,
  });

/** Keeps every figure where it is read within what can be planned. Issues: figure-beyond */
function within(reading: Reading, typed: string, allowed: string): Result<Reading> {
  const size = reading.value.abs();
  const long = Math.max(String(size.n).length, String(size.d).length) > MOST_DIGITS;
  if (!long && size.lte(MOST) && (size.equals(0) || size.gte(LEAST))) return ok(reading);
  return fail(beyond(typed, allowed));
}

/**
 * Reads a figure as people write it at the bench: `2 3/8`, `2-3/8"`, `.154`, `3,5 mm`, `1/2 + 1/4 in`,
 * `(60-2)*1.25`. One unit at the very end holds for the whole expression (`1/2 + 1/4 in`); otherwise each
 * unit holds for its own figure.
 * @param typed as typed, not empty
 * @param factorOf the unit words allowed here
 * @param allowed worded examples for the sentence shown when it cannot be read
 * Issues: not-a-number, unit-unknown, units-mixed, divided-by-zero, figure-beyond
 */
export function readExpression(typed: string, factorOf: UnitFactor, allowed: string): Result<Reading> {
  const tokens = readTokens(tidy(typed));
  if (!tokens || tokens.length === 0) return fail(issue('not-a-number', typed, { allowed }));
  try {
    const last = tokens[tokens.length - 1]!;
    const words = tokens.filter((token) => token.kind === 'word').length;
    if (words === 1 && last.kind === 'word' && tokens.length > 1) {
      const factor = factorOf(last.text);
      if (!factor) return fail(issue('unit-unknown', typed, { allowed }, { unit: last.text }));
      const bare = new Reader(tokens.slice(0, -1), { given: typed, factorOf, allowed }).readAll();
      return within({ value: bare.value.mul(factor), hadUnit: true }, typed, allowed);
    }
    const reader = new Reader(tokens, { given: typed, factorOf, allowed });
    const { value, power } = reader.readAll();
    if (reader.sawUnit && power !== 1) return fail(issue('not-a-number', typed, { allowed }));
    return within({ value, hadUnit: power === 1 }, typed, allowed);
  } catch (problem) {
    if (problem instanceof Unreadable) return fail(problem.issue);
    throw problem;
  }
}
