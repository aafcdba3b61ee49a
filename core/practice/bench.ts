import { fail, ok, type Result } from '../findings/index.ts';
import type { GearDrawing } from '../involute/index.ts';
import { deeperForThinning } from '../mesh/index.ts';
import { stationOf, type PartPlan } from '../plan/index.ts';
import type { Run } from '../run/index.ts';
import type { Head } from '../shop/index.ts';
import { exact, type Exact } from '../units/index.ts';
import type { Gearing } from './geared.ts';
import { helicalForm } from './helicalForm.ts';
import { formCutter, type AlongFace, type CutterForm } from './work.ts';

type Plate = Head['plates'][number];

/** What stands on the practice bench: a run’s own head, work and cutter. Lengths mm. */
export interface PracticeBench {
  readonly run: Run;
  /** Turns of the crank for one of the spindle. */
  readonly ratio: Exact;
  /** The gears it is made ready with; null where none turn the plate. */
  readonly gearing: Gearing | null;
  /**
   * Table, gears, plate and worm turn the work as it travels: once in the lead that the gears give, which may
   * be a little off the one that is drawn, mm. Null for straight teeth.
   */
  readonly helix: {
    readonly lead: number;
    readonly drawnLead: number;
    readonly hand: 'right' | 'left';
  } | null;
  /** Plates of the head: another may be put on. */
  readonly plates: readonly Plate[];
  /** Circles of the side it is made ready with; the ring’s one circle where it divides directly. */
  readonly circles: readonly number[];
  readonly ring: number | null;
  /** A graduated handwheel in the crank’s place: its marks, and the parts of one that its vernier reads. */
  readonly wheel: { readonly marks: number; readonly vernier: number } | null;
  /** A motor on the worm: its steps for one turn of the work. */
  readonly motor: { readonly stepsPerTurn: Exact } | null;
  /** The gear as the card plans it. */
  readonly gear: GearDrawing;
  readonly form: CutterForm;
  readonly outside: number;
  readonly face: number;
  readonly teeth: number;
  /** How much of a turn the crank goes back before the worm takes the work along. */
  readonly slack: Exact;
  /* What may be wrong with it without being seen; left out where nothing is. mm */
  /** How far the blank’s middle is from the spindle’s. */
  readonly eccentric?: number;
  /** The cutter beside the middle while the dial says 0. */
  readonly besideOff?: number;
  /** The depth is less than the dial says. */
  readonly depthLost?: number;
  /** Where the cutter enters, in the middle, where it leaves: the work lies lower, or to the side. */
  readonly away?: AlongFace;
  readonly aside?: AlongFace;
  /** The table stands so much farther on than its dial says. */
  readonly tableOff?: number;
  /** The motor loses so many steps in the move of this place, and says nothing. */
  readonly missed?: { readonly move: number; readonly steps: number };
  /** The key is there, and holds nothing. */
  readonly sheared?: boolean;
}

/** Does a pin divide on a plate, and not a wheel, a motor or the spindle’s own ring? */
export const hasPlate = ({ ring, wheel, motor }: PracticeBench): boolean =>
  ring === null && wheel === null && motor === null;

/** A worm that is well adjusted. Common practice. */
const SLACK = exact(1, 24);

/** The count a part’s cutter is exact for. */
function madeFor(part: PartPlan, teeth: number): number {
  const detail = stationOf(part, 'cutter')?.detail;
  return detail?.inForce?.madeFor ?? detail?.chosen?.range.from ?? teeth;
}

