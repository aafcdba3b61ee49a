import {
  cutterInForce,
  cuttingBy,
  finishPart,
  gearingOf,
  helixCutting,
  withProof,
  type CutterInForce,
  type PartGround,
  type PartPlan,
  type StationDetails,
} from '../../card/index.ts';
import { judgeRoom, planArrival, type Arrival } from '../../arrival/index.ts';
import { fieldAt } from '../../findings/index.ts';
import { planBlank } from '../../blank/index.ts';
import { planCut } from '../../cut/index.ts';
import { countFor, cutterFor, judgeCutter, planCutter, type CutterNeed } from '../../cutter/index.ts';
import { countAim, planDividing } from '../../dividing/index.ts';
import { planGear, readGear, type GearReadings, type SpurSizes } from '../../gear/index.ts';
import type { SpurPart } from './document.ts';
import { depthDialOf, planSetup, type SetupWork } from '../../setup/index.ts';
import { planInspect, type InspectGround } from '../../inspect/index.ts';
import { layingFor, planLead, type BendBasis, type LeadPlanned } from '../../lead/index.ts';
import type { StationWork } from '../../station/index.ts';
import type { ToothForm } from '../../toothform/index.ts';
import { approx, knownLength, parsePositiveLength, type UnitSystem } from '../../units/index.ts';
import { angleAssumed, handUnasked, sampleSaysOther } from './sampleSaysOther.ts';

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

/** By how much a gear was sunk deeper since, mm. */
const sunkOf = ({ sunk }: SpurPart['inspect']): number => knownLength(sunk) ?? 0;

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

/** The gear with how it arrived: until something is taken, the arrival is the answer. */
function planArrived({
  part,
  on,
  read,
  own,
}: {
  readonly part: SpurPart;
  readonly on: PartGround;
  readonly read: GearReadings;
  readonly own: ReturnType<typeof planGear>;
}): StationWork<SpurSizes, StationDetails['gear']> {
  const { arrival } = part;
  const path = `${on.path}.arrival`;
  const arrived = planArrival({
    arrival,
    input: part.gear,
    gear: read,
    head: on.dividing.head,
    path,
    units: on.units,
  });
  const asks = [
    ...angleAssumed(arrival, read.pressureAngleDeg, `${on.path}.gear`),
    ...handUnasked({ arrival, helical: !read.helixDeg.equals(0), hand: read.hand, path }),
    ...sampleSaysOther(arrival, arrived.detail, fieldAt<Arrival>(path, 'taken')),
    ...(own.facts
      ? judgeRoom({ arrival, tipDiameter: approx(own.facts.tipDiameter), path, system: on.units })
      : []),
  ];
  return {
    ...own,
    answer: own.facts === null && arrived.answer ? arrived.answer : own.answer,
    issues: [...own.issues, ...arrived.issues, ...asks],
    working: [...arrived.working, ...own.working],
    detail: { ...own.detail, arrival: arrived.detail },
  };
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

/**
 * A spur part, station by station in shop order; each builds on the facts of those before it.
 * Stations that do not need what is missing still answer. The cutter that was picked is looked up first: the
 * depth stamped on it, and the count it is made for, have their part in the gear.
 */
export function planSpur(part: SpurPart, on: PartGround): PartPlan {
  const { units, picked, gear: read } = on;
  if (!read) throw new Error('A gear is planned on its readings.');
  const at = (field: string) => ({ path: `${on.path}.${field}`, units });
  const inForce = cutterInForce(picked, part.setup);
  const by = cutBy({ part, partGround: on, inForce, read });
  const own = planGear({
    read,
    cutterTeeth: by.madeFor,
    mateThinning: on.mate ? approx(on.mate.thinning) : 0,
    ...at('gear'),
  });
  const sizes = own.facts;
  const gear = planArrived({ part, on, read, own });
  const blank = planBlank({ input: part.blank, sizes, path: on.path, units });
  const cutter = planCutter({
    choice: part.cutter,
    // of a helical gear the count alone says nothing
    count: read.helixKnown ? read.teeth : null,
    need: by.need,
    form: sizes && formOf(sizes),
    picked: inForce.cutter,
    owned: on.cutters,
    diameter: by.diameter,
    path: on.path,
    teethAt: 'gear.teeth',
  });
  // a bore that is wrong is no reason to keep the lead back
  const faceRead = parsePositiveLength(part.blank.faceWidth, '');
  const face = faceRead.ok ? faceRead.value : null;
  const { dividing, lead } = planSpaces({ part, on, read, leadPlanned: { sizes, face, cutter: by } });
  const wholeDepth = blank.facts?.dialDepth ?? sizes?.cutDepth ?? read.depth?.wholeDepth ?? null;
  const spaces = read.teeth === null ? null : { spaces: read.teeth, full: true };
  const cut = planCut({ input: part.cut, wholeDepth, spaces, ...at('cut') });
  const turned = sizes && approx(blank.facts?.measured ?? sizes.tipDiameter);
  const bore = blank.facts?.bore ? approx(blank.facts.bore) : null;
  const work: SetupWork = {
    outside: turned,
    bore,
    face: face && approx(face),
    module: sizes && approx(sizes.module),
    teeth: read.teeth,
    helixDeg: approx(read.helixDeg),
    rounds: cut.detail.rounds,
    travels: 'table',
    sizes,
  };
  const setup = planSetup({
    input: part.setup,
    work,
    shop: on.setup,
    picked: inForce.cutter,
    ...at('setup'),
  });
  const asCut: InspectGround | null =
    turned === null || !wholeDepth
      ? null
      : {
          outside: turned,
          // a gear that was sunk is as deep as it was sunk to, not as the card would cut the next
          depth: approx(wholeDepth) + sunkOf(part.inspect),
          faceWidth: work.face,
          cutterTeeth: by.madeFor,
          tools: on.tools,
          dial: depthDialOf(on.setup.mill, units),
        };
  const inspect = planInspect({ input: part.inspect, sizes, ground: asCut, ...at('inspect') });
  const helix = lead?.facts ? helixCutting(lead.facts, lead.detail) : null;
  const cutting =
    gear.facts && blank.facts && dividing.facts && cut.facts && (!lead || helix)
      ? {
          ...cuttingBy(cut.facts, cut.detail, setup),
          divisions: gear.facts.teeth,
          full: true,
          helix,
          touchOn: 'outside' as const,
          outside: approx(blank.facts.measured ?? blank.facts.tipDiameter),
          bore: bore !== null && bore > 0 ? bore : null,
        }
      : null;
  const works = { gear, blank, cutter, dividing, lead, setup, cut, inspect };
  return finishPart(part, units, { works, cutting });
}
