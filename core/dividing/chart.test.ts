import { describe, expect, test } from '@jest/globals';
import { TWELVE_GEARS } from '../gearing/index.ts';
import { THREE_PLATES } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import { checkChart, circlesOf, findDifferentials, type ChartRow } from './index.ts';
import { tableOfGears } from '../gearing/index.ts';

const R = exact(40);
const circles = circlesOf(THREE_PLATES).map(({ holes }) => holes);
const check = (row: ChartRow) => checkChart(R, row, circles, TWELVE_GEARS);

// Source: differential indexing chart, N = 53 and N = 127, Machinery's Handbook (from memory)
const row53: ChartRow = {
  divisions: 53,
  turns: 0,
  spaces: 35,
  circle: 49,
  gears: { spindle: 72, stud: { first: 24, second: 40 }, plateShaft: 56, idlers: 0 },
};
const row127: ChartRow = {
  divisions: 127,
  turns: 0,
  spaces: 13,
  circle: 39,
  gears: { spindle: 56, stud: null, plateShaft: 24, idlers: 2 },
};

describe('a printed row', () => {
  test('that is right is said to be right, with nothing to guess', () => {
    for (const row of [row53, row127, { divisions: 58, turns: 0, spaces: 20, circle: 29, gears: null }]) {
      expect(check(row)).toEqual({ gives: String(row.divisions), isWhole: true, right: true, misprints: [] });
    }
  });

  test.each([
    [
      'the stud gears exchanged',
      { ...row53, gears: { ...row53.gears!, stud: { first: 40, second: 24 } } },
      'the gears on the stud (first) and the stud (second) exchanged',
    ],
    [
      'drivers for drivens',
      { ...row127, gears: { ...row127.gears!, spindle: 24, plateShaft: 56 } },
      'the gears on the spindle and the plate shaft exchanged',
    ],
    ['an idler too many', { ...row53, gears: { ...row53.gears!, idlers: 1 } }, 'no idler, not 1'],
    ['an idler too few', { ...row127, gears: { ...row127.gears!, idlers: 1 } }, 'two idlers, not 1'],
    ['the pin’s hole counted', { ...row127, spaces: 14 }, '13 spaces, not 14: holes were printed for spaces'],
    [
      'spaces and circle transposed',
      { divisions: 58, turns: 0, spaces: 29, circle: 20, gears: null },
      '20 spaces on 29, the two exchanged',
    ],
    ['another circle', { ...row53, circle: 47 }, 'the 49 circle, not 47'],
  ])('with %s: what it truly gives, and what was meant first', (_, row, meant) => {
    const found = check(row);
    expect(found.right).toBe(false);
    expect(found.gives).not.toBe(String(row.divisions));
    expect(found.misprints[0]?.meant).toBe(meant);
  });

  test('a plate left locked shows as the near count: gears taken out of the row for 127 give 120', () => {
    expect(check({ ...row127, gears: null })).toMatchObject({ gives: '120', isWhole: true, right: false });
  });

  test('no move at all, a plate that outruns the crank: nothing it gives', () => {
    expect(check({ divisions: 10, turns: 0, spaces: 0, circle: 20, gears: null })).toMatchObject({
      gives: '0',
      right: false,
    });
    expect(
      check({
        ...row127,
        gears: { spindle: 100, stud: { first: 24, second: 86 }, plateShaft: 24, idlers: 0 },
      }).gives,
    ).not.toBe('127');
  });

  test('every way the search finds is a right row; every one with its stud or ends exchanged is traced back', () => {
    const table = tableOfGears(TWELVE_GEARS);
    for (const n of [53, 97, 127, 211, 331]) {
      for (const { move, train, idlers } of findDifferentials(R, n, circlesOf(THREE_PLATES), table).slice(
        0,
        12,
      )) {
        const { driver, driven, second } = train;
        const gears = {
          spindle: driver,
          stud: second ? { first: driven, second: second.driver } : null,
          plateShaft: second ? second.driven : driven,
          idlers,
        };
        const row: ChartRow = {
          divisions: n,
          turns: move.turns,
          spaces: move.spaces,
          circle: move.circle.holes,
          gears,
        };
        expect(check(row).right).toBe(true);
        const wrong = { ...row, gears: { ...gears, spindle: gears.plateShaft, plateShaft: gears.spindle } };
        expect(
          check(wrong).misprints.some(({ row: meant }) => JSON.stringify(meant) === JSON.stringify(row)),
        ).toBe(true);
      }
    }
  });
});
