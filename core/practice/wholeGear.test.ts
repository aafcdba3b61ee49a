import { describe, expect, test } from '@jest/globals';
import { angleOfInv, inv } from '../worked/bench.ts';
import { benchOf, freshMachine, isHarm, overTwoPins, readingsOf, spacesBelow, spanAcross } from './index.ts';
import { benchFor, partOf, performed, type Gear } from '../sampleBench.ts';

const RAD = Math.PI / 180;

/** Span over k teeth and over two pins of 1.728 m, by the textbook. */
function textbook(z: number, m: number, k: number) {
  const a = 20 * RAD;
  const span = m * Math.cos(a) * (Math.PI * (k - 0.5) + z * inv(a));
  const pin = 1.728 * m;
  const phi = angleOfInv(inv(a) + pin / (z * m * Math.cos(a)) - Math.PI / (2 * z));
  const across = (z * m * Math.cos(a)) / Math.cos(phi);
  return { pin, span, over: (z % 2 === 0 ? across : across * Math.cos(Math.PI / 2 / z)) + pin };
}

// cutters are exact for the first count of their range: 14, 17, 21, 26, 35, 55
describe.each<Gear>([
  { teeth: 17, module: 2 },
  { teeth: 26, module: 1.5 },
  { teeth: 55, module: 1, indexAt: 'exit' },
  { teeth: 35, module: 2, passes: 'rough-finish' },
  { teeth: 12, module: 2, method: 'direct' as const },
  { teeth: 21, module: 1.25, method: 'compound' as const },
  { teeth: 55, module: 1, method: 'differential' as const },
  { teeth: 12, module: 2, method: 'handwheel' as const },
  { teeth: 26, module: 1.5, method: 'handwheel' as const, passes: 'rough-finish' },
  { teeth: 17, module: 2, method: 'stepper' as const },
  { teeth: 35, module: 2, method: 'stepper' as const, passes: 'rough-finish' },
])('a whole gear, cut as the prompts say: %p', (gear) => {
  const bench = benchFor(gear);
  const { machine, told } = performed(bench);
  const { teeth, module } = gear;
  const { work } = machine;

  test('harms nothing', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
  });

  test.each(['entry', 'middle', 'exit'] as const)('%s: every space at its place, within 1 µm', (where) => {
    const found = spacesBelow(work, (teeth * module) / 2, where);
    expect(found).toHaveLength(teeth);
    const middles = found.map(({ from, to }) => (((from + to) / 2) % 1) * teeth).sort((a, b) => a - b);
    const first = middles[0]!;
    const round = (Math.PI * teeth * module) / teeth;
    middles.forEach((middle, i) => expect(Math.abs(middle - first - i) * round).toBeLessThan(1e-3));
  });

  test('measures as the textbook says, within 1 µm: span, and over pins', () => {
    const k = Math.max(2, Math.round((teeth * 20) / 180 + 0.5));
    const { span, over, pin } = textbook(teeth, module, k);
    const pitch = 1 / teeth;
    for (const from of [0, 3 * pitch]) {
      const reads = spanAcross(work, { from, to: from + k * pitch, where: 'middle' });
      expect(Math.abs(reads - span)).toBeLessThan(1e-3);
    }
    const spaces = [0, Math.floor(teeth / 2) * pitch] as const;
    expect(Math.abs(overTwoPins(work, { pin, spaces, pitch, where: 'middle' }) - over)).toBeLessThan(1e-3);
  });

  test('and is told so beside what the card wants', () => {
    const { spaces, outside, depth, span, pins, pitch, lands } = readingsOf(bench, machine);
    expect(spaces).toBe(teeth);
    const book = textbook(teeth, module, span!.over);
    for (const { reads, wanted } of span!.at) {
      expect(Math.abs(reads - book.span)).toBeLessThan(1e-3);
      expect(wanted).toBeCloseTo(book.span, 9);
    }
    expect(Math.abs(pins!.reads - book.over)).toBeLessThan(1e-3);
    expect(pins!.wanted).toBeCloseTo(book.over, 6);
    // a wheel and a motor stop at their nearest mark or step, within a µm or two of this gear
    for (const each of [pitch!.least, pitch!.most])
      expect(Math.abs(each - Math.PI * module)).toBeLessThan(bench.wheel || bench.motor ? 2e-3 : 5e-4);
    // a micrometer finds no two tips of an odd count across from each other
    expect(outside?.reads ?? null).toEqual(teeth % 2 === 0 ? expect.closeTo(module * (teeth + 2), 3) : null);
    for (const reads of [depth!.least, depth!.most]) expect(reads).toBeCloseTo(2.25 * module, 3);
    expect([lands!.least, lands!.most]).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
  });
});

test('a gear that is thinned for its mate is cut as much thinner, to the few parts in a hundred of the rule', () => {
  // 0.1 off the tooth along the pitch circle: a span reads 0.1·cos α less
  const thin = benchFor({ teeth: 26, module: 1.5, thinning: '0.1' });
  const { machine } = performed(thin, freshMachine(thin), false);
  const { span } = readingsOf(thin, machine);
  const book = textbook(26, 1.5, span!.over).span;
  const wanted = 0.1 * Math.cos(20 * RAD);
  expect(book - span!.at[1]!.wanted!).toBeCloseTo(wanted, 9);
  expect((book - span!.at[1]!.reads) / wanted).toBeGreaterThan(0.85);
  expect((book - span!.at[1]!.reads) / wanted).toBeLessThan(1.15);
});

test('before the first cut the outside is measured; work that turns on a ring of its own has no place here', () => {
  const plain = benchFor({ teeth: 26, module: 1.5 });
  expect(readingsOf(plain, freshMachine(plain))).toMatchObject({
    spaces: 0,
    outside: { reads: expect.closeTo(42, 6), wanted: 42 },
    span: null,
    depth: null,
  });
  const direct = benchFor({ teeth: 12, module: 2, method: 'direct' });
  const onWork = { ...direct.run, move: { ...direct.run.move, onWork: true as const } };
  const refused = benchOf(partOf({ teeth: 12, module: 2, method: 'direct' }), onWork as typeof direct.run);
  expect(refused).toMatchObject({ ok: false, issues: [{ code: 'practice-other' }] });
});
