import type { RunEvent } from './schema.ts';

/** Had the screen that made `later` seen `earlier` when it made it? Clocks play no part. */
export function hadSeen(later: RunEvent, earlier: RunEvent): boolean {
  if (later.device === earlier.device) return later.deviceSeq > earlier.deviceSeq;
  return (later.lastSeen[earlier.device] ?? 0) >= earlier.deviceSeq;
}

/** Neither screen had seen the other's event. */
export function atOnce(a: RunEvent, b: RunEvent): boolean {
  return a.id !== b.id && !hadSeen(a, b) && !hadSeen(b, a);
}

/**
 * Each id once, in an order that depends on the events alone: an event comes after all that its screen had seen.
 * The number of events an event had seen grows along every chain, so it serves as the first key.
 */
export function inOrder(events: readonly RunEvent[]): RunEvent[] {
  const once = new Map<string, RunEvent>();
  for (const event of events) if (!once.has(event.id)) once.set(event.id, event);
  const weight = (event: RunEvent) =>
    Object.entries(event.lastSeen).reduce(
      (sum, [device, seq]) => (device === event.device ? sum : sum + seq),
      event.deviceSeq,
    );
  return [...once.values()]
    .map((event) => ({ event, weight: weight(event) }))
    .sort(
      (a, b) =>
        a.weight - b.weight ||
        (a.event.device < b.event.device ? -1 : a.event.device > b.event.device ? 1 : 0) ||
        a.event.deviceSeq - b.event.deviceSeq ||
        (a.event.id < b.event.id ? -1 : 1),
    )
    .map(({ event }) => event);
}

/** The last event seen of each screen, to put into the next event. */
export function lastSeenOf(events: readonly RunEvent[]): Record<string, number> {
  const seen: Record<string, number> = {};
  for (const { device, deviceSeq } of events) seen[device] = Math.max(seen[device] ?? 0, deviceSeq);
  return seen;
}
