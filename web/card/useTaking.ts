import { withCutter, withDividing, type Job } from '../../core/job/index.ts';
import { bestCutter, plan, stationOf, type AnyStationPlan, type PartPlan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { useOfferedWay } from '../panel/index.ts';

/** Something to take at a station where nothing is chosen yet. */
export interface Taking {
  /** `20 spaces on 23` */
  readonly name: string;
  /** What can be done instead, where the station stands without; null where it does not. */
  readonly otherwise: string | null;
  readonly take: (job: Job) => Job;
}

interface Here {
  readonly part: PartPlan;
  readonly station: AnyStationPlan;
  readonly shop: Equipment;
}

/** What the brass button takes: the cutter that serves, the best exact way; null where there is none. */
export function useTaking({ part, station, shop }: Here): Taking | null {
  const way = useOfferedWay((offered) => (offered.partId === part.id ? offered.way : null));
  if (station.id === 'cutter') {
    const cutter = station.complete && station.state !== 'settled' ? bestCutter(station) : null;
    return (
      cutter && {
        name: cutter.name,
        otherwise: `Settle ${station.title} with none of mine`,
        take: (job) => withCutter({ job, partId: part.id, cutterId: cutter.id, shop }),
      }
    );
  }
  if (station.id !== 'dividing' || station.detail.inForce !== null || !way) return null;
  return {
    name: way.words,
    otherwise: null,
    take: (job) => withDividing(job, part.id, (dividing) => ({ ...dividing, choice: way.choice })),
  };
}

/** The job with something taken, and its part as it is planned then. */
export function taken({ take }: Taking, job: Job, { part, station, shop }: Here) {
  const changed = take(job);
  const planned = plan(changed, shop).parts.find(({ id }) => id === part.id) ?? part;
  return { job: changed, part: planned, station: stationOf(planned, station.id) };
}
