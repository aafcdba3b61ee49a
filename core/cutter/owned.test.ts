import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { plainCutter, type FormCutter } from '../shop/index.ts';
import { formErrors } from '../toothform/index.ts';
import { exact, measure, pitchOf } from '../units/index.ts';
import {
  cutterSet,
  fewestCutters,
  FIFTEEN,
  judgeCutter,
  otherSchool,
  rangeByNumber,
  rankCutters,
  type CutterNeed,
} from './index.ts';

const need = (teeth: number, more: Partial<CutterNeed> = {}): CutterNeed => ({
  teeth,
  pitch: pitchOf('module', exact('1.5')),
  angleDeg: exact(20),
  helixDeg: 0,
  dedendum: 1.74,
  ...more,
});
const cutter = (name: string, more: Partial<FormCutter> = {}): FormCutter => ({
  ...plainCutter(name, name, measure('1.5', 'module')),
  ...more,
});
const judge = (one: FormCutter, teeth: number, owned: readonly FormCutter[] = [one]) => {
  const { verdict, reasons, madeFor } = judgeCutter({ cutter: one, need: need(teeth), by: 'disk', owned });
  return { verdict, madeFor, said: reasons.map(sayIssue).join(' ') };
};

describe('does an owned cutter serve?', () => {
  test('the engraved range beats the number', () => {
    const odd = cutter('odd', { number: '3', school: 'inch', range: { from: 17, to: 20 } });
    expect(judge(odd, 18)).toMatchObject({ verdict: 'fits', madeFor: 17 });
    expect(judge(odd, 40)).toMatchObject({
      verdict: 'out',
      said: 'It covers 17 to 20 teeth, and this gear is cut as 40 teeth.',
    });
  });

  test('a number alone is two cutters: 3 is 35 to 54 or 17 to 20', () => {
    const bare = cutter('bare', { number: '3' });
    expect(judge(bare, 40).verdict).toBe('unsure');
    expect(judge(bare, 18).said).toMatch(
      /^No. 3 is 35 to 54 teeth by the inch school and 17 to 20 teeth by the metric one/,
    );
    expect(judge(bare, 13).verdict).toBe('out');
  });

  // m 2 along the worm, Ø 24: tan γ = starts/12; across the thread m is 2·cos γ, and a space half a pitch of
  // it
  test.each([
    // γ 4° 46′: π/2·2·(1 - 0.99655) = 11 µm, of 80 that a drive usually has
    { starts: 1, verdict: 'fits', said: '' },
    // γ 9° 28′: 43 µm
    {
      starts: 2,
      verdict: 'unsure',
      said: /across the thread, where that is m 1\.973: the tooth spaces come 43 µm too wide/,
    },
    // γ 18° 26′: 161 µm
    { starts: 4, verdict: 'out', said: /m 1\.897: the tooth spaces come 161 µm too wide/ },
  ])('a wheel for $starts starts: a cutter of the axial pitch $verdict', ({ starts, verdict, said }) => {
    const wheel = need(40, {
      pitch: pitchOf('module', exact(2)),
      helixDeg: starts === 1 ? 0 : (Math.atan(starts / 12) * 180) / Math.PI,
      normalModule: 2 * Math.cos(Math.atan(starts / 12)),
    });
    const of = (module: string) =>
      judgeCutter({
        cutter: cutter('c', { pitch: measure(module, 'module'), range: { from: 35, to: 134 } }),
        need: wheel,
        by: 'book',
        owned: [],
      });
    expect(of('2').verdict).toBe(verdict);
    expect(of('2').reasons.map(sayIssue).join()).toMatch(said);
    // ground to the pitch across the thread it serves, whatever the drive is called by
    expect(of(wheel.normalModule!.toFixed(4))).toMatchObject({ verdict: 'fits', reasons: [] });
    expect(of('1.5')).toMatchObject({ verdict: 'out', sameForm: false });
    // 13 P is m 1.954, and 2.3 % from m 2: it looks alike, and is no pitch along this worm
    const alike = cutter('d', { pitch: measure('13', 'dp'), range: { from: 35, to: 134 } });
    const judged = judgeCutter({ cutter: alike, need: wheel, by: 'book', owned: [] });
    expect(judged).toMatchObject({ verdict: 'out', sameForm: false });
    expect(judged.reasons.map(({ code }) => code)).toEqual(['cutter-pitch']);
    // no stock cutter is bought for it
    const { buy, toGrind } = fewestCutters([{ name: 'Wheel', need: wheel }], [], 0);
    expect([buy.length, toGrind.length]).toEqual(starts === 1 ? [1, 0] : [0, 1]);
  });

  test('another pitch, a look-alike, another angle, nothing known', () => {
    expect(
      judge(cutter('a', { pitch: measure('2', 'module'), number: '3', school: 'inch' }), 40),
    ).toMatchObject({ verdict: 'out', said: 'It is a cutter of m 2, and the gear is m 1.5.' });
    expect(judge(cutter('b', { pitch: measure('17', 'dp'), number: '3', school: 'inch' }), 40).said).toMatch(
      /0.4 % apart: they look alike/,
    );
    expect(
      judge(cutter('c', { angle: measure('14.5', 'deg'), number: '3', school: 'inch' }), 40).said,
    ).toMatch(/Its pressure angle is 14° 30′, the gear’s 20°/);
    expect(judge(cutter('d'), 40).verdict).toBe('unsure');
  });

  test('a whole number shrinks when its half is at hand', () => {
    const owned = [
      cutter('5', { number: '5', school: 'inch' }),
      cutter('4½', { number: '4½', school: 'inch' }),
    ];
    expect(judge(owned[0]!, 24, owned).said).toBe('With No. 4½ at hand it serves 21 to 22 teeth only.');
    expect(judge(owned[0]!, 23, owned).said).toMatch(/^With No. 4½ at hand/);
    expect(judge(owned[0]!, 22, owned).said).toBe('');
    expect(rankCutters(owned, need(24), 'disk').map(({ name }) => name)).toEqual(['4½', '5']);
    expect(rankCutters(owned, need(22), 'disk')[0]).toMatchObject({ name: '5', verdict: 'fits' });
    // the half of another number, of another school, pitch or angle, or a number of no known school takes
    // nothing away
    for (const other of [
      cutter('5½', { number: '5½', school: 'inch' }),
      cutter('4½', { number: '4½', school: 'metric' }),
      cutter('4½', { number: '4½', school: 'inch', pitch: measure('2', 'module') }),
      cutter('4½', { number: '4½', school: 'inch', pitch: measure('1.5', 'dp') }),
      cutter('4½', { number: '4½', school: 'inch', angle: measure('14.5', 'deg') }),
      cutter('4', { number: '4', school: 'inch' }),
    ])
      expect(judge(owned[0]!, 24, [owned[0]!, other]).said).toBe('');
    const engraved = cutter('5', { number: '5', school: 'inch', range: { from: 21, to: 25 } });
    expect(judge(engraved, 24, [engraved, owned[1]!]).said).toBe('');
  });

  test('two that serve alike stand in the order of their names', () => {
    const twins = ['b', 'a', 'c'].map((name) => cutter(name, { number: '4', school: 'inch' }));
    expect(rankCutters(twins, need(28), 'disk').map(({ name }) => name)).toEqual(['a', 'b', 'c']);
  });

  // z = 30, mn = 1.5, β = 30°: 46.2 by the book; with a 60 mm cutter 46.2 + (60/1.5)·tan²30° = 59.5
  test('helical: by the virtual count, and by the cutter’s own roundness when its diameter is known', () => {
    const helical = need(30, { helixDeg: 30, dedendum: 0 });
    const round = cutter('round', { range: { from: 55, to: 134 }, diameter: measure('60', 'mm') });
    const plain = cutter('plain', { range: { from: 35, to: 54 } });
    expect(judgeCutter({ cutter: round, need: helical, by: 'disk', owned: [] })).toMatchObject({
      verdict: 'fits',
      cutAs: expect.closeTo(59.52, 1),
    });
    expect(judgeCutter({ cutter: round, need: helical, by: 'book', owned: [] }).verdict).toBe('out');
    expect(judgeCutter({ cutter: plain, need: helical, by: 'disk', owned: [] })).toMatchObject({
      verdict: 'fits',
      cutAs: expect.closeTo(46.19, 1),
    });
  });
});

