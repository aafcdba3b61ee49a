import {
  cutterInForce,
  finishPart,
  gearingOf,
  withProof,
  type CutterInForce,
  type PartGround,
  type PartPlan,
} from '../../card/index.ts';
import { planBlank } from '../../blank/index.ts';
import { planCut } from '../../cut/index.ts';
import { countFor, cutterFor, judgeCutter, planCutter, type CutterNeed } from '../../cutter/index.ts';
import { countAim, planDividing } from '../../dividing/index.ts';
import { planGear, readGear, type GearReadings, type SpurSizes } from '../../gear/index.ts';
import { planInspect } from '../../inspect/index.ts';
import { layingFor, planLead, type BendBasis, type LeadPlanned } from '../../lead/index.ts';
import { planSetup } from '../../setup/index.ts';
import type { ToothForm } from '../../toothform/index.ts';
import { approx, type UnitSystem } from '../../units/index.ts';
import { isCutTogether } from './together.ts';
import { planArrived } from './arrived.ts';
import { cuttingOf, dialDepth, faceOf, inspectedOn, workOf, type GearOnBlank } from './asCut.ts';
import type { SpurPart } from './document.ts';

/** What the gear asks of a cutter; null while count, pitch or angle is unknown. */
function cutterNeed({
  teeth,
  pitch,
  pressureAngleDeg,
  depth,
  helixDeg,
  helixKnown,
}: GearReadings): CutterNeed | null {
  if (!helixKnown || !teeth || !pitch || !pressureAngleDeg) return null;
  const dedendum = depth ? approx(depth.wholeDepth.sub(depth.addendum)) : 1.157 * approx(pitch.module);
  return { teeth, pitch, angleDeg: pressureAngleDeg, helixDeg: approx(helixDeg), dedendum };
}

/** The same from the document alone. */
export const spurCutterNeed = (part: SpurPart, units: UnitSystem): CutterNeed | null =>
  cutterNeed(readGear(part.gear, units));

/** The tooth space in the plane it is cut in. */
const formOf = (sizes: SpurSizes): ToothForm => ({
  teeth: sizes.teeth,
  module: approx(sizes.module),
  pressureAngle: sizes.pressureAngle,
  addendum: approx(sizes.depth.addendum),
  wholeDepth: approx(sizes.depth.wholeDepth),
  thinning: 0,
});

/** The cutter in force, what the gear asks of it, and the count it is made for. */
interface CutBy extends CutterInForce {
  readonly need: CutterNeed | null;
  readonly madeFor: number;
}

function cutBy({
  part,
  partGround: { cutters },
  inForce,
  read,
}: {
  readonly part: SpurPart;
  readonly partGround: PartGround;
  readonly inForce: CutterInForce;
  readonly read: GearReadings;
}): CutBy {
  const { countBy } = part.cutter;
  const need = cutterNeed(read);
  const { cutter, diameter } = inForce;
  const judged = need && cutter ? judgeCutter({ cutter, need, by: countBy, owned: cutters }) : null;
  const ofItsRange = need && cutterFor(countFor(need, countBy, diameter))?.range.from;
  return { ...inForce, need, madeFor: judged?.madeFor ?? ofItsRange ?? read.teeth ?? Infinity };
}

/** What an angle is bent from; null while the gear is not known. */
const bendsFrom = ({ pitch, teeth, depth, helixDeg, mate }: GearReadings): BendBasis | null =>
  pitch && teeth && depth
    ? {
        teeth,
        normalModule: approx(pitch.module),
        addendum: approx(depth.addendum),
        helixDeg: approx(helixDeg),
        mateTeeth: mate.crossed ? null : mate.teeth,
        centre: mate.centre && approx(mate.centre),
      }
    : null;

