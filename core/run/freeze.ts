import { exact } from '../units/index.ts';
import { plateRatioOf, runMoves } from '../dividing/index.ts';
import { fail, ok, type Result } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { stationOf, type Plan } from '../plan/index.ts';
import type { Equipment } from '../shop/index.ts';
import { RUN_FORMAT, RUN_VERSION, type Cut, type Run } from './schema.ts';

interface Start {
  readonly runId: string;
  readonly jobRevision: number;
  readonly partId: string;
}

/** Spaces in cutting order from a start space: s … N, 1 … s − 1. */
export function spacesFrom(startSpace: number, divisions: number): number[] {
  return Array.from({ length: divisions }, (_, i) => ((startSpace - 1 + i) % divisions) + 1);
}

/**
 * Freezes a part's plan into a run: equipment, moves and every cut in order. Holes are counted from the hole
 * in which the pin stands for the first space cut, and come from the motion model.
 * @param shop today's equipment, for a job that has no copy of its head
 * Issues: not-found, not-ready-to-cut
 */
export function freezeRun(job: Job, planned: Plan, shop: Equipment, start: Start): Result<Run> {
  const part = planned.parts.find(({ id }) => id === start.partId);
  if (!part) {
    return fail({
      code: 'not-found',
      path: 'partId',
      severity: 'wrong',
      given: start.partId,
      detail: { what: 'part' },
    });
  }
  const dividing = stationOf(part, 'dividing');
  const way = dividing?.detail.inForce;
  const head = [...job.equipment.heads, ...shop.heads].find(({ id }) => id === dividing?.detail.head?.id);
  if (!part.cutting || !way || !head) {
    const lacking = part.stations.filter((station) => !station.complete).map((station) => station.title);
    return fail({
      code: 'not-ready-to-cut',
      path: '',
      severity: 'wrong',
      allowed: `look at ${lacking.join(', ') || 'the card'} first`,
    });
  }
  const { divisions, startSpace, rounds } = part.cutting;
  const { turns, spaces, circle } = way.choice;
  const { states } = runMoves(
    { ratio: exact(head.ratio), plateRatio: plateRatioOf(way.choice, exact(head.ratio)) },
    { turns, spaces, circle },
    divisions * rounds.length,
  );
  const order = spacesFrom(startSpace, divisions);
  const cuts: Cut[] = rounds.flatMap((_, r) =>
    order.map((space, i) => ({ round: r + 1, index: i + 1, space, hole: states[r * divisions + i]!.hole })),
  );
  return ok({
    format: RUN_FORMAT,
    version: RUN_VERSION,
    id: start.runId,
    jobId: job.id,
    partId: part.id,
    jobRevision: start.jobRevision,
    jobName: job.name,
    gear: stationOf(part, 'gear')?.answer ?? '',
    units: job.units,
    divisions,
    startSpace,
    head,
    move: way.choice,
    rounds,
    cuts,
  });
}
