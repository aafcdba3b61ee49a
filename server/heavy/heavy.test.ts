import { describe, expect, test } from '@jest/globals';
import { countAim, searchMethods } from '../../core/dividing/index.ts';
import { drawnHelicalJob, drawnSpurJob, type Job } from '../../core/job/index.ts';
import { plan } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../../core/shop/index.ts';
import { Refused } from '../problems.ts';
import { isCheap, sizesText } from './cost.ts';
import { OwnDesk } from './index.ts';
import { answersTo, type Found } from './questions.ts';

const gear = (teeth: number): Job =>
  drawnSpurJob({ id: 'g', name: 'G', pitch: '1', teeth, face: '10', bore: '3' });
const asked = (teeth = 53) => ({ job: gear(teeth), equipment: STOCK_EQUIPMENT });
/** A head with so many circles on each side of so many plates. */
function withCircles(plates: number, circles: number): Equipment {
  const [head, ...heads] = STOCK_EQUIPMENT.heads;
  const side = (k: number) => ({
    circles: Array.from({ length: circles }, (_, i) => 15 + ((k * circles + i) % 480)),
  });
  return {
    ...STOCK_EQUIPMENT,
    heads: [
      {
        ...head!,
        plates: Array.from({ length: plates }, (_, i) => ({
          ...head!.plates[0]!,
          id: `x${i}`,
          name: `X${i}`,
          sides: [side(2 * i), side(2 * i + 1)],
        })),
      },
      ...heads,
    ],
  };
}
const read = (text: Found<'ways'>) =>
  JSON.parse(text) as {
    methods: { method: string; total: number }[];
    nearest: number[];
    finished: boolean;
  };

describe('what is worked out beside the server’s own thread', () => {
  test('ways come method by method, each answer more than the one before; only the last says it is all', () => {
    const steps = [...answersTo('ways', asked())].map(read);
    expect(steps.map(({ finished }) => finished)).toEqual([false, false, false, false, true]);
    expect(steps.map(({ methods }) => methods.length)).toEqual([4, 5, 6, 7, 7]);
    const [head] = STOCK_EQUIPMENT.heads;
    const whole = searchMethods(
      { head: head!, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [], lead: null },
      countAim(53),
    );
    const totals = Object.fromEntries(whole.methods.map(({ method, total }) => [method, total]));
    expect(
      Object.fromEntries(steps.at(-1)!.methods.map(({ method, total }) => [method, total])),
    ).toMatchObject(totals);
  });

  test('leads come before the angles that the gears cut, which take longer', () => {
    const job = drawnHelicalJob({ id: 'h', name: 'H', pitch: '1', teeth: 30, face: '10', bore: '5' }, '20');
    const steps = [...answersTo('leads', { job, equipment: STOCK_EQUIPMENT })].map(
      (text) => JSON.parse(text) as { trains: unknown[]; bent: { single: unknown[] }; finished: boolean },
    );
    expect(steps.map(({ finished }) => finished)).toEqual([false, true]);
    expect(steps[0]!.trains).toEqual(steps[1]!.trains);
    expect(steps[1]!.trains.length).toBeGreaterThan(0);
  });

  test('a part that is not there is refused, a job is checked and lined, a plan is the plan', async () => {
    const desk = new OwnDesk();
    await expect(desk.ask('ways', { ...asked(), partId: 'none' })).rejects.toThrow(Refused);
    expect(await desk.ask('check', asked(58))).toEqual({ line: '58 teeth, m 1, 20°', refused: [] });
    expect(JSON.parse(await desk.ask('plan', asked(58)))).toEqual(
      JSON.parse(JSON.stringify(plan(gear(58), STOCK_EQUIPMENT))),
    );
  });
});

describe('what is quick is known beforehand', () => {
  test('an everyday card is planned where it is asked; searches, and a shop of all plates there are, are not', () => {
    expect(isCheap('check', asked())).toBe(true);
    expect(isCheap('ways', asked())).toBe(false);
    expect(isCheap('copy', { store: 'x', what: 'y' })).toBe(false);
    const many = { ...asked(), equipment: withCircles(60, 60) };
    expect(isCheap('check', many)).toBe(false);
    expect(sizesText(many)).toBe('1 parts, 7200 circles, 11 kinds of change gears, 0 cutters');
    const twenty = {
      ...asked(),
      job: { ...gear(53), parts: Array.from({ length: 20 }, () => gear(53).parts[0]!) },
    };
    expect(isCheap('freeze', { ...twenty, start: { runId: 'r', partId: 'p1', jobRevision: 1 } })).toBe(false);
  });
});
