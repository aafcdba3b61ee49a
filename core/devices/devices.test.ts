import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BELIEVED_MS,
  countOfPlace,
  countOfStep,
  cutterAt,
  deviceSchema,
  HELD_MS,
  isOfTheShop,
  LONGEST_LINE,
  missedMeans,
  moveLine,
  NO_LINE,
  readMotorLine,
  readReadoutLine,
  readToolLine,
  sayDoubt,
  sayMissed,
  sayNotNow,
  sayStopped,
  takeLines,
  tellsSteps,
  whyNotTurn,
  type Ground,
  type ReadoutDevice,
  type ToolDevice,
} from './index.ts';

const link = { via: 'tcp', host: 'localhost', port: 4821 } as const;
const readout: ReadoutDevice = {
  ...{ id: 'r', name: 'Readout', kind: 'readout', on: true, link, unit: 'mm', decimal: '.' },
  axes: [
    { letter: 'X', use: 'travel', reversed: false },
    { letter: 'Z', use: 'depth', reversed: true },
  ],
};
const tool: ToolDevice = {
  ...{ id: 't', name: 'Caliper', kind: 'tool', on: true, link, unit: 'mm', decimal: '.', reversed: false },
};

describe('lines', () => {
  test('in whatever pieces they come, the same lines', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 60 }), (pieces) => {
        const text = 'X 12.345 mm\r\nY -3.2\n\n<Idle|MPos:1,2,3,4>\r\nhalf';
        let [open, at] = [NO_LINE, 0];
        const lines: string[] = [];
        for (const many of [...pieces, text.length]) {
          const taken = takeLines(open, text.slice(at, at + many));
          open = taken.open;
          lines.push(...taken.lines);
          at += many;
        }
        expect(lines).toEqual(['X 12.345 mm', 'Y -3.2', '<Idle|MPos:1,2,3,4>']);
        expect(open).toEqual({ begun: 'half', over: false });
      }),
      { seed: 4711, numRuns: 100 },
    );
  });

  test('without an end, and binary: no more than a line is kept, and the next one is read', () => {
    let open = NO_LINE;
    for (let i = 0; i < 160; i += 1) {
      open = takeLines(open, 'x'.repeat(65_536)).open;
      expect(open.begun.length).toBeLessThanOrEqual(LONGEST_LINE);
    }
    expect(takeLines(open, 'still it\n12.5 mm\n').lines).toEqual(['12.5 mm']);
    expect(takeLines(NO_LINE, '1\u00002.5 mm\n\u001b[31m9 mm\nmm\u00b5\n7 mm\n').lines).toEqual(['7 mm']);
  });

  test.each<[string, number | null]>([
    ['12.34 mm', 12.34],
    ['-.0025 in', -0.0635],
    ['+3 mm', 3],
    ['2"', 50.8],
    ['7.5', 7.5],
    ['12,34 mm', null],
    ['12.34 kg', null],
    ['1.2.3 mm', null],
    ['99999 mm', null],
    ['', null],
    ['12.34 mm extra', null],
  ])('of a tool: %p', (line, mm) => {
    if (mm === null) expect(readToolLine(tool, line)).toBeNull();
    else expect(readToolLine(tool, line)).toBeCloseTo(mm, 9);
  });

  test('of a tool that counts in inches, with a comma, the other way', () => {
    expect(readToolLine({ ...tool, unit: 'in', decimal: ',', reversed: true }, '1,25')).toBeCloseTo(
      -31.75,
      9,
    );
  });

  test.each<[string, object | null]>([
    ['X 12.345 mm Z -3.2 mm', { X: 12.345, Z: -3.2 }],
    ['X12.345 Z-3.2 mm', { X: 12.345, Z: -3.2 }],
    ['X 1.0000 in Z 0.5 in', { X: 25.4, Z: 12.7 }],
    ['Z: 4.5', { Z: 4.5 }],
    // an axis that is not listed is passed over
    ['X 1 Y 2 Z 3', { X: 1, Z: 3 }],
    ['Y 2', null],
    ['X 1 furlong', null],
    ['X', null],
    ['X 1 <script>', null],
  ])('of a readout: %p', (line, read) => {
    const found = readReadoutLine(readout, line);
    if (read === null) expect(found).toBeNull();
    else
      expect(found).toEqual(
        Object.fromEntries(Object.entries(read).map(([letter, mm]) => [letter, expect.closeTo(mm, 9)])),
      );
  });

  test('of a motion controller', () => {
    expect(readMotorLine('A', 'ok')).toEqual({ what: 'ok' });
    expect(readMotorLine('A', 'error:9')).toEqual({ what: 'error', code: '9' });
    expect(readMotorLine('A', '<Run|MPos:0.000,0.000,0.000,6.793|FS:720,0|Ix:4.0000>')).toEqual({
      ...{ what: 'status', doing: 'going', at: 6.793, pulse: 4 },
    });
    expect(readMotorLine('X', '<Hold:0|MPos:-1.5>')).toMatchObject({ doing: 'held', at: -1.5, pulse: null });
    for (const line of [
      '<Idle|MPos:1,2,3>',
      '<Idle>',
      'okay',
      '<Idle|MPos:NaN,1,1,1>',
      '<Door|MPos:0,0,0,1>',
    ])
      expect(readMotorLine('A', line)).toBeNull();
    expect(moveLine({ letter: 'A', speed: 720 }, 6.7925)).toBe('G90 G1 A6.7925 F720');
  });
});

