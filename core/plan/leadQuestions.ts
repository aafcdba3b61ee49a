import { dividingGround } from '../card/index.ts';
import type { Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { readGive, type BendQuestion, type LeadDetail, type LeadQuestion } from '../lead/index.ts';
import type { Equipment, GearSet, Head } from '../shop/index.ts';

interface Equipped {
  readonly head: Head;
  readonly gears: GearSet['gears'];
}

/** A helical part on its card, with what its lead station came to. */
interface LeadOnCard {
  readonly job: Job;
  readonly part: SpurPart;
  readonly detail: LeadDetail;
  readonly shop: Equipment;
}

function equippedFor({ job, part, detail, shop }: LeadOnCard): Equipped | null {
  const { head, gearSets } = dividingGround(job, shop, part);
  const set = gearSets.find(({ id }) => id === detail.gearSet?.id);
  return head && set ? { head, gears: set.gears } : null;
}

/**
 * What the longer search for trains is asked; null while something it needs is missing. @param six also six
 * gears?
 */
export function leadQuestion({
  job,
  part,
  detail,
  shop,
  six = part.lead.sixGears,
}: LeadOnCard & { readonly six?: boolean }): LeadQuestion | null {
  const equipped = equippedFor({ job, part, detail, shop });
  const { wanted, machineText, pitchDiameter, faceWidth, hand } = detail;
  if (!equipped || wanted === null || machineText === null || pitchDiameter === null || faceWidth === null)
    return null;
  const { head, gears } = equipped;
  return {
    gears,
    machine: machineText,
    asked: { lead: wanted, pitchDiameter, faceWidth },
    compound: head.differential?.stud ?? false,
    six,
    head,
    hand,
  };
}

/**
 * What the search for angles that the gears cut is asked; null while something it needs is missing or cannot
 * be read.
 */
export function bendQuestion({ job, part, detail, shop }: LeadOnCard): BendQuestion | null {
  const equipped = equippedFor({ job, part, detail, shop });
  const { machineText, faceWidth, bends } = detail;
  const { give } = readGive(part.lead);
  if (!equipped || !bends || machineText === null || faceWidth === null || !give) return null;
  return {
    gears: equipped.gears,
    machine: machineText,
    compound: equipped.head.differential?.stud ?? false,
    ...bends,
    faceWidth,
    give,
  };
}
