import { expect, test } from '@jest/globals';
import { drawnDriveJob, withMill, withPart, type Job } from '../job/index.ts';
import { promptSheet } from '../prompts/index.ts';
import { plainLathe, type Equipment } from '../shop/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { measure } from '../units/index.ts';
import {
  atan,
  BENCH,
  cos,
  count,
  expectWorked,
  mm,
  PI,
  RAD,
  sin,
  sqrt,
  tan,
  workedPart,
  workedRun,
} from './bench.ts';

/*
 * A worm and its wheel worked by hand. Sources: docs/sources.md#worked. Sizes and thread: ISO 54 and DIN 3975
 * (20°, 2.2·m deep), usual worm and face: AGMA 6022 (from memory) and common practice; rim, touch and what
 * bears: by geometry.
 */

const [m, z1, z2, d1, a] = [2, 1, 40, 24, 20 * RAD];
const d2 = z2 * m;
const px = PI * m;
const gamma = atan((z1 * m) / d1);
const h = 2.2 * m;
const centre = (d1 + d2) / 2;

function drive(): Job {
  const job = withMill({
    job: drawnDriveJob({ id: 'd', name: 'Winch', shop: BENCH }),
    partId: 'p1',
    millId: 'lying',
    shop: BENCH,
  });
  return withPart(job, 'p1', (part) =>
    part.kind === 'wheel'
      ? {
          ...part,
          setup: {
            ...part.setup,
            cutterDiameter: mm('50'),
            cutterWidth: mm('6'),
            cutterTeeth: count('12'),
            materialId: 'material-brass',
          },
        }
      : part,
  );
}

// a wheel's flank rolls on the worm's straight one as on a rack: path in the wheel, and up to the worm's
// outside
const [ra, rb] = [d2 / 2 + m, (d2 / 2) * cos(a)];
const contact = (sqrt(ra * ra - rb * rb) - (d2 / 2) * sin(a) + m / sin(a)) / (px * cos(a));
// AGMA 6022: d1 between C^0.875/3 and C^0.875/1.6, in inches
const usual = (by: number) => ((centre / 25.4) ** 0.875 / by) * 25.4;

const DRIVE = {
  answer: '40 : 1, m 2, 1 start, 40°',
  ratio: '40 : 1',
  pitch: 'm 2',
  counts: '1, 40',
  hand: 'right',
  axialPitch: px,
  lead: z1 * px,
  leadAngle: Number((gamma / RAD).toFixed(7)),
  wormDiameter: d1,
  wheelDiameter: d2,
  centre,
  contact: contact.toFixed(2),
  usual: `Ø ${usual(3).toFixed(2)} mm to ${usual(1.6).toFixed(2)} mm`,
  // common practice: below some 5° the wheel seldom drives the worm
  locking: 'hardly: likely self-locking',
};

test('the worm: thread, tool, length, and the angle on the mill’s scale', () => {
  const part = workedPart(drive(), 'p2');
  expectWorked(part, 'drive', DRIVE);
  const degrees = gamma / RAD;
  expectWorked(part, 'worm', {
    answer: 'Ø 28.00 × 35.78, 4.40 deep',
    outside: d1 + 2 * m,
    pitchDiameter: d1,
    root: d1 + 2 * m - 2 * h,
    // 2π (4.5 + 40/50) = 33.30 is less than the throat circle of R 42 reaches at the worm's outside, 38 from
    // its middle
    length: 2 * sqrt(42 ** 2 - 38 ** 2),
    depth: h,
    lead: px,
    hand: 'right',
    leadAngle: Number(degrees.toFixed(7)),
    scale: `5°: leans ${(10_000 * tan((5 - degrees) * RAD)).toFixed(0)} µm in 10.00 mm`,
    included: 40,
    // half a pitch at the pitch line, narrower by the flanks below it and above
    flat: px / 2 - 2 * (h - m) * tan(a),
    crest: px / 2 - 2 * m * tan(a),
    // beside the tool the thread falls by the lead angle at its root, atan(px/(π 19.2)) = 5.9°, and 4° to
    // spare (common practice)
    clear: `${(atan(px / (PI * (d1 + 2 * m - 2 * h))) / RAD + 4).toFixed(1)}° ahead, none behind`,
  });
});

