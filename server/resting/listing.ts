import type { EntityManager } from '@mikro-orm/libsql';
import { logWords } from '../../core/logbook/index.ts';
import { nowLine } from '../../core/prompts/index.ts';
import { listingOf, plainWords, readJobFile, type Job } from '../../core/job/index.ts';
import {
  digestOf,
  outcomeOf,
  readRun,
  standingOfRun,
  stateOf,
  summarise,
  tallyOf,
  type RunState,
  type RunSummary,
  type RunTally,
} from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { JobRow, RunEventRow, RunRow } from '../entities/index.ts';
import { whyUnread } from '../problems.ts';
import { readEvents } from './events.ts';

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

/** Raised whenever what rests beside a run changes its shape: older rows are written anew at start. */
export const RUN_LISTED = 2;

export type RestingRun = Pick<
  RunRow,
  'summary' | 'digest' | 'now' | 'words' | 'outcome' | 'piece' | 'listed'
>;

/** What rests beside a run of its events: its summary, its page of the logbook, what it is found by. */
export function restingOf(tally: RunTally, state: RunState = stateOf(tally)): RestingRun {
  const summary = summarise(state);
  const digest = digestOf(tally, state);
  const now = nowLine(tally.run, summary);
  return {
    summary: JSON.stringify(summary),
    digest: JSON.stringify(digest),
    now: now ? JSON.stringify(now) : '',
    words: logWords(digest),
    outcome: outcomeOf(digest),
    piece: digest.piece.kind,
    listed: RUN_LISTED,
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

/** What rests beside a run that came without it; of one that cannot be read, why. */
async function restingOfRow(em: EntityManager, row: RunRow): Promise<Partial<RestingRun>> {
  try {
    const run = readRun(JSON.parse(row.document));
    const events = await em.find(RunEventRow, { runId: row.id }, { orderBy: { arrival: 'asc' } });
    return restingOf(tallyOf(run, readEvents(events)));
  } catch (error) {
    return { outcome: 'unread', words: whyUnread(error), now: '', digest: '', listed: RUN_LISTED };
  }
}

/** Writes what runs are listed by, where that is not written, or as an older version wrote it. */
async function listOlderRuns(em: EntityManager): Promise<void> {
  for (;;) {
    const rows = await em.find(RunRow, { listed: { $ne: RUN_LISTED } }, { limit: AT_ONCE });
    if (rows.length === 0) return;
    for (const row of rows) em.assign(row, await restingOfRow(em, row));
    await em.flush();
    em.clear();
  }
}

/** Writes what jobs and runs are found by, where it is not written yet: from before, or by a backup. */
export async function listOlder(em: EntityManager, shop: Pick<Equipment, 'materials'>): Promise<void> {
  await listOlderRuns(em);
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
