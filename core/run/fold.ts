import type { Landing } from '../dividing/index.ts';
import { atOnce, inOrder } from './causality.ts';
import { promptOfEvent } from './oldSteps.ts';
import { placeOf } from './places.ts';
import type { Cut, Run, RunEvent } from './schema.ts';

type Of<Kind extends RunEvent['kind']> = Extract<RunEvent, { kind: Kind }>;

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

const ofKind = <Kind extends RunEvent['kind']>(events: readonly RunEvent[], kind: Kind) =>
  events.filter((event): event is Of<Kind> => event.kind === kind);

/** Counts standing from different screens, made at once and not yet agreed on. */
function twoScreens(
  dones: readonly Of<'done'>[],
  agreed: readonly Of<'agreed'>[],
  cutAt: (event: { round: number; index: number }) => Cut | null,
): Doubt[] {
  if (new Set(dones.map((event) => event.device)).size < 2) return [];
  const settled = (a: RunEvent, b: RunEvent) =>
    agreed.some(({ ids }) => ids.includes(a.id) && ids.includes(b.id));
  const involved = new Set<Of<'done'>>();
  for (const [i, a] of dones.entries()) {
    for (const b of dones.slice(i + 1)) {
      if (a.device !== b.device && atOnce(a, b) && !settled(a, b)) involved.add(a).add(b);
    }
  }
  if (involved.size === 0) return [];
  const cuts = new Set([...involved].map(cutAt).filter((cut) => cut !== null));
  const inCuttingOrder = [...cuts].sort((a, b) => a.round - b.round || a.index - b.index);
  return [{ kind: 'two-screens', ids: [...involved].map(({ id }) => id), cuts: inCuttingOrder }];
}

/**
 * Screens of which some event has been seen or skipped, and has not arrived. A screen's numbers need not
 * begin at 1: runs of before counted the events of all runs of a screen together.
 */
function eventsMissing(events: readonly RunEvent[]): Doubt[] {
  const screens = new Map<string, { arrived: number; first: number; last: number; most: number }>();
  const screenOf = (device: string) => {
    const known = screens.get(device);
    if (known) return known;
    const fresh = { arrived: 0, first: Infinity, last: -Infinity, most: 0 };
    screens.set(device, fresh);
    return fresh;
  };
  for (const { device, deviceSeq, lastSeen } of events) {
    const own = screenOf(device);
    // a screen's own events come in the order of their numbers; one number twice is one event
    if (deviceSeq !== own.last) own.arrived += 1;
    own.first = Math.min(own.first, deviceSeq);
    own.last = deviceSeq;
    own.most = Math.max(own.most, deviceSeq);
    for (const other in lastSeen) {
      const seen = screenOf(other);
      seen.most = Math.max(seen.most, lastSeen[other]!);
    }
  }
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

/**
 * The state of a run from its events. The order in which they arrive does not matter, and an id counts once.
 * A cut is done if a done of it stands that no take-back names.
 * @param events any order, repeats allowed; those naming no cut of the run are passed over
 */
export function foldRun(run: Run, events: readonly RunEvent[]): RunState {
  const ordered = inOrder(events);
  const place = (event: { round: number; index: number }) => placeOf(run, event);
  const cutAt = (event: { round: number; index: number }) => run.cuts[place(event)] ?? null;
  const takenBack = new Set(ofKind(ordered, 'take-back').flatMap(({ ids }) => ids));
  const stands = (event: RunEvent) => !takenBack.has(event.id);

  const dones = ofKind(ordered, 'done').filter((event) => stands(event) && cutAt(event) !== null);
  const doneCuts = run.cuts.map(() => false);
  for (const event of dones) doneCuts[place(event)] = true;
  const nextPlace = doneCuts.indexOf(false);
  const next = nextPlace === -1 ? null : run.cuts[nextPlace]!;
  const lastPlace = nextPlace === -1 ? run.cuts.length - 1 : nextPlace - 1;
  const last = run.cuts[lastPlace] ?? null;

  const here = (event: { round: number; index: number }) => next !== null && place(event) === nextPlace;
  const ticks = ofKind(ordered, 'turn').filter((event) => stands(event) && here(event));
  const turns = next ? turnsOf(next.landing) : 0;
  const turnsMade = Math.min(turns, Math.max(0, ...ticks.map(({ turn }) => turn)));
  const heeding = ordered.filter(
    (event) =>
      stands(event) &&
      (event.kind === 'heeded' || event.kind === 'stroke' || event.kind === 'step') &&
      (event.kind === 'heeded' && event.closing ? next === null : here(event)),
  );
  const heeded = heeding.flatMap((event) => promptOfEvent(run, event) ?? []);
  const told = ofKind(ordered, 'landing').filter((event) => stands(event) && event.right && here(event));
  const trials = ofKind(ordered, 'tried').filter(stands);
  const trial = trials.at(-1) ?? null;
  const scratched = run.rounds[0]?.name === 'scratch' && run.full && next?.round === 2 && last?.round === 1;
  const checks = ofKind(ordered, 'checked').filter(stands);
  const answers = checks.filter((event) => last !== null && place(event) === lastPlace);
  const closings = next ? [] : ofKind(ordered, 'closed').filter(stands);
  const closing = closings.at(-1) ?? null;
  const endings = ofKind(ordered, 'ended').filter(stands);
  const ending = endings.at(-1) ?? null;

  const resumed = new Set(ofKind(ordered, 'resume').flatMap(({ ids }) => ids));
  const pauses = ofKind(ordered, 'pause')
    .filter(({ id }) => !resumed.has(id))
    .map(({ id }) => id);

  const beyond = nextPlace === -1 ? -1 : doneCuts.lastIndexOf(true);
  const gap: Doubt[] =
    next && beyond > nextPlace ? [{ kind: 'gap', missing: next, beyond: run.cuts[beyond]! }] : [];
  const lastDones = lastPlace < 0 ? [] : dones.filter((event) => place(event) === lastPlace);
  const counted: readonly RunEvent[] = [
    ...ticks.filter(({ turn }) => turn <= turns),
    ...heeding,
    ...told,
    ...answers,
    ...(scratched ? trials : []),
  ];
  const takeBack = (): readonly RunEvent[] => {
    if (ending) return endings;
    if (closing) return closings;
    return counted.length > 0 ? sameAsLatest(ordered, counted) : lastDones;
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
    notes: ofKind(ordered, 'note').map(({ id, text, round, index, clientTime, reset }) => ({
      id,
      text,
      round,
      index,
      clientTime,
      reset: reset === true,
    })),
    doubts: [...gap, ...twoScreens(dones, ofKind(ordered, 'agreed'), cutAt), ...eventsMissing(ordered)],
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
