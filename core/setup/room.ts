import { decimalText, radiansOf, type UnitSystem } from '../units/index.ts';
import type { Thrust } from './holding.ts';
import { CLEAR_BY, lagOf, type Cutting, type Stroke } from './stroke.ts';

/** Something that has to fit: what it needs, what there is, and what to do when it does not. mm */
export interface Fit {
  readonly key: 'table' | 'cross' | 'height' | 'raise' | 'collar' | 'head-end' | 'tail-end';
  readonly name: string;
  readonly needs: number;
  /** null: not known, so it is only said what is needed */
  readonly has: number | null;
  readonly fits: boolean | null;
  /** Ways out, the least trouble first; empty where it fits. */
  readonly remedies: readonly string[];
}

export interface Room {
  /** What moves are told in. */
  readonly system: UnitSystem;
  readonly cutting: Cutting;
  readonly stroke: Stroke;
  readonly thrust: Thrust;
  readonly indexAt: 'entry' | 'exit';
  readonly outside: number;
  readonly upright: boolean;
  /** null where not known */
  readonly offset: number | null;
  readonly tableTravel: number | null;
  readonly crossTravel: number | null;
  readonly kneeTravel: number | null;
  readonly roomUnder: number | null;
  readonly centreHeight: number | null;
  readonly collar: number | null;
  readonly jaw: { readonly gap: number | null; readonly across: number | null };
  readonly tail: { readonly gap: number | null; readonly across: number | null };
}

/**
 * How far the table has to go to either side of its middle, for one way of feeding.
 * Cutter against work, c, runs from before the entry to past the exit; the table stands at −(offset + c).
 */
export function tableNeeds({
  room: { cutting, stroke },
  offset,
  entry,
  indexAt,
}: {
  readonly room: Pick<Room, 'cutting' | 'stroke'>;
  readonly offset: number;
  readonly entry: 'left' | 'right';
  readonly indexAt: 'entry' | 'exit';
}): number {
  const half = cutting.face / 2;
  const start = half + stroke.approach + CLEAR_BY;
  const end = indexAt === 'entry' ? half + lagOf(cutting) : half + stroke.approach + CLEAR_BY;
  const [low, high] = entry === 'right' ? [-end, start] : [-start, end];
  return 2 * Math.max(Math.abs(offset + low), Math.abs(offset + high));
}

const fit = ({
  key,
  name,
  needs,
  has,
  remedies,
}: {
  readonly key: Fit['key'];
  readonly name: string;
  readonly needs: number;
  readonly has: number | null;
  readonly remedies: readonly string[];
}): Fit => {
  const fits = has === null ? null : needs <= has + 1e-9;
  return { key, name, needs, has, fits, remedies: fits === false ? remedies : [] };
};

const INCH_STEP = 20;

/** A move that is enough, in whole millimetres or twentieths of an inch. @param mm > 0 */
const atLeast = (mm: number, system: UnitSystem): string =>
  system === 'mm'
    ? `${Math.ceil(mm)} mm`
    : `${decimalText(Math.ceil((mm / 25.4) * INCH_STEP) / INCH_STEP, 2)} in`;

function tableFit(room: Room): Fit {
  const { stroke, indexAt, thrust, offset, tableTravel, cutting } = room;
  const needs =
    offset === null ? stroke.travel[indexAt] : tableNeeds({ room, offset, entry: thrust.entry, indexAt });
  const remedies: string[] = [];
  if (tableTravel !== null && offset !== null) {
    const otherWay = thrust.entry === 'left' ? 'right' : 'left';
    if (
      indexAt === 'exit' &&
      tableNeeds({ room, offset, entry: thrust.entry, indexAt: 'entry' }) <= tableTravel
    )
      remedies.push('Index where the cutter enters: the table need not run past the far side.');
    if (tableNeeds({ room, offset, entry: otherWay, indexAt }) <= tableTravel)
      remedies.push(`Feed the table to the ${otherWay}, and turn cutter and spindle round.`);
    const back = Math.max(0, (needs - tableTravel) / 2);
    if (back < Math.abs(offset))
      remedies.push(
        `Move the work ${atLeast(back, room.system)} nearer to the middle of the table, to the ${offset > 0 ? 'left' : 'right'}.`,
      );
  }
  const smaller = (tableTravel ?? 0) - cutting.face;
  if (smaller > 0) remedies.push('A smaller cutter needs less approach.');
  remedies.push('Fewer blanks at once.');
  return fit({ key: 'table', name: 'Travel of the table', needs, has: tableTravel, remedies });
}

