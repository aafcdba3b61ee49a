import { describe, expect, test } from '@jest/globals';
import { STOCK_GEARS, STOCK_HEADS, STOCK_ROTARY, type Head } from '../shop/index.ts';
import { countAim, preparationOf, quickMethods, searchMethods, standingFor, type Way } from './index.ts';

const head = STOCK_HEADS[0]!;
const ground = (of: Head) => ({ head: of, gearSets: [STOCK_GEARS], steppers: [] });
const quick = (of: Head, n: number, method: string) =>
  quickMethods(ground(of), countAim(n)).find((answer) => answer.method === method)!.ways[0]!;
const long = (of: Head, n: number) => searchMethods(ground(of), countAim(n)).methods[0]!.ways[0]!;
const keys = (way: Way, of: Head) => preparationOf(way, of).map(({ key }) => key);
const after = (way: Way, of: Head): Head => ({ ...of, ...standingFor(way, of) });

describe('preparing the head: only what changes from how it stands', () => {
  test('nothing known yet: everything is said once', () => {
    expect(keys(quick(head, 58, 'simple'), head)).toEqual(['worm', 'lock', 'radius', 'arms', 'warm-up']);
  });
  test('set up for a count, the same count again needs only the warm-up; another only its arms', () => {
    const stands = after(quick(head, 58, 'simple'), head);
    expect(keys(quick(stands, 58, 'simple'), stands)).toEqual(['warm-up']);
    const other = quickMethods(ground(stands), countAim(29))[0]!.ways.find(({ choice }) => 'circle' in choice && choice.circle === 29)!; // prettier-ignore
    expect(preparationOf(other, stands).map(({ what }) => what)).toEqual([
      'Arms to span 12 holes, both ends counted; clamp them.',
      'Two turns of the crank clockwise, the pin into hole 0.',
    ]);
  });
  test('a differential train: lock out, gears by position, the trial; afterwards they come off again', () => {
    const way = long(head, 127);
    const steps = preparationOf(way, head);
    expect(steps.find(({ key }) => key === 'gears')!.what).toMatch(/on the spindle.*on the plate shaft/);
    expect(steps.find(({ key }) => key === 'trial')!.what).toContain(`creep ${way.geared!.plateTurns} it`);
    expect(steps.find(({ key }) => key === 'lock')!.what).toBe('Plate lock pin out.');
    const stands = after(way, head);
    expect(keys(quick(stands, 58, 'simple'), stands)).toEqual(['gears', 'lock', 'radius', 'arms', 'warm-up']);
  });
  test('from worm to ring and back', () => {
    const direct = quick(head, 12, 'direct');
    expect(keys(direct, head)).toEqual(['worm', 'ring']);
    const stands = after(direct, head);
    expect(stands.standing.worm).toBe('out');
    expect(keys(quick(stands, 12, 'direct'), stands)).toEqual([]);
    expect(keys(quick(stands, 58, 'simple'), stands)[0]).toBe('worm');
  });
  test('a wheel is set to 0', () => {
    expect(keys(quick(STOCK_ROTARY, 53, 'handwheel'), STOCK_ROTARY)).toEqual(['worm', 'zero', 'warm-up']);
  });
});
