import { describe, expect, test } from '@jest/globals';
import { isGear, type GearPart } from '../kinds/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import type { PairForShafts } from '../arrival/index.ts';
import {
  drawnSpurJob,
  newSpurJob,
  takePair,
  withMatePart,
  withMatesFollowing,
  withSpurPart,
  type Job,
} from './index.ts';

const count = (typed: string) => measure(typed, 'count');
const mm = (typed: string) => measure(typed, 'mm');
const paired = (mateTeeth: string): Job =>
  withSpurPart(
    drawnSpurJob({ id: 'p', name: 'Pair', pitch: '1.5', teeth: 30, face: '12', bore: '8' }),
    'p1',
    (part) => ({ ...part, gear: { ...part.gear, mate: { ...part.gear.mate, teeth: count(mateTeeth) } } }),
  );
const gearOf = (job: Job, id: string) =>
  (job.parts.find((part) => part.id === id && isGear(part)) as GearPart).gear;
/** An edit as the page makes it. */
const edited = (job: Job, id: string, change: (gear: GearPart['gear']) => Partial<GearPart['gear']>): Job =>
  withMatesFollowing(
    job,
    withSpurPart(job, id, (part) => ({ ...part, gear: { ...part.gear, ...change(part.gear) } })),
  );

describe('the card of a mate follows', () => {
  const { job, mateId } = withMatePart({ job: paired('45'), partId: 'p1', crossed: null });
  const mate = mateId!;

  test('in pitch, angle, depth and where the shafts stand, from either card; counts go over to the other', () => {
    const finer = edited(job, 'p1', () => ({ pitch: measure('2', 'module'), teeth: count('31') }));
    expect(gearOf(finer, mate).pitch.typed).toBe('2');
    expect([gearOf(finer, mate).teeth.typed, gearOf(finer, mate).mate.teeth.typed]).toEqual(['45', '31']);
    const back = edited(finer, mate, ({ mate: own }) => ({
      pressureAngle: measure('14.5', 'deg'),
      teeth: count('46'),
      mate: { ...own, centre: mm('77') },
    }));
    const first = gearOf(back, 'p1');
    expect([first.pressureAngle.typed, first.mate.teeth.typed, first.mate.centre.typed]).toEqual([
      '14.5',
      '46',
      '77',
    ]);
    expect(first.teeth.typed).toBe('31');
  });

  test('what is taken off one is its own; what was parted stays parted', () => {
    expect(
      gearOf(
        edited(job, 'p1', () => ({ thinning: mm('0.05') })),
        mate,
      ).thinning.typed,
    ).toBe('');
    const parted = edited(job, mate, () => ({ pitch: measure('1.25', 'module') }));
    // the first follows once; then someone sets it by itself, with the mate’s left alone
    const alone = withSpurPart(parted, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, pitch: measure('1.5', 'module') },
    }));
    const later = edited(alone, 'p1', () => ({ pitch: measure('2', 'module') }));
    expect(gearOf(later, mate).pitch.typed).toBe('1.25');
  });

  test('a helical mate turns to the other hand, and a gear without a mate is left as it is', () => {
    const turned = edited(job, 'p1', () => ({ hand: 'left' }));
    expect(gearOf(turned, mate).hand).toBe('right');
    const bare = paired('45');
    expect(withMatesFollowing(bare, bare)).toBe(bare);
  });
});

describe('two equal gears in one stack', () => {
  const meshOf = (job: Job) => stationOf(plan(job, STOCK_EQUIPMENT).parts[0]!, 'gear')!.detail.mesh!;
  const stacked = (job: Job, blanks: string): Job =>
    withSpurPart(job, 'p1', (part) => ({ ...part, setup: { ...part.setup, blanks: count(blanks) } }));

  test('what lacks of backlash goes off both, by halves; and then it is there', () => {
    // 0.04 of module 1.5 at nominal centres, where there is none
    const one = meshOf(stacked(paired('30'), '1'));
    const two = meshOf(stacked(paired('30'), '2'));
    expect([one.together, one.thinner]).toEqual([false, expect.closeTo(0.06, 9)]);
    expect([two.together, two.thinner]).toEqual([true, expect.closeTo(0.03, 9)]);
    expect(two.deeper).toBeCloseTo(one.deeper / 2, 9);
    const thinned = edited(stacked(paired('30'), '2'), 'p1', () => ({ thinning: mm('0.03') }));
    expect(meshOf(thinned).report.backlash).toBeCloseTo(0.06, 9);
    expect(meshOf(thinned).thinner).toBeLessThan(1e-9);
  });

  test('a pair of equals taken for two shafts is one card; another pair taken after it is two', () => {
    const bare = newSpurJob({ id: 's', name: 'Shafts', units: 'mm', shop: STOCK_EQUIPMENT }, 'shafts');
    const pair = (teeth: readonly [number, number]) =>
      ({ pitch: 'm 2', figure: '2', system: 'module', teeth }) as unknown as PairForShafts;
    const equal = takePair(bare, 'p1', pair([30, 30]));
    expect(equal.parts).toHaveLength(1);
    expect(meshOf(equal)).toMatchObject({ together: true, mateTeeth: 30 });
    const other = takePair(equal, 'p1', pair([20, 40]));
    expect(other.parts.map((part) => isGear(part) && part.setup.blanks.typed)).toEqual(['1', '1']);
    expect(gearOf(other, 'p1').mate.teeth.typed).toBe('40');
  });

  test('not with another count, nor where the mate has a card of its own', () => {
    expect(meshOf(stacked(paired('45'), '2')).together).toBe(false);
    const laid = withMatePart({ job: stacked(paired('30'), '2'), partId: 'p1', crossed: null }).job;
    expect(meshOf(laid).together).toBe(false);
  });
});
