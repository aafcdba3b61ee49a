import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import {
  drawnSpurJob,
  headWithMade,
  madeFor,
  newDivideJob,
  newDriveJob,
  readJob,
  withCutter,
  withDividing,
  withHead,
  withMill,
  withPart,
  withRingPart,
  withShopCopy,
  type Copied,
  type Job,
} from '../job/index.ts';
import {
  equipmentSchema,
  equipmentToToday,
  plainCutter,
  plainLathe,
  STOCK_EQUIPMENT,
  STOCK_MILL,
  STOCK_ROTARY,
  type Equipment,
} from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { drive as crankDrive } from '../sampleRuns.ts';
import { plan, stationOf } from './index.ts';

const drive = { ...crankDrive, belt: '3' };
const shop: Equipment = {
  ...STOCK_EQUIPMENT,
  heads: [...STOCK_EQUIPMENT.heads, STOCK_ROTARY],
  steppers: [drive],
};
const withLathes: Equipment = {
  ...shop,
  lathes: [{ ...plainLathe('lathe', 'Lathe', measure('6', 'mm')), gearSetId: shop.gearSets[0]!.id }],
};
const gear = drawnSpurJob({ id: 'g', name: 'Year wheel', pitch: '0.8', teeth: 73, face: '4', bore: '6' });
const found = (job: typeof gear, now: Equipment) => plan(job, now).findings.map(sayIssue);

describe('what has changed in the shop since a job was planned', () => {
  test('nothing, while nothing has', () => expect(found(gear, shop)).toEqual([]));

  test('how a head stands is no change, and is always read from the shop', () => {
    const [first, ...rest] = shop.heads;
    const turned = { ...first!, mounted: { plateId: 'plate-c', side: 0 as const } };
    const now = { ...shop, heads: [turned, ...rest] };
    expect(found(gear, now)).toEqual([]);
    const job = drawnSpurJob({ id: 'h', name: 'H', pitch: '1', teeth: 41, face: '4', bore: '6' });
    const ways = (equipment: Equipment) =>
      stationOf(plan(job, equipment).parts[0]!, 'dividing')!.detail.inForce!.change;
    expect([ways(shop), ways(now)]).toEqual(['plate C', null]);
  });

  test('plates, gears and drives that are otherwise now', () => {
    const heads = shop.heads.map((head) => ({ ...head, plates: head.plates.slice(0, 1) }));
    expect(found(gear, { ...shop, heads })).toEqual([
      'Head with three plates has changed in the shop since this job was planned: its plates. The job still uses its own copy.',
    ]);
    const gearSets = [{ ...shop.gearSets[0]!, gears: shop.gearSets[0]!.gears.slice(1) }];
    expect(found(gear, { ...shop, gearSets })[0]).toMatch(/^Twelve change gears has changed/);
    const table = withHead({ job: gear, partId: 'p1', head: STOCK_ROTARY, shop });
    expect(table.equipment.steppers).toEqual([drive]);
    expect(found(table, { ...shop, steppers: [{ ...drive, belt: '2' }] })[0]).toMatch(/^Motor has changed/);
  });

  test('a head that has left takes its gears with it, and the job goes on', () => {
    const now = { ...shop, heads: shop.heads.slice(1), gearSets: [] };
    expect(found(gear, now)).toEqual([
      'Head with three plates is no longer in the shop. This job keeps its own copy and goes on with it.',
    ]);
  });

  test('the mill of a rack, changed and gone; of no matter to a gear', () => {
    const rack = newDivideJob({ id: 'r', name: 'R', units: 'mm', shop });
    const changed = { ...shop, mills: [{ ...STOCK_MILL, marks: 50 }] };
    expect(found(rack, changed)[0]).toMatch(/^Mill with a 5 mm screw has changed/);
    expect(found(rack, { ...shop, mills: [] })[0]).toMatch(
      /^Mill with a 5 mm screw is no longer in the shop/,
    );
    expect(found(gear, changed)).toEqual([]);
  });

  test('a change is said once, however many parts it concerns', () => {
    const { job } = withRingPart(gear, 'p1', 73);
    const heads = shop.heads.map((head) => ({ ...head, ratio: '60' }));
    expect(found(job, { ...shop, heads })).toHaveLength(1);
  });
});

