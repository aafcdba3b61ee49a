import { depthByRule, type GearInput, type GearReadings } from '../gear/index.ts';
import { issueOf, toldLength, fieldAt, placedUnder, type Issue } from '../findings/index.ts';
import { identify, readSample, type Identified, type Readings, type SampleInput } from '../sample/index.ts';
import type { Head } from '../shop/index.ts';
import type { Placed, Working } from '../station/index.ts';
import { approx, parsePositiveLength, type UnitSystem } from '../units/index.ts';
import { gearsFromStock, type StockAnswer } from './blankOnHand.ts';
import { readShafts, readStock } from './read.ts';
import type { Arrival } from './schema.ts';
import { findPairs, type PairForShafts } from './shafts.ts';
import { sampleWorking, shaftsWorking, stockWorking } from './working.ts';

/** What the measurements come to, as plain data: what a person picks from. */
export type ArrivalDetail =
  | { readonly by: 'drawing' }
  | { readonly by: 'sample'; readonly found: Identified }
  | { readonly by: 'blank'; readonly answer: StockAnswer | null }
  | {
      readonly by: 'shafts';
      readonly pairs: readonly PairForShafts[];
      readonly total: number;
      /** Is there enough to look? */
      readonly asked: boolean;
    };

export interface ArrivalWork {
  readonly detail: ArrivalDetail;
  readonly issues: readonly Issue[];
  readonly working: readonly Working[];
  /** Said in place of the gear’s answer while nothing is taken. */
  readonly answer: string | null;
}

type ArrivalOf<By extends Arrival['by']> = Extract<Arrival, { readonly by: By }>;

const PAIRS_SHOWN = 12;

/** What was not given yet is not told at every field: the panel says what it waits for. */
const told = (path: string, issues: readonly Issue[]): Issue[] =>
  placedUnder(
    path,
    issues.filter(({ severity }) => severity !== 'needed'),
  );

/**
 * What a sample came to, kept as long as the sample is: a card is planned anew at every keystroke in any of
 * its fields.
 */
const known = new WeakMap<
  SampleInput,
  { readonly found: Identified; readonly working: readonly Working[] }
>();

function whatItIs(sample: SampleInput, readings: Readings) {
  const before = known.get(sample);
  if (before) return before;
  const found = identify(readings);
  const now = { found, working: sampleWorking(sample, found) };
  known.set(sample, now);
  return now;
}

function sampleWork({ sample, taken }: ArrivalOf<'sample'>, path: string, system: UnitSystem): ArrivalWork {
  const { readings, issues } = readSample(sample, system);
  const { found, working } = whatItIs(sample, readings);
  return {
    detail: { by: 'sample', found },
    issues: placedUnder(fieldAt<Arrival>(path, 'sample'), issues),
    working,
    answer: taken ? null : 'a sample to measure',
  };
}

function stockWork({
  arrival: { stock: input, taken },
  gear,
  rule,
  head,
  path,
  system,
}: {
  readonly arrival: ArrivalOf<'blank'>;
  readonly gear: GearReadings;
  readonly rule: GearInput['depth']['rule'];
  readonly head: Head | null;
  readonly path: string;
  readonly system: UnitSystem;
}): ArrivalWork {
  const { stock, cleanUp, issues } = readStock(input);
  const { pitch } = gear;
  const depth = gear.depth ?? (pitch && rule !== 'typed' ? depthByRule(rule, pitch.module) : null);
  const none = {
    detail: { by: 'blank', answer: null },
    issues: told(fieldAt<Arrival>(path, 'stock'), issues),
    working: [],
    answer: taken ? null : 'a blank on hand',
  } as const;
  if (!stock || !pitch || !depth) return none;
  const { module } = pitch;
  const answer = gearsFromStock({ stock, cleanUp, module, addendum: depth.addendum }, head);
  const least = module.mul(6).add(depth.addendum.mul(2)).add(cleanUp);
  const small: Issue = {
    code: 'stock-too-small',
    path: fieldAt<Arrival>(path, 'stock.diameter'),
    severity: 'query',
    given: input.diameter.typed,
    detail: { least: toldLength(approx(least), system) },
  };
  const [D, u, m, ha] = [stock, cleanUp, module, depth.addendum].map(approx) as [
    number,
    number,
    number,
    number,
  ];
  return {
    ...none,
    detail: { by: 'blank', answer },
    issues: [...none.issues, ...(answer.counts.length === 0 ? [small] : [])],
    working: stockWorking({ stock: D, cleanUp: u, module: m, addendum: ha }, answer),
  };
}

function shaftsWork({
  arrival: { shafts, taken },
  gear,
  rule,
  path,
}: {
  readonly arrival: ArrivalOf<'shafts'>;
  readonly gear: GearReadings;
  readonly rule: GearInput['depth']['rule'];
  readonly path: string;
}): ArrivalWork {
  const { asked, issues } = readShafts(shafts, gear, rule);
  const { pairs, total } = asked ? findPairs(asked, PAIRS_SHOWN) : { pairs: [], total: 0 };
  return {
    detail: { by: 'shafts', pairs, total, asked: asked !== null },
    issues: told(fieldAt<Arrival>(path, 'shafts'), issues),
    working: asked ? shaftsWorking(asked.centre, asked.pressureAngle, pairs) : [],
    answer: taken ? null : 'two shafts where they are',
  };
}

/** What an arrival is judged by. */
export interface ArrivalAsked extends Placed {
  readonly arrival: Arrival;
  /** The gear's own fields. */
  readonly input: GearInput;
  /** What they say: a blank on hand takes its pitch and rule from them. */
  readonly gear: GearReadings;
  /** That will divide. */
  readonly head: Head | null;
}

/**
 * What arrived at the bench, worked out as far as it goes. What is picked from it is written into the gear’s
 * fields, and the gear station goes on from those.
 * Issues: those of the readings; stock-too-small
 */
export function planArrival({ arrival, input, gear, head, path, units: system }: ArrivalAsked): ArrivalWork {
  switch (arrival.by) {
    case 'drawing':
      return { detail: { by: 'drawing' }, issues: [], working: [], answer: null };
    case 'sample':
      return sampleWork(arrival, path, system);
    case 'blank':
      return stockWork({ arrival, gear, rule: input.depth.rule, head, path, system });
    case 'shafts':
      return shaftsWork({ arrival, gear, rule: input.depth.rule, path });
  }
}

/** The gear in the place it goes to. @param tipDiameter mm. Issues: room-short, room-clear */
export function judgeRoom({
  arrival,
  tipDiameter,
  path,
  system,
}: {
  readonly arrival: Arrival;
  readonly tipDiameter: number;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  if (arrival.by !== 'sample') return [];
  const { room } = arrival.sample;
  const read = parsePositiveLength(room, 'The room');
  if (!read.ok) return [];
  const clear = (approx(read.value) - tipDiameter) / 2;
  if (clear >= 0)
    return [
      issueOf(
        'room-clear',
        { path: fieldAt<Arrival>(path, 'sample.room'), severity: 'note', given: room.typed },
        { around: toldLength(clear, system) },
      ),
    ];
  const detail = { tip: toldLength(tipDiameter, system) };
  return [
    {
      code: 'room-short',
      path: fieldAt<Arrival>(path, 'sample.room'),
      severity: 'query',
      given: room.typed,
      detail,
    },
  ];
}