test('the wheel: rim, gash by plunging, the touch on its corners, and every prompt', () => {
  const job = drive();
  const part = workedPart(job, 'p1');
  expectWorked(part, 'drive', DRIVE);
  const hollow = d1 / 2 - m;
  const half = 2 * m * (0.5 + sqrt(d1 / m + 1)) * 0.5;
  // relieved to 60°: the hollow ends 30° to either side, and the chamfer goes on along that radius
  const corners = 2 * m + d2 + 2 * hollow * (1 - cos(30 * RAD));
  expectWorked(part, 'wheelBlank', {
    answer: 'Ø 86.68 × 16.42, throat 84.00',
    pitchDiameter: d2,
    throat: d2 + 2 * m,
    throatRadius: hollow,
    // usual face, common practice: 2 m (½ + √(d1/m + 1))
    faceWidth: 2 * half,
    hollow: 2 * hollow * sin(30 * RAD),
    outside: corners,
    side: corners - (2 * (half - hollow * sin(30 * RAD))) / tan(30 * RAD),
    bore: 12,
    root: d2 + 2 * m - 2 * h,
  });
  expectWorked(part, 'cutter', {
    answer: 'No. 3 inch, No. 6 metric',
    inchNumber: 'No. 3',
    metricNumber: 'No. 6',
    range: '35 to 54 teeth',
  });
  expectWorked(part, 'dividing', {
    answer: '1 turn',
    move: '1 turn',
    divisions: '40',
    spindleAngle: 9,
    plate: 'B',
    arms: 'not needed',
    crankAngle: 360,
    ratio: '40 : 1',
    direction: 'clockwise, always',
  });
  // the disk of Ø 50, at the lead angle, sunk into the hollow: a search of the corner's circle for where its
  // edge first meets it
  let touched = 0;
  for (let x = -3; x <= 3; x += 0.0005)
    for (const y of [-1, 1].map((side) => side * hollow * sin(30 * RAD))) {
      // only what lies in the disk's own plane
      if (Math.abs(-y * sin(gamma) + x * cos(gamma)) > 0.0003) continue;
      const along = y * cos(gamma) + x * sin(gamma);
      const rim = sqrt((corners / 2) ** 2 - x * x) - (d2 / 2 + m);
      touched = Math.max(touched, rim - (25 - sqrt(25 ** 2 - along ** 2)));
    }
  const depth = h + touched;
  const onDial = depth.toFixed(3);
  expect(onDial).toBe('5.229');
  const wheel = part.stations.find(({ id }) => id === 'wheel')!.values;
  const valueOf = (key: string) => {
    const value = wheel.find((one) => one.key === key)!;
    return value.kind === 'length' ? value.mm : value.kind === 'angle' ? value.deg : value.text;
  };
  expect(valueOf('depth')).toBeCloseTo(depth, 3);
  expect(valueOf('fromThroat')).toBeCloseTo(h, 9);
  // the worm's tips reach h below the throat: its root circle for the wheel is r1 + h − ha from its middle
  const worked = part.stations
    .find(({ id }) => id === 'wheel')!
    .working.find(({ key }) => key === 'corners')!;
  expect(worked.put.replace(/\\cos [\d.]+/, '\\cos γ')).toBe(
    `R = 25,\\ e = \\frac{${(hollow * sin(30 * RAD)).toFixed(0)}}{\\cos γ^\\circ},\\ r_f = ${(d1 / 2 + h - m).toFixed(1)},\\ a = ${(d1 + d2) / 2}`,
  );
  expect(valueOf('leadAngle')).toBeCloseTo(gamma / RAD, 6);
  expect(valueOf('swing')).toBe(5);
  // both are right-hand: laid over as a right-hand helical gear
  expect(valueOf('way')).toBe('away from you');
  // 5° − 4° 45′ 49″ over 16.42 mm of face
  expect(valueOf('lean')).toBe(`${(2 * half * 1000 * tan(5 * RAD - gamma)).toFixed(0)} µm`);
  expect(valueOf('cutAs')).toBe('40 teeth');
  const setup = part.stations.find(({ id }) => id === 'setup')!.values;
  // 40 m/min on Ø 50: 254.6, and 250 is on the mill; 12 · 0.05 · 250 = 150, 71 the most it feeds
  expect(setup.find(({ key }) => key === 'rpm')).toMatchObject({ text: '250 rpm' });
  expect(setup.find(({ key }) => key === 'feed')).toMatchObject({ text: '71 mm/min' });
  expect(promptSheet(workedRun(job, 'p1')).map(({ lines }) => lines)).toEqual([
    [
      'Unlock the spindle.',
      'Direct pin out, worm home: rock the crank to feel it.',
      'Crank set to the 33 circle: the pin drops in freely.',
      'Plate lock pin in.',
      'The table straight, the cutter over its swivel: bring the cutter to the middle of the work now, and to the middle of its face.',
      'Now swing the table: the table swung 5°, right end away from you; clamp it.',
      'Turn clockwise, a turn or two, and drop the pin into the nearest hole of 33, plate B: it is now hole 0.',
      'Lock the spindle.',
      'Raise the knee until the turning cutter just marks the corners beside the throat, which it meets first; the dial of the knee to 0.',
      // knee of 2 mm, 100 marks: 1.229/0.02
      'Sink the cutter to 5.229 mm (0.2059 in): 2 turns + 61.5 marks from the touch, on the dial, in tooth space 1, and mark it.',
    ],
    [
      'Draw the cutter out: lower the knee, back past 0, the touch.',
      'Unlock the spindle.',
      'To tooth space 2: turn clockwise 1 turn; from hole 0 the pin lands in hole 0.',
      'Lock the spindle.',
      'Sink the cutter to 5.229 mm (0.2059 in): 2 turns + 61.5 marks from the touch, on the dial, in tooth space 2.',
    ],
    [
      'Draw the cutter out: lower the knee, back past 0, the touch.',
      'Unlock the spindle.',
      'On to tooth space 1: turn clockwise 1 turn; from hole 0 the pin lands in hole 0.',
      'Spindle stopped, bring the cutter to tooth space 1: it must drop into it without touching a flank.',
    ],
  ]);
});

