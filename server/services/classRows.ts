import type { EntityManager } from '@mikro-orm/libsql';
import { BenchRow, ClassRow, LearnerRow, TryRow } from '../entities/index.ts';
import { notFound } from '../problems.ts';

/* Rows of classes, as every service of theirs asks for them. */

export const now = (): string => new Date().toISOString();

/** @throws Refused 404 */
export async function classOf(em: EntityManager, key: string): Promise<ClassRow> {
  const row = await em.findOne(ClassRow, { key });
  if (!row) throw notFound('class', '');
  return row;
}

/** @throws Refused 404 */
export async function learnerOf(em: EntityManager, token: string): Promise<LearnerRow> {
  const row = await em.findOne(LearnerRow, { token });
  if (!row) throw notFound('learner', '');
  return row;
}

/** A learner with all of theirs. */
export async function forget(em: EntityManager, token: string): Promise<void> {
  for (const row of [TryRow, BenchRow, LearnerRow]) await em.nativeDelete(row, { token });
}

/** A class with everyone in it. */
export async function forgetAll(em: EntityManager, key: string): Promise<void> {
  for (const row of [TryRow, BenchRow, LearnerRow]) await em.nativeDelete(row, { classKey: key });
  await em.nativeDelete(ClassRow, { key });
}
