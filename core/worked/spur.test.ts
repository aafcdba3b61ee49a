import { expect, test } from '@jest/globals';
import { promptSheet } from '../prompts/index.ts';
import { measure } from '../units/index.ts';
import {
  CHECKS,
  cos,
  count,
  expectWorked,
  mm,
  PI,
  RAD,
  reach,
  throughWorked,
  toMeasure,
  workedJob,
  workedPart,
  workedRun,
} from './bench.ts';

/*
 * Two spur gears worked by hand. Sources: docs/sources.md#worked. Gear and blank: ISO 21771, ISO 53 (1·m,
 * 2.25·m); depth by the form cutter 2.157/P, caliper and pins: Machinery's Handbook; ranges of cutters: the
 * same; set-up: geometry of a disk over work.
 */

test('spur, metric: 30 teeth of module 1.5 at 20°, rough and finish, on a lying metric mill', () => {
  const job = workedJob({ units: 'mm', mill: 'lying' }, (part) => ({
    ...part,
    gear: { ...part.gear, pitch: measure('1.5', 'module'), teeth: count('30') },
    blank: { ...part.blank, faceWidth: mm('12'), bore: mm('10') },
    setup: {
      ...part.setup,
      cutterDiameter: mm('60'),
      cutterWidth: mm('5'),
      cutterTeeth: count('12'),
      materialId: 'material-brass',
      returnSeconds: count('15'),
      indexSeconds: count('30'),
    },
    cut: { ...part.cut, passes: 'rough-finish' },
  }));
  const part = workedPart(job);
  const [z, m, a] = [30, 1.5, 20 * RAD];
  expectWorked(part, 'gear', {
    answer: '30 teeth, m 1.5, 20°',
    teeth: '30',
    module: m,
    pressureAngle: 20,
    pitchDiameter: z * m,
    addendum: m,
    wholeDepth: 2.25 * m,
    clearance: 0.25 * m,
    circularPitch: PI * m,
    toothThickness: (PI * m) / 2,
    baseDiameter: z * m * cos(a),
  });
  expectWorked(part, 'blank', {
    answer: 'Ø 48.00 × 12.00',
    tipDiameter: m * (z + 2),
    faceWidth: 12,
    bore: 10,
    rootDiameter: m * (z + 2) - 2 * 2.25 * m,
    wall: (m * (z + 2) - 2 * 2.25 * m - 10) / 2,
  });
  // 26 to 34: number 4 by the inch school, 9 − 4 by the metric; of the halves 3½ begins at 30
  expectWorked(part, 'cutter', {
    answer: 'No. 4 inch, No. 5 metric',
    inchNumber: 'No. 4',
    metricNumber: 'No. 5',
    range: '26 to 34 teeth',
    half: 'No. 3½ inch, 30 to 34 teeth',
  });
  // 40/30 = 1⅓: of the circles that divide by 3 the largest on the plate that is on (B: 21 23 27 29 31 33)
  expectWorked(part, 'dividing', {
    answer: '1 turn + 11 spaces on 33',
    move: '1 turn + 11 spaces on 33',
    divisions: '30',
    spindleAngle: 360 / 30,
    plate: 'B',
    arms: '11 spaces, 12 holes with the pin’s own',
    crankAngle: (40 / 30) * 360,
    ratio: '40 : 1',
    direction: 'clockwise, always',
  });
  expectWorked(part, 'cut', {
    answer: '2 passes: 2.88 + 0.50',
    'depth-rough': 3.375 - 0.5,
    'depth-finish': 3.375,
    spaces: '60',
  });
  const [h, Dc, w, b, D] = [3.375, 60, 5, 12, 48];
  const reached = reach(h, Dc);
  expectWorked(part, 'setup', {
    ...throughWorked({ D, h, b, Dc, w }),
    // 40 m/min round Ø 60: 212, and 180 is the next the mill has; 12 teeth of 0.05 at 180: 108, of which 71
    answer: '180 rpm, 71 mm/min, clear 13.82 mm off',
    rpm: '180 rpm',
    feedWanted: 0.05 * 12 * 180,
    feed: '71 mm/min',
    // the rough cut touches later than uncut work at full depth would be touched
    firstTouch: reached - reach(2.875, Dc),
    // each of 60 cuts: the stroke at 71 a minute, 15 s back, 30 s to index
    minutes: 60 * ((reached + b + 2) / 71 + 45 / 60),
    time: '70 min',
    // 5 mm screw of 100 marks: 13.824 is 2 turns and 3.824/0.05
    // 1.009 mm at 0.05 a mark
    'table dial firstTouch': '20.2 marks',
    'table dial approach': '2 turns + 76.5 marks',
    'table dial through': '5 turns + 16.5 marks',
    'table dial clearAfter': '7 turns + 93 marks',
    'depth rough': 2.875,
    'depth finish': 3.375,
    // knee of 2 mm, 100 marks: 0.875/0.02 and 1.375/0.02
    'depth dial rough': '1 turn + 43.8 marks',
    'depth dial finish': '1 turn + 68.8 marks',
    // 26.5 by 5 mm: 5 turns and 1.5/0.05; 21.5: 4 turns and as many
    'centring dial touch': '5 turns + 30 marks',
    'centring dial far': '4 turns + 30 marks',
    'fits collar': true,
  });
  const by = toMeasure(z, m, a);
  expect(by.k).toBe(4);
  expectWorked(part, 'inspect', {
    ...CHECKS,
    answer: 'span 16.129 over 4 teeth',
    outside: 48,
    depth: 3.375,
    chordal: by.chordal,
    span: by.span,
    pins: by.pins,
    // 1.5 + 22.5 (1 − cos 3°) = 1.5308
    'set chordal': 'caliper set to a height of 1.531 mm',
    'set span': 'over 4 teeth',
    'set pins': 'pins of Ø 2.592 mm',
  });
  expect(by.caliper).toBeCloseTo(1.5308, 4);

  // every space of both rounds lands where counting in elevens on 33 brings it
  const run = workedRun(job);
  run.cuts.forEach(({ landing, space }, k) => {
    expect([space, landing]).toEqual([
      (k % 30) + 1,
      k === 0
        ? { on: 'plate', turns: 1, spaces: 11, hole: 0 }
        : { on: 'plate', turns: 1, spaces: 11, hole: (11 * k) % 33 },
    ]);
  });
  expect(promptSheet(run).map(({ title, lines }) => [title, ...lines])).toEqual([
    [
      'To tooth space 1',
      'Unlock the spindle.',
      'Direct pin out, worm home: rock the crank to feel it.',
      'Crank set to the 33 circle: the pin drops in freely.',
      'Plate lock pin in.',
      'Turn clockwise, a turn or two, and drop the pin into the nearest hole of 33, plate B: it is now hole 0. Arms: 11 spaces, 12 holes with the pin’s own.',
      'Lock the spindle.',
      'Raise the knee until the turning cutter just marks the outside; the dial of the knee to 0.',
      'Run back, to the left, until the cutter is clear of the work.',
      'Raise the knee to 2.875 mm (0.1132 in): 1 turn + 43.8 marks from the touch, on the dial.',
      // √(3.375·56.625) − √(2.875·57.125) = 13.824 − 12.815
      'Feed on slowly: where the turning cutter first touches, stop and set the table’s dial to 1.01 mm (20.2 marks): 0 is where uncut work would touch at full depth.',
      'Cut tooth space 1: feed on until the table reads 25.82 mm (5 turns + 16.5 marks), and mark it.',
    ],
    [
      'From tooth space 1 to tooth space 2, and so on',
      'Run the table back, to the left, past 0 on its dial.',
      'Unlock the spindle.',
      'To tooth space 2: turn clockwise 1 turn + 11 spaces on 33; from hole 0 the pin lands in hole 11.',
      'Bring the arms round to the pin: 11 spaces, 12 holes with the pin’s own.',
      'Lock the spindle.',
      'Cut tooth space 2: feed on until the table reads 25.82 mm (5 turns + 16.5 marks).',
    ],
    [
      'To the finish pass',
      'Run the table back, to the left, past 0 on its dial.',
      'Unlock the spindle.',
      // thirty moves of eleven: 330 is ten times round 33; before it 29 × 11 = 319 = 9 × 33 + 22
      'On to tooth space 1: turn clockwise 1 turn + 11 spaces on 33; from hole 22 the pin lands in hole 0.',
      'Bring the arms round to the pin: 11 spaces, 12 holes with the pin’s own.',
      'Lock the spindle.',
      'Raise the knee to 3.375 mm (0.1329 in): 1 turn + 68.8 marks from the touch, on the dial.',
      'Cut tooth space 1: feed on until the table reads 25.82 mm (5 turns + 16.5 marks), and mark it.',
    ],
    [
      'After the last tooth space',
      'Run the table back, to the left, past 0 on its dial.',
      'Unlock the spindle.',
      'On to tooth space 1: turn clockwise 1 turn + 11 spaces on 33; from hole 22 the pin lands in hole 0.',
      'Spindle stopped, bring the cutter to tooth space 1: it must drop into it without touching a flank.',
    ],
  ]);
});
test('spur, inch: 25 teeth of 14 P at 14½°, as deep as a form cutter, on an inch mill, indexed at the exit', () => {
  const inch = (typed: string) => measure(typed, 'in');
  const job = workedJob({ units: 'in', mill: 'inch' }, (part) => ({
    ...part,
    gear: {
      ...part.gear,
      pitch: measure('14', 'dp'),
      teeth: count('25'),
      pressureAngle: measure('14 1/2', 'deg'),
      depth: { ...part.gear.depth, rule: 'form-2.157' },
    },
    blank: { ...part.blank, faceWidth: inch('1/2'), bore: inch('1/2') },
    setup: {
      ...part.setup,
      cutterDiameter: inch('2 1/4'),
      cutterWidth: inch('0.156'),
      cutterTeeth: count('14'),
      materialId: 'material-brass',
      indexAt: 'exit',
      paper: inch('.003'),
      returnSeconds: count('10'),
      indexSeconds: count('20'),
    },
  }));
  const part = workedPart(job);
  const [z, P, a] = [25, 14, 14.5 * RAD];
  const m = 25.4 / P;
  // Machinery’s Handbook: addendum 1/P, whole depth 2.157/P
  const h = (2.157 / P) * 25.4;
  const D = ((z + 2) / P) * 25.4;
  expectWorked(part, 'gear', {
    answer: '25 teeth, 14 DP, 14.5°',
    teeth: '25',
    module: m,
    pressureAngle: 14.5,
    pitchDiameter: (z / P) * 25.4,
    addendum: m,
    wholeDepth: h,
    clearance: (0.157 * 25.4) / P,
    circularPitch: (PI / P) * 25.4,
    toothThickness: ((PI / P) * 25.4) / 2,
    baseDiameter: (z / P) * 25.4 * cos(a),
  });
  // 27/14 = 1.9286 in
  expectWorked(part, 'blank', {
    answer: 'Ø 1.929 × 0.500',
    tipDiameter: D,
    faceWidth: 12.7,
    bore: 12.7,
    rootDiameter: D - 2 * h,
    wall: (D - 2 * h - 12.7) / 2,
  });
  expectWorked(part, 'cutter', {
    answer: 'No. 5 inch, No. 4 metric',
    inchNumber: 'No. 5',
    metricNumber: 'No. 4',
    range: '21 to 25 teeth',
    half: 'No. 4½ inch, 23 to 25 teeth',
  });
  // 40/25 = 1⅗: no circle of plate B divides by 5; of A only 15 and 20 do, of C none: 20, larger
  expectWorked(part, 'dividing', {
    answer: '1 turn + 12 spaces on 20',
    move: '1 turn + 12 spaces on 20',
    divisions: '25',
    spindleAngle: 360 / 25,
    plate: 'A',
    arms: '12 spaces, 13 holes with the pin’s own',
    crankAngle: (40 / 25) * 360,
    ratio: '40 : 1',
    direction: 'clockwise, always',
  });
  // 2.157/14 = 0.1541
  expectWorked(part, 'cut', { answer: '1 pass, 0.154 deep', 'depth-one': h, spaces: '25' });
  const [Dc, w, b, paper] = [2.25 * 25.4, 0.156 * 25.4, 12.7, 0.003 * 25.4];
  const reached = reach(h, Dc);
  const speed = 170;
  const fed = 0.05 * 14 * speed; // 119 mm, 4.69 in a minute: the mill has 3
  expectWorked(part, 'setup', {
    ...throughWorked({ D, h, b, Dc, w }, { room: 14 * 25.4, collar: 1.25 * 25.4, paper }),
    // 40 m/min round 57.15 mm: 222.8, and 170 is the next below
    answer: '170 rpm, 3 in/min, clear 0.568 in off',
    rpm: '170 rpm',
    feedWanted: fed,
    feed: '3 in/min',
    travel: 2 * reached + b + 4,
    minutes: 25 * ((2 * reached + b + 4) / (3 * 25.4) + 30 / 60),
    time: '25 min',
    // 0.2 in screw of 200 marks: 0.56826 is 2 turns and 168.3 thou
    'table dial firstTouch': '0 marks',
    'table dial approach': '2 turns + 168.3 marks',
    'table dial through': '5 turns + 68.3 marks',
    'table dial clearAfter': '8 turns + 36.5 marks',
    // the touch is on paper of 3 thou: the knee goes on by that and the depth, 0.1571 in; 0.1 in a turn, 100
    // marks
    'depth to depth': h + paper,
    'depth dial to depth': '1 turn + 57.1 marks',
    // 0.9643 + 0.078 + 0.003 = 1.0453 in: 5 turns and 45.3; 0.8863: 4 turns and 86.3
    'centring dial touch': '5 turns + 45.3 marks',
    'centring dial far': '4 turns + 86.3 marks',
    'needs table': 2 * reached + b + 4,
    'has table': 508,
    // run right out at the head: the disk once more as far, and 2 mm
    'needs head-end': 2 * reached + 2,
    'has raise': 12 * 25.4,
    'fits collar': true,
  });
  const by = toMeasure(z, m, a);
  // 25 · 14.5/180 + ½ = 2.51
  expect(by.k).toBe(3);
  expectWorked(part, 'inspect', {
    ...CHECKS,
    answer: `span ${(by.span / 25.4).toFixed(4)} over 3 teeth`,
    outside: D,
    depth: h,
    chordal: by.chordal,
    span: by.span,
    pins: by.pins,
    // Machinery’s Handbook, corrected addendum at 1 P: 25 teeth 1.0247; /14
    'set chordal': 'caliper set to a height of 0.0732 in',
    'set span': 'over 3 teeth',
    // 1.728/14
    'set pins': 'pins of Ø 0.1234 in',
  });
  expect(by.caliper / 25.4).toBeCloseTo(1.0247 / 14, 4);
  const run = workedRun(job);
  run.cuts.forEach(({ landing }, k) =>
    expect(landing).toMatchObject({ turns: 1, spaces: 12, hole: (12 * k) % 20 }),
  );
});
