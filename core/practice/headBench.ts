import { fail, ok, type Result } from '../findings/index.ts';
import type { GearDrawing } from '../involute/index.ts';
import { stationOf, type PartPlan } from '../plan/index.ts';
import type { Run } from '../run/index.ts';
import { exact } from '../units/index.ts';
import { isSlotted, type HeadBench } from './bench.ts';
import { exactGear } from './exactGear.ts';
import { formCutter, slotForm, type CutterForm } from './form.ts';
import type { Gearing } from './geared.ts';
import { helicalForm } from './helicalForm.ts';
import { rimForm, rimOf } from './rim.ts';

/** A worm that is well adjusted. Common practice. */
const SLACK = exact(1, 24);

/** The count a part’s cutter is exact for. */
function madeFor(part: PartPlan, teeth: number): number {
  const detail = stationOf(part, 'cutter')?.detail;
  return detail?.inForce?.madeFor ?? detail?.chosen?.range.from ?? teeth;
}

/** Teeth of a gear so large that nobody tells its cutter from a rack’s. */
const AS_GOOD_AS_A_RACK = 2000;

/** Of a run that divides by gears, or of one whose table is geared. */
function gearingOf(part: PartPlan, { move, helix, head }: Run): Gearing | null {
  if (move.method === 'differential') {
    const setId = head?.differential?.gearSetId ?? null;
    return { between: 'spindle', train: move.train, idlers: move.idlers, setId };
  }
  const planned = stationOf(part, 'lead')?.detail;
  const lead = helix && planned?.inForce;
  return lead
    ? { between: 'screw', train: lead.train, idlers: lead.idlers, setId: planned?.gearSet?.id ?? null }
    : null;
}

type Turned = Pick<
  HeadBench,
  'ratio' | 'gearing' | 'plates' | 'helix' | 'circles' | 'ring' | 'wheel' | 'motor'
>;

/** What turns the work, as it was frozen. */
function turnedBy(part: PartPlan, run: Run, head: NonNullable<Run['head']>): Turned {
  const { move } = run;
  const plate = 'plateId' in move ? head.plates.find(({ id }) => id === move.plateId) : null;
  return {
    ratio: exact(head.ratio),
    gearing: gearingOf(part, run),
    plates: head.plates,
    helix: run.helix && {
      lead: run.helix.lead,
      drawnLead: stationOf(part, 'lead')?.detail.wanted ?? run.helix.lead,
      hand: run.helix.hand,
    },
    circles: plate && 'side' in move ? plate.sides[move.side]!.circles : [],
    ring: move.method === 'direct' ? move.holes : null,
    wheel: move.method === 'handwheel' ? { marks: move.marks, vernier: move.vernier } : null,
    motor: move.method === 'stepper' ? { stepsPerTurn: exact(move.stepsPerTurn) } : null,
  };
}

/** The form of the cutter for a gear, of the count it is exact for. */
function gearForm(part: PartPlan, gear: GearDrawing, helix: Turned['helix'], diameter: number): CutterForm {
  const cutterTeeth = Math.min(AS_GOOD_AS_A_RACK, madeFor(part, gear.teeth));
  if (!helix) return formCutter(exactGear(gear, cutterTeeth), diameter);
  // the table is swung for the drawing, whatever the gears come to
  return helicalForm({ gear, lead: helix.drawnLead, cutterTeeth, diameter });
}

/**
 * The bench of a head for a part that is ready to be cut.
 * Issues: practice-waits, with what is lacking; practice-other for work that is not handled here
 */
export function headBench(part: PartPlan, run: Run): Result<HeadBench> {
  const wrong = { path: '', severity: 'wrong' } as const;
  const gear = stationOf(part, 'blank')?.detail.drawing ?? null;
  const setup = stationOf(part, 'setup')?.detail;
  const { move, head } = run;
  // a ring between spindle and work turns the work alone, for which there is nothing to handle here
  const handled = move.method === 'direct' ? !move.onWork : move.method !== 'table';
  // past the worm the table drives the spindle itself, and no crank divides
  const driven = run.helix === null || run.helix.drive === 'worm';
  const rim = rimOf(part);
  // holes and marks have no form cutter
  const slotted = isSlotted(run);
  const formed = gear !== null || rim !== null || run.divides === 'flat' || slotted;
  if (!formed || !head || !driven || (run.laid && !rim) || !handled)
    return fail({ ...wrong, code: 'practice-other', given: run.gear });
  const outside = rim ? 2 * rim.radii[1] : run.outside;
  const { diameter = null, width = null } = setup?.cutter ?? {};
  const face = gear ? gear.faceWidth : (setup?.face ?? null);
  const deep = run.rounds.at(-1)?.depthMm ?? null;
  const lacking = [
    ...(diameter ? [] : ['the diameter of the cutter']),
    ...(slotted && !width ? ['the width of the cutter'] : []),
    ...(face ? [] : ['the width of the face']),
    ...(outside ? [] : ['the outside of the blank']),
    ...(deep === null ? ['the depth'] : []),
  ];
  if (lacking.length > 0 || !diameter || !face || !outside)
    return fail({ ...wrong, code: 'practice-waits', given: lacking.join(', ') });
  const turned = turnedBy(part, run, head);
  return ok({
    on: 'head',
    run,
    ...turned,
    ...{ gear, rim },
    form: rim
      ? rimForm(rim, { diameter, cutterTeeth: madeFor(part, rim.gear.teeth) })
      : gear
        ? gearForm(part, gear, turned.helix, diameter)
        : // a flat is cut across, wider than it ever is
          slotForm(slotted ? width! : 2 * outside, diameter),
    outside,
    face,
    teeth: gear?.teeth ?? run.divisions,
    slack: SLACK,
  });
}
