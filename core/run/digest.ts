import { z } from 'zod';
import { chordSays, dueCheck } from './halfway.ts';
import { stateOf, type RunState } from './fold.ts';
import { placeOf } from './places.ts';
import { sayLanding } from './saying.ts';
import { pieceSchema } from './schema.ts';
import type { RunTally } from './tally.ts';

/** Moves of a motor that are told one by one. */
const MOST_MOVES = 40;

const placed = { space: z.int(), round: z.int(), at: z.string() };

/** What the logbook keeps of a run: enough to read it by, without a single one of its counts. */
export const runDigestSchema = z
  .object({
    jobName: z.string(),
    /** Of the job it was frozen from; what rests from before lacks it. */
    jobRevision: z.int().optional(),
    gear: z.string(),
    piece: pieceSchema,
    continues: z.string().nullable(),
    deepens: z.object({ runId: z.string(), by: z.number() }).nullable(),
    divisions: z.int(),
    /** The first move in words, and what it is made on. */
    move: z.string(),
    method: z.string(),
    head: z.string(),
    rounds: z.array(z.object({ name: z.string(), depthMm: z.number().nullable() })),
    card: z.array(z.object({ number: z.int(), title: z.string(), answer: z.string() })),
    units: z.enum(['mm', 'in']),
    done: z.int(),
    total: z.int(),
    closed: z.boolean().nullable(),
    /** How it was ended before it closed, and why; what rests from before lacks it. */
    ended: z
      .object({ how: z.enum(['given-up', 'scrapped', 'again']), reason: z.string() })
      .nullable()
      .optional(),
    scratch: z.boolean().nullable(),
    /** First and last count, by the clock of the screen; null before any. */
    first: z.string().nullable(),
    last: z.string().nullable(),
    /** Between counts, interruptions left out; seconds. */
    counted: z.number(),
    perCut: z.number().nullable(),
    takenBack: z.int(),
    screens: z.int(),
    notes: z.array(z.object({ ...placed, text: z.string(), reset: z.boolean() })),
    interruptions: z.array(z.object({ at: z.string(), reason: z.string(), seconds: z.number().nullable() })),
    checks: z.array(
      z.object({
        ...placed,
        read: z.array(z.number()).nullable(),
        chord: z.number().nullable(),
        good: z.boolean().nullable(),
        by: z.string().optional(),
      }),
    ),
    /** What a motor was sent to, where one was; the moves that did not end where they were sent. */
    byMotor: z
      .object({
        by: z.string(),
        moves: z.int(),
        there: z.int(),
        other: z.array(
          z.object({
            ...placed,
            steps: z.int(),
            rest: z.number().nullable(),
            how: z.enum(['stopped', 'doubt']),
          }),
        ),
      })
      .optional(),
    /** What was measured on the piece, each time someone wrote it down. mm */
    measured: z.array(
      z.object({
        at: z.string(),
        readings: z.array(
          z.object({
            name: z.string(),
            read: z.number(),
            should: z.number().nullable(),
            by: z.string().optional(),
          }),
        ),
        verdict: z.string(),
      }),
    ),
    /** Landing holes asked for, and told wrong. */
    asked: z.int(),
    wrong: z.int(),
  })
  .readonly();
export type RunDigest = z.infer<typeof runDigestSchema>;

/** A pause with what ended it. */
const interruptionsOf = ({ pauses, resumes }: RunTally): RunDigest['interruptions'] =>
  pauses.map(({ id, clientTime }) => {
    const end = resumes.get(id);
    const seconds = end ? (Date.parse(end.clientTime) - Date.parse(clientTime)) / 1000 : null;
    return {
      at: clientTime,
      reason: end?.reason ?? '',
      seconds: seconds !== null && seconds >= 0 ? seconds : null,
    };
  });

/** The page of the logbook for a run. @param state of these very events; folded here when left out */
export function digestOf(tally: RunTally, state: RunState = stateOf(tally)): RunDigest {
  const { run, dones, paced, landings } = tally;
  const spaceAt = (event: { round: number; index: number }) => run.cuts[placeOf(run, event)] ?? null;
  const second = run.cuts[1] ?? run.cuts[0]!;
  return {
    jobName: run.jobName,
    jobRevision: run.jobRevision,
    gear: run.gear,
    piece: run.piece,
    continues: run.continues?.runId ?? null,
    deepens: run.deepens && { runId: run.deepens.runId, by: run.deepens.by },
    divisions: run.divisions,
    move: sayLanding(run, second.landing).how,
    method: run.move.method,
    head: run.head?.name ?? run.mill?.name ?? '',
    rounds: run.rounds.map(({ name, depthMm }) => ({ name, depthMm })),
    card: run.card.map((line) => ({ ...line })),
    units: run.units,
    done: state.done,
    total: state.total,
    closed: state.closed && state.closed.fits,
    ended: state.ended && { ...state.ended },
    scratch: state.tried && state.tried.fits,
    first: dones[0]?.clientTime ?? null,
    last: dones.at(-1)?.clientTime ?? null,
    counted: paced.sum,
    perCut: paced.median,
    takenBack: tally.donesTakenBack,
    screens: tally.counting(),
    notes: state.notes.map((note) => ({
      space: spaceAt(note)?.space ?? 0,
      round: note.round,
      at: note.clientTime,
      text: note.text,
      reset: note.reset,
    })),
    interruptions: interruptionsOf(tally),
    checks: tally.checks.map((event) => {
      const cut = spaceAt(event);
      const due = cut && dueCheck(run, cut);
      const good =
        due && event.read
          ? event.read.every((read) => {
              const { slip, odd } = chordSays(due, read);
              return slip === 0 && !odd;
            })
          : null;
      return {
        space: cut?.space ?? 0,
        round: event.round,
        at: event.clientTime,
        read: event.read && [...event.read],
        chord: due?.chord ?? null,
        good,
        ...(event.by && { by: event.by }),
      };
    }),
    measured: tally.measured.map(({ clientTime, readings, verdict }) => ({
      at: clientTime,
      readings: readings.map((one) => ({ ...one })),
      verdict,
    })),
    ...(tally.sent.length > 0 && { byMotor: motorSays(tally) }),
    asked: landings.length,
    wrong: landings.filter(({ right }) => !right).length,
  };
}

/** What a motor was sent to, in sum, and where it did not come to rest as it was sent. */
function motorSays({ run, sent }: RunTally): NonNullable<RunDigest['byMotor']> {
  const other = sent.flatMap(({ how, steps, rest, clientTime, round, index }) =>
    how === 'there'
      ? []
      : [
          {
            space: run.cuts[placeOf(run, { round, index })]?.space ?? 0,
            round,
            at: clientTime,
            steps,
            rest,
            how,
          },
        ],
  );
  return {
    by: sent.at(-1)!.by,
    moves: sent.length,
    there: sent.length - other.length,
    other: other.slice(-MOST_MOVES),
  };
}
