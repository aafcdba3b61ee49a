import type { Landing } from '../dividing/index.ts';
import { inOrder } from './causality.ts';
import { promptOfEvent } from './oldSteps.ts';
import { placeOf } from './places.ts';
import type { Cut, Run, RunEvent } from './schema.ts';
import { RunTally } from './tally.ts';

/** What the mill screen must ask a person about. */
export type Doubt =
  /** A cut is counted and one before it is not. */
  | { readonly kind: 'gap'; readonly missing: Cut; readonly beyond: Cut }
  /** Two screens counted without knowing of each other. */
  | { readonly kind: 'two-screens'; readonly ids: readonly string[]; readonly cuts: readonly Cut[] }
  /** A screen has seen or made events that have not arrived here. */
  | { readonly kind: 'events-missing'; readonly devices: readonly string[] };

export interface Ended {
  readonly how: 'given-up' | 'scrapped' | 'again';
  readonly reason: string;
}

export interface RunState {
  /** Cuts that stand as done. */
  readonly done: number;
  readonly total: number;
  /** First cut not done, in cutting order; null when all are. */
  readonly next: Cut | null;
  /** The cut before it in cutting order, whose hole the pin is in; null at the very start. */
  readonly last: Cut | null;
  /** Whole turns already made towards the next cut. */
  readonly turnsMade: number;
  /** Prompts towards the next cut, or of the closing move, that are done: by key, in the order they were. */
  readonly heeded: readonly string[];
  /** Has the landing hole of the next move been told rightly, where it was asked for? */
  readonly landingTold: boolean;
  /** What the scratch round showed, once said; null before, and where there is none. */
  readonly tried: { readonly fits: boolean } | null;
  /** Has the check half-way that fell due after the last cut been made, or passed over? */
  readonly answered: boolean;
  /** The last answer to the check half-way that stands, mm; null when none, or passed over. */
  readonly checked: readonly number[] | null;
  /** The closing check, once made. */
  readonly closed: { readonly fits: boolean } | null;
  /** How the run was ended before it closed; null while it goes on. */
  readonly ended: Ended | null;
  readonly paused: boolean;
  readonly notes: readonly {
    readonly id: string;
    readonly text: string;
    readonly round: number;
    readonly index: number;
    readonly clientTime: string;
    readonly reset: boolean;
  }[];
  readonly doubts: readonly Doubt[];
  /** Which cuts stand as done, in cutting order. */
  readonly doneCuts: readonly boolean[];
  /** Ids that a take-back of the last thing counted has to name; empty when there is nothing to take back. */
  readonly takeBack: readonly string[];
  /** Pauses that a resume has to name. */
  readonly pauses: readonly string[];
}

/** Counts standing from different screens, made at once and not yet agreed on. */
function twoScreens(tally: RunTally): Doubt[] {
  const involved = tally.unsettled();
  if (involved.length === 0) return [];
  const cuts = new Set(involved.map((event) => tally.run.cuts[placeOf(tally.run, event)]!));
  const inCuttingOrder = [...cuts].sort((a, b) => a.round - b.round || a.index - b.index);
  return [{ kind: 'two-screens', ids: involved.map(({ id }) => id), cuts: inCuttingOrder }];
}

/**
 * Screens of which some event has been seen or skipped, and has not arrived. A screen's numbers need not
 * begin at 1: runs of before counted the events of all runs of a screen together.
 */
function eventsMissing({ screens }: RunTally): Doubt[] {
  const devices = [...screens]
    .filter(([, { arrived, first, most }]) => arrived < most + 1 - Math.min(most, first))
    .map(([device]) => device);
  return devices.length > 0 ? [{ kind: 'events-missing', devices: devices.sort() }] : [];
}

/** Whole turns of the crank that a move begins with; none where they are not counted. */
export function turnsOf(landing: Landing): number {
  return landing.on === 'plate' || landing.on === 'two-circles' ? landing.turns : 0;
}

/** The latest of these events, with those that say the very same on other screens. */
function sameAsLatest(ordered: readonly RunEvent[], counted: readonly RunEvent[]): readonly RunEvent[] {
  const says = (event: RunEvent): string => {
    if (event.kind === 'heeded') return `heeded ${event.prompt}`;
    if (event.kind === 'turn') return `turn ${event.turn}`;
    if (event.kind === 'stroke') return `stroke ${event.stage}`;
    return event.kind === 'step' ? `step ${event.step}` : event.kind;
  };
  const latest = ordered.findLast((event) => counted.includes(event));
  return latest ? counted.filter((event) => says(event) === says(latest)) : [];
}

/** A run’s events in order, to be gone on from. @param events any order, repeats allowed */
export function tallyOf(run: Run, events: readonly RunEvent[]): RunTally {
  const tally = new RunTally(run);
  for (const event of inOrder(events)) tally.add(event);
  return tally;
}

