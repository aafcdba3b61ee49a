import type { Job } from '../../core/job/index.ts';
import { isGear, isIndexed } from '../../core/kinds/index.ts';
import type { GearSet, Head } from '../../core/shop/index.ts';
import { isFileWork, type Asked, type JobWork, type OfJob, type Work } from './questions.ts';

/** What a question costs, worked out beforehand: about milliseconds on a small machine. */
export interface Cost {
  readonly total: number;
  /** What makes it so: `20 parts and 7200 circles`. */
  readonly what: string;
  /** What would do, as a sentence. */
  readonly atMost: string;
}

/** Up to this nobody notices that it is worked out on the server’s own thread. */
export const CHEAP = 15;
/** Beyond this it would not come to an end in the time there is, nor to anything worth having. */
export const MOST_COST = 60_000;

const circlesIn = ({ plates }: Head): number =>
  plates.reduce((sum, { sides }) => sum + sides.reduce((all, { circles }) => all + circles.length, 0), 0);

const most = (counts: readonly number[]): number => counts.reduce((a, b) => Math.max(a, b), 0);

const gearsIn = (sets: readonly GearSet[]): number => most(sets.map(({ gears }) => gears.length));

/** The most there is of each on any head or set that the job may be planned with. */
function sizesOf({ job, equipment }: OfJob) {
  const both = [job.equipment, equipment];
  return {
    parts: job.parts.length,
    circles: most(both.flatMap(({ heads }) => heads.map(circlesIn))),
    gears: most(both.map(({ gearSets }) => gearsIn(gearSets))),
    cutters: most(both.map(({ cutters }) => cutters.length)),
  };
}

/** Six-gear trains are met in the middle: as the cube of the gears. */
const trainsCost = (job: Job, gears: number): number =>
  job.parts.some((part) => isGear(part)) ? (gears / 10) ** 3 / 10 : 0;

const COSTS: { readonly [W in JobWork]: (asked: Asked<W>) => number } = {
  plan: planCost,
  check: planCost,
  record: planCost,
  freeze: planCost,
  ways: (asked) => {
    const { circles, gears } = sizesOf(asked);
    return 40 + planCost(asked) + circles * 2 + gears * 4;
  },
  leads: (asked) => 40 + planCost(asked) + trainsCost(asked.job, sizesOf(asked).gears),
};

function planCost(asked: OfJob): number {
  const { parts, circles, cutters } = sizesOf(asked);
  const indexed = asked.job.parts.filter((part) => isIndexed(part)).length;
  return parts * (1 + cutters / 60) + indexed * (1 + circles / 100);
}

function costOfJob<W extends JobWork>(work: W, asked: Asked<W>): Cost {
  const { parts, circles, gears, cutters } = sizesOf(asked);
  return {
    total: COSTS[work](asked),
    what: `${parts} parts, ${circles} circles, ${gears} kinds of change gears, ${cutters} cutters`,
    atMost: 'at most 60 circles on a head, 60 kinds of change gears and 5 parts at once',
  };
}

/** What is done with files is never cheap, and as long as the store is large. */
export const costOf = <W extends Work>(work: W, asked: Asked<W>): Cost =>
  isFileWork(work)
    ? { total: CHEAP + 1, what: 'the whole store', atMost: 'a smaller store' }
    : costOfJob(work as JobWork, asked as OfJob);
