import type { DividingGround } from '../dividing/index.ts';
import { issueOf, type Issue, type IssueCode, type IssueDetails } from '../findings/index.ts';
import { mateOf, partnerOf, type IndexedPart, type Job, type Part, type WormPart } from '../job/index.ts';
import type { SetupShop } from '../setup/index.ts';
import type { Equipment, Head, Mill } from '../shop/index.ts';
import { readGear } from '../gear/index.ts';
import { approx } from '../units/index.ts';
import { planDivide } from './divide.ts';
import { planSpur } from './spur.ts';
import { judgeDrives } from './drives.ts';
import { lessonsFor } from './lessons.ts';
import { judgePairs } from './pairs.ts';
import type { AnyStationPlan, PartPlan, Plan } from './types.ts';
import { planWheelPart } from './wheel.ts';
import { planWormPart, type WormGround } from './worm.ts';

/** How each kind of part is planned. One line for each kind. */
function planPart(part: Part, job: Job, shop: Equipment): PartPlan {
  const cutters = { jobs: job.equipment.cutters, shop: shop.cutters };
  switch (part.kind) {
    case 'spur': {
      const mateThinning = thinningOfMate(job, part.id);
      const on = {
        dividing: groundOf(job, shop, part),
        cutters,
        mateThinning,
        setup: setupShop(job, shop, part),
        tools: shop.tools,
      };
      return planSpur(part, on, job.units);
    }
    case 'divide':
      return planDivide(part, groundOf(job, shop, part), setupShop(job, shop, part), job.units);
    case 'worm':
      return planWormPart(part, wormGround(job, shop, part), job.units);
    case 'wheel':
      return planWheelPart(part, groundOf(job, shop, part), cutters, setupShop(job, shop, part), job.units);
  }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A head without how it stands today: setting it up for another job does not change what it is. */
function asBuilt(head: Head): Partial<Head> {
  const { mounted: _mounted, standing: _standing, centreHeight: _height, ...built } = head;
  return built;
}

/** A mill as far as its table divides or drives a helix; what only a set-up asks of it is looked up in the shop each time. */
const asTable = ({
  id,
  name,
  lead,
  marks,
  travel,
  swing,
  scaleMinutes,
  tableLength,
  tableWidth,
  toColumn,
  headTilts,
}: Mill): Partial<Mill> => ({
  id,
  name,
  lead,
  marks,
  travel,
  swing,
  scaleMinutes,
  tableLength,
  tableWidth,
  toColumn,
  headTilts,
});

type Named = { readonly id: string; readonly name: string };
type Kept = { readonly own: Named; readonly live: Named | null; readonly changed: boolean };

/** The issues that are told with the name of a thing in the shop. */
type ChangeCode = {
  [Code in IssueCode]: [IssueDetails[Code]] extends ['what' | 'head'] ? Code : never;
}[IssueCode];

/** What was copied into the job and is otherwise in the shop now, or gone. */
function sayChange(
  { own, live, changed }: Kept,
  path: string,
  codes: { readonly changed: ChangeCode; readonly left: ChangeCode | null },
): Issue[] {
  const code = live ? (changed ? codes.changed : null) : codes.left;
  return code === null
    ? []
    : [issueOf(code, { path, severity: 'note', given: own.id }, { what: own.name, head: own.name })];
}

function kept<T extends Named>(own: T | null, all: readonly T[], built: (thing: T) => unknown = (x) => x) {
  if (!own) return null;
  const live = all.find(({ id }) => id === own.id) ?? null;
  return { own, live, changed: live !== null && !same(built(live), built(own)) };
}

/** How the shop differs today from what a part was planned with. */
function changesSince(job: Job, shop: Equipment, part: Part): Issue[] {
  const own = job.equipment;
  if (part.kind === 'worm') {
    const lathe = kept(own.lathes.find(({ id }) => id === part.lathe.latheId) ?? null, shop.lathes);
    return lathe
      ? sayChange(lathe, 'equipment.lathes', { changed: 'lathe-changed', left: 'lathe-left-shop' })
      : [];
  }
  const head = own.heads.find(({ id }) => id === part.dividing.headId) ?? null;
  const gears = own.gearSets.find(({ id }) => id === head?.differential?.gearSetId) ?? null;
  const usesMill = part.kind !== 'spur' || !readGear(part.gear, job.units).helixDeg.equals(0);
  const mill = usesMill ? (own.mills.find(({ id }) => id === part.dividing.millId) ?? null) : null;
  const drives = own.steppers.filter(({ headId }) => headId === head?.id);
  const found: Issue[] = [];
  const say = (thing: Kept | null, path: string, changed: ChangeCode, left: ChangeCode | null) => {
    if (thing) found.push(...sayChange(thing, path, { changed, left }));
  };
  const ofHead = kept(head, shop.heads, asBuilt);
  say(ofHead, 'equipment.heads', 'head-changed', 'head-left-shop');
  // what goes with a head that has left is not told one by one
  if (ofHead?.live) {
    say(kept(gears, shop.gearSets), 'equipment.gearSets', 'gears-changed', null);
    for (const drive of drives)
      say(kept(drive, shop.steppers), 'equipment.steppers', 'stepper-changed', null);
  }
  say(kept(mill, shop.mills, asTable), 'equipment.mills', 'mill-changed', 'mill-left-shop');
  const cutterId = 'cutter' in part ? part.cutter.cutterId : null;
  const cutter = own.cutters.find(({ id }) => id === cutterId) ?? null;
  say(kept(cutter, shop.cutters), 'equipment.cutters', 'cutter-changed', 'cutter-left-shop');
  return found;
}

/** The job's own copies rule; the shop's serve where the job has none. How a head stands is always today's. */
export function groundOf(
  job: Job,
  shop: Equipment,
  { dividing }: Pick<IndexedPart, 'dividing'>,
): DividingGround {
  const own = job.equipment.heads.find(({ id }) => id === dividing.headId) ?? null;
  const live = shop.heads.find(({ id }) => id === dividing.headId) ?? null;
  const stands = live && { mounted: live.mounted, standing: live.standing };
  const head = own ? { ...own, ...stands } : live;
  const mills = [...job.equipment.mills, ...shop.mills];
  return {
    head,
    mill: mills.find(({ id }) => id === dividing.millId) ?? null,
    gearSets: [...job.equipment.gearSets, ...shop.gearSets],
    steppers: own ? job.equipment.steppers : shop.steppers,
    shop,
  };
}

/** What work is set up with stands in the shop today: the job's own copy serves where the shop no longer has it. */
function setupShop(job: Job, shop: Equipment, { dividing }: Pick<IndexedPart, 'dividing'>): SetupShop {
  const { materials, mandrels } = shop;
  return {
    mill: [...shop.mills, ...job.equipment.mills].find(({ id }) => id === dividing.millId) ?? null,
    head: [...shop.heads, ...job.equipment.heads].find(({ id }) => id === dividing.headId) ?? null,
    materials,
    mandrels,
  };
}

/** The lathe of a worm, the job's own copy first, and the scale its wheel's gash is set on. */
function wormGround(job: Job, shop: Equipment, part: WormPart): WormGround {
  const lathes = [...job.equipment.lathes, ...shop.lathes];
  const lathe = lathes.find(({ id }) => id === part.lathe.latheId) ?? null;
  const partner = partnerOf(job, part.id);
  const mill = partner?.kind === 'wheel' ? groundOf(job, shop, partner).mill : null;
  return {
    lathe: { lathe, gearSets: [...job.equipment.gearSets, ...shop.gearSets] },
    scale: mill && { mill: mill.name, minutes: mill.scaleMinutes },
  };
}

/** What is taken off the teeth of the gear that a part is paired with in the same job, mm. */
function thinningOfMate(job: Job, partId: string): number {
  const mate = mateOf(job, partId);
  return mate ? approx(readGear(mate.gear, job.units).thinning) : 0;
}

/**
 * From the document and the shop's equipment to the plan: a pure function that screens, server and exports only render.
 * It checks and proves what is chosen and ranks what is cheap to find.
 * @param job a checked document @param shop what is on hand today
 */
export function plan(job: Job, shop: Equipment): Plan {
  const findings: Issue[] = judgePairs(job, shop);
  const parts = job.parts.map((part) => {
    for (const found of changesSince(job, shop, part))
      if (!findings.some(({ given, code }) => given === found.given && code === found.code))
        findings.push(found);
    const planned = planPart(part, job, shop);
    const lessons = lessonsFor(part, shop);
    if (lessons.length === 0) return planned;
    const stations = planned.stations.map(
      (station) =>
        ({
          ...station,
          lessons: lessons.filter((lesson) => lesson.station === station.id),
        }) as AnyStationPlan,
    );
    return { ...planned, stations };
  });
  findings.push(...judgeDrives(job, parts));
  return { jobId: job.id, name: job.name, units: job.units, parts, findings };
}

/** What stands in the way of storing this document: wrong figures at their fields. Missing ones may be stored. */
export function refusals(planned: Plan): Issue[] {
  return planned.parts.flatMap((part) =>
    part.stations.flatMap((station) => station.issues.filter((issue) => issue.severity === 'wrong')),
  );
}
