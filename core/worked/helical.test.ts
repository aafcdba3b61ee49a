import { expect, test } from '@jest/globals';
import { TWELVE_GEARS } from '../gearing/index.ts';
import { promptSheet } from '../prompts/index.ts';
import { stationOf } from '../plan/index.ts';
import { measure } from '../units/index.ts';
import {
  angleOfInv,
  asin,
  atan,
  CHECKS,
  cos,
  count,
  inv,
  expectWorked,
  mm,
  PI,
  RAD,
  reach,
  sin,
  tan,
  workedJob,
  workedPart,
  workedRun,
} from './bench.ts';

/*
 * A helical gear of each hand worked by hand, the right-hand one on a lying mill, the left-hand one on an
 * upright mill. Sources: docs/sources.md#worked. Sizes: ISO 21771; lead and gears: Machinery’s Handbook,
 * helical milling; count of a disk cutter and what the disk reaches: by geometry.
 */

const [z, mn, an, beta, b] = [30, 1.5, 20 * RAD, 20 * RAD, 18];
const mt = mn / cos(beta);
const at = atan(tan(an) / cos(beta));
const d = z * mt;
const da = d + 2 * mn;
const db = d * cos(at);
const lead = (PI * d) / tan(beta);
const [h, Dc, w] = [2.25 * mn, 60, 5];
const chord = reach(h, Dc);
// along the work, from the touch to full depth; past a face, with all of its width
const approach = chord * cos(beta) + (w / 2) * sin(beta);
const past = chord * cos(beta) + w * sin(beta);
const zv = z / cos(beta) ** 3;

const gear = (mill: string, hand: 'right' | 'left', helix = '20') =>
  workedJob({ units: 'mm', mill }, (part) => ({
    ...part,
    gear: {
      ...part.gear,
      pitch: measure('1.5', 'module'),
      teeth: count('30'),
      helix: measure(helix, 'deg'),
      hand,
    },
    blank: { ...part.blank, faceWidth: mm('18'), bore: mm('12') },
    setup: {
      ...part.setup,
      cutterDiameter: mm('60'),
      cutterWidth: mm('5'),
      cutterTeeth: count('12'),
      materialId: 'material-brass',
      returnSeconds: count('15'),
      indexSeconds: count('30'),
    },
  }));

/**
 * Every train of two and four of the twelve gears: the nearest to a ratio of driven to drivers that goes on a
 * stud.
 */
function nearestTrain(wanted: number): number {
  const all = TWELVE_GEARS.flatMap(({ teeth, count: owned }) => Array.from({ length: owned }, () => teeth));
  let best = Infinity;
  const offer = (ratio: number) => {
    // what a tooth strays over the face goes by the turn it makes, one over the lead
    if (Math.abs(1 / ratio - 1 / wanted) < Math.abs(1 / best - 1 / wanted)) best = ratio;
  };
  all.forEach((a, i) =>
    all.forEach((c, j) => {
      if (i === j) return;
      offer(c / a);
      all.forEach((e, k) => {
        if (k === i || k === j) return;
        all.forEach((g, l) => {
          // stud: a drives c, e beside c drives g; common practice: a + c > e + 15 and e + g > c + 15
          if (l !== i && l !== j && l !== k && a + c > e + 15 && e + g > c + 15) offer((c * g) / (a * e));
        });
      });
    }),
  );
  return best;
}

