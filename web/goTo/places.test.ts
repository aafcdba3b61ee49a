import { describe, expect, test } from '@jest/globals';
import { drawnSpurJob } from '../../core/job/index.ts';
import { plainCutter, STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';
import { plan } from '../../core/plan/index.ts';
import { placesFor, stationPlaces } from './places.ts';

const open = drawnSpurJob({ id: 'j1', name: 'Lens drive', pitch: '1', teeth: 40, face: '10', bore: '5' });
const shop = {
  ...STOCK_EQUIPMENT,
  cutters: [plainCutter('c', 'Señor’s m 1 No. 6', measure('1', 'module'))],
};
const stations = stationPlaces(open, plan(open, shop));
const names = (typed: string, more: Partial<Parameters<typeof placesFor>[1]> = {}) =>
  placesFor(typed, { stations, shop, jobs: [], ...more }).map(({ name }) => name);
const first = (typed: string) => placesFor(typed, { stations, shop, jobs: [] })[0];

describe('a few letters lead somewhere', () => {
  test('to a station of the open job, before pages and the shop', () => {
    expect(first('div')).toMatchObject({ name: 'Dividing', to: '/jobs/j1/p1/dividing' });
    expect(first('insp')).toMatchObject({ to: '/jobs/j1/p1/inspect' });
    // 40 teeth on a head of 40 to 1: one whole turn
    expect(first('div')?.what).toBe('Lens drive: 1 turn');
    expect(names('cutt')[0]).toBe('Cutter');
    // straight teeth have no lead to go to
    expect(names('lead')).not.toContain('Lead');
    expect(names('dividing', { stations: [] })).not.toContain('Dividing');
  });
  test('to a thing of the shop, whatever its accents, and to a page', () => {
    expect(first('senor')).toMatchObject({ to: '/shop/cutters' });
    expect(first('bronze')).toMatchObject({ to: '/shop/materials' });
    expect(first('logb')).toMatchObject({ to: '/log' });
    expect(first('flats')).toMatchObject({ to: '/jobs/new/divide' });
  });
  test('to a count that can be divided at all', () => {
    expect(first('127')).toMatchObject({ to: '/counts?n=127' });
    for (const none of ['1', '1001', '0'])
      expect(names(none).some((name) => name.includes('divides it'))).toBe(false);
  });
  test('jobs come behind what begins with the letters, and always have room', () => {
    const jobs = Array.from({ length: 6 }, (_, i) => ({
      to: `/jobs/${i}`,
      name: `Mill part ${i}`,
      what: '',
    }));
    const found = names('m', { jobs });
    expect(found.length).toBeLessThanOrEqual(12);
    expect(found.filter((name) => name.startsWith('Mill part'))).toHaveLength(6);
  });
  test('nothing is called that', () => {
    expect(names('xyzzy')).toEqual([]);
  });
});
