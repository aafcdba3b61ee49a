import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { spanOver, usualSpan } from '../inspect/index.ts';
import { sayIssue } from '../messages/index.ts';
import { measure } from '../units/index.ts';
import { PITCHES } from './families.ts';
import {
  ANY_COUNT,
  emptySample,
  identify,
  readSample,
  search,
  searchPlainly,
  type Readings,
  type SampleInput,
} from './index.ts';

const NOTHING: Readings = {
  teeth: ANY_COUNT,
  survivors: null,
  tip: null,
  depth: null,
  root: null,
  span: null,
  basePitch: null,
  mateCentre: null,
  gauge: null,
  helix: 'none',
  helixAngle: null,
  lead: null,
  wear: 0.25,
  give: 0.03,
};
const counted = (teeth: number) => ({ least: teeth, most: teeth });

/** A gear as it lies on the bench, and a hand that measures it within the tool’s ±. */
const lying = fc.record({
  system: fc.constantFrom('module' as const, 'dp' as const),
  place: fc.nat(),
  teeth: fc.integer({ min: 9, max: 160 }),
  stub: fc.constantFrom(false, false, false, true),
  angle: fc.constantFrom(14.5, 20),
  wear: fc.double({ min: 0, max: 1, noNaN: true }),
  thin: fc.double({ min: 0, max: 1, noNaN: true }),
  slips: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
});
function measured(given: typeof lying extends fc.Arbitrary<infer T> ? T : never) {
  const pitches = PITCHES[given.system].filter(({ module }) => module >= 0.5 && module <= 12);
  const pitch = pitches[given.place % pitches.length]!;
  const { module } = pitch;
  const angle = given.stub ? 20 : given.angle;
  const pressureAngle = (angle * Math.PI) / 180;
  const gear = { teeth: given.teeth, module, pressureAngle };
  const k = usualSpan(gear);
  const thinning = given.thin * 0.03 * module;
  const lost = given.wear * Math.min(0.25, 0.2 * module);
  const slip = (i: number) => given.slips[i]! * 0.03;
  const tip = module * (given.teeth + (given.stub ? 1.6 : 2)) - lost + slip(0);
  const [first, next] = [k, k + 1].map((teeth, i) => spanOver(teeth, gear, thinning) + slip(i + 1));
  return { pitch, stub: given.stub, angle, k, tip, first: first!, next: next!, teeth: given.teeth };
}

describe('a gear measured within the tool’s ± is found', () => {
  test('by outside and count alone: among the first three (seed 41)', () => {
    let amongThree = 0;
    fc.assert(
      fc.property(lying, (given) => {
        const gear = measured(given);
        const found = identify({
          ...NOTHING,
          teeth: counted(gear.teeth),
          tip: { mm: gear.tip, acrossOdd: false },
        });
        const place = found.best.findIndex(
          ({ pitch, stub }) => pitch === gear.pitch.text && stub === gear.stub,
        );
        expect(place).toBeGreaterThanOrEqual(0);
        // of pitches nearer to each other than the tool can see, all are told, and that they tie
        if (place > 2) expect([found.verdict, found.best[place]!.tied]).toEqual(['tie', true]);
        else amongThree += 1;
      }),
      { seed: 41, numRuns: 600 },
    );
    expect(amongThree).toBeGreaterThan(570);
  });

  test('with a span and one over a tooth more: first, or in a stated tie (seed 42)', () => {
    let first = 0;
    fc.assert(
      fc.property(lying, (given) => {
        const gear = measured(given);
        const found = identify({
          ...NOTHING,
          teeth: counted(gear.teeth),
          tip: { mm: gear.tip, acrossOdd: false },
          span: { k: gear.k, mm: gear.first },
          basePitch: gear.next - gear.first,
        });
        const place = found.best.findIndex(
          ({ pitch, stub, angleDeg }) =>
            pitch === gear.pitch.text && stub === gear.stub && angleDeg === gear.angle,
        );
        expect(place).toBeGreaterThanOrEqual(0);
        if (place === 0) first += 1;
        else expect([found.verdict, found.best[place]!.tied]).toEqual(['tie', true]);
      }),
      { seed: 42, numRuns: 600 },
    );
    expect(first).toBeGreaterThan(480);
  });
});

