import {
  cutterInForce,
  finishStation,
  gearingOf,
  helixCutting,
  withProof,
  type PartGround,
  type PartPlan,
  type StationDetails,
} from '../../card/index.ts';
import { judgeRoom, planArrival, type ArrivalWork } from '../../arrival/index.ts';
import { planBlank } from '../../blank/index.ts';
import { planCut } from '../../cut/index.ts';
import {
  countFor,
  cutterFor,
  judgeCutter,
  pickedCutter,
  planCutter,
  type CutterNeed,
} from '../../cutter/index.ts';
import { countAim, planDividing, type Target } from '../../dividing/index.ts';
import { planGear, readGear, type GearReadings, type SpurSizes } from '../../gear/index.ts';
import type { SpurPart } from './document.ts';
import { depthDialOf, planSetup } from '../../setup/index.ts';
import { planInspect } from '../../inspect/index.ts';
import { layingFor, planLead } from '../../lead/index.ts';
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

type GearWork = ReturnType<typeof planGear>;
type FullGearWork = StationWork<SpurSizes, StationDetails['gear']>;

/** The gear with how it arrived: until something is taken, the arrival is the answer. */
function withArrival(gear: GearWork, arrived: ArrivalWork): FullGearWork {
  return {
    ...gear,
    answer: gear.facts === null && arrived.answer ? arrived.answer : gear.answer,
    issues: [...gear.issues, ...arrived.issues],
    working: [...arrived.working, ...gear.working],
    detail: { ...gear.detail, arrival: arrived.detail },
  };
}

/**
 * A spur part, station by station in shop order; each builds on the facts of those before it.
 * Stations that do not need what is missing still answer. The cutter that was picked is looked up first: the depth stamped
 * on it, and the count it is made for, have their part in the gear.
 */
export function planSpur(part: SpurPart, on: PartGround): PartPlan {
  const { dividing: ground, cutters, mateThinning, path, units: system } = on;
  const inForce = cutterInForce(pickedCutter(part.cutter, cutters.jobs, cutters.shop), part.setup);
  const picked = inForce.cutter;
  const read = readGear(part.gear, system, picked?.stamped ?? null);
  const need = cutterNeed(read);
  const judged = need && picked ? judgeCutter(picked, need, part.cutter.countBy, cutters.shop) : null;
  const cutterTeeth =
    judged?.madeFor ??
    (need && cutterFor(countFor(need, part.cutter.countBy, inForce.diameter))?.range.from) ??
    read.teeth ??
    Infinity;
  const arrived = planArrival(part.arrival, part.gear, read, ground.head, `${path}.arrival`, system);
  const ownGear = planGear(read, `${path}.gear`, system, cutterTeeth, mateThinning);
  const sizes = ownGear.facts;
  const asks = [
    ...angleAssumed(part.arrival, read.pressureAngleDeg, `${path}.gear`),
    ...handUnasked(part.arrival, !read.helixDeg.equals(0), read.hand, `${path}.arrival.sample`),
    ...sampleSaysOther(part.arrival, arrived.detail, `${path}.arrival.choice`),
    ...(sizes ? judgeRoom(part.arrival, approx(sizes.tipDiameter), `${path}.arrival`, system) : []),
  ];
  const gear = withArrival(ownGear, { ...arrived, issues: [...arrived.issues, ...asks] });
  const blank = planBlank(part.blank, sizes, path, system);
  const cutter = planCutter(
    part.cutter,
    // of a helical gear the count alone says nothing
    read.helixKnown ? read.teeth : null,
    need,
    sizes && formOf(sizes),
    { picked, owned: cutters.shop, diameter: inForce.diameter },
    path,
  );
  const target: Target | null =
    read.teeth === null
      ? null
      : { along: 'turn', aim: countAim(read.teeth, sizes && approx(sizes.pitchDiameter)) };
  const helical = !read.helixDeg.equals(0) || !read.helixKnown;
  // a bore that is wrong is no reason to keep the lead back
  const faceRead = parsePositiveLength(part.blank.faceWidth, '');
  const face = faceRead.ok ? faceRead.value : null;
  const laying = layingFor(ground.mill, part.lead, part.setup.side);
  const bareLead = planLead(
    { ...part.lead, ...laying },
    sizes,
    face,
    ground,
    inForce,
    `${path}.lead`,
    system,
  );
  const geared = helical ? { ...ground, lead: gearingOf(bareLead.facts, part.lead.drive) } : ground;
  const dividing = planDividing(part.dividing, target, geared, `${path}.dividing`);
  const lead =
    target?.along === 'turn' ? withProof(bareLead, dividing.facts, sizes, face, target.aim) : bareLead;
  const spaces = read.teeth === null ? null : { spaces: read.teeth, full: true };
  const depth = blank.facts?.dialDepth ?? sizes?.cutDepth ?? read.depth?.wholeDepth ?? null;
  const cut = planCut(part.cut, depth, spaces, `${path}.cut`, system);
  const bore = blank.facts?.bore ?? null;
  const setup = planSetup(
    part.setup,
    {
      outside: sizes && approx(blank.facts?.measured ?? sizes.tipDiameter),
      bore: bore && approx(bore),
      face: face && approx(face),
      module: sizes && approx(sizes.module),
      teeth: read.teeth,
      helixDeg: approx(read.helixDeg),
      rounds: cut.detail.rounds,
      travels: 'table',
      sizes,
    },
    on.setup,
    picked,
    `${path}.setup`,
    system,
  );
  const asCut =
    sizes && depth
      ? {
          outside: approx(blank.facts?.measured ?? sizes.tipDiameter),
          // a gear that was sunk is as deep as it was sunk to, not as the card would cut the next
          depth: approx(depth) + sunkOf(part.inspect),
          faceWidth: face && approx(face),
          cutterTeeth,
          tools: on.tools,
          dial: depthDialOf(on.setup.mill, system),
        }
      : null;
  const inspect = planInspect(part.inspect, sizes, asCut, `${path}.inspect`, system);
  const { settled } = part;
  const ready = gear.facts && blank.facts && dividing.facts && cut.facts;
  const helix = helical && lead.facts ? helixCutting(lead.facts, lead.detail) : null;
  return {
    id: part.id,
    kind: part.kind,
    name: part.name,
    stations: [
      finishStation('gear', gear, settled.gear, system),
      finishStation('blank', blank, settled.blank, system),
      finishStation('cutter', cutter, settled.cutter, system),
      finishStation('dividing', dividing, settled.dividing, system),
      ...(helical ? [finishStation('lead', lead, settled.lead, system)] : []),
      finishStation('setup', setup, settled.setup, system),
      finishStation('cut', cut, settled.cut, system),
      finishStation('inspect', inspect, settled.inspect, system),
    ],
    cutting:
      ready && (!helical || helix)
        ? {
            divisions: gear.facts.teeth,
            full: true,
            startSpace: cut.facts.startSpace,
            rounds: cut.detail.rounds,
            helix,
            laid: null,
            touchOn: 'outside',
            mount: setup.detail.mount,
            safe: setup.facts?.safe ?? null,
            minutesPerCut: setup.facts?.minutesPerCut ?? null,
            outside: approx(blank.facts.measured ?? blank.facts.tipDiameter),
            bore: bore && bore.gt(0) ? approx(bore) : null,
          }
        : null,
  };
}
