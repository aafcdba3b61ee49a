import type { DriveInput } from '../drive/index.ts';
import { isRim } from '../kinds/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { newDriveJob, newSpurJob } from './create.ts';
import { withPart, withSpurPart } from './parts.ts';
import { withDrive } from './drive.ts';
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

/**
 * A worm drive with everything given: the worm's card first, then the wheel's. @param drive what differs from
 * a single start of module 2 on 40 teeth
 */
export function drawnDriveJob(
  given: {
    readonly id: string;
    readonly name: string;
    readonly units?: Job['units'];
    readonly shop?: Equipment;
  },
  drive: Partial<DriveInput> = {},
): Job {
  const { units = 'mm', shop = STOCK_EQUIPMENT } = given;
  const job = newDriveJob({ id: given.id, name: given.name, units, shop });
  const drawn = withDrive(job, 'p2', (now) => ({
    ...now,
    pitch: measure(units === 'mm' ? '2' : '10', units === 'mm' ? 'module' : 'dp'),
    teeth: measure('40', 'count'),
    wormDiameter: measure(units === 'mm' ? '24' : '1', units),
    ...drive,
  }));
  return withPart(drawn, 'p1', (part) =>
    isRim(part) ? { ...part, rim: { ...part.rim, bore: measure('12', 'mm') } } : part,
  );
}
