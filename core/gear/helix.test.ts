import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { crossedForCentre, crossedPair, mateOnCrossedShafts } from '../mesh/index.ts';
import { approx, exact, measure, type Unit } from '../units/index.ts';
import { depthByRule, plainTeeth, planGear, readGear, spurSizes, type GearInput } from './index.ts';

const RAD = Math.PI / 180;
const rad = (degrees: number) => degrees * RAD;
const m = (typed: string, unit: Unit) => measure(typed, unit);

interface Given extends Partial<Omit<GearInput, 'mate'>> {
  readonly mate?: Partial<GearInput['mate']>;
}
function gear({ mate = {}, ...more }: Given = {}): GearInput {
  const plain = plainTeeth('mm');
  return {
    pitch: m('2', 'module'),
    teeth: m('30', 'count'),
    pressureAngle: m('20', 'deg'),
    depth: {
      rule: 'iso53-a',
      stamped: m('', 'mm'),
      addendum: m('', 'mm'),
      wholeDepth: m('', 'mm'),
      readFrom: '',
    },
    ...plain,
    ...more,
    mate: { ...plain.mate, ...mate },
  };
}
const read = (given: Given) => readGear(gear(given), 'mm');
const says = (given: Given) =>
  read(given).issues.map((issue) => `${issue.severity} ${issue.path}: ${sayIssue(issue)}`);
const planned = (given: Given) =>
  planGear({
    read: read(given),
    path: 'gear',
    units: 'mm',
    cutterTeeth: 30,
    mateThinning: 0,
    together: false,
  });

