import { fail, ok, type Issue, type Result } from '../findings/index.ts';
import {
  measure,
  parseAngleDeg,
  parseCount,
  parseLength,
  parsePitch,
  parsePositiveLength,
  pitchText,
  type Measure,
} from '../units/index.ts';
import {
  idFrom,
  leadFromThreads,
  readBox,
  readCircles,
  readCutterNumber,
  readHoles,
  readRatio,
  readToothRange,
} from './reading.ts';
import type { Equipment, GearSet, Head, Plate, Ring } from './schema.ts';
import { plainCutter, plainHead, STRAIGHT_TABLE } from './stock.ts';

/** A row of a table, cell by column name. */
export type Cells = Readonly<Record<string, string>>;

export const wrong = (code: Issue['code'], given: string, more: Partial<Issue> = {}): Issue => ({
  code,
  path: '',
  severity: 'wrong',
  given,
  ...more,
});

export const yes = (flag: boolean): string => (flag ? 'yes' : 'no');

/** Issues: word-unknown */
function readYes(typed: string, what: string, otherwise: boolean): Result<boolean> {
  const word = typed.trim().toLowerCase();
  if (word === '') return ok(otherwise);
  if (['yes', 'y', 'true', '1', 'x'].includes(word)) return ok(true);
  if (['no', 'n', 'false', '0', '-'].includes(word)) return ok(false);
  return fail(wrong('word-unknown', typed, { detail: { what }, allowed: 'yes or no' }));
}

/** Issues: word-unknown */
function readWord<T extends string>(
  typed: string,
  what: string,
  words: Readonly<Record<string, T>>,
): Result<T> {
  const found = words[typed.trim().toLowerCase()];
  if (found !== undefined) return ok(found);
  const allowed = [...new Set(Object.keys(words))].filter((word) => word !== '').join(' or ');
  return fail(wrong('word-unknown', typed, { detail: { what }, allowed }));
}

/** Issues: those of the counting parser; a name that is missing */
const readWhole = (typed: string, what: string, least: number, most: number): Result<number> =>
  parseCount(measure(typed, 'count'), what, least, most);

function readName(typed: string, what: string): Result<string> {
  const name = typed.trim();
  if (name === '' || name.length > 80)
    return fail(wrong('missing', typed, { allowed: `${what}, of 80 signs at most` }));
  return ok(name);
}

