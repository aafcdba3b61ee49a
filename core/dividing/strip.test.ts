import { describe, expect, test } from '@jest/globals';
import { STOCK_EQUIPMENT, STOCK_HEADS, STOCK_ROTARY } from '../shop/index.ts';
import { countAim, quickMethods, REACHES, reachOfCounts, searchMethods } from './index.ts';

const [threePlates, twoSided] = STOCK_HEADS;

describe('the strip of counts', () => {
  test('agrees with the methods themselves, count by count', () => {
    for (const head of [threePlates!, twoSided!, STOCK_ROTARY]) {
      const strip = reachOfCounts([head], STOCK_EQUIPMENT, { from: 2, to: 140 });
      for (const [i, place] of strip.entries()) {
        const ground = { head, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [] };
        const aim = countAim(i + 2);
        const open = [...quickMethods(ground, aim), ...searchMethods(ground, aim, 1).methods]
          .filter(({ out, method }) => out === null && REACHES.includes(method as 'simple'))
          // a wheel may be set to any count: exact is where every setting falls on a reading
          .filter(({ method, ways }) => method !== 'handwheel' || ways[0]!.proof.everySpaceTrue)
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
    const none = reachOfCounts([], STOCK_EQUIPMENT, { from: 2, to: 4 });
    expect([...none].map((place) => REACHES[place])).toEqual(['none', 'none', 'none']);
  });

  test('a table with a wheel alone: 30 is three turns of it, 31 falls between its readings', () => {
    const [thirty, next] = [...reachOfCounts([STOCK_ROTARY], STOCK_EQUIPMENT, { from: 30, to: 31 })];
    expect([REACHES[thirty!], REACHES[next!]]).toEqual(['handwheel', 'none']);
  });
});
