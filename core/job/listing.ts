import { isIndexed } from '../kinds/index.ts';
import type { Kind } from '../kinds/index.ts';
import type { Equipment } from '../shop/index.ts';
import { indexedParts } from './parts.ts';
import type { Job } from './schema.ts';

/** What jobs are found by, without opening them. */
export interface JobListed {
  readonly kinds: readonly Kind[];
  /** Materials its parts are cut in, by their ids in the shop. */
  readonly materials: readonly string[];
  readonly person: string;
  readonly tags: readonly string[];
  /** Everything there is to search in, as `plainWords` writes it. */
  readonly words: string;
}

/** As words are compared: no capitals, no accents. */
export const plainWords = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * What a job is listed by.
 * @param line what it is, in a few words @param shop where its materials have their names
 */
export function listingOf(job: Job, line: string, { materials }: Pick<Equipment, 'materials'>): JobListed {
  const { name, person, tags, parts } = job;
  const used = [
    ...new Set(indexedParts(job).flatMap(({ setup }) => (setup.materialId ? [setup.materialId] : []))),
  ];
  const heads = new Set(parts.flatMap((part) => (isIndexed(part) ? [part.dividing.headId] : [])));
  const said = [
    name,
    line,
    ...parts.map((part) => part.name),
    person,
    ...tags,
    ...materials.filter(({ id }) => used.includes(id)).map((material) => material.name),
    ...job.equipment.heads.filter(({ id }) => heads.has(id)).map((head) => head.name),
  ];
  return {
    kinds: [...new Set(parts.map(({ kind }) => kind))],
    materials: used,
    person,
    tags,
    words: plainWords(said.join('\n')),
  };
}
