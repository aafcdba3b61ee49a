import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { STOCK_GEARS, STOCK_HEADS, type Head } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import {
  circleNeeded,
  circlesOf,
  findSimpleIndexings,
  moveText,
  nearestSimpleCounts,
  planDividing,
  proveDivision,
  runMoves,
  searchWays,
  simpleWays,
  wayOfChoice,
} from './index.ts';

const [threePlates, twoSided] = STOCK_HEADS as [Head, Head];
const LOCKED = exact(0);

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
        for (const way of simpleWays(head, n)) {
          expect(way.proof).toEqual({ moves: n, everySpaceTrue: true, firstWrong: null, closes: true });
          expect(way.armsHoles).toBe(way.move.spaces + 1);
        }
      }
    },
  );

  // Source: Machinery's Handbook, simple and differential indexing table, entries of the three-plate set (from memory).
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
    const ways = simpleWays(threePlates, n).map(({ move }) =>
      moveText({ ...move, circle: move.circle.holes }),
    );
    if (wanted === null) expect(ways).toContain('20 spaces on 29');
    else expect(ways).toContain(wanted);
  });

  test('a ratio that is not whole still divides exactly', () => {
    const [move] = findSimpleIndexings(
      exact('81/2'),
      9,
      circlesOf([{ id: 'p', name: 'P', sides: [{ circles: [18] }] }]),
    );
    expect(move).toMatchObject({ turns: 4, spaces: 9 });
  });

  test('nothing for 53 and 127 on three plates, and the nearest counts that do index', () => {
    const circles = circlesOf(threePlates.plates);
    expect(findSimpleIndexings(exact(40), 53, circles)).toEqual([]);
    expect(circleNeeded(exact(40), 53)).toBe(53);
    expect(nearestSimpleCounts(exact(40), 53, circles)).toEqual({ below: 52, above: 54 });
    expect(nearestSimpleCounts(exact(40), 127, circles)).toEqual({ below: 124, above: 128 });
    expect(nearestSimpleCounts(exact(40), 2, [])).toEqual({ below: null, above: null });
  });

  test('best first: nothing to change, then the larger circle; a plate to turn over before one to change', () => {
    const ways = simpleWays(threePlates, 20);
    expect(ways[0]).toMatchObject({ change: null, move: { circle: { plateName: 'B', holes: 33 } } });
    expect(ways.findIndex(({ change }) => change !== null)).toBe(6);
    expect(simpleWays(twoSided, 20).map(({ change }) => change)).toContain('turn over to side 2');
  });

  test('ranking does not depend on the order of the plates', () => {
    const turned = { ...threePlates, plates: [...threePlates.plates].reverse() };
    expect(simpleWays(turned, 12).map(({ key }) => key)).toEqual(
      simpleWays(threePlates, 12).map(({ key }) => key),
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
    });
    expect(proveDivision(head, { turns: 0, spaces: 20, circle: 29 }, 57)).toMatchObject({ closes: false });
  });

  // Source: differential indexing chart entries N = 53 and N = 127, Machinery's Handbook (from memory):
  // the same model proves geared plates. 53: 35 spaces on 49, gears 56 on the plate shaft, 40 and 24 on the stud, 72 on the spindle.
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
            id: 'h',
            name: 'H',
            ratio,
            plates: [{ id: 'p', name: 'P', sides: [{ circles }] }],
            mounted: null,
            plateLock: true,
            differential: null,
          };
          const ways = simpleWays(head, n);
          const serves = circles.filter((holes) => exact(ratio).div(n).mul(holes).d === 1n);
          expect(ways.map(({ move }) => move.circle.holes).sort()).toEqual([...serves].sort());
          for (const { proof } of ways) expect(proof.closes && proof.everySpaceTrue).toBe(true);
        },
      ),
      { seed: 53, numRuns: 300 },
    );
  });
});

