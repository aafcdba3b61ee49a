import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainHead, STOCK_EQUIPMENT, STOCK_GEARS, STOCK_HEADS, type Head } from '../shop/index.ts';
import { exact, measure } from '../units/index.ts';
import {
  circleNeeded,
  circlesOf,
  countAim,
  findSimpleIndexings,
  nearestSimpleCounts,
  planDividing,
  proveDivision,
  runMoves,
  emptyMadePlate,
  searchMethods,
  simpleWays,
  wayOfChoice,
} from './index.ts';

const [threePlates, twoSided] = STOCK_HEADS as [Head, Head];
const LOCKED = exact(0);
const near = (value: number): number => expect.closeTo(value, 12) as unknown as number;

/** A head as a thing of metal: the crank is stepped space by space and the worm carries the spindle along. */
function stepByHand(ratio: number, turns: number, spaces: number, circle: number, moves: number) {
  let pin = 0; // in spaces of the circle, ever on
  const stops: { hole: number; spindle: number }[] = [];
  for (let k = 0; k < moves; k += 1) {
    for (let turn = 0; turn < turns; turn += 1) for (let space = 0; space < circle; space += 1) pin += 1;
    for (let space = 0; space < spaces; space += 1) pin += 1;
    stops.push({ hole: pin % circle, spindle: pin / circle / ratio });
  }
  return stops;
}

describe('simple indexing', () => {
  test.each(STOCK_HEADS.map((head) => [head.name, head] as const))(
    'for every count from 2 to 400 on %s: all that exist are found, every one closes',
    (_, head) => {
      const circles = circlesOf(head.plates);
      const ratio = Number(head.ratio);
      for (let n = 2; n <= 400; n += 1) {
        const found = findSimpleIndexings(exact(ratio), n, circles);
        // plain enumeration: for each circle every whole turn and every hole
        const plain: string[] = [];
        for (const { holes } of circles) {
          for (let turns = 0; turns <= ratio; turns += 1) {
            for (let spaces = 0; spaces < holes; spaces += 1) {
              if ((turns * holes + spaces) * n === ratio * holes) plain.push(`${turns}+${spaces}/${holes}`);
            }
          }
        }
        expect(found.map(({ turns, spaces, circle }) => `${turns}+${spaces}/${circle.holes}`)).toEqual(plain);
        for (const { proof, choice, armsHoles } of simpleWays(head, countAim(n))) {
          expect(proof).toMatchObject({ moves: n, everySpaceTrue: true, firstWrong: null, closes: true });
          expect(proof).toMatchObject({ worst: { turns: 0 }, worstSingle: 0, end: 0 });
          const { spaces } = choice as { spaces: number };
          expect(armsHoles).toBe(spaces === 0 ? null : spaces + 1);
        }
      }
    },
  );

  // Source: Machinery's Handbook, simple and differential indexing table, entries of the three-plate set
  // (from memory).
  test.each([
    [7, '5 turns + 15 spaces on 21'],
    [58, null],
    [60, '14 spaces on 21'],
    [27, '1 turn + 13 spaces on 27'],
    [49, '40 spaces on 49'],
    [36, '1 turn + 3 spaces on 27'],
    [20, '2 turns'],
    [40, '1 turn'],
  ])('%d spaces', (n, wanted) => {
    const ways = simpleWays(threePlates, countAim(n)).map(({ words }) => words);
    if (wanted === null) expect(ways).toContain('20 spaces on 29');
    else expect(ways).toContain(wanted);
  });

  test('a ratio that is not whole still divides exactly', () => {
    const [move] = findSimpleIndexings(
      exact('81/2'),
      9,
      circlesOf([{ id: 'p', name: 'P', sides: [{ circles: [18] }], made: false }]),
    );
    expect(move).toMatchObject({ turns: 4, spaces: 9 });
  });

  test('nothing for 53 and 127 on three plates, and the nearest counts that do index', () => {
    const circles = circlesOf(threePlates.plates);
    expect(findSimpleIndexings(exact(40), 53, circles)).toEqual([]);
    expect(circleNeeded(exact(40, 53))).toBe(53);
    expect(nearestSimpleCounts(exact(40), 53, circles)).toEqual({ below: 52, above: 54 });
    expect(nearestSimpleCounts(exact(40), 127, circles)).toEqual({ below: 124, above: 128 });
    expect(nearestSimpleCounts(exact(40), 2, [])).toEqual({ below: null, above: null });
  });

  test('best first: nothing to change, then the larger circle; a plate to turn over before one to change', () => {
    const ways = simpleWays(threePlates, countAim(20));
    expect(ways[0]).toMatchObject({ change: null, choice: { plateName: 'B', circle: 33 } });
    expect(ways.findIndex(({ change }) => change !== null)).toBe(6);
    expect(simpleWays(twoSided, countAim(20)).map(({ change }) => change)).toContain('turn over to side 2');
  });

  test('ranking does not depend on the order of the plates', () => {
    const turned = { ...threePlates, plates: [...threePlates.plates].reverse() };
    expect(simpleWays(turned, countAim(12)).map(({ key }) => key)).toEqual(
      simpleWays(threePlates, countAim(12)).map(({ key }) => key),
    );
  });
});

