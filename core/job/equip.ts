import { isGear, isThreaded } from '../kinds/index.ts';
import { NO_EQUIPMENT, type Equipment, type Head } from '../shop/index.ts';
import { indexedParts, withDividing, withPart, withSpurPart } from './parts.ts';
import type { Job } from './schema.ts';

/** A head with all it needs, to be copied into a job. */
export function copyOf(head: Head, shop: Equipment): Equipment {
  return {
    ...NO_EQUIPMENT,
    heads: [head],
    gearSets: shop.gearSets.filter(({ id }) => id === head.differential?.gearSetId),
    steppers: shop.steppers.filter(({ headId }) => headId === head.id),
  };
}

/**
 * Puts a head of the shop in force for a part, keeping a copy of it, its gears and its drives in the job.
 * A way chosen on another head is put aside; one chosen on an earlier state of the same head stays, to be
 * checked again.
 */
export function withHead({
  job,
  partId,
  head,
  shop,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly head: Head;
  readonly shop: Equipment;
}): Job {
  const changed = withDividing(job, partId, (dividing) => ({
    ...dividing,
    headId: head.id,
    choice: dividing.headId === head.id ? dividing.choice : null,
  }));
  const used = new Set(indexedParts(changed).map((part) => part.dividing.headId));
  const heads = job.equipment.heads.filter((other) => other.id !== head.id && used.has(other.id));
  const leadSets = changed.parts.map((part) => (isGear(part) ? part.lead.gearSetId : null));
  const latheSets = job.equipment.lathes.map(({ gearSetId }) => gearSetId);
  const setsUsed = new Set([
    ...leadSets,
    ...latheSets,
    ...heads.map(({ differential }) => differential?.gearSetId),
  ]);
  const copy = copyOf(head, shop);
  const gearSets = job.equipment.gearSets.filter(
    ({ id }) => setsUsed.has(id) && !copy.gearSets.some((set) => set.id === id),
  );
  const steppers = job.equipment.steppers.filter(({ headId }) => heads.some(({ id }) => id === headId));
  return {
    ...changed,
    equipment: {
      ...job.equipment,
      heads: [...heads, ...copy.heads],
      gearSets: [...gearSets, ...copy.gearSets],
      steppers: [...steppers, ...copy.steppers],
    },
  };
}

/** Puts a mill of the shop in force for a part, with a copy of it in the job. */
export function withMill({
  job,
  partId,
  millId,
  shop,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly millId: string;
  readonly shop: Equipment;
}): Job {
  const mill = shop.mills.find(({ id }) => id === millId);
  if (!mill) return job;
  const changed = withDividing(job, partId, (dividing) => ({ ...dividing, millId }));
  const used = new Set(indexedParts(changed).map((part) => part.dividing.millId));
  const others = job.equipment.mills.filter(({ id }) => id !== millId && used.has(id));
  return { ...changed, equipment: { ...job.equipment, mills: [...others, mill] } };
}

/**
 * Puts a lathe of the shop in force for a worm, with a copy of it and its gears in the job. Gears chosen on
 * another are put aside.
 */
export function withLathe({
  job,
  partId,
  latheId,
  shop,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly latheId: string;
  readonly shop: Equipment;
}): Job {
  const lathe = shop.lathes.find(({ id }) => id === latheId);
  if (!lathe) return job;
  const changed = withPart(job, partId, (part) =>
    isThreaded(part)
      ? {
          ...part,
          lathe: {
            ...part.lathe,
            latheId,
            choice: part.lathe.latheId === latheId ? part.lathe.choice : null,
          },
        }
      : part,
  );
  const used = new Set(changed.parts.map((part) => (isThreaded(part) ? part.lathe.latheId : null)));
  const lathes = [...job.equipment.lathes.filter(({ id }) => id !== latheId && used.has(id)), lathe];
  const set = shop.gearSets.find(({ id }) => id === lathe.gearSetId);
  const gearSets = set
    ? [...job.equipment.gearSets.filter(({ id }) => id !== set.id), set]
    : job.equipment.gearSets;
  return { ...changed, equipment: { ...job.equipment, lathes, gearSets } };
}

/**
 * Puts a set of change gears in force for the lead of a part, with a copy of it in the job; null: those of
 * the head.
 */
export function withLeadGears({
  job,
  partId,
  gearSetId,
  shop,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly gearSetId: string | null;
  readonly shop: Equipment;
}): Job {
  const set = shop.gearSets.find(({ id }) => id === gearSetId);
  const changed = withSpurPart(job, partId, (part) => ({
    ...part,
    lead: { ...part.lead, gearSetId, choice: null },
  }));
  if (!set) return changed;
  const gearSets = [...job.equipment.gearSets.filter(({ id }) => id !== set.id), set];
  return { ...changed, equipment: { ...job.equipment, gearSets } };
}

/** Lists of the shop of which a job keeps copies. */
export const COPIED = ['heads', 'gearSets', 'steppers', 'mills', 'lathes', 'cutters'] as const;
export type Copied = (typeof COPIED)[number];

/** Those of `own` that `live` has too, as they are there. */
const asLive = <T extends { readonly id: string }>(own: readonly T[], live: readonly T[]): readonly T[] =>
  own.map((thing) => live.find(({ id }) => id === thing.id) ?? thing);

/**
 * A job with its copy of one thing made anew from the shop, and of a head all that goes with it. What was
 * chosen on it stays, to be checked again.
 */
export function withShopCopy(
  job: Job,
  shop: Equipment,
  { list, id }: { readonly list: Copied; readonly id: string },
): Job {
  const { equipment } = job;
  const head = list === 'heads' ? shop.heads.find((live) => live.id === id) : undefined;
  if (head) {
    const copy = copyOf(head, shop);
    const others = equipment.gearSets.filter((own) => !copy.gearSets.some((set) => set.id === own.id));
    return {
      ...job,
      equipment: {
        ...equipment,
        heads: asLive(equipment.heads, copy.heads),
        gearSets: [...others, ...copy.gearSets],
        steppers: [...equipment.steppers.filter(({ headId }) => headId !== id), ...copy.steppers],
      },
    };
  }
  const only = <T extends { readonly id: string }>(all: readonly T[]) => all.filter((live) => live.id === id);
  return {
    ...job,
    equipment: {
      ...equipment,
      [list]: asLive<{ readonly id: string }>(equipment[list], only<{ readonly id: string }>(shop[list])),
    },
  };
}
