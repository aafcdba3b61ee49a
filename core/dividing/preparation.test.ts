import { describe, expect, test } from '@jest/globals';
import { drive } from '../sampleRuns.ts';
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
    expect(keys(quick(head, 58, 'simple'), head)).toEqual(['worm', 'radius', 'arms', 'lock', 'warm-up']);
  });
  test('set up for a count, the same count again needs only the warm-up; another only its arms', () => {
    const stands = after(quick(head, 58, 'simple'), head);
    expect(keys(quick(stands, 58, 'simple'), stands)).toEqual(['warm-up']);
    const other = quickMethods(ground(stands), countAim(29))[0]!.ways.find(
      ({ choice }) => 'circle' in choice && choice.circle === 29,
    )!;
    expect(preparationOf(other, stands).map(({ what }) => what)).toEqual([
      'Arms to 11 spaces, 12 holes with the pin’s own; clamp them.',
      'Two turns of the crank clockwise, the pin into hole 0.',
    ]);
  });
  test('a differential train: lock out, gears by position, the trial; afterwards they come off again', () => {
    const way = long(head, 127);
    const steps = preparationOf(way, head);
    expect(steps.find(({ key }) => key === 'gears')!.what).toMatch(/on the spindle.*on the plate shaft/);
    expect(steps.find(({ key }) => key === 'trial')!.what).toContain(`creep ${way.geared!.plateTurns} it`);
    expect(steps.find(({ key }) => key === 'lock')!.what).toBe('Plate lock pin out, and any back pin.');
    // a geared train is never cranked against a locked plate: gears, lock, and only then the trial
    expect(steps.map(({ key }) => key).filter((key) => ['gears', 'lock', 'trial'].includes(key))).toEqual([
      'gears',
      'lock',
      'trial',
    ]);
    const stands = after(way, head);
    expect(keys(quick(stands, 58, 'simple'), stands)).toEqual([
      'gears-off',
      'radius',
      'arms',
      'lock',
      'warm-up',
    ]);
  });
  test('from worm to ring and back', () => {
    const direct = quick(head, 12, 'direct');
    expect(keys(direct, head)).toEqual(['worm', 'ring']);
    const stands = after(direct, head);
    expect(stands.standing.worm).toBe('out');
    expect(keys(quick(stands, 12, 'direct'), stands)).toEqual([]);
    expect(keys(quick(stands, 58, 'simple'), stands)[0]).toBe('worm');
  });
  test('gears come off before the plate is touched, by every method, and before other gears go on', () => {
    const geared = after(long(head, 127), head);
    const plate = quickMethods(ground(geared), countAim(60))[0]!.ways.find(
      ({ choice }) => 'plateId' in choice && choice.plateId !== geared.mounted?.plateId,
    )!;
    expect(keys(plate, geared).slice(0, 2)).toEqual(['gears-off', 'plate']);
    expect(keys(quick(geared, 12, 'direct'), geared)[0]).toBe('gears-off');
    expect(after(quick(geared, 12, 'direct'), geared).standing.gears).toBe('');
    const other = searchMethods(ground(geared), countAim(131)).methods.find(
      ({ method }) => method === 'differential',
    )!.ways[0]!;
    const steps = keys(other, geared);
    expect(steps.indexOf('gears-off')).toBe(0);
    expect(steps.indexOf('gears')).toBeLessThan(steps.indexOf('trial'));
  });
  test('compound: the back pin holds the plate before its lock is drawn, and the next plain job locks it again', () => {
    const way = searchMethods(ground(head), countAim(69)).methods.find(({ method }) => method === 'compound')!
      .ways[0]!;
    const steps = preparationOf(way, head).filter(({ key }) => key === 'back-pin' || key === 'lock');
    expect(steps.map(({ what }) => what)).toEqual([
      expect.stringMatching(/^Back pin set to the \d+ circle/),
      'Plate lock pin out.',
    ]);
    const stands = after(way, head);
    expect(preparationOf(quick(stands, 58, 'simple'), stands).map(({ what }) => what)).toContain(
      'Plate lock pin in.',
    );
  });
  test('a ring between spindle and work: the worm is said one way, and gears of another job come off', () => {
    const ring = { id: 'w', name: 'Ring 30', holes: 30, made: true, onWork: true as const };
    const bare = {
      ...head,
      rings: [ring],
      standing: { ...head.standing, worm: 'out' as const, gears: '24/56' },
    };
    const way = quick(bare, 30, 'direct');
    const steps = preparationOf(way, bare);
    expect(steps.map(({ key }) => key)).toEqual(['gears-off', 'worm', 'ring']);
    expect(steps.map(({ what, why }) => `${what} ${why}`).join(' ')).toMatch(
      /worm home.*the worm stays in and holds the spindle/,
    );
    expect(after(way, bare).standing).toMatchObject({ worm: 'in', gears: '' });
    const through = preparationOf(way, bare, {
      drive: 'spindle',
      gears: '24 on the table screw',
      train: 'lead 24',
      idlers: 0,
    });
    expect(through.map(({ what, why }) => `${what} ${why}`).join(' ')).not.toMatch(/worm (home|stays in)/);
  });
  test('a motor: nothing is cranked by hand, nothing is locked', () => {
    const way = quickMethods({ ...ground(STOCK_ROTARY), steppers: [drive] }, countAim(53)).find(
      ({ method }) => method === 'stepper',
    )!.ways[0]!;
    expect(preparationOf(way, STOCK_ROTARY).map(({ what }) => what)).toEqual([
      'Direct pin out, spindle unlocked.',
      'Motor coupled; crank and plate pin clear of it.',
      'Let Motor go two turns on.',
      'Set the step count to 0 at the first place.',
    ]);
  });
  test('a wheel is set to 0', () => {
    expect(keys(quick(STOCK_ROTARY, 53, 'handwheel'), STOCK_ROTARY)).toEqual(['worm', 'warm-up', 'zero']);
  });
});
