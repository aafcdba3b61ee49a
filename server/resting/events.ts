import { runEventSchema, type RunEvent } from '../../core/run/index.ts';
import type { RunEventRow } from '../entities/index.ts';

/**
 * An event as it rests; null where it cannot be read, so that one bad byte does not take the others of its
 * run down.
 */
export function readEvent({ document }: Pick<RunEventRow, 'document'>): RunEvent | null {
  try {
    return runEventSchema.parse(JSON.parse(document));
  } catch {
    return null;
  }
}

/** Those that can be read: the numbers of a screen then have a gap, which the mill asks about. */
export const readEvents = (rows: readonly Pick<RunEventRow, 'document'>[]): RunEvent[] =>
  rows.map(readEvent).filter((event) => event !== null);

/** An event as it is to rest. */
export const eventRow = (runId: string, event: RunEvent): Omit<RunEventRow, 'arrival'> => ({
  id: event.id,
  runId,
  device: event.device,
  deviceSeq: event.deviceSeq,
  document: JSON.stringify(event),
});
