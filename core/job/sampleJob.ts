import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { newSpurJob, withSpurPart } from './create.ts';
import type { Job } from './schema.ts';

/** A spur job with everything given, for tests, the bench and the demo workshop. */
export function drawnSpurJob(given: {
  readonly id: string;
  readonly name: string;
  readonly pitch: string;
  readonly teeth: number;
  readonly face: string;
  readonly bore: string;
  readonly units?: Job['units'];
}): Job {
  const units = given.units ?? 'mm';
  const job = newSpurJob({ id: given.id, name: given.name, units, shop: STOCK_EQUIPMENT });
  return withSpurPart(job, 'p1', (part) => ({
    ...part,
    gear: {
      ...part.gear,
      pitch: measure(given.pitch, units === 'mm' ? 'module' : 'dp'),
      teeth: measure(String(given.teeth), 'count'),
    },
    blank: { ...part.blank, faceWidth: measure(given.face, units), bore: measure(given.bore, units) },
  }));
}

/** The same with teeth that lean. @param helix degrees, as typed */
export const drawnHelicalJob = (given: Parameters<typeof drawnSpurJob>[0], helix: string): Job =>
  withSpurPart(drawnSpurJob(given), 'p1', (part) => ({
    ...part,
    gear: { ...part.gear, helix: measure(helix, 'deg') },
  }));
