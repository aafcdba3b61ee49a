import type { Method } from './dividing/index.ts';
import { need } from './findings/index.ts';
import {
  drawnDriveJob,
  drawnSpurJob,
  newDivideJob,
  withDividing,
  withHead,
  withPart,
  withSpurPart,
  type Job,
} from './job/index.ts';
import { plan, type PartPlan } from './plan/index.ts';
import {
  benchOf,
  demonstrate,
  dividedReadings,
  freshMachine,
  isGearBench,
  type Action,
  type DividedReading,
  type DividedWhat,
  type GearBench,
  type Machine,
  type PracticeBench,
  type TableBench,
  type Told,
  type Where,
} from './practice/index.ts';
import { beginRun, choose, shop, three } from './sampleRuns.ts';
import { STOCK_ROTARY } from './shop/index.ts';
import { measure } from './units/index.ts';

/* Practice benches, for tests. */

export interface Gear {
  readonly teeth: number;
  readonly module: number;
  readonly method?: Method;
  readonly indexAt?: 'entry' | 'exit';
  readonly passes?: 'one' | 'rough-finish';
  /** Off the tooth along the pitch circle, mm. */
  readonly thinning?: string;
  /** Degrees; straight teeth where it is left out. */
  readonly helix?: string;
  readonly hand?: 'right' | 'left';
  /** Among the ways of the method. */
  readonly fits?: Parameters<typeof choose>[2];
}

/**
 * A gear on the stock head with three plates, by wheel or motor on the rotary table, cut at 20° with a cutter
 * of 60 mm.
 */
export function jobOfGear({
  teeth,
  module,
  method = 'simple',
  indexAt = 'entry',
  passes = 'one',
  thinning = '',
  helix = '',
  hand = 'right',
  fits,
}: Gear): Job {
  const drawn = withSpurPart(
    drawnSpurJob({ id: 'g', name: 'G', pitch: String(module), teeth, face: '12', bore: '8' }),
    'p1',
    (part) => ({
      ...part,
      gear: { ...part.gear, thinning: measure(thinning, 'mm'), helix: measure(helix, 'deg'), hand },
      setup: { ...part.setup, cutterDiameter: measure('60', 'mm'), indexAt },
      cut: { ...part.cut, passes, finishStock: measure(passes === 'one' ? '' : '0.2', 'mm') },
    }),
  );
  const head = method === 'handwheel' || method === 'stepper' ? STOCK_ROTARY : three;
  const choice = choose({ head, count: teeth }, method, fits);
  return withDividing(withHead({ job: drawn, partId: 'p1', head, shop }), 'p1', (dividing) => ({
    ...dividing,
    choice,
  }));
}

export const partOf = (gear: Gear): PartPlan => plan(jobOfGear(gear), shop).parts[0]!;

export function benchFor(gear: Gear): GearBench {
  const bench = need(benchOf(partOf(gear), need(beginRun(jobOfGear(gear), {}, shop))));
  if (!isGearBench(bench)) throw new Error('that is no gear on a head');
  return bench;
}

const mm = (typed: string) => measure(typed, 'mm');

/** Cut in one pass, or a fifth of a millimetre short of it first. */
type Passes = 'one' | 'rough-finish';
const inPasses = (passes: Passes) => ({ passes, finishStock: mm(passes === 'one' ? '' : '0.2') });

/** Something to divide that is no gear: what of its spacing and its set-up differs from an empty card. */
export function spacedJob(
  given: { readonly id: string; readonly name: string },
  spacing: Readonly<Record<string, unknown>>,
  { passes = 'one', ...setup }: Readonly<Record<string, unknown>> & { readonly passes?: Passes | undefined },
): Job {
  return withPart(newDivideJob({ ...given, units: 'mm', shop }), 'p1', (part) =>
    part.kind === 'divide'
      ? {
          ...part,
          spacing: { ...part.spacing, ...spacing },
          setup: { ...part.setup, ...setup },
          cut: { ...part.cut, ...inPasses(passes) },
        }
      : part,
  );
}

/**
 * A rack of module 2 with 12 tooth spaces, 4.5 deep over a face of 14, on the stock mill: a screw of 5 mm.
 */
