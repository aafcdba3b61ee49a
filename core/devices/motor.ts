import { HELD_MS, type NotNow } from './interlock.ts';
import { ASK, asSent, FORGET, HOLD, moveLine, type MotorLine, type MotorStatus } from './motionLine.ts';
import type { MotorDevice } from './schema.ts';

/** Why it was stopped before it was there. */
export type StopWhy = NotNow | 'person' | 'page-lost';

/** Why nobody knows where the work stands; until a person says, it is not turned. */
export type Doubt =
  /** Since it was connected nobody has said at which place it stands. */
  | { readonly why: 'not-said' }
  | { readonly why: 'line-lost' }
  | { readonly why: 'began-anew' }
  | { readonly why: 'alarm' }
  | { readonly why: 'no-answer' }
  /** It did not take what it was sent. */
  | { readonly why: 'refused'; readonly code: string }
  /** It stands elsewhere than it was sent, or has moved by itself. */
  | { readonly why: 'elsewhere'; readonly at: number; readonly meant: number }
  /** Its index came too early or too late, of its count. */
  | { readonly why: 'steps-missed'; readonly by: number };

/** A move that was sent, and what is known of it. Times in ms of a clock that only goes on. */
interface Move {
  readonly id: string;
  /** Of the controller’s own count. */
  readonly to: number;
  /** Farther back, to come up from the same side; null once it goes straight there. */
  readonly past: number | null;
  readonly step: number;
  readonly sentAt: number;
  /** Is it on its way? It goes with the first sign that the button is held. */
  readonly begun: boolean;
  readonly taken: boolean;
  /** Statuses in which it stood still since it was taken, away from where it was sent. */
  readonly stood: number;
  readonly heldAt: number;
  readonly stopping: { readonly why: StopWhy; readonly at: number } | null;
}

/** How a move ended; `rest` in the count of the round. */
export interface Outcome {
  readonly id: string;
  readonly how: 'there' | 'stopped' | 'doubt';
  readonly rest: number | null;
  readonly why: StopWhy | null;
}

export interface MotorState {
  readonly line: 'away' | 'here';
  /** What the controller counted where the round’s 0 lies; null while nobody has said. */
  readonly zero: number | null;
  readonly status: (MotorStatus & { readonly time: number }) | null;
  readonly doubt: Doubt | null;
  readonly move: Move | null;
  /** The last moves by their ids: what is sent again is not turned again. */
  readonly ended: readonly Outcome[];
  readonly askedAt: number;
  /** Where in its period the index came the first time; null before it did. */
  readonly phase: number | null;
  /** Until then a fresh start is its answer to being told to forget a stopped move. */
  readonly forgets: number;
}

export interface Stepped {
  readonly state: MotorState;
  /** What is written to the line now. */
  readonly writes: readonly string[];
}

const KEPT = 64;
/** A status is asked for this often, ms. */
const ASK_EVERY = 100;
/** A controller that says nothing for so long while it turns is stopped, ms. */
const SILENT_MS = 800;
/** How long a controller that was told to forget may take to begin anew, ms. */
const FORGETS_MS = 2000;
/** Statuses in which it stands, before it is believed to go no farther. */
const STOOD = 4;

export const freshMotor: MotorState = {
  line: 'away',
  zero: null,
  status: null,
  doubt: { why: 'not-said' },
  move: null,
  ended: [],
  askedAt: -Infinity,
  phase: null,
  forgets: -Infinity,
};

const still = (state: MotorState): Stepped => ({ state, writes: [] });

/** What it counts from the round’s 0; null where that is not known. */
export const countNow = ({ zero, status }: MotorState): number | null =>
  zero === null || status === null ? null : status.at - zero;

function endMove(state: MotorState, how: Outcome['how'], why: StopWhy | null = null): MotorState {
  if (!state.move) return state;
  const ended: Outcome = { id: state.move.id, how, rest: how === 'doubt' ? null : countNow(state), why };
  return { ...state, move: null, ended: [...state.ended.slice(1 - KEPT), ended] };
}

