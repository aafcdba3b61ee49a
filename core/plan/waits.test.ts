import { describe, expect, test } from '@jest/globals';
import { drawnSpurJob, withPart, withSpurPart, type Job } from '../job/index.ts';
import { isIndexed } from '../kinds/index.ts';
import { plainCutter, STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import type { StationId } from '../station/index.ts';
import { measure } from '../units/index.ts';
import {
  bestCutter,
  nextWaiting,
  plan,
  settleOpen,
  settleStation,
  stationOf,
  waitsForPerson,
  type AnyStationPlan,
  type PartPlan,
} from './index.ts';

const cutter = {
  ...plainCutter('c6', 'm 1.5 No. 6', measure('1.5', 'module')),
  range: { from: 35, to: 54 },
  diameter: measure('60', 'mm'),
  width: measure('6', 'mm'),
  teeth: 12,
};
const shop: Equipment = { ...STOCK_EQUIPMENT, mills: [STOCK_MILL], cutters: [cutter] };
const drawn = (face = '12'): Job =>
  drawnSpurJob({ id: 'j', name: 'Gear', pitch: '1.5', teeth: 46, face, bore: '10' });
const planned = (job: Job): PartPlan => plan(job, shop).parts[0]!;
const at = (part: PartPlan, id: StationId): AnyStationPlan => part.stations.find((one) => one.id === id)!;
const bestOf = (part: PartPlan) => bestCutter(stationOf(part, 'cutter')!);
const waiting = (part: PartPlan) => part.stations.filter(waitsForPerson).map(({ id }) => id);
const inBronze = (job: Job): Job =>
  withPart(job, 'p1', (part) =>
    isIndexed(part)
      ? {
          ...part,
          setup: { ...part.setup, materialId: shop.materials.find(({ name }) => name === 'Bronze')!.id },
        }
      : part,
  );
const picked = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cutter: { ...part.cutter, cutterId: 'c6' } }));

describe('what waits for a person', () => {
  test('a gear drawn in full: a cutter to pick, a material to say; dividing and passes stand', () => {
    expect(waiting(planned(drawn()))).toEqual(['cutter', 'setup']);
  });
  test('the cutter to take is the one that serves; none once it is picked, none where none serves', () => {
    expect(bestOf(planned(drawn()))).toEqual({ id: 'c6', name: 'm 1.5 No. 6' });
    expect(bestOf(planned(picked(drawn())))).toBeNull();
    const other = plan(drawn(), { ...shop, cutters: [{ ...cutter, range: { from: 12, to: 13 } }] }).parts[0]!;
    expect(bestOf(other)).toBeNull();
  });
  test('with both said nobody is waited for, and it can be cut', () => {
    const part = planned(inBronze(picked(drawn())));
    expect(waiting(part)).toEqual([]);
    expect(part.cutting).not.toBeNull();
    expect(nextWaiting(part, at(part, 'gear'))).toBeNull();
  });
  test('settled with no cutter picked, it was looked at; a set-up of which nothing is known still waits', () => {
    const job = drawn();
    expect(waiting(planned(settleOpen(job, planned(job))))).toEqual(['setup']);
  });
  test('a station in doubt waits, whatever else it has', () => {
    const job = inBronze(picked(drawn()));
    const settled = settleOpen(job, planned(job));
    const moved = withSpurPart(settled, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, teeth: measure('47', 'count') },
    }));
    expect(waiting(planned(moved))).toEqual(expect.arrayContaining(['gear', 'blank', 'dividing']));
  });
});

describe('where it goes on', () => {
  test('after this one first, then round to those before; never to what is measured afterwards', () => {
    const part = planned(drawn());
    expect(nextWaiting(part, at(part, 'gear'))?.id).toBe('cutter');
    expect(nextWaiting(part, at(part, 'cutter'))?.id).toBe('setup');
    expect(nextWaiting(part, at(part, 'setup'))?.id).toBe('cutter');
    expect(nextWaiting(part, at(part, 'inspect'))?.id).toBe('cutter');
  });
  test('from one that lacks something it does not go on to those that only wait for that', () => {
    const fresh = planned(
      withSpurPart(drawn(), 'p1', (part) => ({
        ...part,
        gear: { ...part.gear, teeth: measure('', 'count') },
      })),
    );
    expect(at(fresh, 'gear').complete).toBe(false);
    expect(nextWaiting(fresh, at(fresh, 'gear'))).toBeNull();
    // but from a later one it goes back to what lacks
    expect(nextWaiting(fresh, at(fresh, 'blank'))?.id).toBe('gear');
  });
  test('settling goes round without coming back to itself', () => {
    let job = drawn();
    const gone: string[] = [];
    let here: AnyStationPlan | null = at(planned(job), 'gear');
    while (here && gone.length < 9) {
      gone.push(here.id);
      const part = planned(job);
      job = settleStation(
        job,
        'p1',
        part.stations.find(({ id }) => id === here!.id)!,
      );
      here = nextWaiting(part, here);
      if (here && gone.includes(here.id)) break;
    }
    expect(gone).toEqual(['gear', 'cutter', 'setup']);
  });
});
