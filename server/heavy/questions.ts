import type { Shopping } from '../../core/cutter/index.ts';
import { aimFrom, rankMethods, searchMethodsInSteps, standingFor } from '../../core/dividing/index.ts';
import type { Issue, Result } from '../../core/findings/index.ts';
import { recordOf, type MeasuredRecord } from '../../core/inspect/index.ts';
import { indexedParts, type Job } from '../../core/job/index.ts';
import { isGear } from '../../core/kinds/index.ts';
import { searchBends, searchLeads } from '../../core/lead/index.ts';
import {
  bendQuestion,
  dividingGround,
  leadQuestion,
  plan,
  refusals,
  stationOf,
  whatItIs,
  type Plan,
} from '../../core/plan/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { freezeRun, type Run } from '../../core/run/index.ts';
import type { Equipment, FormCutter, Head } from '../../core/shop/index.ts';
import { copyStore } from '../keeping/index.ts';
import type { PaperAsked } from '../papers/index.ts';
import { notFound } from '../problems.ts';
import { restoreBackup, writeBackup } from '../whole/index.ts';
import { cuttersToBuy } from './toBuy.ts';

/* What is worked out beside the server's own thread: plain data in, plain data out. */

export interface OfJob {
  readonly job: Job;
  readonly equipment: Equipment;
}
interface OfPart extends OfJob {
  readonly partId?: string | undefined;
}

/** What a job is found to be, for its row: its line on the bench, and why it cannot be stored. */
export interface Checked {
  readonly line: string;
  readonly refused: readonly Issue[];
}

/** How a head stands once it has been made ready for a part; null where no head divides. */
export type HeadStands = ({ readonly headId: string } & Pick<Head, 'mounted' | 'standing'>) | null;

export interface Frozen {
  readonly run: Result<Run>;
  readonly stands: HeadStands;
}

/** Each question with its answer. Only the last is the whole one; those before it are found so far. */
export interface Asking {
  readonly plan: readonly [OfJob, string];
  readonly ways: readonly [OfPart, string];
  readonly leads: readonly [OfPart, string];
  readonly check: readonly [OfJob, Checked];
  readonly freeze: readonly [OfJob & { readonly start: Parameters<typeof freezeRun>[0]['start'] }, Frozen];
  readonly record: readonly [OfPart, MeasuredRecord | null];
  /** A copy of the store, by the file it is written in. */
  readonly copy: readonly [{ readonly store: string; readonly what: string }, string];
  /** A sheet, drawing, table or program of a job, as the file’s bytes. */
  readonly paper: readonly [PaperAsked, Uint8Array];
  /** What the bench wants of cutters. */
  readonly toBuy: readonly [
    { readonly store: string; readonly owned: readonly FormCutter[]; readonly tolerance: number },
    Shopping,
  ];
  /** The whole workshop into a file; and back from one. */
  readonly backup: readonly [{ readonly store: string; readonly file: string; readonly at: string }, null];
  readonly restore: readonly [{ readonly store: string; readonly file: string }, Restored];
}
export type Work = keyof Asking;
/** What is done with files, not with a job. */
export type FileWork = 'copy' | 'paper' | 'toBuy' | 'backup' | 'restore';
export type JobWork = Exclude<Work, FileWork>;
export type Asked<W extends Work> = Asking[W][0];
export type Found<W extends Work> = Asking[W][1];

/** The gear in a few words, for lists. */
const lineOf = (planned: Plan): string => [...new Set(planned.parts.map(whatItIs))].join('; ');

const planOf = ({ job, equipment }: OfJob): Plan => plan(job, equipment);

/**
 * What the dividing station finds at once and what takes longer, ranked together, method by method.
 * @throws Refused 404 for a part that is not there
 */
function* waysOf({ job, partId, equipment }: OfPart): Generator<string> {
  const parts = indexedParts(job);
  const part = partId === undefined ? parts[0] : parts.find(({ id }) => id === partId);
  if (!part) throw notFound('part', partId ?? '');
  const planned = plan(job, equipment).parts.find(({ id }) => id === part.id)!;
  const { aim, methods, lead } = stationOf(planned, 'dividing')!.detail;
  const { head, gearSets, steppers } = dividingGround(job, equipment, part);
  const say = (searched: typeof methods, nearest: readonly number[], finished: boolean) =>
    JSON.stringify({ methods: rankMethods([...methods, ...searched]), nearest, finished });
  if (!aim || !head) return yield say([], [], true);
  yield say([], [], false);
  for (const step of searchMethodsInSteps({ head, gearSets, steppers, lead }, aimFrom(aim)))
    yield say([...step.methods], step.nearest, step.finished);
}