const SHARED_GEAR = {
  teeth: '30',
  module: mn,
  pressureAngle: 20,
  pitchDiameter: d,
  addendum: mn,
  wholeDepth: h,
  clearance: 0.25 * mn,
  circularPitch: PI * mn,
  toothThickness: (PI * mn) / 2,
  baseDiameter: db,
  helix: 20,
  lead,
  transverseModule: mt,
  transverseAngle: Number((at / RAD).toFixed(7)),
};
const SHARED_SETUP = {
  rpmWanted: (1000 * 40) / (PI * Dc),
  rpm: '180 rpm',
  feedWanted: 0.05 * 12 * 180,
  feed: '71 mm/min',
  approach,
  through: b + past,
  'clear-after': 2 * approach + b,
  travel: b + past + 2,
  'travel at entry': b + past + 2,
  'travel at exit': 2 * approach + b + 4,
  firstTouch: 0,
  push: 'left, to the head',
  minutes: 30 * ((b + past + 2) / 71 + 45 / 60),
  time: '35 min',
  'depth to depth': h,
  'centring touch': da / 2 + w / 2,
  'centring far': da / 2 - w / 2,
  'centring point': null,
  'centring nick': null,
  'centring dial height': null,
  'centring dial point': null,
  'centring dial nick': null,
  'needs table': b + past + 2,
  'has table': 500,
  'fits table': true,
  'needs head-end': past,
  'has head-end': null,
  'fits head-end': null,
  'needs tail-end': 2 * approach + 2,
  'has tail-end': null,
  'fits tail-end': null,
  'needs collar': 32 + 2 * h + 2,
  'has collar': Dc,
  'fits collar': true,
};

