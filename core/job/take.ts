import type { PairForShafts, TakenSample } from '../arrival/index.ts';
import type { ToothSystemId } from '../gear/index.ts';
import type { Train } from '../gearing/index.ts';
import { isFormCut, isGear, type GearPart } from '../kinds/index.ts';
import type { Identification } from '../sample/index.ts';
import type { Equipment } from '../shop/index.ts';
import { decimalText, dmsText, exact, measure, type Measure, type Pitch } from '../units/index.ts';
import { freshPartId } from './create.ts';
import { withPart, withSpurPart } from './parts.ts';
import type { Job } from './schema.ts';

/** The rule a pitch usually goes by, until the person says another. Common practice. */
const usualRule = (system: 'module' | 'dp', stub: boolean): ToothSystemId =>
  stub ? 'stub-1.8' : system === 'module' ? 'iso53-a' : 'form-2.157';

/**
 * The pressure angle a pitch usually has, degrees. Common practice: 20° by module and for stub teeth, 14½° by
 * diametral pitch.
 */
export const usualAngle = (system: 'module' | 'dp', stub: boolean): number =>
  stub || system === 'module' ? 20 : 14.5;

/**
 * Takes a sample for a gear: its figures go into the gear’s fields, the readings stay as they were measured.
 * The angle, where the readings did not tell it, is the usual one of that pitch: 20° by module, 14½° by
 * diametral pitch.
 */
export function takeSample(job: Job, partId: string, found: Identification): Job {
  const taken: TakenSample = {
    pitch: measure(found.figure, found.system),
    teeth: found.teeth,
    angleDeg: found.angleDeg,
    stub: found.stub,
    helixDeg: found.helixDeg,
  };
  const angle = found.angleDeg ?? usualAngle(found.system, found.stub);
  return withSpurPart(job, partId, (part) => {
    if (part.arrival.by !== 'sample') return part;
    const { sample } = part.arrival;
    const given = (typed: Measure, otherwise: Measure) => (typed.typed.trim() === '' ? otherwise : typed);
    return {
      ...part,
      arrival: { ...part.arrival, taken },
      gear: {
        ...part.gear,
        pitch: taken.pitch,
        teeth: measure(String(found.teeth), 'count'),
        pressureAngle: measure(decimalText(angle), 'deg'),
        depth: { ...part.gear.depth, rule: usualRule(found.system, found.stub) },
        // to the minute, as a scale is set
        pitchPlane: 'normal',
        helixFrom: 'angle',
        hand: sample.hand === 'not-looked' ? part.gear.hand : sample.hand,
        helix:
          found.helixDeg === 0
            ? measure('', 'deg')
            : measure(dmsText(exact(Math.round(found.helixDeg * 60), 60)), 'deg'),
        mate: {
          ...part.gear.mate,
          teeth: given(sample.mateTeeth, part.gear.mate.teeth),
          centre: given(sample.mateCentre, part.gear.mate.centre),
        },
      },
      blank: { ...part.blank, bore: given(sample.bore, part.blank.bore) },
    };
  });
}

/** Says which way the teeth lean: of the gear, and of the sample it was taken from. */
export function withHand(part: GearPart, hand: 'right' | 'left'): GearPart {
  const { arrival } = part;
  return {
    ...part,
    gear: { ...part.gear, hand },
    arrival: arrival.by === 'sample' ? { ...arrival, sample: { ...arrival.sample, hand } } : arrival,
  };
}

/** Takes a count for a blank on hand. */
export function takeCount(job: Job, partId: string, teeth: number): Job {
  return withSpurPart(job, partId, (part) => ({
    ...part,
    ...(part.arrival.by === 'blank' ? { arrival: { ...part.arrival, taken: teeth } } : {}),
    gear: { ...part.gear, teeth: measure(String(teeth), 'count') },
  }));
}

/**
 * Takes a pair for two shafts: the first gear into this part, the second into a part of its own in the same
 * job, each with the other as its mate at the real distance. Taking another pair changes both. Two equal
 * straight gears are one part, cut together: two blanks in one stack.
 */
