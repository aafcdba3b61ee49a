import { fail, ok, type Result } from '../findings/index.ts';
import { measure, parseAngleDeg, parsePitch, pitchText, type Measure } from '../units/index.ts';
import { unitsOfCutter } from './plausible.ts';
import { readCircles, readCutterNumber, readHoles, readRatio, readToothRange } from './reading.ts';
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
import type { Equipment, GearSet, Head, Plate, Ring } from './schema.ts';
import { plainCutter, plainHead } from './stock.ts';

/** Issues: no-such-head */
function headNamed(equipment: Equipment, typed: string): Result<Head> {
  const head = equipment.heads.find(({ name }) => sameName(name, typed));
  return head ? ok(head) : fail(wrong('no-such-head', typed));
}

const withHeadChanged = (equipment: Equipment, head: Head): Equipment => ({
  ...equipment,
  heads: equipment.heads.map((other) => (other.id === head.id ? head : other)),
});

export function takeHead(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const gears = cell('gear set').trim();
  const set = equipment.gearSets.find(({ name }) => sameName(name, gears));
  const hasWheel = cell('wheel marks').trim() !== '';
  const centreHeight = lengthCell(cell('centre height'));
  const read = all(
    readName(cell('head'), 'the head’s name'),
    readRatio(cell('ratio')),
    readWord(cell('kind'), 'the kind', {
      '': 'head',
      head: 'head',
      'rotary table': 'rotary',
      rotary: 'rotary',
    } as const),
    readYes(cell('plate lock'), 'the plate lock', false),
    gears === '' || set ? ok(set ?? null) : fail(wrong('no-such-gears', gears)),
    readYes(cell('stud'), 'the stud', true),
    cell('idlers').trim() === ''
      ? ok(2)
      : readWhole({ typed: cell('idlers'), what: 'The idlers', least: 0, most: 3 }),
    hasWheel
      ? readWhole({ typed: cell('wheel marks'), what: 'The marks on the wheel', least: 1, most: 5000 })
      : ok(1),
    cell('vernier').trim() === ''
      ? ok(1)
      : readWhole({ typed: cell('vernier'), what: 'The vernier', least: 1, most: 100 }),
    readWord(cell('wheel reads'), 'what the wheel reads', {
      '': 'angle',
      angle: 'angle',
      numbers: 'numbers',
    } as const),
    optionalLength(centreHeight, 'The height of the centre'),
  );
  if (!read.ok) return read;
  const [name, ratio, kind, plateLock, gearSet, stud, idlers, marks, vernier, reads] = read.value;
  const before =
    equipment.heads.find((head) => sameName(head.name, name)) ?? plainHead(idOf(equipment.heads, name), name);
  const head: Head = {
    ...before,
    name,
    kind,
    ratio,
    plateLock,
    differential: gearSet && { gearSetId: gearSet.id, stud, idlers },
    handwheel: hasWheel ? { marks, vernier, reads } : null,
    centreHeight: cells['centre height'] === undefined ? before.centreHeight : centreHeight,
  };
  return ok({ ...equipment, heads: withThing(equipment.heads, head) });
}

