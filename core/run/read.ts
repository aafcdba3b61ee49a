import { headFromV1 } from '../shop/index.ts';
import { runSchema, type Run } from './schema.ts';

type RawRun = Readonly<Record<string, unknown>> & { readonly version?: unknown };

/**
 * A run as it rests, of whatever version, brought up to today's and checked. A run's cuts and moves never change.
 * @throws when what rests is no run: a fault, not an issue
 */
export function readRun(raw: unknown): Run {
  const run = raw as RawRun;
  return runSchema.parse(run.version === 1 ? { ...run, version: 2, head: headFromV1(run['head']) } : run);
}
