import { describe, expect, test } from '@jest/globals';
import { plan, stationOf } from '../plan/index.ts';
import type { StationId } from '../station/index.ts';
import { measure } from '../units/index.ts';
import { drawnDriveJob, withMill, withPart } from '../job/index.ts';
import {
  acos,
  angleOfInv,
  atan,
  BENCH,
  cos,
  count,
  inv,
  mm,
  PI,
  RAD,
  reach,
  sin,
  sqrt,
  tan,
  workedJob,
  workedPart,
} from './bench.ts';

/*
 * What stations tell beside their values (a drawing’s sizes, a pair’s mesh, a swung table, a ring to be
 * drilled), and the figures of their cautions, each by its formula. Sources: docs/sources.md#worked.
 */

/** A worked figure as it is compared: to a hundred thousandth. */
function near(worked: unknown): unknown {
  if (typeof worked === 'number') return expect.closeTo(worked, 5);
  if (Array.isArray(worked)) return worked.map(near);
  if (typeof worked !== 'object' || worked === null || 'asymmetricMatch' in worked) return worked;
  return Object.fromEntries(Object.entries(worked).map(([key, value]) => [key, near(value)]));
}
const tells = (part: ReturnType<typeof workedPart>, id: StationId, worked: object): void =>
  expect(part.stations.find((one) => one.id === id)!.detail).toMatchObject(near(worked) as object);
const caution = (part: ReturnType<typeof workedPart>, id: StationId, code: string): string =>
  part.stations.find((one) => one.id === id)!.cautions.find((one) => one.code === code)!.text;

const a = 20 * RAD;