describe('the helix angle, whatever fixes it', () => {
  test('typed: the normal pitch stays, both planes follow', () => {
    const work = planned({ helix: m('20°', 'deg'), hand: 'left' });
    // d = 30·2/cos 20°, mt = 2/cos 20°, L = π·30·2/sin 20°: by hand
    expect(work.detail.helical).toMatchObject({ hand: 'left', helixDeg: 20 });
    expect(work.detail.helical!.transverseModule).toBeCloseTo(2.1283555, 6);
    expect(work.detail.helical!.pitchDiameter).toBeCloseTo(63.850666, 5);
    expect(work.detail.helical!.lead).toBeCloseTo(551.1241, 3);
    // half a pitch, seen across the axis
    expect(work.facts!.transverse.toothThickness).toBeCloseTo(Math.PI / Math.cos(rad(20)), 9);
    expect(work.answer).toBe('30 teeth, m 2, 20°, helix 20° left');
  });

  test('a transverse pitch: the pitch diameter is whole, the cutter’s pitch is finer', () => {
    const work = planned({ helix: m('20', 'deg'), pitchPlane: 'transverse' });
    expect(work.detail.helical!.pitchDiameter).toBeCloseTo(60, 5);
    expect(work.detail.helical!.transverseModule).toBeCloseTo(2, 7);
    expect(approx(work.facts!.module)).toBeCloseTo(2 * Math.cos(rad(20)), 8);
    // no stock cutter has it
    expect(work.issues.map(({ code }) => code)).toContain('pitch-not-standard');
  });

  test('both pitches: the cosine is one over the other; exchanged they cannot be', () => {
    const mt = (2 / Math.cos(rad(17))).toFixed(6);
    expect(approx(read({ helixFrom: 'pitches', otherPitch: m(mt, 'module') }).helixDeg)).toBeCloseTo(17, 4);
    expect(
      approx(
        read({
          helixFrom: 'pitches',
          pitchPlane: 'transverse',
          pitch: m(mt, 'module'),
          otherPitch: m('2', 'module'),
        }).helixDeg,
      ),
    ).toBeCloseTo(17, 4);
    // 12 P normal with 11 P transverse: cos β = 11/12
    expect(
      approx(read({ helixFrom: 'pitches', pitch: m('12', 'dp'), otherPitch: m('11', 'dp') }).helixDeg),
    ).toBeCloseTo(Math.acos(11 / 12) / RAD, 6);
    expect(says({ helixFrom: 'pitches', otherPitch: m('1.9', 'module') }).join()).toMatch(
      /wrong otherPitch: .*never wider apart. Were the two exchanged/,
    );
    expect(approx(read({ helixFrom: 'pitches', otherPitch: m('2', 'module') }).helixDeg)).toBe(0);
  });

  test('both pitches beside an angle have to agree with it', () => {
    const mt = (2 / Math.cos(rad(20))).toFixed(4);
    expect(says({ helix: m('20', 'deg'), otherPitch: m(mt, 'module') })).toEqual([]);
    const odds = says({ helix: m('20', 'deg'), otherPitch: m('2.2', 'module') });
    expect(odds).toHaveLength(1);
    expect(odds[0]).toMatch(/wrong otherPitch: .*would be 2.1284, not 2.2. The two as given mean 24.62/);
    // the gear goes on by its angle
    expect(planned({ helix: m('20', 'deg'), otherPitch: m('2.2', 'module') }).facts).not.toBeNull();
  });

  test('a centre distance: 2(30 + 45)/2 = 75 straight, so 80 needs acos(75/80)', () => {
    const mate = { teeth: m('45', 'count'), centre: m('80', 'mm') };
    expect(approx(read({ helixFrom: 'centre', mate }).helixDeg)).toBeCloseTo(Math.acos(75 / 80) / RAD, 6);
    expect(says({ helixFrom: 'centre', mate: { ...mate, centre: m('74', 'mm') } }).join()).toMatch(
      /closer than these counts stand as straight gears, 75.00 mm/,
    );
    expect(says({ helixFrom: 'centre', mate: { ...mate, centre: m('900', 'mm') } }).join()).toMatch(
      /no cutter can be laid along/,
    );
    expect(says({ helixFrom: 'centre', mate: {} }).join()).toMatch(
      /needed mate.teeth: Still needed: the teeth of the mate/,
    );
    expect(says({ helixFrom: 'centre', pitchPlane: 'transverse', mate }).join()).toMatch(
      /cannot tell the angle/,
    );
    expect(approx(read({ helixFrom: 'centre', mate: { ...mate, centre: m('75', 'mm') } }).helixDeg)).toBe(0);
  });

  test('a lead, and a print off the tips, give back the angle they came from (seed 5)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 120 }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.boolean(),
        (z, deg, transverse) => {
          const beta = rad(deg);
          const mn = transverse ? 2 * Math.cos(beta) : 2;
          const d = (z * mn) / Math.cos(beta);
          const lead = (Math.PI * d) / Math.tan(beta);
          const tips = Math.atan((Math.PI * (d + 2 * mn)) / lead) / RAD;
          const given = {
            teeth: m(String(z), 'count'),
            pitchPlane: transverse ? ('transverse' as const) : ('normal' as const),
          };
          expect(
            approx(read({ ...given, helixFrom: 'lead', lead: m(lead.toFixed(9), 'mm') }).helixDeg),
          ).toBeCloseTo(deg, 5);
          expect(
            approx(read({ ...given, helixFrom: 'print', helix: m(tips.toFixed(9), 'deg') }).helixDeg),
          ).toBeCloseTo(deg, 4);
        },
      ),
      { seed: 5, numRuns: 120 },
    );
    expect(says({ helixFrom: 'lead', lead: m('100', 'mm') }).join()).toMatch(
      /too short for these teeth: at any angle it is more than 188.50 mm/,
    );
  });

  test.each([
    ['-5', /lies from 0° \(spur\) to 80°; which way it leans is its hand/],
    ['90', /lies from 0° \(spur\) to 80°/],
    ['abc', /cannot be read/],
  ])('an angle of %s is answered at its field, and nothing is built on it', (typed, why) => {
    expect(says({ helix: m(typed, 'deg') }).join()).toMatch(why);
    expect(planned({ helix: m(typed, 'deg') }).facts).toBeNull();
  });

  test('undercut is judged in the plane of rotation: 16 teeth at 45° have none', () => {
    // z = 2·cos β/sin²αt, tan αt = tan 20°/cos 45°: 6.75
    const codes = (teeth: string, helix: string) =>
      planned({ teeth: m(teeth, 'count'), helix: m(helix, 'deg') }).issues.map(({ code }) => code);
    expect(codes('16', '0')).toContain('undercut');
    expect(codes('16', '45')).not.toContain('undercut');
    expect(codes('5', '45')).toContain('undercut');
  });

  test('β of 0, and towards it, is the spur gear', () => {
    const spur = planned({});
    expect(planned({ helix: m('0', 'deg') }).facts).toEqual(spur.facts);
    expect(planned({ helix: m('0', 'deg') }).values).toEqual(spur.values);
    const [near, flat] = ['0.0001', '0'].map((deg) =>
      spurSizes({
        teeth: 30,
        pitch: read({}).pitch!,
        pressureAngleDeg: exact(20),
        depth: depthByRule('iso53-a', exact(2)),
        variation: {
          helixDeg: exact(deg),
          hand: 'right',
          thinning: exact(0),
          cutterTeeth: 30,
        },
      }),
    );
    for (const key of ['pitchDiameter', 'tipDiameter', 'rootDiameter'] as const)
      expect(approx(near![key])).toBeCloseTo(approx(flat![key]), 6);
    expect(near!.baseDiameter).toBeCloseTo(flat!.baseDiameter, 6);
  });
});

