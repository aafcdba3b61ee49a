import type { Head, Plate, Ring } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { isSpaced, type SpacedPart } from '../kinds/index.ts';
import { freshPartId, newPart } from './create.ts';
import { indexedParts } from './parts.ts';
import type { Job } from './schema.ts';

/** A plate or ring that has been made, put on a head. One of that id that is there already is replaced. */
export function headWithMade(head: Head, made: Plate | Ring): Head {
  const others = <T extends { readonly id: string }>(things: readonly T[]) =>
    things.filter(({ id }) => id !== made.id);
  return 'sides' in made
    ? { ...head, plates: [...others(head.plates), made] }
    : { ...head, rings: [...others(head.rings), made] };
}

/**
 * What a ring or plate of so many holes is called on a head. @param onWork a ring that goes between spindle
 * and work
 */
export function madeFor(use: 'ring' | 'plate', holes: number, onWork = false): Plate | Ring {
  const id = `made-${use}-${holes}`;
  return use === 'ring'
    ? { id, name: `made, ${holes} holes`, holes, made: true, ...(onWork ? { onWork } : {}) }
    : { id, name: `M${holes}`, sides: [{ circles: [holes] }], made: true };
}

/**
 * The part of a job in which the ring or plate of so many holes for a part is drilled; null where it is not
 * drilled here.
 */
export function ringPartFor(job: Job, partId: string, holes: number): SpacedPart | null {
  const drilled = job.relations
    .filter(({ kind, parts }) => kind === 'ring-for' && parts[1] === partId)
    .map(({ parts }) => job.parts.find(({ id }) => id === parts[0]))
    .find((part) => part && isSpaced(part) && part.spacing.count.typed === String(holes));
  return drilled && isSpaced(drilled) ? drilled : null;
}

/**
 * Jobs chain: a ring that a part needs becomes a part of its own in the same job, to be drilled first on the
 * same head.
 * @returns the job with the ring's part, and that part's id; the job as it is when a ring of so many is there
 * already
 */
export function withRingPart(
  job: Job,
  partId: string,
  holes: number,
): { readonly job: Job; readonly ringId: string } {
  const known = ringPartFor(job, partId, holes);
  if (known) return { job, ringId: known.id };
  const forPart = indexedParts(job).find(({ id }) => id === partId)!;
  const ringId = freshPartId(job);
  const heads = job.equipment.heads.filter(({ id }) => id === forPart.dividing.headId);
  const empty = newPart({
    kind: 'divide',
    id: ringId,
    newJob: { units: job.units, shop: { ...job.equipment, heads } },
  });
  const { made } = forPart.dividing;
  const ring: SpacedPart = {
    ...empty,
    name: made.use === 'ring' ? `Ring of ${holes}` : `Plate of ${holes}`,
    spacing: {
      ...empty.spacing,
      what: 'holes',
      count: measure(String(holes), 'count'),
      diameter: made.pitchCircle,
    },
  };
  const relation = { id: `ring-${ringId}`, kind: 'ring-for' as const, parts: [ringId, partId] };
  return { job: { ...job, parts: [...job.parts, ring], relations: [...job.relations, relation] }, ringId };
}
