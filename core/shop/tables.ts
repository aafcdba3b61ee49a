import { fail, ok, type Issue, type Result } from '../findings/index.ts';
import { toothRangeText } from './reading.ts';
import type { Equipment } from './schema.ts';
import { lengthText, wrong, yes, type Cells } from './rowReaders.ts';
import { takeLathe, takeMandrel, takeMaterial, takeMill } from './takeMachine.ts';
import {
  pitchCellText,
  takeCutter,
  takeGear,
  takeHead,
  takePlate,
  takeRing,
  takeStepper,
} from './takeRow.ts';

/** The tables of the shop, each of which goes out and comes in as rows of cells. */
export const TABLE_IDS = [
  'heads',
  'plates',
  'rings',
  'gears',
  'steppers',
  'mills',
  'cutters',
  'lathes',
  'materials',
  'mandrels',
] as const;
export type TableId = (typeof TABLE_IDS)[number];

export const TABLE_NAMES: Readonly<Record<TableId, string>> = {
  heads: 'dividing heads',
  plates: 'index plates',
  rings: 'direct rings',
  gears: 'change gears',
  steppers: 'stepper drives',
  mills: 'mills',
  cutters: 'form cutters',
  lathes: 'lathes',
  materials: 'materials',
  mandrels: 'mandrels',
};

/** A row taken into the shop, or why it cannot be. */
type Take = (equipment: Equipment, cells: Cells) => Result<Equipment>;

interface Table {
  /** Column names in the order they are written; those needed to bring a row in come first. */
  readonly columns: readonly string[];
  readonly needed: number;
  readonly rows: (equipment: Equipment) => readonly (readonly string[])[];
  readonly take: Take;
}

const TABLES: Readonly<Record<TableId, Table>> = {
  heads: {
    columns: [
      'head',
      'ratio',
      'kind',
      'plate lock',
      'gear set',
      'stud',
      'idlers',
      'wheel marks',
      'vernier',
      'wheel reads',
      'centre height',
    ],
    needed: 2,
    take: takeHead,
    rows: ({ heads, gearSets }) =>
      heads.map(({ name, ratio, kind, plateLock, differential, handwheel, centreHeight }) => [
        name,
        ratio,
        kind === 'rotary' ? 'rotary table' : 'head',
        yes(plateLock),
        gearSets.find(({ id }) => id === differential?.gearSetId)?.name ?? '',
        differential ? yes(differential.stud) : '',
        differential ? String(differential.idlers) : '',
        handwheel ? String(handwheel.marks) : '',
        handwheel ? String(handwheel.vernier) : '',
        handwheel?.reads ?? '',
        lengthText(centreHeight),
      ]),
  },
  plates: {
    columns: ['head', 'plate', 'circles', 'side', 'made'],
    needed: 3,
    take: takePlate,
    rows: ({ heads }) =>
      heads.flatMap((head) =>
        head.plates.flatMap(({ name, sides, made }) =>
          sides.map(({ circles }, i) => [head.name, name, circles.join(' '), String(i + 1), yes(made)]),
        ),
      ),
  },
  rings: {
    columns: ['head', 'holes', 'ring', 'made', 'on the work'],
    needed: 2,
    take: takeRing,
    rows: ({ heads }) =>
      heads.flatMap((head) =>
        head.rings.map(({ name, holes, made, onWork }) => [
          head.name,
          String(holes),
          name,
          yes(made),
          yes(onWork === true),
        ]),
      ),
  },
  gears: {
    columns: ['set', 'teeth', 'owned', 'bore', 'pitch'],
    needed: 2,
    take: takeGear,
    rows: ({ gearSets }) =>
      gearSets.flatMap(({ name, bore, pitch, gears }) =>
        gears.map(({ teeth, count }) => [name, String(teeth), String(count), bore, pitch]),
      ),
  },
  steppers: {
    columns: ['drive', 'head', 'steps', 'microsteps', 'belt', 'turns'],
    needed: 3,
    take: takeStepper,
    rows: ({ steppers, heads }) =>
      steppers.map(({ name, headId, stepsPerTurn, microsteps, belt, on }) => [
        name,
        heads.find(({ id }) => id === headId)?.name ?? '',
        String(stepsPerTurn),
        String(microsteps),
        belt,
        on,
      ]),
  },
  mills: {
    columns: [
      'mill',
      'screw lead',
      'dial marks',
      'travel',
      'swing',
      'scale minutes',
      'table length',
      'table width',
      'to column',
      'head tilts',
      'spindle',
      'cross lead',
      'cross marks',
      'cross travel',
      'knee lead',
      'knee marks',
      'knee travel',
      'room',
      'collar',
      'speeds',
      'feeds',
      'feeds in',
      'readout',
    ],
    needed: 3,
    take: takeMill,
    rows: ({ mills }) =>
      mills.map((mill) => [
        mill.name,
        lengthText(mill.lead),
        String(mill.marks),
        lengthText(mill.travel),
        mill.swing.typed,
        String(mill.scaleMinutes),
        lengthText(mill.tableLength),
        lengthText(mill.tableWidth),
        lengthText(mill.toColumn),
        yes(mill.headTilts),
        mill.axis,
        lengthText(mill.cross.lead),
        String(mill.cross.marks),
        lengthText(mill.cross.travel),
        lengthText(mill.knee.lead),
        String(mill.knee.marks),
        lengthText(mill.knee.travel),
        lengthText(mill.room),
        lengthText(mill.collar),
        mill.speeds,
        mill.feeds.settings,
        mill.feeds.settings === '' ? '' : mill.feeds.by,
        yes(mill.readout),
      ]),
  },
  cutters: {
    columns: [
      'cutter',
      'pitch',
      'number',
      'school',
      'range',
      'angle',
      'diameter',
      'bore',
      'width',
      'stamped depth',
      'teeth',
      'material',
    ],
    needed: 2,
    take: takeCutter,
    rows: ({ cutters }) =>
      cutters.map((cutter) => [
        cutter.name,
        pitchCellText(cutter.pitch),
        cutter.number ?? '',
        cutter.school === 'unknown' ? '' : cutter.school,
        toothRangeText(cutter.range),
        cutter.angle.typed,
        lengthText(cutter.diameter),
        lengthText(cutter.bore),
        lengthText(cutter.width),
        lengthText(cutter.stamped),
        cutter.teeth === null ? '' : String(cutter.teeth),
        cutter.material,
      ]),
  },
  lathes: {
    columns: ['lathe', 'leadscrew', 'box', 'box counts', 'gear set', 'stud', 'slide lead', 'slide marks'],
    needed: 2,
    take: takeLathe,
    rows: ({ lathes, gearSets }) =>
      lathes.map((lathe) => [
        lathe.name,
        lengthText(lathe.leadscrew),
        lathe.box.settings,
        lathe.box.settings === '' ? '' : lathe.box.by,
        gearSets.find(({ id }) => id === lathe.gearSetId)?.name ?? '',
        yes(lathe.stud),
        lengthText(lathe.slideLead),
        String(lathe.slideMarks),
      ]),
  },
  materials: {
    columns: ['material', 'speed', 'chip load', 'starting'],
    needed: 2,
    take: takeMaterial,
    rows: ({ materials }) =>
      materials.map(({ name, speed, chipLoad, starting }) => [
        name,
        speed,
        lengthText(chipLoad),
        yes(starting),
      ]),
  },
  mandrels: {
    columns: ['mandrel', 'diameter', 'kind', 'thick end', 'length', 'key'],
    needed: 2,
    take: takeMandrel,
    rows: ({ mandrels }) =>
      mandrels.map(({ name, small, kind, large, length, key }) => [
        name,
        lengthText(small),
        kind,
        lengthText(large),
        lengthText(length),
        yes(key),
      ]),
  },
};

