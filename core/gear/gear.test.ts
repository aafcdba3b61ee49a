import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { isUndercut, undercutBelow } from '../involute/index.ts';
import { drawnSpurJob, withSpurPart } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { approx, exact, exactText, measure, pitchOf } from '../units/index.ts';
import {
  comparePitch,
  depthAsStamped,
  depthByRule,
  depthsOfAllSchools,
  isStandard,
  questionPitch,
  spurSizes,
} from './index.ts';

const module = (m: string) => pitchOf('module', exact(m));
const dp = (p: string) => pitchOf('dp', exact(p));
const sizesOf = (
  teeth: number,
  pitch: ReturnType<typeof module>,
  angle = '20',
  rule: Parameters<typeof depthByRule>[0] = 'iso53-a',
) => spurSizes({ teeth, pitch, pressureAngleDeg: exact(angle), depth: depthByRule(rule, pitch.module) });

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
    const limit = (angle: number) => undercutBelow(1, (angle * Math.PI) / 180);
    expect(limit(14.5)).toBeCloseTo(31.9, 1);
    expect(limit(20)).toBeCloseTo(17.1, 1);
    // the least whole count without: 32, 18 with a trace at 17, 12
    const least = (angle: number) => [...Array(60).keys()].find((teeth) => !isUndercut(teeth, limit(angle)));
    expect([14.5, 20, 25].map(least)).toEqual([32, 17, 12]);
  });

  test.each([
    ['14.5', '31', true],
    ['14.5', '32', false],
    ['20', '16', true],
    ['20', '17', false],
    ['25', '11', true],
    ['25', '12', false],
  ])('at %s°, %s teeth are noted as undercut: %s', (angle, teeth, noted) => {
    const job = withSpurPart(
      drawnSpurJob({ id: 'j', name: 'W', pitch: '2', teeth: Number(teeth), face: '10', bore: '4' }),
      'p1',
      (part) => ({ ...part, gear: { ...part.gear, pressureAngle: measure(angle, 'deg') } }),
    );
    const codes = plan(job, STOCK_EQUIPMENT).parts[0]!.stations[0]!.issues.map(({ code }) => code);
    expect(codes.includes('undercut')).toBe(noted);
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
    const [query] = questionPitch({ pitch: module('14'), teeth: 40, faceWidth: 16, bore: 12, system: 'mm' });
    expect(query).toMatchObject({
      code: 'pitch-slip',
      severity: 'query',
      given: 'm 14',
      detail: { other: '14 DP', otherBlank: { mm: 76.2, units: 'mm' } },
    });
  });
  test('module 2 typed as 2 DP is questioned', () => {
    expect(
      questionPitch({ pitch: dp('2'), teeth: 40, faceWidth: 20, bore: 12, system: 'in' })[0],
    ).toMatchObject({ detail: { other: 'm 2' } });
  });
  test('everyday gears are not questioned', () => {
    for (const [pitch, teeth, face, bore] of [
      [module('1.25'), 58, 12, 10],
      [dp('14'), 40, 16, 12],
      [module('0.5'), 120, 4, 6],
      [module('6'), 30, 60, 40],
      [dp('64'), 90, 3, 5],
    ] as const) {
      expect(questionPitch({ pitch, teeth, faceWidth: face, bore, system: 'mm' })).toEqual([]);
    }
  });
  test('look-alikes are named with what they add up to: m 1.25 beside 20 DP (m 1.27)', () => {
    const [note] = comparePitch(module('1.25'), 58, 'mm');
    // |1.27/1.25 − 1| · π · 1.25 · 58 = 3.64 mm
    expect(note).toMatchObject({ code: 'pitch-look-alike', detail: { other: '20 DP', teeth: 58 } });
    expect(sayIssue(note!)).toContain('over 58 teeth the pitch line differs by 3.64 mm');
  });
});
