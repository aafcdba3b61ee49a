import { TWELVE_GEARS } from '../gearing/index.ts';
import { measure } from '../units/index.ts';
import { MEASURING_TOOLS } from './lessonSchema.ts';
import type { Mandrel, Material, Mill, ShopLathe } from './machineSchema.ts';
import type { Equipment, FormCutter, GearSet, Head, Plate, Ring, Standing } from './schema.ts';

/**
 * Plate sets to start from, as data.
 * Source of both sets of circles: Machinery’s Handbook, indexing with three plates and with one two-sided
 * plate.
 */
const oneSided = (id: string, name: string, circles: readonly number[]): Plate => ({
  id,
  name,
  sides: [{ circles }],
  made: false,
});

export const THREE_PLATES: readonly Plate[] = [
  oneSided('plate-a', 'A', [15, 16, 17, 18, 19, 20]),
  oneSided('plate-b', 'B', [21, 23, 27, 29, 31, 33]),
  oneSided('plate-c', 'C', [37, 39, 41, 43, 47, 49]),
];

export const TWO_SIDED_PLATE: readonly Plate[] = [
  {
    id: 'plate-d',
    name: 'D',
    sides: [
      { circles: [24, 25, 28, 30, 34, 37, 38, 39, 41, 42, 43] },
      { circles: [46, 47, 49, 51, 53, 54, 57, 58, 59, 62, 66] },
    ],
    made: false,
  },
];

/** Direct plates that usual heads come with. Source: Machinery’s Handbook, direct indexing. */
const ring = (holes: number): Ring => ({
  id: `ring-${holes}`,
  name: `${holes} holes`,
  holes,
  made: false,
});

/** Nothing is known of how a head stands until its owner has set it up once. */
export const UNKNOWN_STANDING: Standing = {
  worm: null,
  lock: null,
  ringId: null,
  circle: null,
  arms: null,
  gears: null,
};

export const STOCK_GEARS: GearSet = {
  id: 'gears-twelve',
  name: 'Twelve change gears',
  bore: '',
  pitch: '',
  gears: TWELVE_GEARS,
};

/** A head with nothing known of it but its ratio: what a new one starts from. */
export const plainHead = (id: string, name: string): Head => ({
  id,
  name,
  kind: 'head',
  ratio: '40',
  centreHeight: measure('', 'mm'),
  plates: [],
  rings: [],
  mounted: null,
  standing: UNKNOWN_STANDING,
  handwheel: null,
  plateLock: false,
  differential: null,
});

export const STOCK_HEADS: readonly Head[] = [
  {
    ...plainHead('head-three-plates', 'Head with three plates'),
    plates: THREE_PLATES,
    rings: [ring(24)],
    mounted: { plateId: 'plate-b', side: 0 },
    plateLock: true,
    differential: { gearSetId: 'gears-twelve', stud: true, idlers: 2 },
  },
  {
    ...plainHead('head-two-sided', 'Head with a two-sided plate'),
    plates: TWO_SIDED_PLATE,
    rings: [ring(24), ring(30), ring(36)],
    mounted: { plateId: 'plate-d', side: 0 },
    plateLock: true,
  },
];

/**
 * A rotary table to start from: four degrees a turn, a wheel in minutes with a vernier of ten seconds. Common
 * practice.
 */
export const STOCK_ROTARY: Head = {
  ...plainHead('table-rotary', 'Rotary table'),
  kind: 'rotary',
  ratio: '90',
  handwheel: { marks: 240, vernier: 6, reads: 'angle' },
};

/** A mill of which nothing is known but its screw: whether its table swings is to be seen on it. */
export const STRAIGHT_TABLE: Pick<
  Mill,
  'swing' | 'scaleMinutes' | 'tableLength' | 'tableWidth' | 'toColumn' | 'headTilts'
> = {
  swing: measure('', 'deg'),
  scaleMinutes: 60,
  tableLength: measure('', 'mm'),
  tableWidth: measure('', 'mm'),
  toColumn: measure('', 'mm'),
  headTilts: false,
};

const unknownScrew = { lead: measure('', 'mm'), marks: 100, travel: measure('', 'mm') };

