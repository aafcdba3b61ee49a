import type { EntityManager } from '@mikro-orm/libsql';
import { HARMS, type Harm } from '../../core/practice/index.ts';
import type { BodyOf, Calls, ClassBoard } from '../../core/wire/index.ts';
import { BenchRow, type ClassRow } from '../entities/index.ts';
import { now } from './classRows.ts';

type Told = BodyOf<Calls['tellBench']>;
type AtBench = NonNullable<ClassBoard['learners'][number]['bench']>;

/** Hidden faults that are remembered of one learner. */
const MOST_HIDDEN = 400;

/** The newest that a page told of a bench stands; what was best, and the faults that were found, are kept. */
export async function keepBench(
  em: EntityManager,
  { token, classKey }: Pick<BenchRow, 'token' | 'classKey'>,
  { jobId, made, of: cuts, harms, hidden }: Told,
): Promise<void> {
  const known = await em.findOne(BenchRow, { token });
  const same = known?.jobId === jobId ? known : null;
  const faults = same ? (JSON.parse(same.hidden) as Record<string, boolean>) : {};
  if (hidden && (hidden.seed in faults || Object.keys(faults).length < MOST_HIDDEN))
    faults[hidden.seed] = hidden.found || faults[hidden.seed] === true;
  const columns = {
    ...{ token, classKey, jobId, made, cuts },
    best: Math.max(made, same?.best ?? 0),
    harms: JSON.stringify(harms),
    hidden: JSON.stringify(faults),
    at: now(),
  };
  if (known) em.assign(known, columns);
  else em.create(BenchRow, columns);
}

function atBench({ made, cuts, best, harms, hidden, at }: BenchRow): AtBench {
  const times = JSON.parse(harms) as Partial<Record<Harm, number>>;
  const faults = Object.values(JSON.parse(hidden) as Record<string, boolean>);
  return {
    ...{ made, of: cuts, best, at },
    harms: HARMS.flatMap((what) => (times[what] ? [{ what, times: times[what] }] : [])),
    sought: faults.length,
    found: faults.filter(Boolean).length,
  };
}

/** Everyone’s bench with the job the class has now, by token. */
export async function benchesOf(
  em: EntityManager,
  { key, jobId }: ClassRow,
): Promise<ReadonlyMap<string, AtBench>> {
  if (jobId === '') return new Map();
  const rows = await em.find(BenchRow, { classKey: key, jobId });
  return new Map(rows.map((row) => [row.token, atBench(row)]));
}

/** By how many learners each harm was done. */
export const commonestHarms = (benches: readonly AtBench[]): ClassBoard['harms'] =>
  HARMS.map((what) => ({
    what,
    learners: benches.filter(({ harms }) => harms.some((each) => each.what === what)).length,
  }))
    .filter(({ learners }) => learners > 0)
    .sort((a, b) => b.learners - a.learners);
