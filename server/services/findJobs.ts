import type { EntityManager } from '@mikro-orm/libsql';
import { plainWords } from '../../core/job/index.ts';
import type { JobQuery } from '../../core/wire/index.ts';
import { JobRow } from '../entities/index.ts';
import { Conditions, cursorOf, readCursor } from './cursor.ts';

/** All of a row but its document, which is long and not needed for a list. */
const LISTED = [
  'id',
  'name',
  'line',
  'revision',
  'archived',
  'createdAt',
  'updatedAt',
  'kinds',
  'materials',
  'tags',
  'person',
  'runId',
  'standing',
] as const;
export type ListedRow = Pick<JobRow, (typeof LISTED)[number]>;

/** What jobs are ordered by: the column, and which way. */
const ORDERS = {
  changed: { column: 'updated_at', key: 'updatedAt', falling: true },
  made: { column: 'created_at', key: 'createdAt', falling: true },
  name: { column: 'name collate nocase', key: 'name', falling: false },
} as const;

function conditions(query: JobQuery): Conditions {
  const whole = (word: string | undefined) => (word === undefined ? word : `\n${word}\n`);
  return new Conditions()
    .also('archived = ?', query.archived === 'true' ? 1 : 0)
    .words('words', plainWords(query.words))
    .alsoIf('instr(kinds, ?) > 0', whole(query.kind))
    .alsoIf('instr(materials, ?) > 0', whole(query.material))
    .alsoIf('instr(tags, ?) > 0', whole(query.tag))
    .alsoIf('person = ?', query.person)
    .alsoIf('standing = ?', query.standing);
}

export interface Found {
  readonly rows: readonly ListedRow[];
  /** Of all pages. */
  readonly total: number;
  /** For the next page; null where this is the last. */
  readonly next: string | null;
}

/**
 * One page of the jobs that fit, in order. A cursor that is none of ours begins at the start.
 * @param em a fork of its own
 */
export async function findJobs(em: EntityManager, query: JobQuery): Promise<Found> {
  const { sql, given } = conditions(query);
  const { column, key, falling } = ORDERS[query.order];
  const after = readCursor(query.after);
  const behind = falling ? '<' : '>';
  const page = after ? ` and (${column} ${behind} ? or (${column} = ? and id > ?))` : '';
  const way = falling ? 'desc' : 'asc';
  const ids = await em
    .getConnection()
    .execute<{ id: string }[]>(
      `select id from job where ${sql}${page} order by ${column} ${way}, id asc limit ?`,
      [...given, ...(after ? [after[0], after[0], after[1]] : []), query.limit + 1],
    );
  const [{ count } = { count: 0 }] = await em
    .getConnection()
    .execute<{ count: number }[]>(`select count(*) as count from job where ${sql}`, given);
  const wanted = ids.slice(0, query.limit).map(({ id }) => id);
  const found = await em.find(JobRow, { id: { $in: wanted } }, { fields: LISTED });
  const byId = new Map(found.map((row) => [row.id, row as ListedRow]));
  const rows = wanted.flatMap((id) => byId.get(id) ?? []);
  const last = rows.at(-1);
  return {
    rows,
    total: count,
    next: ids.length > query.limit && last ? cursorOf(last[key], last.id) : null,
  };
}
