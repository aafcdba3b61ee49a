import { emptyInspection } from '../inspect/index.ts';
import { isGear, isRim, type Part } from '../kinds/index.ts';
import { emptySetup } from '../setup/index.ts';
import { knownLength, measure, type UnitSystem } from '../units/index.ts';
import { withSpurPart } from './parts.ts';
import type { Job } from './schema.ts';

/** What was measured on one piece says nothing of the next. */
function unmeasured(part: Part, units: UnitSystem): Part {
  const length = measure('', units);
  if (isRim(part)) return { ...part, rim: { ...part.rim, measured: length, corners: length } };
  if (!isGear(part)) return part;
  const { pin, tolerance } = part.inspect;
  const { inspect: _measured, ...settled } = part.settled;
  const { round } = emptySetup(units);
  return {
    ...part,
    blank: { ...part.blank, measured: length },
    setup: { ...part.setup, round, alongTop: length, alongSide: length, alongLength: length },
    inspect: { ...emptyInspection(units), pin, tolerance },
    settled,
  };
}

/**
 * A run of a part has begun. A gear that is sunk stands deeper from now on, and its readings went with the
 * run they were taken on; a fresh piece was never sunk.
 * @param sunk mm, by how much more; null for a run that cuts what the card says
 */
export function withRunBegun(job: Job, partId: string, sunk: { readonly by: number } | null): Job {
  return withSpurPart(job, partId, (part) => {
    const none = emptyInspection(job.units);
    const { pin, tolerance } = part.inspect;
    if (!sunk)
      return part.inspect.sunk.typed === ''
        ? part
        : { ...part, inspect: { ...part.inspect, sunk: none.sunk } };
    const deeper = (knownLength(part.inspect.sunk) ?? 0) + sunk.by;
    return {
      ...part,
      inspect: { ...none, pin, tolerance, sunk: measure(String(Number(deeper.toFixed(6))), 'mm') },
    };
  });
}

/**
 * The same job under another id and name, as if nothing of it had been cut: no readings, no blank as it was
 * turned.
 */
export function duplicateJob(job: Job, id: string, name: string): Job {
  return { ...job, id, name, parts: job.parts.map((part) => unmeasured(part, job.units)) };
}