describe('a spur gear of 30 teeth of module 1.5 with a mate of 45 at 56.5', () => {
  const part = workedPart(
    workedJob({ units: 'mm', mill: 'lying' }, (bare) => ({
      ...bare,
      gear: {
        ...bare.gear,
        pitch: measure('1.5', 'module'),
        teeth: count('30'),
        mate: { ...bare.gear.mate, teeth: count('45'), centre: mm('56.5'), backlash: mm('0.1') },
      },
      blank: { ...bare.blank, faceWidth: mm('12'), bore: mm('10') },
      setup: { ...bare.setup, cutterDiameter: mm('60'), cutterWidth: mm('5'), indexAt: 'exit' },
    })),
  );
  const [m, z1, z2, centre] = [1.5, 30, 45, 56.5];
  const [r1, r2] = [(z1 * m) / 2, (z2 * m) / 2];
  const [b1, b2] = [r1 * cos(a), r2 * cos(a)];

  test('the mesh: angle, contact, backlash, and where what is wanted would be', () => {
    const working = acos((b1 + b2) / centre);
    const backlash = 2 * centre * (inv(working) - inv(a));
    // the centre at which the involutes leave 0.1 between them, by halving
    let [low, high] = [56.25, 57];
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + high) / 2;
      if (2 * middle * (inv(acos((b1 + b2) / middle)) - inv(a)) < 0.1) low = middle;
      else high = middle;
    }
    tells(part, 'gear', {
      mesh: {
        mateTeeth: 45,
        wanted: 0.1,
        centreForWanted: low,
        // more than is wanted is there already
        thinner: 0,
        deeper: 0,
        undercut: [false, false],
        report: {
          nominalCentre: 56.25,
          centre,
          operatingAngle: working,
          // 0.25·m at the drawing's centre, and what the shafts are spread
          tipClearance: [0.25 * m + 0.25, 0.25 * m + 0.25],
          contactRatio:
            (sqrt((r1 + m) ** 2 - b1 ** 2) + sqrt((r2 + m) ** 2 - b2 ** 2) - centre * sin(working)) /
            (PI * m * cos(a)),
          backlash,
        },
      },
    });
  });

  test('the other depths in use, ISO 53 in force', () => {
    const depths = [2.25, 2.157, 2.25, 2.2 + 0.0508 / m, 1.8, 13 / 6, 2.156].map((part) => part * m);
    expect(stationOf(part, 'gear')!.detail.otherDepths.map((one) => [one.mm, one.inForce])).toEqual(
      depths.map((deep, i) => [expect.closeTo(deep, 4), i === 0]),
    );
  });

  test('the drawing of the blank, and what the form of the space is worked out from', () => {
    tells(part, 'blank', {
      drawing: {
        teeth: 30,
        tipDiameter: 48,
        pitchDiameter: 45,
        baseDiameter: 2 * b1,
        rootDiameter: 48 - 2 * 2.25 * m,
        pressureAngle: a,
        // half the pitch, along the pitch circle
        toothThickness: (PI * m) / 2,
        bore: 10,
        faceWidth: 12,
      },
    });
    // over the pitch line: 60 less twice what lies below it, 1.25 of the module
    tells(part, 'cutter', {
      virtual: null,
      ground: {
        helixDeg: 0,
        cutterDiameter: 60 - 2 * 1.25 * m,
        form: { teeth: 30, module: m, pressureAngle: a, addendum: m, wholeDepth: 2.25 * m, thinning: 0 },
      },
    });
  });

  test('indexed where it comes out: how far past the touch, as the caution says it', () => {
    const reached = reach(2.25 * m, 60);
    expect(caution(part, 'setup', 'index-clear')).toBe(
      `run on to ${(2 * reached + 12).toFixed(2)} mm past the first touch. Turned any sooner, the cutter nicks the next land.`,
    );
    expect(caution(part, 'cutter', 'cutter-schools')).toContain(
      'No. 4 of the other school is another cutter',
    );
  });

  test('a ring of thirty holes to be drilled: each hole where its angle puts it', () => {
    const { made } = stationOf(part, 'dividing')!.detail;
    expect(made).toMatchObject({ holes: 30, pitchCircle: 100, holeSize: 3, startAngleDeg: 0 });
    expect(made!.drilling.map(({ hole }) => hole).sort((x, y) => x - y)).toEqual(
      Array.from({ length: 30 }, (_, hole) => hole),
    );
    // the first straight up, the others round with the clock
    for (const { hole, x, y } of made!.drilling)
      expect([x, y]).toEqual([
        expect.closeTo(50 * sin((2 * PI * hole) / 30), 3),
        expect.closeTo(50 * cos((2 * PI * hole) / 30), 3),
      ]);
    // between two holes their chord is left, less a hole
    expect(made!.land).toBeCloseTo(100 * sin(PI / 30) - 3, 9);
    // 0.02 beside its place at a radius of 50, seen straight and through 40 : 1; in turns
    expect(made!.errorDirect).toBeCloseTo(0.02 / (2 * PI * 50), 9);
    expect(made!.errorBehindWorm).toBeCloseTo(0.02 / (2 * PI * 50) / 40, 12);
  });
});

