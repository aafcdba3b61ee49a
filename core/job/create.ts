import { emptyArrival, type ArrivalBy } from '../arrival/index.ts';
import { noCutterChosen } from '../cutter/index.ts';
import { plainTeeth } from '../gear/index.ts';
import { nothingMeasured } from '../inspect/index.ts';
import { noLeadChosen } from '../lead/index.ts';
import { noPlateToMake, type DividingInput } from '../dividing/index.ts';
import { nothingSetUp } from '../setup/index.ts';
import { NO_EQUIPMENT, type Equipment, type Head, type Plate, type Ring } from '../shop/index.ts';
import { knownLength, measure, type UnitSystem } from '../units/index.ts';
import { emptyDrive } from '../drive/index.ts';
import { noGashChosen, plainRim } from '../wheel/index.ts';
import { noLatheChosen, plainWorm } from '../worm/index.ts';
import {
  JOB_FORMAT,
  JOB_VERSION,
  type DividePart,
  type IndexedPart,
  type Job,
  type Part,
  type SpurPart,
  type WheelPart,
  type WormPart,
} from './schema.ts';

interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly units: UnitSystem;
  /** The shop it is planned in; its first head is taken to start with. */
  readonly shop: Equipment;
}

/** A head with all it needs, to be copied into a job. */
function copyOf(head: Head, shop: Equipment): Equipment {
  return {
    ...NO_EQUIPMENT,
    heads: [head],
    gearSets: shop.gearSets.filter(({ id }) => id === head.differential?.gearSetId),
    steppers: shop.steppers.filter(({ headId }) => headId === head.id),
  };
}

const noDividing = (units: UnitSystem, head: Head | null): DividingInput => ({
  headId: head?.id ?? null,
  millId: null,
  choice: null,
  stride: measure('1', 'count'),
  made: noPlateToMake(units),
});

const noCut = (units: UnitSystem): SpurPart['cut'] => ({
  scratch: false,
  passes: 'one',
  finishStock: measure(units === 'mm' ? '0.5' : '.020', units),
  startSpace: measure('1', 'count'),
});

/** A spur part with nothing known of it yet but how it arrives. */
function emptySpurPart(id: string, units: UnitSystem, head: Head | null, by: ArrivalBy): SpurPart {
  return {
    arrival: emptyArrival(by, units),
    id,
    kind: 'spur',
    name: '',
    gear: {
      pitch: measure('', units === 'mm' ? 'module' : 'dp'),
      teeth: measure('', 'count'),
      pressureAngle: measure('20', 'deg'),
      depth: {
        rule: units === 'mm' ? 'iso53-a' : 'form-2.157',
        stamped: measure('', units),
        addendum: measure('', units),
        wholeDepth: measure('', units),
        readFrom: '',
      },
      ...plainTeeth(units),
    },
    blank: { faceWidth: measure('', units), bore: measure('', units), measured: measure('', units) },
    cutter: noCutterChosen(),
    dividing: noDividing(units, head),
    lead: noLeadChosen(units),
    setup: nothingSetUp(units),
    cut: noCut(units),
    inspect: nothingMeasured(units),
    settled: {},
  };
}

/** Something to be divided that is no gear, with nothing said of it yet. */
function emptyDividePart(id: string, units: UnitSystem, head: Head | null): DividePart {
  return {
    id,
    kind: 'divide',
    name: '',
    spacing: {
      by: 'count',
      what: 'holes',
      count: measure('', 'count'),
      angle: measure('', 'deg'),
      pitch: measure('', units === 'mm' ? 'module' : 'dp'),
      length: measure('', units),
      diameter: measure('', units),
      acrossFlats: measure('', units),
      depth: measure('', units),
    },
    dividing: noDividing(units, head),
    setup: nothingSetUp(units),
    cut: noCut(units),
    settled: {},
  };
}

