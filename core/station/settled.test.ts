import { expect, test } from '@jest/globals';
import { exact } from '../units/index.ts';
import {
  angleValue,
  answerToSettle,
  lengthValue,
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
  expect(whatMoved(settled, values(75.251, 'B'), 'mm')[0]).toMatchObject({
    from: '75.250 mm',
    to: '75.251 mm',
  });
  expect(whatMoved(settled, values(75, 'B'), 'in')[0]).toMatchObject({ from: '2.963 in', to: '2.953 in' });
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
  const query = { code: 'pitch-slip', path: 'p', severity: 'query' } as const;
  const wrong = { code: 'not-whole', path: 'p', severity: 'wrong' } as const;
  expect(stateOf({ issues: [] }, undefined, [])).toBe('open');
  expect(stateOf({ issues: [wrong] }, undefined, [])).toBe('open');
  expect(stateOf({ issues: [] }, settled, [])).toBe('settled');
  expect(stateOf({ issues: [wrong] }, settled, [])).toBe('doubt');
  expect(stateOf({ issues: [query] }, undefined, [])).toBe('doubt');
  expect(stateOf({ issues: [query] }, answerToSettle({ values: [], issues: [query] }), [])).toBe('settled');
});