/**
 * The longer search for a helical part's trains, and the angles its gears cut.
 * @throws Refused 404 for a part that is not there
 */
function* leadsOf({ job, partId, equipment }: OfPart): Generator<string> {
  const part = partId === undefined ? job.parts[0] : job.parts.find(({ id }) => id === partId);
  if (!part || !isGear(part)) throw notFound('part', partId ?? '');
  const planned = plan(job, equipment).parts.find(({ id }) => id === part.id)!;
  const detail = stationOf(planned, 'lead')?.detail;
  const asked = { job, part, shop: equipment };
  const lead = detail ? leadQuestion({ ...asked, detail }) : null;
  const bend = detail ? bendQuestion({ ...asked, detail }) : null;
  const trains = lead ? searchLeads(lead) : [];
  const none = { single: [], pair: null };
  if (bend) yield JSON.stringify({ trains, bent: none, finished: false });
  yield JSON.stringify({ trains, bent: bend ? searchBends(bend) : none, finished: true });
}

/** The head of a part, and how it stands once it has been made ready. */
function standsAfter(planned: Plan, partId: string, heads: readonly Head[]): HeadStands {
  const part = planned.parts.find(({ id }) => id === partId);
  const detail = part && stationOf(part, 'dividing')?.detail;
  const head = detail?.head && heads.find(({ id }) => id === detail.head?.id);
  if (!detail?.inForce || !head) return null;
  return { headId: head.id, ...standingFor(detail.inForce, head, detail.lead) };
}

/** What the card has of readings now; null where it has none, or has no inspecting. */
function recordOfPart({ job, equipment, partId }: OfPart): MeasuredRecord | null {
  const part = plan(job, equipment).parts.find((each) => each.id === partId);
  const inspect = part && stationOf(part, 'inspect');
  return inspect ? recordOf(inspect.detail, job.units) : null;
}

const ANSWERS: { readonly [W in JobWork]: (asked: Asked<W>) => Iterable<Found<W>> } = {
  plan: (asked) => [JSON.stringify(planOf(asked))],
  ways: waysOf,
  leads: leadsOf,
  check: (asked) => {
    const planned = planOf(asked);
    return [{ line: lineOf(planned), refused: refusals(planned) }];
  },
  freeze: ({ start, ...asked }) => {
    const planned = planOf(asked);
    return [
      {
        run: freezeRun({ job: asked.job, planned, shop: asked.equipment, start }),
        stands: standsAfter(planned, start.partId, asked.equipment.heads),
      },
    ];
  },
  record: (asked) => [recordOfPart(asked)],
};

/** While an answer is made: who hears how far it is, and whether it is still wanted. */
export interface Making<W extends Work> {
  readonly better: (found: Found<W>) => void;
  readonly stopped: () => boolean;
}

const FILES: {
  readonly [W in FileWork]: (asked: Asked<W>, making: Making<W>) => Found<W> | Promise<Found<W>>;
} = {
  copy: ({ store, what }) => copyStore(store, what),
  // what lays out a page is large: only a thread that prints one loads it
  paper: async (asked) => (await import('../papers/index.ts')).writePaper(asked),
  toBuy: ({ store, owned, tolerance }) => cuttersToBuy(store, owned, tolerance),
  backup: ({ store, file, at }, { stopped }) => {
    writeBackup({ store, file, at, stopped });
    return null;
  },
  restore: ({ store, file }, making) => restoreBackup(store, file, making),
};

export const isFileWork = (work: Work): work is FileWork => work in FILES;

/** The answers to a question about a job, each better than the one before. */
export const answersTo = <W extends JobWork>(work: W, asked: Asked<W>): Iterable<Found<W>> =>
  ANSWERS[work](asked);

/** @returns the last answer; the best so far where it was stopped and there is one */
export async function answerTo<W extends Work>(
  work: W,
  asked: Asked<W>,
  making: Making<W>,
): Promise<Found<W>> {
  if (isFileWork(work)) return (await FILES[work](asked as never, making as never)) as Found<W>;
  const answers = ANSWERS[work as JobWork](asked as never) as Iterable<Found<W>>;
  let found: Found<W> | undefined;
  for (const answer of answers) {
    found = answer;
    // what comes at once is told by the answer itself
    if (!Array.isArray(answers)) making.better(answer);
  }
  return found!;
}
