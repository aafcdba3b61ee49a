/*
 * Reads a line of working as a pupil with a calculator would: the figures that were put in, to a number. For
 * tests: the line on the blackboard must come to what stands behind its equals sign.
 */

type Token = string;

const TOKENS = /\\[a-zA-Z]+|\\[,;! ]|\d+(?:\.\d+)?|[-+*/^(){}[\]|]/gy;
const DEG = Math.PI / 180;

function tokensOf(tex: string): Token[] | null {
  const tokens: Token[] = [];
  const text = tex.replace(/\\left|\\right|\\,/g, ' ');
  let at = 0;
  while (at < text.length) {
    if (/\s/.test(text[at]!)) {
      at += 1;
      continue;
    }
    TOKENS.lastIndex = at;
    const found = TOKENS.exec(text);
    // letters stand for what was not put in: no arithmetic
    if (!found) return null;
    tokens.push(found[0]);
    at = TOKENS.lastIndex;
  }
  return tokens;
}

const FUNCTIONS: Readonly<Record<string, (value: number) => number>> = {
  '\\sin': Math.sin,
  '\\cos': Math.cos,
  '\\tan': Math.tan,
  '\\arcsin': Math.asin,
};

class Reader {
  #at = 0;
  constructor(private readonly tokens: readonly Token[]) {}

  read(): number {
    const value = this.sum();
    if (this.#at < this.tokens.length) throw new Error('not arithmetic');
    return value;
  }

  #next(): Token | undefined {
    return this.tokens[this.#at];
  }
  #take(token?: Token): Token {
    const next = this.tokens[this.#at];
    if (next === undefined || (token !== undefined && next !== token)) throw new Error('not arithmetic');
    this.#at += 1;
    return next;
  }

  sum(): number {
    let value = this.product();
    for (let next = this.#next(); next === '+' || next === '-'; next = this.#next()) {
      this.#take();
      const other = this.product();
      value = next === '+' ? value + other : value - other;
    }
    return value;
  }

  product(): number {
    let value = this.power();
    for (let next = this.#next(); next !== undefined; next = this.#next()) {
      if (next === '\\times' || next === '/') {
        this.#take();
        const other = this.power();
        value = next === '/' ? value / other : value * other;
      } else if (/^[\d([\\]/.test(next) && next !== '\\rfloor') value *= this.power();
      else break;
    }
    return value;
  }

  power(): number {
    const value = this.factor();
    if (this.#next() !== '^') return value;
    this.#take();
    if (this.#next() === '\\circ') {
      this.#take();
      return value * DEG;
    }
    return value ** this.group();
  }

  /** `{…}` or one digit. */
  group(): number {
    if (this.#next() !== '{') return Number(this.#take());
    this.#take();
    const value = this.sum();
    this.#take('}');
    return value;
  }

  factor(): number {
    const token = this.#take();
    // a whole number before a small fraction is a mixed number: 1⅓
    if (/^\d/.test(token)) return Number(token) + (this.#next() === '\\tfrac' ? this.factor() : 0);
    if (token === '-') return -this.power();
    if (token === '(' || token === '[' || token === '{') {
      const value = this.sum();
      this.#take({ '(': ')', '[': ']', '{': '}' }[token]);
      return value;
    }
    if (token === '|') {
      const value = Math.abs(this.sum());
      this.#take('|');
      return value;
    }
    if (token === '\\pi') return Math.PI;
    if (token === '\\sqrt') return Math.sqrt(this.group());
    if (token === '\\frac' || token === '\\tfrac') {
      // \tfrac12: two digits that stand together
      const next = this.#next()!;
      if (/^\d\d$/.test(next)) {
        this.#take();
        return Number(next[0]) / Number(next[1]);
      }
      const over = this.group();
      return over / this.group();
    }
    if (token === '\\lfloor') {
      const value = Math.floor(this.sum() + 1e-9);
      this.#take('\\rfloor');
      return value;
    }
    const of = FUNCTIONS[token];
    if (!of) throw new Error('not arithmetic');
    let times = 1;
    if (this.#next() === '^') {
      this.#take();
      times = Number(this.#take());
    }
    return of(this.power()) ** times;
  }
}

/**
 * What a line comes to; null where letters stand in it, so that there is nothing to reckon. Angles come out
 * in radians.
 */
export function texValue(tex: string): number | null {
  const tokens = tokensOf(tex);
  if (!tokens) return null;
  try {
    return new Reader(tokens).read();
  } catch {
    return null;
  }
}

/**
 * The figure that a result begins or ends with, in radians for an angle, with what its last place is worth.
 */
export function texResult(tex: string): { readonly value: number; readonly place: number } | null {
  // `0.0238, φ = 23°`: the first is what the line comes to; `β = 16°`: the angle that was looked up
  const first = tex.split(/,\s*\\quad/)[0]!;
  const said = /(?:=|\\approx)\s*([^=]*)$/.exec(first)?.[1] ?? first;
  const sum = /\+/.test(said) ? texValue(said) : null;
  if (sum !== null) return { value: sum, place: 1e-12 };
  const angle = /^\s*(-?\d+(?:\.\d+)?)\^\\circ(?:\s*(\d+)′)?(?:\s*(\d+)″)?/.exec(said);
  if (angle) {
    const degrees = Number(angle[1]) + Number(angle[2] ?? 0) / 60 + Number(angle[3] ?? 0) / 3600;
    const last = angle[3] ? 1 / 3600 : angle[2] ? 1 / 60 : placeOf(angle[1]!);
    return { value: degrees * DEG, place: last * DEG };
  }
  const fraction = /^\s*(\d+)?\\tfrac\{(\d+)\}\{(\d+)\}/.exec(said);
  if (fraction)
    return { value: Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]), place: 1e-12 };
  const figure = /^\s*(-?\d+(?:\.\d+)?)(\\times 10\^\{(-?\d+)\})?/.exec(said);
  if (!figure) return null;
  const scale = figure[3] ? 10 ** Number(figure[3]) : 1;
  const um = /\\mathrm\{[µ\u00b5]m\}/.test(said) ? 1e-3 : 1;
  return { value: Number(figure[1]) * scale * um, place: placeOf(figure[1]!) * scale * um };
}

const placeOf = (figure: string): number => 10 ** -(figure.split('.')[1]?.length ?? 0);
