import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainHead, STOCK_GEARS, STOCK_HEADS, STOCK_ROTARY, type Head, type Stepper } from '../shop/index.ts';
import { exact, measure } from '../units/index.ts';
import {
  angleAim,
  choiceFromV2,
  countAim,
  countOf,
  dividingFromV2,
  emptyMadePlate,
  indexingTable,
  landingFromV2,
  landingText,
  landingGround,
  movesOf,
  quickMethods,
  rankMethods,
  readStride,
  runChoice,
  searchMethods,
  wayOfChoice,
  type Aim,
  type Ground,
  type Method,
  type Way,
} from './index.ts';

const [threePlates, twoSided] = STOCK_HEADS as [Head, Head];
const stepper: Stepper = {
  id: 'drive',
  name: 'Belt drive',
  headId: STOCK_ROTARY.id,
  on: 'crank',
  stepsPerTurn: 200,
  microsteps: 8,
  belt: '3',
};
const ground = (head: Head, more: Partial<Ground> = {}): Ground => ({
  head,
  gearSets: [STOCK_GEARS],
  steppers: [],
  ...more,
});
const quick = (head: Head, aim: Aim, method: Method, more: Partial<Ground> = {}) =>
  quickMethods(ground(head, more), aim).find((answer) => answer.method === method)!;

/** Degrees, minutes and seconds as an exact angle. */
const dms = (d: number, m = 0, s = 0) => exact(d).add(exact(m, 60)).add(exact(s, 3600));

describe('direct indexing', () => {
  test('every count that divides a ring, and no other: the pin steps round and closes', () => {
    for (let n = 2; n <= 40; n += 1) {
      const { ways, out } = quick(twoSided, countAim(n), 'direct');
      const rings = [24, 30, 36].filter((holes) => holes % n === 0);
      expect(ways.map(({ choice }) => (choice.method === 'direct' ? choice.holes : 0)).sort()).toEqual(rings);
      expect(out === null).toBe(rings.length > 0);
      for (const { proof, choice } of ways) {
        expect(proof).toMatchObject({ everySpaceTrue: true, closes: true, moves: n });
        const holes = runChoice(exact(40), choice, n).states.map(({ hole }) => hole);
        expect(new Set(holes.slice(0, n)).size).toBe(n);
        expect(holes[n]).toBe(0);
      }
    }
  });
  test('says why it is out', () => {
    expect(quick(twoSided, countAim(7), 'direct').out).toBe(
      'It needs a ring whose holes are a multiple of 7; here are 24, 30, 36.',
    );
    expect(quick(plainHead('h', 'Old head'), countAim(6), 'direct').out).toMatch(/no ring of holes/);
  });
});

describe('angles', () => {
  // Source: Machinery's Handbook, angular indexing: at 40 : 1 a space of 54 holes is 10′, of 27 20′, of 18
  // 30′ (published)
  test.each([
    [54, 10],
    [27, 20],
    [18, 30],
  ])('a space of %d holes is %d minutes', (circle, minutes) => {
    const head = {
      ...plainHead('h', 'H'),
      plates: [{ id: 'p', name: 'P', sides: [{ circles: [circle] }], made: false }],
    };
    const [way] = quick(head, angleAim(dms(0, minutes), 5), 'simple').ways;
    expect(way!.words).toBe(`1 space on ${circle}`);
  });
  test('4° 30′ is half a turn, and ends on 18° after four moves', () => {
    const { ways } = quick(threePlates, angleAim(dms(4, 30), 5), 'simple');
    const way = ways.find(({ words }) => words === '9 spaces on 18');
    expect(way!.proof).toMatchObject({ moves: 4, everySpaceTrue: true, closes: true });
    const { denominator, states } = runChoice(exact(40), way!.choice, 4);
    expect((states[4]!.spindle / denominator) * 360).toBeCloseTo(18, 12);
  });
  test('an angle no circle has: the nearest, with its error in seconds', () => {
    const aim = angleAim(dms(6, 12, 25), 3);
    expect(quick(threePlates, aim, 'simple').total).toBe(0);
    const approximate = searchMethods(ground(threePlates), aim).methods.find(
      ({ method }) => method === 'approximate',
    )!;
    const best = approximate.ways.find(({ choice }) => choice.method === 'simple')!;
    // by hand: 6° 12′ 25″ is 0.68967 turns of the crank; 20 on 29 is 0.689655
    expect(best.words).toBe('20 spaces on 29');
    const seconds = Math.abs(best.proof.worstSingle) * 1_296_000;
    expect(seconds).toBeCloseTo(Math.abs((20 / 29 / 40) * 1_296_000 - (6 * 3600 + 12 * 60 + 25)), 6);
  });
  test('angles that come to a whole turn close like a count', () => {
    const aim = angleAim(exact(360, 58), 58);
    expect([aim.full, countOf(aim), movesOf(aim)]).toEqual([true, 58, 58]);
    expect(quick(threePlates, aim, 'simple').ways[0]!.proof.closes).toBe(true);
  });
  test('a whole turn, and a part of one that is no count', () => {
    expect(quick(threePlates, angleAim(exact(360), 1), 'simple').ways[0]!.words).toBe('40 turns');
    expect(searchMethods(ground(threePlates), angleAim(exact(7), 9)).methods[0]!.out).toMatch(/equal parts/);
  });
});

