import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { approx, exact, exactText, pitchOf } from '../units/index.ts';
import {
  comparePitch,
  depthAsStamped,
  depthByRule,
  depthsOfAllSchools,
  isStandard,
  questionPitch,
  spurSizes,
  undercutLimit,
} from './index.ts';
import { gearOutline, involute, toothHalfAngle, toothOutline, type GearDrawing } from '../involute/index.ts';

const module = (m: string) => pitchOf('module', exact(m));
const dp = (p: string) => pitchOf('dp', exact(p));
const sizesOf = (
  teeth: number,
  pitch: ReturnType<typeof module>,
  angle = '20',
  rule: Parameters<typeof depthByRule>[0] = 'iso53-a',
) => spurSizes(teeth, pitch, exact(angle), depthByRule(rule, pitch.module));

describe('sizes', () => {
  test('58 teeth of module 1.25 at ISO 53 depth', () => {
    const s = sizesOf(58, module('1.25'));
    expect([s.pitchDiameter, s.tipDiameter, s.rootDiameter, s.clearance].map(exactText)).toEqual([
      '145/2',
      '75',
      '555/8',
      '5/16',
    ]);
    expect(s.baseDiameter).toBeCloseTo(68.1277, 4);
    expect(s.circularPitch).toBeCloseTo(3.92699, 5);
    expect(s.toothThickness).toBeCloseTo(1.9635, 4);
  });

  test('40 teeth of 12 DP: blank (z + 2)/P = 3.500 in exactly; the form-cutter depth is 0.1798 in (2.157/12)', () => {
    const s = sizesOf(40, dp('12'), '14.5', 'form-2.157');
    expect(exactText(s.tipDiameter.div(exact(254, 10)))).toBe('7/2');
    expect(approx(s.depth.wholeDepth) / 25.4).toBeCloseTo(0.17975, 6);
  });

  // Sources: ISO 53:1998 profile A (2.25); Machinery's Handbook, whole depth 2.157/P; ANSI B6.1 2.25/P;
  // ANSI B6.7 2.2/P + 0.002 in; American stub 1.8/P. 13/6 and 2.156: common practice.
  test('the whole depth of every school at 20 P, in inches', () => {
    const depths = depthsOfAllSchools(dp('20').module).map((depth) => [
      depth.rule?.id,
      approx(depth.wholeDepth) / 25.4,
    ]);
    const wanted = {
      'iso53-a': 0.1125,
      'form-2.157': 0.10785,
      'coarse-2.25': 0.1125,
      'fine-2.2': 0.112,
      'stub-1.8': 0.09,
      'book-13/6': 0.108333,
      'book-2.156': 0.1078,
    };
    for (const [id, depth] of depths) expect(depth).toBeCloseTo(wanted[id as keyof typeof wanted], 6);
    expect(depths).toHaveLength(7);
  });

  test('the depth stamped on the cutter wins, the addendum stays', () => {
    const stamped = depthAsStamped('form-2.157', dp('12').module, exact('0.1875').mul(exact('25.4')));
    expect(approx(stamped.wholeDepth)).toBeCloseTo(4.7625, 9);
    expect(exactText(stamped.addendum)).toBe('127/60');
  });

  // Source: Machinery's Handbook, undercut: 32 teeth at 14½°, 18 (17.1) at 20°
  test('undercut limits', () => {
    const limit = (angle: number) => undercutLimit(exact(1), exact(1), (angle * Math.PI) / 180);
    expect(limit(14.5)).toBeCloseTo(31.9, 1);
    expect(limit(20)).toBeCloseTo(17.1, 1);
  });
});

