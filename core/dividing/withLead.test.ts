import { describe, expect, test } from '@jest/globals';
import { STOCK_GEARS, STOCK_HEADS, type Head } from '../shop/index.ts';
import {
  bestWay,
  countAim,
  preparationOf,
  quickMethods,
  reachOfCounts,
  REACHES,
  searchMethods,
  standingFor,
  wayOfChoice,
  type LeadGearing,
} from './index.ts';

const lead: LeadGearing = {
  drive: 'worm',
  gears: '40 on the table screw, 72 on the worm shaft',
  train: 'lead 40 : 72',
  idlers: 1,
};
const head = STOCK_HEADS[0]!;
const onWork: Head = {
  ...head,
  rings: [...head.rings, { id: 'made-ring-53', name: 'made, 53 holes', holes: 53, made: true, onWork: true }],
};
const ground = (of: Head, how: LeadGearing | null = lead) => ({
  head: of,
  gearSets: [STOCK_GEARS],
  steppers: [],
  lead: how,
});
const serves = (of: Head, count: number, how: LeadGearing | null = lead) =>
  [
    ...quickMethods(ground(of, how), countAim(count)),
    ...searchMethods(ground(of, how), countAim(count)).methods,
  ]
    .filter(({ out }) => out === null)
    .map(({ method }) => method)
    .sort();

describe('dividing with the lead geared', () => {
  test('the crank’s own plate divides; the head’s ring, a differential and a compound move are out, and say why', () => {
    expect(serves(head, 12, null)).toContain('direct');
    expect(serves(head, 12)).toEqual(['simple', 'approximate'].sort());
    const out = [
      ...quickMethods(ground(head), countAim(53)),
      ...searchMethods(ground(head), countAim(53)).methods,
    ];
    const why = Object.fromEntries(out.map(({ method, out: said }) => [method, said]));
    expect(why['differential']).toMatch(/gears are needed for the lead/);
    expect(why['direct']).toMatch(/locks the spindle that the lead has to turn/);
    expect(why['compound']).toMatch(/no back pin may hold it/);
    expect(serves(head, 53)).toEqual(['approximate']);
    expect(searchMethods(ground(head), countAim(53)).nearest).toEqual([52, 54]);
  });

  test('a ring between spindle and work serves, the worm left in', () => {
    const [direct] = quickMethods(ground(onWork), countAim(53)).find(
      ({ method }) => method === 'direct',
    )!.ways;
    expect(direct!.choice).toMatchObject({ method: 'direct', holes: 53, onWork: true });
    expect(preparationOf(direct!, onWork, lead).map(({ key }) => key)).toEqual([
      'worm',
      'ring',
      'gears',
      'lock',
    ]);
    expect(standingFor(direct!, onWork, lead).standing).toMatchObject({ worm: 'in', gears: 'lead 40 : 72' });
    expect(bestWay(ground(onWork), countAim(53))!.method).toBe('direct');
  });

  test('past the worm the crank divides nothing', () => {
    expect(serves(onWork, 12, { ...lead, drive: 'spindle' })).toEqual([]);
    expect(serves(onWork, 53, { ...lead, drive: 'spindle' })).toEqual(['direct']);
  });

  test('a way chosen for a straight gear no longer serves when the lead takes its gears', () => {
    const differential = searchMethods(ground(head, null), countAim(53), 1).methods[0]!.ways[0]!;
    expect(wayOfChoice(ground(head, null), countAim(53), differential.choice)).not.toBeNull();
    expect(wayOfChoice(ground(head), countAim(53), differential.choice)).toBeNull();
  });

  test('preparing: lock pin out, the lead’s gears on, and once it stands so nothing of it again', () => {
    const simple = quickMethods(ground(head), countAim(30))[0]!.ways[0]!;
    const said = preparationOf(simple, head, lead);
    expect(said.find(({ key }) => key === 'lock')!.what).toBe('Plate lock pin out.');
    expect(said.find(({ key }) => key === 'gears')!.what).toMatch(/40 on the table screw.*1 idler/);
    const stands = { ...head, ...standingFor(simple, head, lead) };
    expect(preparationOf(simple, stands, lead).map(({ key }) => key)).toEqual(['warm-up']);
    // straight teeth next: the gears come off, the lock goes in
    expect(preparationOf(simple, stands).map(({ key }) => key)).toEqual(['gears-off', 'lock', 'warm-up']);
  });

  test('the strip of counts knows it', () => {
    const reach = (count: number, of: Head, leadGeared: boolean) =>
      REACHES[reachOfCounts([of], { gearSets: [STOCK_GEARS], leadGeared }, { from: count, to: count })[0]!];
    expect([reach(53, head, false), reach(53, head, true), reach(53, onWork, true)]).toEqual([
      'differential',
      'none',
      'direct',
    ]);
    expect([reach(12, head, false), reach(12, head, true)]).toEqual(['direct', 'simple']);
  });
});
