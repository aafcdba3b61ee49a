import { tableOfGears, type OwnedGear, type Train } from '../gearing/index.ts';
import { approx, exact, exactText, radiansOf, degreesOf } from '../units/index.ts';
import type { Give } from './give.ts';
import { bendAngle, bendPair } from './bend.ts';
import { angleOfLead, helixLead } from './lead.ts';
import { judgeTrain, leadOf } from './leadTrains.ts';

/**
 * What may move, and how far, to find an angle whose lead the gears cut. Plain data: it goes between threads.
 */
export interface BendQuestion {
  readonly gears: readonly OwnedGear[];
  /** Lead of the machine, mm, exact text. */
  readonly machine: string;
  readonly compound: boolean;
  readonly teeth: number;
  /** mm */
  readonly normalModule: number;
  readonly addendum: number;
  readonly faceWidth: number;
  /** Degrees. */
  readonly helixDeg: number;
  /** Of the mate on parallel shafts; null where there is none. */
  readonly mateTeeth: number | null;
  /** Where the shafts stand, mm; null: where they would at the angle as drawn. */
  readonly centre: number | null;
  readonly give: Give;
}

/** The gear as drawn, with its mate, as far as an angle is bent from it. */
export type BendBasis = Pick<
  BendQuestion,
  'teeth' | 'normalModule' | 'addendum' | 'helixDeg' | 'mateTeeth' | 'centre'
>;

/** An angle that the gears cut. Lengths mm, angles degrees. */
export interface Bent {
  readonly helixDeg: number;
  /** From the angle as drawn. */
  readonly moved: number;
  readonly train: Train;
  readonly lead: number;
  readonly leadText: string;
  readonly tipDiameter: number;
  /** Null where there is no mate. */
  readonly centre: number | null;
}

/** An angle that serves both gears of a pair. */
export interface BentPair extends Bent {
  readonly mateTrain: Train;
  readonly mateLead: number;
  readonly mateTipDiameter: number;
  readonly exact: boolean;
  /**
   * How far the tooth strays over the face, µm, this gear’s and the mate’s; 0 when exact, else the error
   * shared between both.
   */
  readonly overFace: number;
  readonly mateOverFace: number;
}

export interface BendAnswer {
  readonly single: readonly Bent[];
  /** Null where there is no mate. */
  readonly pair: readonly BentPair[] | null;
}

/**
 * Angles near the one drawn whose lead the owned gears cut: for this gear, and one angle for it and its mate.
 * Nothing is moved further than the person allows. Run it off the thread that draws.
 * @param most of each to return
 * Source: docs/sources.md#lead; checked against a fine scan of the angle in the test
 */
export function searchBends(question: BendQuestion, most = 24): BendAnswer {
  const { teeth, normalModule, addendum, faceWidth, helixDeg, mateTeeth, give, compound } = question;
  const table = tableOfGears(question.gears);
  const machine = exact(question.machine);
  const tip = (count: number, angle: number) => (count * normalModule) / Math.cos(angle) + 2 * addendum;
  const between = (angle: number) =>
    mateTeeth === null ? null : (normalModule * (teeth + mateTeeth)) / (2 * Math.cos(angle));
  const drawn = radiansOf(helixDeg);
  const wanted = question.centre ?? between(drawn);
  const keep = (angle: number): boolean => {
    const centre = between(angle);
    const shifted = centre === null || wanted === null ? 0 : Math.abs(centre - wanted);
    if (give.centre !== null && shifted > give.centre + 1e-9) return false;
    return give.diameter === null || Math.abs(tip(teeth, angle) - tip(teeth, drawn)) <= give.diameter + 1e-9;
  };
  const bending = { teeth, normalModule, helixAngle: drawn, give: radiansOf(give.angle) };
  const bent = (angle: number, train: Train): Bent => {
    const lead = leadOf(train, machine);
    return {
      helixDeg: degreesOf(angle),
      moved: degreesOf(angle) - helixDeg,
      train,
      lead: approx(lead),
      leadText: exactText(lead),
      tipDiameter: tip(teeth, angle),
      centre: between(angle),
    };
  };
  const single = bendAngle({ table, machine, bending, compound, most, keep }).map(({ helixAngle, train }) =>
    bent(helixAngle, train),
  );
  if (mateTeeth === null) return { single, pair: null };
  const stray = (train: Train, count: number, angle: number): number => {
    const lead = helixLead(count, normalModule, angle);
    const pitchDiameter = (count * normalModule) / Math.cos(angle);
    return judgeTrain(train, machine, { lead, pitchDiameter, faceWidth }).overFace;
  };
  const pair = bendPair({ table, machine, bending, mateTeeth, compound, most, keep }).map(
    (found): BentPair => {
      const [own, other] = found.trains;
      const mateLead = approx(leadOf(other, machine));
      // where the second would be exact; half way between, either gear bears half of what is left
      const second = angleOfLead(mateTeeth, normalModule, mateLead) ?? found.helixAngle;
      const half = (found.helixAngle + second) / 2;
      const angle = found.exact || !keep(half) ? found.helixAngle : half;
      return {
        ...bent(angle, own),
        mateTrain: other,
        mateLead,
        mateTipDiameter: tip(mateTeeth, angle),
        exact: found.exact,
        overFace: found.exact ? 0 : stray(own, teeth, angle),
        mateOverFace: found.exact ? 0 : stray(other, mateTeeth, angle),
      };
    },
  );
  return { single, pair };
}
