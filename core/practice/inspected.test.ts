import { expect, test } from '@jest/globals';
import { plan, stationOf } from '../plan/index.ts';
import { jobOfGear, benchFor } from '../sampleBench.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import {
  demonstrate,
  faultOf,
  freshMachine,
  inspectedJob,
  isGearBench,
  readingsOf,
  type FaultKey,
} from './index.ts';

const GEAR = { teeth: 26, module: 1.5 };
const bench = benchFor(GEAR);

/** What Inspect makes of a gear cut on the bench. */
function inspected(key: FaultKey | null) {
  const fresh = { bench, machine: freshMachine(bench) };
  const ground = key ? faultOf(fresh.bench, key)!.hide(fresh.machine) : fresh;
  let { machine } = ground;
  for (const shown of demonstrate(ground.bench, { machine, eachStep: false })) machine = shown.machine;
  if (!isGearBench(ground.bench)) throw new Error('no gear');
  const job = inspectedJob(jobOfGear(GEAR), 'p1', readingsOf(ground.bench, machine));
  return stationOf(plan(job, STOCK_EQUIPMENT).parts[0]!, 'inspect')!;
}

test('a good gear is good at Inspect; what was measured stands there as a tool reads it', () => {
  const { detail, answer } = inspected(null);
  // 1.5·28; 2.25·1.5; the reading of pins is the plan’s own, rounded to a hundredth
  const reading = (id: string) => detail.checks.find((check) => check.id === id)!;
  expect(reading('outside').reading).toBeCloseTo(42, 6);
  expect(reading('depth').reading).toBeCloseTo(3.38, 6);
  expect(reading('pins').reading! - reading('pins').should).toBeLessThan(0.006);
  expect(Math.abs(detail.verdict!.thick)).toBeLessThan(0.005);
  expect(answer).toMatch(/good|within/);
});

test('a knee that sank: thick by what it lost, and to be sunk by just that', () => {
  const { verdict } = inspected('knee').detail;
  // 0.12 mm too shallow; the form cutter’s rule is first order, a few parts in a hundred long
  expect(verdict!.sink).toBeGreaterThan(0.117);
  expect(verdict!.sink).toBeLessThan(0.128);
  expect(verdict!.thick).toBeGreaterThan(0.05);
});

test('a job in inches is told in inches, to half a thou', () => {
  let machine = freshMachine(bench);
  for (const shown of demonstrate(bench, { eachStep: false })) machine = shown.machine;
  const inches = { ...jobOfGear(GEAR), units: 'in' as const };
  const [part] = inspectedJob(inches, 'p1', readingsOf(bench, machine)).parts;
  if (part?.kind !== 'spur') throw new Error('no gear');
  // 42 mm and 3.375 mm: 1.65354 and 0.13287, to the nearest 0.0005
  expect(part.inspect.outside).toEqual({ typed: '1.6535', unit: 'in' });
  expect(part.inspect.depth).toEqual({ typed: '0.1330', unit: 'in' });
});

test('a blank that runs out: the indicator’s reading goes along', () => {
  // eccentric by 0.08: it reads twice that
  const said = inspected('eccentric').detail.runout;
  expect(said!.depth * 2).toBeCloseTo(0.16, 2);
});
