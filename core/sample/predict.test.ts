import { describe, expect, test } from '@jest/globals';
import { spanOver } from '../inspect/index.ts';
import { measure } from '../units/index.ts';
import { misfit } from './predict.ts';
import { emptySample, identify, readSample, sayVerdict, type SampleInput } from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');
const n = (typed: string) => measure(typed, 'count');
const told = (read: Partial<SampleInput>) =>
  identify(readSample({ ...emptySample('mm'), ...read }, 'mm').readings);

describe('how ill a reading sits', () => {
  // nothing at the drawing's end of the band, three tenths at the other, squares between; outside it the
  // tool's ± says: common practice
  test.each([
    [10, 'high', 0],
    [9, 'high', 0.3 / 4],
    [8, 'high', 0.3],
    [10.1, 'high', 1],
    [10.2, 'high', 4],
    [7.9, 'high', 1.3],
    [8, 'low', 0],
    [8.5, 'low', 0.3 / 16],
    [10, 'low', 0.3],
    [7.9, 'low', 1],
    [10.1, 'low', 1.3],
  ] as const)('%d between 8 and 10, the drawing’s end the %s one, ± 0.1: %d', (given, end, cost) => {
    expect(misfit({ given, band: { low: 8, high: 10 }, give: 0.1, nominal: end })).toBeCloseTo(cost, 9);
  });
  test('a band of no width', () =>
    expect(misfit({ given: 8, band: { low: 8, high: 8 }, give: 0.1 })).toBe(0));

  test('one reading counts once: 0.1 under nominal of 0.25 that tips lose', () => {
    const cost = (tip: string) => told({ teeth: n('30'), tip: mm(tip), helix: 'none' }).best[0]!.cost;
    expect(cost('63.9') - cost('64')).toBeCloseTo(0.3 * (0.1 / 0.25) ** 2, 9);
  });
});

describe('a radius for a diameter', () => {
  const causeFor = (tip: string) =>
    told({
      ...{
        teeth: n('30'),
        tip: mm(tip),
        depth: mm('4.45'),
        helix: 'none',
        gaugeFits: measure('2', 'module'),
      },
      ...{ spanTeeth: n('4'), span: mm('21.4'), mateTeeth: n('40'), mateCentre: mm('70.05') },
    }).contradictions.find(({ reading }) => reading === 'tip')?.cause;
  test('is guessed as far as twice it may be a worn outside, and a reading of it off', () => {
    // 64 as drawn, 63.75 worn, and 0.06 for two readings of a caliper
    expect(causeFor('32')).toBe('radius');
    expect(causeFor('31.86')).toBe('radius');
    expect(causeFor('31.83')).not.toBe('radius');
    expect(causeFor('32.02')).toBe('radius');
    expect(causeFor('32.05')).not.toBe('radius');
  });
});

test('survivors across a chord: the count, and how far it may be off by a caliper', () => {
  // 3 pitches of 40 on Ø 84 stand 84·sin(3·180°/40) apart
  const chord = 84 * Math.sin((3 * Math.PI) / 40);
  const { survivors } = readSample(
    {
      ...emptySample('mm'),
      tip: mm('84'),
      survivors: { pitches: n('3'), arc: measure('', 'deg'), chord: mm(chord.toFixed(6)) },
    },
    'mm',
  ).readings;
  expect(survivors!.teeth).toBeCloseTo(40, 4);
  // ± 0.03 at either tip, and twice that for tips that are worn: 40·0.12/19.6
  expect(survivors!.give).toBeCloseTo((40 * 0.12) / chord, 4);
});

test('less than five degrees is seen as none: no such helix is offered', () => {
  // 30 of module 2 at 3°: 60/cos 3° + 4 = 64.08
  const found = told({ teeth: n('30'), tip: mm('64.08'), helix: 'seen', wear: 'crisp' });
  expect(found.best.length).toBeGreaterThan(3);
  for (const { helixDeg } of found.best) if (helixDeg > 0) expect(helixDeg).toBeGreaterThanOrEqual(5);
});

