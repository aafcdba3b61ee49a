import { dequal } from 'dequal';
import { isGear, isIndexed, isRim, isSpaced, isThreaded, type Part } from '../kinds/index.ts';
import type { Equipment } from '../shop/index.ts';
import type { Job } from './schema.ts';
import { withHead, withLathe, withMill } from './equip.ts';
import { withPart } from './parts.ts';

/** A fresh job beside the last one of its kind. */
interface Laying {
  readonly job: Job;
  readonly partId: string;
  /** What is laid, and what stood on the card the last time. */
  readonly last: Part;
  readonly lastUnits: Job['units'];
  readonly shop: Equipment;
}

/** Something that a shop does the same from job to job, and what it is called when that is told. */
interface Habit {
  readonly words: string;
  readonly lay: (laying: Laying) => Job;
}

const onPart =
  (change: (part: Part, laying: Laying) => Part): Habit['lay'] =>
  (laying) =>
    withPart(laying.job, laying.partId, (part) => change(part, laying));

const HABITS: readonly Habit[] = [
  {
    words: 'head',
    lay: ({ job, partId, last, shop }) => {
      const head = isIndexed(last) && shop.heads.find(({ id }) => id === last.dividing.headId);
      return head ? withHead({ job, partId, head, shop }) : job;
    },
  },
  {
    words: 'mill',
    lay: ({ job, partId, last, shop }) =>
      isIndexed(last) && last.dividing.millId
        ? withMill({ job, partId, millId: last.dividing.millId, shop })
        : job,
  },
  {
    words: 'lathe',
    lay: ({ job, partId, last, shop }) =>
      isThreaded(last) && last.lathe.latheId
        ? withLathe({ job, partId, latheId: last.lathe.latheId, shop })
        : job,
  },
  {
    words: 'depth rule',
    // figures typed from a print belong to that print, and each system of units has a rule of its own
    lay: onPart((part, { last, job, lastUnits }) =>
      isGear(part) && isGear(last) && last.gear.depth.rule !== 'typed' && job.units === lastUnits
        ? { ...part, gear: { ...part.gear, depth: { ...part.gear.depth, rule: last.gear.depth.rule } } }
        : part,
    ),
  },
  {
    words: 'measuring tool',
    lay: onPart((part, { last }) => {
      if (!isGear(part) || part.arrival.by !== 'sample') return part;
      if (!isGear(last) || last.arrival.by !== 'sample') return part;
      const { tool, toolError } = last.arrival.sample;
      return { ...part, arrival: { ...part.arrival, sample: { ...part.arrival.sample, tool, toolError } } };
    }),
  },
  {
    words: 'how cutter and table are laid over',
    lay: onPart((part, { last }) => {
      if (isGear(part) && isGear(last)) {
        const { setUp, side, allowed } = last.lead;
        return { ...part, lead: { ...part.lead, setUp, side, allowed } };
      }
      if (!isRim(part) || !isRim(last)) return part;
      const { school, setUp, side } = last.gash;
      return { ...part, gash: { ...part.gash, school, setUp, side } };
    }),
  },
  {
    words: 'cutter',
    lay: onPart((part, { last }) => {
      // where a form cutter is picked, its own sizes count
      if (!isSpaced(part) || !isSpaced(last)) return part;
      const { cutterDiameter, cutterWidth, cutterTeeth } = last.setup;
      return { ...part, setup: { ...part.setup, cutterDiameter, cutterWidth, cutterTeeth } };
    }),
  },
  {
    words: 'how the work is held',
    lay: onPart((part, { last }) =>
      isIndexed(part) && isIndexed(last)
        ? { ...part, setup: { ...part.setup, holding: last.setup.holding, headAt: last.setup.headAt } }
        : part,
    ),
  },
  {
    words: 'which way cutter and table go',
    lay: onPart((part, { last }) => {
      if (!isIndexed(part) || !isIndexed(last)) return part;
      const { spin, side, feed, indexAt } = last.setup;
      return { ...part, setup: { ...part.setup, spin, side, feed, indexAt } };
    }),
  },
  {
    words: 'centring and touch',
    lay: onPart((part, { last }) => {
      if (!isIndexed(part) || !isIndexed(last)) return part;
      const { centring, paper } = last.setup;
      return { ...part, setup: { ...part.setup, centring, paper } };
    }),
  },
  {
    words: 'times to run back and to index',
    lay: onPart((part, { last }) => {
      if (!isIndexed(part) || !isIndexed(last)) return part;
      const { returnSeconds, indexSeconds } = last.setup;
      return { ...part, setup: { ...part.setup, returnSeconds, indexSeconds } };
    }),
  },
  {
    words: 'passes',
    lay: onPart((part, { last }) => {
      if (!isIndexed(part) || !isIndexed(last)) return part;
      const { scratch, passes, finishStock } = last.cut;
      return { ...part, cut: { ...part.cut, scratch, passes, finishStock } };
    }),
  },
];

/** A fresh job laid like the last one. */
export interface LaidLike {
  readonly job: Job;
  /** What of it is not as on a plain card: `head`, `passes`; empty where nothing differs. */
  readonly kept: readonly string[];
}

/**
 * Lays a fresh job the way the shop laid its last one: head, mill, lathe, depth rule, holding, ways, touch,
 * passes. What belongs to that one piece (sizes, material, mandrel, readings, the way of dividing) is not
 * taken. What the shop no longer has is left as the plain card has it.
 * @param fresh as it is laid plain @param last the last job that has parts of these kinds
 */
export function laidLike(fresh: Job, last: Job, shop: Equipment): LaidLike {
  const pairs = fresh.parts.flatMap(({ id, kind }) => {
    const like = last.parts.find((part) => part.kind === kind);
    return like ? [{ partId: id, last: like }] : [];
  });
  let job = fresh;
  const kept: string[] = [];
  for (const { words, lay } of HABITS) {
    const before = job;
    for (const pair of pairs) job = lay({ ...pair, job, shop, lastUnits: last.units });
    if (!dequal(before, job)) kept.push(words);
  }
  return { job, kept };
}