/** Brings several readings together: all their values, or every issue. */
function all<T extends readonly Result<unknown>[]>(
  ...read: T
): Result<{ [K in keyof T]: T[K] extends Result<infer V> ? V : never }> {
  const issues = read.flatMap((one) => (one.ok ? [] : one.issues));
  if (issues.length > 0) return fail(...issues);
  return ok(read.map((one) => (one.ok ? one.value : null)) as never);
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Issues: no-such-head */
function headNamed(equipment: Equipment, typed: string): Result<Head> {
  const head = equipment.heads.find(({ name }) => sameName(name, typed));
  return head ? ok(head) : fail(wrong('no-such-head', typed));
}

const withHeadChanged = (equipment: Equipment, head: Head): Equipment => ({
  ...equipment,
  heads: equipment.heads.map((other) => (other.id === head.id ? head : other)),
});

/** In place of the one of that name, else at the end. */
function put<T extends { readonly id: string; readonly name: string }>(
  things: readonly T[],
  thing: T,
): readonly T[] {
  return things.some(({ id }) => id === thing.id)
    ? things.map((other) => (other.id === thing.id ? thing : other))
    : [...things, thing];
}

const idOf = (things: readonly { readonly id: string; readonly name: string }[], name: string): string =>
  things.find((thing) => sameName(thing.name, name))?.id ??
  idFrom(
    name,
    things.map(({ id }) => id),
  );

export function takeHead(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const gears = cell('gear set').trim();
  const set = equipment.gearSets.find(({ name }) => sameName(name, gears));
  const hasWheel = cell('wheel marks').trim() !== '';
  const read = all(
    readName(cell('head'), 'the head’s name'),
    readRatio(cell('ratio')),
    readWord(cell('kind'), 'the kind', { '': 'head', head: 'head', 'rotary table': 'rotary', rotary: 'rotary' } as const),
    readYes(cell('plate lock'), 'the plate lock', false),
    gears === '' || set ? ok(set ?? null) : fail(wrong('no-such-gears', gears)),
    readYes(cell('stud'), 'the stud', true),
    cell('idlers').trim() === '' ? ok(2) : readWhole(cell('idlers'), 'The idlers', 0, 3),
    hasWheel ? readWhole(cell('wheel marks'), 'The marks on the wheel', 1, 5000) : ok(1),
    cell('vernier').trim() === '' ? ok(1) : readWhole(cell('vernier'), 'The vernier', 1, 100),
    readWord(cell('wheel reads'), 'what the wheel reads', { '': 'angle', angle: 'angle', numbers: 'numbers' } as const),
  );
  if (!read.ok) return read;
  const [name, ratio, kind, plateLock, gearSet, stud, idlers, marks, vernier, reads] = read.value;
  const before = equipment.heads.find((head) => sameName(head.name, name)) ?? plainHead(idOf(equipment.heads, name), name);
  const head: Head = {
    ...before,
    name,
    kind,
    ratio,
    plateLock,
    differential: gearSet && { gearSetId: gearSet.id, stud, idlers },
    handwheel: hasWheel ? { marks, vernier, reads } : null,
  };
  return ok({ ...equipment, heads: put(equipment.heads, head) });
} // prettier-ignore

export function takePlate(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const read = all(
    headNamed(equipment, cell('head')),
    readName(cell('plate'), 'the plate’s letter'),
    readCircles(cell('circles')),
    cell('side').trim() === '' ? ok(1) : readWhole(cell('side'), 'The side', 1, 2),
    readYes(cell('made'), 'whether it was made here', false),
  );
  if (!read.ok) return read;
  const [head, name, circles, side, made] = read.value;
  const id = idOf(head.plates, name);
  const before = head.plates.find((plate) => plate.id === id);
  const other = before?.sides ?? [];
  const first = side === 1 ? { circles } : (other[0] ?? { circles });
  const second = side === 2 && other[0] ? { circles } : other[1];
  const plate: Plate = { id, name, sides: second ? [first, second] : [first], made };
  return ok(withHeadChanged(equipment, { ...head, plates: put(head.plates, plate) }));
}

export function takeRing(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const holes = readHoles(cell('holes'));
  const read = all(
    headNamed(equipment, cell('head')),
    holes,
    cell('ring').trim() === '' ? ok(`${cell('holes').trim()} holes`) : readName(cell('ring'), 'the ring’s name'),
    readYes(cell('made'), 'whether it was made here', false),
    readYes(cell('on the work'), 'whether it goes between spindle and work', false),
  );
  if (!read.ok) return read;
  const [head, count, name, made, onWork] = read.value;
  const ring: Ring = { id: idOf(head.rings, name), name, holes: count, made, ...(onWork ? { onWork } : {}) };
  return ok(withHeadChanged(equipment, { ...head, rings: put(head.rings, ring) }));
} // prettier-ignore

export function takeGear(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const owned = cell('owned').trim();
  const read = all(
    readName(cell('set'), 'the set’s name'),
    readWhole(cell('teeth'), 'A wheel', 2, 1000),
    owned === '0' ? fail(wrong('gear-owned-none', cell('teeth'))) : owned === '' ? ok(1) : readWhole(owned, 'How many are owned', 1, 99),
  );
  if (!read.ok) return read;
  const [name, teeth, count] = read.value;
  const id = idOf(equipment.gearSets, name);
  const before: GearSet = equipment.gearSets.find((set) => set.id === id) ?? { id, name, bore: '', pitch: '', gears: [] };
  const gears = [...before.gears.filter((gear) => gear.teeth !== teeth), { teeth, count }].sort((a, b) => a.teeth - b.teeth);
  const noted = (typed: string, was: string) => typed.trim().slice(0, 40) || was;
  const set = { ...before, bore: noted(cell('bore'), before.bore), pitch: noted(cell('pitch'), before.pitch), gears };
  return ok({ ...equipment, gearSets: put(equipment.gearSets, set) });
} // prettier-ignore

export function takeStepper(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const read = all(
    readName(cell('drive'), 'the drive’s name'),
    headNamed(equipment, cell('head')),
    readWhole(cell('steps'), 'The steps of a turn', 4, 10_000),
    cell('microsteps').trim() === '' ? ok(1) : readWhole(cell('microsteps'), 'The microsteps', 1, 1024),
    cell('belt').trim() === '' ? ok('1') : readRatio(cell('belt')),
    readWord(cell('turns'), 'what it turns', { '': 'crank', crank: 'crank', spindle: 'spindle' } as const),
  );
  if (!read.ok) return read;
  const [name, head, stepsPerTurn, microsteps, belt, on] = read.value;
  const stepper = { id: idOf(equipment.steppers, name), name, headId: head.id, on, stepsPerTurn, microsteps, belt };
  return ok({ ...equipment, steppers: put(equipment.steppers, stepper) });
} // prettier-ignore

/** A length that keeps the unit it was written with; a bare figure is in millimetres. */
export function lengthCell(typed: string): Measure {
  const written = /^(.*?)\s*(mm|in|inch|inches|"|″)?$/i.exec(typed.trim());
  const [, figure = '', unit = 'mm'] = written ?? [];
  return measure(figure, unit.toLowerCase() === 'mm' ? 'mm' : 'in');
}

export const lengthText = ({ typed, unit }: Measure): string =>
  typed === '' || /[a-z"″]$/i.test(typed) ? typed : `${typed} ${unit}`;

/** An angle that may be left empty, 0 and more. */
function swingCell(typed: string): Result<Measure> {
  const swing = measure(typed.trim().replace(/°$/, ''), 'deg');
  if (swing.typed === '') return ok(swing);
  const angle = parseAngleDeg(swing);
  return angle.ok ? ok(swing) : angle;
}

export function takeMill(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const [lead, travel, tableLength, tableWidth, toColumn] = ['screw lead', 'travel', 'table length', 'table width', 'to column'].map((name) => lengthCell(cell(name)));
  const screw = leadFromThreads(cell('screw lead')) ?? lead!;
  const read = all(
    readName(cell('mill'), 'the mill’s name'),
    parsePositiveLength(screw, 'The lead of the screw'),
    readWhole(cell('dial marks'), 'The marks on the dial', 1, 5000),
    travel!.typed === '' ? ok(null) : parseLength(travel!),
    swingCell(cell('swing')),
    cell('scale minutes').trim() === '' ? ok(STRAIGHT_TABLE.scaleMinutes) : readWhole(cell('scale minutes'), 'The minutes of the scale', 1, 60),
    readYes(cell('head tilts'), 'whether the head tilts', false),
    optionalLength(tableLength!, 'The length of the table'),
    optionalLength(tableWidth!, 'The width of the table'),
    optionalLength(toColumn!, 'The distance to the column'),
  );
  if (!read.ok) return read;
  const [name, , marks, , swing, scaleMinutes, headTilts] = read.value;
  const mill = { id: idOf(equipment.mills, name), name, lead: screw, marks, travel: travel!, swing, scaleMinutes, headTilts, tableLength: tableLength!, tableWidth: tableWidth!, toColumn: toColumn! };
  return ok({ ...equipment, mills: put(equipment.mills, mill) });
} // prettier-ignore

/** A pitch that says itself which it is: `M1.5` or `14 DP`. Kept as the figure and its unit. */
export function pitchCell(typed: string): Result<Measure> {
  const [asModule, asDp] = (['module', 'dp'] as const).map((unit) => parsePitch(measure(typed, unit)));
  if (!asModule!.ok) return asModule!;
  // is it the same read either way? Then it carries its own mark
  if (!asDp!.ok || asModule!.value.system !== asDp!.value.system)
    return fail(wrong('word-unknown', typed, { detail: { what: 'a pitch' }, allowed: 'M1.5 or 14 DP' }));
  const { system } = asModule!.value;
  const figure = typed.replace(/^\s*(?:module|mod|m|dp|p)\s*|\s*(?:module|mod|m|d\.?p\.?|p)\s*$/gi, '');
  return ok(measure(figure, system));
}

export function pitchCellText(pitch: Measure): string {
  const read = parsePitch(pitch);
  if (!read.ok) return pitch.typed;
  const { system } = read.value;
  const plain = /^[\d\s./½¼¾,]+$/.test(pitch.typed);
  if (!plain) return pitchText(read.value).replace('m ', 'M');
  return system === 'module' ? `M${pitch.typed}` : `${pitch.typed} DP`;
}

/** A length that may be left empty. */
const optionalLength = (typed: Measure, what: string): Result<unknown> =>
  typed.typed === '' ? ok(null) : parsePositiveLength(typed, what);

export function takeCutter(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const [diameter, bore, width, stamped] = ['diameter', 'bore', 'width', 'stamped depth'].map((name) => lengthCell(cell(name)));
  const angle = cell('angle').trim() === '' ? null : measure(cell('angle').trim().replace(/°$/, ''), 'deg');
  const read = all(
    readName(cell('cutter'), 'the cutter’s name'),
    pitchCell(cell('pitch')),
    readCutterNumber(cell('number')),
    readWord(cell('school'), 'the school of its number', { '': 'unknown', unknown: 'unknown', inch: 'inch', metric: 'metric' } as const),
    readToothRange(cell('range')),
    cell('teeth').trim() === '' ? ok(null) : readWhole(cell('teeth'), 'The cutter’s teeth', 1, 200),
    angle ? parseAngleDeg(angle) : ok(null),
    optionalLength(diameter!, 'The diameter'),
    optionalLength(bore!, 'The bore'),
    optionalLength(width!, 'The width'),
    optionalLength(stamped!, 'The stamped depth'),
  );
  if (!read.ok) return read;
  const [name, pitch, number, school, range, teeth] = read.value;
  const plain = plainCutter(idOf(equipment.cutters, name), name, pitch);
  const cutter = { ...plain, number, school, range, teeth, angle: angle ?? plain.angle, diameter: diameter!, bore: bore!, width: width!, stamped: stamped!, material: cell('material').trim().slice(0, 40) };
  return ok({ ...equipment, cutters: put(equipment.cutters, cutter) });
} // prettier-ignore

export function takeLathe(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const leadscrew = leadFromThreads(cell('leadscrew')) ?? lengthCell(cell('leadscrew'));
  const slideLead = leadFromThreads(cell('slide lead')) ?? lengthCell(cell('slide lead'));
  const gears = cell('gear set').trim();
  const set = equipment.gearSets.find(({ name }) => sameName(name, gears));
  const screw = parsePositiveLength(leadscrew, 'The lead of the leadscrew');
  const usual = leadscrew.unit === 'in' ? 'tpi' : 'mm';
  const by = readWord(cell('box counts'), 'what the box counts', { '': usual, mm: 'mm', tpi: 'tpi', turns: 'turns' } as const);
  const box = { by: by.ok ? by.value : usual, settings: cell('box').trim().slice(0, 600) } as const;
  const read = all(
    readName(cell('lathe'), 'the lathe’s name'),
    screw,
    by,
    screw.ok ? readBox(box, screw.value) : ok(null),
    gears === '' || set ? ok(set ?? null) : fail(wrong('no-such-gears', gears)),
    readYes(cell('stud'), 'the stud', true),
    optionalLength(slideLead, 'The lead of the slide’s screw'),
    cell('slide marks').trim() === '' ? ok(100) : readWhole(cell('slide marks'), 'The marks on the slide’s dial', 1, 5000),
  );
  if (!read.ok) return read;
  const [name, , , , gearSet, stud, , slideMarks] = read.value;
  const lathe = { id: idOf(equipment.lathes, name), name, leadscrew, box, gearSetId: gearSet?.id ?? null, stud, slideLead, slideMarks };
  return ok({ ...equipment, lathes: put(equipment.lathes, lathe) });
} // prettier-ignore
