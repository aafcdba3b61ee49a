/** Which faults are put in: every one that Stryker knows, and of those so many, drawn by a seed. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Instrumenter } from '@stryker-mutator/instrumenter';

const silent = { debug() {}, info() {}, warn() {}, error() {}, isDebugEnabled: () => false };
/**
 * Words are pinned elsewhere, and a whole block left out is noticed anyway. What is drawn is small: an
 * operator, a comparison, a condition, a figure, a call.
 */
const LEFT_OUT = ['StringLiteral', 'BlockStatement'];
/** Something that holds more faults than this inside is no small fault. */
const MOST_INSIDE = 4;

export async function mutantsOf(files) {
  const { mutants } = await new Instrumenter(silent).instrument(
    files.map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') })),
    { plugins: null, excludedMutations: LEFT_OUT, noHeader: true, ignorers: [] },
  );
  const kept = mutants.filter(({ status }) => status !== 'Ignored');
  return kept.filter((one) => kept.filter((other) => isWithin(other, one)).length - 1 <= MOST_INSIDE);
}

const before = (a, b) => a.line < b.line || (a.line === b.line && a.column <= b.column);
const isWithin = (inner, outer) =>
  inner.fileName === outer.fileName &&
  before(outer.location.start, inner.location.start) &&
  before(inner.location.end, outer.location.end);

/** The range of a fault, as Stryker takes it: lines from 1, columns from 0. */
export const rangeOf = ({ fileName, location: { start, end } }) =>
  `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

/** Drawn by seed; what lies inside one that is drawn comes along, until there are so many. */
export function sample(mutants, most, seed) {
  const key = ({ fileName, location: { start, end }, mutatorName, replacement }) =>
    createHash('sha1')
      .update(JSON.stringify([seed, fileName, start, end, mutatorName, replacement]))
      .digest('hex');
  const drawn = [...mutants].map((one) => [key(one), one]).sort(([a], [b]) => (a < b ? -1 : 1));
  const chosen = [];
  const along = new Set();
  for (const [, one] of drawn) {
    if (along.size >= most) break;
    if (along.has(one)) continue;
    chosen.push(one);
    for (const other of mutants) if (isWithin(other, one)) along.add(other);
  }
  return chosen;
}
