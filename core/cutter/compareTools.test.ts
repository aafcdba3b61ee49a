import { expect, test } from '@jest/globals';
import { compareTools, minutesWithTeeth, type CuttingTime } from './index.ts';

// 62 spaces of 24 mm at 48 mm a minute, 45 seconds besides for each: 62 × (0.5 + 0.75) = 77.5
const time: CuttingTime = { minutes: 77.5, cuts: 62, travel: 24, feed: 48, teeth: 12 };

test('one tooth takes twelve times the feeding of twelve, and no more indexing', () => {
  expect(minutesWithTeeth(time, 12)).toBeCloseTo(77.5, 12);
  // 62 × (0.5 × 12 + 0.75)
  expect(minutesWithTeeth(time, 1)).toBeCloseTo(418.5, 9);
  // eight teeth: 62 × (0.75 + 0.75)
  expect(minutesWithTeeth(time, 8)).toBeCloseTo(93, 9);
});

test('every tool stands beside the others with its figures; what is not known is not made up', () => {
  const all = compareTools({
    set: { name: 'No. 4', worst: 21 },
    half: { name: 'No. 4½', worst: 6 },
    residual: 3.5,
    time,
  });
  expect(all.map(({ kind, error, minutes }) => [kind, error, minutes && Math.round(minutes)])).toEqual([
    ['form', 21, 78],
    ['half', 6, 78],
    ['fly', null, 419],
    ['buttons', 3.5, 93],
    ['hob', null, null],
  ]);
  const bare = compareTools({ set: null, half: null, residual: null, time: null });
  expect(bare.map(({ kind, minutes }) => [kind, minutes])).toEqual([
    ['fly', null],
    ['buttons', null],
    ['hob', null],
  ]);
  expect(bare[1]!.errorSays).toBe('this flank is too straight for buttons');
});