export function takePair(job: Job, partId: string, pair: PairForShafts): Job {
  const part = job.parts.find(({ id }) => id === partId);
  if (!part || !isGear(part) || part.arrival.by !== 'shafts') return job;
  const { shafts } = part.arrival;
  const pitch = measure(pair.figure, pair.system);
  const [one, two] = pair.teeth;
  const gearOf = (gear: GearPart['gear'], teeth: number, mate: number): GearPart['gear'] => ({
    ...gear,
    pitch,
    teeth: measure(String(teeth), 'count'),
    mate: {
      ...gear.mate,
      teeth: measure(String(mate), 'count'),
      centre: shafts.centre,
      backlash: shafts.backlash,
    },
  });
  const otherId = mateOf(job, partId)?.id;
  const before = part.arrival.taken?.teeth;
  const together = !otherId && one === two && part.gear.helix.typed.trim() === '';
  // another pair after one of equals is cut apart again
  const wasTogether = !otherId && before?.[0] === before?.[1] && part.setup.blanks.typed.trim() === '2';
  const blanks = together
    ? measure('2', 'count')
    : before && wasTogether
      ? measure('1', 'count')
      : part.setup.blanks;
  const setup = { ...part.setup, blanks };
  const first = withSpurPart(job, partId, (own) => ({
    ...own,
    name: together ? own.name : own.name || 'First gear',
    arrival: { by: 'shafts' as const, shafts, taken: { pitch, teeth: [one, two] as const } },
    gear: gearOf(own.gear, one, two),
    setup,
  }));
  if (together) return first;
  if (otherId)
    return withSpurPart(first, otherId, (other) => ({ ...other, gear: gearOf(other.gear, two, one) }));
  const id = freshPartId(job);
  const second: GearPart = {
    ...part,
    id,
    name: 'Second gear',
    arrival: { by: 'drawing' },
    gear: gearOf(part.gear, two, one),
    setup,
    settled: {},
  };
  return {
    ...first,
    parts: [...first.parts, second],
    relations: [...first.relations, { id: `pair-${id}`, kind: 'pair', parts: [partId, id] }],
  };
}

/** Puts a pressure angle on a gear, and on the one it is paired with: of one pair they are alike. */
export function withPressureAngle(job: Job, partId: string, pressureAngle: Measure): Job {
  const own = withSpurPart(job, partId, (part) => ({ ...part, gear: { ...part.gear, pressureAngle } }));
  const mate = mateOf(job, partId);
  return mate
    ? withSpurPart(own, mate.id, (part) => ({ ...part, gear: { ...part.gear, pressureAngle } }))
    : own;
}

/** The part a gear is paired with in the same job; null when it has none. */
export function mateOf(job: Job, partId: string): GearPart | null {
  const pair = job.relations.find(({ kind, parts }) => kind === 'pair' && parts.includes(partId));
  const mate = job.parts.find(({ id }) => id !== partId && pair?.parts.includes(id));
  return mate && isGear(mate) ? mate : null;
}

const otherHand = (hand: 'right' | 'left'): 'right' | 'left' => (hand === 'right' ? 'left' : 'right');

/** A pitch that was given in the plane of rotation, put into the cutter’s own. */
const inNormalPlane = ({ figure, system }: Pitch) => ({
  pitch: measure(decimalText(figure, 9), system),
  pitchPlane: 'normal' as const,
});

/** On crossed shafts: what the mate’s helix is, and this gear’s own, both as planned. */
export interface MateHelix {
  readonly helixDeg: number;
  readonly hand: 'right' | 'left';
  readonly ownHelixDeg: number;
}

/**
 * Makes the mate of a gear a part of its own in the same job, with a card of its own.
 * @param crossed its angle and hand on crossed shafts, as planned; null on parallel ones @param normalPitch
 * as planned
 * @returns the job, and the mate’s part; the job as it is when there is one, or the mate’s teeth are not
 * known
 */
