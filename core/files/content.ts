import { boxOf, point, together, word, type Drawing } from '../drafting/index.ts';
import { aimFrom, holeRows, indexingTable } from '../dividing/index.ts';
import { fail, ok, type Result } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { stationOf, type PartPlan, type Plan } from '../plan/index.ts';
import { cuttingProgram, drillingProgram, turningProgram, type ProgramSet } from '../programs/index.ts';
import {
  gearPrint,
  madePlatePrint,
  meshPrint,
  rackPrint,
  rimPrint,
  toothPrint,
  wormSection,
} from '../prints/index.ts';
import { runWouldBe } from '../run/index.ts';
import { latheWorkOf, routeSheet, type Sheet } from '../sheet/index.ts';
import type { Equipment } from '../shop/index.ts';
import { approx, decimalText, exact, radiansOf, type UnitSystem } from '../units/index.ts';
import { wheelDrawing } from '../drive/index.ts';
import type { FileSet } from './set.ts';

/** What a file is of, before it is written in its format. */
export type FileContent =
  | { readonly as: 'sheet'; readonly sheet: Sheet }
  | {
      readonly as: 'drawing';
      readonly title: string;
      /** Life size, mm, unless it is dimensioned: then on paper. */
      readonly drawing: Drawing;
    }
  | { readonly as: 'table'; readonly rows: readonly (readonly string[])[] }
  | { readonly as: 'program'; readonly text: string };

export interface FileAsked {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  /** Left out: the first that it can be made of. */
  readonly partId?: string | undefined;
  readonly revision: number;
  readonly stored: string;
  readonly address: string | null;
  readonly set: FileSet;
}

interface OfPart extends FileAsked {
  readonly part: PartPlan;
}
/** Null where this part has none; a sentence of what it waits for is the maker’s own. */
type Maker = (asked: OfPart) => FileContent | null;

const drawn = (title: string, drawing: Drawing): FileContent => ({ as: 'drawing', title, drawing });

/** A drawing with dimensions, life size: what it is and the unit of its figures stand below it. */
function sized(title: string, drawing: Drawing, units: UnitSystem): FileContent {
  const { left, bottom } = boxOf(drawing);
  const said = word(`${title}; scale 1 : 1, figures in ${units}`, point(left, bottom - 6), {
    anchor: 'start',
  });
  return drawn(title, together(drawing, said));
}

/** The gear in the plane of rotation, of whatever kind the part is. */
function gearOf(part: PartPlan) {
  const blank = stationOf(part, 'blank')?.detail.drawing;
  if (blank) return { gear: blank, bore: blank.bore };
  const rim = stationOf(part, 'wheelBlank')?.detail;
  return rim?.drive ? { gear: wheelDrawing(rim.drive), bore: rim.facts?.bore ?? null } : null;
}

function meshOf({ part }: OfPart): FileContent | null {
  const own = gearOf(part);
  const mesh = stationOf(part, 'gear')?.detail.mesh;
  if (!own || !mesh) return null;
  const { module, pressureAngle, gears } = mesh.pair;
  const [, mate] = gears;
  const pitchDiameter = mate.teeth * module;
  const tipDiameter = pitchDiameter + 2 * mate.addendum;
  const gear = {
    teeth: mate.teeth,
    pitchDiameter,
    tipDiameter,
    rootDiameter: tipDiameter - 2 * mate.wholeDepth,
    baseDiameter: pitchDiameter * Math.cos(pressureAngle),
    pressureAngle,
    toothThickness: (Math.PI * module) / 2 - mate.thinning,
  };
  return drawn('Pair in mesh', meshPrint(own, { gear, bore: null }, mesh.report.centre));
}

function rackOf({ part, set }: OfPart): FileContent | null {
  const spacing = stationOf(part, 'spacing')?.detail.drawing;
  if (!spacing || spacing.along !== 'line') return null;
  const module = spacing.step / Math.PI;
  const depth = stationOf(part, 'cut')?.detail.rounds.at(-1)?.depthMm ?? null;
  const pressureAngle = radiansOf(set.angle);
  const wholeDepth = depth ?? 2.25 * module;
  const title = `Rack of module ${decimalText(module, 4)}, ${decimalText(set.angle, 3)}°, ${decimalText(wholeDepth, 3)} mm deep`;
  const form = { module, pressureAngle, addendum: module, wholeDepth, spaces: spacing.spaces };
  const said = word(title, point(0, form.addendum + 3), {
    anchor: 'start',
    height: Math.max(2.5, module / 2),
  });
  return drawn(title, together(rackPrint(form), said));
}