describe('readings: every space reckoned from the start', () => {
  /** Nearest whole units to where space k should be, in plain fractions of whole numbers. */
  const nearest = (units: bigint, n: bigint, k: bigint) => (2n * k * units + n) / (2n * n);

  test('a wheel of four degrees in minutes with ten-second vernier: 127 spaces, never half a reading off', () => {
    const [way] = quick(STOCK_ROTARY, countAim(127, 60), 'handwheel').ways;
    const rows = indexingTable({ ratio: exact(90), choice: way!.choice, aim: countAim(127) });
    for (const { index, landing, off } of rows) {
      const units = nearest(90n * 240n * 6n, 127n, BigInt(index - 1));
      if (landing.on !== 'dial') throw new Error('no dial');
      expect(landing.turns).toBe(Number(units / 1440n));
      expect(exact(landing.mark).equals(exact(Number(units % 1440n), 6))).toBe(true);
      expect(Math.abs(off) * 1_296_000).toBeLessThanOrEqual(5 + 1e-9);
    }
    expect(Math.abs(way!.proof.worst.turns) * 1_296_000).toBeLessThanOrEqual(5 + 1e-9);
    expect(way!.proof.end).toBe(0);
    // space 2 is 2° 50′ 04.7″: read 2° 50′ 00″ or 05″ on a wheel that reads to 10″
    expect(landingText(rows[1]!.landing, landingGround(way!.choice, exact(90)))).toBe(
      'table 0°, wheel 2° 50′',
    );
    expect(landingText(rows[2]!.landing, landingGround(way!.choice, exact(90)))).toBe(
      'table 4°, wheel 1° 40′ 10″',
    );
  });

  test('a motor whose steps do not divide: scheduled from the start, the last back on the first', () => {
    const head = { ...STOCK_ROTARY };
    const [way] = quick(head, countAim(127), 'stepper', { steppers: [stepper] }).ways;
    // 200 × 8 × 3 × 90 steps a turn
    expect(way!.choice).toMatchObject({ stepsPerTurn: '432000' });
    const rows = indexingTable({ ratio: exact(90), choice: way!.choice, aim: countAim(127) });
    let last = 0;
    for (const { index, landing } of rows) {
      if (landing.on !== 'steps') throw new Error('no steps');
      expect(landing.steps).toBe(Number(nearest(432000n, 127n, BigInt(index - 1))));
      if (index > 1) expect(landing.by).toBe(landing.steps - last);
      last = landing.steps;
    }
    // one rounded step repeated would be 127 × 3402 = 432054, 54 steps too far; the schedule closes
    expect(way!.proof.end).toBe(0);
    expect(way!.proof.everySpaceTrue).toBe(false);
  });

  test('the nearest hole is never more than half a space of the circle off', () => {
    const aim = countAim(383, 100);
    const { ways } = searchMethods(ground(threePlates), aim).methods.find(
      ({ method }) => method === 'approximate',
    )!;
    const holes = ways.filter(({ choice }) => choice.method === 'nearest-hole');
    expect(holes.length).toBeGreaterThan(0);
    for (const { choice, proof } of holes) {
      if (choice.method !== 'nearest-hole') continue;
      expect(Math.abs(proof.worst.turns)).toBeLessThanOrEqual(1 / 2 / choice.circle / 40 + 1e-12);
      expect(proof.end).toBe(0);
    }
  });
});

