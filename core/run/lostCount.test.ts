import { beginRun } from '../sampleRuns.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { countAim, searchMethods } from '../dividing/index.ts';
import { drawnSpurJob, withDividing, withPart } from '../job/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { greatestCommon } from '../units/index.ts';
import { toldByHole, whereInRun, type Run } from './index.ts';

function runOf(teeth: number, passes: 'one' | 'rough-finish' = 'one', choice: unknown = null): Run {
  const drawn = drawnSpurJob({ id: 'j', name: 'Gear', pitch: '1', teeth, face: '10', bore: '4' });
  const job = withDividing(
    withPart(drawn, 'p1', (part) =>
      part.kind === 'worm' ? part : { ...part, cut: { ...part.cut, passes } },
    ),
    'p1',
    (dividing) => ({ ...dividing, choice: choice as never }),
  );
  const run = beginRun(job);
  if (!run.ok) throw new Error(JSON.stringify(run.issues));
  return run.value;
}

describe('where the pin says we are', () => {
  test('by cranking it through, hole by hole, for many counts (seed 61)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(14, 18, 24, 27, 33, 36, 44, 60, 62, 66, 78),
        fc.integer({ min: 0, max: 60 }),
        (teeth, hole) => {
          const run = runOf(teeth);
          if (run.move.method !== 'simple') return;
          const { circle, spaces } = run.move;
          const found = whereInRun(run, hole, { round: 1, about: 0 });
          const counted: number[] = [];
          for (let k = 0; k < teeth; k += 1) if ((k * spaces) % circle === hole) counted.push(k + 1);
          expect(found.places.map(({ cutsDone }) => cutsDone)).toEqual(counted);
          // proof of a slip: a hole that the common factor of move and circle does not divide
          expect(found.every).toBe(greatestCommon(spaces, circle));
          if (hole % found.every !== 0) expect(counted).toEqual([]);
          expect(found.most).toBe(circle - 1);
        },
      ),
      { seed: 61, numRuns: 300 },
    );
  });

  test('a rough count by eye puts the likely one first, counted within the round that is at hand', () => {
    const run = runOf(60, 'rough-finish');
    const hole = run.cuts[40]!.landing.on === 'plate' ? run.cuts[40]!.landing.hole : -1;
    const [first] = whereInRun(run, hole, { round: 1, about: 40 }).places;
    expect(first!.cutsDone).toBe(41);
    // in the finish round five are cut by eye: its own space 5 leads, not space 5 of the rough round
    const fifth = run.cuts[64]!;
    const { places } = whereInRun(run, 'hole' in fifth.landing ? fifth.landing.hole : -1, {
      round: 2,
      about: 5,
    });
    expect(places[0]).toEqual({ cut: fifth, cutsDone: 65 });
    expect(places.every(({ cut }) => cut.round === 2)).toBe(true);
    expect(toldByHole(run)).toBe(true);
  });

  test('with a plate that moves the holes are those of the plate, as the motion has them', () => {
    const [head] = STOCK_HEADS;
    const { methods } = searchMethods(
      { head: head!, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [], lead: null },
      countAim(127),
    );
    const ways = methods.flatMap((method) => [...method.ways]);
    const differential = ways.find(
      ({ choice }) => choice.method === 'differential' && choice.circle === 39 && choice.spaces === 13,
    )!.choice;
    const run = runOf(127, 'one', differential);
    expect(run.move.method).toBe('differential');
    const { places } = whereInRun(run, 26, { round: 1, about: 2 });
    // every third cut ends in the same of the three holes; the rough count picks
    expect(places[0]!.cutsDone).toBe(3);
    expect(places.every(({ cutsDone }) => cutsDone % 3 === 0)).toBe(true);
    expect(whereInRun(run, 7, { round: 1, about: 2 }).places).toEqual([]);
    expect(whereInRun(run, 7, { round: 1, about: 2 }).every).toBe(13);
  });
});

test('on the spindle’s own ring the hole tells as well: every second of 24 for twelve, and no odd one', () => {
  const run = runOf(12, 'one', {
    method: 'direct',
    advance: '1/12',
    ringId: 'ring-24',
    ringName: '24 holes',
    holes: 24,
    spaces: 2,
  });
  expect(toldByHole(run)).toBe(true);
  const found = whereInRun(run, 4, { round: 1, about: 0 });
  expect(found.places.map(({ cutsDone, cut }) => [cutsDone, cut.space])).toEqual([[3, 3]]);
  expect([found.every, found.most]).toEqual([2, 23]);
  expect(whereInRun(run, 5, { round: 1, about: 0 }).places).toEqual([]);
});
