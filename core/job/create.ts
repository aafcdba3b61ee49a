import { emptyArrival, type ArrivalBy } from '../arrival/index.ts';
import { noCutterChosen } from '../cutter/index.ts';
import { plainTeeth } from '../gear/index.ts';
import { nothingMeasured } from '../inspect/index.ts';
import { noLeadChosen } from '../lead/index.ts';
import { noPlateToMake, type DividingInput } from '../dividing/index.ts';
import { nothingSetUp } from '../setup/index.ts';
import { NO_EQUIPMENT, type Equipment, type Head } from '../shop/index.ts';
import { measure, type UnitSystem } from '../units/index.ts';
import { emptyDrive } from '../drive/index.ts';
import { noGashChosen, plainRim } from '../wheel/index.ts';
import { noLatheChosen, plainWorm } from '../worm/index.ts';
import { copyOf, withLathe, withMill } from './equip.ts';
import {
  JOB_FORMAT,
  JOB_VERSION,
  type DividePart,
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
export function emptyDividePart(id: string, units: UnitSystem, head: Head | null): DividePart {
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