/** The spaces, and the lead that binds them: it is planned before the dividing and proved after it. */
function planSpaces({
  part,
  on,
  read,
  leadPlanned: { sizes, face, cutter },
}: {
  readonly part: SpurPart;
  readonly on: PartGround;
  readonly read: GearReadings;
  readonly leadPlanned: Pick<LeadPlanned, 'sizes' | 'face' | 'cutter'>;
}) {
  const ground = on.dividing;
  const helical = !read.helixDeg.equals(0) || !read.helixKnown;
  const bare = planLead({
    input: { ...part.lead, ...layingFor(ground.mill, part.lead, part.setup.side) },
    sizes,
    face,
    ground,
    cutter,
    bends: bendsFrom(read),
    path: `${on.path}.lead`,
    units: on.units,
  });
  const aim = read.teeth === null ? null : countAim(read.teeth, sizes && approx(sizes.pitchDiameter));
  const dividing = planDividing({
    input: part.dividing,
    target: aim && { along: 'turn', aim },
    ground: helical ? { ...ground, lead: gearingOf(bare.facts, part.lead.drive) } : ground,
    path: `${on.path}.dividing`,
  });
  const lead = aim ? withProof(bare, dividing.facts, { sizes, face, aim }) : bare;
  return { dividing, lead: helical ? lead : null };
}

/** The form cutter: what the gear asks of one, and which there is. */
const planFormCutter = ({
  part,
  on,
  read,
  sizes,
  by,
}: {
  readonly part: SpurPart;
  readonly on: PartGround;
  readonly read: GearReadings;
  readonly sizes: SpurSizes | null;
  readonly by: CutBy;
}) =>
  planCutter({
    choice: part.cutter,
    // of a helical gear the count alone says nothing
    count: read.helixKnown ? read.teeth : null,
    need: by.need,
    form: sizes && formOf(sizes),
    picked: by.cutter,
    owned: on.cutters,
    diameter: by.diameter,
    path: on.path,
    teethAt: 'gear.teeth',
  });

/**
 * A spur part, station by station in shop order; each builds on the facts of those before it.
 * Stations that do not need what is missing still answer. The cutter that was picked is looked up first: the
 * depth stamped on it, and the count it is made for, have their part in the gear.
 */
export function planSpur(part: SpurPart, on: PartGround): PartPlan {
  const { units, picked, gear: read, path } = on;
  if (!read) throw new Error('A gear is planned on its readings.');
  const at = (field: string) => ({ path: `${path}.${field}`, units });
  const inForce = cutterInForce(picked, part.setup);
  const by = cutBy({ part, partGround: on, inForce, read });
  const mateThinning = on.mate ? approx(on.mate.thinning) : 0;
  const together = isCutTogether(part, read, on.mate !== null);
  const own = planGear({ read, cutterTeeth: by.madeFor, mateThinning, together, ...at('gear') });
  const sizes = own.facts;
  const gear = planArrived({ part, on, read, own });
  const blank = planBlank({ input: part.blank, sizes, path, units });
  const cutter = planFormCutter({ part, on, read, sizes, by });
  const face = faceOf(part);
  const onBlank: GearOnBlank = { read, sizes, blank, mesh: own.detail.mesh };
  const { dividing, lead } = planSpaces({ part, on, read, leadPlanned: { sizes, face, cutter: by } });
  const spaces =
    read.teeth === null ? null : { spaces: read.teeth, full: true, divides: 'tooth-space' as const };
  const cut = planCut({ input: part.cut, wholeDepth: dialDepth(onBlank), spaces, ...at('cut') });
  const work = workOf(onBlank, face, cut);
  const setup = planSetup({ input: part.setup, work, shop: on.setup, picked: by.cutter, ...at('setup') });
  const measured = { sunk: part.inspect.sunk, face, cutterTeeth: by.madeFor };
  const ground = inspectedOn(onBlank, on, measured);
  const inspect = planInspect({ input: part.inspect, sizes, ground, ...at('inspect') });
  const works = { gear, blank, cutter, dividing, lead, setup, cut, inspect };
  return finishPart(part, units, { works, cutting: cuttingOf(onBlank, { dividing, lead, cut, setup }) });
}