/** From now on nobody knows; a move that was under way has ended so. */
const doubted = (state: MotorState, doubt: Doubt): MotorState => ({
  ...endMove(state, 'doubt'),
  doubt: state.doubt ?? doubt,
  phase: null,
});

export type OrderAnswer =
  | { readonly answer: 'sent' }
  /** The same was asked before: it is on its way, or this came of it. */
  | { readonly answer: 'known'; readonly outcome: Outcome | null }
  | { readonly answer: 'refused'; readonly why: 'away' | 'doubt' | 'busy' };

/**
 * Sends it to a place, once for each id however often it is asked.
 * @param to from the round’s 0, of its own count @param step one step, of its own count
 */
export function order(
  motor: MotorDevice,
  state: MotorState,
  {
    id,
    to,
    step,
    now,
  }: { readonly id: string; readonly to: number; readonly step: number; readonly now: number },
): Stepped & { readonly said: OrderAnswer } {
  const outcome = state.ended.find((ended) => ended.id === id);
  if (outcome || state.move?.id === id)
    return { ...still(state), said: { answer: 'known', outcome: outcome ?? null } };
  const refuse = (why: 'away' | 'doubt' | 'busy') =>
    ({ ...still(state), said: { answer: 'refused', why } }) as const;
  if (state.line === 'away') return refuse('away');
  if (state.doubt || state.zero === null) return refuse('doubt');
  if (!state.status) return refuse('away');
  if (state.move || state.status.doing !== 'still') return refuse('busy');
  const target = asSent(state.zero + to);
  const forward = motor.reversed ? -1 : 1;
  const backward = (target - state.status.at) * forward < -step / 2;
  const past = backward && motor.takeUp > 0 ? asSent(target - forward * motor.takeUp) : null;
  const move: Move = {
    ...{ id, to: target, past, step, sentAt: now, begun: false, taken: false },
    ...{ stood: 0, heldAt: now, stopping: null },
  };
  return {
    state: { ...state, move },
    writes: [],
    said: { answer: 'sent' },
  };
}

/**
 * The page says that the button is held: with the first of it the move goes out. So a move that was late on
 * its way, and that nobody holds any more, turns nothing.
 */
export function beat(motor: MotorDevice, state: MotorState, id: string, now: number): Stepped {
  const { move } = state;
  if (move?.id !== id || move.stopping) return still(state);
  const held = { ...state, move: { ...move, heldAt: now, begun: true } };
  if (move.begun) return still(held);
  return {
    state: { ...held, move: { ...held.move, sentAt: now } },
    writes: [`${moveLine(motor, move.past ?? move.to)}\n`],
  };
}

/** Stops it at once, whoever asks. */
export function stopMotor(state: MotorState, why: StopWhy, now: number): Stepped {
  if (!state.move) return { state, writes: state.line === 'here' ? [HOLD] : [] };
  if (state.move.stopping) return still(state);
  if (!state.move.begun) return { state: endMove(state, 'stopped', why), writes: [HOLD] };
  return { state: { ...state, move: { ...state.move, stopping: { why, at: now } } }, writes: [HOLD] };
}

/** The line is there. Where it stands nobody knows yet. */
export const comeHere = (state: MotorState): MotorState => ({
  ...state,
  line: 'here',
  status: null,
  askedAt: -Infinity,
});

export const loseLine = (state: MotorState): MotorState => ({
  ...doubted(state, { why: 'line-lost' }),
  line: 'away',
  status: null,
});

/** A person says at which count of the round it stands: that ends every doubt. */
export function sayStands(state: MotorState, count: number): MotorState {
  if (!state.status || state.move || state.status.doing === 'going') return state;
  return { ...state, zero: state.status.at - count, doubt: null, phase: null };
}

/** How far a pulse came from where it should, of the count; 0 where none was due. */
function drift({ pulses, perTurn }: MotorDevice, phase: number, pulse: number): number {
  const period = perTurn / pulses;
  const over = (((pulse - phase) % period) + period) % period;
  return over > period / 2 ? over - period : over;
}

