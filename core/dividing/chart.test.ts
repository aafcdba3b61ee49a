import { describe, expect, test } from '@jest/globals';
import { TWELVE_GEARS } from '../gearing/index.ts';
import { THREE_PLATES } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import { checkChart, circlesOf, findDifferentials, type ChartRow } from './index.ts';
import { tableOfGears } from '../gearing/index.ts';

const R = exact(40);
const circles = circlesOf(THREE_PLATES);
const check = (row: ChartRow) => checkChart(row, { ratio: R, circles, gears: TWELVE_GEARS });

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
      expect(check(row)).toEqual({
        gives: String(row.divisions),
        isWhole: true,
        right: true,
        misprints: [],
        noCircle: false,
        instead: null,
      });
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
    // 40/27 is 1 turn and 13 on 27; 40/12 is 3 and 6 on 18
    [
      'its whole turn left out',
      { divisions: 27, turns: 0, spaces: 13, circle: 27, gears: null },
      '1 whole turn left out',
    ],
    [
      'a turn too many',
      { divisions: 12, turns: 4, spaces: 6, circle: 18, gears: null },
      '3 whole turns, not 4',
    ],
    // 40/62 is 20 on 31; 40/33 is 1 and 7 on 33
    [
      'the digits of its circle exchanged',
      { divisions: 62, turns: 0, spaces: 20, circle: 13, gears: null },
      '31 on the circle, not 13: two digits exchanged',
    ],
    [
      'the digits of a gear exchanged',
      { ...row53, gears: { ...row53.gears!, plateShaft: 65 } },
      '56 teeth on the plate shaft, not 65: two digits exchanged',
    ],
  ])('with %s: what it truly gives, and what was meant first', (_, row, meant) => {
    const found = check(row);
    expect(found.right).toBe(false);
    expect(found.gives).not.toBe(String(row.divisions));
    expect(found.misprints[0]?.meant).toBe(meant);
  });

  test('a chart that goes by letters is answered in its letters, whichever stands for what', () => {
    const letters = { spindle: 'E', first: 'F', second: 'D', plateShaft: 'C' };
    const of = (row: ChartRow) =>
      checkChart(row, { ratio: R, circles, gears: TWELVE_GEARS, letters }).misprints.map(
        ({ meant }) => meant,
      );
    const gears = row53.gears!;
    expect(of({ ...row53, gears: { ...gears, stud: { first: 40, second: 24 } } })[0]).toBe(
      'the letters F and D exchanged: the gears on the stud (first) and the stud (second) change places',
    );
    expect(of({ ...row53, gears: { ...gears, plateShaft: 65 } })[0]).toBe(
      '56 teeth on C, the plate shaft, not 65: two digits exchanged',
    );
    expect(of({ ...row53, gears: { ...gears, spindle: 64 } })).toContain(
      '72 teeth on E, the spindle, not 64',
    );
    // only some of them given: the position itself
    const some = checkChart(
      { ...row53, gears: { ...gears, stud: { first: 40, second: 24 } } },
      { ratio: R, circles, gears: TWELVE_GEARS, letters: { first: 'F' } },
    );
    expect(some.misprints[0]!.meant).toBe('the gears on the stud (first) and the stud (second) exchanged');
  });

  test('a plate left locked shows as the near count: gears taken out of the row for 127 give 120', () => {
    expect(check({ ...row127, gears: null })).toMatchObject({ gives: '120', isWhole: true, right: false });
  });

  test('past guessing, or on a circle that is not here: what does divide the count on this head', () => {
    const lost = check({ divisions: 58, turns: 3, spaces: 5, circle: 22, gears: null });
    expect(lost).toMatchObject({ misprints: [], noCircle: true });
    // 40/58 is 20 on 29
    expect(lost.instead).toBe('20 spaces on 29, plate B');
    expect(check({ divisions: 53, turns: 0, spaces: 5, circle: 20, gears: null }).instead).toMatch(
      /^\d+ spaces? on \d+, plate [ABC], gears .* : .*, (no idler|1 idler|2 idlers)$/,
    );
    // idlers by custom: of two gears one with the crank, two against it; of four none, or one
    const told = [53, 59, 127, 131, 61, 71].map(
      (divisions) => check({ divisions, turns: 0, spaces: 5, circle: 22, gears: null }).instead!,
    );
    const kinds = told.map((said) => {
      const [, gears, idlers] = /gears (.*), (no|1|2) idlers?$/.exec(said)!;
      return `${gears!.includes(',') ? 'four' : 'two'} ${idlers}`;
    });
    for (const kind of kinds) expect(['two 1', 'two 2', 'four no', 'four 1']).toContain(kind);
    expect(new Set(kinds).size).toBeGreaterThan(1);
    expect(check({ divisions: 383, turns: 0, spaces: 5, circle: 20, gears: null }).instead).toBeNull();
    // right by its figures, and still no circle of this head
    expect(check({ divisions: 58, turns: 0, spaces: 40, circle: 58, gears: null })).toMatchObject({
      right: true,
      noCircle: true,
      instead: '20 spaces on 29, plate B',
    });
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
      for (const { move, train, idlers } of findDifferentials({
        ratio: R,
        divisions: n,
        circles: circlesOf(THREE_PLATES),
        gears: table,
      }).slice(0, 12)) {
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
