import {
  compareTrains,
  findNearTrains,
  findNearTrainsOfSix,
  trainRatio,
  type GearTable,
  type Train,
} from '../gearing/index.ts';
import { approx, type Exact } from '../units/index.ts';

/** A train between table screw and worm, the lead it cuts, and what that does to the gear. */
export interface LeadTrain {
  /** First driver on the table screw, last driven on the worm shaft. */
  readonly train: Train;
  /** mm, exact. */
  readonly lead: Exact;
  /** At the pitch cylinder of the gear as planned, radians. */
  readonly helixAngle: number;
  /**
   * How far the tooth has gone astray round the pitch cylinder at the other end of the face, µm; more than 0:
   * too steep.
   */
  readonly overFace: number;
}

export interface LeadAsked {
  /** mm */
  readonly lead: number;
  /** Of the gear, mm. */
  readonly pitchDiameter: number;
  readonly faceWidth: number;
}

/** The lead a train cuts: the machine’s, times drivens over drivers. @returns mm, exact */
export const leadOf = (train: Train, machine: Exact): Exact => machine.div(trainRatio(train));

/** What a train does to a gear. @param machine lead of the machine, mm, exact */
export function judgeTrain(
  train: Train,
  machine: Exact,
  { lead, pitchDiameter, faceWidth }: LeadAsked,
): LeadTrain {
  const cut = leadOf(train, machine);
  const round = Math.PI * pitchDiameter;
  const steep = round / approx(cut);
  return {
    train,
    lead: cut,
    helixAngle: Math.atan(steep),
    overFace: faceWidth * (steep - round / lead) * 1000,
  };
}

/** Errors under this cannot be told on any gear, µm: there the plainer train comes first. */
const UNSEEN = 0.05;

export interface LeadSearch {
  readonly compound: boolean;
  /** Also six gears, on two studs? */
  readonly six?: boolean;
  readonly most: number;
}

/**
 * The trains of the owned gears whose lead does least harm over the face, the least first and the plainer of
 * two alike.
 * @param machine lead of the machine, mm, exact
 * @returns empty when no gears are owned
 * Source: ratio drivers/drivens = L0/L, Machinery’s Handbook, helical milling; checked against every train in
 * the test
 */
export function findLeadTrains({
  table,
  machine,
  asked,
  leadSearch: { compound, six = false, most },
}: {
  readonly table: GearTable;
  readonly machine: Exact;
  readonly asked: LeadAsked;
  readonly leadSearch: LeadSearch;
}): readonly LeadTrain[] {
  const wanted = approx(machine) / asked.lead;
  const near = findNearTrains(table, wanted, { compound, most });
  if (six) near.push(...findNearTrainsOfSix(table, wanted, most));
  const size = ({ overFace }: LeadTrain) => Math.round(Math.abs(overFace) / UNSEEN);
  return near
    .map((train) => judgeTrain(train, machine, asked))
    .sort((a, b) => size(a) - size(b) || compareTrains(a.train, b.train))
    .slice(0, most);
}

/** The shortest and the longest lead that any train of these gears cuts; null when there is none. mm */
export function reachOfLeads(
  table: GearTable,
  machine: Exact,
  compound: boolean,
): readonly [number, number] | null {
  const at = (wanted: number) => findNearTrains(table, wanted, { compound, most: 1 })[0];
  const [fastest, slowest] = [at(1e9), at(0)];
  if (!fastest || !slowest) return null;
  return [approx(leadOf(fastest, machine)), approx(leadOf(slowest, machine))];
}

/**
 * Idlers for a hand, by the custom rule: a right-hand lead goes through an even number of meshes between
 * screw and worm, a left-hand one through an odd number; two shafts apart are never joined by a simple train
 * without one. Common practice; heads differ in how many wheels they hide, so a scribed line has the last
 * word.
 */
export function usualLeadIdlers({ second, third }: Train, hand: 'right' | 'left'): 0 | 1 | 2 {
  const right = second && !third ? 0 : 1;
  if (hand === 'right') return right;
  return second ? (third ? 0 : 1) : 2;
}
