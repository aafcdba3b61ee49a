import { isFormCut, isIndexed, isThreaded, type Part } from '../kinds/index.ts';
import type { Equipment, Lesson } from '../shop/index.ts';

/** What a part is and is done with, by the kinds a lesson may be about. */
function aboutOf(part: Part): Readonly<Partial<Record<Lesson['about']['kind'], string | null>>> {
  return {
    part: part.kind,
    ...(isThreaded(part) ? { lathe: part.lathe.latheId } : {}),
    ...(isIndexed(part)
      ? {
          head: part.dividing.headId,
          mill: part.dividing.millId,
          mandrel: part.setup.mandrelId,
          material: part.setup.materialId,
        }
      : {}),
    ...(isFormCut(part) ? { cutter: part.cutter.cutterId } : {}),
  };
}

/** What was learnt that concerns a part: said again at the station where it matters. */
export function lessonsFor(part: Part, { lessons }: Pick<Equipment, 'lessons'>): readonly Lesson[] {
  const about = aboutOf(part);
  return lessons.filter(({ about: { kind, id } }) => kind === 'all' || about[kind] === id);
}