function emptyWormPart(id: string, units: UnitSystem): WormPart {
  return {
    id,
    kind: 'worm',
    name: '',
    drive: emptyDrive(units),
    lathe: noLatheChosen(units),
    worm: plainWorm(units),
    settled: {},
  };
}

function emptyWheelPart(id: string, units: UnitSystem, head: Head | null): WheelPart {
  return {
    id,
    kind: 'wheel',
    name: '',
    drive: emptyDrive(units),
    rim: plainRim(units),
    // of several starts the book’s count is the one that is printed
    cutter: { ...noCutterChosen(), countBy: 'book' },
    dividing: noDividing(units, head),
    gash: noGashChosen(units),
    setup: nothingSetUp(units),
    cut: noCut(units),
    settled: {},
  };
}

function newJob({ id, name, units, shop }: NewJob, part: (head: Head | null) => Part): Job {
  const head = shop.heads[0] ?? null;
  const job: Job = {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    id,
    name,
    units,
    parts: [part(head)],
    relations: [],
    equipment: head ? copyOf(head, shop) : NO_EQUIPMENT,
  };
  const [mill] = shop.mills;
  return mill ? withMill(job, 'p1', mill.id, shop) : job;
}

/** A new gear, in the units it will show large. @param by how it arrives at the bench */
export const newSpurJob = (given: NewJob, by: ArrivalBy = 'drawing'): Job =>
  newJob(given, (head) => emptySpurPart('p1', given.units, head, by));

/** A new job that only divides. */
export const newDivideJob = (given: NewJob): Job =>
  newJob(given, (head) => emptyDividePart('p1', given.units, head));

/** A new worm drive: a card for the worm and one for its wheel, that share what is common to both. */
export function newDriveJob(given: NewJob): Job {
  const job = newJob(given, (head) => ({ ...emptyWheelPart('p1', given.units, head), name: 'Wheel' }));
  const [wheel] = job.parts;
  const worm: WormPart = { ...emptyWormPart('p2', given.units), name: 'Worm' };
  const both: Job = {
    ...job,
    parts: [worm, wheel!],
    relations: [{ id: 'drive-p2', kind: 'worm-drive', parts: ['p2', 'p1'] }],
  };
  const [lathe] = given.shop.lathes;
  return lathe ? withLathe(both, 'p2', lathe.id, given.shop) : both;
}

/** An id that no part of a job has yet. */
export function freshPartId({ parts }: Job): string {
  const numbers = parts.map(({ id }) => Number(/^p(\d+)$/.exec(id)?.[1] ?? 0));
  return `p${Math.max(...numbers) + 1}`;
}

/** What was measured on one piece says nothing of the next. */
function unmeasured(part: Part, units: UnitSystem): Part {
  const length = measure('', units);
  switch (part.kind) {
    case 'spur': {
      const { pin, tolerance } = part.inspect;
      const { inspect: _measured, ...settled } = part.settled;
      return {
        ...part,
        blank: { ...part.blank, measured: length },
        setup: {
          ...part.setup,
          round: nothingSetUp(units).round,
          alongTop: length,
          alongSide: length,
          alongLength: length,
        },
        inspect: { ...nothingMeasured(units), pin, tolerance },
        settled,
      };
    }
    case 'wheel':
      return { ...part, rim: { ...part.rim, measured: length, corners: length } };
    case 'divide':
    case 'worm':
      return part;
  }
}

/**
 * A run of a part has begun. A gear that is sunk stands deeper from now on, and its readings went with the run they were taken on;
 * a fresh piece was never sunk.
 * @param sunk mm, by how much more; null for a run that cuts what the card says
 */
export function withRunBegun(job: Job, partId: string, sunk: { readonly by: number } | null): Job {
  return withSpurPart(job, partId, (part) => {
    const none = nothingMeasured(job.units);
    const { pin, tolerance } = part.inspect;
    if (!sunk)
      return part.inspect.sunk.typed === ''
        ? part
        : { ...part, inspect: { ...part.inspect, sunk: none.sunk } };
    const deeper = (knownLength(part.inspect.sunk) ?? 0) + sunk.by;
    return {
      ...part,
      inspect: { ...none, pin, tolerance, sunk: measure(String(Number(deeper.toFixed(6))), 'mm') },
    };
  });
}

