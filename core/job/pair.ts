import { dequal } from 'dequal';
import { isGear, type GearPart } from '../kinds/index.ts';
import { withSpurPart } from './parts.ts';
import type { Job } from './schema.ts';
import { mateOf } from './take.ts';

type Gear = GearPart['gear'];
type Mate = Gear['mate'];

/** What each gear of a pair has of its own. */
const OWN: ReadonlySet<keyof Gear> = new Set<keyof Gear>(['teeth', 'hand', 'thinning', 'mate']);
/** Of the mate's: where the shafts stand, alike on both cards. */
const ALIKE: readonly (keyof Mate)[] = ['centre', 'backlash', 'shafts', 'shaftAngle'];

/** The fields of one that were changed, where another had the same before: it has what they are now. */
function following<T extends object>(keys: readonly (keyof T)[], was: T, is: T, other: T): Partial<T> {
  const changed = keys.filter((key) => !dequal(was[key], is[key]) && dequal(was[key], other[key]));
  return Object.fromEntries(changed.map((key) => [key, is[key]])) as Partial<T>;
}

/** The mate's gear, with what was changed on this one. */
function followed(was: Gear, is: Gear, other: Gear): Gear {
  const shared = (Object.keys(is) as (keyof Gear)[]).filter((key) => !OWN.has(key));
  const counts = {
    ...(dequal(other.mate.teeth, was.teeth) ? { teeth: is.teeth } : {}),
    ...(dequal(other.mate.hand, was.hand) ? { hand: is.hand } : {}),
  };
  const turned = was.hand !== is.hand && other.hand !== was.hand && is.mate.shafts === 'parallel';
  return {
    ...other,
    ...following(shared, was, is, other),
    ...(dequal(other.teeth, was.mate.teeth) ? { teeth: is.mate.teeth } : {}),
    ...(turned ? { hand: was.hand } : {}),
    mate: { ...other.mate, ...following(ALIKE, was.mate, is.mate, other.mate), ...counts },
  };
}

/**
 * After an edit: the mate of a gear that was changed follows it in all that both had alike: pitch, angle,
 * depth, helix, where the shafts stand. What differs already was parted, and stays as it is.
 */
export function withMatesFollowing(before: Job, after: Job): Job {
  let job = after;
  for (const part of after.parts) {
    const was = before.parts.find(({ id }) => id === part.id);
    if (!was || was === part || !isGear(was) || !isGear(part) || was.gear === part.gear) continue;
    const mate = mateOf(after, part.id);
    // both changed at once: whoever did that meant both
    if (!mate || !before.parts.includes(mate)) continue;
    const gear = followed(was.gear, part.gear, mate.gear);
    if (!dequal(gear, mate.gear)) job = withSpurPart(job, mate.id, (own) => ({ ...own, gear }));
  }
  return job;
}
