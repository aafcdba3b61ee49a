import type { ArrivalBy } from '../arrival/index.ts';
import { documentOf, type Kind, type PartOf } from '../kinds/index.ts';
import { NO_EQUIPMENT, type Equipment } from '../shop/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { copyOf, withLathe, withMill } from './equip.ts';
import { JOB_FORMAT, JOB_VERSION, type Job } from './schema.ts';

interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly units: UnitSystem;
  /** The shop it is planned in; its first head is taken to start with. */
  readonly shop: Equipment;
}

/** A fresh part of a kind, as it is laid on the bench. */
export const newPart = <K extends Kind>({
  kind,
  id,
  newJob: { units, shop },
  by = 'drawing',
}: {
  readonly kind: K;
  readonly id: string;
  readonly newJob: Pick<NewJob, 'units' | 'shop'>;
  readonly by?: ArrivalBy | undefined;
}): PartOf<K> => documentOf(kind).empty({ id, units, head: shop.heads[0] ?? null, by });

/** A job of one part of a kind. */
function newJob(given: NewJob, kind: Kind, by: ArrivalBy = 'drawing'): Job {
  const { id, name, units, shop } = given;
  const [head] = shop.heads;
  const job: Job = {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id,
    name,
    person: '',
    tags: [],
    units,
    parts: [newPart({ kind, id: 'p1', newJob: given, by })],
    relations: [],
    equipment: head ? copyOf(head, shop) : NO_EQUIPMENT,
  };
  const [mill] = shop.mills;
  return mill ? withMill({ job, partId: 'p1', millId: mill.id, shop }) : job;
}

/** A new gear, in the units it will show large. @param by how it arrives at the bench */
export const newSpurJob = (given: NewJob, by: ArrivalBy = 'drawing'): Job => newJob(given, 'spur', by);

/** A new job that only divides. */
export const newDivideJob = (given: NewJob): Job => newJob(given, 'divide');

/** A new worm drive: a card for the worm and one for its wheel, that share what is common to both. */
export function newDriveJob(given: NewJob): Job {
  const job = newJob(given, 'wheel');
  const [wheel] = job.parts;
  const worm = newPart({ kind: 'worm', id: 'p2', newJob: given });
  const both: Job = {
    ...job,
    parts: [
      { ...worm, name: 'Worm' },
      { ...wheel!, name: 'Wheel' },
    ],
    relations: [{ id: 'drive-p2', kind: 'worm-drive', parts: ['p2', 'p1'] }],
  };
  const [lathe] = given.shop.lathes;
  return lathe ? withLathe({ job: both, partId: 'p2', latheId: lathe.id, shop: given.shop }) : both;
}

/** An id that no part of a job has yet. */
export function freshPartId({ parts }: Job): string {
  const numbers = parts.map(({ id }) => Number(/^p(\d+)$/.exec(id)?.[1] ?? 0));
  return `p${Math.max(...numbers) + 1}`;
}
