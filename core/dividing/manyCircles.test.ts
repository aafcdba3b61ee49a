import { describe, expect, test } from '@jest/globals';
import { trainText } from '../gearing/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS, type Head } from '../shop/index.ts';
import { countAim, quickMethods, searchMethods, type MethodAnswer } from './index.ts';

const three = STOCK_HEADS[0]!;
/** The same plates so many times over, each time under other names. */
const times = (many: number): Head => ({
  ...three,
  plates: Array.from({ length: many }, (_, i) =>
    three.plates.map((plate) =>
      i === 0 ? plate : { ...plate, id: `${plate.id}-${i}`, name: `${plate.name}${i}` },
    ),
  ).flat(),
});
const ground = (head: Head) => ({ head, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [], lead: null });
const of = (answers: readonly MethodAnswer[], method: string) =>
  answers.find((answer) => answer.method === method)!;

describe('a head with more circles than any shop has', () => {
  test('simple: all are counted, the best sixty proved, the plate that is on first', () => {
    // 20 teeth on 40 : 1 are two whole turns, on each of the 18 circles
    const answer = of(quickMethods(ground(times(15)), countAim(20)), 'simple');
    expect([answer.total, answer.ways.length]).toEqual([18 * 15, 60]);
    const best = of(quickMethods(ground(three), countAim(20)), 'simple').ways[0]!;
    expect(answer.ways[0]!.key).toBe(best.key);
  });

  test('differential: no move is lost that one of the same circle makes, and none is listed a hundred times', () => {
    const moves = (head: Head) => {
      const { ways, total } = of(searchMethods(ground(head), countAim(53), 10_000).methods, 'differential');
      const told = ways.map(({ choice }) =>
        choice.method === 'differential'
          ? `${choice.turns} ${choice.spaces}/${choice.circle} ${trainText(choice.train)}`
          : '',
      );
      return { total, told: [...new Set(told)].sort(), first: ways[0]!.key };
    };
    const [few, many] = [moves(three), moves(times(15))];
    expect(few.told.length).toBeGreaterThan(20);
    expect(many.told).toEqual(few.told);
    expect(many.first).toBe(few.first);
    expect(many.total).toBeLessThanOrEqual(few.total);
  });
});
