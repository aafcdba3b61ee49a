import { expect } from '@jest/globals';
import { newSpurJob, withMill, withSpurPart, type Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { freezeRun, type Run } from '../run/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { need } from '../findings/index.ts';
import { measure } from '../units/index.ts';
import { plan, stationOf, type PartPlan } from '../plan/index.ts';

/*
 * A workshop for gears that are worked by hand, and a way of laying every figure that a card shows beside
 * what was worked. The figures themselves stand in spur.test.ts and its neighbours as formulas in the trade's
 * letters; nothing there calls the code, and what is shown and not worked fails as well as what is worked and
 * not shown.
 */

export const mm = (typed: string) => measure(typed, 'mm');
export const count = (typed: string) => measure(typed, 'count');
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
  return withSpurPart(withMill({ job, partId: 'p1', millId: given.mill, shop: BENCH }), 'p1', change);
}

export const workedPart = (job: Job, id = 'p1'): PartPlan =>
  plan(job, BENCH).parts.find((part) => part.id === id)!;

export const workedRun = (job: Job, partId = 'p1'): Run =>
  need(
    freezeRun({ job, planned: plan(job, BENCH), shop: BENCH, start: { runId: 'r', jobRevision: 1, partId } }),
  );

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

/**
 * What a caliper, a span and pins read on teeth. @param a pressure angle, radians @param thin off the tooth,
 * round the pitch circle
 */
export function toMeasure(z: number, m: number, a: number, thin = 0) {
  const s = (PI * m) / 2 - thin;
  const d = z * m;
  const k = round((z * a) / PI + 0.5);
  const half = s / d; // of the tooth, as an angle
  const pin = 1.728 * m;
  const phi = angleOfInv(inv(a) + pin / (d * cos(a)) - PI / z + s / d);
  const over = ((d * cos(a)) / cos(phi)) * (z % 2 === 0 ? 1 : cos(PI / 2 / z)) + pin;
  return {
    k,
    chordal: d * sin(half),
    caliper: m + (d / 2) * (1 - cos(half)),
    // W = m cos α (π(k − ½) + z inv α), less what was taken off one flank each side, along the base circle
    span: m * cos(a) * (PI * (k - 0.5) + z * inv(a)) - thin * cos(a),
    pin,
    pins: over,
  };
}

/** How far a disk reaches along work under it, from the touch to full depth: half its chord. */
export const reach = (depth: number, diameter: number): number => sqrt(depth * (diameter - depth));

/**
 * What a set-up on a lying mill shows of straight work that is cut through, beside its speeds, dials and
 * time: all of it geometry of a disk of Ø Dc and width w over work of Ø D, h deep and b long, on centres 125
 * high, the arbor's collar Ø 32, 2 mm kept clear.
 * @param paper between cutter and work where it is touched
 */
export function throughWorked(
  { D, h, b, Dc, w }: Readonly<Record<'D' | 'h' | 'b' | 'Dc' | 'w', number>>,
  { room = 360, collar = 32, paper = 0 } = {},
): Worked {
  const reached = reach(h, Dc);
  const centre = 125 + D / 2 + Dc / 2;
  const unsaid = Object.fromEntries(
    ['head-end', 'tail-end'].flatMap((end) => [
      [`has ${end}`, null],
      [`fits ${end}`, null],
    ]),
  );
  return {
    ...unsaid,
    rpmWanted: (1000 * 40) / (PI * Dc),
    push: 'left, to the head',
    approach: reached,
    through: reached + b,
    'clear-after': 2 * reached + b,
    travel: reached + b + 2,
    'travel at entry': reached + b + 2,
    // from 2 mm before the touch to 2 mm beyond where the cutter is out again
    'travel at exit': 2 * reached + b + 4,
    firstTouch: 0,
    'centring touch': D / 2 + w / 2 + paper,
    'centring far': D / 2 - w / 2,
    'centring height': D / 2 + w / 2,
    'centring point': null,
    'centring nick': null,
    'centring dial height': null,
    'centring dial point': null,
    'centring dial nick': null,
    'needs table': reached + b + 2,
    'has table': 500,
    'fits table': true,
    // at depth the disk stands over the far face by as much as it reached before the near one
    'needs head-end': reached,
    'needs tail-end': 2 * reached + 2,
    // the arbor stands the work's half and the cutter's over the centre
    'needs height': centre + 2,
    'has height': room,
    'fits height': true,
    'needs raise': room - (centre - h),
    'has raise': 300,
    'fits raise': true,
    'needs collar': collar + 2 * h + 2,
    'has collar': Dc,
    'fits collar': true,
  };
}

/** What the ways of measuring a gear are called, and that all of them can be had. */
export const CHECKS: Worked = {
  'name outside': 'Outside',
  'set outside': 'over the tips',
  'out outside': null,
  'name depth': 'Depth',
  'set depth': 'outside to root',
  'out depth': null,
  'name chordal': 'Tooth, by gear caliper',
  'out chordal': null,
  'name span': 'Span over teeth',
  'out span': null,
  'name pins': 'Over pins',
  'out pins': null,
};

/** What is worked is shown so, as rough as a float, and nothing is shown that was not worked. */
export function expectWorked(part: PartPlan, id: PartPlan['stations'][number]['id'], worked: Worked): void {
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
  expect(rough(all)).toEqual(rough(worked));
}
