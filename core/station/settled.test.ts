import { expect, test } from '@jest/globals';
import { exact } from '../units/index.ts';
import {
  angleValue,
  answerToSettle,
  figureValue,
  giveText,
  lengthValue,
  pitchValue,
  stateOf,
  textValue,
  whatMoved,
  type Value,
} from './index.ts';

const values = (tip: number, plate: string): Value[] => [
  lengthValue({ key: 'tip', label: 'Blank diameter', settles: true }, tip),
  angleValue({ key: 'angle', label: 'Angle', settles: true }, exact(29, 2)),
  textValue({ key: 'plate', label: 'Plate', settles: true }, plate),
  textValue({ key: 'hint', label: 'Hint' }, plate),
];
const settled = answerToSettle({ values: values(75.25, 'B'), issues: [] });

test('what moved is the difference, in either unit, to the place where it shows', () => {
  expect(whatMoved(settled, values(75.25, 'B'), 'mm')).toEqual([]);
  expect(whatMoved(settled, values(75, 'C'), 'mm')).toEqual([
    { key: 'tip', label: 'Blank diameter', from: '75.25 mm', to: '75.00 mm' },
    { key: 'plate', label: 'Plate', from: 'B', to: 'C' },
  ]);
  expect(whatMoved(settled, values(75.256, 'B'), 'mm')[0]).toMatchObject({
    from: '75.25 mm',
    to: '75.26 mm',
  });
  // 0.006 mm is two tenths of a thou: 2.9626 and 2.9628, which both round to 2.963
  expect(whatMoved(settled, values(75.256, 'B'), 'in')[0]).toMatchObject({
    from: '2.9626 in',
    to: '2.9628 in',
  });
  expect(whatMoved(settled, values(75, 'B'), 'in')[0]).toMatchObject({ from: '2.963 in', to: '2.953 in' });
});

// Tolerances: common practice, as stated in docs/decisions/0004. 0.0001 in is 0.00254 mm.
test('a move that nobody would act on puts nothing in doubt; many small ones add up from where it was settled', () => {
  const depth = (inches: number) => [
    lengthValue({ key: 'depth', label: 'Whole depth', settles: true }, inches * 25.4),
  ];
  const was = answerToSettle({ values: depth(0.1541), issues: [] });
  expect(whatMoved(was, depth(0.154), 'in')).toEqual([]);
  expect(whatMoved(was, depth(0.1539), 'in')).toEqual([
    { key: 'depth', label: 'Whole depth', from: '0.1541 in', to: '0.1539 in' },
  ]);
  const helix = (seconds: number) => [
    angleValue({ key: 'helix', label: 'Helix', settles: true }, exact(20).add(exact(seconds, 3600))),
  ];
  const leant = answerToSettle({ values: helix(0), issues: [] });
  for (const seconds of [2, -2, 10, -10]) expect(whatMoved(leant, helix(seconds), 'mm')).toEqual([]);
  expect(whatMoved(leant, helix(11), 'mm')).toEqual([
    { key: 'helix', label: 'Helix', from: '20°', to: '20° 00′ 11″' },
  ]);
  expect(whatMoved(leant, helix(-11), 'mm')).toHaveLength(1);
});