describe('the schedule in a motor’s own count', () => {
  test('every place of 97 on 144 000 steps lies within half a step, and nothing adds up', () => {
    const motor = { perTurn: 360, reversed: false };
    expect(countOfStep(motor, '144000')).toBe(0.0025);
    for (let k = 0; k <= 97; k += 1) {
      const steps = Math.round((k * 144_000) / 97);
      const sent = Number(
        /A(-?[\d.]+)/.exec(moveLine({ letter: 'A', speed: 1 }, countOfPlace(motor, steps, '144000')))![1],
      );
      expect(Math.abs(sent - (k * 360) / 97)).toBeLessThanOrEqual(0.0025 / 2 + 1e-4);
    }
    expect(countOfPlace({ perTurn: 360, reversed: true }, 36_000, '144000')).toBe(-90);
    expect(countOfPlace({ perTurn: 144_000, reversed: false }, 1485, '144000')).toBe(1485);
  });

  test('a line of four places tells the steps of a table, and not those of one turn counted as 1', () => {
    expect(tellsSteps({ perTurn: 360 }, '144000')).toBe(true);
    expect(tellsSteps({ perTurn: 1 }, '144000')).toBe(false);
  });

  test('three steps of 144 000 on 48.5 mm, 97 teeth, by hand', () => {
    // 3/144 000 of a turn: 27″; of π·48.5 mm 3.174 µm; of a tooth 97·3/144 000
    const means = missedMeans(3, { stepsPerTurn: '144000', diameter: 48.5, divisions: 97 });
    expect(means.seconds).toBeCloseTo(27, 9);
    expect(means.along).toBeCloseTo(3.1743, 3);
    expect(means.share).toBeCloseTo(0.0020208, 6);
    const of = { stepsPerTurn: '144000', diameter: 48.5, divisions: 97 };
    expect(sayMissed(-3, of, 'mm')).toBe(
      'That is 27″ of the work, 0.003 mm along the outside, 0.2 in 100 of a tooth with its space.',
    );
  });
});

const along: NonNullable<Ground['safe']> & { way: 'along' } = {
  ...{ way: 'along', approach: 12, through: 22, clearAfter: 34, indexAt: 'entry', firstTouch: 0 },
};