/**
 * How far the cutter reaches along the work from its middle, at the height of something that stands beside
 * the blank. Source: by geometry; a disk laid over by β reaches a·cos β with its rim, and (w/2)·sin β more
 * with its side
 */
function reachAt({ cutting, outside }: Room, across: number): number {
  const above = across / 2 - (outside / 2 - cutting.depth);
  if (above <= 0) return 0;
  const { cutterDiameter, helixDeg } = cutting;
  const rim = above >= cutterDiameter / 2 ? cutterDiameter / 2 : Math.sqrt(above * (cutterDiameter - above));
  return rim * Math.cos(radiansOf(helixDeg)) + lagOf(cutting);
}

/** What stands beside the blank at one end: jaws, dog and head body, or tailstock. */
function endFit(room: Room, end: 'head-end' | 'tail-end'): Fit {
  const { gap, across } = end === 'head-end' ? room.jaw : room.tail;
  const atHead = end === 'head-end';
  const enters = room.thrust.entryAtHead === atHead;
  const past = enters || room.indexAt === 'exit' ? room.stroke.approach + CLEAR_BY : lagOf(room.cutting);
  // what is not measured is taken as large as the work
  const reach = reachAt(room, across ?? room.outside);
  const needs = reach === 0 ? 0 : past + reach;
  const name = atHead ? 'Gap to jaws or head' : 'Gap to the tailstock';
  const remedies = [
    atHead ? 'Hold it farther out, on a longer mandrel.' : 'A longer mandrel, or a half centre with a flat.',
    ...(enters && room.indexAt === 'entry' ? ['Start the cut from the other end.'] : []),
    ...(!enters && room.indexAt === 'exit'
      ? ['Index where the cutter enters: here it need only come through.']
      : []),
    'A smaller cutter.',
  ];
  return fit({ key: end, name, needs, has: gap, remedies });
}

/**
 * Everything that has to fit before anything is clamped.
 * Source: geometry, with the table’s travel taken as even to both sides of its middle, and the cutter’s
 * middle as over the table’s middle when the cross slide stands in the middle of its travel
 */
export function fitsOf(room: Room): readonly Fit[] {
  const { cutting, outside, upright, centreHeight, roomUnder, kneeTravel, crossTravel, collar } = room;
  const fits: Fit[] = [tableFit(room), endFit(room, 'head-end'), endFit(room, 'tail-end')];
  const apart = (outside + cutting.cutterDiameter) / 2;
  if (upright) {
    const needs = 2 * (apart + CLEAR_BY);
    fits.push(
      fit({
        key: 'cross',
        name: 'Cross travel',
        needs,
        has: crossTravel,
        remedies: [
          'Stand the head off the middle line of the table.',
          'A smaller cutter.',
          'Cut from the other side of the work.',
        ],
      }),
    );
  } else if (centreHeight !== null) {
    const high = centreHeight + apart + CLEAR_BY;
    fits.push(
      fit({
        key: 'height',
        name: 'Room under the arbor',
        needs: high,
        has: roomUnder,
        remedies: [
          'A lower head or blocks taken away.',
          'A smaller cutter.',
          'An upright spindle with a stub arbor, beside the work.',
        ],
      }),
    );
    if (roomUnder !== null && kneeTravel !== null)
      fits.push(
        fit({
          key: 'raise',
          name: 'Rise of the knee to depth',
          needs: roomUnder - (centreHeight + apart - cutting.depth),
          has: kneeTravel,
          remedies: ['Blocks under head and tailstock.', 'A larger cutter.'],
        }),
      );
  }
  const under = 2 * (cutting.depth + 1);
  fits.push(
    fit({
      key: 'collar',
      name: 'Cutter over its collars',
      needs: (collar ?? 0) + under,
      has: collar === null ? null : cutting.cutterDiameter,
      remedies: ['Smaller collars, turned down beside the cutter.', 'A larger cutter.'],
    }),
  );
  return fits;
}
