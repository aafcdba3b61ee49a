import { newDivideJob, newSpurJob, withDividing, withPart, withSpurPart, type Job } from '../job/index.ts';
import type { DividePart, SpurPart } from '../kinds/index.ts';
import { plan, type PartPlan } from '../plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL, THREE_PLATES, type Equipment, type Mill } from '../shop/index.ts';
import type { StationId, Working } from '../station/index.ts';
import { measure, type UnitSystem } from '../units/index.ts';

/*
 * The shop that exercises are set in: the same everywhere, so that a sheet printed twice is the same sheet.
 * Every answer is what the plan of a job in this shop says.
 */

const mm = (typed: string) => measure(typed, 'mm');

const MILL: Mill = {
  ...STOCK_MILL,
  id: 'school-mill',
  name: 'Lying mill',
  lead: mm('5'),
  marks: 100,
  travel: mm('600'),
  swing: measure('45', 'deg'),
  scaleMinutes: 30,
  cross: { lead: mm('5'), marks: 100, travel: mm('200') },
  knee: { lead: mm('2'), marks: 100, travel: mm('350') },
  speeds: '40 56 80 112 160 224 315 450',
  feeds: { by: 'mm', settings: '16 22 32 45 63 90 125' },
};

const [threePlates] = STOCK_EQUIPMENT.heads;

export const SCHOOL_HEAD = { ...threePlates!, centreHeight: mm('125') };
export const SCHOOL: Equipment = { ...STOCK_EQUIPMENT, heads: [SCHOOL_HEAD], mills: [MILL] };
export const SCHOOL_RATIO = 40;

/** The circles of the school’s head, as a question names them. */
export const SCHOOL_CIRCLES = THREE_PLATES.map(
  ({ name, sides }) => `${name}: ${sides[0]!.circles.join(' ')}`,
).join('\n');

/** A gear as a question gives it. */
export interface GivenGear {
  readonly units: UnitSystem;
  /** `2`, of the units: module for mm, diametral pitch for inches. */
  readonly pitch: string;
  readonly teeth: number;
  readonly change?: (part: SpurPart) => SpurPart;
}

function spurJob({ units, pitch, teeth, change }: GivenGear): Job {
  const job = newSpurJob({ id: 'exercise', name: 'Exercise', units, shop: SCHOOL });
  return withSpurPart(job, 'p1', (part) => {
    const drawn: SpurPart = {
      ...part,
      gear: {
        ...part.gear,
        pitch: measure(pitch, units === 'mm' ? 'module' : 'dp'),
        teeth: measure(String(teeth), 'count'),
      },
      blank: { ...part.blank, faceWidth: measure(units === 'mm' ? '20' : '3/4', units) },
    };
    return change ? change(drawn) : drawn;
  });
}

const only = (job: Job): PartPlan => plan(job, SCHOOL).parts[0]!;

export const planSpur = (given: GivenGear): PartPlan => only(spurJob(given));

/** A gear with its dividing chosen by hand. */
export const planDivided = (given: GivenGear, choice: DivideChoice): PartPlan =>
  only(withDividing(spurJob(given), 'p1', (dividing) => ({ ...dividing, choice })));

type DivideChoice = SpurPart['dividing']['choice'];

/** Something that is only divided. */
export function planPlain(change: (part: DividePart) => DividePart): PartPlan {
  const job = newDivideJob({ id: 'exercise', name: 'Exercise', units: 'mm', shop: SCHOOL });
  return only(withPart(job, 'p1', (part) => (part.kind === 'divide' ? change(part) : part)));
}

/**
 * A length or an angle that a station shows, mm or degrees.
 * @throws where it shows none: the exercise is wrong
 */
export function figureAt(part: PartPlan, id: StationId, key: string): number {
  const value = part.stations.find((one) => one.id === id)?.values.find((one) => one.key === key);
  if (value?.kind === 'length') return value.mm;
  if (value?.kind === 'angle') return value.deg;
  throw new Error(`no figure ${id} ${key}`);
}

/** What a station says in words. @throws where it says nothing of the kind */
export function wordsAt(part: PartPlan, id: StationId, key: string): string {
  const value = part.stations.find((one) => one.id === id)?.values.find((one) => one.key === key);
  if (value?.kind === 'text') return value.text;
  throw new Error(`no words ${id} ${key}`);
}

/** Lines of working by their keys, in that order. */
export const workingAt = (part: PartPlan, id: StationId, ...keys: string[]): readonly Working[] => {
  const working = part.stations.find((one) => one.id === id)?.working ?? [];
  return keys.flatMap((key) => working.filter((one) => one.key === key));
};