test('helical, right-hand: 30 teeth of module 1.5 at 20°, on a lying mill of 5 mm screw and a head of 40', () => {
  const job = gear('lying', 'right');
  const part = workedPart(job);
  expectWorked(part, 'gear', {
    ...SHARED_GEAR,
    answer: '30 teeth, m 1.5, 20°, helix 20° right',
    hand: 'right',
  });
  expectWorked(part, 'blank', {
    answer: 'Ø 50.89 × 18.00',
    tipDiameter: da,
    faceWidth: 18,
    bore: 12,
    rootDiameter: da - 2 * h,
    wall: (da - 2 * h - 12) / 2,
  });
  // a disk of Ø 60 is 60 − 2 · 1.875 at its pitch line: 36.155 + 37.5 tan² 20° = 41.1 → 35 to 54; the book’s
  // 36.2 lies there too
  expect(zv + ((Dc - 2 * 1.25 * mn) / mn) * tan(beta) ** 2).toBeCloseTo(41.12, 2);
  expectWorked(part, 'cutter', {
    answer: 'No. 3 inch, No. 6 metric',
    inchNumber: 'No. 3',
    metricNumber: 'No. 6',
    range: '35 to 54 teeth',
    cutAs: '41.1 teeth, by the cutter’s own roundness',
  });
  // 5 mm × 40 = 200 mm geared one to one; 44 · 72 / (48 · 32) of it are 412.5
  const cut = 200 * nearestTrain(lead / 200);
  expect(cut).toBeCloseTo((200 * 44 * 72) / (48 * 32), 9);
  const made = atan((PI * d) / cut) / RAD;
  // round the pitch circle at the far end of the face, π d b (1/412.5 − 1/413.343)
  expect(PI * d * b * (1 / cut - 1 / lead) * 1000).toBeCloseTo(13.4, 1);
  expectWorked(part, 'lead', {
    answer: '48 : 44, 32 : 72, swing 20°',
    wanted: lead,
    machine: 200,
    train: '48 : 44, 32 : 72',
    driver0: '48 teeth',
    driven0: '44 teeth',
    driver1: '32 teeth',
    driven1: '72 teeth',
    idlers: 'none',
    lead: cut,
    helix: made,
    stray: '13 µm too steep',
    // set by the angle on the mill’s scale of whole degrees
    swing: 20,
    way: 'away from you',
  });
  // set to 20° for 20.0376°, the disk of 27.65 mm of chord widens the mouth by its sine
  const { table } = stationOf(part, 'lead')!.detail;
  expect(table).toMatchObject({ degrees: expect.closeTo(made, 6), scale: 20 });
  expect(table!.wider).toBeCloseTo(2 * chord * tan((made - 20) * RAD), 6);
  expectWorked(part, 'setup', {
    ...SHARED_SETUP,
    answer: '180 rpm, 71 mm/min, clear 13.85 mm off',
    'table dial firstTouch': '0 marks',
    'table dial approach': '2 turns + 76.9 marks',
    'table dial through': '6 turns + 54 marks',
    'table dial clearAfter': '9 turns + 13.8 marks',
    'depth dial to depth': '1 turn + 68.8 marks',
    'centring height': da / 2 + w / 2,
    // 27.944: 5 turns and 2.944/0.05; 22.944: 4 turns and as many
    'centring dial touch': '5 turns + 58.9 marks',
    'centring dial far': '4 turns + 58.9 marks',
    'needs height': 125 + da / 2 + Dc / 2 + 2,
    'has height': 360,
    'fits height': true,
    'needs raise': 360 - (125 + da / 2 + Dc / 2 - h),
    'has raise': 300,
    'fits raise': true,
  });
  // measured across the teeth: caliper on the virtual gear, span by the base helix, balls by the transverse
  // angle
  const k = Math.round((((z * inv(at)) / inv(an)) * an) / PI + 0.5);
  const span = mn * cos(an) * (PI * (k - 0.5) + z * inv(at));
  const ball = 1.728 * mn;
  const phi = angleOfInv(inv(at) + ball / (z * mn * cos(an)) - PI / (2 * z));
  // jaws rest across the teeth: the face must be wider than span · sin βb
  expect(span * sin(asin(sin(beta) * cos(an)))).toBeLessThan(b);
  expectWorked(part, 'inspect', {
    ...CHECKS,
    answer: `span ${span.toFixed(3)} over 4 teeth`,
    outside: da,
    depth: h,
    chordal: mn * zv * sin(PI / 2 / zv),
    span,
    pins: db / cos(phi) + ball,
    'set chordal': `caliper set to a height of ${(mn + ((mn * zv) / 2) * (1 - cos(PI / 2 / zv))).toFixed(3)} mm`,
    'set span': 'over 4 teeth',
    'name pins': 'Over pins or balls',
    'set pins': 'balls of Ø 2.592 mm',
  });
  expect(promptSheet(workedRun(job)).map(({ lines }) => lines)).toEqual([
    [
      'Unlock the spindle, and lock nothing that turns from now on: the table has to turn the work.',
      'Direct pin out, worm home: rock the crank to feel it.',
      'Crank set to the 33 circle: the pin drops in freely.',
      'Gears for the lead: 48 on the table screw, 44 first on the stud, 32 second on the stud, 72 on the worm shaft, no idler; a little play in each mesh.',
      'Plate lock pin out.',
      'The table straight, the cutter over its swivel: bring the cutter to the middle of the work now.',
      'Now swing the table: the table swung 20°, right end away from you; clamp it.',
      'Scribe one line with the lead geared, the cutter clear: it must run as a right-hand thread. If not, one idler more or less.',
      'Turn clockwise, a turn or two, and drop the pin into the nearest hole of 33, plate B: it is now hole 0. Arms: 11 spaces, 12 holes with the pin’s own.',
      'Raise the knee until the turning cutter just marks the outside; the dial of the knee to 0.',
      'Stop the feed and draw clear of the cutter: lower the knee.',
      'Run back, to the left, until the cutter is well clear of the work; then come on a little the way it cuts, still clear, so that the slack is taken up.',
      'Go in again: raise the knee to 3.375 mm (0.1329 in): 1 turn + 68.8 marks from the touch, on the dial.',
      'Feed on slowly: where the turning cutter first touches, stop and set the table’s dial to 0.',
      'Cut tooth space 1: feed on until the table reads 32.70 mm (6 turns + 54 marks), and mark it.',
    ],
    [
      'Stop the feed and draw clear of the cutter: lower the knee.',
      'Run the table back, to the left, well past 0 on its dial; then come on a little the way it cuts, not as far as 0, so that the slack is taken up.',
      'To tooth space 2: turn clockwise 1 turn + 11 spaces on 33; from hole 0 the pin lands in hole 11.',
      'Bring the arms round to the pin: 11 spaces, 12 holes with the pin’s own.',
      'Go in again: raise the knee to 3.375 mm (0.1329 in): 1 turn + 68.8 marks from the touch, on the dial.',
      'Cut tooth space 2: feed on until the table reads 32.70 mm (6 turns + 54 marks).',
    ],
    [
      'Stop the feed and draw clear of the cutter: lower the knee.',
      'Run the table back, to the left, well past 0 on its dial; then come on a little the way it cuts, not as far as 0, so that the slack is taken up.',
      'On to tooth space 1: turn clockwise 1 turn + 11 spaces on 33; from hole 22 the pin lands in hole 0.',
      'Spindle stopped, bring the cutter to tooth space 1: it must drop into it without touching a flank.',
    ],
  ]);
});

