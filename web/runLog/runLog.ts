import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { lastSeenOf, type Run, type RunAct, type RunEvent } from '../../core/run/index.ts';
import { api, AwayError, newId, ProblemError } from '../state/index.ts';
import { keptRuns, type RunKeep } from './keptRuns.ts';
import { forgetEvents, keepEvent, keptEvents, putAside } from './outbox.ts';
import { nextEventNumber, type EventNumber } from './screenId.ts';

const POLL_MS = 3000;
/**
 * Two taps of one button closer than this are one: nobody cuts a space, or cranks a turn, in so short a time.
 */
const DOUBLE_TAP_MS: Readonly<Partial<Record<RunAct['kind'], number>>> = {
  done: 700,
  'take-back': 700,
  closed: 700,
  heeded: 300,
  ended: 700,
  turn: 300,
  tried: 700,
  checked: 700,
};

export interface RunLogState {
  readonly events: readonly RunEvent[];
  /** Have the server's events been read at least once? */
  readonly loaded: boolean;
  readonly link: 'ok' | 'away';
  /** Counts that wait in this browser. */
  readonly waiting: number;
  /** Does this browser let events be kept? If not, a count shows only once the server has it. */
  readonly keeps: boolean;
  /** Why the server would not take something, in words. */
  readonly refused: string | null;
  /** Why nothing goes through for now, where the server says; what waits is kept. */
  readonly trouble: string | null;
  /** Adds what a person did. Repeated keys and double taps of the counting buttons are one. */
  act(...acts: readonly RunAct[]): void;
  /** Sends what waits and asks for what others have made. */
  exchange(): Promise<void>;
}

export type RunLog = UseBoundStore<StoreApi<RunLogState>>;

/**
 * What a person did, as an event. @param number of the screen it is made on @param seen what that screen
 * knows of the run
 */
function eventOf({
  runId,
  act,
  number,
  seen,
}: {
  readonly runId: string;
  readonly act: RunAct;
  readonly number: EventNumber;
  readonly seen: readonly RunEvent[];
}): RunEvent {
  const { [number.device]: _own, ...lastSeen } = lastSeenOf(seen);
  return {
    id: newId(),
    runId,
    ...number,
    lastSeen,
    clientTime: new Date().toISOString(),
    ...act,
  };
}

/**
 * Does the server judge the event itself? A device it no longer knows, a run it has not found or a fault of
 * its own says nothing of the event: that goes on waiting.
 */
const refusesEvent = (error: unknown): boolean =>
  error instanceof ProblemError && (error.status === 409 || error.status === 422);

