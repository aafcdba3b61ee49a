import { withPart, type Job } from '../job/index.ts';
import { beforeCutting, type AnyStationPlan, type PartPlan } from './types.ts';

/** Settles a station with today's answer. Settling the dividing or the lathe also fixes the way in force, by its content. */
export function settleStation(job: Job, partId: string, station: AnyStationPlan): Job {
  return withPart(job, partId, (part) => {
    const settled = { ...part.settled, [station.id]: station.toSettle };
    if (part.kind === 'worm') {
      const way = station.id === 'lathe' ? station.detail.inForce : null;
      const choice = way && { setting: way.setting, train: way.train };
      return { ...part, settled, ...(choice ? { lathe: { ...part.lathe, choice } } : {}) };
    }
    const { dividing } = part;
    const way = station.id === 'dividing' ? station.detail.inForce : null;
    return { ...part, settled, dividing: way ? { ...dividing, choice: way.choice } : dividing };
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

/** Settles every station that is complete and still open, as starting to cut does. Stations in doubt are left. */
export function settleOpen(job: Job, part: PartPlan): Job {
  return beforeCutting(part)
    .filter((station) => station.complete && station.state === 'open')
    .reduce((changed, station) => settleStation(changed, part.id, station), job);
}