describe('approximate ways', () => {
  test('383, which no train reaches: the best train is a few seconds off, and its error is what stepping shows', () => {
    const found = searchMethods(ground(threePlates), countAim(383, 150));
    const { ways } = found.methods.find(({ method }) => method === 'approximate')!;
    const best = ways.find(({ choice }) => choice.method === 'differential')!;
    if (best.choice.method !== 'differential') throw new Error('not differential');
    const { train, turns, spaces, circle, near, idlers } = best.choice;
    const size = (train.driver * (train.second?.driver ?? 1)) / (train.driven * (train.second?.driven ?? 1));
    const against = (idlers % 2 === 1) === (train.second !== null);
    const g = against ? -size : size;
    expect(near > 383).toBe(g > 0);
    // crank = pin + plate, plate = g · spindle, crank = 40 · spindle
    const each = (turns + spaces / circle) / (40 - g);
    expect(best.proof.end).toBeCloseTo(383 * each - 1, 12);
    expect(Math.abs(best.proof.end) * 1_296_000).toBeLessThan(60);
    expect(best.proof.everySpaceTrue).toBe(false);
    expect(found.nearest).toEqual([382, 384]);
  });
  test('none is called exact, and they come worst error first to last', () => {
    const { ways } = searchMethods(ground(threePlates), countAim(53)).methods.find(
      ({ method }) => method === 'approximate',
    )!;
    const errors = ways.map(({ proof }) => Math.abs(proof.worst.turns));
    expect(errors.every((error) => error > 0)).toBe(true);
    expect([...errors].sort((a, b) => a - b)).toEqual(errors);
    expect(ways.length).toBeLessThanOrEqual(50);
  });
});

describe('block order', () => {
  test('every seventh space of 58: seven steps a move, every space once, and it closes', () => {
    const aim = countAim(58, null, 7);
    const [way] = quick(threePlates, aim, 'simple').ways;
    expect(way!.words).toBe('4 turns + 24 spaces on 29');
    expect(way!.proof).toMatchObject({ moves: 58, everySpaceTrue: true, closes: true });
    const spaces = indexingTable({ ratio: exact(40), choice: way!.choice, aim, start: 10 }).map(
      ({ space }) => space,
    );
    expect(spaces.slice(0, 4)).toEqual([10, 17, 24, 31]);
    expect(new Set(spaces).size).toBe(58);
  });
  test('a stride that shares a factor is refused with those near it that do not', () => {
    const read = readStride(measure('6', 'count'), countAim(58));
    expect(read.ok ? null : read.issues[0]).toMatchObject({
      code: 'stride-shares',
      allowed: '5 or 7',
      detail: { cut: 29 },
    });
    expect(readStride(measure('', 'count'), countAim(58))).toEqual({ ok: true, value: 1 });
    const part = readStride(measure('3', 'count'), angleAim(exact(10), 5));
    expect(part.ok ? null : part.issues[0]?.code).toBe('stride-part-turn');
  });
});

test('a choice of before angles: the count it was for becomes its part of a turn; what is none is left', () => {
  expect(choiceFromV2({ method: 'simple', divisions: 58, circle: 29 })).toEqual({
    ...{ method: 'simple', circle: 29, advance: '1/58', exact: true },
  });
  expect(choiceFromV2({ divisions: 1 })).toEqual({ advance: '1', exact: true });
  for (const none of [null, 'simple', 3, [1]]) expect(choiceFromV2(none)).toEqual(none);
  // the station's own fields of then, with what came later left empty
  expect(dividingFromV2({ headId: 'h', choice: null }, 'in')).toEqual({
    ...{ headId: 'h', millId: null, choice: null, stride: measure('1', 'count') },
    made: emptyMadePlate('in'),
  });
  expect(dividingFromV2({ headId: 'h', choice: null }, 'mm')).toMatchObject({ made: emptyMadePlate('mm') });
  expect(dividingFromV2('x', 'mm')).toBe('x');
  expect(landingFromV2({ turns: 1, spaces: 7 }, 5)).toEqual({ on: 'plate', turns: 1, spaces: 7, hole: 5 });
  expect(landingFromV2(null, 5)).toMatchObject({ on: 'plate', hole: 5 });
});

describe('ranking across methods', () => {
  const order = (head: Head, n: number, more: Partial<Ground> = {}) => {
    const all = [
      ...quickMethods(ground(head, more), countAim(n)),
      ...searchMethods(ground(head, more), countAim(n)).methods,
    ];
    return rankMethods(all)
      .filter(({ out }) => out === null)
      .map(({ method }) => method);
  };
  test('nothing to change comes before a change of plate, gears before two pins, exact before nearly', () => {
    expect(order(threePlates, 12).slice(0, 2)).toEqual(['simple', 'direct']);
    expect(order(threePlates, 8)[0]).toBe('simple');
    expect(order(threePlates, 53)).toEqual(['differential', 'approximate']);
    expect(order(threePlates, 69)).toEqual(['differential', 'compound', 'approximate']);
  });
  test('a head with its worm out stays so when the ring serves', () => {
    const out = { ...threePlates, standing: { ...threePlates.standing, worm: 'out' as const } };
    expect(order(out, 12)[0]).toBe('direct');
  });
  test('a table with wheel and motor offers both', () => {
    expect(order(STOCK_ROTARY, 53, { steppers: [stepper] })).toEqual(['stepper', 'handwheel']);
    // 200 × 32 steps of the spindle itself are 202.5″ each: half of one off, where the wheel reads to seconds
    const coarse: Stepper = { ...stepper, on: 'spindle', microsteps: 32, belt: '1' };
    expect(order(STOCK_ROTARY, 53, { steppers: [coarse] })).toEqual(['handwheel', 'stepper']);
    const [motor] = quick(STOCK_ROTARY, countAim(53), 'stepper', { steppers: [coarse] }).ways;
    expect(Math.abs(motor!.proof.worst.turns) * 1_296_000).toBeGreaterThan(90);
  });
});

