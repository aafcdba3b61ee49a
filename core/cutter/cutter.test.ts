import { expect, test } from '@jest/globals';
import { CUTTER_RANGES, cutterFor, HALF_CUTTERS, rangeText } from './index.ts';

// Source: Machinery's Handbook, "Involute gear cutters" (inch numbers); the metric order is common practice.
test.each([
  [12, '8', '1', null],
  [13, '8', '1', '7½'],
  [14, '7', '2', null],
  [16, '7', '2', '6½'],
  [20, '6', '3', '5½'],
  [21, '5', '4', null],
  [25, '5', '4', '4½'],
  [34, '4', '5', '3½'],
  [35, '3', '6', null],
  [54, '3', '6', '2½'],
  [58, '2', '7', null],
  [134, '2', '7', '1½'],
  [135, '1', '8', null],
  [1000, '1', '8', null],
])('%d teeth: No. %s inch, No. %s metric, half %s', (teeth, inch, metric, half) => {
  const found = cutterFor(teeth);
  expect([found?.range.inch, found?.range.metric, found?.half?.inch ?? null]).toEqual([inch, metric, half]);
});

test('no set goes below 12 teeth', () => {
  expect([4, 11].map(cutterFor)).toEqual([null, null]);
});

test('the eight ranges cover every count from 12 once, and a half number lies inside its whole one', () => {
  for (let teeth = 12; teeth <= 400; teeth += 1) {
    expect(CUTTER_RANGES.filter(({ from, to }) => teeth >= from && teeth <= (to ?? Infinity))).toHaveLength(
      1,
    );
  }
  for (const half of HALF_CUTTERS) {
    const whole = cutterFor(half.from)!.range;
    expect(Number.parseInt(half.inch, 10)).toBe(Number(whole.inch) - 1);
    expect(half.to).toBe(whole.to);
  }
});

test('the two schools add up to nine', () => {
  for (const { inch, metric } of CUTTER_RANGES) expect(Number(inch) + Number(metric)).toBe(9);
});

test('ranges in words', () => {
  expect([
    rangeText({ from: 55, to: 134 }),
    rangeText({ from: 135, to: null }),
    rangeText({ from: 13, to: 13 }),
  ]).toEqual(['55 to 134 teeth', '135 teeth to a rack', '13 teeth only']);
});
