import type { DividingGround } from '../dividing/index.ts';
import { pickedCutter } from '../cutter/index.ts';
import { readGear, type GearReadings } from '../gear/index.ts';
import { mateOf, partnerOf, type Job } from '../job/index.ts';
import {
  isFormCut,
  isGear,
  isIndexed,
  isThreaded,
  type GearPart,
  type IndexedPart,
  type Part,
} from '../kinds/index.ts';
import type { SetupShop } from '../setup/index.ts';
import type { Equipment, FormCutter, MeasuringTool } from '../shop/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { AngleScale, LatheGround } from '../worm/index.ts';

/**
 * What a part is planned on, gathered once. The job's own copies rule, and the shop's serve where the job has
 * none; how a thing stands, and all that a set-up asks of it, is the shop's of today.
 */
export interface PartGround {
  /** Of the part in the document. */
  readonly path: string;
  readonly units: UnitSystem;
  readonly dividing: DividingGround;
  readonly setup: SetupShop;
  /** The form cutters of the shop. */
  readonly cutters: readonly FormCutter[];
  /** What there is to measure with. */
  readonly tools: readonly MeasuringTool[];
  /** The form cutter that was picked, the job’s own copy first; null where none is. */
  readonly picked: FormCutter | null;
  /** The gear as it is read, with the stamp of its cutter; null for what is no gear. */
  readonly gear: GearReadings | null;
  /** The gear it is paired with in the same job. */
  readonly mate: GearReadings | null;
  readonly lathe: LatheGround;
  /** Of the mill that the wheel of its drive is gashed on; null where that is not known. */
  readonly scale: AngleScale | null;
}

const NOTHING_DIVIDES = { dividing: { headId: null, millId: null } };
type Divided = { readonly dividing: Pick<IndexedPart['dividing'], 'headId' | 'millId'> };

/** What divides a part. How a head stands is always today's. */
export function dividingGround(
  job: Job,
  shop: Equipment,
  { dividing: { headId, millId } }: Divided,
): DividingGround {
  const own = job.equipment.heads.find(({ id }) => id === headId) ?? null;
  const live = shop.heads.find(({ id }) => id === headId) ?? null;
  const stands = live && { mounted: live.mounted, standing: live.standing };
  return {
    head: own ? { ...own, ...stands } : live,
    mill: [...job.equipment.mills, ...shop.mills].find(({ id }) => id === millId) ?? null,
    gearSets: [...job.equipment.gearSets, ...shop.gearSets],
    steppers: own ? job.equipment.steppers : shop.steppers,
    shop,
  };
}

/**
 * What work is set up with stands in the shop today: the job's own copy serves where the shop no longer has
 * it.
 */
function setupShop(
  job: Job,
  { heads, mills, materials, mandrels }: Equipment,
  { dividing: { headId, millId } }: Divided,
): SetupShop {
  return {
    mill: [...mills, ...job.equipment.mills].find(({ id }) => id === millId) ?? null,
    head: [...heads, ...job.equipment.heads].find(({ id }) => id === headId) ?? null,
    materials,
    mandrels,
  };
}

function latheGround(job: Job, shop: Equipment, part: Part): LatheGround {
  const lathes = [...job.equipment.lathes, ...shop.lathes];
  const lathe = isThreaded(part) ? (lathes.find(({ id }) => id === part.lathe.latheId) ?? null) : null;
  return { lathe, gearSets: [...job.equipment.gearSets, ...shop.gearSets] };
}

/** The scale that the other half of a drive is set by. */
function partnersScale(job: Job, shop: Equipment, part: Part): AngleScale | null {
  const partner = partnerOf(job, part.id);
  const mill = partner && isIndexed(partner) ? dividingGround(job, shop, partner).mill : null;
  return mill && { mill: mill.name, minutes: mill.scaleMinutes };
}

const pickedFor = (job: Job, shop: Equipment, part: Part): FormCutter | null =>
  isFormCut(part) ? pickedCutter(part.cutter, job.equipment.cutters, shop.cutters) : null;

/** A gear as it is read for its own card, the stamp of its cutter with it. */
const readPart = (job: Job, shop: Equipment, part: GearPart): GearReadings =>
  readGear(part.gear, job.units, pickedFor(job, shop, part)?.stamped ?? null);

/** @param job a checked document @param shop what is on hand today */
export function groundFor(job: Job, shop: Equipment, part: Part): PartGround {
  const by = isIndexed(part) ? part : NOTHING_DIVIDES;
  const mate = isGear(part) ? mateOf(job, part.id) : null;
  return {
    path: `parts.${part.id}`,
    units: job.units,
    dividing: dividingGround(job, shop, by),
    setup: setupShop(job, shop, by),
    tools: shop.tools,
    cutters: shop.cutters,
    picked: pickedFor(job, shop, part),
    gear: isGear(part) ? readPart(job, shop, part) : null,
    mate: mate && readPart(job, shop, mate),
    lathe: latheGround(job, shop, part),
    scale: partnersScale(job, shop, part),
  };
}