export function withMatePart({
  job,
  partId,
  crossed,
  normalPitch = null,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly crossed: MateHelix | null;
  readonly normalPitch?: Pitch | null | undefined;
}): { readonly job: Job; readonly mateId: string | null } {
  const part = job.parts.find(({ id }) => id === partId);
  const known = mateOf(job, partId);
  if (!part || !isGear(part) || known || part.gear.mate.teeth.typed.trim() === '')
    return { job, mateId: known?.id ?? null };
  const id = freshPartId(job);
  const { gear } = part;
  const { mate } = gear;
  const helix = crossed
    ? {
        helixFrom: 'angle' as const,
        helix: measure(decimalText(crossed.helixDeg, 6), 'deg'),
        hand: crossed.hand,
      }
    : { hand: otherHand(gear.hand) };
  // on another angle the pitch in the plane of rotation is another one
  const pitch = crossed && normalPitch && gear.pitchPlane === 'transverse' ? inNormalPlane(normalPitch) : {};
  const second: GearPart = {
    ...part,
    id,
    name: 'The mate',
    arrival: { by: 'drawing' },
    gear: {
      ...gear,
      ...pitch,
      ...helix,
      teeth: mate.teeth,
      mate: {
        ...mate,
        teeth: gear.teeth,
        hand: gear.hand,
        helix: crossed ? measure(decimalText(crossed.ownHelixDeg, 6), 'deg') : mate.helix,
      },
    },
    cutter: { ...part.cutter, cutterId: null },
    dividing: { ...part.dividing, choice: null },
    lead: { ...part.lead, choice: null },
    settled: {},
  };
  const named = withSpurPart(job, partId, (own) => ({ ...own, name: own.name || 'First gear' }));
  return {
    job: {
      ...named,
      parts: [...named.parts, second],
      relations: [...named.relations, { id: `pair-${id}`, kind: 'pair', parts: [partId, id] }],
    },
    mateId: id,
  };
}

/** An angle bent to what the gears cut, with the train that cuts it. */
export interface BentTo {
  /** Degrees. */
  readonly helixDeg: number;
  readonly train: Train;
  /** For its mate, where one angle serves both. */
  readonly mateTrain?: Train | undefined;
}

/**
 * Takes a bent angle: into this gear with its train, and into its mate in the same job with its own. The
 * normal pitch, which is the cutter’s, stays; a print that gave the transverse one is put into it.
 * @param normalPitch of this gear, as planned
 */
export function takeBentAngle({
  job,
  partId,
  bentTo: { helixDeg, train, mateTrain },
  normalPitch,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly bentTo: BentTo;
  readonly normalPitch: Pitch;
}): Job {
  const bent = (gear: GearPart['gear']): GearPart['gear'] => ({
    ...gear,
    ...(gear.pitchPlane === 'transverse' ? inNormalPlane(normalPitch) : {}),
    otherPitch: measure('', gear.otherPitch.unit),
    helixFrom: 'angle',
    helix: measure(decimalText(helixDeg, 6), 'deg'),
  });
  const own = withSpurPart(job, partId, (part) => ({
    ...part,
    gear: bent(part.gear),
    lead: { ...part.lead, choice: train },
  }));
  const mate = mateOf(job, partId);
  const first = job.parts.find(({ id }) => id === partId);
  if (!mate || !mateTrain || !first || !isGear(first)) return own;
  const { hand } = first.gear;
  return withSpurPart(own, mate.id, (part) => ({
    ...part,
    gear: { ...bent(part.gear), hand: otherHand(hand) },
    lead: { ...part.lead, choice: mateTrain },
  }));
}

/** Puts a cutter of the shop in force for a part, with a copy of it in the job; null puts it back. */
export function withCutter({
  job,
  partId,
  cutterId,
  shop,
}: {
  readonly job: Job;
  readonly partId: string;
  readonly cutterId: string | null;
  readonly shop: Equipment;
}): Job {
  const cutter = shop.cutters.find(({ id }) => id === cutterId);
  const changed = withPart(job, partId, (part) =>
    isFormCut(part) ? { ...part, cutter: { ...part.cutter, cutterId } } : part,
  );
  const used = new Set(changed.parts.map((part) => (isFormCut(part) ? part.cutter.cutterId : null)));
  const others = job.equipment.cutters.filter(({ id }) => id !== cutterId && used.has(id));
  return { ...changed, equipment: { ...job.equipment, cutters: cutter ? [...others, cutter] : others } };
}
