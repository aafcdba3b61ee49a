import { describe, expect, test } from '@jest/globals';
import {
  centringsOf,
  CLEAR_BY,
  cuttingData,
  dialMove,
  fitsOf,
  keywayOf,
  lagOf,
  minutesFor,
  moveText,
  snapDown,
  surfaceSpeedText,
  strokeOf,
  tableNeeds,
  thrustOf,
  timeText,
  type Room,
} from './index.ts';
import { eccentricOf, goodFor } from '../inspect/index.ts';

const TAU = 2 * Math.PI;

describe('speed and feed', () => {
  const plain = {
    diameter: 60,
    teeth: 12,
    speed: 24,
    chipLoad: 0.035,
    speeds: [],
    feeds: [],
    rpmSet: null,
    feedSet: null,
  };
  // Source: N = 12·V/(π·D), Machinery’s Handbook, cutting speeds and spindle speeds; 3.82·V/D is the same to
  // a part in 5000
  test.each([
    [80, 2.5, 122.23],
    [60, 2, 114.59],
    [100, 1, 381.97],
  ])('%d ft a minute over %d in is %d rpm in either system', (feet, inches, rpm) => {
    const found = cuttingData({ ...plain, diameter: inches * 25.4, speed: feet * 0.3048 }).rpm;
    expect(found).toBeCloseTo(rpm, 1);
    expect(found).toBeCloseTo((3.82 * feet) / inches, 0);
  });
  test('a rim point really moves at that speed', () => {
    const { rpm } = cuttingData(plain);
    expect((rpm * Math.PI * plain.diameter) / 1000).toBeCloseTo(24, 9);
  });
  test('snapped down, never up; the feed follows the speed that was got', () => {
    const found = cuttingData({ ...plain, speeds: [45, 63, 90, 125, 180], feeds: [12, 18, 25, 36, 50] });
    expect(found).toMatchObject({ rpm: 125, feed: 50, tooFast: false });
    expect(found.feedWanted).toBeCloseTo(125 * 12 * 0.035, 9);
    expect(found.chip).toBeCloseTo(50 / (125 * 12), 9);
  });
  test('the steps on either side of what is wanted, with what the cutter then moves at', () => {
    const speeds = [45, 63, 90, 125, 180];
    // wanted: 24 m a minute over 60 mm, 127.3 turns; a rim of 0.18850 m goes by 125 and 180 times a minute
    const { beside } = cuttingData({ ...plain, speeds });
    expect(beside.map(({ rpm }) => rpm)).toEqual([125, 180]);
    expect(beside[0]!.speed).toBeCloseTo(23.562, 3);
    expect(beside[1]!.speed).toBeCloseTo(33.929, 3);
    // 23.562 m is 77.3 ft
    expect(beside.map(({ speed }) => surfaceSpeedText(speed, 'in'))).toEqual(['77 ft/min', '111 ft/min']);
    expect(surfaceSpeedText(beside[0]!.speed, 'mm')).toBe('23.6 m/min');
    const only = (steps: readonly number[]) =>
      cuttingData({ ...plain, speeds: steps }).beside.map(({ rpm }) => rpm);
    expect(only([200, 400])).toEqual([200]);
    expect(only([45, 90])).toEqual([90]);
    expect(only([])).toEqual([]);
  });
  test('a step that is hit exactly is taken; where all are too fast the slowest is, and says so', () => {
    expect(snapDown(90, [45, 90, 125])).toBe(90);
    expect(snapDown(30, [45, 90])).toBe(45);
    expect(snapDown(70, [])).toBe(70);
    expect(cuttingData({ ...plain, speeds: [200, 400] })).toMatchObject({ rpm: 200, tooFast: true });
    // without steps the mill runs at what is wanted, and a part in two thousand more is no faster
    expect(cuttingData(plain).tooFast).toBe(false);
    expect(cuttingData({ ...plain, rpmSet: cuttingData(plain).rpmWanted * 1.0005 }).tooFast).toBe(false);
    expect(cuttingData({ ...plain, rpmSet: cuttingData(plain).rpmWanted * 1.002 }).tooFast).toBe(true);
  });
  test('one tooth feeds one chip a turn; without a chip load there is no feed', () => {
    expect(cuttingData({ ...plain, teeth: 1, rpmSet: 200 }).feed).toBeCloseTo(7, 9);
    expect(cuttingData({ ...plain, chipLoad: null }).feed).toBeNull();
  });
});

