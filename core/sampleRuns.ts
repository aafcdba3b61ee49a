import {
  angleAim,
  aimData,
  countAim,
  quickMethods,
  searchMethods,
  type DividingChoice,
  type Method,
} from './dividing/index.ts';
import { need, type Result } from './findings/index.ts';
import {
  drawnSpurJob,
  newDivideJob,
  withDividing,
  withHead,
  withPart,
  withSpurPart,
  type Job,
} from './job/index.ts';
import { isSpaced, type SpurPart } from './kinds/index.ts';
import { plan } from './plan/index.ts';
import {
  STOCK_EQUIPMENT,
  STOCK_HEADS,
  STOCK_ROTARY,
  type Equipment,
  type Head,
  type Stepper,
} from './shop/index.ts';
import type { SpacingInput } from './spacing/index.ts';
import { exact, measure } from './units/index.ts';
import { freezeRun, type Run } from './run/index.ts';

/* Runs by every method, for tests. */

/** A motor on the crank of the stock rotary table. */
export const drive = {
  id: 'd',
  name: 'Motor',
  headId: STOCK_ROTARY.id,
  on: 'crank' as const,
  stepsPerTurn: 200,
  microsteps: 8,
  belt: '1',
};
export const shop = { ...STOCK_EQUIPMENT, heads: [...STOCK_HEADS, STOCK_ROTARY], steppers: [drive] };
export const three = STOCK_HEADS[0]!;

export interface Asked {
  readonly head: Head;
  readonly count: number;
  readonly angle?: string;
  readonly rounds?: 2;
  readonly stride?: string;
  readonly what?: SpacingInput['what'];
  /** In place of the one on the crank. */
  readonly motor?: Stepper;
}

const shopWith = (motor: Stepper = drive): Equipment => ({ ...shop, steppers: [motor] });

export function jobOf({ head, count, angle, rounds, stride, what = 'holes', motor }: Asked): Job {
  const job = withPart(newDivideJob({ id: 'j', name: 'J', units: 'mm', shop }), 'p1', (part) =>
    isSpaced(part)
      ? {
          ...part,
          spacing: {
            ...part.spacing,
            what,
            by: angle === undefined ? 'count' : 'angle',
            count: measure(String(count), 'count'),
            angle: measure(angle ?? '', 'deg'),
            depth: measure('3', 'mm'),
          },
          dividing: { ...part.dividing, stride: measure(stride ?? '1', 'count') },
          cut: { ...part.cut, passes: rounds === 2 ? 'rough-finish' : 'one' },
        }
      : part,
  );
  return withHead({ job, partId: 'p1', head, shop: shopWith(motor) });
}

/** The choice of a method for a count on a head, the first that fits. */
export function choose(
  { head, count, angle, motor = drive }: Asked,
  method: Method,
  fits: (choice: DividingChoice) => boolean = () => true,
): DividingChoice {
  const ground = { head, gearSets: shop.gearSets, steppers: [motor] };
  const aim = angle === undefined ? countAim(count) : angleAim(exact(angle), count);
  const all = [...quickMethods(ground, aim), ...searchMethods(ground, aim).methods];
  const way = all.find((answer) => answer.method === method)!.ways.find(({ choice }) => fits(choice));
  if (!way) throw new Error(`no ${method} way of ${JSON.stringify(aimData(aim))}`);
  return way.choice;
}

export function freeze(asked: Asked, method: Method, fits?: (choice: DividingChoice) => boolean): Run {
  const job = withDividing(jobOf(asked), 'p1', (dividing) => ({
    ...dividing,
    choice: choose(asked, method, fits),
  }));
  return need(beginRun(job, {}, shopWith(asked.motor)));
}

/** A part’s plan frozen into a run, or why not; the first part of a job, unless said otherwise. */
export const beginRun = (
  job: Job,
  start: Partial<Parameters<typeof freezeRun>[0]['start']> = {},
  equipment: Equipment = STOCK_EQUIPMENT,
): Result<Run> =>
  freezeRun({
    job,
    planned: plan(job, equipment),
    shop: equipment,
    start: { runId: 'r', jobRevision: 1, partId: 'p1', ...start },
  });

/** A run of the first part of a job that is ready to be cut. */
export const begin = (
  job: Job,
  equipment: Equipment = STOCK_EQUIPMENT,
  start: Parameters<typeof beginRun>[1] = {},
): Run => need(beginRun(job, start, equipment));

/** A wheel of 14 teeth, module 2, with a cutter of 60 mm: where the table is clear is known. */
export const wheelCard = (change: (part: SpurPart) => SpurPart = (part) => part): Job =>
  withSpurPart(
    drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '2', teeth: 14, face: '10', bore: '6' }),
    'p1',
    (part) => change({ ...part, setup: { ...part.setup, cutterDiameter: measure('60', 'mm') } }),
  );