describe('the dividing station', () => {
  const station = (
    n: number | null,
    head: Head | null,
    choice = null as Parameters<typeof planDividing>[0]['choice'],
  ) =>
    planDividing(
      { headId: head?.id ?? null, choice },
      n,
      { head, gearSets: [STOCK_GEARS], shopHeads: [] },
      'parts.p1.dividing',
    );

  test('says honestly when simple indexing does not reach a count', () => {
    const work = station(53, threePlates);
    expect(work.answer).toBe('not by simple indexing');
    expect(work.issues[0]).toMatchObject({
      code: 'no-simple-indexing',
      allowed: 'The nearest counts that do index: 52 and 54.',
    });
  });

  test('where this head has no way, another of the shop that does is named with its move', () => {
    const work = planDividing(
      { headId: threePlates.id, choice: null },
      51,
      { head: threePlates, gearSets: [], shopHeads: STOCK_HEADS },
      'p',
    );
    expect(work.detail.otherHeads).toEqual([
      { id: twoSided.id, name: twoSided.name, move: '40 spaces on 51' },
    ]);
  });

  test('an empty plate set, no head, no count', () => {
    expect(station(58, { ...threePlates, plates: [], mounted: null }).issues[0]?.code).toBe('no-plates');
    expect(station(58, null).issues[0]?.code).toBe('no-head');
    expect(station(null, threePlates).answer).toBe('waits for the tooth count');
  });

  test('keeps what was chosen though another ranks better, and says when it no longer divides', () => {
    const ways = simpleWays(threePlates, 20);
    const chosen = ways.at(-1)!;
    const kept = station(20, threePlates, chosen.choice);
    expect(kept.detail.inForce?.key).toBe(chosen.key);
    expect(ways[0]!.key).not.toBe(chosen.key);
    expect(station(58, threePlates, chosen.choice).issues[0]?.code).toBe('choice-no-longer-divides');
    expect(station(20, twoSided, chosen.choice).issues[0]?.code).toBe('choice-not-on-head');
  });

  test('a differential way that was picked is checked, proved and said: positions, idlers, the plate’s direction', () => {
    const { ways, total, out } = searchWays(threePlates, [STOCK_GEARS], 127);
    expect([out, total > ways.length || total === ways.length, ways.length <= 50]).toEqual([
      null,
      true,
      true,
    ]);
    const chart = ways.find(({ geared, move }) => geared?.near === 120 && move.circle.holes === 39)!;
    expect(chart.proof).toMatchObject({ moves: 127, everySpaceTrue: true, closes: true });
    const work = station(127, threePlates, chart.choice);
    expect(work.answer).toBe('13 spaces on 39, gears 56 : 24');
    const said = Object.fromEntries(
      work.values.flatMap((value) => (value.kind === 'text' ? [[value.key, value.text]] : [])),
    );
    expect(said).toMatchObject({
      near: '120 spaces',
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
    const way = searchWays(threePlates, [STOCK_GEARS], 53).ways[0]!;
    expect(station(59, threePlates, way.choice).issues[0]?.code).toBe('no-simple-indexing');
    expect(station(58, threePlates, way.choice).issues[0]?.code).toBe('choice-no-longer-divides');
    expect(wayOfChoice(threePlates, [], 53, way.choice)).toBeNull();
    expect(wayOfChoice({ ...threePlates, plateLock: false }, [STOCK_GEARS], 53, way.choice)).toBeNull();
    expect(
      wayOfChoice(threePlates, [{ ...STOCK_GEARS, gears: STOCK_GEARS.gears.slice(0, 4) }], 53, way.choice),
    ).toBeNull();
    expect(way.choice.method).toBe('differential');
    if (way.choice.method !== 'differential') return;
    // driver and driven swapped, or an idler too many, is not the way that was proved
    const { train } = way.choice;
    const swapped = { ...way.choice, train: { ...train, driver: train.driven, driven: train.driver } };
    expect(wayOfChoice(threePlates, [STOCK_GEARS], 53, swapped)).toBeNull();
    expect(
      wayOfChoice(threePlates, [STOCK_GEARS], 53, { ...way.choice, idlers: way.choice.idlers + 1 }),
    ).toBeNull();
    expect(wayOfChoice(threePlates, [STOCK_GEARS], 53, way.choice)?.key).toBe(way.key);
  });

  test('why the longer search is out, and the nearest counts where it finds nothing', () => {
    expect(searchWays(twoSided, [STOCK_GEARS], 53).out).toMatch(/has no gears between spindle and plate/);
    expect(searchWays({ ...threePlates, plateLock: false }, [STOCK_GEARS], 53).out).toMatch(
      /has no lock pin to draw/,
    );
    expect(searchWays({ ...threePlates, plates: [] }, [STOCK_GEARS], 53).out).toMatch(/no index plates/);
    expect(searchWays(threePlates, [STOCK_GEARS], 383)).toMatchObject({
      total: 0,
      out: null,
      nearest: [382, 384],
    });
  });
});