describe('whatever shop and aim (seed 382)', () => {
  const heads = fc
    .record({
      ratio: fc.constantFrom('40', '5', '60', '72', '90', '81/2'),
      plates: fc.array(fc.uniqueArray(fc.integer({ min: 2, max: 66 }), { minLength: 1, maxLength: 5 }), {
        maxLength: 3,
      }),
      rings: fc.uniqueArray(fc.integer({ min: 2, max: 60 }), { maxLength: 3 }),
      wheel: fc.option(
        fc.record({ marks: fc.integer({ min: 1, max: 400 }), vernier: fc.constantFrom(1, 6, 10) }),
      ),
      geared: fc.boolean(),
    })
    .map(({ ratio, plates, rings, wheel, geared }): Head => ({
      ...plainHead('h', 'H'),
      ratio,
      plates: plates.map((circles, i) => ({ id: `p${i}`, name: `P${i}`, sides: [{ circles }], made: false })),
      rings: rings.map((holes) => ({ id: `r${holes}`, name: String(holes), holes, made: false })),
      handwheel: wheel && { ...wheel, reads: 'angle' },
      plateLock: geared,
      differential: geared ? { gearSetId: STOCK_GEARS.id, stud: true, idlers: 2 } : null,
    }));
  const aims = fc.oneof(
    fc.integer({ min: 2, max: 250 }).map((n) => countAim(n, 80)),
    fc
      .tuple(fc.integer({ min: 1, max: 40 * 3600 }), fc.integer({ min: 2, max: 9 }))
      .map(([s, n]) => angleAim(exact(s, 3600), n, 80)),
  );

  /** Where the work is after each move, worked out anew from what the choice says is done. */
  function positions(head: Head, way: Way, aim: Aim): number[] {
    return indexingTable({ ratio: exact(head.ratio), choice: way.choice, aim }).map(({ landing, index }) => {
      const R = exact(head.ratio).valueOf();
      const k = index - 1;
      const { choice } = way;
      if (landing.on === 'ring' && choice.method === 'direct') return (k * choice.spaces) / choice.holes;
      if (landing.on === 'dial' && choice.method === 'handwheel') return NaN; // turns are shown modulo R: checked on its own above
      if (choice.method === 'compound')
        return (
          (k * (choice.turns + choice.spaces / choice.circle + choice.back.spaces / choice.back.circle)) / R
        );
      if (choice.method === 'differential') {
        const { train } = choice;
        const size =
          (train.driver * (train.second?.driver ?? 1)) / (train.driven * (train.second?.driven ?? 1));
        return (
          (k * (choice.turns + choice.spaces / choice.circle)) /
          (R - (choice.near > 1 / aim.step.valueOf() ? size : -size))
        );
      }
      if (choice.method === 'simple') return (k * (choice.turns + choice.spaces / choice.circle)) / R;
      return NaN;
    });
  }

  test('what is offered as exact is exact and closes; what is not says how far off it is; each is taken again by its content', () => {
    fc.assert(
      fc.property(heads, aims, (head, aim) => {
        const at = ground(head);
        for (const { ways, total, out, method } of [
          ...quickMethods(at, aim),
          ...searchMethods(at, aim, 12).methods,
        ]) {
          expect(out === null).toBe(total > 0);
          for (const way of ways.slice(0, 6)) {
            const { everySpaceTrue, closes, worst } = way.proof;
            if (method !== 'approximate' && method !== 'handwheel')
              expect([everySpaceTrue, closes]).toEqual([true, true]);
            expect(way.method).toBe(method);
            expect(wayOfChoice(at, aim, way.choice)?.key).toBe(way.key);
            const off = positions(head, way, aim)
              .map((turns, k) => Math.abs(turns - k * aim.step.valueOf()))
              .filter((turns) => !Number.isNaN(turns));
            if (off.length > 0) expect(Math.max(...off)).toBeLessThanOrEqual(Math.abs(worst.turns) + 1e-9);
          }
        }
      }),
      { seed: 382, numRuns: 120 },
    );
  });
});
