import { expect, test } from '@jest/globals';
import { promptSheet } from '../prompts/index.ts';
import { measure } from '../units/index.ts';
import {
  CHECKS,
  cos,
  count,
  expectWorked,
  mm,
  PI,
  RAD,
  reach,
  sin,
  toMeasure,
  workedJob,
  workedPart,
  workedRun,
} from './bench.ts';

/* Teeth and blanks off nominal, worked by hand. Sources: docs/sources.md#worked. */

test('spur with thinner teeth: 40 of module 2, 0.1 mm off each tooth; the cutter made for 35 goes deeper, and the readings follow', () => {
  const job = workedJob({ units: 'mm', mill: 'lying' }, (part) => ({
    ...part,
    gear: { ...part.gear, pitch: measure('2', 'module'), teeth: count('40'), thinning: mm('0.1') },
    blank: { ...part.blank, faceWidth: mm('20'), bore: mm('12') },
  }));
  const part = workedPart(job);
  const [z, m, a, j] = [40, 2, 20 * RAD, 0.1];
  // a form cutter for 35: its flank slopes α + 90°/35 to the middle of its space (domain: common practice, by
  // geometry)
  const deeper = (j * cos(a)) / (2 * sin(a + PI / 2 / 35));
  expectWorked(part, 'gear', {
    answer: '40 teeth, m 2, 20°',
    teeth: '40',
    module: m,
    pressureAngle: 20,
    pitchDiameter: 80,
    addendum: 2,
    wholeDepth: 4.5,
    cutDepth: 4.5 + deeper,
    // of the depth rule; what the thinning adds stands in the depth to cut
    clearance: 0.5,
    circularPitch: 2 * PI,
    toothThickness: PI - j,
    baseDiameter: 80 * cos(a),
  });
  expectWorked(part, 'blank', {
    answer: 'Ø 84.00 × 20.00',
    tipDiameter: 84,
    faceWidth: 20,
    bore: 12,
    rootDiameter: 84 - 2 * (4.5 + deeper),
    wall: (84 - 2 * (4.5 + deeper) - 12) / 2,
  });
  expectWorked(part, 'cut', {
    answer: `1 pass, ${(4.5 + deeper).toFixed(2)} deep`,
    'depth-one': 4.5 + deeper,
    spaces: '40',
  });
  const by = toMeasure(z, m, a, j);
  const known = toMeasure(z, m, a);
  // by geometry: a span loses j cos α, a caliper all but j
  expect(known.span - by.span).toBeCloseTo(j * cos(a), 9);
  expect(known.chordal - by.chordal).toBeCloseTo(j, 3);
  expectWorked(part, 'inspect', {
    ...CHECKS,
    answer: `span ${by.span.toFixed(3)} over 5 teeth`,
    outside: 84,
    depth: 4.5 + deeper,
    chordal: by.chordal,
    span: by.span,
    pins: by.pins,
    'set chordal': `caliper set to a height of ${by.caliper.toFixed(3)} mm`,
    'set span': 'over 5 teeth',
    'set pins': 'pins of Ø 3.456 mm',
  });
});

test('a blank turned 0.2 under: the dial goes 0.1 less deep, root and tooth stay, the set-up and the prompts go by the dial', () => {
  const job = workedJob({ units: 'mm', mill: 'lying' }, (part) => ({
    ...part,
    gear: { ...part.gear, pitch: measure('1.5', 'module'), teeth: count('30') },
    blank: { ...part.blank, faceWidth: mm('12'), bore: mm('10'), measured: mm('47.8') },
    setup: { ...part.setup, cutterDiameter: mm('60'), cutterWidth: mm('5') },
  }));
  const part = workedPart(job);
  const dial = 3.375 - 0.1;
  expectWorked(part, 'blank', {
    answer: 'Ø 48.00 × 12.00',
    tipDiameter: 48,
    faceWidth: 12,
    bore: 10,
    measured: 47.8,
    dialDepth: dial,
    rootDiameter: 48 - 2 * 3.375,
    wall: (41.25 - 10) / 2,
  });
  expectWorked(part, 'cut', { answer: '1 pass, 3.28 deep', 'depth-one': dial, spaces: '30' });
  // √(3.275·56.725) = 13.630; the side that is touched is the turned one: 23.9 + 2.5
  const lines = promptSheet(workedRun(job)).flatMap((stretch) => stretch.lines);
  expect(lines).toContain(
    'Raise the knee to 3.275 mm (0.1289 in): 1 turn + 63.8 marks from the touch, on the dial.',
  );
  // √(3.275 · 56.725) + 12 = 25.630 mm, at 5 mm and 100 marks
  expect(lines).toContain(
    'Cut tooth space 1: feed on until the table reads 25.63 mm (5 turns + 12.6 marks), and mark it.',
  );
  const { inspect, setup } = Object.fromEntries(part.stations.map((station) => [station.id, station]));
  const figure = (station: typeof setup, key: string) => {
    const found = station!.values.find((value) => value.key === key)!;
    return found.kind === 'length' ? found.mm : null;
  };
  expect(figure(setup, 'approach')).toBeCloseTo(reach(dial, 60), 9);
  expect(figure(inspect, 'outside')).toBeCloseTo(47.8, 9);
  expect(figure(inspect, 'depth')).toBeCloseTo(dial, 9);
  // the tooth itself is the nominal one; only the caliper stands lower on it, by 0.1
  const by = toMeasure(30, 1.5, 20 * RAD);
  expect(figure(inspect, 'chordal')).toBeCloseTo(by.chordal, 9);
  expect(figure(inspect, 'span')).toBeCloseTo(by.span, 9);
  expect(figure(inspect, 'pins')).toBeCloseTo(by.pins, 6);
  expect(JSON.stringify(inspect!.detail)).toContain(
    `caliper set to a height of ${(by.caliper - 0.1).toFixed(3)} mm`,
  );
});