const programSet = ({ set, job }: OfPart): ProgramSet => ({
  units: set.units ?? job.units,
  safe: set.safe,
  lineEnd: set.ends,
  numbered: set.numbered === 'yes',
});

function turning(asked: OfPart): FileContent | null {
  const { part, set } = asked;
  const run = runWouldBe(asked, asked.part);
  const detail = stationOf(part, 'dividing')?.detail;
  if (!run || !detail?.aim || !detail.inForce || run.helix) return null;
  const advance = approx(exact(detail.inForce.choice.advance).mul(360));
  return { as: 'program', text: turningProgram({ run, advance }, { ...programSet(asked), axis: set.axis }) };
}

/** Turned and cut by the machine, at the speed and feed of its set-up: none is guessed. */
function cutting(asked: OfPart): FileContent | null {
  const { part, set } = asked;
  const run = runWouldBe(asked, part);
  const detail = stationOf(part, 'dividing')?.detail;
  const depth = run?.rounds.at(-1)?.depthMm ?? null;
  if (!run || !detail?.aim || !detail.inForce || run.laid || run.safe?.way !== 'along' || depth === null)
    return null;
  const { feed = null, rpm = null } = run.running ?? {};
  if (feed === null || rpm === null) return null;
  const advance = approx(exact(detail.inForce.choice.advance).mul(360));
  const { axis, sense, begin, end } = set;
  return {
    as: 'program',
    text: cuttingProgram(
      { run, advance, through: run.safe.through, depth },
      { ...programSet(asked), axis, sense, begin, end, feed, rpm },
    ),
  };
}

function drilling(asked: OfPart): FileContent | null {
  const made = stationOf(asked.part, 'dividing')?.detail.made;
  if (!made) return null;
  const { deep, feed, rpm, by } = asked.set;
  return { as: 'program', text: drillingProgram(made, { ...programSet(asked), deep, feed, rpm, by }) };
}

function spacesTable(asked: OfPart): FileContent | null {
  const detail = stationOf(asked.part, 'dividing')?.detail;
  const run = runWouldBe(asked, asked.part);
  if (!run || !detail?.aim || !detail.inForce) return null;
  const ratio = exact(detail.head?.ratio ?? '1');
  const rows = indexingTable({
    ratio,
    choice: detail.inForce.choice,
    aim: aimFrom(detail.aim),
    start: run.startSpace,
  });
  return {
    as: 'table',
    rows: [
      ['order', 'place', 'hole', 'crank turns', 'degrees', 'off by arc seconds'],
      ...rows.map(({ index, space, landing, crankTurns, place, off }) => [
        String(index),
        String(space),
        'hole' in landing ? String(landing.hole) : '',
        // a fraction would be taken for a day
        crankTurns === null ? '' : decimalText(exact(crankTurns), 9),
        decimalText(exact(place), 8),
        decimalText(off * 1_296_000, 4),
      ]),
    ],
  };
}

function holesTable({ part }: OfPart): FileContent | null {
  const made = stationOf(part, 'dividing')?.detail.made;
  if (!made) return null;
  return {
    as: 'table',
    rows: [['order', 'hole', 'x mm', 'y mm'], ...holeRows(made)],
  };
}

