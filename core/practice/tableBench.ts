import { fail, ok, type Result } from '../findings/index.ts';
import { stationOf, type PartPlan } from '../plan/index.ts';
import type { Run } from '../run/index.ts';
import { SCREW_SLACK } from '../trouble/index.ts';
import { approx, exact, radiansOf } from '../units/index.ts';
import { isSlotted, type TableBench } from './bench.ts';
import { rackForm, slotForm } from './form.ts';

/** The bar goes on so many spaces at either end. */
const BEYOND = 1.25;
/** A bar is so many times as high as it is cut. */
const HIGH = 4;

/**
 * The bench of a table that divides: a rack, or slots in a row.
 * @param rackAngleDeg of the rack’s cutter, which no card asks for
 * Issues: practice-waits, with what is lacking; practice-other for work that is not handled here
 */
export function tableBench(part: PartPlan, run: Run, rackAngleDeg: number): Result<TableBench> {
  const wrong = { path: '', severity: 'wrong' } as const;
  const setup = stationOf(part, 'setup')?.detail;
  const drawing = stationOf(part, 'spacing')?.detail.drawing;
  const { move } = run;
  const rack = run.divides === 'tooth-space';
  if (move.method !== 'table' || !drawing || !(rack || isSlotted(run)))
    return fail({ ...wrong, code: 'practice-other', given: run.gear });
  const { diameter = null, width = null } = setup?.cutter ?? {};
  const face = setup?.face ?? null;
  const depth = run.rounds.at(-1)?.depthMm ?? null;
  const lacking = [
    ...(diameter ? [] : ['the diameter of the cutter']),
    ...(rack || width ? [] : ['the width of the cutter']),
    ...(face ? [] : ['the width that is cut across']),
    ...(depth ? [] : ['the depth']),
  ];
  if (lacking.length > 0 || !diameter || !face || !depth)
    return fail({ ...wrong, code: 'practice-waits', given: lacking.join(', ') });
  const pitch = drawing.step;
  const module = pitch / Math.PI;
  const pressureAngle = radiansOf(rackAngleDeg);
  return ok({
    on: 'table',
    run,
    bar: {
      pitch,
      rack: rack ? { module, angleDeg: rackAngleDeg } : null,
      high: HIGH * depth,
      lies: { from: -BEYOND * pitch, length: (run.divisions - 1 + 2 * BEYOND) * pitch },
    },
    screw: { lead: approx(exact(move.lead)), marks: move.marks },
    slack: SCREW_SLACK,
    form: rack ? rackForm({ module, pressureAngle, depth }, diameter) : slotForm(width!, diameter),
    face,
    teeth: run.divisions,
  });
}
