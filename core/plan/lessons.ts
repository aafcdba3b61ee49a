import type { Part } from '../job/index.ts';
import type { Equipment, Lesson } from '../shop/index.ts';

/** What a part is and is done with, by the kinds a lesson may be about. */
function aboutOf(part: Part): Readonly<Partial<Record<Lesson['about']['kind'], string | null>>> {
  if (part.kind === 'worm') return { part: part.kind, lathe: part.lathe.latheId };
  return {
    part: part.kind,
    head: part.dividing.headId,
    mill: part.dividing.millId,
    cutter: 'cutter' in part ? part.cutter.cutterId : null,
    mandrel: part.setup.mandrelId,
    material: part.setup.materialId,
  };
}

/** What was learnt that concerns a part: said again at the station where it matters. */
export function lessonsFor(part: Part, { lessons }: Pick<Equipment, 'lessons'>): readonly Lesson[] {
  const about = aboutOf(part);
  return lessons.filter(({ about: { kind, id } }) => kind === 'all' || about[kind] === id);
}
