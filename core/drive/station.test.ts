import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { exact, measure } from '../units/index.ts';
import {
  contactRatio,
  emptyDrive,
  fromCentre,
  identifyDrive,
  planDrive,
  ratioText,
  takeCandidate,
  usualWorms,
  WORM_SCHOOLS,
  type DriveInput,
  type DriveSample,
} from './index.ts';

const DEG = 180 / Math.PI;
const drive = (change: Partial<DriveInput> = {}): DriveInput => ({
  ...emptyDrive('mm'),
  pitch: measure('2', 'module'),
  teeth: measure('40', 'count'),
  wormDiameter: measure('24', 'mm'),
  ...change,
});
const planned = (change: Partial<DriveInput> = {}) =>
  planDrive({ input: drive(change), path: 'd', units: 'mm' });
const says = (change: Partial<DriveInput>) =>
  planned(change).issues.map((issue) => `${issue.severity} ${issue.path}: ${sayIssue(issue)}`);

describe('sizes, whichever way they are given', () => {
  test('module first: ratio, lead angle, centre', () => {
    const { facts, answer, detail } = planned();
    expect(answer).toBe('40 : 1, m 2, 1 start, 40°');
    expect(facts!.worm.lead).toBeCloseTo(2 * Math.PI, 12);
    expect(facts!.centre).toBe(52);
    expect(detail.pair!.leadAngleDeg).toBeCloseTo(Math.atan(1 / 12) * DEG, 10);
    expect(detail.pair!.selfLocking).toBe(true);
  });

  test('diametral and circular pitch come to the same drive as the module they amount to', () => {
    const byDp = planned({ pitch: measure('10 DP', 'module'), wormDiameter: measure('1', 'in') }).facts!;
    const byAxial = planned({
      pitchBy: 'axial',
      axialPitch: measure(String((25.4 * Math.PI) / 10), 'mm'),
      wormDiameter: measure('25.4', 'mm'),
    }).facts!;
    expect(byAxial.worm.lead).toBeCloseTo(byDp.worm.lead, 9);
    expect(byAxial.centre).toBeCloseTo(byDp.centre, 9);
    // threads to the inch are an axial pitch as well
    expect(
      planned({ pitchBy: 'axial', axialPitch: measure('4 tpi', 'mm') }).facts!.worm.axialPitch,
    ).toBeCloseTo(6.35, 12);
  });

  test('centre first: the worm is what the wheel leaves; with a stock cutter’s normal pitch both are sought together (seed 3)', () => {
    expect(
      planned({ sizeBy: 'centre', centre: measure('52', 'mm'), wormDiameter: measure('', 'mm') }).facts!
        .wormDiameter,
    ).toBe(24);
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 12, max: 60 }),
        (d1, starts, teeth) => {
          // from a worm to its centre distance and back
          const gamma = Math.asin((starts * 1.5) / d1);
          const centre = (d1 + (teeth * 1.5) / Math.cos(gamma)) / 2;
          const found = fromCentre({ plane: 'normal', module: 1.5, starts, teeth, centre })!;
          expect(found.pitchDiameter + teeth * found.axialModule).toBeCloseTo(2 * centre, 6);
          expect(found.pitchDiameter).toBeGreaterThan(d1 - 1e-6);
        },
      ),
      { seed: 3, numRuns: 200 },
    );
  });

  test('a ratio in place of the teeth: 20:1 of two starts is 40 teeth', () => {
    const { facts } = planned({ teeth: measure('20 : 1', 'count'), starts: measure('2', 'count') });
    expect(facts).toMatchObject({ teeth: 40, starts: 2 });
    expect(says({ teeth: measure('900:1', 'count'), starts: measure('2', 'count') })[0]).toMatch(
      /^wrong d\.teeth: The wheel’s tooth count of 1800 is out of range/,
    );
  });

  test('a ratio that is not whole is said in whole turns and a fraction', () => {
    expect(ratioText(40, 1)).toBe('40');
    expect(ratioText(40, 3)).toBe('13 1/3');
    expect(ratioText(7, 8)).toBe('7/8');
  });

  // Source: AGMA worm gearing (from memory): C^0.875 over 3 to over 1.6, inches
  test('worms usual at a centre distance', () => {
    const [least, most] = usualWorms(4 * 25.4);
    expect(least / 25.4).toBeCloseTo(4 ** 0.875 / 3, 9);
    expect(most / 25.4).toBeCloseTo(4 ** 0.875 / 1.6, 9);
  });

  test('contact in the middle plane, by counting the length of the line of contact in base pitches', () => {
    const school = WORM_SCHOOLS[1]!;
    const [m, z] = [2, 40];
    // along the line of contact, s from the pitch point: on it the worm's tips end below the pitch line, the
    // wheel's at its throat circle, and nothing touches past the foot of the line on the base circle
    const [a, r] = [school.pressureAngle, (z * m) / 2];
    let along = 0;
    for (let s = -30; s < 30; s += 0.0005) {
      const [x, above] = [s * Math.cos(a), s * Math.sin(a)];
      const inWheel = Math.hypot(x, r + above) < r + m;
      const inWorm = above > -m;
      const beforeFoot = -s < r * Math.sin(a);
      if (inWheel && inWorm && beforeFoot) along += 0.0005;
    }
    expect(contactRatio(z, m, school)).toBeCloseTo(along / (Math.PI * m * Math.cos(a)), 3);
  });
});

