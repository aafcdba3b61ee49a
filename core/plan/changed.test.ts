import { expect, test } from '@jest/globals';
import {
  drawnDriveJob,
  drawnSpurJob,
  withDrive,
  withHead,
  withMatePart,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { plan } from './index.ts';

/*
 * A part that did not change, on ground that did not change, is the plan it was: the same object, so that
 * nothing of it is drawn again. Whatever it stands on makes it anew, and what is remembered never differs
 * from what is planned afresh.
 */

const copied = (job: Job): Job => JSON.parse(JSON.stringify(job)) as Job;
const paired = (): Job => {
  const job = drawnSpurJob({ id: 'j', name: 'Pair', pitch: '1.5', teeth: 30, face: '12', bore: '10' });
  const mated = withSpurPart(job, 'p1', (part) => ({
    ...part,
    gear: { ...part.gear, mate: { ...part.gear.mate, teeth: measure('45', 'count') } },
  }));
  return withMatePart({ job: mated, partId: 'p1', crossed: null }).job;
};
const [first, second] = [0, 1];
const same = (before: Job, after: Job, shop: Equipment = STOCK_EQUIPMENT, then = shop) => {
  const was = plan(before, shop).parts;
  const is = plan(after, then).parts;
  expect(is).toEqual(plan(copied(after), then).parts);
  return was.map((part, i) => part === is[i]);
};

test('nothing changed: nothing is planned again', () => {
  const job = paired();
  expect(same(job, job)).toEqual([true, true]);
  expect(same(job, { ...job, name: 'Another name' })).toEqual([true, true]);
});
test('one part edited: the other stays, but for what the edit is to its mate', () => {
  const job = paired();
  const [one, two] = job.parts;
  const named = withSpurPart(job, one!.id, (part) => ({ ...part, name: 'Wheel' }));
  // the mate of an edited gear may have been thinned: it is planned anew as well
  expect(same(job, named)).toEqual([false, false]);
  const alone: Job = { ...job, relations: [] };
  const edited = withSpurPart(alone, two!.id, (part) => ({ ...part, name: 'Pinion' }));
  expect(same(alone, edited)[first]).toBe(true);
  expect(same(alone, edited)[second]).toBe(false);
});
test('a mate thinned reaches the other gear’s backlash', () => {
  const job = withSpurPart(paired(), 'p1', (part) => ({
    ...part,
    gear: { ...part.gear, mate: { ...part.gear.mate, centre: measure('56.3', 'mm') } },
  }));
  const backlash = (now: Job) => {
    const [gear] = plan(now, STOCK_EQUIPMENT).parts[first]!.stations;
    return gear?.id === 'gear' ? gear.detail.mesh!.report.backlash! : NaN;
  };
  const before = backlash(job);
  const mate = job.parts[second]!.id;
  const thinned = withSpurPart(job, mate, (part) => ({
    ...part,
    gear: { ...part.gear, thinning: measure('0.1', 'mm') },
  }));
  // what is taken off one tooth of a pair is slack between them
  expect(backlash(thinned) - before).toBeCloseTo(0.1, 3);
});
test('another head, another shop, other units: all of it is planned anew', () => {
  const job = paired();
  const head = withHead({ job, partId: 'p1', head: STOCK_EQUIPMENT.heads[1]!, shop: STOCK_EQUIPMENT });
  expect(same(job, head)).toEqual([false, false]);
  expect(same(job, job, STOCK_EQUIPMENT, { ...STOCK_EQUIPMENT })).toEqual([false, false]);
  expect(same(job, { ...job, units: 'in' })).toEqual([false, false]);
});
test('what worm and wheel share reaches both', () => {
  const job = drawnDriveJob({ id: 'd', name: 'Drive' });
  const other = withDrive(job, 'p1', (drive) => ({ ...drive, teeth: measure('50', 'count') }));
  expect(same(job, other)).toEqual([false, false]);
});
