import { expect, test } from '@jest/globals';
import type { Working } from '../station/index.ts';
import { partsOfEveryKind } from './everyKind.ts';
import { texResult, texValue } from './texValue.ts';

/**
 * What a line says it comes to, beside what the figures that were put in do. Null where there is nothing to
 * reckon.
 */
function reckon({
  formula,
  put,
  result,
}: Working): { readonly off: number; readonly allowed: number } | null {
  const value = texValue(put);
  const said = texResult(result);
  if (value === null || said === null) return null;
  // `tan β = …  ⇒  β = …`: the angle is looked up
  const lookedUp = /^\\(tan|cos)\\[a-z]+\S*\s*=/.exec(formula)?.[1];
  const angle =
    lookedUp === 'tan' ? Math.atan(value) : lookedUp === 'cos' ? Math.acos(Math.min(1, value)) : value;
  // the result is rounded once, and so was every figure that was put in
  const allowed = said.place * 0.51 + Math.abs(angle) * 1.5e-4 + 1.5e-4;
  return {
    off: Math.abs(angle - said.value),
    allowed: /µ|\\u00b5/.test(result) ? 0.05 * Math.abs(angle) + said.place : allowed,
  };
}

/**
 * Lines that are no arithmetic: a range, letters that are listed, a rule. Their figures are asked for at
 * their stations.
 */
const NOT_RECKONED: readonly string[] = [
  'cutter.range',
  'dividing.reading',
  'drive.contact',
  'drive.usual',
  'gear.sink',
  'wheel.corners',
];

test('a line of working comes to what stands behind its equals sign, for every kind of work', () => {
  const reckoned = new Set<string>();
  const left = new Set<string>();
  const wrong: string[] = [];
  for (const part of partsOfEveryKind())
    for (const station of part.stations)
      for (const line of station.working) {
        const found = reckon(line);
        const name = `${station.id}.${line.key}`;
        if (!found) {
          left.add(name);
          continue;
        }
        reckoned.add(name);
        if (found.off > found.allowed)
          wrong.push(`${name}: ${line.put} is not ${line.result}, off by ${found.off}`);
      }
  expect(wrong).toEqual([]);
  expect([...left].filter((name) => !reckoned.has(name)).sort()).toEqual(NOT_RECKONED);
  expect(reckoned.size).toBeGreaterThan(60);
});