describe('bad input, at its field', () => {
  test('starts 0, or more than the wheel allows', () => {
    expect(says({ starts: measure('0', 'count') })[0]).toMatch(
      /^wrong d\.starts: The number of starts of 0 is out of range\. It runs from 1 to 24/,
    );
    expect(says({ starts: measure('12', 'count'), teeth: measure('12', 'count') })).toContain(
      'wrong d.starts: 12 starts are too many for a wheel of 12 teeth: it would turn as fast as its worm, or faster. Take fewer starts.',
    );
  });

  test('a worm thinner than its root, from its own size and from the distance; a wheel that fills the distance', () => {
    expect(says({ wormDiameter: measure('4', 'mm') })[0]).toMatch(
      /^wrong d\.wormDiameter: A thread 4\.40 mm deep leaves no core in a worm of Ø 4\.00 mm\. Its pitch diameter must be more than 4\.80 mm/,
    );
    expect(says({ sizeBy: 'centre', centre: measure('42', 'mm') })[0]).toMatch(
      /^wrong d\.centre: A thread 4\.40 mm deep leaves no core/,
    );
    expect(says({ sizeBy: 'centre', centre: measure('39', 'mm') })[0]).toMatch(
      /^wrong d\.centre: At 39\.00 mm there is no room for a worm: the wheel alone reaches 40\.00 mm/,
    );
    expect(
      says({ plane: 'normal', starts: measure('12', 'count'), wormDiameter: measure('20', 'mm') })[0],
    ).toMatch(/must be thicker than 24\.00 mm/);
  });

  test('a wheel below the undercut count, a steep lead, a thread that comes to a point', () => {
    expect(says({ teeth: measure('15', 'count') })).toEqual([
      'query d.teeth: 15 teeth are fewer than the 17.1 that a 40° worm clears: hobbed, the roots are undercut; gashed, the thread may rub there. More teeth, or a tool of a larger angle.',
    ]);
    // 2/sin²25° = 11.2
    const at25 = {
      school: 'typed' as const,
      angle: measure('50', 'deg'),
      addendum: measure('2', 'mm'),
      depth: measure('4.4', 'mm'),
    };
    expect(says({ teeth: measure('11', 'count'), thread: at25 }).join()).toMatch(
      /11 teeth are fewer than the 11\.2/,
    );
    expect(says({ teeth: measure('12', 'count'), thread: at25 }).join()).not.toMatch(/are fewer than/);
    expect(says({ starts: measure('4', 'count') })[0]).toMatch(
      /^query d\.wormDiameter: A lead angle of 18° 26′ 06″ is more than the 15°/,
    );
    const own = (angle: string, depth: string) => ({
      school: 'typed' as const,
      angle: measure(angle, 'deg'),
      addendum: measure('2', 'mm'),
      depth: measure(depth, 'mm'),
    });
    expect(says({ thread: own('80', '4.4') })[0]).toMatch(/comes to a point/);
    expect(says({ thread: own('29', '1.5') })[0]).toMatch(/^wrong d\.thread\.depth/);
    expect(says({ thread: own('120', '4.4') })[0]).toMatch(/^wrong d\.thread\.angle/);
    expect(planned({ thread: own('30', '4.4') }).facts!.worm.toolFlat).toBeCloseTo(
      Math.PI - 2 * 2.4 * Math.tan(15 / DEG),
      9,
    );
  });
});

