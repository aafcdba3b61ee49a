import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { spanOver } from '../inspect/index.ts';
import { measure } from '../units/index.ts';
import {
  emptySample,
  identify,
  readSample,
  sayAngle,
  sayContradiction,
  sayDeciding,
  sayFit,
  sayGear,
  sayVerdict,
  type SampleInput,
} from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');
const n = (typed: string) => measure(typed, 'count');
const deg = (typed: string) => measure(typed, 'deg');
const dp = (typed: string) => measure(typed, 'dp');
const read = (more: Partial<SampleInput>) => readSample({ ...emptySample('mm'), ...more }, 'mm');
const said = (more: Partial<SampleInput>) =>
  read(more).issues.map((issue) => `${issue.path}: ${sayIssue(issue)}`);
const found = (more: Partial<SampleInput>) => identify(read(more).readings);

describe('the fields of a sample', () => {
  test('an odd count by bore and edge: the two together make the outside', () => {
    const { readings } = read({ tipBy: 'bore', bore: measure('1/2', 'in'), edgeToTip: mm('20') });
    expect(readings.tip).toEqual({ mm: 52.7, acrossOdd: false });
    expect(read({ tipBy: 'bore', bore: mm('12') }).readings.tip).toBeNull();
  });

  test('the tool’s ± is what the readings are judged by', () => {
    const give = (tool: SampleInput['tool'], typed = '') =>
      read({ tool, toolError: mm(typed) }).readings.give;
    expect([give('caliper'), give('micrometer'), give('rule'), give('typed', '0.1')]).toEqual([
      0.03, 0.01, 0.4, 0.1,
    ]);
    expect(said({ tool: 'typed', toolError: mm('-1') })[0]).toMatch(
      /^toolError: The tool’s ± must be more than zero/,
    );
  });

  test('a finer tool tells apart what a rule cannot', () => {
    const sample = { teeth: n('60'), tip: mm('77.45'), helix: 'none' as const, wear: 'crisp' as const };
    const tied = (tool: SampleInput['tool']) =>
      found({ ...sample, tool }).best.filter((one) => one.tied).length;
    expect(tied('micrometer')).toBe(1);
    expect(tied('rule')).toBeGreaterThanOrEqual(tied('micrometer'));
  });

  // 17 of 58 pitches: arc 360 · 17/58 = 105.517°, chord 90 · sin(π · 17/58) = 71.64
  test('survivors over an arc or straight across', () => {
    const arc = read({ survivors: { pitches: n('17'), arc: deg('105° 31′'), chord: mm('') } }).readings;
    expect(arc.survivors!.teeth).toBeCloseTo(58, 1);
    expect(arc.teeth.least).toBeLessThan(58);
    expect(arc.teeth.most).toBeGreaterThan(58);
    const chord = read({
      tip: mm('90'),
      survivors: { pitches: n('17'), arc: deg(''), chord: mm('71.64') },
    }).readings;
    expect(chord.survivors!.teeth).toBeCloseTo(58, 0);
    expect(said({ tip: mm('50'), survivors: { pitches: n('5'), arc: deg(''), chord: mm('60') } })[0]).toMatch(
      /^survivors.chord: Survivors lie on part/,
    );
    expect(said({ survivors: { pitches: n('5'), arc: deg('400'), chord: mm('') } })[0]).toMatch(
      /^survivors.arc/,
    );
    // a count that was made wins over survivors
    expect(
      read({ teeth: n('57'), survivors: { pitches: n('17'), arc: deg('105'), chord: mm('') } }).readings
        .survivors,
    ).toBeNull();
  });

  test('a span without its teeth, an angle past reason, a room that is none', () => {
    expect(said({ span: mm('17') })).toEqual([
      'spanTeeth: A span of 17.00 mm says nothing without its teeth: how many stand between the jaws?',
    ]);
    expect(said({ helix: 'seen', helixAngle: deg('95') })[0]).toMatch(
      /^helixAngle: A helix angle of 95 is out of range/,
    );
    expect(said({ room: mm('0') })[0]).toMatch(/^room: The room where it goes must be more than zero/);
    expect(said({ tip: mm('50'), root: mm('51') })[0]).toMatch(
      /^root: 51 does not go with 50.00 mm: the root is smaller than the outside/,
    );
  });

  test('spans too far apart for any gear of that outside', () => {
    expect(said({ tip: mm('20'), spanTeeth: n('2'), span: mm('5'), spanNext: mm('25') })[0]).toMatch(
      /one base pitch would be 20.00 mm, too much for a gear of this outside/,
    );
  });
});

