import { withPart, type Job } from '../job/index.ts';
import { isIndexed, isThreaded } from '../kinds/index.ts';
import { beforeCutting, type AnyStationPlan, type PartPlan } from '../card/index.ts';

/**
 * Settles a station with today's answer. Settling the dividing or the lathe also fixes the way in force, by
 * its content.
 */
export function settleStation(job: Job, partId: string, station: AnyStationPlan): Job {
  return withPart(job, partId, (part) => {
    const settled = { ...part.settled, [station.id]: station.toSettle };
    if (station.id === 'lathe' && isThreaded(part) && station.detail.inForce) {
      const { setting, train } = station.detail.inForce;
      return { ...part, settled, lathe: { ...part.lathe, choice: { setting, train } } };
    }
    if (station.id === 'dividing' && isIndexed(part) && station.detail.inForce) {
      const { choice } = station.detail.inForce;
      return { ...part, settled, dividing: { ...part.dividing, choice } };
    }
    return { ...part, settled };
  });
}

/** Opens a settled station again. */
export function reopenStation(job: Job, partId: string, stationId: AnyStationPlan['id']): Job {
  return withPart(job, partId, (part) => {
    const settled = { ...part.settled };
    delete settled[stationId];
    return { ...part, settled };
  });
}

/**
 * Settles every station that is complete and still open, as starting to cut does. Stations in doubt are left.
 */
export function settleOpen(job: Job, part: PartPlan): Job {
  return beforeCutting(part)
    .filter((station) => station.complete && station.state === 'open')
    .reduce((changed, station) => settleStation(changed, part.id, station), job);
}