describe('a worm and wheel on the bench', () => {
  const sample = (change: Partial<Record<keyof DriveSample, string>>): DriveSample => {
    const empty = emptyDrive('mm').sample;
    return Object.fromEntries(
      Object.entries(empty).map(([key, value]) => [
        key,
        measure(change[key as keyof DriveSample] ?? '', value.unit),
      ]),
    ) as unknown as DriveSample;
  };

  test('crests, throat and distance agree on one pitch, a worn rim and all', () => {
    const found = identifyDrive(
      sample({
        outside: '27.9',
        threads: '6',
        over: '31.45',
        teeth: '40',
        throat: '83.8',
        centre: '51.95',
        starts: '2',
      }),
    );
    expect(found.best[0]).toMatchObject({ by: 'module', figure: '2', against: 0 });
    const taken = takeCandidate(
      drive({ sample: sample({ outside: '28', starts: '2', teeth: '40' }) }),
      found.best[0]!,
    );
    expect(taken).toMatchObject({
      pitchBy: 'pitch',
      pitch: { typed: '2', unit: 'module' },
      starts: { typed: '2' },
      teeth: { typed: '40' },
    });
  });

  test('an axial pitch of a quarter inch is found as such; 12 DP and module 2.1 are told apart from it', () => {
    const found = identifyDrive(
      sample({ outside: '1.16 in', threads: '9', over: '2.0 in', teeth: '30', throat: '2.54 in' }),
    );
    expect(found.best[0]).toMatchObject({ by: 'axial', figure: '1/4', unit: 'in' });
    expect(takeCandidate(drive(), found.best[0]!)).toMatchObject({
      pitchBy: 'axial',
      axialPitch: { typed: '1/4', unit: 'in' },
      thread: { school: '29' },
    });
  });

  test('a reading that contradicts the others is counted against a pitch, not averaged away', () => {
    const found = identifyDrive(sample({ threads: '6', over: '31.4', teeth: '40', throat: '105' }));
    expect(found.best.every(({ against }) => against === 1)).toBe(true);
    const clash = found.best[0]!.fits.filter(({ fits }) => !fits);
    expect(clash).toHaveLength(1);
  });

  test('nothing read, and a reading that cannot be', () => {
    // threads to the inch that lathes cut: 8 crests stand 7 pitches apart; a wheel of 30 with (z + 2)·p/π
    // over its throat
    for (const [pitch, over, throat] of [
      ['1/5', '1.4 in', '2.037 in'],
      ['1/6', '1.1667 in', '1.698 in'],
      ['3/10', '2.1 in', '3.056 in'],
      ['1/3', '2.3333 in', '3.395 in'],
    ] as const) {
      const cut = identifyDrive(sample({ threads: '8', over, teeth: '30', throat }));
      expect(
        cut.best.filter(({ against }) => against === 0).map(({ by, figure }) => `${by} ${figure}`),
      ).toContain(`axial ${pitch}`);
    }
    expect(identifyDrive(sample({})).read).toBe(false);
    const bad = identifyDrive(sample({ threads: '1', over: 'x' }));
    expect(bad.issues.map(({ path }) => path).sort()).toEqual(['over', 'threads']);
  });
});

test('the pitch of a drive as a stock cutter has it: m = mn/cos γ', () => {
  const { facts } = planned({
    plane: 'normal',
    starts: measure('3', 'count'),
    wormDiameter: measure('30', 'mm'),
  });
  expect(facts!.worm.normalModule).toBeCloseTo(2, 12);
  expect(facts!.axialModule).toBeCloseTo(2 / Math.cos(Math.asin(0.2)), 12);
  expect(facts!.pitch.module.equals(exact(2))).toBe(true);
});
