import { describe, expect, test } from '@jest/globals';
import { aimFrom, searchMethods, type Method } from '../dividing/index.ts';
import {
  drawnSpurJob,
  newDivideJob,
  withDividing,
  withHead,
  withMill,
  withPart,
  type Job,
} from '../job/index.ts';
import { isIndexed, isSpaced } from '../kinds/index.ts';
import { dividingGround, plan, stationOf } from '../plan/index.ts';
import { STOCK_ROTARY, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { BENCH, count, PI, round } from './bench.ts';

/*
 * Every way of dividing as its station tells it: values, working, cautions, what to prepare. Moves are R/N;
 * the differential rule g = R(A − N)/A is Machinery’s Handbook's; what is read is reckoned from the start,
 * place by place.
 */

const shop: Equipment = {
  ...BENCH,
  heads: [...BENCH.heads.filter(({ id }) => id !== STOCK_ROTARY.id), STOCK_ROTARY],
  steppers: [
    {
      ...{ id: 'drive', name: 'Belt drive', headId: STOCK_ROTARY.id, on: 'crank' as const },
      ...{ stepsPerTurn: 200, microsteps: 8, belt: '3' },
    },
  ],
};
/** @param n teeth of module 1, so that the pitch diameter is as many mm */
function dividedInto(n: number, { on = '', stride = '' } = {}): Job {
  const drawn = drawnSpurJob({ id: 'j', name: 'N', pitch: '1', teeth: n, face: '8', bore: '8' });
  const head = shop.heads.find(({ id }) => id === on);
  const job = withMill({ job: drawn, partId: 'p1', millId: 'lying', shop });
  return withDividing(head ? withHead({ job, partId: 'p1', head, shop }) : job, 'p1', (dividing) => ({
    ...dividing,
    stride: count(stride),
  }));
}
/** The same with the first way of one method chosen. */
function byMethod(job: Job, method: Method): Job {
  const [part] = job.parts;
  const { detail } = stationOf(plan(job, shop).parts[0]!, 'dividing')!;
  if (!part || !isIndexed(part)) throw new Error('a part that is divided');
  const ground = dividingGround(job, shop, part);
  const searched = searchMethods({ ...ground, head: ground.head! }, aimFrom(detail.aim!)).methods;
  const found = [...detail.methods, ...searched].find((one) => one.method === method && one.ways.length > 0)!;
  return withDividing(job, 'p1', (dividing) => ({ ...dividing, choice: found.ways[0]!.choice }));
}
function says(job: Job) {
  const station = stationOf(plan(job, shop).parts[0]!, 'dividing')!;
  return {
    answer: station.answer,
    values: Object.fromEntries(
      station.values.map((value) => [
        value.key,
        value.kind === 'length' ? value.mm : value.kind === 'angle' ? value.deg : value.text,
      ]),
    ),
    lines: station.working.map(({ key, put, result }) => [key, put, result]),
    labels: Object.fromEntries(station.working.map(({ key, label }) => [key, label])),
    formulas: Object.fromEntries(station.working.map(({ key, formula }) => [key, formula])),
    cautions: station.cautions.map(({ code }) => code),
    prepare: station.detail.preparation.map(({ key }) => key),
  };
}
const ROTARY = STOCK_ROTARY.id;
const ONE_WAY = 'clockwise, always';

describe('a way of dividing', () => {
  test('by the crank, every seventh of 30: 7·40/30 = 9⅓ turns', () => {
    const { labels, formulas, ...told } = says(dividedInto(30, { stride: '7' }));
    expect([labels['turns'], labels['check'], formulas['check']]).toEqual([
      'Turns of the crank for one move',
      'Check: all the moves make 7 turns of the work',
      '7\\,R',
    ]);
    expect(told).toEqual({
      answer: '9 turns + 11 spaces on 33',
      values: {
        divisions: '30',
        spindleAngle: 84,
        stride: 'every 7th place',
        move: '9 turns + 11 spaces on 33',
        plate: 'B',
        arms: '11 spaces, 12 holes with the pin’s own',
        crankAngle: (28 / 3) * 360,
        ratio: '40 : 1',
        direction: ONE_WAY,
      },
      // the angle of one space is not that of a move, and is left out
      lines: [
        ['turns', '40 \\times \\frac{84^\\circ}{360^\\circ}', '\\tfrac{28}{3}'],
        ['circle', '\\tfrac{308}{33}', '9 + \\tfrac{11}{33}'],
        ['arms', '11 + 1', '12'],
        ['check', '30 \\times 9\\tfrac{11}{33}', '280'],
      ],
      cautions: ['direct-pin'],
      prepare: ['worm', 'radius', 'arms', 'lock', 'warm-up'],
    });
  });
  test('at an angle, five at 12°: 1⅓ turns each, and nothing that closes', () => {
    const job = withPart(newDivideJob({ id: 'a', name: 'Angle', units: 'mm', shop }), 'p1', (part) =>
      isSpaced(part)
        ? {
            ...part,
            spacing: { ...part.spacing, by: 'angle', count: count('5'), angle: measure('12', 'deg') },
          }
        : part,
    );
    const told = says(withMill({ job, partId: 'p1', millId: 'lying', shop }));
    expect(told).toMatchObject({
      answer: '1 turn + 11 spaces on 33',
      values: { divisions: '5', step: 12, spindleAngle: 12, crankAngle: 480 },
    });
    // twelve degrees are a thirtieth of a turn, and this is no count of thirty
    expect(told.lines).toEqual([
      ['turns', '40 \\times \\frac{12^\\circ}{360^\\circ}', '\\tfrac{4}{3}'],
      ['circle', '\\tfrac{44}{33}', '1 + \\tfrac{11}{33}'],
      ['arms', '11 + 1', '12'],
    ]);
  });
  test('by whole turns, 20 of them: no arms, and none to set', () => {
    expect(says(dividedInto(20))).toMatchObject({
      answer: '2 turns',
      labels: {
        turns: 'Turns of the crank for one move',
        check: 'Check: all the moves make one turn of the work',
      },
      formulas: { check: 'R', turns: '\\frac{R}{N}' },
      values: { move: '2 turns', arms: 'not needed', crankAngle: 720, spindleAngle: 18 },
      lines: [
        ['turns', '\\frac{40}{20}', '2'],
        ['spindleAngle', '\\frac{360^\\circ}{20}', '18^\\circ'],
        ['check', '20 \\times 2', '40'],
      ],
      prepare: ['worm', 'radius', 'lock', 'warm-up'],
    });
  });
  test('on the spindle’s own ring, 24: the worm out, no crank, no arms', () => {
    const { labels: _labels, formulas: _formulas, ...told } = says(byMethod(dividedInto(24), 'direct'));
    expect(told).toEqual({
      answer: '1 space on the 24 ring',
      values: {
        divisions: '24',
        spindleAngle: 15,
        move: '1 space on the 24 ring',
        ring: '24 holes',
        worm: 'out',
        direction: ONE_WAY,
      },
      lines: [
        ['direct', '24 \\times \\tfrac{1}{24}', '1'],
        ['spindleAngle', '\\frac{360^\\circ}{24}', '15^\\circ'],
      ],
      cautions: ['worm-out'],
      prepare: ['worm', 'ring'],
    });
  });
  test('by gears, 127: near 120, g = 40(120 − 127)/120 = −7/3, and 56/24 is that', () => {
    const { labels, formulas, ...told } = says(byMethod(dividedInto(127), 'differential'));
    expect(labels['check']).toBe('Check: the moves and the plate’s own turn make one turn of the work');
    expect(formulas['plateRatio']).toBe('g = \\frac{R\\,(A - N)}{A}');
    expect(told).toEqual({
      answer: '11 spaces on 33, gears 56 : 24',
      values: {
        divisions: '127',
        spindleAngle: 360 / 127,
        move: '11 spaces on 33',
        plate: 'B',
        arms: '11 spaces, 12 holes with the pin’s own',
        crankAngle: 120,
        ratio: '40 : 1',
        near: '120 parts',
        train: '56 : 24',
        onSpindle: '56 teeth',
        onPlateShaft: '24 teeth',
        // less than nothing in a simple train: two
        idlers: '2',
        plateTurns: 'against the crank',
        direction: ONE_WAY,
      },
      lines: [
        ['turns', '\\frac{40}{120}', '\\tfrac{1}{3}'],
        ['circle', '\\tfrac{11}{33}', '\\tfrac{11}{33}'],
        ['arms', '11 + 1', '12'],
        ['plateRatio', '\\frac{40\\,(120 - 127)}{120}', '-\\tfrac{7}{3}'],
        ['train', '\\frac{56}{24}', '\\tfrac{7}{3}'],
        ['spindleAngle', '\\frac{360^\\circ}{127}', '2.83465^\\circ'],
        ['check', '127 \\times \\tfrac{11}{33} - \\tfrac{7}{3}', '40'],
      ],
      cautions: ['direct-pin', 'plate-free'],
      prepare: ['worm', 'radius', 'arms', 'gears', 'lock', 'trial', 'warm-up'],
    });
  });
  test('on two circles, 69: 21/23 − 7/21 = 40/69', () => {
    const { labels: _labels, formulas: _formulas, ...told } = says(byMethod(dividedInto(69), 'compound'));
    expect(told).toEqual({
      answer: '21 spaces on 23, then 7 spaces back on 21',
      values: {
        divisions: '69',
        spindleAngle: 360 / 69,
        move: '21 spaces on 23, then 7 spaces back on 21',
        plate: 'B',
        arms: '21 spaces, 22 holes with the pin’s own',
        pinMove: '21 spaces on 23',
        backMove: '7 spaces back on 21',
        crankAngle: (360 * 21) / 23,
        ratio: '40 : 1',
        direction: 'the pin clockwise; the plate back, half a turn too far, then up clockwise',
      },
      lines: [
        ['turns', '40 \\times \\tfrac{1}{69}', '\\tfrac{40}{69}'],
        ['compound', '\\tfrac{21}{23} - \\tfrac{7}{21}', '\\tfrac{40}{69}'],
        ['spindleAngle', '\\frac{360^\\circ}{69}', '5.21739^\\circ'],
        ['check', '69 \\times \\left(\\tfrac{21}{23} - \\tfrac{7}{21}\\right)', '40'],
      ],
      cautions: ['direct-pin', 'two-pins'],
      prepare: ['worm', 'radius', 'arms', 'back-pin', 'lock', 'warm-up'],
    });
  });
  test('nearly, 127 by 56 : 86, 48 : 100: what is off at the end, and that it does not close', () => {
    const g = (56 * 48) / (86 * 100);
    // the spindle turns R − g of the plate's turns: 127 moves of 5/16
    const over = (127 * 5) / 16 / (40 - g) - 1;
    const off = `${(over * 1296000).toFixed(1)}″, ${(over * PI * 127 * 1000).toFixed(1)} µm`;
    expect(off).toBe('1.9″, 0.6 µm');
    const { values, lines, cautions, answer } = says(byMethod(dividedInto(127), 'approximate'));
    expect(answer).toBe('5 spaces on 16, gears 56 : 86, 48 : 100');
    expect(values).toMatchObject({
      near: '128 parts',
      onSpindle: '56 teeth',
      firstOnStud: '86 teeth',
      secondOnStud: '48 teeth',
      onPlateShaft: '100 teeth',
      idlers: 'none',
      plateTurns: 'with the crank',
      worst: off,
      end: off,
      single: '0″',
    });
    expect(lines).toContainEqual([
      'train',
      '\\frac{56 \\times 48}{86 \\times 100}',
      '0.312558,\\ |g| = 0.3125',
    ]);
    // what does not close has no check that says it does
    expect(lines.map(([key]) => key)).not.toContain('check');
    expect(cautions).toEqual(['direct-pin', 'plate-free', 'does-not-close']);
  });
  /**
   * Every place of 53 read to so many units in a turn of the work: the farthest off, and the farthest from
   * one to the next, in turns.
   */
  const strays = (units: number) => {
    const off = Array.from({ length: 54 }, (_, k) => round((k * units) / 53) / units - k / 53);
    const [worst, single] = [
      Math.max(...off.map(Math.abs)),
      Math.max(...off.slice(1).map((one, k) => Math.abs(one - off[k]!))),
    ];
    const said = (turns: number) =>
      `${(turns * 1296000).toFixed(1)}″, ${(turns * PI * 53 * 1000).toFixed(1)} µm`;
    return { worst: said(worst), single: said(single) };
  };
  test('read off a wheel of 4° in minutes, ten seconds on its vernier: 53 places from the start', () => {
    expect(says(dividedInto(53, { on: ROTARY }))).toMatchObject({
      answer: expect.stringMatching(/steps|wheel/),
    });
    const { values, lines, prepare, answer } = says(byMethod(dividedInto(53, { on: ROTARY }), 'handwheel'));
    // 360°/53 = 6° 47′ 32.8″
    expect(answer).toBe('6° 47′ 33″ by the wheel');
    expect(values).toMatchObject({
      wheelTurn: 4,
      wheelMarks: '240, of 1′',
      least: '10″',
      ratio: '90 : 1',
      direction: ONE_WAY,
      ...strays(90 * 240 * 6),
    });
    expect(lines).toEqual([
      ['units', '90 \\times 240 \\times 6', '129600'],
      ['spindleAngle', '\\frac{360^\\circ}{53}', '6.79245^\\circ'],
    ]);
    expect(prepare).toEqual(['worm', 'warm-up', 'zero']);
  });
  test('by a motor of 200 steps in eighths, a belt of 3 and a worm of 90: 432 000 to the turn', () => {
    const { values, lines, prepare, answer, cautions } = says(
      byMethod(dividedInto(53, { on: ROTARY }), 'stepper'),
    );
    expect(answer).toBe(`${(432000 / 53).toFixed(2)} steps`);
    expect(values).toMatchObject({
      drive: 'Belt drive',
      steps: '432000',
      oneStep: 360 / 432000,
      ...strays(432000),
    });
    expect(lines[0]).toEqual(['units', '432000 \\times \\tfrac{1}{53}', '8150.9434']);
    expect(cautions).toEqual(['direct-pin', 'missed-steps']);
    expect(prepare).toEqual(['worm', 'drive', 'warm-up', 'zero']);
  });
});