describe('heads and mills put into a job', () => {
  test('another head takes its own gears and drives with it, and leaves those of other parts', () => {
    const { job } = withRingPart(gear, 'p1', 73);
    const moved = withHead({ job, partId: 'p1', head: STOCK_ROTARY, shop });
    expect(moved.equipment.heads.map(({ id }) => id)).toEqual(['head-three-plates', 'table-rotary']);
    expect(moved.equipment.gearSets.map(({ id }) => id)).toEqual(['gears-twelve']);
    const both = withHead({ job: moved, partId: 'p2', head: STOCK_ROTARY, shop });
    expect(both.equipment.heads.map(({ id }) => id)).toEqual(['table-rotary']);
    expect(both.equipment.gearSets).toEqual([]);
    expect(readJob(both).ok).toBe(true);
  });
  test('the copy of whatever has changed is made anew by one press, and nothing is left to tell', () => {
    const worm = newDriveJob({ id: 'd', name: 'D', units: 'mm', shop: withLathes });
    const cutter = plainCutter('c1', 'Cutter', measure('1', 'module'));
    const inShop = { ...withLathes, cutters: [cutter] };
    const cut = withCutter({ job: gear, partId: 'p1', cutterId: 'c1', shop: inShop });
    const now: Equipment = {
      ...inShop,
      heads: inShop.heads.map((head) => ({ ...head, ratio: '60' })),
      gearSets: inShop.gearSets.map((set) => ({ ...set, gears: set.gears.slice(1) })),
      lathes: inShop.lathes.map((lathe) => ({ ...lathe, slideMarks: 77 })),
      cutters: [{ ...cutter, stamped: measure('2.2', 'mm') }],
    };
    const anew = (job: Job, lists: readonly Copied[]) =>
      lists.reduce((made, list) => withShopCopy(made, now, { list, id: job.equipment[list][0]!.id }), job);
    expect(found(cut, now)).toEqual([
      'Head with three plates has changed in the shop since this job was planned: ratio 40 → 60. The job still uses its own copy.',
      'Twelve change gears has changed in the shop since this job was planned: the gears in it. The job still uses its own copy.',
      'Cutter has changed in the shop since this job was planned: depth stamped on it nothing → 2.2 mm. The job still uses its own copy.',
    ]);
    expect(found(anew(cut, ['heads', 'cutters']), now)).toEqual([]);
    expect(found(worm, now)[0]).toMatch(/: marks of the top slide \d+ → 77\. The job/);
    expect(found(anew(worm, ['lathes', 'gearSets', 'heads']), now)).toEqual([]);
    // what has left the shop stays as the job has it
    expect(withShopCopy(cut, shop, { list: 'cutters', id: 'c1' }).equipment).toEqual(cut.equipment);
  });
  test('a mill that is not there changes nothing', () => {
    expect(withMill({ job: gear, partId: 'p1', millId: 'none', shop })).toBe(gear);
    expect(withMill({ job: gear, partId: 'p1', millId: STOCK_MILL.id, shop }).equipment.mills).toEqual([
      STOCK_MILL,
    ]);
  });
  test('a ring or plate that was made divides what it was made for, directly and behind the worm', () => {
    const head = shop.heads[0]!;
    const ringed = headWithMade(head, madeFor('ring', 73));
    const answer = (richer: typeof head) =>
      stationOf(
        plan(withHead({ job: gear, partId: 'p1', head: richer, shop }), { ...shop, heads: [richer] })
          .parts[0]!,
        'dividing',
      )!.answer;
    expect(answer(ringed)).toBe('1 space on the 73 ring');
    const plated = headWithMade(head, madeFor('plate', 73));
    expect(answer(plated)).toBe('40 spaces on 73');
    expect(headWithMade(ringed, madeFor('ring', 73)).rings).toHaveLength(head.rings.length + 1);
  });
  test('a ring’s part is named for what is made, on the circle it is to be drilled on', () => {
    const asPlate = withDividing(gear, 'p1', (dividing) => ({
      ...dividing,
      made: { ...dividing.made, use: 'plate' as const, pitchCircle: measure('4', 'in') },
    }));
    const { job } = withRingPart(asPlate, 'p1', 73);
    expect(job.parts[1]).toMatchObject({
      name: 'Plate of 73',
      spacing: { diameter: { typed: '4', unit: 'in' } },
    });
    const two = withRingPart(
      withPart(job, 'p1', (part) => part),
      'p2',
      40,
    );
    expect(two.ringId).toBe('p3');
  });
});

describe('equipment that rests from earlier versions', () => {
  const v1 = {
    heads: [
      {
        id: 'h',
        name: 'Old',
        ratio: '40',
        plates: [{ id: 'p', name: 'A', sides: [{ circles: [20] }] }],
        mounted: null,
      },
    ],
  };
  test('what it lacks is filled in, what it has stays', () => {
    const today = equipmentSchema.parse(equipmentToToday(v1));
    expect(today.heads[0]).toMatchObject({
      name: 'Old',
      kind: 'head',
      rings: [],
      handwheel: null,
      plateLock: true,
      plates: [{ name: 'A', made: false }],
    });
    expect(today).toMatchObject({ gearSets: [], steppers: [], mills: [] });
    expect(equipmentToToday(shop)).toEqual(shop);
  });
  test('what is no equipment is left for the schema to refuse', () => {
    for (const raw of [null, 7, 'shop', [], { heads: 3 }, { heads: [null] }])
      expect(equipmentSchema.safeParse(equipmentToToday(raw)).success).toBe(false);
  });
  test('a drive on a head that is not listed, two mills of one name, gears that are not there', () => {
    const bad = (change: Partial<Equipment>) =>
      equipmentSchema.safeParse({ ...shop, ...change }).error?.issues.map(({ message }) => message);
    expect(bad({ heads: shop.heads.slice(0, 2) })).toEqual(['Motor turns a head that is not listed.']);
    expect(bad({ mills: [STOCK_MILL, { ...STOCK_MILL, id: 'other' }] })).toEqual([
      'Two entries are called Mill with a 5 mm screw. Give each its own name.',
    ]);
    expect(bad({ gearSets: [] })).toEqual([
      'Head with three plates is geared with a set of change gears that is not listed.',
    ]);
  });
});
