import { trainRatio, type Train } from '../gearing/index.ts';
import { approx, exact, exactText, type Exact } from '../units/index.ts';

/**
 * Turns of the spindle for a travel of the table, through screw, train and worm, all exact.
 * @param travel mm @param screwLead mm @param ratio R, turns of the worm for one of the spindle; 1 past the worm
 * @returns turns, exact; the hand is left aside
 * Source: kinematics of the train; a travel of one lead is one turn
 */
export function spindleTurns(travel: Exact, screwLead: Exact, train: Train, ratio: Exact): Exact {
  return travel.div(screwLead).mul(trainRatio(train)).div(ratio);
}

/** What the motion of table, train and crank together has shown. */
export interface HelixProof {
  readonly spaces: number;
  /** Does every space begin where it should and turn by the same over the face? */
  readonly even: boolean;
  /** Part of a turn the work makes over the face, exact text. */
  readonly advance: string;
  /** Travel for one whole turn as the motion gives it, mm, exact text. */
  readonly lead: string;
  /** Furthest that a point of a tooth leaves the helix as drawn, on the pitch cylinder, µm. */
  readonly worst: number;
}

/** Places along the face that are looked at. */
const STATIONS = 8;

/**
 * Runs every space from one end of the face to the other: the crank has set the work, the table travels, and the train
 * turns it further.
 * @param starts where each space begins, in exact turns, in cutting order @param should the same as it should be
 * @param face mm @param drawn the lead the drawing asks for, mm @param pitchDiameter mm
 */
export function proveHelix(
  drive: { readonly screwLead: Exact; readonly train: Train; readonly ratio: Exact },
  starts: readonly Exact[],
  should: readonly Exact[],
  {
    face,
    drawn,
    pitchDiameter,
  }: { readonly face: Exact; readonly drawn: number; readonly pitchDiameter: number },
): HelixProof {
  const { screwLead, train, ratio } = drive;
  const turnsAt = (travel: Exact) => spindleTurns(travel, screwLead, train, ratio);
  const over = turnsAt(face);
  let worst = 0;
  for (let i = 0; i <= STATIONS; i += 1) {
    const travel = face.mul(exact(i, STATIONS));
    const off = approx(turnsAt(travel)) - approx(travel) / drawn;
    worst = Math.max(worst, Math.abs(off) * Math.PI * pitchDiameter * 1000);
  }
  const even = starts.every((start, k) => {
    const end = start.add(over);
    return start.equals(should[k]!) && end.sub(should[k]!).equals(over);
  });
  return {
    spaces: starts.length,
    even,
    advance: exactText(over),
    lead: exactText(screwLead.mul(ratio).div(trainRatio(train))),
    worst,
  };
}
