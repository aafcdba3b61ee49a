import { describe, expect, test } from '@jest/globals';
import { isGear, isIndexed } from '../kinds/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL, STOCK_ROTARY, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  laidLike,
  newDivideJob,
  newSpurJob,
  withHead,
  withMill,
  withPart,
  withSpurPart,
  type Job,
} from './index.ts';

const shop: Equipment = {
  ...STOCK_EQUIPMENT,
  heads: [...STOCK_EQUIPMENT.heads, STOCK_ROTARY],
  mills: [STOCK_MILL, { ...STOCK_MILL, id: 'second-mill', name: 'The second mill' }],
};
const fresh = (units: Job['units'] = 'mm'): Job => newSpurJob({ id: 'new', name: 'New gear', units, shop });

/** A job on the rotary table and the second mill, by the habits of its owner. */
const last = (): Job => {
  const laid = newSpurJob({ id: 'old', name: 'Old gear', units: 'mm', shop });
  const headed = withHead({ job: laid, partId: 'p1', head: STOCK_ROTARY, shop });
  return withSpurPart(withMill({ job: headed, partId: 'p1', millId: 'second-mill', shop }), 'p1', (part) => ({
    ...part,
    gear: {
      ...part.gear,
      teeth: measure('44', 'count'),
      pitch: measure('1.5', 'module'),
      thinning: measure('0.1', 'mm'),
      depth: { ...part.gear.depth, rule: 'form-2.157', stamped: measure('3.3', 'mm') },
    },
    blank: { ...part.blank, bore: measure('12', 'mm') },
    cutter: { ...part.cutter, cutterId: 'some-cutter' },
    setup: {
      ...part.setup,
      materialId: 'bronze',
      mandrelId: 'mandrel-12',
      holding: 'stub',
      headAt: 'right',
      feed: 'left',
      indexAt: 'exit',
      centring: 'height',
      paper: measure('.003', 'in'),
      round: { typed: '0 0.02', unit: 'mm' },
    },
    cut: {
      ...part.cut,
      passes: 'rough-finish',
      finishStock: measure('0.3', 'mm'),
      scratch: true,
      startSpace: measure('17', 'count'),
    },
    settled: {},
  }));
};

const only = ({ parts: [part] }: Job) => {
  if (!part || !isGear(part)) throw new Error('no gear');
  return part;
};

describe('a fresh job is laid as the last one was', () => {
  const { job, kept } = laidLike(fresh(), last(), shop);
  test('head, mill, rule, holding, ways, touch and passes are those of the last time, and are told', () => {
    expect(only(job)).toMatchObject({
      gear: { depth: { rule: 'form-2.157' } },
      dividing: { headId: STOCK_ROTARY.id, millId: 'second-mill', choice: null },
      setup: {
        holding: 'stub',
        headAt: 'right',
        feed: 'left',
        indexAt: 'exit',
        centring: 'height',
        paper: { typed: '.003', unit: 'in' },
      },
      cut: { passes: 'rough-finish', finishStock: { typed: '0.3', unit: 'mm' }, scratch: true },
    });
    // with copies of what it stands on, as if they had been picked
    expect(job.equipment.heads.map(({ id }) => id)).toEqual([STOCK_ROTARY.id]);
    expect(job.equipment.mills.map(({ id }) => id)).toEqual(['second-mill']);
    expect(kept).toEqual([
      'head',
      'mill',
      'depth rule',
      'how the work is held',
      'which way cutter and table go',
      'centring and touch',
      'passes',
    ]);
  });
  test('what belongs to that one piece is not taken', () => {
    const plain = only(fresh());
    const laid = only(job);
    expect(laid.gear).toEqual({ ...plain.gear, depth: { ...plain.gear.depth, rule: 'form-2.157' } });
    expect(laid.blank).toEqual(plain.blank);
    expect(laid.cutter).toEqual(plain.cutter);
    expect(laid.setup).toMatchObject({ materialId: null, mandrelId: null, round: { typed: '' } });
    expect(laid.cut.startSpace.typed).toBe('1');
    expect(laid.settled).toEqual({});
  });
  test('laid plain again, it is as it would have been, and what was typed since stays', () => {
    const typed = withSpurPart(job, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, teeth: measure('58', 'count') },
    }));
    const plain = withSpurPart(fresh(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, teeth: measure('58', 'count') },
    }));
    expect(laidLike(typed, fresh(), shop).job).toEqual(plain);
  });
  test('the answers a person acts on are those of the habits', () => {
    const drawn = withSpurPart(job, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, pitch: measure('2', 'module'), teeth: measure('20', 'count') },
      blank: { ...part.blank, faceWidth: measure('10', 'mm') },
    }));
    const part = plan(drawn, shop).parts[0]!;
    // 2.157 × 2 = 4.314, less 0.3 for the finish
    expect(stationOf(part, 'cut')?.answer).toBe('scratch, then 2 passes: 4.01 + 0.30');
  });
});

