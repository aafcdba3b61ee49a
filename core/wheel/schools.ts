import type { DriveFacts } from '../drive/index.ts';
import { contactOf } from './contact.ts';
import type { SchoolAnswer, WheelCutter } from './detail.ts';
import type { RimFacts } from './rim.ts';
import { GASH_SCHOOLS, type GashSchool } from './schema.ts';

export const SCHOOL_NAMES: Readonly<Record<GashSchool, { readonly name: string; readonly how: string }>> = {
  plunge: {
    name: 'Plunge',
    how: 'the cutter over the middle of the face, sunk straight in at the lead angle',
  },
  traverse: {
    name: 'Traverse',
    how: 'straight across the face at the lead angle, as a helical gear of that angle',
  },
  hob: {
    name: 'Gash and hob',
    how: 'gashed short of depth, then finished by a hob like the worm, the wheel free to turn',
  },
};

/** What the bearing a school leaves is fit for. Common practice. */
const FIT_FOR: Readonly<Record<GashSchool, string>> = {
  plunge: 'motion and light reduction, not power; better with a cutter little larger than the worm',
  traverse: 'motion by hand, dividing and light reduction, not power: it bears in the middle only',
  hob: 'power and steady running: the whole flank bears, to the centre distance',
};

/**
 * The three schools side by side on this wheel, with this cutter. @param cutAs the count its cutter is looked
 * up by
 */
export function schoolsOf({
  drive,
  rim,
  wheelCutter: { diameter, madeFor },
  cutAs,
}: {
  readonly drive: DriveFacts;
  readonly rim: RimFacts;
  readonly wheelCutter: WheelCutter;
  readonly cutAs: number;
}): readonly SchoolAnswer[] {
  return GASH_SCHOOLS.map((school): SchoolAnswer => {
    // beyond the hollow the corners are chamfered away
    const gash = {
      rim: rim.rim,
      faceWidth: rim.rim === 'throat' ? rim.hollow : rim.faceWidth,
      madeFor: madeFor ?? Math.max(12, cutAs),
    };
    const contact =
      school === 'hob' || (school === 'plunge' && diameter === null)
        ? null
        : contactOf(drive, { ...gash, school, cutterDiameter: diameter ?? 0 });
    return { school, ...SCHOOL_NAMES[school], fitFor: FIT_FOR[school], contact };
  });
}