export const jobOfRack = ({
  passes,
  indexAt = 'entry',
  spacing = {},
  width = '',
}: {
  readonly passes?: Passes;
  readonly indexAt?: 'entry' | 'exit';
  readonly spacing?: Readonly<Record<string, unknown>>;
  /** Of a plain cutter. */
  readonly width?: string;
} = {}): Job =>
  spacedJob(
    { id: 'r', name: 'Rack' },
    {
      ...{ by: 'pitch', what: 'teeth', count: measure('12', 'count') },
      ...{ pitch: measure('2', 'module'), depth: mm('4.5'), ...spacing },
    },
    { face: mm('14'), cutterDiameter: mm('60'), cutterWidth: mm(width), indexAt, passes },
  );

/** Eight splines of 4 wide, 5 deep, round a shaft of 40, over a length of 14. */
export const splinedShaft = (spacing: Readonly<Record<string, unknown>> = {}): Job =>
  spacedJob(
    { id: 'splined', name: 'Splines' },
    { what: 'splines', count: measure('8', 'count'), diameter: mm('40'), depth: mm('5'), ...spacing },
    { face: mm('14'), cutterDiameter: mm('50'), cutterWidth: mm('4') },
  );

export interface GashedWheel {
  readonly school?: 'plunge' | 'traverse' | 'hob';
  readonly rim?: 'throat' | 'plain';
  readonly cutter?: string;
  readonly hand?: 'right' | 'left';
  readonly starts?: string;
  readonly passes?: Passes;
  readonly setUp?: 'table' | 'head';
  readonly units?: Job['units'];
}

/** A worm wheel of 40 teeth, module 2, for a worm of 24; in inches of 10 DP for one of an inch. */
export function gashedWheel({
  school = 'plunge',
  rim = 'throat',
  cutter = '60',
  hand = 'right',
  starts = '1',
  passes = 'one',
  setUp = 'table',
  units = 'mm',
}: GashedWheel = {}): Job {
  const drive = { hand, starts: measure(starts, 'count') };
  return withPart(drawnDriveJob({ id: 'w', name: 'Wheel', units, shop }, drive), 'p1', (part) =>
    part.kind === 'wheel'
      ? {
          ...part,
          gash: { ...part.gash, school, setUp },
          rim: { ...part.rim, rim },
          setup: { ...part.setup, cutterDiameter: mm(cutter) },
          cut: { ...part.cut, ...inPasses(passes) },
        }
      : part,
  );
}

/** The bench of a rack. @param rackAngleDeg of its cutter; 20 where it is left out */
export function rackBench(job: Job, rackAngleDeg?: number, equipment = shop): TableBench {
  const run = need(beginRun(job, {}, equipment));
  const part = plan(job, equipment).parts[0]!;
  const bench = need(benchOf(part, run, rackAngleDeg ? { rackAngleDeg } : {}));
  if (bench.on !== 'table') throw new Error('no table divides there');
  return bench;
}

/** A whole run on a bench, by a hand that obeys every prompt: how it stands then, and all that was told. */
export function performed(
  bench: PracticeBench,
  start = freshMachine(bench),
  eachStep = true,
): { readonly machine: Machine; readonly told: readonly Told[] } {
  let machine = start;
  const told: Told[] = [];
  for (const shown of demonstrate(bench, { machine: start, eachStep })) {
    machine = shown.machine;
    told.push(...shown.told);
  }
  return { machine, told };
}

/** A row of what is measured on work that is no gear. */
export function readRow(
  bench: PracticeBench,
  machine: Machine,
  what: DividedWhat,
  where: Where = 'middle',
): DividedReading {
  const row = dividedReadings(bench, machine).rows.find((each) => each.what === what && each.where === where);
  if (!row) throw new Error(`no ${what} is read`);
  return row;
}

/** A space by hand: brought there, locked, sunk, fed through, drawn out, back and free. */
export const cutByHand = (to: Action, depth: number): readonly Action[] => [
  to,
  { do: 'lock', on: true },
  { do: 'depth', to: depth },
  { do: 'table', to: 30 },
  { do: 'depth', to: -10 },
  { do: 'table', to: -60 },
  { do: 'lock', on: false },
];