const LATHE_GEARS = [20, 30, 35, 40, 45, 50, 55, 60, 65, 66, 70, 80, 127];
const withLathe: Equipment = {
  ...BENCH,
  gearSets: [
    ...BENCH.gearSets,
    {
      id: 'lathe-gears',
      name: 'Lathe gears',
      bore: '',
      pitch: '',
      gears: LATHE_GEARS.map((teeth) => ({ teeth, count: 1 })),
    },
  ],
  lathes: [
    {
      ...plainLathe('lathe', 'Bench lathe', measure('1/8', 'in')),
      box: { by: 'tpi', settings: '7 8 9 10' },
      gearSetId: 'lathe-gears',
      slideLead: mm('2'),
      slideMarks: 40,
    },
  ],
};
/**
 * µm that the best of all settings and trains strays over the thread in the wheel, tried one by one; the
 * first gear divides by the starts.
 */
function leastAstray(lead: number, reach: number, starts: number): number {
  let best = Infinity;
  const offer = (ratio: number) => {
    for (const tpi of [7, 8, 9, 10])
      best = Math.min(best, Math.abs(((25.4 / tpi) * ratio) / lead - 1) * reach * 1000);
  };
  if (starts === 1) offer(1);
  for (const a of LATHE_GEARS) {
    if (a % starts !== 0) continue;
    for (const b of LATHE_GEARS) {
      if (b === a) continue;
      offer(a / b);
      for (const c of LATHE_GEARS)
        for (const e of LATHE_GEARS)
          if (new Set([a, b, c, e]).size === 4 && a + b > c + 15 && c + e > b + 15) offer((a * c) / (b * e));
    }
  }
  return best;
}

test.each([1, 2, 3])(
  'a worm of %d starts on the lathe: the nearest gears that reach every start',
  (starts) => {
    const job = drawnDriveJob({ id: 'd', name: 'Winch', shop: withLathe }, { starts: count(String(starts)) });
    const part = plan(job, withLathe).parts.find(({ id }) => id === 'p2')!;
    const lathe = stationOf(part, 'lathe')!;
    const shown = Object.fromEntries(
      lathe.values.map((value) => [
        value.key,
        value.kind === 'length' ? value.mm : value.kind === 'text' ? value.text : value.deg,
      ]),
    );
    const lead = starts * px;
    const reach = 2 * sqrt(42 ** 2 - 38 ** 2);
    expect(shown['wanted']).toBeCloseTo(lead, 9);
    expect(shown['engaged']).toBeCloseTo(reach, 9);
    // 20 µm are let pass; where no gears that divide come so near, the nearest of all are taken, and the way
    // is asked about
    const dividing = leastAstray(lead, reach, starts);
    const reached = dividing <= 20;
    expect(reached).toBe(starts !== 3);
    expect(Math.abs(Number(shown['lead']) / lead - 1) * reach * 1000).toBeCloseTo(
      reached ? dividing : leastAstray(lead, reach, 1),
      6,
    );
    // what the gears say they cut, from the leadscrew on
    const { setting, train } = lathe.detail.inForce!;
    const gears = train!.second
      ? (train!.driver * train!.second.driver) / (train!.driven * train!.second.driven)
      : train!.driver / train!.driven;
    expect((25.4 / Number(setting.replace(' per inch', ''))) * gears).toBeCloseTo(Number(shown['lead']), 9);
    expect(shown['starts']).toBe(starts === 1 ? undefined : 'by the gear on the spindle');
    expect(lathe.issues.map(({ code }) => code)).toEqual(reached ? [] : ['starts-way']);
    if (starts > 1) {
      expect(train!.driver % starts === 0).toBe(reached);
      const [byGear, bySlide] = lathe.detail.starts;
      expect(byGear!.say).toContain(
        reached
          ? `turn the spindle on by ${train!.driver / starts} teeth`
          : `${train!.driver} teeth do not divide by 3`,
      );
      // a pitch of 6.283 on a screw of 2 mm, 40 marks: 3 turns and 5.66 marks; twice that 6 and 11.33
      expect(bySlide!.say).toContain(
        starts === 2
          ? 'Start 2: 3 turns + 6 of 40.'
          : 'Start 2: 3 turns + 6 of 40; Start 3: 6 turns + 11 of 40.',
      );
    }
    const worm = stationOf(part, 'worm')!;
    expect(worm.values.find(({ key }) => key === 'lead')!.label).toBe(
      starts === 1 ? 'Lead' : `Lead, ${starts} starts`,
    );
  },
);