describe('the one more measurement', () => {
  test('a span tells module 1 from stub teeth of 24 P: what it reads on each, whatever the angle', () => {
    const { best, deciding } = told({ teeth: n('12'), tip: mm('14'), helix: 'none' });
    expect(best.slice(0, 2)).toMatchObject([
      { pitch: 'm 1', stub: false, angleDeg: null },
      { pitch: '24 DP', stub: true },
    ]);
    expect(deciding).toMatchObject({ by: 'span', sure: true });
    // an angle that nothing tells is met at 14½° or at 20°: the middle of both spans, less what thinning and
    // wear may take
    const at = (module: number, degrees: number) =>
      spanOver(deciding!.k, { teeth: 12, module, pressureAngle: (degrees * Math.PI) / 180 });
    const both = (module: number) => [at(module, 14.5), at(module, 20)].sort((a, b) => a - b);
    for (const [said, module] of [
      [deciding!.first, 1],
      [deciding!.second, 25.4 / 24],
    ] as const) {
      const [low, high] = both(module);
      expect(said).toBeLessThan((low! + high!) / 2);
      expect(said).toBeGreaterThan((low! + high!) / 2 - 0.06);
    }
  });
});

test('of two that one base pitch cannot tell apart, each at its own angle, a span decides', () => {
  // 22 P at 20° and module 1.125 at 14½°: 0.4 % of a base pitch apart
  const rad = (degrees: number) => (degrees * Math.PI) / 180;
  const base = Math.PI * (25.4 / 22) * Math.cos(rad(20));
  const nothing = readSample(emptySample('mm'), 'mm').readings;
  const { best, deciding } = identify({
    ...nothing,
    teeth: { least: 25, most: 25 },
    helix: 'none',
    // full teeth, not stub
    depth: 2.5,
    basePitch: (base + Math.PI * 1.125 * Math.cos(rad(14.5))) / 2,
  });
  expect(
    best
      .slice(0, 2)
      .map(({ pitch, angleDeg }) => `${pitch} ${angleDeg}`)
      .sort(),
  ).toEqual(['22 DP 20', 'm 1.125 14.5']);
  expect(deciding).toMatchObject({ by: 'span', sure: true });
  for (const [said, { module, angleDeg }] of [
    [deciding!.first, best[0]!],
    [deciding!.second, best[1]!],
  ] as const) {
    const own = spanOver(deciding!.k, { teeth: 25, module, pressureAngle: rad(angleDeg!) });
    // less half of what thinning and wear may take
    expect(own - said).toBeGreaterThanOrEqual(0);
    expect(own - said).toBeLessThan(0.06);
  }
});

test('a lead that was turned against a pointer counts by how far it is off: 1½ % is one, twice that four', () => {
  const seen = { teeth: n('30'), tip: mm('50.89'), helix: 'seen' as const, wear: 'crisp' as const };
  const found = told(seen).best.find(({ pitch }) => pitch === 'm 1.5')!;
  const lead = (Math.PI * 30 * 1.5) / Math.sin((found.helixDeg * Math.PI) / 180);
  const cost = (off: number) =>
    told({ ...seen, lead: mm((lead * Math.exp(off)).toFixed(6)) }).best.find(
      ({ pitch }) => pitch === 'm 1.5',
    )!.cost;
  expect(cost(0.015) - cost(0)).toBeCloseTo(1, 3);
  expect(cost(-0.03) - cost(0)).toBeCloseTo(4, 3);
});

test('what it is, in one sentence: with its angle where that is told, and only then', () => {
  const plain = told({ teeth: n('40'), tip: mm('105'), helix: 'none', wear: 'crisp' });
  expect(plain.best[0]).toMatchObject({ pitch: 'm 2.5', angleDeg: null });
  expect(sayVerdict(plain, 'mm')).toContain('m 2.5, 40 teeth');
  expect(sayVerdict(plain, 'mm')).not.toContain('angle');
  const span = spanOver(5, { teeth: 40, module: 2.5, pressureAngle: (20 * Math.PI) / 180 });
  const spanned = told({
    ...{ teeth: n('40'), tip: mm('105'), helix: 'none', wear: 'crisp' },
    ...{ spanTeeth: n('5'), span: mm((span - 0.01).toFixed(3)) },
  });
  expect(spanned.best[0]).toMatchObject({ pitch: 'm 2.5', angleDeg: 20 });
  expect(sayVerdict(spanned, 'mm')).toContain('m 2.5, 40 teeth, 20°');
});