describe('the interlock', () => {
  test.each([
    [{ travel: -0.6, depth: null }, 'clear'],
    [{ travel: -0.4, depth: null }, 'in-work'],
    [{ travel: 10, depth: 3 }, 'in-work'],
    [{ travel: 34.6, depth: 3 }, 'clear'],
    [{ travel: 34.4, depth: null }, 'in-work'],
    [{ travel: 10, depth: -0.6 }, 'clear'],
    [{ travel: null, depth: 2 }, 'not-known'],
    [{ travel: null, depth: -2 }, 'clear'],
  ] as const)('along the cut, %p: %s', (reads, at) => {
    expect(cutterAt(along, reads)).toBe(at);
  });

  test('sunk from above only the depth says it', () => {
    const sink = { way: 'sink', depth: 4 } as const;
    expect(cutterAt(sink, { travel: -50, depth: 1 })).toBe('in-work');
    expect(cutterAt(sink, { travel: -50, depth: -1 })).toBe('clear');
    expect(cutterAt(sink, { travel: -50, depth: null })).toBe('not-known');
  });

  const ground = (change: Partial<Ground>): Ground => ({
    readout: { travel: -5, depth: null, age: 40 },
    ...{ safe: along, saidFree: true, heldAgo: 100 },
    ...change,
  });

  test('says the first thing that forbids it', () => {
    expect(whyNotTurn(ground({}))).toBeNull();
    expect(whyNotTurn(ground({ readout: null }))).toBeNull();
    expect(whyNotTurn(ground({ saidFree: false }))).toBe('not-said');
    expect(whyNotTurn(ground({ heldAgo: HELD_MS + 1 }))).toBe('let-go');
    expect(whyNotTurn(ground({ readout: { travel: -5, depth: null, age: BELIEVED_MS + 1 } }))).toBe(
      'readout-old',
    );
    expect(whyNotTurn(ground({ readout: { travel: null, depth: null, age: 40 } }))).toBe('no-zero');
    expect(whyNotTurn(ground({ readout: { travel: 5, depth: 1, age: 40 } }))).toBe('in-work');
  });

  test('whatever is read, however late and noisy: in the work it is never turned', () => {
    const figure = fc.oneof(fc.double({ min: -200, max: 200, noNaN: true }), fc.constant(null));
    const time = fc.oneof(fc.integer({ min: -2000, max: 5000 }), fc.constantFrom(NaN, Infinity, -Infinity));
    fc.assert(
      fc.property(
        fc.record({
          ...{ travel: figure, depth: figure, age: time, heldAgo: time, saidFree: fc.boolean() },
          noise: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        }),
        ({ travel, depth, age, heldAgo, saidFree, noise }) => {
          const shown = { travel: travel === null ? null : travel + noise, depth };
          const why = whyNotTurn({ readout: { ...shown, age }, safe: along, saidFree, heldAgo });
          if (why !== null) return;
          // by geometry: the disk touches from 0 at full depth until the face is behind its middle and reach
          const out = depth !== null && depth <= 0;
          const beyond = travel !== null && (travel <= 0 || travel >= along.clearAfter);
          expect(out || beyond).toBe(true);
          expect(saidFree && age <= BELIEVED_MS && heldAgo <= HELD_MS).toBe(true);
        },
      ),
      { seed: 271, numRuns: 4000 },
    );
  });
});

test('a device is looked for in the shop alone', () => {
  for (const host of [
    'localhost',
    'mill-box',
    'mill.local',
    '192.168.1.20',
    '10.0.0.7',
    '127.0.0.1',
    '172.20.1.1',
  ])
    expect([host, isOfTheShop(host)]).toEqual([host, true]);
  for (const host of [
    '8.8.8.8',
    'example.org',
    '172.32.0.1',
    '192.168.1.999',
    '10.1',
    '::1',
    '169.254',
    'a b',
    '',
  ])
    expect([host, isOfTheShop(host)]).toEqual([host, false]);
});

test('two axes of a readout move two ways; a serial port is one', () => {
  const two = { ...readout, axes: [readout.axes[0]!, { ...readout.axes[0]!, letter: 'Y' }] };
  expect(deviceSchema.safeParse(two).success).toBe(false);
  const by = (path: string) => ({ ...tool, link: { via: 'serial', path, baud: 9600 } });
  for (const path of ['/dev/ttyUSB0', '/dev/pts/4', '/dev/serial/by-id/x-1', 'COM3'])
    expect([path, deviceSchema.safeParse(by(path)).success]).toEqual([path, true]);
  for (const path of ['/dev/sda', '/etc/passwd', '/dev/pts/../sda', 'COM'])
    expect([path, deviceSchema.safeParse(by(path)).success]).toEqual([path, false]);
});

test('what is said of it names what to do; nothing is said twice alike', () => {
  const doubts = [
    sayDoubt({ why: 'not-said' }, 0.0025),
    sayDoubt({ why: 'line-lost' }, 0.0025),
    sayDoubt({ why: 'began-anew' }, 0.0025),
    sayDoubt({ why: 'alarm' }, 0.0025),
    sayDoubt({ why: 'no-answer' }, 0.0025),
    sayDoubt({ why: 'refused', code: '9' }, 0.0025),
    sayDoubt({ why: 'elsewhere', at: 1, meant: 2 }, 0.0025),
    sayDoubt({ why: 'steps-missed', by: 0.0075 }, 0.0025),
  ];
  expect(new Set(doubts).size).toBe(8);
  for (const said of doubts) expect(said).toMatch(/say (?:where|so)|say where it stands/);
  expect(doubts[6]).toContain('400 steps from where it was sent');
  expect(doubts[7]).toContain('3 steps off: steps were missed');
  const stops = (
    ['person', 'page-lost', 'in-work', 'no-zero', 'readout-old', 'let-go', 'not-said'] as const
  ).map(sayStopped);
  expect(new Set(stops).size).toBe(7);
  expect(stops[2]).toBe(`Stopped: ${sayNotNow('in-work')}.`);
});