test('what is repeated over a length is judged by parts of itself, a count of teeth not at all, words that are a figure by the figure', () => {
  const of = (lead: number, um: number, module: number) => [
    pitchValue({ key: 'lead', label: 'Lead', settles: true }, lead),
    figureValue({
      naming: { key: 'stray', label: 'Over this face', settles: true },
      text: `${um} µm`,
      figure: {
        is: um,
        within: 2,
        unit: 'µm',
      },
    }),
    lengthValue({ key: 'module', label: 'Module', settles: true, within: 0 }, module),
  ];
  const was = answerToSettle({ values: of(20, 3, 1.5), issues: [] });
  const keys = (today: Value[]) => whatMoved(was, today, 'mm').map(({ key }) => key);
  // a ten-thousandth of 20 mm is 0.002 mm
  expect(keys(of(20.0019, 5, 1.5))).toEqual([]);
  expect(keys(of(20.0021, 5.1, 1.5))).toEqual(['lead', 'stray']);
  expect(keys(of(19.9979, 0.9, 1.5))).toEqual(['lead', 'stray']);
  expect(keys(of(20, 3, 1.5001))).toEqual(['module']);
  // settled before the figure was kept beside the words: the words themselves tell
  const old = { ...was, figures: { ...was.figures, stray: { ...was.figures['stray']!, figure: undefined } } };
  expect(whatMoved(old, of(20, 4, 1.5), 'mm').map(({ key }) => key)).toEqual(['stray']);
  expect(whatMoved(old, of(20, 3, 1.5), 'mm')).toEqual([]);
  // what each allows is told, in the units of the job
  expect(giveText(of(20, 3, 1.5), 'mm')).toBe(
    'Once settled, in doubt at more than 0.002 mm of Lead; at more than 2 µm of Over this face; at any move of Module.',
  );
  expect(giveText(values(75, 'B'), 'in')).toBe(
    'Once settled, in doubt at more than 0.0002 in of Blank diameter; at more than 10″ of Angle.',
  );
  // a twentieth of 50.8 mm a minute is 2.54: a tenth of an inch
  const feed = figureValue({
    naming: { key: 'feed', label: 'Feed', settles: true },
    text: '2 in/min',
    figure: {
      is: 50.8,
      within: 2.54,
      unit: 'mm/min',
    },
  });
  expect(giveText([feed], 'in')).toBe('Once settled, in doubt at more than 0.1 in/min of Feed.');
  expect(giveText([feed], 'mm')).toBe('Once settled, in doubt at more than 2.54 mm/min of Feed.');
  expect(giveText([textValue({ key: 'p', label: 'Plate', settles: true }, 'B')], 'mm')).toBeNull();
});

test('what a file has in the place of a figure is told as it stands, and has moved', () => {
  const odd = (at: string) => ({
    figures: { tip: { kind: 'length' as const, label: 'Blank diameter', at } },
    queries: [],
  });
  const today = [lengthValue({ key: 'tip', label: 'Blank diameter', settles: true }, 75)];
  for (const at of ['abc', '', '1/0', '75 mm'])
    expect(whatMoved(odd(at), today, 'mm')).toEqual([
      { key: 'tip', label: 'Blank diameter', from: at, to: '75.00 mm' },
    ]);
  expect(whatMoved(odd('75'), today, 'mm')).toEqual([]);
  expect(whatMoved(odd('150/2'), today, 'mm')).toEqual([]);
});

test('a figure that is gone, and one that is new', () => {
  expect(whatMoved(settled, [], 'mm').map(({ from, to }) => [from, to])).toEqual([
    ['75.25 mm', 'nothing'],
    ['14° 30′', 'nothing'],
    ['B', 'nothing'],
  ]);
  expect(whatMoved({ figures: {}, queries: [] }, values(75, 'B'), 'mm')).toHaveLength(3);
});

test('open, settled, in doubt; a question is asked until it is settled with', () => {
  const query = { code: 'runout-far', path: 'p', severity: 'query', given: '1 mm' } as const;
  const wrong = { code: 'missing', path: 'p', severity: 'wrong', allowed: 'the teeth' } as const;
  expect(stateOf({ issues: [] }, undefined, [])).toBe('open');
  expect(stateOf({ issues: [wrong] }, undefined, [])).toBe('open');
  expect(stateOf({ issues: [] }, settled, [])).toBe('settled');
  expect(stateOf({ issues: [wrong] }, settled, [])).toBe('doubt');
  expect(stateOf({ issues: [query] }, undefined, [])).toBe('doubt');
  expect(stateOf({ issues: [query] }, answerToSettle({ values: [], issues: [query] }), [])).toBe('settled');
});
