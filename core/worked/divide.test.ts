import { expect, test } from '@jest/globals';
import { newDivideJob, withMill, withPart, type Job } from '../job/index.ts';
import type { DividePart } from '../kinds/index.ts';
import { promptSheet } from '../prompts/index.ts';
import { measure } from '../units/index.ts';
import {
  BENCH,
  cos,
  count,
  expectWorked,
  mm,
  PI,
  RAD,
  reach,
  throughWorked,
  workedPart,
  workedRun,
  type Worked,
} from './bench.ts';

/*
 * Work that is only divided, worked by hand: six flats, slots at an angle, a rack. Sources:
 * docs/sources.md#worked; the chords and moves are geometry and R/N.
 */

function divided(spacing: Partial<DividePart['spacing']>, setup: Partial<DividePart['setup']> = {}): Job {
  const job = withMill({
    job: newDivideJob({ id: 'w', name: 'Worked', units: 'mm', shop: BENCH }),
    partId: 'p1',
    millId: 'lying',
    shop: BENCH,
  });
  return withPart(job, 'p1', (part) =>
    part.kind === 'divide'
      ? {
          ...part,
          spacing: { ...part.spacing, ...spacing },
          setup: {
            ...part.setup,
            cutterDiameter: mm('50'),
            cutterWidth: mm('6'),
            cutterTeeth: count('12'),
            materialId: 'material-brass',
            ...setup,
          },
        }
      : part,
  );
}

/** The set-up of a plain cut along the work at the outside. @param n cuts */
function setupOf(D: number, h: number, b: number, n: number, said: Readonly<Record<string, string>>): Worked {
  const size = { D, h, b, Dc: 50, w: 6 };
  return {
    ...throughWorked(size),
    // 40 m/min on Ø 50: 254.6 → 250; 12 · 0.05 · 250 = 150 → 71
    rpm: '250 rpm',
    feedWanted: 150,
    feed: '71 mm/min',
    // usual, where nothing is said: 45 s for a return and an indexing
    minutes: n * ((reach(h, 50) + b + 2) / 71 + 45 / 60),
    time: '5 min',
    'depth to depth': h,
    ...said,
  };
}

test('six flats 19 across from a round of 22', () => {
  const job = divided(
    { what: 'flats', count: count('6'), diameter: mm('22'), acrossFlats: mm('19') },
    { face: mm('15') },
  );
  const part = workedPart(job);
  expectWorked(part, 'spacing', {
    answer: '6 flats round',
    count: '6',
    angle: 60,
    diameter: 22,
    acrossFlats: 19,
    depth: (22 - 19) / 2,
    // full corners as long as the flats are no nearer than 22 cos 30°
    fullCorners: 22 * cos(30 * RAD),
  });
  // 40/6 = 6⅔ = 6 and 22 on 33, plate B which is on
  expectWorked(part, 'dividing', {
    answer: '6 turns + 22 spaces on 33',
    move: '6 turns + 22 spaces on 33',
    divisions: '6',
    spindleAngle: 60,
    plate: 'B',
    arms: '22 spaces, 23 holes with the pin’s own',
    crankAngle: (40 / 6) * 360,
    ratio: '40 : 1',
    direction: 'clockwise, always',
  });
  expectWorked(part, 'cut', { answer: '1 pass, 1.50 deep', 'depth-one': 1.5, spaces: '6' });
  // √(1.5 · 48.5) = 8.529: 1 turn and 3.529/0.05; + 15 = 23.529: 4 turns and as many; 32.059: 6 turns and
  // 2.059/0.05
  expectWorked(
    part,
    'setup',
    setupOf(22, 1.5, 15, 6, {
      answer: '250 rpm, 71 mm/min, clear 8.53 mm off',
      'table dial firstTouch': '0 marks',
      'table dial approach': '1 turn + 70.6 marks',
      'table dial through': '4 turns + 70.6 marks',
      'table dial clearAfter': '6 turns + 41.2 marks',
      'depth dial to depth': '75 marks',
      'centring dial touch': '2 turns + 80 marks',
      'centring dial far': '1 turn + 60 marks',
    }),
  );
  const run = workedRun(job);
  expect(run.cuts.map(({ landing }) => landing)).toEqual(
    [0, 22, 11, 0, 22, 11].map((hole) => ({ on: 'plate', turns: 6, spaces: 22, hole })),
  );
});

