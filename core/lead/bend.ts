import {
  findNearTrains,
  findTrains,
  trainRatio,
  trainsBetween,
  type GearTable,
  type Train,
} from '../gearing/index.ts';
import { approx, type Exact } from '../units/index.ts';
import { angleOfLead, helixLead } from './lead.ts';
import { leadOf } from './leadTrains.ts';

/** A helical gear whose angle may still move. */
export interface Bending {
  readonly teeth: number;
  readonly normalModule: number;
  /** radians */
  readonly helixAngle: number;
  /** How far it may move either way, radians. */
  readonly give: number;
}

/** An angle at which a train of the owned gears cuts the lead with no error at all. */
export interface BentAngle {
  readonly train: Train;
  readonly lead: Exact;
  /** radians */
  readonly helixAngle: number;
}

const clamp = (angle: number): number => Math.min(Math.PI / 2 - 1e-6, Math.max(1e-4, angle));

/** Ratios drivers/drivens at the two ends of what the angle may be. */
function window(
  { teeth, normalModule, helixAngle, give }: Bending,
  machine: Exact,
): readonly [number, number] {
  const at = (angle: number) => approx(machine) / helixLead(teeth, normalModule, clamp(angle));
  return [at(helixAngle - give), at(helixAngle + give)];
}

interface BendSearch {
  readonly table: GearTable;
  /** Lead of the machine, mm, exact. */
  readonly machine: Exact;
  readonly bending: Bending;
  readonly compound: boolean;
  readonly most: number;
  /** Which angles may be taken, radians. */
  readonly keep?: (helixAngle: number) => boolean;
}

/** Of what may be given, where the search begins: it is widened until it has found enough. */
const FIRST_LOOK = 1 / 256;

/**
 * Angles near the wanted one whose lead the owned gears cut exactly, the nearest first; of trains with one
 * ratio the plainest. A great many gears cut more leads within a few degrees than could be listed: looked for
 * close by first, and further off only while there are too few.
 * Source: sin β = π·z·m_n/L turned round; checked against a fine scan, and against the whole search, in the
 * test
 */
export function bendAngle({ keep = () => true, most, ...search }: BendSearch): readonly BentAngle[] {
  const { give } = search.bending;
  for (let part = FIRST_LOOK; ; part = Math.min(1, part * 2)) {
    const found = bentWithin(search, give * part).filter(({ helixAngle }) => keep(helixAngle));
    // all that lies within is nearer than anything outside
    if (found.length >= most || part === 1) return found.slice(0, most);
  }
}

function bentWithin(
  { table, machine, bending: drawn, compound }: Omit<BendSearch, 'most' | 'keep'>,
  give: number,
): readonly BentAngle[] {
  const bending = { ...drawn, give };
  const [low, high] = window(bending, machine);
  const away = ({ helixAngle }: BentAngle) => Math.abs(helixAngle - bending.helixAngle);
  return trainsBetween({ table, low, high, compound })
    .flatMap((train) => {
      const lead = leadOf(train, machine);
      const helixAngle = angleOfLead(bending.teeth, bending.normalModule, approx(lead));
      return helixAngle === null ? [] : [{ train, lead, helixAngle }];
    })
    .sort((a, b) => away(a) - away(b));
}

/** One angle for both gears of a pair on parallel shafts. */
export interface PairAngle {
  /** radians */
  readonly helixAngle: number;
  readonly trains: readonly [Train, Train];
  /** Are both leads cut with no error at this angle? */
  readonly exact: boolean;
  /** What the second lead is off, as a part of itself; the first is exact. */
  readonly off: number;
}

/** Angles at which a pair is looked for, the nearest: with the stock gears many times all there are. */
const MOST_ANGLES = 20_000;

/**
 * Angles about which the mate's nearest train is looked for, when there is no exact one. With the stock gears
 * that is all there are.
 */
const MOST_NEAR = 4000;

/**
 * Angles that serve both gears of a pair: where the first gear’s lead is cut exactly, the second’s train
 * stands to the first’s as their counts do; it is had exactly, or as near as the gears come.
 * @param mateTeeth of the second gear @param keep which angles may be taken, radians
 * @returns exact ones first, then by how far the second is off, then by the angle moved
 */
export function bendPair({
  mateTeeth,
  most,
  ...search
}: BendSearch & { readonly mateTeeth: number }): readonly PairAngle[] {
  const { table, bending, compound } = search;
  const angles = bendAngle({ ...search, most: MOST_ANGLES });
  const found = angles.map(({ train, helixAngle }, i): PairAngle | null => {
    const wanted = trainRatio(train).mul(bending.teeth).div(mateTeeth);
    const [same] = findTrains({
      table,
      over: Number(wanted.n),
      under: Number(wanted.d),
      trainSearch: { compound },
    });
    if (same) return { helixAngle, trains: [train, same], exact: true, off: 0 };
    const [near] = i < MOST_NEAR ? findNearTrains(table, approx(wanted), { compound, most: 1 }) : [];
    if (!near) return null;
    return {
      helixAngle,
      trains: [train, near],
      exact: false,
      off: approx(wanted) / approx(trainRatio(near)) - 1,
    };
  });
  const moved = ({ helixAngle }: PairAngle) => Math.abs(helixAngle - bending.helixAngle);
  return found
    .filter((one) => one !== null)
    .sort(
      (a, b) => Number(b.exact) - Number(a.exact) || Math.abs(a.off) - Math.abs(b.off) || moved(a) - moved(b),
    )
    .slice(0, most);
}