/** A mill of which only its table and that table's screw are known. */
export const BARE_MACHINE: Pick<
  Mill,
  'axis' | 'cross' | 'knee' | 'room' | 'collar' | 'speeds' | 'feeds' | 'readout'
> = {
  axis: 'horizontal',
  cross: unknownScrew,
  knee: unknownScrew,
  room: measure('', 'mm'),
  collar: measure('', 'mm'),
  speeds: '',
  feeds: { by: 'mm', settings: '' },
  readout: false,
};

const material = ({
  id,
  name,
  metresPerMinute,
  chip,
}: {
  readonly id: string;
  readonly name: string;
  readonly metresPerMinute: number;
  readonly chip: string;
}): Material => ({
  id: `material-${id}`,
  name,
  speed: `${metresPerMinute} m/min`,
  chipLoad: measure(chip, 'mm'),
  starting: true,
});

/**
 * Figures to start from, for form cutters of high-speed steel, kept light since a form cutter is dear and its
 * load is wide. Common practice, no source; every shop writes its own over them.
 */
export const STOCK_MATERIALS: readonly Material[] = [
  material({ id: 'brass', name: 'Brass', metresPerMinute: 40, chip: '.05' }),
  material({ id: 'bronze', name: 'Bronze', metresPerMinute: 26, chip: '.04' }),
  material({ id: 'aluminium', name: 'Aluminium', metresPerMinute: 60, chip: '.06' }),
  material({ id: 'free-steel', name: 'Free-cutting steel', metresPerMinute: 28, chip: '.04' }),
  material({ id: 'mild-steel', name: 'Mild steel', metresPerMinute: 24, chip: '.035' }),
  material({ id: 'tool-steel', name: 'Tool steel, annealed', metresPerMinute: 14, chip: '.025' }),
  material({ id: 'stainless', name: 'Stainless steel', metresPerMinute: 13, chip: '.025' }),
  material({ id: 'iron', name: 'Grey cast iron', metresPerMinute: 18, chip: '.05' }),
  material({ id: 'acetal', name: 'Acetal', metresPerMinute: 60, chip: '.08' }),
  material({ id: 'phenolic', name: 'Laminated phenolic', metresPerMinute: 45, chip: '.06' }),
];

/** A mandrel with nothing known of it but its kind: what a new one starts from. */
export const plainMandrel = (id: string, name: string, kind: Mandrel['kind']): Mandrel => ({
  id,
  name,
  kind,
  small: measure('', 'mm'),
  large: measure('', 'mm'),
  length: measure('', 'mm'),
  key: false,
});

export const STOCK_MILL: Mill = {
  id: 'mill-metric',
  name: 'Mill with a 5 mm screw',
  lead: measure('5', 'mm'),
  marks: 100,
  travel: measure('', 'mm'),
  ...STRAIGHT_TABLE,
  ...BARE_MACHINE,
};

/** A lathe with nothing known of it but its leadscrew: what a new one starts from. */
export const plainLathe = (id: string, name: string, leadscrew: ShopLathe['leadscrew']): ShopLathe => ({
  id,
  name,
  leadscrew,
  box: { by: leadscrew.unit === 'in' ? 'tpi' : 'mm', settings: '' },
  gearSetId: null,
  stud: true,
  slideLead: measure('', leadscrew.unit),
  slideMarks: 100,
});

/** A form cutter with nothing known of it but its pitch: what a new one starts from. */
export const plainCutter = (id: string, name: string, pitch: FormCutter['pitch']): FormCutter => ({
  id,
  name,
  pitch,
  number: null,
  school: 'unknown',
  range: null,
  angle: measure(pitch.unit === 'dp' ? '14.5' : '20', 'deg'),
  diameter: measure('', 'mm'),
  bore: measure('', 'mm'),
  width: measure('', 'mm'),
  stamped: measure('', 'mm'),
  teeth: null,
  material: '',
});

/** What a shop starts with until its owner lists their own. */
export const STOCK_EQUIPMENT: Equipment = {
  heads: STOCK_HEADS,
  gearSets: [STOCK_GEARS],
  steppers: [],
  mills: [STOCK_MILL],
  cutters: [],
  lathes: [],
  materials: STOCK_MATERIALS,
  mandrels: [],
  lessons: [],
  tools: MEASURING_TOOLS,
};
