import { cuttingBy, helixCutting, type Cutting, type PartGround } from '../../card/index.ts';
import type { planBlank } from '../../blank/index.ts';
import type { planCut } from '../../cut/index.ts';
import type { planDividing } from '../../dividing/index.ts';
import type { GearReadings, MeshDetail, SpurSizes } from '../../gear/index.ts';
import type { InspectGround } from '../../inspect/index.ts';
import type { LeadWork } from '../../lead/index.ts';
import { depthDialOf, type planSetup, type SetupWork } from '../../setup/index.ts';
import { approx, knownLength, parsePositiveLength, type Exact } from '../../units/index.ts';
import type { SpurPart } from './document.ts';

/** A gear with the blank it is cut from. */
export interface GearOnBlank {
  readonly read: GearReadings;
  /** Null while something of it is not known. */
  readonly sizes: SpurSizes | null;
  readonly blank: ReturnType<typeof planBlank>;
  /** Null where no mate is known. */
  readonly mesh: MeshDetail | null;
}

/** The face alone, mm: a bore that is wrong is no reason to keep what needs the face back. */
export function faceOf({ blank: { faceWidth } }: SpurPart): Exact | null {
  const read = parsePositiveLength(faceWidth, '');
  return read.ok ? read.value : null;
}

/** How deep the dial goes, mm. */
export const dialDepth = ({ read, sizes, blank }: GearOnBlank): Exact | null =>
  blank.facts?.dialDepth ?? sizes?.cutDepth ?? read.depth?.wholeDepth ?? null;

/** As turned, mm. */
const outsideOf = ({ sizes, blank }: GearOnBlank): number | null =>
  sizes && approx(blank.facts?.measured ?? sizes.tipDiameter);

const boreOf = ({ blank }: GearOnBlank): number | null =>
  blank.facts?.bore ? approx(blank.facts.bore) : null;

/** What is set up. */
export function workOf(
  gear: GearOnBlank,
  face: Exact | null,
  { detail: { rounds } }: ReturnType<typeof planCut>,
): SetupWork {
  const { read, sizes } = gear;
  return {
    outside: outsideOf(gear),
    bore: boreOf(gear),
    face: face && approx(face),
    module: sizes && approx(sizes.module),
    teeth: read.teeth,
    helixDeg: approx(read.helixDeg),
    rounds,
    travels: 'table',
    sizes,
  };
}

/**
 * What is measured on; null while outside or depth is not known. A gear that was sunk is as deep as it was
 * sunk to, not as the card would cut the next.
 */
export function inspectedOn(
  gear: GearOnBlank,
  { setup: { mill }, tools, units }: PartGround,
  {
    sunk,
    face,
    cutterTeeth,
  }: {
    readonly sunk: SpurPart['inspect']['sunk'];
    readonly face: Exact | null;
    readonly cutterTeeth: number;
  },
): InspectGround | null {
  const outside = outsideOf(gear);
  const depth = dialDepth(gear);
  if (outside === null || !depth) return null;
  return {
    outside,
    depth: approx(depth) + (knownLength(sunk) ?? 0),
    faceWidth: face && approx(face),
    cutterTeeth,
    tools,
    dial: depthDialOf(mill, units),
  };
}

/** What a run takes; null while something that cutting needs is missing, wrong or blocked. */
export function cuttingOf(
  gear: GearOnBlank,
  {
    dividing,
    lead,
    cut,
    setup,
  }: {
    readonly dividing: ReturnType<typeof planDividing>;
    /** Null for straight teeth. */
    readonly lead: LeadWork | null;
    readonly cut: ReturnType<typeof planCut>;
    readonly setup: ReturnType<typeof planSetup>;
  },
): Cutting | null {
  const { sizes, blank } = gear;
  const helix = lead?.facts ? helixCutting(lead.facts, lead.detail) : null;
  const ready = sizes && blank.facts && dividing.facts && cut.facts && (!lead || helix);
  if (!ready) return null;
  const bore = boreOf(gear);
  return {
    ...cuttingBy(cut.facts!, cut.detail, setup),
    divisions: sizes.teeth,
    divides: 'tooth-space',
    full: true,
    helix,
    touchOn: 'outside',
    outside: outsideOf(gear),
    bore: bore !== null && bore > 0 ? bore : null,
    ...meshOf(gear),
  };
}

/** What a mesh that feels tight asks for. */
function meshOf({ mesh }: GearOnBlank): Pick<Cutting, 'mesh'> {
  if (!mesh) return {};
  const { mateTeeth, wanted, perDepth, centreForWanted } = mesh;
  const { centre, backlash } = mesh.report;
  return { mesh: { mateTeeth, centre, backlash, wanted, perDepth, centreForWanted } };
}
