import { isIndexed } from '../../core/kinds/index.ts';
import type { GearSet, Head } from '../../core/shop/index.ts';
import type { Asked, OfJob, Work } from './questions.ts';

/** Up to this nobody notices that the server’s own thread works it out; about ms on a small machine. */
const CHEAP = 15;

const circlesIn = ({ plates }: Head): number =>
  plates.reduce((sum, { sides }) => sum + sides.reduce((all, { circles }) => all + circles.length, 0), 0);

const most = (counts: readonly number[]): number => counts.reduce((a, b) => Math.max(a, b), 0);

const gearsIn = (sets: readonly GearSet[]): number => most(sets.map(({ gears }) => gears.length));

/** The most there is of each on any head or set that the job may be planned with. */
function sizesOf({ job, equipment }: OfJob) {
  const both = [job.equipment, equipment];
  return {
    parts: job.parts.length,
    indexed: job.parts.filter((part) => isIndexed(part)).length,
    circles: most(both.flatMap(({ heads }) => heads.map(circlesIn))),
    gears: most(both.map(({ gearSets }) => gearsIn(gearSets))),
    cutters: most(both.map(({ cutters }) => cutters.length)),
  };
}

function planCost(asked: OfJob): number {
  const { parts, indexed, circles, cutters } = sizesOf(asked);
  return parts * (1 + cutters / 60) + indexed * (1 + circles / 100);
}

const PLANS: readonly Work[] = ['plan', 'check', 'record', 'freeze'];

/** Is it known beforehand to be quick? A search, or what is done with files, never is. */
export const isCheap = <W extends Work>(work: W, asked: Asked<W>): boolean =>
  PLANS.includes(work) && planCost(asked as OfJob) <= CHEAP;

/** What makes a question large: `20 parts, 7200 circles, …`. */
export function sizesText(asked: OfJob): string {
  const { parts, circles, gears, cutters } = sizesOf(asked);
  return `${parts} parts, ${circles} circles, ${gears} kinds of change gears, ${cutters} cutters`;
}

/** What is always answered in time. */
export const ALWAYS_ANSWERED = 'at most 60 circles on a head, 60 kinds of change gears and 5 parts at once';
