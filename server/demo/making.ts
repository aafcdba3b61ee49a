import { countAim, searchMethods } from '../../core/dividing/index.ts';
import {
  newDivideJob,
  newSpurJob,
  takeSample,
  withDividing,
  withPart,
  withSpurPart,
  type Job,
} from '../../core/job/index.ts';
import { isGear, isSpaced, type SpacedPart } from '../../core/kinds/index.ts';
import { plan, settleOpen } from '../../core/plan/index.ts';
import { identify, readSample, type SampleInput } from '../../core/sample/index.ts';
import type { SetupInput } from '../../core/setup/index.ts';
import { measure } from '../../core/units/index.ts';
import { demoShop } from './shop.ts';

/** A gear that was brought in broken: what was read off it, and what it was taken for. */
export function sampled(
  given: { readonly id: string; readonly name: string },
  readings: Partial<SampleInput>,
  take: boolean,
): Job {
  const job = newSpurJob({ ...given, units: 'mm', shop: demoShop }, 'sample');
  const read = withSpurPart(job, 'p1', (part) =>
    part.arrival.by === 'sample'
      ? { ...part, arrival: { ...part.arrival, sample: { ...part.arrival.sample, ...readings } } }
      : part,
  );
  const [part] = read.parts;
  if (!take || !part || !isGear(part) || part.arrival.by !== 'sample') return read;
  const [best] = identify(readSample(part.arrival.sample, 'mm').readings).best;
  return best ? takeSample(read, 'p1', best) : read;
}

/** What was read on it: one span, and the span again all round. */
export const measured = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    inspect: {
      ...part.inspect,
      span: measure('18.49', 'mm'),
      round: {
        what: 'span',
        readings: { typed: '18.47 18.48 18.50 18.51 18.50 18.48 18.46 18.46', unit: 'mm' },
      },
    },
  }));

/** What was said and read while it was set up. */
export const setUp = (job: Job, said: Partial<SetupInput>): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, setup: { ...part.setup, ...said } }));

export function settled(job: Job): Job {
  return settleOpen(job, plan(job, demoShop).parts[0]!);
}

export const roughFinish = (job: Job, finishStock: string): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    cut: { ...part.cut, passes: 'rough-finish', finishStock: measure(finishStock, job.units) },
  }));

export const teethNow = (job: Job, typed: string): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, gear: { ...part.gear, teeth: measure(typed, 'count') } }));

/** The best way of one kind on the head of the job, picked as a person would. */
export function picked(job: Job, method: 'differential' | 'approximate', divisions: number): Job {
  const ground = { head: job.equipment.heads[0]!, gearSets: job.equipment.gearSets, steppers: [] };
  const answer = searchMethods(ground, countAim(divisions), 1).methods.find(
    (found) => found.method === method,
  );
  return withDividing(job, 'p1', (dividing) => ({ ...dividing, choice: answer!.ways[0]!.choice }));
}

/** Something to divide that is no gear. */
export function divided(
  given: { readonly id: string; readonly name: string },
  spacing: (part: SpacedPart['spacing']) => SpacedPart['spacing'],
  said: Partial<SetupInput> = {},
): Job {
  const job = newDivideJob({ ...given, units: 'mm', shop: demoShop });
  return withPart(job, 'p1', (part) =>
    isSpaced(part) ? { ...part, spacing: spacing(part.spacing), setup: { ...part.setup, ...said } } : part,
  );
}

export const inInches = (job: Job, stamped: string): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    gear: {
      ...part.gear,
      pressureAngle: measure('14 1/2', 'deg'),
      depth: { ...part.gear.depth, stamped: measure(stamped, 'in') },
    },
  }));
