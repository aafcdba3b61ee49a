import { z } from 'zod';
import {
  actionSchema,
  freshMachine,
  hideFault,
  newSession,
  perform,
  type Action,
  type FaultKey,
  type PracticeBench,
  type Session,
} from '../../core/practice/index.ts';

/** More than anybody does on one blank. */
const MOST = 20_000;
const placeOf = (key: string): string => `vuelta-practice ${key}`;

const keptSchema = z.object({
  revision: z.int(),
  seed: z.int().nullable(),
  /** Shown, and not done by a hand. */
  shown: z.literal(true).optional(),
  actions: z.array(actionSchema).max(MOST),
});
/** What was done on a blank, to be sent to somebody else: one may do it again, and go on. */
const sharedSchema = keptSchema.extend({
  format: z.literal('vuelta-rehearsal'),
  version: z.literal(1),
  card: z.string(),
});

/** A blank on the bench, and what is hidden in it. */
export interface Rehearsal {
  /** Null: nothing is hidden. */
  readonly seed: number | null;
  readonly hidden: FaultKey | null;
  /** Was it shown, and not done by a hand? */
  readonly shown: boolean;
  readonly session: Session;
}

/** A new blank. @param seed of what is hidden; null for nothing */
export function newRehearsal(bench: PracticeBench, seed: number | null): Rehearsal {
  const ground = seed === null ? { bench, machine: freshMachine(bench), key: null } : hideFault(bench, seed);
  return { seed, hidden: ground.key, shown: false, session: newSession(ground.bench, ground.machine) };
}

/**
 * The blank as this browser kept it, done again action by action; a new one where there is none.
 * @param key of the card it was cut by
 */
export function keptRehearsal(bench: PracticeBench, key: string): Rehearsal {
  try {
    const read = keptSchema.safeParse(JSON.parse(localStorage.getItem(placeOf(key)) ?? 'null'));
    // of a card that has changed since, nothing holds any more
    if (!read.success || read.data.revision !== bench.run.jobRevision) return newRehearsal(bench, null);
    return { ...again(bench, read.data.seed, read.data.actions), shown: read.data.shown ?? false };
  } catch {
    // what cannot be read is begun anew
    return newRehearsal(bench, null);
  }
}

/** Done again action by action. */
const again = (bench: PracticeBench, seed: number | null, actions: readonly Action[]): Rehearsal => {
  const fresh = newRehearsal(bench, seed);
  return { ...fresh, session: actions.reduce(perform, fresh.session) };
};

/** What was done, as a small file. @param card its address */
export function rehearsalFile({ seed, shown, session: { bench, log } }: Rehearsal, card: string): string {
  const actions = log.slice(0, MOST).map(({ action }) => action);
  const { jobRevision: revision } = bench.run;
  const shared: z.infer<typeof sharedSchema> = {
    ...{ format: 'vuelta-rehearsal', version: 1, card, revision },
    ...{ seed, actions, ...(shown && { shown }) },
  };
  return JSON.stringify(shared, null, 1);
}

/** @returns what such a file holds, or why it cannot be done again on this bench */
export function openRehearsal(bench: PracticeBench, card: string, text: string): Rehearsal | string {
  const read = sharedSchema.safeParse(parsed(text));
  if (!read.success) return 'That is no file of a practice bench, or it is damaged.';
  if (read.data.card !== card) return 'That was done on another job’s card. Rehearse that one, then open it.';
  if (read.data.revision !== bench.run.jobRevision)
    return `That was done on revision ${read.data.revision} of this card, which is at ${bench.run.jobRevision} now: it would cut something else.`;
  return { ...again(bench, read.data.seed, read.data.actions), shown: read.data.shown ?? false };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Keeps what was done, for after a reload. A browser that has no room keeps nothing. */
export function keepRehearsal({ seed, shown, session: { bench, log } }: Rehearsal, key: string): void {
  try {
    const actions = log.slice(0, MOST).map(({ action }) => action);
    if (log.length === 0 && seed === null) localStorage.removeItem(placeOf(key));
    else {
      const kept: z.infer<typeof keptSchema> = { revision: bench.run.jobRevision, seed, actions };
      localStorage.setItem(placeOf(key), JSON.stringify(shown ? { ...kept, shown } : kept));
    }
  } catch {
    // nothing of anyone's depends on it
  }
}