describe('motion of the head', () => {
  test('agrees with stepping the crank space by space', () => {
    for (const [n, turns, spaces, circle] of [
      [58, 0, 20, 29],
      [27, 1, 13, 27],
      [9, 4, 8, 18],
    ] as const) {
      const { denominator, states } = runMoves(
        { ratio: exact(40), plateRatio: LOCKED },
        { turns, spaces, circle },
        n,
      );
      for (const [k, stop] of stepByHand(40, turns, spaces, circle, n).entries()) {
        expect(states[k + 1]!.hole).toBe(stop.hole);
        expect(states[k + 1]!.spindle / denominator).toBeCloseTo(stop.spindle, 12);
      }
    }
  });

  test('a wrong move is found out, and the first wrong space named', () => {
    const head = { ratio: exact(40), plateRatio: LOCKED };
    expect(proveDivision(head, { turns: 0, spaces: 21, circle: 29 }, 58)).toEqual({
      moves: 58,
      everySpaceTrue: false,
      firstWrong: 1,
      closes: false,
      worst: { move: 58, turns: near(58 / 29 / 40) },
      worstSingle: near(1 / 29 / 40),
      end: near(58 / 29 / 40),
    });
    expect(proveDivision(head, { turns: 0, spaces: 20, circle: 29 }, 57)).toMatchObject({ closes: false });
  });

  // Source: differential indexing chart entries N = 53 and N = 127, Machinery's Handbook (from memory):
  // the same model proves geared plates. 53: 35 spaces on 49, gears 56 on the plate shaft, 40 and 24 on the
  // stud, 72 on the spindle.
  test('a plate geared to the spindle: 53 and 127 close', () => {
    const ratio53 = exact(40)
      .mul(56 - 53)
      .div(56); // g = R(A − N)/A with A = 56
    expect(ratio53.equals(exact(72 * 40, 24 * 56))).toBe(true);
    expect(
      proveDivision({ ratio: exact(40), plateRatio: ratio53 }, { turns: 0, spaces: 35, circle: 49 }, 53),
    ).toMatchObject({ everySpaceTrue: true, closes: true });
    const ratio127 = exact(40)
      .mul(120 - 127)
      .div(120);
    expect(ratio127.equals(exact(-56, 24))).toBe(true);
    expect(
      proveDivision({ ratio: exact(40), plateRatio: ratio127 }, { turns: 0, spaces: 13, circle: 39 }, 127),
    ).toMatchObject({ everySpaceTrue: true, closes: true });
  });

  test('a plate that runs with the crank is refused', () => {
    expect(() =>
      runMoves({ ratio: exact(40), plateRatio: exact(40) }, { turns: 1, spaces: 0, circle: 15 }, 3),
    ).toThrow(/never turns/);
  });

  test('random heads: whatever is found closes, and nothing that exists is missed (seed 53)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('40', '5', '30', '60', '72', '90', '120', '81/2'),
        fc.uniqueArray(fc.integer({ min: 2, max: 99 }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 2, max: 400 }),
        (ratio, circles, n) => {
          const head: Head = {
            ...plainHead('h', 'H'),
            ratio,
            plates: [{ id: 'p', name: 'P', sides: [{ circles }], made: false }],
          };
          const ways = simpleWays(head, countAim(n));
          const serves = circles.filter((holes) => exact(ratio).div(n).mul(holes).d === 1n);
          expect(ways.map(({ choice }) => ('circle' in choice ? choice.circle : 0)).sort()).toEqual(
            [...serves].sort(),
          );
          for (const { proof } of ways) expect(proof.closes && proof.everySpaceTrue).toBe(true);
        },
      ),
      { seed: 53, numRuns: 300 },
    );
  });
});

