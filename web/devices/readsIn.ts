import { whyNotTurn, type AxisUse, type NotNow } from '../../core/devices/index.ts';
import type { Run } from '../../core/run/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';

/**
 * What an axis does in a run: for a rack the table goes from place to place, and what goes across on a gear
 * carries the cut.
 */
export function roleIn({ move }: Run, use: AxisUse): AxisUse {
  if (move.method !== 'table' || use === 'depth') return use;
  return use === 'travel' ? 'cross' : 'travel';
}

/** What a readout reads of an axis from its zero in this run; zeros of another’s work say nothing. mm */
export const readsIn = (run: Run, live: LiveDevice, role: AxisUse): number | null =>
  live.run === run.id ? (live.readout?.find(({ use }) => roleIn(run, use) === role)?.reads ?? null) : null;

/**
 * Why a motor that a readout watches would not turn the work of a run as it stands; null where it would. The
 * server looks again, and it alone decides.
 * @param live the readout, null while nothing is heard of it
 */
export function notYet(run: Run, live: LiveDevice | null): NotNow | null {
  const isHeard = live?.line === 'here' && live.readout !== null;
  const reads = (role: AxisUse) => (isHeard ? readsIn(run, live, role) : null);
  const readout = { travel: reads('travel'), depth: reads('depth'), age: isHeard ? 0 : Infinity };
  return whyNotTurn({ readout, safe: run.safe, saidFree: true, heldAgo: 0 });
}
