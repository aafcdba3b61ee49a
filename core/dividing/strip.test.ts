import { describe, expect, test } from '@jest/globals';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { countAim, quickMethods, REACHES, reachOfCounts, searchMethods } from './index.ts';

const [threePlates, twoSided] = STOCK_HEADS;

describe('the strip of counts', () => {
  test('agrees with the methods themselves, count by count', () => {
    for (const head of [threePlates!, twoSided!]) {
      const strip = reachOfCounts([head], STOCK_EQUIPMENT, { from: 2, to: 140 });
      for (const [i, place] of strip.entries()) {
        const ground = { head, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [] };
        const aim = countAim(i + 2);
        const open = [...quickMethods(ground, aim), ...searchMethods(ground, aim, 1).methods]
          .filter(({ out, method }) => out === null && REACHES.includes(method as 'simple'))
          .map(({ method }) => method as string);
        const best = REACHES.find((reach) => open.includes(reach)) ?? 'none';
        expect([i + 2, REACHES[place]]).toEqual([i + 2, best]);
      }
    }
  });

  // Source: the handbook's differential chart ends at 382 (published); confirmed by exhaustion
  test('three plates and twelve gears: every count to 382 but not 383', () => {
    const strip = reachOfCounts([threePlates!], STOCK_EQUIPMENT, { from: 2, to: 383 });
    expect([...strip].findIndex((place) => REACHES[place] === 'none') + 2).toBe(383);
  });

  test('the best of all heads of the shop; none at all without heads', () => {
    const both = reachOfCounts(STOCK_HEADS, STOCK_EQUIPMENT, { from: 51, to: 51 });
    expect(REACHES[both[0]!]).toBe('simple');
    expect([...reachOfCounts([], STOCK_EQUIPMENT, { from: 2, to: 4 })]).toEqual([4, 4, 4]);
  });
});
