/** Signs of the formulas in letters that paper has. */
const SIGNS: Readonly<Record<string, string>> = {
  alpha: 'α',
  beta: 'β',
  gamma: 'γ',
  delta: 'δ',
  Delta: 'Δ',
  theta: 'θ',
  pi: 'π',
  rho: 'ρ',
  nu: 'ν',
  mu: 'µ',
  varphi: 'φ',
  phi: 'φ',
  psi: 'ψ',
  eta: 'η',
  lambda: 'λ',
  varepsilon: 'ε',
  epsilon: 'ε',
  sigma: 'σ',
  times: ' × ',
  cdot: '·',
  div: ' ÷ ',
  pm: ' ± ',
  le: ' ≤ ',
  ge: ' ≥ ',
  ne: ' ≠ ',
  approx: ' ≈ ',
  equiv: ' ≡ ',
  Rightarrow: ' ⇒ ',
  rightarrow: ' → ',
  to: ' → ',
  mid: ' | ',
  nmid: ' ∤ ',
  lfloor: '⌊',
  rfloor: '⌋',
  lceil: '⌈',
  rceil: '⌉',
  circ: '°',
  prime: '′',
  ldots: '…',
  dots: '…',
  quad: '  ',
  qquad: '   ',
  left: '',
  right: '',
  big: '',
  Big: '',
  displaystyle: '',
  ',': ' ',
  ';': ' ',
  ' ': ' ',
  '!': '',
  ':': ' ',
  '{': '{',
  '}': '}',
  '%': '%',
  '&': '&',
  _: '_',
  '#': '#',
};
/** Said by their names. */
const NAMED = new Set([
  'cos',
  'sin',
  'tan',
  'arctan',
  'arccos',
  'arcsin',
  'log',
  'max',
  'min',
  'gcd',
  'bmod',
]);
const RAISED: Readonly<Record<string, string>> = {
  0: '⁰',
  1: '¹',
  2: '²',
  3: '³',
  4: '⁴',
  5: '⁵',
  6: '⁶',
  7: '⁷',
  8: '⁸',
  9: '⁹',
  '-': '⁻',
  '+': '⁺',
  '−': '⁻',
};

/** Reads a formula from left to right. */
class Reader {
  private at = 0;
  private readonly tex: string;
  constructor(tex: string) {
    this.tex = tex;
  }

  /** Up to the end, or to the brace that closes. */
  all(): string {
    let text = '';
    while (this.at < this.tex.length && this.tex[this.at] !== '}') text += this.one();
    return text;
  }

  /** What stands in braces, or the one sign after. */
  private argument(): string {
    while (this.tex[this.at] === ' ') this.at += 1;
    if (this.tex[this.at] !== '{') return this.one();
    this.at += 1;
    const text = this.all();
    this.at += 1;
    return text;
  }

  private one(): string {
    const sign = this.tex[this.at]!;
    this.at += 1;
    switch (sign) {
      case '\\':
        return this.command();
      case '{': {
        const text = this.all();
        this.at += 1;
        return text;
      }
      case '_':
        return this.argument();
      case '^': {
        const raised = this.argument();
        if (raised === '°' || raised === '′' || raised === "'") return raised;
        const known = [...raised].every((each) => each in RAISED);
        return known ? [...raised].map((each) => RAISED[each]!).join('') : `^(${raised})`;
      }
      case '~':
        return ' ';
      case '-':
        return '−';
      default:
        return sign;
    }
  }

  private command(): string {
    const name = /^([a-zA-Z]+|.)/.exec(this.tex.slice(this.at))?.[0] ?? '';
    this.at += name.length;
    if (name === 'frac' || name === 'tfrac' || name === 'dfrac') {
      const [above, below] = [this.argument(), this.argument()];
      return `${bracketed(above)}/${bracketed(below)}`;
    }
    if (name === 'sqrt') return `√(${this.argument()})`;
    if (name === 'text' || name === 'mathrm' || name === 'operatorname' || name === 'mathit')
      return this.argument();
    if (NAMED.has(name)) return ` ${name} `;
    return SIGNS[name] ?? name;
  }
}

/** Over or under a stroke: brackets round what has parts. */
const bracketed = (text: string): string => {
  const plain = text.trim();
  return /^[\wα-ωΑ-Ω.°′″]+$/u.test(plain) ? plain : `(${plain})`;
};

/**
 * A formula of the working in plain letters, for paper: `d_a = d + 2h_a` is `da = d + 2ha`, a fraction
 * `(z + 2)/P`.
 */
export const plainTex = (tex: string): string =>
  new Reader(tex)
    .all()
    .replace(/ {2,}/g, ' ')
    .replace(/ ?([=+]) ?/g, ' $1 ')
    .replace(/ (?=[¹²³⁰⁴-⁹])/g, '')
    .replace(/\( /g, '(')
    .replace(/ \)/g, ')')
    .trim();
