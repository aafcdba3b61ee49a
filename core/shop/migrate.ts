/**
 * Each step writes the literal shapes of its day and calls nothing that lives on: what a stock list or an
 * empty machine becomes later changes nothing of what an old file meant. A lint rule keeps it so.
 */

/** Equipment of some version, its shape not yet checked. */
type Raw = Readonly<Record<string, unknown>>;

const isObject = (raw: unknown): raw is Raw => typeof raw === 'object' && raw !== null && !Array.isArray(raw);
const empty = (unit: string) => ({ typed: '', unit });
const each = (raw: unknown, change: (item: unknown) => unknown): unknown =>
  Array.isArray(raw) ? raw.map(change) : raw;

/**
 * A head as it rested before heads could be geared: nothing was known of its gears, and its plate could be
 * freed.
 */
export function headFromV1(raw: unknown): unknown {
  return isObject(raw) ? { plateLock: true, differential: null, ...raw } : raw;
}

/** Equipment as it rested before change gears were listed. */
export function equipmentFromV1(raw: unknown): unknown {
  return isObject(raw) ? { gearSets: [], ...raw, heads: each(raw['heads'], headFromV1) } : raw;
}

/**
 * A head as it rested before rings, handwheels and how it stands were known. Its bracket was taken to hold
 * any train.
 */
export function headFromV2(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  const { plates, differential } = raw;
  const unknown = { worm: null, lock: null, ringId: null, circle: null, arms: null, gears: null };
  return {
    kind: 'head',
    rings: [],
    standing: unknown,
    handwheel: null,
    ...raw,
    plates: each(plates, (plate) => (isObject(plate) ? { made: false, ...plate } : plate)),
    differential: isObject(differential) ? { stud: true, idlers: 2, ...differential } : differential,
  };
}

/** Equipment as it rested before stepper drives and mills were listed. */
export function equipmentFromV2(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  return {
    steppers: [],
    mills: [],
    ...raw,
    heads: each(raw['heads'], headFromV2),
    gearSets: each(raw['gearSets'], (set) => (isObject(set) ? { bore: '', pitch: '', ...set } : set)),
  };
}

/** Equipment as it rested before form cutters were listed. */
export function equipmentFromV3(raw: unknown): unknown {
  return isObject(raw) ? { cutters: [], ...raw } : raw;
}

/** A mill as it rested before its table was known to swing. */
export function millFromV4(raw: unknown): unknown {
  return isObject(raw)
    ? {
        swing: empty('deg'),
        scaleMinutes: 60,
        tableLength: empty('mm'),
        tableWidth: empty('mm'),
        toColumn: empty('mm'),
        headTilts: false,
        ...raw,
      }
    : raw;
}

/** Equipment as it rested before tables swung. */
export function equipmentFromV4(raw: unknown): unknown {
  return isObject(raw) ? { ...raw, mills: each(raw['mills'], millFromV4) } : raw;
}

/** Equipment as it rested before lathes were listed. */
export function equipmentFromV5(raw: unknown): unknown {
  return isObject(raw) ? { lathes: [], ...raw } : raw;
}

/** A head as it rested before the height of its centre was asked for. */
export function headFromV6(raw: unknown): unknown {
  return isObject(raw) ? { centreHeight: empty('mm'), ...raw } : raw;
}

/** A mill as it rested when only the screw of its long travel was known. */
export function millFromV6(raw: unknown): unknown {
  return isObject(raw)
    ? {
        axis: 'horizontal',
        cross: { lead: empty('mm'), marks: 100, travel: empty('mm') },
        knee: { lead: empty('mm'), marks: 100, travel: empty('mm') },
        room: empty('mm'),
        collar: empty('mm'),
        speeds: '',
        feeds: { by: 'mm', settings: '' },
        readout: false,
        ...raw,
      }
    : raw;
}

/**
 * Equipment as it rested before machines were known in full, and materials, mandrels and what was learnt were
 * listed.
 */
export function equipmentFromV6(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  return {
    materials: [],
    mandrels: [],
    lessons: [],
    tools: ['caliper', 'depth-gauge', 'gear-caliper', 'disk-micrometer', 'pins', 'indicator'],
    ...raw,
    heads: each(raw['heads'], headFromV6),
    mills: each(raw['mills'], millFromV6),
  };
}

const material = ([id, name, metres, chip]: readonly [string, string, number, string]) => ({
  id: `material-${id}`,
  name,
  speed: `${metres} m/min`,
  chipLoad: { typed: chip, unit: 'mm' },
  starting: true,
});

/** What a shop listed first when materials came in. */
const FIRST_MATERIALS = [
  material(['brass', 'Brass', 40, '.05']),
  material(['bronze', 'Bronze', 26, '.04']),
  material(['aluminium', 'Aluminium', 60, '.06']),
  material(['free-steel', 'Free-cutting steel', 28, '.04']),
  material(['mild-steel', 'Mild steel', 24, '.035']),
  material(['tool-steel', 'Tool steel, annealed', 14, '.025']),
  material(['stainless', 'Stainless steel', 13, '.025']),
  material(['iron', 'Grey cast iron', 18, '.05']),
  material(['acetal', 'Acetal', 60, '.08']),
  material(['phenolic', 'Laminated phenolic', 45, '.06']),
];

/** The shop as it rests: one from before materials were listed starts with the stock ones. */
export const shopToToday = (raw: unknown): unknown =>
  equipmentToToday(isObject(raw) ? { materials: FIRST_MATERIALS, ...raw } : raw);

/**
 * Equipment that rests without a version mark: every step fills in only what is lacking, so all may be taken.
 */
export const equipmentToToday = (raw: unknown): unknown =>
  equipmentFromV6(equipmentFromV5(equipmentFromV4(equipmentFromV3(equipmentFromV2(equipmentFromV1(raw))))));
