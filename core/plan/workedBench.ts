import { newSpurJob, withMill, withSpurPart, type Job, type SpurPart } from '../job/index.ts';
import { freezeRun, type Run } from '../run/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { need } from '../findings/index.ts';
import { measure } from '../units/index.ts';
import { plan, stationOf, type PartPlan } from './index.ts';

/*
 * A workshop for gears that are worked by hand, and a way of laying every figure that a card shows beside what was worked.
 * The figures themselves stand in workedSpur.test.ts and its neighbours as formulas in the trade's letters; nothing there
 * calls the code, and what is shown and not worked fails as well as what is worked and not shown.
 */

const mm = (typed: string) => measure(typed, 'mm');
const inch = (typed: string) => measure(typed, 'in');

export const RAD = Math.PI / 180;
export const { sin, cos, tan, atan, acos, asin, sqrt, PI, round, ceil, floor } = Math;
/** inv α = tan α − α. @param angle radians */
export const inv = (angle: number): number => tan(angle) - angle;
/** The angle of an involute, by halving: nothing cleverer than the definition. */
export function angleOfInv(value: number): number {
  let [low, high] = [0, 1.5];
  for (let i = 0; i < 200; i += 1) {
    const middle = (low + high) / 2;
    if (inv(middle) < value) low = middle;
    else high = middle;
  }
  return low;
}

/** Metric lying mill: table and cross screws of 5 mm, knee 2 mm, 100 marks each. */
const lying = {
  ...STOCK_MILL,
  id: 'lying',
  name: 'Lying mill',
  lead: mm('5'),
  marks: 100,
  travel: mm('500'),
  cross: { lead: mm('5'), marks: 100, travel: mm('180') },
  knee: { lead: mm('2'), marks: 100, travel: mm('300') },
  room: mm('360'),
  collar: mm('32'),
  speeds: '45 63 90 125 180 250',
  feeds: { by: 'mm' as const, settings: '18 25 36 50 71' },
};
/** Inch lying mill: every screw 5 threads to the inch, 200 marks of a thou. */
const inchMill = {
  ...lying,
  id: 'inch',
  name: 'Inch mill',
  lead: inch('1/5'),
  marks: 200,
  travel: inch('20'),
  cross: { lead: inch('1/5'), marks: 200, travel: inch('7') },
  knee: { lead: inch('1/10'), marks: 100, travel: inch('12') },
  room: inch('14'),
  collar: inch('1 1/4'),
  speeds: '60 85 120 170 240',
  feeds: { by: 'in' as const, settings: '0.75 1.25 2 3' },
};
/** Upright mill: the cutter beside the work, its cross screw 4 mm, 80 marks, with a readout. */
const upright = {
  ...lying,
  id: 'upright',
  name: 'Upright mill',
  axis: 'vertical' as const,
  cross: { lead: mm('4'), marks: 80, travel: mm('200') },
  readout: true,
  headTilts: true,
};

const [head, ...others] = STOCK_EQUIPMENT.heads;
export const BENCH: Equipment = {
  ...STOCK_EQUIPMENT,
  heads: [{ ...head!, centreHeight: mm('125') }, ...others],
  mills: [lying, inchMill, upright],
};

/** A spur or helical part on a mill of this shop. */
export function workedJob(
  given: { readonly units: 'mm' | 'in'; readonly mill: string },
  change: (part: SpurPart) => SpurPart,
): Job {
  const job = newSpurJob({ id: 'worked', name: 'Worked', units: given.units, shop: BENCH });
  return withSpurPart(withMill(job, 'p1', given.mill, BENCH), 'p1', change);
}

export const workedPart = (job: Job, id = 'p1'): PartPlan =>
  plan(job, BENCH).parts.find((part) => part.id === id)!;

export const workedRun = (job: Job, partId = 'p1'): Run =>
  need(freezeRun(job, plan(job, BENCH), BENCH, { runId: 'r', jobRevision: 1, partId }));

/** A figure as it was worked: a number in mm or degrees, or the words. */
export type Worked = Readonly<Record<string, number | string | null | boolean>>;

/** Every value that a station shows, and its answer. */
function shownBy(part: PartPlan, id: PartPlan['stations'][number]['id']): Worked {
  const station = part.stations.find((one) => one.id === id)!;
  const shown: Record<string, number | string | null | boolean> = { answer: station.answer };
  for (const value of station.values)
    shown[value.key] = value.kind === 'length' ? value.mm : value.kind === 'angle' ? value.deg : value.text;
  return shown;
}

/** What the set-up shows beside its values: dials, moves, room, time. */
function setupShown(part: PartPlan): Worked {
  const detail = stationOf(part, 'setup')!.detail;
  const {
    data,
    stroke,
    firstTouch,
    tableDial,
    depths,
    centrings,
    fits,
    minutes,
    along,
    round: rounds,
  } = detail;
  const shown: Record<string, number | string | null | boolean> = {
    rpmWanted: data?.rpmWanted ?? null,
    feedWanted: data?.feedWanted ?? null,
    firstTouch,
    minutes,
    'travel at entry': stroke?.travel.entry ?? null,
    'travel at exit': stroke?.travel.exit ?? null,
    ...(along ? { taper: JSON.stringify(along) } : {}),
    ...(rounds ? { runoutSays: JSON.stringify(rounds) } : {}),
  };
  for (const [key, dial] of Object.entries(tableDial ?? {})) shown[`table dial ${key}`] = dial;
  for (const { name, mm: deep, dial } of depths) {
    shown[`depth ${name}`] = deep;
    shown[`depth dial ${name}`] = dial;
  }
  for (const { by, move, dial } of centrings) {
    shown[`centring ${by}`] = move;
    shown[`centring dial ${by}`] = dial;
  }
  for (const { key, needs, has, fits: does } of fits) {
    shown[`needs ${key}`] = needs;
    shown[`has ${key}`] = has;
    shown[`fits ${key}`] = does;
  }
  return shown;
}

/** What is measured, what is set for it, and what it is called. */
function inspectShown(part: PartPlan): Worked {
  const shown: Record<string, number | string | null | boolean> = {};
  for (const { id, name, set, out } of stationOf(part, 'inspect')!.detail.checks) {
    shown[`name ${id}`] = name;
    shown[`set ${id}`] = set;
    shown[`out ${id}`] = out;
  }
  return shown;
}

/** What a station shows and what was worked, as rough as a float: what is worked is shown so, and nothing is shown that was not worked. */
export function laidBeside(
  part: PartPlan,
  id: PartPlan['stations'][number]['id'],
  worked: Worked,
): { readonly shown: object; readonly worked: object } {
  const all = {
    ...shownBy(part, id),
    ...(id === 'setup' ? setupShown(part) : {}),
    ...(id === 'inspect' ? inspectShown(part) : {}),
  };
  const rough = (figures: Worked) => ({
    [id]: Object.fromEntries(
      Object.entries(figures).map(([key, figure]) => [
        key,
        typeof figure === 'number' ? Number(figure.toFixed(5)) + 0 : figure,
      ]),
    ),
  });
  return { shown: rough(all), worked: rough(worked) };
}