/** The log of one run on this page: the outbox first, then the screen, then the server. */
export function createRunLog(run: Run, keep: RunKeep = keptRuns()): RunLog {
  let arrival = 0;
  const lastPressed = new Map<RunAct['kind'], number>();
  let exchanging: Promise<void> | null = null;

  return create<RunLogState>()((set, get) => {
    const merge = (fresh: readonly RunEvent[]) => {
      const known = new Set(get().events.map(({ id }) => id));
      const added = fresh.filter(({ id }) => !known.has(id));
      if (added.length > 0) set({ events: [...get().events, ...added] });
    };
    const drop = (event: RunEvent, why: string) => {
      putAside(event);
      set({ events: get().events.filter(({ id }) => id !== event.id), refused: why });
    };

    /** What waits is in the outbox, and may yet be refused. @param sent of it, and taken by the server */
    const keepConfirmed = async (sent: readonly RunEvent[]) => {
      const { events, loaded } = get();
      const taken = new Set(sent.map(({ id }) => id));
      const waits = new Set(keptEvents(run.id).flatMap(({ id }) => (taken.has(id) ? [] : [id])));
      const confirmed = events.filter(({ id }) => !waits.has(id));
      await keep.write({ run, events: confirmed, arrival, whole: loaded });
    };

    /** What the server has confirmed is kept for when it is away, before the outbox lets go of it. */
    const confirm = async (sent: readonly RunEvent[]) => {
      merge(sent);
      await keepConfirmed(sent);
      forgetEvents(
        run.id,
        sent.map(({ id }) => id),
      );
    };

    /** The count as it stood when the server was last there; what was made since is in the outbox. */
    async function takeKept(): Promise<void> {
      const kept = await keep.read(run.id);
      if (!kept || get().loaded) return;
      arrival = kept.arrival;
      merge(kept.events);
      set({ loaded: true });
    }

    async function send(): Promise<void> {
      const waiting = keptEvents(run.id);
      if (waiting.length === 0) return;
      try {
        await api.appendEvents(run.id, waiting);
        await confirm(waiting);
      } catch (error) {
        if (!refusesEvent(error)) throw error;
        // one bad event must not hold up the rest: find it by sending them singly
        for (const event of waiting) {
          try {
            await api.appendEvents(run.id, [event]);
            await confirm([event]);
          } catch (single) {
            if (!refusesEvent(single)) throw single;
            drop(event, (single as Error).message);
          }
        }
      }
    }

    async function exchangeOnce(): Promise<void> {
      try {
        await send();
        const page = await api.readEvents(run.id, arrival);
        const isNews = page.arrival !== arrival || !get().loaded;
        arrival = page.arrival;
        merge(page.events);
        set({ link: 'ok', loaded: true, trouble: null });
        if (isNews) await keepConfirmed([]);
      } catch (error) {
        if (!get().loaded && error instanceof AwayError) await takeKept();
        set({ link: 'away', trouble: error instanceof AwayError ? null : (error as Error).message });
      }
      set({ waiting: keptEvents(run.id).length });
    }

    return {
      events: keptEvents(run.id),
      loaded: false,
      link: 'ok',
      waiting: keptEvents(run.id).length,
      keeps: true,
      refused: null,
      trouble: null,
      act: (...acts) => {
        const now = performance.now();
        const kind = acts[0]?.kind;
        if (!kind || now - (lastPressed.get(kind) ?? -Infinity) < (DOUBLE_TAP_MS[kind] ?? 0)) return;
        lastPressed.set(kind, now);
        for (const act of acts) {
          const event = eventOf({ runId: run.id, act, number: nextEventNumber(run.id), seen: get().events });
          if (keepEvent(event)) {
            set({ events: [...get().events, event], waiting: get().waiting + 1 });
          } else {
            set({ keeps: false });
            void api.appendEvents(run.id, [event]).then(
              () => merge([event]),
              (error: Error) => set({ refused: error.message }),
            );
          }
        }
        void get().exchange();
      },
      exchange: async () => {
        // what was made while one exchange was under way goes with the next
        if (exchanging) await exchanging;
        exchanging ??= exchangeOnce().finally(() => {
          exchanging = null;
        });
        await exchanging;
      },
    };
  });
}

/**
 * Writes one thing in the log of a run from another page than the mill's. It is written once the server has
 * it.
 * @throws what the server says, and AwayError
 */
export async function writeInRun(runId: string, act: RunAct): Promise<void> {
  const { events } = await api.readEvents(runId, 0);
  // under a name of its own: one that does not arrive leaves no gap in this screen's counts
  await api.appendEvents(runId, [
    eventOf({ runId, act, number: { device: newId(), deviceSeq: 1 }, seen: events }),
  ]);
}

/** Keeps a log in touch with the server while its page is open. @returns what to call to stop */
export function keepInTouch(log: RunLog): () => void {
  const turn = () => {
    if (document.visibilityState === 'visible') void log.getState().exchange();
  };
  turn();
  const timer = setInterval(turn, POLL_MS);
  document.addEventListener('visibilitychange', turn);
  window.addEventListener('online', turn);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', turn);
    window.removeEventListener('online', turn);
  };
}