/** The same job under another id and name, as if nothing of it had been cut: no readings, no blank as it was turned. */
export function duplicateJob(job: Job, id: string, name: string): Job {
  return { ...job, id, name, parts: job.parts.map((part) => unmeasured(part, job.units)) };
}

/** Replaces one part by what a change makes of it. */
export function withPart(job: Job, partId: string, change: (part: Part) => Part): Job {
  return { ...job, parts: job.parts.map((part) => (part.id === partId ? change(part) : part)) };
}

/** Replaces one part that is known to be a spur gear; others are left as they are. */
export const withSpurPart = (job: Job, partId: string, change: (part: SpurPart) => SpurPart): Job =>
  withPart(job, partId, (part) => (part.kind === 'spur' ? change(part) : part));

/** Changes only what the dividing station was given. */
export const withDividing = (
  job: Job,
  partId: string,
  change: (dividing: DividingInput) => DividingInput,
): Job =>
  withPart(job, partId, (part) =>
    part.kind === 'worm' ? part : { ...part, dividing: change(part.dividing) },
  );

/** The parts that are cut on the mill. */
export const indexedParts = ({ parts }: Job): readonly IndexedPart[] =>
  parts.filter((part) => part.kind !== 'worm');

/**
 * Puts a head of the shop in force for a part, keeping a copy of it, its gears and its drives in the job.
 * A way chosen on another head is put aside; one chosen on an earlier state of the same head stays, to be checked again.
 */
export function withHead(job: Job, partId: string, head: Head, shop: Equipment): Job {
  const changed = withDividing(job, partId, (dividing) => ({
    ...dividing,
    headId: head.id,
    choice: dividing.headId === head.id ? dividing.choice : null,
  }));
  const used = new Set(indexedParts(changed).map((part) => part.dividing.headId));
  const heads = job.equipment.heads.filter((other) => other.id !== head.id && used.has(other.id));
  const leadSets = changed.parts.map((part) => (part.kind === 'spur' ? part.lead.gearSetId : null));
  const latheSets = job.equipment.lathes.map(({ gearSetId }) => gearSetId);
  const setsUsed = new Set([
    ...leadSets,
    ...latheSets,
    ...heads.map(({ differential }) => differential?.gearSetId),
  ]);
  const copy = copyOf(head, shop);
  const gearSets = job.equipment.gearSets.filter(
    ({ id }) => setsUsed.has(id) && !copy.gearSets.some((set) => set.id === id),
  );
  const steppers = job.equipment.steppers.filter(({ headId }) => heads.some(({ id }) => id === headId));
  return {
    ...changed,
    equipment: {
      ...job.equipment,
      heads: [...heads, ...copy.heads],
      gearSets: [...gearSets, ...copy.gearSets],
      steppers: [...steppers, ...copy.steppers],
    },
  };
}

/** Puts a mill of the shop in force for a part, with a copy of it in the job. */
export function withMill(job: Job, partId: string, millId: string, shop: Equipment): Job {
  const mill = shop.mills.find(({ id }) => id === millId);
  if (!mill) return job;
  const changed = withDividing(job, partId, (dividing) => ({ ...dividing, millId }));
  const used = new Set(indexedParts(changed).map((part) => part.dividing.millId));
  const others = job.equipment.mills.filter(({ id }) => id !== millId && used.has(id));
  return { ...changed, equipment: { ...job.equipment, mills: [...others, mill] } };
}

