import { dequal } from 'dequal';
import { groundFor, type AnyStationPlan, type PartGround, type PartPlan, type Plan } from '../card/index.ts';
import { issueOf, type Issue, type IssueCode, type DetailNames } from '../findings/index.ts';
import type { GearReadings } from '../gear/index.ts';
import { mateOf, partnerOf, type Job } from '../job/index.ts';
import { isFormCut, isGear, isIndexed, isThreaded, type Part } from '../kinds/index.ts';
import { composePart } from '../kinds/plans.ts';
import { whatDiffers, type Equipment, type Head, type Mill } from '../shop/index.ts';
import { judgeDrives } from './drives.ts';
import { lessonsFor } from './lessons.ts';
import { judgePairs } from './pairs.ts';

/** A head without how it stands today: setting it up for another job does not change what it is. */
function asBuilt(head: Head): Partial<Head> {
  const { mounted: _mounted, standing: _standing, centreHeight: _height, ...built } = head;
  return built;
}

/**
 * A mill as far as its table divides or drives a helix; what only a set-up asks of it is looked up in the
 * shop each time.
 */
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
type Kept = {
  readonly own: Named;
  readonly live: Named | null;
  /** In a list for people; null where nothing is. */
  readonly differs: string | null;
};

/** The issues that are told with the name of a thing in the shop. */
type ChangeCode = {
  [Code in IssueCode]: [DetailNames<Code>] extends ['what' | 'head' | 'differs'] ? Code : never;
}[IssueCode];

/** What was copied into the job and is otherwise in the shop now, or gone. */
function sayChange(
  { own, live, differs }: Kept,
  path: string,
  codes: { readonly changed: ChangeCode; readonly left: ChangeCode | null },
): Issue[] {
  const code = live ? (differs === null ? null : codes.changed) : codes.left;
  return code === null
    ? []
    : [
        issueOf(
          code,
          { path, severity: 'note', given: own.id },
          { what: own.name, head: own.name, differs: differs ?? '' },
        ),
      ];
}

function kept<T extends Named>(
  own: T | null,
  all: readonly T[],
  built: (thing: T) => object = (thing) => thing,
): Kept | null {
  if (!own) return null;
  const live = all.find(({ id }) => id === own.id) ?? null;
  const isSame = live === null || dequal(built(live), built(own));
  return { own, live, differs: isSame ? null : whatDiffers(built(own), built(live)) };
}

/** A set of change gears that was copied, where it is otherwise now. */
function gearsChanged(own: Equipment, shop: Equipment, gearSetId: string | null): Issue[] {
  const set = kept(own.gearSets.find(({ id }) => id === gearSetId) ?? null, shop.gearSets);
  return set ? sayChange(set, 'equipment.gearSets', { changed: 'gears-changed', left: null }) : [];
}

/** How the shop differs today from what a part was planned with. */
function changesSince({
  job,
  shop,
  part,
  on,
}: {
  readonly job: Job;
  readonly shop: Equipment;
  readonly part: Part;
  readonly on: PartGround;
}): Issue[] {
  const own = job.equipment;
  if (isThreaded(part)) {
    const lathe = kept(own.lathes.find(({ id }) => id === part.lathe.latheId) ?? null, shop.lathes);
    if (!lathe) return [];
    const gearSetId = own.lathes.find(({ id }) => id === part.lathe.latheId)?.gearSetId ?? null;
    return [
      ...sayChange(lathe, 'equipment.lathes', { changed: 'lathe-changed', left: 'lathe-left-shop' }),
      ...gearsChanged(own, shop, gearSetId),
    ];
  }
  if (!isIndexed(part)) return [];
  const head = own.heads.find(({ id }) => id === part.dividing.headId) ?? null;
  // straight teeth need nothing of the table but its travel
  const usesMill = !on.gear?.helixDeg.equals(0);
  const mill = usesMill ? (own.mills.find(({ id }) => id === part.dividing.millId) ?? null) : null;
  const drives = own.steppers.filter(({ headId }) => headId === head?.id);
  const found: Issue[] = [];
  const say = ({
    thing,
    path,
    changed,
    left,
  }: {
    readonly thing: Kept | null;
    readonly path: string;
    readonly changed: ChangeCode;
    readonly left: ChangeCode | null;
  }) => {
    if (thing) found.push(...sayChange(thing, path, { changed, left }));
  };
  const ofHead = kept(head, shop.heads, asBuilt);
  say({ thing: ofHead, path: 'equipment.heads', changed: 'head-changed', left: 'head-left-shop' });
  // what goes with a head that has left is not told one by one
  if (ofHead?.live) {
    found.push(...gearsChanged(own, shop, head?.differential?.gearSetId ?? null));
    for (const drive of drives)
      say({
        thing: kept(drive, shop.steppers),
        path: 'equipment.steppers',
        changed: 'stepper-changed',
        left: null,
      });
  }
  say({
    thing: kept(mill, shop.mills, asTable),
    path: 'equipment.mills',
    changed: 'mill-changed',
    left: 'mill-left-shop',
  });
  const leadSetId = isGear(part) ? part.lead.gearSetId : null;
  if (leadSetId !== head?.differential?.gearSetId) found.push(...gearsChanged(own, shop, leadSetId));
  const cutterId = isFormCut(part) ? part.cutter.cutterId : null;
  const cutter = own.cutters.find(({ id }) => id === cutterId) ?? null;
  say({
    thing: kept(cutter, shop.cutters),
    path: 'equipment.cutters',
    changed: 'cutter-changed',
    left: 'cutter-left-shop',
  });
  return found;
}

