import Database from 'libsql';
import { fewestCutters, type PlannedGear, type Shopping } from '../../core/cutter/index.ts';
import { readJobFile } from '../../core/job/index.ts';
import { cutterNeedOf } from '../../core/plan/index.ts';
import type { FormCutter } from '../../core/shop/index.ts';

/** Every gear on the bench that a form cutter has to cut; a job that cannot be read has none. */
function* gearsOnBench(database: Database.Database): Generator<PlannedGear> {
  const rows = database
    .prepare('select document from job where archived = 0 order by created_at, id')
    .iterate() as Iterable<{ readonly document: string }>;
  for (const { document } of rows) {
    const read = readJobFile(document);
    if (!read.ok) continue;
    const { name, parts, units } = read.value;
    for (const part of parts) {
      const need = cutterNeedOf(part, units);
      if (need) yield { name: part.name ? `${name}, ${part.name}` : name, need };
    }
  }
}

/**
 * The fewest cutters to buy so that every gear on the bench can be cut.
 * @param store the file the workshop rests in @param owned the cutters there are
 * @param tolerance flank error put up with beyond the ranges, µm
 */
export function cuttersToBuy(store: string, owned: readonly FormCutter[], tolerance: number): Shopping {
  const database = new Database(store);
  try {
    return fewestCutters([...gearsOnBench(database)], owned, tolerance);
  } finally {
    database.close();
  }
}
