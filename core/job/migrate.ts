import { dividingFromV2 } from '../dividing/index.ts';
import {
  equipmentFromV1,
  equipmentFromV2,
  equipmentFromV3,
  equipmentFromV4,
  equipmentFromV5,
  equipmentFromV6,
} from '../shop/index.ts';
import * as shapes from './shapes.ts';
import { JOB_VERSION } from './schema.ts';

/** A document of some version, its shape not yet checked. */
export type RawJob = Readonly<Record<string, unknown>> & { readonly version: number };

function partFromV2(part: unknown, units: unknown): unknown {
  if (typeof part !== 'object' || part === null) return part;
  const raw = part as Readonly<Record<string, unknown>>;
  return { ...raw, dividing: dividingFromV2(raw['dividing'], units === 'in' ? 'in' : 'mm') };
}

const isObject = (raw: unknown): raw is Readonly<Record<string, unknown>> =>
  typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** Every gear came by a drawing, with teeth of nominal thickness; no cutter was picked. */
function partFromV3(part: unknown, given: unknown): unknown {
  if (!isObject(part)) return part;
  const units = given === 'in' ? 'in' : 'mm';
  const { gear, blank, spacing } = part;
  if (part['kind'] === 'spur') {
    return {
      arrival: { by: 'drawing' },
      cutter: shapes.cutterV4(),
      ...part,
      gear: isObject(gear) ? { ...shapes.teethV4(units), ...gear } : gear,
      blank: isObject(blank) ? { measured: shapes.empty(units), ...blank } : blank,
    };
  }
  return { ...part, spacing: isObject(spacing) ? { acrossFlats: shapes.empty(units), ...spacing } : spacing };
}

/** Leads could not be geared yet; a pitch was always the normal one, and shafts were parallel. */
function partFromV4(part: unknown, given: unknown): unknown {
  if (!isObject(part) || part['kind'] !== 'spur') return part;
  const units = given === 'in' ? 'in' : 'mm';
  const { gear, arrival } = part;
  const mate =
    isObject(gear) && isObject(gear['mate']) ? { ...shapes.shaftsV5(), ...gear['mate'] } : undefined;
  const lead = shapes.empty(units);
  const sampled =
    isObject(arrival) && isObject(arrival['sample'])
      ? { ...arrival, sample: { lead, ...arrival['sample'] } }
      : arrival;
  return {
    lead: shapes.leadV5(units),
    ...part,
    arrival: sampled,
    gear: isObject(gear) ? { ...shapes.planesV5(units), ...gear, mate } : gear,
  };
}

/** Nothing that was measured was kept yet. */
function partFromV5(part: unknown, given: unknown): unknown {
  if (!isObject(part) || part['kind'] !== 'spur') return part;
  return { inspect: shapes.inspectionV6(given === 'in' ? 'in' : 'mm'), ...part };
}

/** Nothing was said of how the work is set up, and there was no scratch round. */
function partFromV6(part: unknown, given: unknown): unknown {
  if (!isObject(part) || part['kind'] === 'worm') return part;
  const { cut, inspect } = part;
  const units = given === 'in' ? 'in' : 'mm';
  return {
    setup: shapes.setupV7(units),
    ...part,
    ...(isObject(inspect)
      ? { inspect: { round: { what: 'span', readings: shapes.empty(units) }, ...inspect } }
      : {}),
    cut: isObject(cut) ? { scratch: false, ...cut } : cut,
  };
}

/**
 * A gear that was sunk did not say so; a sample’s hand was never asked, and a wheel’s corners were not
 * measured.
 */
function partFromV7(part: unknown, given: unknown): unknown {
  if (!isObject(part)) return part;
  const length = shapes.empty(given === 'in' ? 'in' : 'mm');
  const { inspect, arrival, rim } = part;
  const sample = isObject(arrival) && isObject(arrival['sample']) ? arrival['sample'] : null;
  return {
    ...part,
    ...(isObject(inspect) ? { inspect: { sunk: length, ...inspect } } : {}),
    ...(sample ? { arrival: { ...(arrival as object), sample: { hand: 'not-looked', ...sample } } } : {}),
    ...(isObject(rim) ? { rim: { corners: length, ...rim } } : {}),
  };
}

const partsBy = (job: RawJob, change: (part: unknown, units: unknown) => unknown): unknown =>
  Array.isArray(job['parts']) ? job['parts'].map((part) => change(part, job['units'])) : job['parts'];

/**
 * `steps[n]` brings a document of version n to n + 1. One sample of every old version is kept in samples/.
 */
const steps: Readonly<Record<number, (job: RawJob) => RawJob>> = {
  // change gears came in, and heads that can be geared with them
  1: (job) => ({ ...job, version: 2, equipment: equipmentFromV1(job['equipment']) }),
  // rings, handwheels, drives and mills came in, block order, plates to be made, and ways that do not come
  // out exactly
  2: (job) => ({
    ...job,
    version: 3,
    parts: partsBy(job, partFromV2),
    equipment: equipmentFromV2(job['equipment']),
  }),
  // jobs arrived by other doors, cutters were listed, helix, thinning, mates and measured blanks came in
  3: (job) => ({
    ...job,
    version: 4,
    parts: partsBy(job, partFromV3),
    equipment: equipmentFromV3(job['equipment']),
  }),
  // helical gears got a lead, a pitch of either plane and crossed shafts; tables swing
  4: (job) => ({
    ...job,
    version: 5,
    parts: partsBy(job, partFromV4),
    equipment: equipmentFromV4(job['equipment']),
  }),
  // worms and their wheels came in, and lathes; what was measured on a gear is kept
  5: (job) => ({
    ...job,
    version: 6,
    parts: partsBy(job, partFromV5),
    equipment: equipmentFromV5(job['equipment']),
  }),
  // how the work is set up came in, with machines in full, materials, mandrels and what was learnt
  6: (job) => ({
    ...job,
    version: 7,
    parts: partsBy(job, partFromV6),
    equipment: equipmentFromV6(job['equipment']),
  }),
  // what was sunk, the hand of a sample and the corners of a wheel came in
  7: (job) => ({ ...job, version: 8, parts: partsBy(job, partFromV7) }),
  // a job says whose it is, and has words to be found by
  8: (job) => ({ ...job, version: 9, person: '', tags: [] }),
};

/**
 * Brings a document up to a version, today's if none is said, a step at a time. @param raw of that version or
 * before
 */
export function migrateJob(raw: RawJob, to: number = JOB_VERSION): RawJob {
  let job = raw;
  while (job.version < to) {
    const step = steps[job.version];
    if (!step) throw new Error(`no step from job version ${job.version}`);
    job = step(job);
  }
  return job;
}

/** The oldest version that can still be read. */
export const OLDEST_JOB_VERSION = 1;