test('a thick worm falls so little that its tool clears behind as well', () => {
  const job = drawnDriveJob({ id: 'd', name: 'Winch', shop: BENCH }, { wormDiameter: mm('60') });
  const part = plan(job, BENCH).parts.find(({ id }) => id === 'p2')!;
  // steepest at the root, Ø 55.2: 2.07°; flattest outside, Ø 64: 1.79°; 4° to spare (common practice)
  const falls = (diameter: number) => atan(px / (PI * diameter)) / RAD;
  expect(stationOf(part, 'worm')!.values.find(({ key }) => key === 'clear')).toMatchObject({
    text: `${(4 + falls(55.2)).toFixed(1)}° ahead, ${(4 - falls(64)).toFixed(1)}° behind`,
  });
});

const wheelOf = (job: Job) => {
  const part = workedPart(job, 'p1');
  const wheel = stationOf(part, 'wheel')!;
  const of = (key: string) => wheel.values.find((value) => value.key === key);
  return { part, wheel, of };
};
const gashed = (change: object, rim: object = {}): Job =>
  withPart(drive(), 'p1', (part) =>
    part.kind === 'wheel'
      ? { ...part, gash: { ...part.gash, ...change }, rim: { ...part.rim, ...rim } }
      : part,
  );

test('gashed for a hob of eight flutes: short by what is left for it, and the hob itself', () => {
  const { wheel, of } = wheelOf(gashed({ school: 'hob', hobStock: mm('0.4') }));
  expect(of('depth')).toMatchObject({ label: 'Gash, on the dial', mm: expect.closeTo(5.2291 - 0.4, 3) });
  expect(of('fromThroat')).toMatchObject({ mm: expect.closeTo(h - 0.4, 9) });
  // as tall as the worm and the wheel's clearance: Ø 24 + 2 · 2.4; 10° of relief from flute to flute (common
  // practice)
  const outside = d1 + 2 * (h - m);
  const relief = ((PI * outside) / 8) * tan(10 * RAD);
  expect(wheel.detail.hob).toEqual({
    outside: expect.closeTo(outside, 9),
    pitchDiameter: 24,
    depth: expect.closeTo(2 * (h - m), 9),
    flutes: 8,
    straight: true,
    fluteLead: expect.closeTo((PI * d1) / tan(gamma), 6),
    fluteHand: 'left',
    fluteDepth: expect.closeTo(2 * (h - m) + relief + 0.5, 9),
    relief: expect.closeTo(relief, 9),
    // the thread in the wheel, and a pitch more
    length: expect.closeTo(2 * sqrt(42 ** 2 - 38 ** 2) + px, 9),
    shares: false,
  });
  expect(wheelOf(gashed({ school: 'plunge' })).wheel.detail.hob).toBeNull();
  expect(wheelOf(gashed({ school: 'plunge' })).of('depth')!.label).toBe('Depth on the dial');
});

test('run straight across a hollow rim it meets the corners as they were turned, and the throat as turned sets the depth', () => {
  const turned = { measured: mm('83.8'), corners: mm('86.4') };
  const { part, of } = wheelOf(gashed({ school: 'traverse' }, turned));
  const blank = stationOf(part, 'wheelBlank')!.values;
  expect(blank.find(({ key }) => key === 'measured')).toMatchObject({ mm: 83.8, settles: true });
  expect(blank.find(({ key }) => key === 'cornersTurned')).toMatchObject({ mm: 86.4, settles: true });
  // the root lies where the drawing has it, 37.6 from the middle: 43.2 − 37.6 from the corners; 41.9 − 37.6
  // from the throat
  expect(of('depth')).toMatchObject({ mm: expect.closeTo(43.2 - 37.6, 6) });
  expect(of('fromThroat')).toMatchObject({ mm: expect.closeTo(41.9 - 37.6, 6) });
});