describe('the dividing station', () => {
  const ground = (head: Head) => ({ head, gearSets: [STOCK_GEARS], steppers: [] });
  const differentials = (head: Head, n: number) => searchMethods(ground(head), countAim(n)).methods[0]!;
  const station = (
    n: number | null,
    head: Head | null,
    choice = null as Parameters<typeof planDividing>[0]['input']['choice'],
    shop = { ...STOCK_EQUIPMENT, heads: [] as readonly Head[] },
  ) =>
    planDividing({
      input: {
        headId: head?.id ?? null,
        millId: null,
        choice,
        stride: measure('', 'count'),
        made: emptyMadePlate('mm'),
      },
      target: n === null ? null : { along: 'turn', aim: countAim(n) },
      ground: { head, mill: null, gearSets: [STOCK_GEARS], steppers: [], shop },
      path: 'parts.p1.dividing',
    });

  test('says honestly when simple indexing does not reach a count', () => {
    const work = station(53, threePlates);
    expect(work.answer).toBe('not by simple indexing');
    expect(work.issues[0]).toMatchObject({
      code: 'no-simple-indexing',
      allowed: 'The nearest counts that do index: 52 and 54.',
    });
  });

  test('where this head has no way, another of the shop that does is named with its move', () => {
    const work = station(51, threePlates, null, STOCK_EQUIPMENT);
    expect(work.detail.otherHeads).toEqual([
      { id: twoSided.id, name: twoSided.name, move: '40 spaces on 51' },
    ]);
  });

  test('an empty plate set, no head, no count', () => {
    const bare = { ...threePlates, plates: [], rings: [], mounted: null };
    expect(station(58, bare).issues[0]?.code).toBe('no-plates');
    expect(station(58, null).issues[0]?.code).toBe('no-head');
    expect(station(null, threePlates).answer).toBe('waits for the count');
  });

  test('keeps what was chosen though another ranks better, and says when it no longer divides', () => {
    const ways = simpleWays(threePlates, countAim(20));
    const chosen = ways.at(-1)!;
    const kept = station(20, threePlates, chosen.choice);
    expect(kept.detail.inForce?.key).toBe(chosen.key);
    expect(ways[0]!.key).not.toBe(chosen.key);
    expect(station(58, threePlates, chosen.choice).issues[0]).toMatchObject({
      code: 'choice-no-longer-divides',
      path: 'parts.p1.dividing.choice',
      severity: 'blocked',
      given: '58 parts',
    });
    // a plate that was given another name is the same plate
    const renamed = {
      ...threePlates,
      plates: threePlates.plates.map((plate) => ({ ...plate, name: `${plate.name} new` })),
    };
    const again = simpleWays(renamed, countAim(20));
    expect(again.map(({ key }) => key)).toEqual(ways.map(({ key }) => key));
    expect(new Set(ways.map(({ key }) => key)).size).toBe(ways.length);
    expect(station(20, twoSided, chosen.choice).issues[0]?.code).toBe('choice-not-on-head');
  });

  test('a differential way that was picked is checked, proved and said: positions, idlers, the plate’s direction', () => {
    const { ways, total, out } = differentials(threePlates, 127);
    expect([out, total >= ways.length, ways.length <= 50]).toEqual([null, true, true]);
    const chart = ways.find(
      ({ geared, words }) => geared?.near === 120 && words.startsWith('13 spaces on 39'),
    )!;
    expect(chart.proof).toMatchObject({ moves: 127, everySpaceTrue: true, closes: true });
    const work = station(127, threePlates, chart.choice);
    expect(work.answer).toBe('13 spaces on 39, gears 56 : 24');
    const said = Object.fromEntries(
      work.values.flatMap((value) => (value.kind === 'text' ? [[value.key, value.text]] : [])),
    );
    expect(said).toMatchObject({
      move: '13 spaces on 39',
      near: '120 parts',
      onSpindle: '56 teeth',
      onPlateShaft: '24 teeth',
      idlers: '2',
      plateTurns: 'against the crank',
      plate: 'C',
    });
    expect(work.cautions.map(({ code }) => code)).toEqual(['direct-pin', 'plate-free']);
    expect(work.working.find(({ key }) => key === 'plateRatio')).toMatchObject({
      put: '\\frac{40\\,(120 - 127)}{120}',
      result: '-\\tfrac{7}{3}',
    });
    expect(work.working.find(({ key }) => key === 'check')).toMatchObject({
      put: '127 \\times \\tfrac{13}{39} - \\tfrac{7}{3}',
      result: '40',
    });
  });

  test('a picked differential way that no longer serves says why', () => {
    const way = differentials(threePlates, 53).ways[0]!;
    const on = (head: Head, choice = way.choice, gearSets = [STOCK_GEARS]) =>
      wayOfChoice({ head, gearSets, steppers: [] }, countAim(53), choice);
    expect(station(59, threePlates, way.choice).issues[0]?.code).toBe('choice-no-longer-divides');
    expect(on(threePlates, way.choice, [])).toBeNull();
    expect(on({ ...threePlates, plateLock: false })).toBeNull();
    expect(
      on(threePlates, way.choice, [{ ...STOCK_GEARS, gears: STOCK_GEARS.gears.slice(0, 4) }]),
    ).toBeNull();
    expect(station(53, { ...threePlates, plateLock: false }, way.choice).issues[0]?.code).toBe(
      'choice-not-geared',
    );
    if (way.choice.method !== 'differential') throw new Error('not a differential way');
    // driver and driven swapped, or an idler too many, is not the way that was proved
    const { train, idlers } = way.choice;
    const swapped = { ...way.choice, train: { ...train, driver: train.driven, driven: train.driver } };
    expect(on(threePlates, swapped)).toBeNull();
    expect(on(threePlates, { ...way.choice, idlers: idlers + 1 })).toBeNull();
    expect(on(threePlates)?.key).toBe(way.key);
  });

  test('a bracket without a stud, or without room for idlers, refuses trains by name', () => {
    const bracket = (stud: boolean, idlers: number): Head => ({
      ...threePlates,
      differential: { gearSetId: STOCK_GEARS.id, stud, idlers },
    });
    for (const { geared } of differentials(bracket(false, 2), 127).ways)
      expect(geared!.train.second).toBeNull();
    expect(differentials(bracket(true, 0), 127).total).toBeLessThan(
      differentials(bracket(true, 2), 127).total,
    );
    expect(differentials(bracket(false, 0), 127).out).toMatch(/none goes on .*its bracket/);
  });

  test('why the longer search is out, and the nearest counts where it finds nothing', () => {
    expect(differentials(twoSided, 53).out).toMatch(/has no gears between spindle and plate/);
    expect(differentials({ ...threePlates, plateLock: false }, 53).out).toMatch(/has no lock pin to draw/);
    expect(differentials({ ...threePlates, plates: [] }, 53).out).toMatch(/no index plates/);
    expect(searchMethods(ground(threePlates), countAim(383)).nearest).toEqual([382, 384]);
    expect(differentials(threePlates, 383)).toMatchObject({
      total: 0,
      out: expect.stringMatching(/No train/),
    });
  });
});