/**
 * A part as planned, with what was learnt at its stations, and how the shop differs from what it was planned
 * with.
 */
interface Done {
  readonly part: PartPlan;
  readonly changes: readonly Issue[];
  /** Of a gear, as it was read. */
  readonly gear: GearReadings | null;
}

function planPart(job: Job, shop: Equipment, part: Part): Done {
  const on = groundFor(job, shop, part);
  const planned = composePart(part, on);
  const lessons = lessonsFor(part, shop);
  const withLessons = (station: AnyStationPlan) =>
    ({ ...station, lessons: lessons.filter((lesson) => lesson.station === station.id) }) as AnyStationPlan;
  return {
    part: lessons.length === 0 ? planned : { ...planned, stations: planned.stations.map(withLessons) },
    changes: changesSince({ job, shop, part, on }),
    gear: on.gear,
  };
}

interface Planned {
  readonly on: readonly unknown[];
  readonly done: Done;
}

/** A card stands in the shop; whether it may be stored is asked without one. */
const MOST_GROUNDS = 2;

/**
 * What each part was last planned as, and all that it stood on then, the latest first. Documents are never
 * changed, only replaced.
 */
const last = new WeakMap<Part, readonly Planned[]>();

/** Plans a part anew only where it, or something that it stands on, is another thing than the last time. */
function planChanged(job: Job, shop: Equipment, part: Part): Done {
  const on = [job.units, job.equipment, shop, mateOf(job, part.id), partnerOf(job, part.id)];
  const before = last.get(part) ?? [];
  const known = before.find((planned) => planned.on.every((thing, i) => thing === on[i]));
  if (known) return known.done;
  const done = planPart(job, shop, part);
  last.set(part, [{ on, done }, ...before].slice(0, MOST_GROUNDS));
  return done;
}

/**
 * From the document and the shop's equipment to the plan: a pure function that screens, server and exports
 * only render. It checks and proves what is chosen and ranks what is cheap to find. A part that is the same
 * object as before, on the same ground, is the same plan.
 * @param job a checked document @param shop what is on hand today
 */
export function plan(job: Job, shop: Equipment): Plan {
  const done = job.parts.map((part) => planChanged(job, shop, part));
  const parts = done.map(({ part }) => part);
  const readingsOf = (partId: string) => done.find(({ part }) => part.id === partId)?.gear ?? null;
  const findings = judgePairs(job, readingsOf);
  for (const found of done.flatMap(({ changes }) => changes))
    if (!findings.some(({ given, code }) => given === found.given && code === found.code))
      findings.push(found);
  findings.push(...judgeDrives(job, parts));
  return { jobId: job.id, name: job.name, units: job.units, parts, findings };
}

/**
 * What stands in the way of storing this document: wrong figures at their fields. Missing ones may be stored.
 */
export function refusals(planned: Plan): Issue[] {
  return planned.parts.flatMap((part) =>
    part.stations.flatMap((station) => station.issues.filter((issue) => issue.severity === 'wrong')),
  );
}