export function takePlate(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const read = all(
    headNamed(equipment, cell('head')),
    readName(cell('plate'), 'the plate’s letter'),
    readCircles(cell('circles')),
    cell('side').trim() === ''
      ? ok(1)
      : readWhole({ typed: cell('side'), what: 'The side', least: 1, most: 2 }),
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
  return ok(withHeadChanged(equipment, { ...head, plates: withThing(head.plates, plate) }));
}

export function takeRing(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const holes = readHoles(cell('holes'));
  const read = all(
    headNamed(equipment, cell('head')),
    holes,
    cell('ring').trim() === ''
      ? ok(`${cell('holes').trim()} holes`)
      : readName(cell('ring'), 'the ring’s name'),
    readYes(cell('made'), 'whether it was made here', false),
    readYes(cell('on the work'), 'whether it goes between spindle and work', false),
  );
  if (!read.ok) return read;
  const [head, count, name, made, onWork] = read.value;
  const ring: Ring = { id: idOf(head.rings, name), name, holes: count, made, ...(onWork ? { onWork } : {}) };
  return ok(withHeadChanged(equipment, { ...head, rings: withThing(head.rings, ring) }));
}

export function takeGear(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const owned = cell('owned').trim();
  const read = all(
    readName(cell('set'), 'the set’s name'),
    readWhole({ typed: cell('teeth'), what: 'A wheel', least: 2, most: 1000 }),
    owned === '0'
      ? fail(wrong('gear-owned-none', cell('teeth')))
      : owned === ''
        ? ok(1)
        : readWhole({ typed: owned, what: 'How many are owned', least: 1, most: 99 }),
  );
  if (!read.ok) return read;
  const [name, teeth, count] = read.value;
  const id = idOf(equipment.gearSets, name);
  const before: GearSet = equipment.gearSets.find((set) => set.id === id) ?? {
    id,
    name,
    bore: '',
    pitch: '',
    gears: [],
  };
  const gears = [...before.gears.filter((gear) => gear.teeth !== teeth), { teeth, count }].sort(
    (a, b) => a.teeth - b.teeth,
  );
  const noted = (typed: string, was: string) => typed.trim().slice(0, 40) || was;
  const set = {
    ...before,
    bore: noted(cell('bore'), before.bore),
    pitch: noted(cell('pitch'), before.pitch),
    gears,
  };
  return ok({ ...equipment, gearSets: withThing(equipment.gearSets, set) });
}

export function takeStepper(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const read = all(
    readName(cell('drive'), 'the drive’s name'),
    headNamed(equipment, cell('head')),
    readWhole({ typed: cell('steps'), what: 'The steps of a turn', least: 4, most: 10_000 }),
    cell('microsteps').trim() === ''
      ? ok(1)
      : readWhole({ typed: cell('microsteps'), what: 'The microsteps', least: 1, most: 1024 }),
    cell('belt').trim() === '' ? ok('1') : readRatio(cell('belt')),
    readWord(cell('turns'), 'what it turns', { '': 'crank', crank: 'crank', spindle: 'spindle' } as const),
  );
  if (!read.ok) return read;
  const [name, head, stepsPerTurn, microsteps, belt, on] = read.value;
  const stepper = {
    id: idOf(equipment.steppers, name),
    name,
    headId: head.id,
    on,
    stepsPerTurn,
    microsteps,
    belt,
  };
  return ok({ ...equipment, steppers: withThing(equipment.steppers, stepper) });
}

/** A pitch that says itself which it is: `M1.5` or `14 DP`. Kept as the figure and its unit. */
export function pitchCell(typed: string): Result<Measure> {
  const [asModule, asDp] = (['module', 'dp'] as const).map((unit) => parsePitch(measure(typed, unit)));
  if (!asModule!.ok) return asModule!;
  // is it the same read either way? Then it carries its own mark
  if (!asDp!.ok || asModule!.value.system !== asDp!.value.system)
    return fail(wrong('word-unknown', typed, 'M1.5 or 14 DP', { what: 'a pitch' }));
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

export function takeCutter(equipment: Equipment, cells: Cells): Result<Equipment> {
  const cell = (name: string) => cells[name] ?? '';
  const given = pitchCell(cell('pitch'));
  const bare = given.ok ? unitsOfCutter({ pitch: given.value }) : 'mm';
  const [diameter, bore, width, stamped] = ['diameter', 'bore', 'width', 'stamped depth'].map((name) =>
    lengthCell(cell(name), bare),
  );
  const angle = cell('angle').trim() === '' ? null : measure(cell('angle').trim().replace(/°$/, ''), 'deg');
  const read = all(
    readName(cell('cutter'), 'the cutter’s name'),
    given,
    readCutterNumber(cell('number')),
    readWord(cell('school'), 'the school of its number', {
      '': 'unknown',
      unknown: 'unknown',
      inch: 'inch',
      metric: 'metric',
    } as const),
    readToothRange(cell('range')),
    cell('teeth').trim() === ''
      ? ok(null)
      : readWhole({ typed: cell('teeth'), what: 'The cutter’s teeth', least: 1, most: 200 }),
    angle ? parseAngleDeg(angle) : ok(null),
    optionalLength(diameter!, 'The diameter'),
    optionalLength(bore!, 'The bore'),
    optionalLength(width!, 'The width'),
    optionalLength(stamped!, 'The stamped depth'),
  );
  if (!read.ok) return read;
  const [name, pitch, number, school, range, teeth] = read.value;
  const plain = plainCutter(idOf(equipment.cutters, name), name, pitch);
  const cutter = {
    ...plain,
    number,
    school,
    range,
    teeth,
    angle: angle ?? plain.angle,
    diameter: diameter!,
    bore: bore!,
    width: width!,
    stamped: stamped!,
    material: cell('material').trim().slice(0, 40),
  };
  return ok({ ...equipment, cutters: withThing(equipment.cutters, cutter) });
}
