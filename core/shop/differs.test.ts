import { expect, test } from '@jest/globals';
import { measure } from '../units/index.ts';
import { plainCutter, STOCK_HEADS, STOCK_MILL, whatDiffers } from './index.ts';

test('a figure is told from what to what, a list by its name, what is the same not at all', () => {
  const head = STOCK_HEADS[0]!;
  expect(whatDiffers(head, head)).toBe('');
  expect(whatDiffers(head, { ...head, ratio: '60', plates: [] })).toBe('ratio 40 → 60, its plates');
  expect(whatDiffers(head, { ...head, differential: null })).toBe('how it is geared');
  expect(whatDiffers(STOCK_MILL, { ...STOCK_MILL, lead: measure('0.2', 'in'), headTilts: true })).toMatch(
    /^lead of the table screw \S+ \w+ → 0\.2 in, tilt of the head no → yes$/,
  );
});

test('what was not known is called nothing; the ids of other things are never shown', () => {
  const cutter = plainCutter('c', 'Cutter', measure('1', 'module'));
  expect(whatDiffers(cutter, { ...cutter, stamped: measure('2.7', 'mm'), number: '4' })).toBe(
    'number nothing → 4, depth stamped on it nothing → 2.7 mm',
  );
  expect(whatDiffers({ gearSetId: 'set-1' }, { gearSetId: 'set-2' })).toBe('its change gears');
});
