import type { EntityManager } from '@mikro-orm/libsql';
import { plainWords } from '../../core/job/index.ts';
import type { JobQuery } from '../../core/wire/index.ts';
import { JobRow } from '../entities/index.ts';

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

/** Where the next page goes on: behind the last row of this one, whatever has come in before it. */
const cursorOf = (value: string, id: string): string =>
  Buffer.from(JSON.stringify([value, id])).toString('base64url');

function readCursor(text: string): readonly [string, string] | null {
  try {
    const read: unknown = JSON.parse(Buffer.from(text, 'base64url').toString());
    return Array.isArray(read) && read.length === 2 && read.every((one) => typeof one === 'string')
      ? [read[0] as string, read[1] as string]
      : null;
  } catch {
    return null;
  }
}

/** The conditions of a query, as SQL with its figures beside it. */
function conditions(query: JobQuery): { readonly sql: string; readonly given: (string | number)[] } {
  const sql = ['archived = ?'];
  const given: (string | number)[] = [query.archived === 'true' ? 1 : 0];
  const also = (condition: string, ...values: string[]) => {
    sql.push(condition);
    given.push(...values);
  };
  // looked for as they are: a quote, a % or a _ is a sign like any other
  for (const word of plainWords(query.words).split(/\s+/)) if (word !== '') also('instr(words, ?) > 0', word);
  if (query.kind) also('instr(kinds, ?) > 0', `\n${query.kind}\n`);
  if (query.material) also('instr(materials, ?) > 0', `\n${query.material}\n`);
  if (query.tag) also('instr(tags, ?) > 0', `\n${query.tag}\n`);
  if (query.person) also('person = ?', query.person);
  if (query.standing) also('standing = ?', query.standing);
  return { sql: sql.join(' and '), given };
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
  const after = query.after ? readCursor(query.after) : null;
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