/** The files there are: what each is of, in which formats, and what it waits for where it cannot be made. */
const FILES = {
  sheet: {
    formats: ['pdf'],
    waits: 'there is no part in it',
    make: (asked) => ({ as: 'sheet', sheet: routeSheet({ ...asked, set: sheetSet(asked.set) }) }),
  },
  lathe: {
    formats: ['pdf', 'svg', 'dxf'],
    waits: 'its blank has no outside, face or bore yet',
    make: ({ part, job }) => {
      const work = latheWorkOf(part);
      return work && sized(`${work.what}: ${job.name}`, work.draw(1, job.units), job.units);
    },
  },
  gear: {
    formats: ['svg', 'dxf'],
    waits: 'the sizes of its teeth are not known',
    make: ({ part }) => {
      const own = gearOf(part);
      return own && drawn('Gear, life size', gearPrint(own.gear, own.bore));
    },
  },
  tooth: {
    formats: ['svg', 'dxf'],
    waits: 'the sizes of its teeth are not known',
    make: ({ part }) => {
      const own = gearOf(part);
      return own && drawn('One tooth, life size', toothPrint(own.gear));
    },
  },
  mesh: { formats: ['svg', 'dxf'], waits: 'its mate is not known', make: meshOf },
  rack: { formats: ['svg', 'dxf'], waits: 'it is no rack, or its pitch is not known', make: rackOf },
  worm: {
    formats: ['svg', 'dxf'],
    waits: 'it is no worm, or the drive is not known',
    make: ({ part }) => {
      const worm = stationOf(part, 'worm')?.detail;
      return worm?.drive
        ? drawn('Worm through its axis, life size', wormSection(worm.drive, worm.length))
        : null;
    },
  },
  wheel: {
    formats: ['svg', 'dxf'],
    waits: 'it is no worm wheel, or its rim is not known',
    make: ({ part, job }) => {
      const rim = stationOf(part, 'wheelBlank')?.detail;
      if (!rim?.facts || !rim.drive) return null;
      const print = rimPrint({ rim: rim.facts, centre: rim.drive.centre }, { scale: 1, units: job.units });
      return sized(`Rim of the wheel: ${job.name}`, print, job.units);
    },
  },
  plate: {
    formats: ['pdf', 'svg', 'dxf'],
    waits: 'no plate or ring can be drawn for it',
    make: ({ part }) => {
      const made = stationOf(part, 'dividing')?.detail.made;
      return made
        ? drawn(
            `${made.use === 'ring' ? 'Ring' : 'Plate'} of ${made.holes} holes, life size`,
            madePlatePrint(made, true),
          )
        : null;
    },
  },
  holes: { formats: ['csv', 'nc'], waits: 'no plate or ring can be drawn for it', make: null },
  spaces: { formats: ['csv'], waits: 'it is not ready to be cut round', make: spacesTable },
  turning: {
    formats: ['nc'],
    waits: 'it is not ready to be cut, does not go round, or turns while it is cut',
    make: turning,
  },
  cutting: {
    formats: ['nc'],
    waits:
      'it is not cut round along its face, or Set-up does not say yet how far, how fast and at what feed',
    make: cutting,
  },
} as const satisfies Record<string, { formats: readonly FileFormat[]; waits: string; make: Maker | null }>;

export type FileFormat = 'pdf' | 'svg' | 'dxf' | 'csv' | 'nc';
type FileOf = {
  [Kind in keyof typeof FILES]: `${Kind}.${(typeof FILES)[Kind]['formats'][number]}`;
}[keyof typeof FILES];
export type FileName = FileOf;
type FileKind = keyof typeof FILES;

const sheetSet = ({ working, spaces }: FileSet) => ({ working: working === 'yes', spaces: spaces === 'yes' });

/** Every file that can be asked for: `sheet.pdf`, `gear.dxf` … */
export const FILE_NAMES = Object.entries(FILES).flatMap(([kind, { formats }]) =>
  formats.map((format) => `${kind}.${format}`),
) as [FileName, ...FileName[]];

export const formatOf = (name: FileName): FileFormat => name.split('.')[1] as FileFormat;

/** What a browser is told each is. */
export const FILE_TYPES: Readonly<Record<FileFormat, string>> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv; charset=utf-8',
  nc: 'text/plain; charset=utf-8',
};

/** Holes are a table or a program, by the format. */
const makerOf = (kind: FileKind, format: FileFormat): Maker =>
  FILES[kind].make ?? (format === 'nc' ? drilling : holesTable);

/**
 * What a file is made of.
 * Issues: file-waits, where no part of the job has it; not-found is the caller’s
 */
export function contentOf(name: FileName, asked: FileAsked): Result<FileContent> {
  const [kind, format] = name.split('.') as [FileKind, FileFormat];
  const make = makerOf(kind, format);
  const parts = asked.planned.parts.filter(({ id }) => asked.partId === undefined || id === asked.partId);
  for (const part of parts) {
    const made = make({ ...asked, part });
    if (made) return ok(made);
  }
  const detail = { what: FILES[kind].waits };
  return fail({ code: 'file-waits', path: '', severity: 'wrong', given: name, detail });
}

/** The files that a part has now, for who wants to choose among them. */
export const filesOf = (asked: FileAsked & { readonly partId: string }): readonly FileName[] =>
  FILE_NAMES.filter((name) => contentOf(name, asked).ok);