describe.each(['right', 'left'] as const)(
  'a helical gear of 30 teeth of module 1.5 at 20°, %s-hand',
  (hand) => {
    const part = workedPart(
      workedJob({ units: 'mm', mill: 'lying' }, (bare) => ({
        ...bare,
        gear: {
          ...bare.gear,
          pitch: measure('1.5', 'module'),
          teeth: count('30'),
          helix: measure('20', 'deg'),
          hand,
        },
        blank: { ...bare.blank, faceWidth: mm('18'), bore: mm('12') },
        setup: { ...bare.setup, cutterDiameter: mm('60'), cutterWidth: mm('5') },
      })),
    );
    const [z, m, beta, b] = [30, 1.5, 20 * RAD, 18];
    const mt = m / cos(beta);
    // sizes rest to a thousandth, as they are turned
    const d = Number((z * mt).toFixed(3));
    const lead = (PI * d) / tan(beta);

    test('across the axis and along it', () => {
      tells(part, 'gear', {
        helical: {
          helixDeg: 20,
          hand,
          lead: expect.closeTo(lead, 2),
          transverseModule: mt,
          pitchDiameter: expect.closeTo(z * mt, 3),
          tipDiameter: expect.closeTo(z * mt + 2 * m, 3),
          // the same lead on a larger cylinder
          tipHelixDeg: expect.closeTo(atan((PI * (d + 2 * m)) / lead) / RAD, 3),
        },
      });
    });
    test('cut as: by the book, and by the roundness of the cutter at its pitch line', () => {
      const book = z / cos(beta) ** 3;
      const disk = book + ((60 - 2 * 1.25 * m) / m) * tan(beta) ** 2;
      tells(part, 'cutter', { virtual: { book, disk }, ground: { helixDeg: 20, cutterDiameter: 56.25 } });
      // 41.1 belongs to 35 … 54
      expect(part.stations.find(({ id }) => id === 'cutter')!.answer).toBe('No. 3 inch, No. 6 metric');
    });
    test('the train, the table and the scribed line', () => {
      // 40 turns of a screw of 5; 72·44 over 48·32
      const cut = (200 * 72 * 44) / (48 * 32);
      const angle = atan((PI * d) / cut) / RAD;
      const h = 2.25 * m;
      const astray = b * PI * d * (1 / cut - 1 / lead) * 1000;
      tells(part, 'lead', {
        wanted: expect.closeTo(lead, 2),
        machine: 200,
        allowed: 20,
        faceWidth: 18,
        inForce: {
          lead: cut,
          helixDeg: expect.closeTo(angle, 4),
          overFace: expect.closeTo(astray, 1),
          // four gears turn the work the way its screw does: a left hand wants an idler more
          idlers: hand === 'right' ? 0 : 1,
        },
        table: {
          by: 'table',
          way: hand === 'right' ? 'away' : 'towards',
          degrees: expect.closeTo(angle, 4),
          scale: 20,
          off: expect.closeTo(20 - angle, 4),
          // a disk laid beside its groove widens the mouth by its length in the metal
          wider: expect.closeTo(2 * reach(h, 60) * tan((angle - 20) * RAD), 4),
        },
        // over the face the work turns 18 of a lead; at the outside that goes round by so much
        test: {
          spindleDeg: expect.closeTo((b / cut) * 360, 4),
          round: expect.closeTo((b / cut) * PI * (d + 2 * m), 3),
          leans: hand === 'right' ? 'towards' : 'away',
        },
        approach: expect.closeTo(reach(h, 60) * cos(beta) + 2.5 * sin(beta), 3),
        proof: { spaces: 30, even: true, worst: expect.closeTo(astray, 1) },
      });
    });
  },
);

