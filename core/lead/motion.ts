import { meshesOf, trainRatio, type Train } from '../gearing/index.ts';
import { approx, exact, exactText, type Exact } from '../units/index.ts';

/**
 * Turns of the spindle for a travel of the table, through screw, train and worm, all exact.
 * @param travel mm @param screwLead mm @param ratio R, turns of the worm for one of the spindle; 1 past the
 * worm
 * @returns turns, exact; the hand is left aside
 * Source: kinematics of the train; a travel of one lead is one turn
 */
export function spindleTurns({
  travel,
  screwLead,
  train,
  ratio,
}: {
  readonly travel: Exact;
  readonly screwLead: Exact;
  readonly train: Train;
  readonly ratio: Exact;
}): Exact {
  return travel.div(screwLead).mul(trainRatio(train)).div(ratio);
}

/** What the motion of table, train and crank together has shown. */
export interface HelixProof {
  readonly spaces: number;
  /** Does every tooth space begin in a place of its own, all of them evenly round the work? */
  readonly even: boolean;
  /** Part of a turn the work makes over the face, exact text. */
  readonly advance: string;
  /** Travel for one whole turn as the motion gives it, mm, exact text. */
  readonly lead: string;
  /** Furthest that a point of any tooth leaves the helix as drawn, on the pitch cylinder, µm. */
  readonly worst: number;
}

/** How the table turns the work. */
interface LeadDrive {
  /** mm for a turn of the table's screw. */
  readonly screwLead: Exact;
  readonly train: Train;
  /** R; 1 past the worm. */
  readonly ratio: Exact;
}

/** Places along the face that are looked at. */
const STATIONS = 8;

/**
 * The mill with its table geared to the work: what the hand has divided stands, and the table's travel turns
 * it further, from the screw through each mesh to the worm. Which way round is left aside.
 */
class GearedTable {
  #table = exact(0);
  #byTrain = exact(0);

  constructor(private readonly drive: LeadDrive) {}

  /** Winds the table on, or back. @param by mm */
  travel(by: Exact): void {
    const { screwLead, train, ratio } = this.drive;
    let shaft = by.div(screwLead);
    for (const { driver, driven } of meshesOf(train)) shaft = shaft.mul(driver).div(driven);
    this.#table = this.#table.add(by);
    this.#byTrain = this.#byTrain.add(shaft.div(ratio));
  }

  get position(): Exact {
    return this.#table;
  }

  /** Where the work stands, turns. @param divided what the hand has made of it */
  work(divided: Exact): Exact {
    return divided.add(this.#byTrain);
  }
}

/**
 * Cuts every space on the geared table: divided at the start of the face, run through to its end, run back.
 * What comes out is laid beside the drawing: as many spaces as it asks for, evenly round, each turning once
 * in the lead it asks for.
 * @param divided where the hand has brought the work for each space, in cutting order, exact turns
 * @param face mm @param drawn the lead the drawing asks for, mm @param pitchDiameter mm
 */
export function proveHelix(
  drive: LeadDrive,
  divided: readonly Exact[],
  {
    face,
    drawn,
    pitchDiameter,
  }: { readonly face: Exact; readonly drawn: number; readonly pitchDiameter: number },
): HelixProof {
  const spaces = divided.length;
  const mill = new GearedTable(drive);
  const taken = new Set<number>();
  let even = true;
  let worst = 0;
  let over = exact(0);
  for (const [k, place] of divided.entries()) {
    // all are turned by the same gears: the first is looked at on its way, the others at both ends
    const looks = k === 0 ? STATIONS : 1;
    const step = face.div(looks);
    const begun = mill.work(place);
    const nth = approx(begun.mul(spaces));
    const whole = Math.round(nth);
    even &&= begun.mul(spaces).equals(whole) && !taken.has(mod(whole, spaces));
    taken.add(mod(whole, spaces));
    for (let i = 0; i <= looks; i += 1) {
      if (i > 0) mill.travel(step);
      const should = whole / spaces + approx(mill.position) / drawn;
      const off = approx(mill.work(place)) - should;
      worst = Math.max(worst, Math.abs(off) * Math.PI * pitchDiameter * 1000);
    }
    over = mill.work(place).sub(begun);
    mill.travel(face.neg());
  }
  return {
    spaces,
    even: even && mill.position.equals(0),
    advance: exactText(over),
    lead: over.equals(0) ? '0' : exactText(face.div(over)),
    worst,
  };
}

const mod = (value: number, by: number): number => ((value % by) + by) % by;
