import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { exact, measure } from '../units/index.ts';
import {
  countAim,
  errorsOfHole,
  errorsOfRunout,
  judgeErrors,
  emptyMadePlate,
  planMadePlate,
  quickMethods,
} from './index.ts';
import { STOCK_HEADS } from '../shop/index.ts';

const typed = emptyMadePlate('mm');
const made = (holes: number, more: Partial<typeof typed> = {}, centreHeight: number | null = null) =>
  planMadePlate({ ...typed, holeSize: measure('2', 'mm'), ...more }, holes, {
    ratio: exact(40),
    centreHeight,
  });

describe('a plate to be drilled', () => {
  test('every hole once, each turned on from the last by the same angle, to a thousandth', () => {
    const { plate } = made(73, { startAngle: measure('12° 30′', 'deg') });
    const byNumber = [...plate!.drilling].sort((a, b) => a.hole - b.hole);
    expect(byNumber.map(({ hole }) => hole)).toEqual(Array.from({ length: 73 }, (_, k) => k));
    // another construction: turn a point by one step again and again, clockwise
    const step = (2 * Math.PI) / 73;
    let [x, y] = [50 * Math.sin((12.5 * Math.PI) / 180), 50 * Math.cos((12.5 * Math.PI) / 180)];
    for (const hole of byNumber) {
      expect(Math.abs(hole.x - x)).toBeLessThan(0.00051);
      expect(Math.abs(hole.y - y)).toBeLessThan(0.00051);
      [x, y] = [x * Math.cos(step) + y * Math.sin(step), y * Math.cos(step) - x * Math.sin(step)];
    }
  });
  test('drilled across the plate, not round it, for any count', () => {
    for (let n = 2; n <= 60; n += 1) {
      const order = made(n).plate!.drilling.map(({ hole }) => hole);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, k) => k));
    }
    expect(
      made(12)
        .plate!.drilling.slice(0, 4)
        .map(({ hole }) => hole),
    ).toEqual([0, 6, 3, 9]);
  });
  test('an error of a hole shows whole when pinned directly, a fortieth behind the worm', () => {
    const { plate } = made(73, { holeError: measure('0.02', 'mm') });
    // 0.02 mm on a radius of 50 mm is 82.5 seconds
    expect(plate!.errorDirect * 1_296_000).toBeCloseTo((0.02 / 50) * (180 / Math.PI) * 3600, 6);
    expect(plate!.errorBehindWorm).toBeCloseTo(plate!.errorDirect / 40, 15);
  });
  test('a ring that reaches the table is told, with what it reaches; one that just clears, or a plate, is not', () => {
    // a circle of 100: radius 50, half a hole of 2 mm and 2 mm of metal outside it make 53 mm
    const of = (height: number | null, more: Partial<typeof typed> = {}) =>
      made(73, { use: 'ring', ...more }, height).issues.map(sayIssue);
    expect(of(53)).toEqual([
      'Such a ring reaches 53.000 mm (2.0866 in) from the middle, and the spindle stands 53.000 mm (2.0866 in) above the table: it would not turn. A smaller circle, or a head on risers.',
    ]);
    expect(of(53.01)).toEqual([]);
    expect(of(null)).toEqual([]);
    expect(of(20, { use: 'plate' })).toEqual([]);
    // holes of 10 mm want 5 mm of metal: 50 + 5 + 5
    expect(of(59.9, { holeSize: measure('10', 'mm'), pitchCircle: measure('300', 'mm') })).toHaveLength(1);
    expect(of(160.1, { holeSize: measure('10', 'mm'), pitchCircle: measure('300', 'mm') })).toEqual([]);
    // it is still drawn and drilled: the head may go on risers
    expect(made(73, { use: 'ring' }, 20).plate).not.toBeNull();
  });
  test('holes that run into one another, and figures that cannot be', () => {
    const touching = made(200, { holeSize: measure('2', 'mm') });
    expect([touching.plate, touching.issues[0]?.code, touching.issues[0]?.severity]).toEqual([
      null,
      'holes-touch',
      'note',
    ]);
    expect(made(73, { pitchCircle: measure('0', 'mm') }).issues[0]).toMatchObject({
      path: 'pitchCircle',
      code: 'not-positive',
    });
  });
});

describe('errors shown round the gear', () => {
  test('work that runs out 0.05 on Ø 60: once up and once down, about the reading peak to peak', () => {
    const errors = errorsOfRunout(0.05, 60, 120);
    const arcs = errors.map((turns) => turns * Math.PI * 60);
    expect(Math.max(...arcs) - Math.min(...arcs)).toBeCloseTo(0.05, 3);
    expect(errors[0]).toBe(0);
    // by construction: a space k cut on a circle shifted by half the reading, seen from the true middle
    for (const k of [1, 17, 40, 77]) {
      const at = (2 * Math.PI * k) / 120;
      const [x, y] = [30 * Math.cos(at) + 0.025, 30 * Math.sin(at)];
      const shift = at - Math.atan2(y, x);
      expect(errors[k]! * 2 * Math.PI).toBeCloseTo(Math.atan2(Math.sin(shift), Math.cos(shift)), 5);
    }
  });
  test('one hole off on the plate shows only where the pin comes to it, a fortieth of its angle', () => {
    const head = STOCK_HEADS[0]!;
    const aim = countAim(58);
    const [way] = quickMethods({ head, gearSets: [], steppers: [] }, aim)[0]!.ways;
    const errors = errorsOfHole({
      ratio: exact(40),
      choice: way!.choice,
      aim,
      holeError: { hole: 20, off: 0.05, radius: 70 },
    });
    const wrong = errors.flatMap((error, k) => (error === 0 ? [] : [k]));
    expect(wrong).toEqual([1, 30]);
    expect(errors[1]! * 1_296_000).toBeCloseTo(((0.05 / 70) * (180 / Math.PI) * 3600) / 40, 9);
    expect(judgeErrors(errors)).toEqual({ total: errors[1], single: errors[1] });
  });
});