describe('crossed shafts', () => {
  // Source: Machinery's Handbook, helical gears on shafts at right angles, both 45° and of one hand (from
  // memory): C = (N1 + N2)/(2·P·cos 45°)
  test('two of 45° and one hand stand at right angles', () => {
    const pair = crossedPair({
      normalModule: 2.54,
      teeth: [10, 20],
      helixAngles: [rad(45), rad(45)],
      hands: ['right', 'right'],
    });
    expect(pair.shaftAngle / RAD).toBeCloseTo(90, 9);
    expect(pair.centre / 25.4).toBeCloseTo(30 / (20 * Math.SQRT1_2), 6);
    expect(pair.ratio).toBe(2);
  });

  test('opposite hands: the difference; equal angles are the parallel pair and do not slide', () => {
    const pair = (a: number, b: number) =>
      crossedPair({
        normalModule: 1,
        teeth: [20, 30],
        helixAngles: [rad(a), rad(b)],
        hands: ['right', 'left'],
      });
    expect(pair(50, 20).shaftAngle / RAD).toBeCloseTo(30, 9);
    expect(pair(20, 20)).toMatchObject({ shaftAngle: 0, sliding: 0 });
    expect(pair(20, 20).centre).toBeCloseTo(50 / (2 * Math.cos(rad(20))), 9);
  });

  test('the tooth directions of both, laid on each other where they touch, are one line (seed 8)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 70, noNaN: true }),
        fc.double({ min: 2, max: 120, noNaN: true }),
        fc.constantFrom('right' as const, 'left' as const),
        (beta, sigma, hand) => {
          const mate = mateOnCrossedShafts(rad(beta), hand, rad(sigma));
          const report = crossedPair({
            normalModule: 1,
            teeth: [20, 30],
            helixAngles: [rad(beta), mate.helixAngle],
            hands: [hand, mate.hand],
          });
          expect(report.shaftAngle).toBeCloseTo(rad(sigma), 9);
          // seen along the common normal: the first gear from above, the second from below, where hands look
          // turned round
          const lean = (which: 'right' | 'left') => (which === 'right' ? -1 : 1);
          const first = lean(hand) * rad(beta);
          const second = -lean(mate.hand) * mate.helixAngle;
          const turn = hand === 'right' ? -rad(sigma) : rad(sigma);
          expect(Math.sin(first - (second + turn))).toBeCloseTo(0, 9);
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });

  test('the angles for a wanted centre distance are those a fine scan finds', () => {
    const distance = (beta: number) => (1.5 * (18 / Math.cos(beta) + 32 / Math.cos(rad(90) - beta))) / 2;
    for (const centre of [54, 60, 75]) {
      const { angles } = crossedForCentre({
        normalModule: 1.5,
        teeth: [18, 32],
        shaftAngle: rad(90),
        centre,
      });
      const crossings: number[] = [];
      for (let deg = 0.01; deg < 89.9; deg += 0.001)
        if (distance(rad(deg)) >= centre !== distance(rad(deg + 0.001)) >= centre) crossings.push(deg);
      expect(
        angles
          .map((angle) => angle / RAD)
          .sort((a, b) => a - b)
          .map((deg) => deg.toFixed(2)),
      ).toEqual(crossings.map((deg) => deg.toFixed(2)));
      for (const angle of angles) expect(distance(angle)).toBeCloseTo(centre, 9);
    }
    const none = crossedForCentre({ normalModule: 1.5, teeth: [18, 32], shaftAngle: rad(90), centre: 40 });
    expect(none.angles).toEqual([]);
    expect(none.least).toBeGreaterThan(50);
  });

  test('on the card: the mate follows from the shafts; what contradicts is said', () => {
    const crossed = { teeth: m('24', 'count'), shafts: 'crossed' as const };
    const work = planned({ helix: m('45', 'deg'), mate: { ...crossed, shaftAngle: m('90', 'deg') } });
    expect(work.detail.crossed).toMatchObject({ mateHand: 'right', mateTeeth: 24, ratio: 0.8 });
    expect(work.detail.crossed!.mateHelixDeg).toBeCloseTo(45, 9);
    expect(work.detail.crossed!.mateVirtual).toBeCloseTo(24 / Math.cos(rad(45)) ** 3, 6);
    expect(work.detail.mesh).toBeNull();
    const codes = (mate: Given['mate']) =>
      planned({ helix: m('45', 'deg'), mate: { ...crossed, ...mate } }).issues.map(
        ({ code, severity }) => `${severity} ${code}`,
      );
    expect(codes({ shaftAngle: m('90', 'deg'), helix: m('30', 'deg') })).toEqual(['wrong shafts-at-odds']);
    expect(codes({})).toEqual(['needed shafts-needed']);
    expect(codes({ shaftAngle: m('90', 'deg'), centre: m('70', 'mm') })).toEqual([
      'query crossed-centre-off',
    ]);
    const by = read({
      helixFrom: 'centre',
      mate: { ...crossed, shaftAngle: m('90', 'deg'), centre: m('80', 'mm') },
    });
    expect(by.issues.map(({ code }) => code)).toEqual(['helix-two-angles']);
    expect(
      says({
        helixFrom: 'centre',
        mate: { ...crossed, shaftAngle: m('90', 'deg'), centre: m('50', 'mm') },
      }).join(),
    ).toMatch(/stands at least 76/);
  });
});