test('the search gives what plain nested search gives, in the same order (seed 43)', () => {
  fc.assert(
    fc.property(lying, fc.nat({ max: 6 }), (given, which) => {
      const gear = measured(given);
      const tip = { mm: gear.tip, acrossOdd: which === 5 };
      const span = { k: gear.k, mm: gear.first };
      const basePitch = gear.next - gear.first;
      const readings: Readings = [
        { ...NOTHING, tip },
        { ...NOTHING, tip, span },
        { ...NOTHING, tip, span, basePitch, helix: 'not-looked' as const },
        { ...NOTHING, span, depth: 2.2 * gear.pitch.module },
        { ...NOTHING, mateCentre: { teeth: 30, mm: (gear.pitch.module * (gear.teeth + 30)) / 2 + 0.05 } },
        { ...NOTHING, tip },
        { ...NOTHING, tip, teeth: counted(gear.teeth), helix: 'seen' as const },
      ][which]!;
      const plain = (found: ReturnType<typeof search>) =>
        found.map(({ cost, hypothesis, pitch }) => [
          cost,
          hypothesis.family.id,
          pitch.text,
          hypothesis.teeth,
        ]);
      expect(plain(search(readings, 10))).toEqual(plain(searchPlainly(readings, 10)));
    }),
    { seed: 43, numRuns: 14 },
  );
});

