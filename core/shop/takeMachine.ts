import { fail, ok, type Result } from '../findings/index.ts';
import { measure, parseAngleDeg, parseLength, parsePositiveLength, type Measure } from '../units/index.ts';
import { readCuttingSpeed, readFeeds, readSpeeds } from './machine.ts';
import { leadFromThreads, readBox } from './reading.ts';
import {
  all,
  idOf,
  lengthCell,
  optionalLength,
  withThing,
  readName,
  readWhole,
  readWord,
  readYes,
  sameName,
  wrong,
  type Cells,
} from './rowReaders.ts';
import type { Mill, Screw } from './machineSchema.ts';
import type { Equipment } from './schema.ts';
import { STOCK_MILL, STRAIGHT_TABLE } from './stock.ts';

/** An angle that may be left empty, 0 and more. */
function swingCell(typed: string): Result<Measure> {
  const swing = measure(typed.trim().replace(/°$/, ''), 'deg');
  if (swing.typed === '') return ok(swing);
  const angle = parseAngleDeg(swing);
  return angle.ok ? ok(swing) : angle;
}

/** One of the two other screws of a mill. What the row does not say stays as it is. */
function takeScrew(cells: Cells, which: 'cross' | 'knee', before: Screw): Result<Screw> {
  const cell = (name: string) => cells[`${which} ${name}`];
  const read = (typed: string | undefined, otherwise: Measure) =>
    typed === undefined ? otherwise : (leadFromThreads(typed) ?? lengthCell(typed));
  const [lead, travel] = [read(cell('lead'), before.lead), read(cell('travel'), before.travel)];
  const marks = (cell('marks') ?? '').trim();
  const good = all(
    optionalLength(lead, `The lead of the ${which} screw`),
    marks === ''
      ? ok(before.marks)
      : readWhole({ typed: marks, what: `The marks of the ${which} dial`, least: 1, most: 5000 }),
    optionalLength(travel, `The ${which} travel`),
  );
  return good.ok ? ok({ lead, marks: good.value[1], travel }) : good;
}

/** What a row says of a mill beside its table. What it does not say stays as it is. */
function takeMachine(cells: Cells, before: Mill): Result<Mill> {
  const cell = (name: string) => (cells[name] ?? '').trim();
  const length = (name: string, otherwise: Measure) =>
    cells[name] === undefined ? otherwise : lengthCell(cell(name));
  const [room, collar] = [length('room', before.room), length('collar', before.collar)];
  const by = readWord(cell('feeds in'), 'what feeds are counted in', {
    '': before.feeds.by,
    mm: 'mm',
    in: 'in',
  } as const);
  const speeds = (cells['speeds'] === undefined ? before.speeds : cell('speeds')).slice(0, 400);
  const settings = (cells['feeds'] === undefined ? before.feeds.settings : cell('feeds')).slice(0, 400);
  const feeds = { by: by.ok ? by.value : before.feeds.by, settings };
  const read = all(
    readWord(cell('spindle'), 'how the spindle stands', {
      '': before.axis,
      horizontal: 'horizontal',
      vertical: 'vertical',
    } as const),
    takeScrew(cells, 'cross', before.cross),
    takeScrew(cells, 'knee', before.knee),
    readYes(cell('readout'), 'whether there is a readout', before.readout),
    by,
    readSpeeds(speeds),
    readFeeds(feeds),
    optionalLength(room, 'The room under the spindle'),
    optionalLength(collar, 'The collars'),
  );
  if (!read.ok) return read;
  const [axis, cross, knee, readout] = read.value;
  return ok({ ...before, axis, cross, knee, room, collar, speeds, feeds, readout });
}

