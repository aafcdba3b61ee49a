import type { Method } from './dividing/index.ts';
import { need } from './findings/index.ts';
import { drawnSpurJob, withDividing, withSpurPart, type Job } from './job/index.ts';
import { plan, type PartPlan } from './plan/index.ts';
import { benchOf, type PracticeBench } from './practice/index.ts';
import { begin, choose, three } from './sampleRuns.ts';
import { STOCK_EQUIPMENT } from './shop/index.ts';
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
}

/** A gear on the stock head with three plates, cut at 20° with a cutter of 60 mm. */
export function jobOfGear({
  teeth,
  module,
  method = 'simple',
  indexAt = 'entry',
  passes = 'one',
  thinning = '',
  helix = '',
  hand = 'right',
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
  const choice = choose({ head: three, count: teeth }, method);
  return withDividing(drawn, 'p1', (dividing) => ({ ...dividing, choice }));
}

export const partOf = (gear: Gear): PartPlan => plan(jobOfGear(gear), STOCK_EQUIPMENT).parts[0]!;

export const benchFor = (gear: Gear): PracticeBench => need(benchOf(partOf(gear), begin(jobOfGear(gear))));