describe('tooth form', () => {
  const drawingOf = (teeth: number, m: string, angle = '20'): GearDrawing => {
    const s = sizesOf(teeth, module(m), angle);
    return {
      teeth,
      tipDiameter: approx(s.tipDiameter),
      pitchDiameter: approx(s.pitchDiameter),
      baseDiameter: s.baseDiameter,
      rootDiameter: approx(s.rootDiameter),
      pressureAngle: s.pressureAngle,
      toothThickness: s.toothThickness,
    };
  };

  // Source: inv 20° = 0.014904, inv 14.5° = 0.0055448, Machinery's Handbook involute function table
  test('involute function', () => {
    expect(involute((20 * Math.PI) / 180)).toBeCloseTo(0.014904, 6);
    expect(involute((14.5 * Math.PI) / 180)).toBeCloseTo(0.0055448, 7);
  });

  test('flank points lie on the string unwound from the base circle', () => {
    // witness by construction: a taut string leaves the base circle at a tangent, its free length is the arc unwound
    const drawing = drawingOf(40, '2');
    const base = drawing.baseDiameter / 2;
    const half = (r: number) =>
      toothHalfAngle(r, base, drawing.pitchDiameter / 2, drawing.pressureAngle, drawing.toothThickness);
    const start = half(base);
    for (const roll of [0.05, 0.2, 0.35, 0.45]) {
      // unwound by `roll`, seen from the tooth's middle line; the string turns towards the middle
      const tangentAngle = start - roll;
      const along = base * roll;
      const x = base * Math.sin(tangentAngle) + along * Math.cos(tangentAngle);
      const y = base * Math.cos(tangentAngle) - along * Math.sin(tangentAngle);
      const radius = Math.hypot(x, y);
      expect(Math.atan2(x, y)).toBeCloseTo(half(radius), 9);
    }
  });

  test('the tooth is as thick as stated on the pitch circle, symmetrical, and reaches tip and root', () => {
    for (const [teeth, m, angle] of [
      [12, '1', '20'],
      [12, '3', '14.5'],
      [58, '1.25', '20'],
      [400, '0.5', '20'],
    ] as const) {
      const drawing = drawingOf(teeth, m, angle);
      const pitchRadius = drawing.pitchDiameter / 2;
      const half = toothHalfAngle(
        pitchRadius,
        drawing.baseDiameter / 2,
        pitchRadius,
        drawing.pressureAngle,
        drawing.toothThickness,
      );
      expect(2 * half * pitchRadius).toBeCloseTo(drawing.toothThickness, 9);
      const points = toothOutline(drawing);
      const radii = points.map(({ x, y }) => Math.hypot(x, y));
      expect(Math.max(...radii)).toBeCloseTo(drawing.tipDiameter / 2, 9);
      expect(Math.min(...radii)).toBeCloseTo(drawing.rootDiameter / 2, 9);
      expect(points.reduce((sum, { x }) => sum + x, 0)).toBeCloseTo(0, 6);
    }
  });

  test('teeth join without a gap and the outline never runs back (seed 7)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 400 }), fc.constantFrom('14.5', '20', '25'), (teeth, angle) => {
        const points = gearOutline(drawingOf(teeth, '1', angle), 6);
        let turned = 0;
        let furthestBack = 0;
        for (const [i, a] of points.entries()) {
          const b = points[(i + 1) % points.length]!;
          const step = Math.atan2(a.y * b.x - a.x * b.y, a.x * b.x + a.y * b.y);
          furthestBack = Math.min(furthestBack, step);
          turned += step;
        }
        expect(turned).toBeCloseTo(2 * Math.PI, 6);
        expect(furthestBack).toBeGreaterThan(-1e-9);
      }),
      { seed: 7, numRuns: 60 },
    );
  });

  test('a tooth that comes to a point before the tip circle ends at its point', () => {
    const long = { ...drawingOf(8, '1'), tipDiameter: 12 };
    const highest = Math.max(...toothOutline(long).map(({ y }) => y));
    expect(highest).toBeLessThan(6);
    expect(highest).toBeGreaterThan(long.pitchDiameter / 2);
  });
});

describe('is the pitch plausible?', () => {
  // Source of the series: ISO 54
  test('standard pitches are known as such', () => {
    expect(['1.25', '2.75', '0.5', '50'].map((m) => isStandard(module(m)))).toEqual([true, true, true, true]);
    expect([module('1.3'), dp('13'), dp('14')].map(isStandard)).toEqual([false, false, true]);
    expect(comparePitch(module('1.3'), 40, 'mm')[0]?.code).toBe('pitch-not-standard');
  });
  test('14 DP typed as module 14 is questioned, with the blank it would be', () => {
    const [query] = questionPitch(module('14'), 40, 16, 12, 'mm');
    expect(query).toMatchObject({
      code: 'pitch-slip',
      severity: 'query',
      given: 'm 14',
      detail: { other: '14 DP', otherBlank: 'Ø 76.20 mm' },
    });
  });
  test('module 2 typed as 2 DP is questioned', () => {
    expect(questionPitch(dp('2'), 40, 20, 12, 'in')[0]?.detail?.['other']).toBe('m 2');
  });
  test('everyday gears are not questioned', () => {
    for (const [pitch, teeth, face, bore] of [
      [module('1.25'), 58, 12, 10],
      [dp('14'), 40, 16, 12],
      [module('0.5'), 120, 4, 6],
      [module('6'), 30, 60, 40],
      [dp('64'), 90, 3, 5],
    ] as const) {
      expect(questionPitch(pitch, teeth, face, bore, 'mm')).toEqual([]);
    }
  });
  test('look-alikes are named with what they add up to: m 1.25 beside 20 DP (m 1.27)', () => {
    const [note] = comparePitch(module('1.25'), 58, 'mm');
    // |1.27/1.25 − 1| · π · 1.25 · 58 = 3.64 mm
    expect(note).toMatchObject({ code: 'pitch-look-alike', detail: { other: '20 DP', drift: '3.64 mm' } });
  });
});
