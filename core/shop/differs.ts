import { dequal } from 'dequal';

/** What a thing of the shop is told by, where it differs; what is not here is told by no name. */
const CALLED: Readonly<Record<string, string>> = {
  name: 'its name',
  ratio: 'ratio',
  plates: 'its plates',
  rings: 'its rings',
  handwheel: 'its wheel',
  plateLock: 'plate lock',
  differential: 'how it is geared',
  gears: 'the gears in it',
  teeth: 'teeth',
  headId: 'what it turns',
  on: 'what it turns',
  stepsPerTurn: 'steps a turn',
  microsteps: 'microsteps',
  belt: 'belt',
  lead: 'lead of the table screw',
  marks: 'marks on its dial',
  travel: 'travel of the table',
  swing: 'swing of the table',
  scaleMinutes: 'minutes on its scale',
  tableLength: 'length of the table',
  tableWidth: 'width of the table',
  toColumn: 'room to the column',
  headTilts: 'tilt of the head',
  pitch: 'pitch',
  number: 'number',
  school: 'whose number it is',
  range: 'range',
  angle: 'pressure angle',
  diameter: 'diameter',
  bore: 'bore',
  width: 'width',
  stamped: 'depth stamped on it',
  material: 'material',
  leadscrew: 'leadscrew',
  box: 'its box',
  gearSetId: 'its change gears',
  stud: 'stud of the bracket',
  slideLead: 'screw of the top slide',
  slideMarks: 'marks of the top slide',
};

/** A figure as it stands in a list; null for what is more than one. */
function figureOf(value: unknown): string | null {
  if (typeof value === 'number' || typeof value === 'string') return String(value) || 'nothing';
  if (value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'object' && 'typed' in value && 'unit' in value) {
    const { typed, unit } = value as { typed: string; unit: string };
    return typed === '' ? 'nothing' : `${typed} ${WRITTEN[unit] ?? unit}`;
  }
  return null;
}
const WRITTEN: Readonly<Record<string, string>> = { module: 'module', dp: 'DP', deg: '°', count: '' };

/** Names of other things: a figure of theirs says nothing to a person. */
const BY_NAME = new Set(['headId', 'gearSetId', 'id', 'on', 'name', 'school']);

/**
 * What differs between a thing as it was and as it is, for people: `ratio 40 → 60, its plates`.
 * @returns empty text where nothing that has a name differs
 */
export function whatDiffers(was: object, is: object): string {
  const before = was as Readonly<Record<string, unknown>>;
  const now = is as Readonly<Record<string, unknown>>;
  const told = Object.entries(CALLED).flatMap(([key, called]) => {
    if (!(key in now) || dequal(before[key], now[key])) return [];
    const [from, to] = [figureOf(before[key]), figureOf(now[key])];
    return [from === null || to === null || BY_NAME.has(key) ? called : `${called} ${from} → ${to}`];
  });
  return [...new Set(told)].join(', ');
}