describe('what is said', () => {
  const sample = (more: Partial<SampleInput>): SampleInput => ({ ...emptySample('mm'), ...more });
  const mm = (typed: string) => measure(typed, 'mm');
  const n = (typed: string) => measure(typed, 'count');
  const told = (more: Partial<SampleInput>) => {
    const { readings, issues } = readSample(sample(more), 'mm');
    return {
      ...identify(readings),
      issues,
      said: issues.map((issue) => `${issue.path}: ${sayIssue(issue)}`),
    };
  };

  test('a worn gear of 40 teeth reading 52.40: module 1.25 first, its residual and direction', () => {
    const found = told({ teeth: n('40'), tip: mm('52.40'), helix: 'none' });
    expect(found.best[0]).toMatchObject({ pitch: 'm 1.25', teeth: 40, angleDeg: null });
    expect(found.best[0]!.fits[0]).toMatchObject({ reading: 'tip', nominal: 52.5, sits: 'within' });
    expect(found.best[0]!.fits[0]!.off).toBeCloseTo(-0.1, 9);
  });

  test('20 DP and module 1.25 at 16 teeth tie by outside alone when worn, and a span decides', () => {
    const found = told({ teeth: n('16'), tip: mm('22.60'), helix: 'none' });
    const pitches = found.best.slice(0, 3).map(({ pitch }) => pitch);
    expect(pitches).toContain('m 1.25');
    expect(pitches).toContain('20 DP');
    expect(found.deciding).not.toBeNull();
  });

  test('22 DP at 20° and module 1.125 at 14½° collide: 0.4 % of the base pitch apart', () => {
    const base = (module: number, angle: number) => Math.PI * module * Math.cos((angle * Math.PI) / 180);
    expect(base(25.4 / 22, 20) / base(1.125, 14.5)).toBeCloseTo(0.996, 3);
    const gap = base(25.4 / 22, 20);
    const { readings } = readSample(
      sample({ spanTeeth: n('3'), span: mm('20'), spanNext: mm(String(20 + gap)) }),
      'mm',
    );
    const best = search({ ...readings, teeth: counted(25), span: null }, 12).map(
      ({ pitch, hypothesis }) => `${pitch.text} ${hypothesis.family.angleDeg}`,
    );
    expect(best).toContain('22 DP 20');
    expect(best).toContain('m 1.125 14.5');
  });

  test('odd count by bore and edge, and across', () => {
    // 25 teeth, m 2: outside 54
    const bore = told({
      teeth: n('25'),
      tipBy: 'bore',
      bore: mm('12'),
      edgeToTip: mm('20.98'),
      helix: 'none',
    });
    expect(bore.best[0]).toMatchObject({ pitch: 'm 2', teeth: 25 });
    const across = told({ teeth: n('25'), tipBy: 'across', tip: mm('53.85'), helix: 'none' });
    expect(across.best[0]).toMatchObject({ pitch: 'm 2', teeth: 25 });
  });

  test('a broken gear counted from its survivors', () => {
    // 17 pitches over 106° of a 58-tooth gear (105.5°), m 1.5: outside 90
    const found = told({
      survivors: { pitches: n('17'), arc: measure('105 30′', 'deg'), chord: mm('') },
      tip: mm('89.9'),
      helix: 'none',
    });
    expect(found.said[0]).toMatch(/survivors.arc/);
    const right = told({
      survivors: { pitches: n('17'), arc: measure('105° 30′', 'deg'), chord: mm('') },
      tip: mm('89.9'),
      helix: 'none',
    });
    expect(right.best[0]).toMatchObject({ pitch: 'm 1.5', teeth: 58 });
  });

  test('a helix seen: the angle follows from outside and count', () => {
    // z 30, mn 2, β 20°: d = 63.851, da = 67.851
    const found = told({ teeth: n('30'), tip: mm('67.85'), helix: 'seen', helixAngle: measure('20', 'deg') });
    expect(found.best[0]).toMatchObject({ pitch: 'm 2', teeth: 30 });
    expect(found.best[0]!.helixDeg).toBeCloseTo(20, 0);
  });

  test('a span over one tooth more than was counted is queried, not averaged', () => {
    const gear = { teeth: 30, module: 2, pressureAngle: (20 * Math.PI) / 180 };
    const found = told({
      teeth: n('30'),
      tip: mm('63.95'),
      depth: mm('4.45'),
      spanTeeth: n('4'),
      span: mm(spanOver(5, gear).toFixed(2)),
      helix: 'none',
    });
    expect(found.verdict).toBe('contradiction');
    expect(found.contradictions.find(({ reading }) => reading === 'span')).toMatchObject({
      cause: 'one-tooth-more',
      rest: { pitch: 'm 2' },
    });
  });

  test('a depth in inches among millimetres is told as that', () => {
    const found = told({ teeth: n('30'), tip: mm('63.95'), depth: mm('0.177'), helix: 'none' });
    expect(found.contradictions.find(({ reading }) => reading === 'depth')).toMatchObject({ cause: 'unit' });
  });

  test('none of the standard ones: the bare figures, and what it may be', () => {
    const found = told({ teeth: n('40'), tip: mm('57.3'), helix: 'none', wear: 'crisp' });
    expect(found.verdict).toBe('none');
    expect(found.bare!.module).toBeCloseTo(57.3 / 42, 9);
  });

  test('the sentences of bad input stand at their fields', () => {
    expect(told({ tip: mm('20'), bore: mm('25') }).said).toEqual([
      'tip: An outside of 20.00 mm is not more than the bore, 25.00 mm. One of the two is in other units, or it is a radius.',
    ]);
    expect(told({ teeth: n('1') }).said[0]).toMatch(/^teeth: The tooth count of 1 is out of range/);
    expect(told({ teeth: n('60'), tip: mm('2.5') }).said[0]).toMatch(
      /^tip: With this count that is module 0.04.*in inches, it is 24.8 DP/,
    );
    expect(told({ spanTeeth: n('3'), span: mm('15'), spanNext: mm('14') }).said[0]).toMatch(
      /^spanNext: 14 does not go with 15.00 mm: it must be larger/,
    );
    expect(told({ tip: mm('-3') }).said[0]).toMatch(/^tip: The outside diameter must be more than zero/);
    expect(told({}).verdict).toBe('nothing-read');
  });
});