test('five slots 17° 30′ apart: no whole turn, so no closing move', () => {
  const job = divided(
    {
      by: 'angle',
      what: 'slots',
      count: count('5'),
      angle: measure('17° 30′', 'deg'),
      diameter: mm('60'),
      depth: mm('4'),
    },
    { face: mm('15') },
  );
  const part = workedPart(job);
  expectWorked(part, 'spacing', {
    answer: '5 slots, 17° 30′ apart',
    count: '5',
    angle: 17.5,
    total: 4 * 17.5,
    diameter: 60,
    depth: 4,
  });
  // 9° to a turn: 17.5/9 = 1 + 17/18; only plate A has an 18, and no larger circle that divides by it
  expectWorked(part, 'dividing', {
    answer: '1 turn + 17 spaces on 18',
    move: '1 turn + 17 spaces on 18',
    divisions: '5',
    step: 17.5,
    spindleAngle: 17.5,
    plate: 'A',
    arms: '17 spaces, 18 holes with the pin’s own',
    crankAngle: (17.5 / 9) * 360,
    ratio: '40 : 1',
    direction: 'clockwise, always',
  });
  expectWorked(
    part,
    'setup',
    // √(4 · 46) = 13.565
    setupOf(60, 4, 15, 5, {
      answer: '250 rpm, 71 mm/min, clear 13.56 mm off',
      'table dial firstTouch': '0 marks',
      'table dial approach': '2 turns + 71.3 marks',
      'table dial through': '5 turns + 71.3 marks',
      'table dial clearAfter': '8 turns + 42.6 marks',
      'depth dial to depth': '2 turns',
      'centring dial touch': '6 turns + 60 marks',
      'centring dial far': '5 turns + 40 marks',
    }),
  );
  const run = workedRun(job);
  expect(run.cuts.map(({ landing }) => landing)).toEqual(
    [0, 17, 16, 15, 14].map((hole) => ({ on: 'plate', turns: 1, spaces: 17, hole })),
  );
  expect(run.closing).toBeNull();
  const sheet = promptSheet(run);
  expect(sheet[1]!.lines).toContain(
    'To slot 2: turn clockwise 1 turn + 17 spaces on 18; from hole 0 the pin lands in hole 17.',
  );
  expect(sheet.at(-1)!.lines).toEqual([
    'Run the table back, to the left, past 0 on its dial.',
    'This is less than a whole turn, so there is no closing move. Measure from the first to the last before it comes off.',
  ]);
});

test('a rack of module 2: the table’s screw is read from the first space, so that no rounding adds up', () => {
  const job = divided({ by: 'pitch', what: 'teeth', count: count('12'), pitch: measure('2', 'module') });
  const part = workedPart(job);
  const pitch = 2 * PI;
  // a 5 mm screw of 100 marks: space k at k · 2π/0.05 marks, to the nearest
  const marks = Array.from({ length: 12 }, (_, k) => Math.round((k * pitch) / 0.05));
  const worst = Math.max(...marks.map((at, k) => Math.abs(at * 0.05 - k * pitch)));
  expect(worst).toBeLessThanOrEqual(0.025);
  expectWorked(part, 'dividing', {
    answer: 'table 6.2832 mm on',
    divisions: '12',
    // kept to a millionth of a millimetre
    pitch: 6.283185,
    length: 11 * pitch,
    lead: 5,
    mark: 0.05,
    worst,
  });
  const run = workedRun(job);
  // 6.283 is 1 turn and 26 marks; 12.566: 2 and 51; 18.850: 3 and 77; 69.115: 13 and 82
  expect([1, 2, 3, 11].map((k) => marks[k])).toEqual([126, 251, 377, 1382]);
  expect(run.cuts.map(({ landing }) => landing)).toEqual(
    marks.map((at) => ({ on: 'dial', turns: Math.floor(at / 100), mark: String(at % 100) })),
  );
  expect(run.closing).toBeNull();
});