/** Puts a lathe of the shop in force for a worm, with a copy of it and its gears in the job. Gears chosen on another are put aside. */
export function withLathe(job: Job, partId: string, latheId: string, shop: Equipment): Job {
  const lathe = shop.lathes.find(({ id }) => id === latheId);
  if (!lathe) return job;
  const changed = withPart(job, partId, (part) =>
    part.kind === 'worm'
      ? {
          ...part,
          lathe: {
            ...part.lathe,
            latheId,
            choice: part.lathe.latheId === latheId ? part.lathe.choice : null,
          },
        }
      : part,
  );
  const used = new Set(changed.parts.map((part) => (part.kind === 'worm' ? part.lathe.latheId : null)));
  const lathes = [...job.equipment.lathes.filter(({ id }) => id !== latheId && used.has(id)), lathe];
  const set = shop.gearSets.find(({ id }) => id === lathe.gearSetId);
  const gearSets = set
    ? [...job.equipment.gearSets.filter(({ id }) => id !== set.id), set]
    : job.equipment.gearSets;
  return { ...changed, equipment: { ...job.equipment, lathes, gearSets } };
}

/** Puts a set of change gears in force for the lead of a part, with a copy of it in the job; null: those of the head. */
export function withLeadGears(job: Job, partId: string, gearSetId: string | null, shop: Equipment): Job {
  const set = shop.gearSets.find(({ id }) => id === gearSetId);
  const changed = withSpurPart(job, partId, (part) => ({
    ...part,
    lead: { ...part.lead, gearSetId, choice: null },
  }));
  if (!set) return changed;
  const gearSets = [...job.equipment.gearSets.filter(({ id }) => id !== set.id), set];
  return { ...changed, equipment: { ...job.equipment, gearSets } };
}

/** A plate or ring that has been made, put on a head. One of that id that is there already is replaced. */
export function headWithMade(head: Head, made: Plate | Ring): Head {
  const others = <T extends { readonly id: string }>(things: readonly T[]) =>
    things.filter(({ id }) => id !== made.id);
  return 'sides' in made
    ? { ...head, plates: [...others(head.plates), made] }
    : { ...head, rings: [...others(head.rings), made] };
}

/** What a ring or plate of so many holes is called on a head. @param onWork a ring that goes between spindle and work */
export function madeFor(use: 'ring' | 'plate', holes: number, onWork = false): Plate | Ring {
  const id = `made-${use}-${holes}`;
  return use === 'ring'
    ? { id, name: `made, ${holes} holes`, holes, made: true, ...(onWork ? { onWork } : {}) }
    : { id, name: `M${holes}`, sides: [{ circles: [holes] }], made: true };
}

/**
 * Jobs chain: a ring that a part needs becomes a part of its own in the same job, to be drilled first on the same head.
 * @returns the job with the ring's part, and that part's id; the job as it is when a ring of so many is there already
 */
export function withRingPart(
  job: Job,
  partId: string,
  holes: number,
): { readonly job: Job; readonly ringId: string } {
  const known = job.relations
    .filter(({ kind, parts }) => kind === 'ring-for' && parts[1] === partId)
    .map(({ parts }) => job.parts.find(({ id }) => id === parts[0]))
    .find((part) => part?.kind === 'divide' && part.spacing.count.typed === String(holes));
  if (known) return { job, ringId: known.id };
  const forPart = indexedParts(job).find(({ id }) => id === partId)!;
  const ringId = freshPartId(job);
  const head = job.equipment.heads.find(({ id }) => id === forPart.dividing.headId) ?? null;
  const empty = emptyDividePart(ringId, job.units, head);
  const { made } = forPart.dividing;
  const ring: DividePart = {
    ...empty,
    name: made.use === 'ring' ? `Ring of ${holes}` : `Plate of ${holes}`,
    spacing: {
      ...empty.spacing,
      what: 'holes',
      count: measure(String(holes), 'count'),
      diameter: made.pitchCircle,
    },
  };
  const relation = { id: `ring-${ringId}`, kind: 'ring-for' as const, parts: [ringId, partId] };
  return { job: { ...job, parts: [...job.parts, ring], relations: [...job.relations, relation] }, ringId };
}