describe('each reading has its say', () => {
  test('a gauge leaf that fits, and those on either side that did not', () => {
    // 20 DP and module 1.25 are 1.6 % apart: outside alone ties them on a worn gear of few teeth
    const both = { teeth: n('14'), tip: mm('20.05'), helix: 'none' as const };
    expect(found({ ...both, gaugeFits: dp('20') }).best[0]!.pitch).toBe('20 DP');
    expect(
      found({ ...both, gaugeFits: measure('1.25', 'module'), gaugeCoarse: dp('20') }).best[0]!.pitch,
    ).toBe('m 1.25');
  });

  test('the whole depth tells stub from full depth', () => {
    // 16 DP stub, 30 teeth: da = 1.5875 · 31.6 = 50.17, h = 2.86
    const stub = found({ teeth: n('30'), tip: mm('50.10'), depth: mm('2.85'), helix: 'none' });
    expect(stub.best[0]).toMatchObject({ pitch: '16 DP', stub: true });
  });

  test('tip and root together, without a count made', () => {
    // m 2, 33 teeth: da 70, df 61
    const gear = found({ tip: mm('69.95'), root: mm('61.0'), helix: 'none' });
    expect(gear.best.slice(0, 3).map(({ pitch, teeth }) => `${pitch} ${teeth}`)).toContain('m 2 33');
  });

  test('a known mate and its distance', () => {
    // m 3, 17 with 40: a = 85.5
    const gear = found({ teeth: n('17'), mateTeeth: n('40'), mateCentre: mm('85.6'), helix: 'none' });
    expect(gear.best[0]).toMatchObject({ pitch: 'm 3', teeth: 17 });
  });

  test('a coarse 25° gear by its spans', () => {
    const gear = { teeth: 24, module: 25.4 / 5, pressureAngle: (25 * Math.PI) / 180 };
    const best = found({
      teeth: n('24'),
      tip: mm((gear.module * 26 - 0.05).toFixed(2)),
      spanTeeth: n('4'),
      span: mm((spanOver(4, gear) - 0.03).toFixed(2)),
      spanNext: mm((spanOver(5, gear) - 0.03).toFixed(2)),
      helix: 'none',
    }).best[0]!;
    expect([best.pitch, best.angleDeg]).toEqual(['5 DP', 25]);
  });

  test('a tip no spur has, and a helix that makes it: offered where one was not ruled out', () => {
    // m 2, 30 teeth at 20°: 67.85
    const straight = found({ teeth: n('30'), tip: mm('67.85'), helix: 'none', wear: 'crisp' });
    expect(straight.verdict === 'none' || straight.best[0]!.pitch !== 'm 2').toBe(true);
    const any = found({ teeth: n('30'), tip: mm('67.85'), wear: 'crisp' });
    expect(any.best.some(({ pitch, helixDeg }) => pitch === 'm 2' && Math.abs(helixDeg - 20) < 0.5)).toBe(
      true,
    );
  });
});

describe('what is said of it', () => {
  const tie = found({
    teeth: n('40'),
    tip: mm('52.40'),
    spanTeeth: n('5'),
    span: mm('17.29'),
    helix: 'none',
  });

  test('a tie names both, with what differs, and what decides', () => {
    expect(sayVerdict(tie, 'mm')).toBe(
      'm 1.25, 40 teeth, 20° is the likeliest; these readings cannot tell it from m 1.25, 40 teeth, 14° 30′.',
    );
    expect(sayDeciding(tie.deciding!, tie.best, 'mm')).toBe(
      'What decides: spans over 5 and 6 teeth; their difference. About 3.690 mm for m 1.25, 40 teeth, 20°, 3.802 mm for m 1.25, 40 teeth, 14° 30′.',
    );
  });

  test('residuals with their direction, in the job’s units', () => {
    const [tip, span] = tie.best[0]!.fits;
    expect(sayFit(tip!, 'mm')).toBe('outside 0.100 mm under, as worn or thinned teeth do');
    expect(sayFit(span!, 'in')).toMatch(/^span 0\.000\d in under/);
    expect(sayFit({ reading: 'tip', given: 54, nominal: 52.5, off: 1.5, sits: 'over' }, 'mm')).toBe(
      'outside 1.500 mm over: more than wear and your tool explain',
    );
    expect(sayFit({ reading: 'root', given: 50, nominal: 50, off: 0, sits: 'within' }, 'mm')).toBe(
      'root diameter on nominal',
    );
  });

  test('gears as they are said at the bench', () => {
    expect(sayGear({ pitch: '16 DP', teeth: 30, stub: true, helixDeg: 0 })).toBe('16 DP, 30 teeth, stub');
    expect(sayGear({ pitch: 'm 2', teeth: 30, stub: false, helixDeg: 20.04 })).toBe(
      'm 2, 30 teeth, helix about 20° 02′',
    );
    expect([sayAngle({ angleDeg: null }), sayAngle({ angleDeg: 14.5 })]).toEqual([
      'angle not told',
      '14° 30′',
    ]);
  });

  test('a contradiction: which reading, what the others would have it be, and the slip', () => {
    const against = found({
      teeth: n('41'),
      tip: mm('52.45'),
      spanTeeth: n('5'),
      span: mm('17.29'),
      spanNext: mm('20.98'),
      helix: 'none',
      wear: 'crisp',
    });
    expect(against.verdict).toBe('contradiction');
    const counted = against.contradictions.find(({ reading }) => reading === 'teeth')!;
    expect(sayContradiction(counted, 'mm')).toBe(
      'With 40 teeth instead of 41 the rest fits m 1.25, 40 teeth, 20°: counted wrong?',
    );
  });

  test('none of the standard ones: bare figures and a corrected gear', () => {
    const none = found({ teeth: n('20'), tip: mm('45.2'), helix: 'none', wear: 'crisp' });
    expect(none.verdict).toBe('none');
    expect(sayVerdict(none, 'mm')).toMatch(
      /By outside and count alone it is module 2.055 \(12.36 DP\). Or m 2 with its teeth moved out by 0.3 of the module: a corrected gear./,
    );
  });
});