describe('the joints of it', () => {
  test('what the shop no longer has is left as the plain card has it', () => {
    const { job, kept } = laidLike(
      newSpurJob({ id: 'new', name: 'New gear', units: 'mm', shop: STOCK_EQUIPMENT }),
      last(),
      STOCK_EQUIPMENT,
    );
    expect(only(job).dividing.headId).toBe(STOCK_EQUIPMENT.heads[0]!.id);
    expect(kept).not.toContain('head');
  });
  test('a rule does not cross from mm to inches, and one typed from a print stays with its print', () => {
    expect(only(laidLike(fresh('in'), last(), shop).job).gear.depth.rule).toBe('form-2.157');
    const iso = withSpurPart(last(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, depth: { ...part.gear.depth, rule: 'iso53-a' } },
    }));
    // an inch job begins with the form-cutter rule whatever the metric one before it had
    expect(only(laidLike(fresh('in'), iso, shop).job).gear.depth.rule).toBe('form-2.157');
    const print = withSpurPart(last(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, depth: { ...part.gear.depth, rule: 'typed' } },
    }));
    expect(only(laidLike(fresh(), print, shop).job).gear.depth.rule).toBe('iso53-a');
  });
  test('what was said in millimetres stands in an inch job as it was said, and is told in inches', () => {
    const laid = laidLike(fresh('in'), last(), shop).job;
    expect(only(laid).cut.finishStock).toEqual({ typed: '0.3', unit: 'mm' });
    const drawn = withSpurPart(laid, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, pitch: measure('12', 'dp'), teeth: measure('20', 'count') },
      blank: { ...part.blank, faceWidth: measure('1/2', 'in') },
    }));
    // 2.157/12 = 0.17975 in, of which 0.3 mm = 0.0118 in are left
    const part = plan(drawn, shop).parts[0]!;
    expect(stationOf(part, 'cut')?.answer).toBe('scratch, then 2 passes: 0.168 + 0.012');
  });
  test('a job of another kind says nothing, one that is the same in all says nothing either', () => {
    const flats = newDivideJob({ id: 'd', name: 'Flats', units: 'mm', shop });
    expect(laidLike(flats, last(), shop)).toEqual({ job: flats, kept: [] });
    expect(laidLike(fresh(), fresh(), shop)).toEqual({ job: fresh(), kept: [] });
  });
  test('where no form cutter is picked, the cutter at hand is the last one', () => {
    const flats = newDivideJob({ id: 'd', name: 'Flats', units: 'mm', shop });
    const milled = withPart(flats, 'p1', (part) =>
      isIndexed(part)
        ? {
            ...part,
            setup: {
              ...part.setup,
              cutterDiameter: measure('60', 'mm'),
              cutterWidth: measure('8', 'mm'),
              cutterTeeth: measure('12', 'count'),
            },
          }
        : part,
    );
    const { job, kept } = laidLike(flats, milled, shop);
    expect(job.parts[0]).toMatchObject({
      setup: { cutterDiameter: { typed: '60' }, cutterTeeth: { typed: '12' } },
    });
    expect(kept).toEqual(['cutter']);
  });
});