describe('a worm of one start, module 2 on Ø 24, and its wheel of 40', () => {
  const [m, z2, d1] = [2, 40, 24];
  const [px, gamma, h] = [PI * m, atan(m / d1), 2.2 * m];
  const job = withPart(
    withMill({
      job: drawnDriveJob({ id: 'd', name: 'Drive', shop: BENCH }),
      partId: 'p1',
      millId: 'lying',
      shop: BENCH,
    }),
    'p1',
    (part) =>
      part.kind === 'wheel'
        ? { ...part, setup: { ...part.setup, cutterDiameter: mm('50'), cutterWidth: mm('6') } }
        : part,
  );
  const part = (id: string) => plan(job, BENCH).parts.find((one) => one.id === id)!;

  test('the pair: lead angle beside the angle of friction, the length the wheel reaches over, usual worms', () => {
    const centre = (d1 + m * z2) / 2;
    tells(part('p2'), 'drive', {
      shape: {
        axialModule: m,
        wheelDiameter: 80,
        centre,
        addendum: m,
        worm: {
          axialPitch: px,
          lead: px,
          leadAngle: gamma,
          outside: d1 + 2 * m,
          root: d1 + 2 * m - 2 * h,
          depth: h,
          normalModule: m * cos(gamma),
        },
      },
      pair: {
        ratio: '40',
        leadAngleDeg: gamma / RAD,
        // bronze on steel, oiled: 0.1 across flanks of 20°, common practice
        frictionDeg: atan(0.1 / cos(a)) / RAD,
        selfLocking: true,
        engaged: 4 * sqrt(((m * z2) / 2) * m),
        undercutBelow: 2 / sin(a) ** 2,
      },
    });
  });
  test('the tool, level along the axis, and the infeed along its flank', () => {
    const flat = px / 2 - 2 * (h - m) * tan(a);
    tells(part('p2'), 'worm', {
      tool: {
        includedAngle: 2 * a,
        flat,
        width: flat + 2 * h * tan(a),
        // 4° beside the lead at the root, and less the lead at the outside
        leading: 4 + atan(px / (PI * (d1 + 2 * m - 2 * h))) / RAD,
        trailing: 4 - atan(px / (PI * (d1 + 2 * m))) / RAD,
      },
      infeed: { radial: h, alongFlank: h / cos(a) },
      // whole degrees: 5 for 4° 46′, over 10 mm
      onScale: { degrees: 5, off: 5 - gamma / RAD, lean: 10_000 * tan(5 * RAD - gamma) },
    });
    const [inch] = stationOf(part('p2'), 'worm')!.detail.schools;
    // 29°, Machinery’s Handbook: depth 0.6866, flat 0.310, crest 0.335 of the pitch; four figures are printed
    // of the first, three of the others
    expect(inch!.depth / px).toBeCloseTo(0.6866, 4);
    expect(inch!.flat / px).toBeCloseTo(0.31, 3);
    expect(inch!.crest / px).toBeCloseTo(0.335, 3);
  });
  test('what would stand for π on the lathe, over what the wheel reaches', () => {
    const engaged = 4 * sqrt(80);
    const { standIns } = stationOf(part('p2'), 'lathe')!.detail;
    expect(standIns.map(({ text, overLength }) => [text, overLength])).toEqual(
      [
        [22, 7],
        [355, 113],
        [157, 50],
        [377, 120],
      ].map(([over, under]) => [
        `${over}/${under}`,
        expect.closeTo(engaged * (over! / under! / PI - 1) * 1000, 6),
      ]),
    );
  });
  test('the rim, and how deep from where the cutter meets it', () => {
    const wheel = part('p1');
    const hollow = d1 / 2 - m;
    const corners = 2 * (d1 / 2 + (m * z2) / 2 - hollow * cos(30 * RAD));
    tells(wheel, 'wheelBlank', {
      facts: {
        throat: 84,
        throatRadius: hollow,
        outside: corners,
        hollow: 2 * hollow * sin(30 * RAD),
        corners,
      },
      // face widths: 2.38·p and a quarter of an inch, and 2·m·(½ + √(q + 1)); from memory and common practice
      usual: [{ mm: 2.38 * px + 6.35 }, { mm: 2 * m * (0.5 + sqrt(d1 / m + 1)) }],
    });
    tells(wheel, 'wheel', { cutAs: 40, hobStock: null, infeed: { fromThroat: h } });
    const { fromCorners, rise } = stationOf(wheel, 'wheel')!.detail.infeed!;
    // the disk of Ø 50 falls away by `rise` at the corner, 5 to the side along its own plane
    expect(rise).toBeCloseTo(25 - sqrt(25 ** 2 - (5 / cos(gamma)) ** 2), 9);
    expect(caution(wheel, 'wheel', 'corners-first')).toBe(
      `the cutter meets the two corners before the throat. From there it goes ${fromCorners!.toFixed(3)} mm; sunk only ${h.toFixed(3)} mm from there the teeth stay too thick.`,
    );
    expect(caution(wheel, 'setup', 'index-clear')).toBe(
      `draw the work back past the touch, ${fromCorners!.toFixed(2)} mm out of the bottom. Turned any sooner, the work gouges itself on the cutter.`,
    );
  });
});

test('an involute looked up is the angle it came from', () => {
  // the one tool these tables have of their own
  expect(angleOfInv(inv(0.37))).toBeCloseTo(0.37, 12);
});