describe('readings round a blank, against a circle that was really shifted', () => {
  /**
   * An indicator that comes straight in on the axis of turning: where it meets a circle of radius r off by e
   * towards phi.
   */
  const reading = (r: number, e: number, phi: number, angle: number): number =>
    e * Math.cos(angle - phi) + Math.sqrt(r * r - (e * Math.sin(angle - phi)) ** 2) - r;
  test.each([
    { n: 4, e: 0.05, phi: 115 },
    { n: 8, e: 0.012, phi: 290 },
    { n: 3, e: 0.2, phi: 10 },
    { n: 12, e: 0.4, phi: 180 },
  ])('$n readings find $e mm towards $phi°', ({ n, e, phi }) => {
    const readings = Array.from({ length: n }, (_, i) =>
      reading(40, e, (phi * Math.PI) / 180, (TAU * i) / n),
    );
    const found = eccentricOf(readings);
    expect(Math.abs(found.off / e - 1)).toBeLessThan(0.005);
    expect(found.towardDeg).toBeCloseTo(phi, 0);
    expect(found.rest).toBeLessThan(0.003);
  });
  test('a zero anywhere on the indicator makes no difference; a dent is no eccentricity', () => {
    const round = [0, 0.02, 0.05, 0.02];
    const shifted = eccentricOf(round.map((r) => r + 3));
    expect(shifted.off).toBeCloseTo(eccentricOf(round).off, 9);
    const dent = eccentricOf([0, 0, 0, 0, 0, 0.2, 0, 0, 0, 0, 0, 0]);
    expect(dent.runout).toBeCloseTo(0.2, 9);
    expect(dent.rest).toBeGreaterThan(dent.off);
  });
  test('a round blank in its middle', () => {
    expect(eccentricOf([0.1, 0.1, 0.1])).toMatchObject({ runout: 0, towardDeg: 0 });
    expect(goodFor(0.01)).toMatch('quiet');
    expect(goodFor(0.5)).toMatch('indicate it again');
  });
});

describe('which way the cut pushes, by the velocity of the cutting point', () => {
  /** x to the right, y away from you, z up; spin seen from in front (along +y) or from above (along −z). */
  const velocity = (upright: boolean, spin: 'clockwise' | 'counter', side: 'behind' | 'front'): number => {
    const sense = spin === 'clockwise' ? 1 : -1;
    // the work seen from the middle of the cutter: below it, or towards you, or away from you
    const [py, pz] = upright ? [side === 'behind' ? -1 : 1, 0] : [0, -1];
    // clockwise seen along an axis is a positive turn about the direction of sight
    const [ay, az] = upright ? [0, -1] : [1, 0];
    return sense * (ay * pz - az * py);
  };
  test.each([
    [false, 'clockwise', 'behind'],
    [false, 'counter', 'behind'],
    [true, 'clockwise', 'behind'],
    [true, 'counter', 'behind'],
    [true, 'clockwise', 'front'],
    [true, 'counter', 'front'],
  ] as const)('upright %s, %s, %s', (upright, spin, side) => {
    const { toward } = thrustOf({ headAt: 'left', spin, side, feed: 'right' }, upright);
    expect(toward).toBe(velocity(upright, spin, side) < 0 ? 'left' : 'right');
  });
  test('against the feed is conventional; the end that goes ahead is met first', () => {
    const as = (feed: 'left' | 'right') =>
      thrustOf({ headAt: 'left', spin: 'clockwise', side: 'behind', feed }, false);
    expect(as('right')).toMatchObject({
      toward: 'left',
      climb: false,
      toHead: true,
      entry: 'right',
      entryAtHead: false,
    });
    expect(as('left')).toMatchObject({ climb: true, entryAtHead: true });
  });
});

describe('the cutter to the middle', () => {
  const found = centringsOf({ outside: 67.5, width: 5, paper: 0.03, centreHeight: 125, upright: false });
  const by = (which: string, all = found) => all.find((each) => each.by === which)!.move;
  test('a cutter that touches the side, or lies level with it, ends with its middle on the axis', () => {
    // its middle stands half its width and the paper beside the work; or half its width inside its edge
    expect(-(67.5 / 2) - 0.03 - 5 / 2 + by('touch')!).toBeCloseTo(0, 9);
    expect(67.5 / 2 - 5 / 2 - by('far')!).toBeCloseTo(0, 9);
  });
  test('upright, the height gauge goes to the upper face of a cutter that stands on the axis', () => {
    const upright = centringsOf({ outside: 67.5, width: 5, paper: 0, centreHeight: 125, upright: true });
    expect(by('height', upright)).toBeCloseTo(127.5, 9);
    expect(by('point', upright)).toBeNull();
  });
  test('the figure stands behind the words that say what it is for, and after the cutter is clear', () => {
    const words = (upright: boolean, paper = 0.03) =>
      centringsOf({ outside: 67.5, width: 5, paper, centreHeight: 125, upright }).map(({ first, then }) => [
        first,
        then,
      ]);
    expect(words(false)[0]).toEqual([
      'Spindle stopped. Bring the near face of the cutter to the side of the work until the paper is just held.',
      'Draw clear along the table; then go on the same way by the cross screw, by:',
    ]);
    expect(words(true)[0]![1]).toBe('Draw clear along the table; then raise the knee, by:');
    expect(words(true)[2]![0]).toBe('Set the height gauge, from the table, to:');
    // no paper is asked for where none is given
    expect(words(false, 0)[0]![0]).toMatch(/until it just touches\.$/);
    expect(words(true, 0)[0]![0]).toMatch(/until the work just touches the lower face of the cutter\.$/);
  });
  test('what is not known is not made up', () => {
    expect(
      centringsOf({ outside: null, width: 5, paper: 0, centreHeight: null, upright: true }).every(
        ({ move }) => move === null,
      ),
    ).toBe(true);
  });
});