/**
 * Goes on with more events: with each that follows as it is, and anew where one comes before what is
 * here.
 * @param tally not to be used afterwards
 * @param events in the order they came
 */
export function goOnWith(tally: RunTally, events: readonly RunEvent[]): RunTally {
  for (const [i, event] of events.entries()) {
    if (!tally.follows(event) && !tally.byId.has(event.id))
      return tallyOf(tally.run, [...tally.ordered, ...events.slice(i)]);
    tally.add(event);
  }
  return tally;
}

/**
 * The state of a run from its events. The order in which they arrive does not matter, and an id counts once.
 * A cut is done if a done of it stands that no take-back names.
 * @param events any order, repeats allowed; those naming no cut of the run are passed over
 */
export const foldRun = (run: Run, events: readonly RunEvent[]): RunState => stateOf(tallyOf(run, events));

/** The state of a run as its events stand; costs the same however many they are. */
export function stateOf(tally: RunTally): RunState {
  const { run, ordered, trials, checks, resumes } = tally;
  const doneCuts = run.cuts.map((_, place) => tally.doneAt(place).length > 0);
  const nextPlace = doneCuts.indexOf(false);
  const next = nextPlace === -1 ? null : run.cuts[nextPlace]!;
  const lastPlace = nextPlace === -1 ? run.cuts.length - 1 : nextPlace - 1;
  const last = run.cuts[lastPlace] ?? null;

  const ticks = next ? tally.turnsTo(nextPlace) : [];
  const turns = next ? turnsOf(next.landing) : 0;
  const turnsMade = Math.min(turns, Math.max(0, ...ticks.map(({ turn }) => turn)));
  const heeding = tally.heededTo(next ? nextPlace : null);
  const heeded = heeding.flatMap((event) => promptOfEvent(run, event) ?? []);
  const told = next ? tally.toldTo(nextPlace) : [];
  const trial = trials.at(-1) ?? null;
  const scratched = run.rounds[0]?.name === 'scratch' && run.full && next?.round === 2 && last?.round === 1;
  const answers = checks.filter((event) => last !== null && placeOf(run, event) === lastPlace);
  const closings = next ? [] : tally.closings;
  const closing = closings.at(-1) ?? null;
  const ending = tally.endings.at(-1) ?? null;
  const pauses = tally.pauses.filter(({ id }) => !resumes.has(id)).map(({ id }) => id);

  const beyond = nextPlace === -1 ? -1 : doneCuts.lastIndexOf(true);
  const gap: Doubt[] =
    next && beyond > nextPlace ? [{ kind: 'gap', missing: next, beyond: run.cuts[beyond]! }] : [];
  const counted: readonly RunEvent[] = [
    ...ticks.filter(({ turn }) => turn <= turns),
    ...heeding,
    ...told,
    ...answers,
    ...(scratched ? trials : []),
  ];
  const takeBack = (): readonly RunEvent[] => {
    if (ending) return tally.endings;
    if (closing) return closings;
    return counted.length > 0 ? sameAsLatest(ordered, counted) : tally.doneAt(lastPlace);
  };

  return {
    done: doneCuts.filter(Boolean).length,
    total: run.cuts.length,
    next,
    last,
    turnsMade,
    heeded,
    landingTold: told.length > 0,
    tried: trial && { fits: trial.fits },
    answered: answers.length > 0,
    checked: checks.at(-1)?.read ?? null,
    closed: closing && { fits: closing.fits },
    ended: ending && { how: ending.how, reason: ending.reason },
    paused: pauses.length > 0,
    notes: tally.notes.map(({ id, text, round, index, clientTime, reset }) => ({
      id,
      text,
      round,
      index,
      clientTime,
      reset: reset === true,
    })),
    doubts: [...gap, ...twoScreens(tally), ...eventsMissing(tally)],
    doneCuts,
    takeBack: takeBack().map(({ id }) => id),
    pauses,
  };
}

/** What the bench shows of a run without opening it. What rests from before lacks the optional ones. */
export interface RunSummary extends Pick<
  RunState,
  'done' | 'total' | 'next' | 'turnsMade' | 'paused' | 'closed'
> {
  readonly inDoubt: boolean;
  readonly heeded?: readonly string[];
  readonly landingTold?: boolean;
  readonly tried?: RunState['tried'];
  readonly answered?: boolean;
  readonly ended?: Ended | null;
  /** Of before prompts had names: stages of the return stroke gone through. */
  readonly strokeMade?: number;
}

export function summarise(state: RunState): RunSummary {
  const { done, total, next, turnsMade, heeded, landingTold, tried, answered, paused, closed, ended } = state;
  const inDoubt = state.doubts.length > 0;
  return {
    done,
    total,
    next,
    turnsMade,
    heeded,
    landingTold,
    tried,
    answered,
    paused,
    closed,
    ended,
    inDoubt,
  };
}
