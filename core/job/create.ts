import type { Equipment, Head } from '../shop/index.ts';
import { measure, type UnitSystem } from '../units/index.ts';
import { JOB_FORMAT, JOB_VERSION, type Job, type SpurPart } from './schema.ts';

interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly units: UnitSystem;
  /** The shop it is planned in; its first head is taken to start with. */
  readonly shop: Equipment;
}

/** A head with all it needs, to be copied into a job. */
function copyOf(head: Head, shop: Equipment): Equipment {
  return { heads: [head], gearSets: shop.gearSets.filter(({ id }) => id === head.differential?.gearSetId) };
}

/** A spur part from a drawing, with nothing read off the drawing yet. */
function emptySpurPart(id: string, units: UnitSystem, head: Head | null): SpurPart {
  return {
    id,
    kind: 'spur',
    name: '',
    gear: {
      pitch: measure('', units === 'mm' ? 'module' : 'dp'),
      teeth: measure('', 'count'),
      pressureAngle: measure('20', 'deg'),
      depth: {
        rule: units === 'mm' ? 'iso53-a' : 'form-2.157',
        stamped: measure('', units),
        addendum: measure('', units),
        wholeDepth: measure('', units),
        readFrom: '',
      },
    },
    blank: { faceWidth: measure('', units), bore: measure('', units) },
    dividing: { headId: head?.id ?? null, choice: null },
    cut: {
      passes: 'one',
      finishStock: measure(units === 'mm' ? '0.5' : '.020', units),
      startSpace: measure('1', 'count'),
    },
    settled: {},
  };
}

/** A new job from a drawing, in the units it will show large. */
export function newSpurJob({ id, name, units, shop }: NewJob): Job {
  const head = shop.heads[0] ?? null;
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id,
    name,
    units,
    parts: [emptySpurPart('p1', units, head)],
    relations: [],
    equipment: head ? copyOf(head, shop) : { heads: [], gearSets: [] },
  };
}

/** The same job under another id and name, as if nothing of it had been cut. */
export function duplicateJob(job: Job, id: string, name: string): Job {
  return { ...job, id, name };
}

/** Replaces one part. */
export function withPart(
  job: Job,
  partId: string,
  change: (part: Job['parts'][number]) => Job['parts'][number],
): Job {
  return { ...job, parts: job.parts.map((part) => (part.id === partId ? change(part) : part)) };
}

/**
 * Puts a head of the shop in force for a part, keeping a copy of it and its gears in the job.
 * A way chosen on another head is put aside; one chosen on an earlier state of the same head stays, to be checked again.
 */
export function withHead(job: Job, partId: string, head: Head, shop: Equipment): Job {
  const changed = withPart(job, partId, (part) => ({
    ...part,
    dividing: { headId: head.id, choice: part.dividing.headId === head.id ? part.dividing.choice : null },
  }));
  const used = new Set(changed.parts.map((part) => part.dividing.headId));
  const heads = job.equipment.heads.filter((other) => other.id !== head.id && used.has(other.id));
  const setsUsed = new Set(heads.map(({ differential }) => differential?.gearSetId));
  const copy = copyOf(head, shop);
  const gearSets = job.equipment.gearSets.filter(
    ({ id }) => setsUsed.has(id) && !copy.gearSets.some((set) => set.id === id),
  );
  return {
    ...changed,
    equipment: { heads: [...heads, ...copy.heads], gearSets: [...gearSets, ...copy.gearSets] },
  };
}