/** A table as rows of cells, its heading first. */
export function writeTable(id: TableId, equipment: Equipment): readonly (readonly string[])[] {
  return [TABLES[id].columns, ...TABLES[id].rows(equipment)];
}

/** A row that cannot be taken, with every reason. */
export interface BadRow {
  /** As a spreadsheet counts: the heading is row 1. */
  readonly row: number;
  readonly cells: readonly string[];
  readonly issues: readonly Issue[];
}

export interface TableRead {
  /** How many rows can be taken. */
  readonly good: number;
  readonly bad: readonly BadRow[];
  /**
   * The shop with the good rows in it: those of a name that is there already are replaced, nothing is
   * removed.
   */
  readonly equipment: Equipment;
}

const tidyHeading = (cell: string): string =>
  cell
    .replace(/^\uFEFF/, '')
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');

/** Which table a heading belongs to, when it is not the one that was asked for. */
function otherTable(heading: readonly string[], wanted: TableId): TableId | null {
  const has = (id: TableId) =>
    TABLES[id].columns.slice(0, TABLES[id].needed).every((name) => heading.includes(name));
  return TABLE_IDS.find((id) => id !== wanted && has(id)) ?? null;
}

/** What names a row within its table: two rows of one name would write over one another. */
const KEYS: Readonly<Record<TableId, readonly string[]>> = {
  heads: ['head'],
  plates: ['head', 'plate', 'side'],
  rings: ['head', 'holes', 'ring'],
  gears: ['set', 'teeth'],
  steppers: ['drive'],
  mills: ['mill'],
  cutters: ['cutter'],
  lathes: ['lathe'],
  materials: ['material'],
  mandrels: ['mandrel'],
};

/**
 * A table that comes in, checked row by row against the shop. Nothing is changed here: the shop with the good
 * rows in it is handed back, to be taken when the person agrees.
 * @param cells rows of cells, the heading first; empty rows are passed over
 * Issues: table-empty, table-other, table-columns; those of a row stand with it
 */
export function readTable(
  id: TableId,
  cells: readonly (readonly string[])[],
  equipment: Equipment,
): Result<TableRead> {
  const { columns, needed, take } = TABLES[id];
  const allowed = columns.join(', ');
  const heading = (cells[0] ?? []).map(tidyHeading);
  const missing = columns.slice(0, needed).filter((name) => !heading.includes(name));
  if (missing.length > 0) {
    const other = otherTable(heading, id);
    const detail = {
      missing: missing.join(', '),
      other: other ? TABLE_NAMES[other] : '',
      wanted: TABLE_NAMES[id],
    };
    return fail(wrong(other ? 'table-other' : 'table-columns', heading.join(', '), allowed, detail));
  }
  const rows = cells
    .map((row, i) => ({ row: i + 1, cells: row }))
    .slice(1)
    .filter((row) => row.cells.some((cell) => cell.trim() !== ''));
  if (rows.length === 0) return fail(wrong('table-empty', '', allowed));
  let now = equipment;
  let good = 0;
  const bad: BadRow[] = [];
  const seen = new Set<string>();
  for (const row of rows) {
    const named = Object.fromEntries(heading.map((name, i) => [name, row.cells[i] ?? '']));
    const key = KEYS[id]
      .map((name) => (named[name] ?? '').trim().toLowerCase() || (name === 'side' ? '1' : ''))
      .join(' · ');
    const taken = seen.has(key)
      ? fail(wrong('name-twice', key, undefined, { what: 'rows' }))
      : take(now, named);
    seen.add(key);
    if (taken.ok) {
      now = taken.value;
      good += 1;
    } else bad.push({ ...row, issues: taken.issues });
  }
  return ok({ good, bad, equipment: now });
}
