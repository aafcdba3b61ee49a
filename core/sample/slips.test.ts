import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { measure } from '../units/index.ts';
import {
  emptySample,
  identify,
  readSample,
  sayContradiction,
  sayVerdict,
  type SampleInput,
} from './index.ts';

const given = (change: Partial<SampleInput>): SampleInput => ({ ...emptySample('mm'), ...change });
const mm = (typed: string) => measure(typed, 'mm');
const count = (typed: string) => measure(typed, 'count');

describe('over two tips and from the bore, both', () => {
  const both = { tip: mm('62.75'), bore: mm('14'), teeth: count('48') };
  test('what contradicts is queried, with both figures', () => {
    const { issues } = readSample(given({ ...both, edgeToTip: mm('28.17') }), 'mm');
    expect(issues).toMatchObject([{ severity: 'query', path: 'edgeToTip' }]);
    // 14 + 2 × 28.17 = 70.34
    expect(sayIssue(issues[0]!)).toBe(
      'Over two tips it is 62.75 mm, and by the bore of 14.00 mm with 28.17 mm to a tip on either side 70.34 mm. They cannot both be; measure both again before either is believed.',
    );
  });
  test('what agrees is not; the one that was chosen is used, and where there is one it serves', () => {
    const good = { ...both, edgeToTip: mm('24.4') };
    expect(readSample(given(good), 'mm').issues).toEqual([]);
    const tip = (change: Partial<SampleInput>) =>
      readSample(given({ ...good, ...change }), 'mm').readings.tip!.mm;
    expect(tip({ tipBy: 'over' })).toBeCloseTo(62.75, 9);
    expect(tip({ tipBy: 'bore' })).toBeCloseTo(62.8, 9);
    expect(tip({ tip: mm('') })).toBeCloseTo(62.8, 9);
    expect(tip({ tipBy: 'bore', edgeToTip: mm('') })).toBeCloseTo(62.75, 9);
  });
});

describe('an angle that is hardly ever met never leads', () => {
  // 33 counted, 58.70 over the tips: module 1.25 would need 33 · 1.25 / cos β = 56.2, β about 42.8°; 45
  // straight teeth are 58.75
  const counted = given({ teeth: count('33'), tip: mm('58.70') });
  const found = identify(readSample(counted, 'mm').readings);
  test('“count again” comes first, with the straight teeth that fit', () => {
    expect(found.verdict).toBe('contradiction');
    expect(found.contradictions.map((one) => sayContradiction(one, 'mm'))).toEqual([
      'Count again: 45 straight teeth fit, m 1.25. With 33 only a helix of an unusual angle would, and nobody has seen one.',
    ]);
    expect(found.best[0]).toMatchObject({ pitch: 'm 1.25', teeth: 45, helixDeg: 0 });
    expect(found.best[1]!.helixDeg).toBeGreaterThan(40);
    expect(sayVerdict(found, 'mm')).toMatch(/one of them is off/);
  });
  test('where a helix was seen, it is taken at its word', () => {
    const seen = identify(readSample({ ...counted, helix: 'seen' }, 'mm').readings);
    expect(seen.verdict).not.toBe('contradiction');
    expect(seen.best[0]!.helixDeg).toBeGreaterThan(0);
  });
});