export function takeMill(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const [lead, travel, tableLength, tableWidth, toColumn] = [
    'screw lead',
    'travel',
    'table length',
    'table width',
    'to column',
  ].map((name) => lengthCell(cell(name)));
  const screw = leadFromThreads(cell('screw lead')) ?? lead!;
  const read = all(
    readName(cell('mill'), 'the mill’s name'),
    parsePositiveLength(screw, 'The lead of the screw'),
    readWhole({ typed: cell('dial marks'), what: 'The marks on the dial', least: 1, most: 5000 }),
    travel!.typed === '' ? ok(null) : parseLength(travel!),
    swingCell(cell('swing')),
    cell('scale minutes').trim() === ''
      ? ok(STRAIGHT_TABLE.scaleMinutes)
      : readWhole({ typed: cell('scale minutes'), what: 'The minutes of the scale', least: 1, most: 60 }),
    readYes(cell('head tilts'), 'whether the head tilts', false),
    optionalLength(tableLength!, 'The length of the table'),
    optionalLength(tableWidth!, 'The width of the table'),
    optionalLength(toColumn!, 'The distance to the column'),
  );
  if (!read.ok) return read;
  const [name, , marks, , swing, scaleMinutes, headTilts] = read.value;
  const before = equipment.mills.find((other) => sameName(other.name, name)) ?? STOCK_MILL;
  const machine = takeMachine(cells, before);
  if (!machine.ok) return machine;
  const mill = {
    ...machine.value,
    id: idOf(equipment.mills, name),
    name,
    lead: screw,
    marks,
    travel: travel!,
    swing,
    scaleMinutes,
    headTilts,
    tableLength: tableLength!,
    tableWidth: tableWidth!,
    toColumn: toColumn!,
  };
  return ok({ ...equipment, mills: withThing(equipment.mills, mill) });
}

export function takeMaterial(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => (cells[name] ?? '').trim();
  const chipLoad = lengthCell(cell('chip load'));
  const read = all(
    readName(cell('material'), 'the material'),
    readCuttingSpeed(cell('speed')),
    optionalLength(chipLoad, 'The chip load'),
    readYes(cell('starting'), 'whether it is a starting value', false),
  );
  if (!read.ok) return read;
  const [name, , , starting] = read.value;
  const material = {
    id: idOf(equipment.materials, name),
    name,
    speed: cell('speed').slice(0, 40),
    chipLoad,
    starting,
  };
  return ok({ ...equipment, materials: withThing(equipment.materials, material) });
}

export function takeMandrel(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => (cells[name] ?? '').trim();
  const [small, large, length] = ['diameter', 'thick end', 'length'].map((name) => lengthCell(cell(name)));
  const read = all(
    readName(cell('mandrel'), 'the mandrel’s name'),
    parsePositiveLength(small!, 'The diameter'),
    readWord(cell('kind'), 'the kind', { '': 'taper', taper: 'taper', nut: 'nut', stub: 'stub' } as const),
    optionalLength(large!, 'The thick end'),
    optionalLength(length!, 'The length'),
    readYes(cell('key'), 'whether it has a key', false),
  );
  if (!read.ok) return read;
  const [name, , kind, , , key] = read.value;
  const mandrel = {
    id: idOf(equipment.mandrels, name),
    name,
    kind,
    small: small!,
    large: large!,
    length: length!,
    key,
  };
  return ok({ ...equipment, mandrels: withThing(equipment.mandrels, mandrel) });
}

export function takeLathe(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const leadscrew = leadFromThreads(cell('leadscrew')) ?? lengthCell(cell('leadscrew'));
  const slideLead = leadFromThreads(cell('slide lead')) ?? lengthCell(cell('slide lead'));
  const gears = cell('gear set').trim();
  const set = equipment.gearSets.find(({ name }) => sameName(name, gears));
  const screw = parsePositiveLength(leadscrew, 'The lead of the leadscrew');
  const usual = leadscrew.unit === 'in' ? 'tpi' : 'mm';
  const by = readWord(cell('box counts'), 'what the box counts', {
    '': usual,
    mm: 'mm',
    tpi: 'tpi',
    turns: 'turns',
  } as const);
  const box = { by: by.ok ? by.value : usual, settings: cell('box').trim().slice(0, 600) } as const;
  const read = all(
    readName(cell('lathe'), 'the lathe’s name'),
    screw,
    by,
    screw.ok ? readBox(box, screw.value) : ok(null),
    gears === '' || set ? ok(set ?? null) : fail(wrong('no-such-gears', gears)),
    readYes(cell('stud'), 'the stud', true),
    optionalLength(slideLead, 'The lead of the slide’s screw'),
    cell('slide marks').trim() === ''
      ? ok(100)
      : readWhole({
          typed: cell('slide marks'),
          what: 'The marks on the slide’s dial',
          least: 1,
          most: 5000,
        }),
  );
  if (!read.ok) return read;
  const [name, , , , gearSet, stud, , slideMarks] = read.value;
  const lathe = {
    id: idOf(equipment.lathes, name),
    name,
    leadscrew,
    box,
    gearSetId: gearSet?.id ?? null,
    stud,
    slideLead,
    slideMarks,
  };
  return ok({ ...equipment, lathes: withThing(equipment.lathes, lathe) });
}
