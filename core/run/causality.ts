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
 * Each id once, in an order that depends on the events alone: an event comes after all that its screen had
 * seen. The number of events an event had seen grows along every chain, so it serves as the first key.
 */
export function inOrder(events: readonly RunEvent[]): RunEvent[] {
  const once = new Map<string, RunEvent>();
  for (const event of events) if (!once.has(event.id)) once.set(event.id, event);
  const listed = [...once.values()];
  const stand = listed.every((event, i) => i === 0 || byWhatWasSeen(listed[i - 1]!, event) <= 0);
  return stand ? listed : listed.sort(byWhatWasSeen);
}

/** Does an event come behind another in the order of all? */
export const comesAfter = (event: RunEvent, other: RunEvent): boolean => byWhatWasSeen(other, event) < 0;

function byWhatWasSeen(a: RunEvent, b: RunEvent): number {
  return (
    eventsSeen(a) - eventsSeen(b) ||
    (a.device < b.device ? -1 : a.device > b.device ? 1 : 0) ||
    a.deviceSeq - b.deviceSeq ||
    (a.id < b.id ? -1 : 1)
  );
}

/** An event does not change: how much its screen had seen is counted once. */
const seenBy = new WeakMap<RunEvent, number>();

/** How many events the screen had seen when it made this one, its own among them. */
function eventsSeen(event: RunEvent): number {
  const known = seenBy.get(event);
  if (known !== undefined) return known;
  let seen = event.deviceSeq;
  for (const device in event.lastSeen) if (device !== event.device) seen += event.lastSeen[device]!;
  seenBy.set(event, seen);
  return seen;
}

/** The last event seen of each screen, to put into the next event. */
export function lastSeenOf(events: readonly RunEvent[]): Record<string, number> {
  const seen: Record<string, number> = {};
  for (const { device, deviceSeq } of events) seen[device] = Math.max(seen[device] ?? 0, deviceSeq);
  return seen;
}
