import type { EntityManager } from '@mikro-orm/libsql';
import { listingOf, plainWords, readJobFile, type Job } from '../../core/job/index.ts';
import { standingOfRun, type RunSummary } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { JobRow, RunRow } from '../entities/index.ts';

/** Several words of one line each, each between line ends, so that a whole one can be looked for. */
const between = (words: readonly string[]): string => (words.length === 0 ? '' : `\n${words.join('\n')}\n`);

/** Those that stand between line ends. */
export const wordsBetween = (text: string): string[] => text.split('\n').filter((word) => word !== '');

/** What a job’s row is found by. @param shop where its materials have their names */
export function listedFields(
  job: Job,
  line: string,
  shop: Pick<Equipment, 'materials'>,
): Pick<JobRow, 'kinds' | 'materials' | 'tags' | 'person' | 'words' | 'listed'> {
  const { kinds, materials, tags, person, words } = listingOf(job, line, shop);
  return {
    kinds: between(kinds),
    materials: between(materials),
    tags: between(tags),
    person,
    words,
    listed: 1,
  };
}

/** How a stored summary stands; a run that cannot be read is none. */
export function standingOfRow(row: { readonly summary: string } | null): JobRow['standing'] {
  try {
    return standingOfRun(row && (JSON.parse(row.summary) as RunSummary));
  } catch {
    return 'not-cut';
  }
}

const AT_ONCE = 100;

/** Writes what jobs are found by, where that is not written yet: from before, or come by a backup. */
export async function listOlder(em: EntityManager, shop: Pick<Equipment, 'materials'>): Promise<void> {
  for (;;) {
    const rows = await em.find(JobRow, { listed: 0 }, { limit: AT_ONCE });
    if (rows.length === 0) return;
    for (const row of rows) {
      const read = readJobFile(row.document);
      const [newest] = await em.find(
        RunRow,
        { jobId: row.id },
        { orderBy: { startedAt: 'desc', id: 'desc' }, limit: 1, fields: ['id', 'summary'] },
      );
      em.assign(row, {
        // one that cannot be read is found by its name
        ...(read.ok ? listedFields(read.value, row.line, shop) : { words: plainWords(row.name) }),
        runId: newest?.id ?? '',
        standing: standingOfRow(newest ?? null),
        listed: 1,
      });
    }
    await em.flush();
    em.clear();
  }
}