// Source: Machinery's Handbook for the inch numbers; the metric halves mirror them: common practice
test('the schools mirror each other, halves too', () => {
  expect((['8', '1', '5½', '4½', '1½'] as const).map(otherSchool)).toEqual(['1', '8', '3½', '4½', '7½']);
  expect(rangeByNumber('3', 'inch')).toMatchObject({ from: 35, to: 54 });
  expect(rangeByNumber('3', 'metric')).toMatchObject({ from: 17, to: 20 });
  expect(rangeByNumber('1½', 'metric')).toMatchObject({ from: 13, to: 13 });
});

test('sets to start from: eight or fifteen, in either school, every count from 12 covered', () => {
  for (const school of ['inch', 'metric'] as const)
    for (const size of [8, 15] as const) {
      const set = cutterSet({ pitch: measure('1.5', 'module'), school, size, angleDeg: '20' });
      expect(set).toHaveLength(size);
      expect(new Set(set.map(({ id }) => id)).size).toBe(size);
      for (const teeth of [12, 13, 26, 54, 135, 400])
        expect(rankCutters(set, need(teeth), 'disk')[0]!.verdict).toBe('fits');
    }
});

describe('fewest cutters to buy', () => {
  const gears = (counts: readonly number[]) =>
    counts.map((teeth) => ({ name: `z${teeth}`, need: need(teeth) }));

  test('by ranges, owned ones first, what no set reaches apart', () => {
    const owned = [cutter('mine', { range: { from: 55, to: 134 } })];
    const { buy, served, toGrind } = fewestCutters(gears([10, 28, 33, 62]), owned, 0);
    expect(served).toEqual([{ name: 'z62', by: 'mine' }]);
    expect(toGrind).toEqual([{ name: 'z10', teeth: 10 }]);
    expect(buy).toMatchObject([
      { inch: '4', metric: '5', from: 26, to: 34, serves: [{ name: 'z28' }, { name: 'z33' }] },
    ]);
  });

  test('no choice of fewer serves all, tried one and all (seed 15)', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 12, max: 160 }), { minLength: 1, maxLength: 6 }),
        fc.constantFrom(0, 12, 40),
        (counts, tolerance) => {
          const { buy } = fewestCutters(gears(counts), [], tolerance);
          const form = { module: 1.5, pressureAngle: Math.PI / 9, addendum: 1.5, wholeDepth: 2.157 * 1.5 };
          const serves = (place: number, teeth: number) => {
            const { from, to } = FIFTEEN[place]!;
            const within = teeth >= from && (to === null || teeth <= to);
            if (within || tolerance === 0) return within;
            return formErrors({ ...form, teeth, thinning: 0 }, from, 24).worst <= tolerance;
          };
          const served = counts.map((teeth) => FIFTEEN.map((_, place) => serves(place, teeth)));
          let least = Infinity;
          for (let chosen = 0; chosen < 1 << FIFTEEN.length; chosen += 1) {
            const places = FIFTEEN.flatMap((_, i) => ((chosen >> i) & 1 ? [i] : []));
            if (places.length < least && served.every((by) => places.some((place) => by[place])))
              least = places.length;
          }
          expect(buy).toHaveLength(least);
          expect(buy.flatMap((cutter) => cutter.serves)).toHaveLength(counts.length);
        },
      ),
      { seed: 15, numRuns: 16 },
    );
  });

  test('a tolerance lets one cutter serve its neighbours, with the error told', () => {
    const strict = fewestCutters(gears([34, 35]), [], 0).buy;
    const easy = fewestCutters(gears([34, 35]), [], 60).buy;
    expect([strict.length, easy.length]).toEqual([2, 1]);
    for (const { error } of easy[0]!.serves) expect(error).toBeLessThanOrEqual(60);
    // the error that is told is that of the space at 20°, 2.157 deep, cut by the one made for its lowest
    // count
    const { from, serves } = easy[0]!;
    for (const { teeth, error } of serves) {
      const form = { teeth, module: 1.5, pressureAngle: Math.PI / 9, addendum: 1.5, wholeDepth: 2.157 * 1.5 };
      expect(error).toBeCloseTo(formErrors({ ...form, thinning: 0 }, from, 24).worst, 9);
      if (teeth !== from) expect(error).toBeGreaterThan(1);
    }
  });
});
