import { cutsMade } from './counted.ts';
import { isHarm, type Harm } from './machine.ts';
import type { Session } from './session.ts';

const HARM_WORDS: Readonly<Record<Harm, string>> = {
  gouged: 'turned in the work',
  dragged: 'moved on in the work',
  shifted: 'cut with the spindle unlocked',
  slid: 'cut with the table unlocked',
  plunged: 'sunk from above',
  stalled: 'against a standing cutter',
  laboured: 'motor against the lock',
  'pin-broken': 'direct pin broken',
};

/** A harm in a few words, as a teacher’s list has it. */
export const harmName = (harm: Harm): string => HARM_WORDS[harm];

/** How far somebody is with a blank. */
export interface Stands {
  /** Cuts made, of how many. */
  readonly made: number;
  readonly of: number;
  /** How often each harm was done to this blank; those that never were are left out. */
  readonly harms: Readonly<Partial<Record<Harm, number>>>;
}

/** For whoever teaches: what was made of a blank so far, and what was done to it that should not be. */
export function standsAt({ bench, log, machine }: Session): Stands {
  const harms: Partial<Record<Harm, number>> = {};
  for (const { told } of log)
    for (const each of told) if (isHarm(each)) harms[each.what] = (harms[each.what] ?? 0) + 1;
  return { made: cutsMade(bench, machine.work), of: bench.teeth, harms };
}
