import type { Job } from '../../core/job/index.ts';
import type { Piece, RunEvent } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type {
  Appended,
  EventsPage,
  JobListing,
  Problem,
  StoredJob,
  StoredRun,
  StoredShop,
  LogEntry,
  LogPage,
  Restored,
  UnreadRun,
} from '../../core/wire/index.ts';

/** The server said no, with its reasons. */
export class ProblemError extends Error {
  readonly status: number;
  readonly issues: Problem['issues'];
  readonly kept: string | null;
  constructor(status: number, body: Partial<Problem>) {
    super(body.detail ?? `The server answered ${status}.`);
    this.status = status;
    this.issues = body.issues ?? [];
    this.kept = body.kept ?? null;
  }
}

/** The server did not answer at all. */
export class AwayError extends Error {
  constructor() {
    super('Vuelta’s server is not answering. What you count or type is kept in this browser until it does.');
  }
}

let onUnknownDevice = () => {};
/** Called when the server does not know this device yet. */
export function whenUnknownDevice(then: () => void): void {
  onUnknownDevice = then;
}

/** @param body text goes as it is: a file may be no JSON at all, and the server says so */
async function ask<T>(path: string, method = 'GET', body: unknown = {}): Promise<T> {
  const init: RequestInit = { method };
  // what changes something always goes as JSON: nothing else is taken
  if (method !== 'GET') {
    init.body = typeof body === 'string' ? body : JSON.stringify(body);
    init.headers = { 'content-type': 'application/json' };
  }
  const response = await fetch(`/api${path}`, init).catch(() => {
    throw new AwayError();
  });
  const answer: unknown = await response.json().catch(() => undefined);
  // a page from something in between (a sign-in of the network, a proxy) is not Vuelta: nothing was stored
  if (typeof answer !== 'object' || answer === null) throw new AwayError();
  if (response.status === 401) onUnknownDevice();
  if (!response.ok) throw new ProblemError(response.status, answer);
  return answer as T;
}

const seg = encodeURIComponent;

export const api = {
  listJobs: (archived: boolean) =>
    ask<{ jobs: JobListing[] }>(`/jobs?archived=${archived}`).then(({ jobs }) => jobs),
  readJob: (id: string) => ask<StoredJob>(`/jobs/${seg(id)}`),
  saveJob: (revision: number, job: Job) => ask<StoredJob>(`/jobs/${seg(job.id)}`, 'PUT', { revision, job }),
  changeJob: (id: string, change: { revision: number; name?: string; archived?: boolean }) =>
    ask<StoredJob>(`/jobs/${seg(id)}`, 'PATCH', change),
  duplicateJob: (id: string, newId: string, name: string) =>
    ask<StoredJob>(`/jobs/${seg(id)}/duplicate`, 'POST', { id: newId, name }),
  importJob: (text: string) => ask<StoredJob>('/jobs/import', 'POST', text),
  exportAddress: (id: string) => `/api/jobs/${seg(id)}/export`,
  restoreKept: (id: string) => ask<StoredJob>(`/kept/${seg(id)}/restore`, 'POST'),
  readShop: () => ask<StoredShop>('/shop'),
  saveShop: (revision: number, equipment: Equipment) =>
    ask<StoredShop>('/shop', 'PUT', { revision, equipment }),
  startRun: (
    jobId: string,
    start: {
      id: string;
      partId: string;
      revision: number;
      piece: Piece;
      continues: string | null;
      deepens: { runId: string; by: number; register: 'kept' | 'found' } | null;
    },
  ) => ask<StoredRun>(`/jobs/${seg(jobId)}/runs`, 'POST', start),
  runsOf: (jobId: string) => ask<{ runs: StoredRun[] }>(`/jobs/${seg(jobId)}/runs`).then(({ runs }) => runs),
  readRun: (id: string) => ask<StoredRun>(`/runs/${seg(id)}`),
  readEvents: (id: string, after: number) => ask<EventsPage>(`/runs/${seg(id)}/events?after=${after}`),
  listLog: () => ask<{ runs: LogEntry[]; unread: UnreadRun[] }>('/log'),
  readLog: (id: string) => ask<LogPage>(`/log/${seg(id)}`),
  readPairing: () => ask<{ code: string | null; paired: boolean }>('/pairing'),
  pair: (code: string) => ask<{ paired: boolean }>('/pair', 'POST', { code }),
  backupAddress: '/api/backup',
  restore: (text: string) => ask<Restored>('/restore', 'POST', text),
  appendEvents: (id: string, events: readonly RunEvent[]) =>
    ask<Appended>(`/runs/${seg(id)}/events`, 'POST', { events }),
};