/** The gear of another count that this cutter would cut exactly, as deep as it is made to go. */
export function exactGear(gear: GearDrawing, teeth: number): GearDrawing {
  const module = gear.pitchDiameter / gear.teeth;
  const addendum = (gear.tipDiameter - gear.pitchDiameter) / 2;
  const nominal = (Math.PI * module) / 2;
  const thinned = nominal - gear.toothThickness;
  const deeper = thinned > 1e-9 ? deeperForThinning(thinned, gear.pressureAngle, teeth) : 0;
  const depth = (gear.tipDiameter - gear.rootDiameter) / 2 - deeper;
  const pitchDiameter = module * teeth;
  return {
    teeth,
    pitchDiameter,
    tipDiameter: pitchDiameter + 2 * addendum,
    rootDiameter: pitchDiameter + 2 * addendum - 2 * depth,
    baseDiameter: pitchDiameter * Math.cos(gear.pressureAngle),
    pressureAngle: gear.pressureAngle,
    toothThickness: nominal,
  };
}

/** Teeth of a gear so large that nobody tells its cutter from a rack’s. */
const AS_GOOD_AS_A_RACK = 2000;

/** Of a run that divides by gears, or of one whose table is geared. */
function gearingOf(part: PartPlan, { move, helix }: Run): Gearing | null {
  if (move.method === 'differential') return { between: 'spindle', train: move.train, idlers: move.idlers };
  const lead = helix && stationOf(part, 'lead')?.detail.inForce;
  // six gears are not changed by hand here
  return lead && !lead.train.third ? { between: 'screw', train: lead.train, idlers: lead.idlers } : null;
}

/**
 * The bench for a part that is ready to be cut.
 * Issues: practice-waits, with what is lacking; practice-other for work that is not handled here
 */
export function benchOf(part: PartPlan, run: Run): Result<PracticeBench> {
  const wrong = { path: '', severity: 'wrong' } as const;
  const drawing = stationOf(part, 'blank')?.detail.drawing;
  const setup = stationOf(part, 'setup')?.detail;
  const { move, head } = run;
  // a ring between spindle and work turns the work alone, for which there is nothing to handle here
  const handled = move.method === 'direct' ? !move.onWork : move.method !== 'table';
  // past the worm the table drives the spindle itself, and no crank divides
  const driven = run.helix === null || run.helix.drive === 'worm';
  if (!drawing || !head || !driven || run.laid || !handled)
    return fail({ ...wrong, code: 'practice-other', given: run.gear });
  const lacking = [
    ...(setup?.cutter.diameter ? [] : ['the diameter of the cutter']),
    ...(drawing.faceWidth ? [] : ['the width of the face']),
    ...(run.outside ? [] : ['the outside of the blank']),
  ];
  if (lacking.length > 0 || !setup?.cutter.diameter || !drawing.faceWidth || !run.outside)
    return fail({ ...wrong, code: 'practice-waits', given: lacking.join(', ') });
  const exactFor = Math.min(AS_GOOD_AS_A_RACK, madeFor(part, drawing.teeth));
  const plate = 'plateId' in move ? head.plates.find(({ id }) => id === move.plateId) : null;
  const helix = run.helix && {
    lead: run.helix.lead,
    drawnLead: stationOf(part, 'lead')?.detail.wanted ?? run.helix.lead,
    hand: run.helix.hand,
  };
  return ok({
    run,
    ratio: exact(head.ratio),
    gearing: gearingOf(part, run),
    plates: head.plates,
    helix,
    circles: plate && 'side' in move ? plate.sides[move.side]!.circles : [],
    ring: move.method === 'direct' ? move.holes : null,
    wheel: move.method === 'handwheel' ? { marks: move.marks, vernier: move.vernier } : null,
    motor: move.method === 'stepper' ? { stepsPerTurn: exact(move.stepsPerTurn) } : null,
    gear: drawing,
    form: helix
      ? helicalForm({
          gear: drawing,
          // the table is swung for the drawing, whatever the gears come to
          lead: helix.drawnLead,
          cutterTeeth: exactFor,
          diameter: setup.cutter.diameter,
        })
      : formCutter(exactGear(drawing, exactFor), setup.cutter.diameter),
    outside: run.outside,
    face: drawing.faceWidth,
    teeth: drawing.teeth,
    slack: SLACK,
  });
}