test('helical, left-hand, on an upright mill: the head is tilted, the cross slide sets the depth on a readout', () => {
  const job = gear('upright', 'left');
  const part = workedPart(job);
  expectWorked(part, 'gear', {
    ...SHARED_GEAR,
    answer: '30 teeth, m 1.5, 20°, helix 20° left',
    hand: 'left',
  });
  const cut = (200 * 44 * 72) / (48 * 32);
  expectWorked(part, 'lead', {
    answer: '48 : 44, 32 : 72, tilt 20°',
    wanted: lead,
    machine: 200,
    train: '48 : 44, 32 : 72',
    driver0: '48 teeth',
    driven0: '44 teeth',
    driver1: '32 teeth',
    driven1: '72 teeth',
    idlers: '1',
    lead: cut,
    helix: atan((PI * d) / cut) / RAD,
    stray: '13 µm too steep',
    swing: 20,
    // behind the work a left-hand tooth falls to the right (setting.test.ts, by geometry)
    way: 'to the right',
  });
  expectWorked(part, 'setup', {
    ...SHARED_SETUP,
    answer: '180 rpm, 71 mm/min, clear 13.85 mm off',
    'table dial firstTouch': '0.000 mm',
    'table dial approach': '13.846 mm',
    'table dial through': '32.701 mm',
    'table dial clearAfter': '45.691 mm',
    'depth dial to depth': '3.375 mm',
    // a flat cutter is brought to the height of the centres: its near face half its width below or above them
    'centring height': 125 + w / 2,
    'centring dial touch': '27.944 mm',
    'centring dial far': '22.944 mm',
    // the cross slide carries the work from clear behind the cutter to clear before it: both radii, 2 mm, on
    // either side
    'needs cross': 2 * (da / 2 + Dc / 2 + 2),
    'has cross': 200,
    'fits cross': true,
  });
  const lines = promptSheet(workedRun(job)).flatMap((stretch) => stretch.lines);
  for (const line of [
    'The head upright: bring the cutter to the middle of the work now.',
    'Now tilt the head: the head tilted 20°, its top to the right; clamp it.',
    'Scribe one line with the lead geared, the cutter clear: it must run as a left-hand thread. If not, one idler more or less.',
    'Cross slide away from you until the turning cutter just marks the outside; the dial of the cross slide to 0.',
    'Stop the feed and draw clear of the cutter: cross slide towards you.',
    'Go in again: cross slide away from you to 3.375 mm (0.1329 in).',
    'Cut tooth space 2: feed on until the table reads 32.70 mm.',
  ])
    expect(lines).toContain(line);
});

test('the train in force is the nearest of all that go on the stud, at other angles as well', () => {
  const wantedAt = (helix: number) => (PI * z * mn) / sin(helix * RAD) / 200;
  for (const helix of [14, 23, 37]) {
    const { inForce } = stationOf(workedPart(gear('lying', 'right', String(helix))), 'lead')!.detail;
    expect([helix, inForce!.lead]).toEqual([helix, expect.closeTo(200 * nearestTrain(wantedAt(helix)), 6)]);
    expect(inForce!.clears).toBe(true);
  }
});