describe('a move on a dial', () => {
  const dial = { lead: 5, marks: 100, travel: null };
  test.each([
    [36.25, '7 turns + 25 marks'],
    [5, '1 turn'],
    [0.05, '1 mark'],
    [12.333, '2 turns + 46.7 marks'],
    [4.9999, '1 turn'],
    [0, '0 marks'],
  ])('%d mm is %s', (mm, words) => expect(moveText({ mm, dial, readout: false, system: 'mm' })).toBe(words));
  test('turns and marks make up the length again', () => {
    for (const mm of [0.013, 1.7, 33.333, 128.99]) {
      const { turns, marks } = dialMove(mm, dial);
      expect(turns * 5 + marks * 0.05).toBeCloseTo(mm, 2);
    }
  });
  test('a readout, or a screw that is not known, is given the length', () => {
    expect(moveText({ mm: 36.25, dial, readout: true, system: 'mm' })).toBe('36.250 mm');
    expect(moveText({ mm: 25.4, dial: null, readout: false, system: 'in' })).toBe('1.0000 in');
  });
});

describe('what has to fit, by running it', () => {
  const cutting = { depth: 3, cutterDiameter: 60, cutterWidth: 6, face: 20, helixDeg: 0 };
  const stroke = strokeOf(cutting);
  const thrust = thrustOf({ headAt: 'left', spin: 'clockwise', side: 'behind', feed: 'right' }, false);
  const room: Room = {
    cutting,
    stroke,
    thrust,
    indexAt: 'entry',
    outside: 70,
    system: 'mm',
    upright: false,
    offset: null,
    tableTravel: 500,
    crossTravel: null,
    kneeTravel: null,
    roomUnder: null,
    centreHeight: null,
    collar: null,
    jaw: { gap: null, across: null },
    tail: { gap: null, across: null },
  };
  const of = (key: string, more: Partial<Room> = {}) =>
    fitsOf({ ...room, ...more }).find((fit) => fit.key === key)!;

  test.each([-180, 0, 40, 222])('the table, with the work %d mm off its middle', (offset) => {
    for (const entry of ['left', 'right'] as const)
      for (const indexAt of ['entry', 'exit'] as const) {
        let far = 0;
        const travel = stroke.travel[indexAt];
        // step the cutter through the work and see where the table has to stand
        for (let s = 0; s <= 1000; s += 1) {
          const gone = (travel * s) / 1000;
          const from = 20 / 2 + stroke.approach + CLEAR_BY;
          const c = entry === 'right' ? from - gone : gone - from;
          far = Math.max(far, Math.abs(-(offset + c)));
        }
        expect(tableNeeds({ room, offset, entry, indexAt })).toBeCloseTo(2 * far, 6);
      }
  });
  test('too far out: told, with ways out that really help', () => {
    const short = of('table', { offset: 240, tableTravel: 500 });
    expect(short).toMatchObject({ fits: false });
    const nearer = /(\d+) mm nearer/.exec(short.remedies.join(' '))![1]!;
    expect(of('table', { offset: 240 - Number(nearer), tableTravel: 500 }).fits).toBe(true);
    const inches = of('table', { offset: 240, tableTravel: 500, system: 'in' }).remedies.join(' ');
    const [, byInches] = /([\d.]+) in nearer/.exec(inches)!;
    expect(of('table', { offset: 240 - Number(byInches) * 25.4, tableTravel: 500 }).fits).toBe(true);
    // no more than a twentieth of an inch beyond what is needed
    expect(of('table', { offset: 240 - (Number(byInches) - 0.05) * 25.4, tableTravel: 500 }).fits).toBe(
      false,
    );
  });
  test.each([15, 30, 45])(
    'jaws beside a blank whose teeth lean by %d°: a·cos β + w·sin β, and never less than the disk',
    (deg) => {
      const leaning = { ...cutting, helixDeg: deg };
      const b = (deg * Math.PI) / 180;
      const { needs } = of('head-end', {
        cutting: leaning,
        stroke: strokeOf(leaning),
        jaw: { gap: 0, across: 70 },
      });
      // jaws as large as the work stand 3 mm above the root: a = √(3 · 57)
      expect(needs).toBeCloseTo(Math.sqrt(3 * 57) * Math.cos(b) + 6 * Math.sin(b), 6);
      // points of both sides of its rim, its middle as far past the face as the teeth need to be through
      let reach = 0;
      for (let i = 0; i <= 20000; i += 1) {
        const t = Math.PI + (Math.PI * i) / 20000;
        const u = 30 * Math.cos(t);
        for (const v of [-3, 3]) {
          const [along, across] = [u * Math.cos(b) + v * Math.sin(b), -u * Math.sin(b) + v * Math.cos(b)];
          if (Math.hypot(across, 70 / 2 - 3 + 30 + 30 * Math.sin(t)) <= 35) reach = Math.max(reach, along);
        }
      }
      const past = reach + 3 * Math.sin(b);
      expect(needs).toBeGreaterThanOrEqual(past - 1e-6);
      expect(needs).toBeLessThan(past * 1.25);
    },
  );
  test('jaws beside the blank: the rim of the cutter just clears them at the gap that is said', () => {
    for (const across of [60, 66, 70, 120]) {
      const { needs } = of('head-end', { jaw: { gap: 0, across } });
      // at the end of the cut its middle stands over the far face, at depth
      const low = 70 / 2 - 3;
      let reach = 0;
      for (let i = 0; i <= 20000; i += 1) {
        const t = (Math.PI * i) / 20000;
        const [x, y] = [30 * Math.cos(t), low + 30 - 30 * Math.sin(t)];
        if (y <= across / 2) reach = Math.max(reach, x);
      }
      expect(needs).toBeCloseTo(reach, 2);
    }
    // what is smaller than the root is never met
    expect(of('head-end', { jaw: { gap: 0, across: 60 } })).toMatchObject({ needs: 0, fits: true });
  });
  test('the end where it enters needs the approach as well', () => {
    const [enters, leaves] = [of('tail-end').needs, of('head-end').needs];
    expect(enters - leaves).toBeCloseTo(stroke.approach + CLEAR_BY - lagOf(cutting), 9);
    expect(of('head-end', { indexAt: 'exit' }).needs).toBeCloseTo(enters, 9);
  });
  test('room under the arbor, collars, and an upright spindle’s cross travel', () => {
    expect(of('height', { centreHeight: 125, roomUnder: 180 })).toMatchObject({
      needs: 125 + 35 + 30 + 2,
      fits: false,
    });
    expect(of('collar', { collar: 53 })).toMatchObject({ needs: 61, has: 60, fits: false });
    expect(of('collar', { collar: 52 }).fits).toBe(true);
    expect(of('cross', { upright: true, crossTravel: 180 })).toMatchObject({ needs: 134, fits: true });
    expect(of('raise', { centreHeight: 125, roomUnder: 400, kneeTravel: 200 })).toMatchObject({
      needs: 213,
      fits: false,
    });
  });
});

describe('keyways and time', () => {
  test('two cuts beside the middle leave exactly the key', () => {
    const round = { of: 'shaft', diameter: 20 } as const;
    const { offset, travel } = keywayOf({ width: 6, cutter: 4, depth: 2.8, round });
    expect([offset + 4 / 2, -offset - 4 / 2]).toEqual([3, -3]);
    // from the top of the shaft down to where the sides begin, and the depth there
    expect(travel).toBeCloseTo(10 - Math.sqrt(91) + 2.8, 9);
    expect(keywayOf({ width: 6, cutter: 6, depth: null, round: null })).toMatchObject({
      passes: 1,
      offset: 0,
      travel: null,
    });
  });
  test('honest to five minutes, then to the half hour', () => {
    expect(minutesFor({ cuts: 60, travel: 30, feed: 60, returnSeconds: 15, indexSeconds: 30 })).toBeCloseTo(
      75,
      9,
    );
    expect([2, 63, 118, 121, 200, 300].map(timeText)).toEqual([
      '5 min',
      '65 min',
      '120 min',
      '2 hours',
      '3½ hours',
      '5 hours',
    ]);
  });
});
