import { withPart, type Job } from '../job/index.ts';
import { isGear } from '../kinds/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { Readings } from './readings.ts';

/** A reading as a tool of the shop shows it, mm: to a hundredth, or to half a thou. */
const STEP: Readonly<Record<UnitSystem, number>> = { mm: 0.01, in: 0.0127 };

/**
 * The job with what was measured on the bench put into Inspect, as it would be from a real piece: what
 * caliper, pins and indicator tell, in the units of the job. The job itself is left as it is.
 * @param readings mm
 */
export function inspectedJob(job: Job, partId: string, readings: Readings): Job {
  const { units } = job;
  const typed = (mm: number | null | undefined) => {
    if (mm === null || mm === undefined) return { typed: '', unit: units };
    const read = Math.round(mm / STEP[units]) * STEP[units];
    return { typed: units === 'mm' ? read.toFixed(2) : (read / 25.4).toFixed(4), unit: units };
  };
  const { outside, span, pins, depth, lands, whole } = readings;
  // before the gear is whole the span may be over fewer teeth than Inspect goes by
  const middle = whole ? span?.at.find(({ where }) => where === 'middle') : null;
  return withPart(job, partId, (part) =>
    isGear(part)
      ? {
          ...part,
          inspect: {
            ...part.inspect,
            outside: typed(outside?.reads),
            depth: typed(depth?.most),
            span: typed(middle?.reads),
            pins: typed(pins?.reads),
            runout: typed(lands && lands.most - lands.least),
          },
        }
      : part,
  );
}