/** It came to rest: is it there, and did its index come when it should? */
function rested(motor: MotorDevice, state: MotorState, now: number): Stepped {
  const move = state.move!;
  if (move.past !== null) {
    const next = { ...move, past: null, taken: false, stood: 0, sentAt: now };
    return { state: { ...state, move: next }, writes: [`${moveLine(motor, move.to)}\n`] };
  }
  const there = endMove(state, 'there');
  const pulse = state.status?.pulse ?? null;
  if (motor.pulses === 0 || pulse === null) return still(there);
  if (state.phase === null) return still({ ...there, phase: pulse });
  const by = drift(motor, state.phase, pulse);
  // an index repeats to about a step
  return still(Math.abs(by) > 1.5 * move.step ? doubted(there, { why: 'steps-missed', by }) : there);
}

function hearStatus(motor: MotorDevice, before: MotorState, status: MotorStatus, now: number): Stepped {
  const state = { ...before, status: { ...status, time: now } };
  if (status.doing === 'alarm') return still(doubted(state, { why: 'alarm' }));
  const { move } = state;
  if (!move) {
    const was = before.status;
    const moved = was && before.zero !== null && Math.abs(status.at - was.at) > STILL_WITHIN;
    return still(moved ? doubted(state, { why: 'elsewhere', at: status.at, meant: was.at }) : state);
  }
  if (!move.begun) return still(state);
  if (move.stopping) {
    // what it said before it heard of it says nothing
    if (now - move.stopping.at < 2 * ASK_EVERY || status.doing === 'going') return still(state);
    const ended = endMove(state, 'stopped', move.stopping.why);
    return { state: { ...ended, forgets: now + FORGETS_MS }, writes: [FORGET] };
  }
  if (status.doing !== 'still' || !move.taken) return still(state);
  const goal = move.past ?? move.to;
  if (Math.abs(status.at - goal) <= move.step / 2) return rested(motor, state, now);
  if (move.stood + 1 < STOOD) return still({ ...state, move: { ...move, stood: move.stood + 1 } });
  return still(doubted(state, { why: 'elsewhere', at: status.at, meant: goal }));
}

/** What stands still shows the same count, to the places of its line. */
const STILL_WITHIN = 0.0015;

/** Something came over its line. */
export function hear(motor: MotorDevice, state: MotorState, line: MotorLine, now: number): Stepped {
  switch (line.what) {
    case 'ok':
      return still(state.move ? { ...state, move: { ...state.move, taken: true } } : state);
    case 'error':
      return still(state.move ? doubted(state, { why: 'refused', code: line.code }) : state);
    case 'alarm':
      return still(doubted(state, { why: 'alarm' }));
    case 'began':
      return still(now <= state.forgets ? state : doubted(state, { why: 'began-anew' }));
    case 'status':
      return hearStatus(motor, state, line, now);
  }
}

/**
 * Looks at the clock: asks where it is, and stops what may not go on.
 * @param notNow why the work must not be turned now; null where it may
 */
export function tick(state: MotorState, notNow: NotNow | null, now: number): Stepped {
  if (state.line === 'away') return still(state);
  const { move, status } = state;
  const ask = now - state.askedAt >= ASK_EVERY;
  const asked: Stepped = {
    state: ask ? { ...state, askedAt: now } : state,
    writes: ask ? [ASK] : [],
  };
  if (!move) return asked;
  if (!move.begun) {
    const late = now - move.sentAt > HELD_MS;
    return late ? { ...asked, state: endMove(asked.state, 'stopped', 'page-lost') } : asked;
  }
  const since = move.stopping?.at ?? Math.max(move.sentAt, status?.time ?? 0);
  const untaken = !move.taken && status?.doing === 'still' && now - move.sentAt > 2 * SILENT_MS;
  if (now - since > SILENT_MS || untaken)
    return { state: doubted(asked.state, { why: 'no-answer' }), writes: [HOLD] };
  if (move.stopping) return asked;
  const why: StopWhy | null = now - move.heldAt > HELD_MS ? 'page-lost' : notNow;
  if (!why) return asked;
  const stopped = stopMotor(asked.state, why, now);
  return { state: stopped.state, writes: [...stopped.writes, ...asked.writes] };
}
