import { runEventSchema, type RunEvent } from '../../core/run/index.ts';

/**
 * Events this browser has made and the server has not yet confirmed, each under a key of its own so that two
 * tabs never write over one another. An event is here before the screen counts it.
 */
const prefix = (runId: string) => `vuelta.outbox.${runId}.`;
const refusedPrefix = (runId: string) => `vuelta.refused.${runId}.`;

/** @returns false when this browser lets nothing be kept */
export function keepEvent(event: RunEvent): boolean {
  try {
    localStorage.setItem(prefix(event.runId) + event.id, JSON.stringify(event));
    return true;
  } catch {
    return false;
  }
}

export function forgetEvents(runId: string, ids: readonly string[]): void {
  for (const id of ids) localStorage.removeItem(prefix(runId) + id);
}

/**
 * Puts aside an event the server will not take, so that it does not hold up the others. Nothing is thrown
 * away.
 */
export function putAside(event: RunEvent): void {
  localStorage.setItem(refusedPrefix(event.runId) + event.id, JSON.stringify(event));
  forgetEvents(event.runId, [event.id]);
}

/** What waits for the server, in the order it was made. */
export function keptEvents(runId: string): RunEvent[] {
  const events: RunEvent[] = [];
  try {
    for (let i = 0; i < localStorage.length; i += 1) {
      const key = localStorage.key(i);
      if (!key?.startsWith(prefix(runId))) continue;
      const read = runEventSchema.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null'));
      if (read.success) events.push(read.data);
    }
  } catch {
    return events;
  }
  return events.sort((a, b) =>
    a.clientTime < b.clientTime ? -1 : a.clientTime > b.clientTime ? 1 : a.deviceSeq - b.deviceSeq,
  );
}
