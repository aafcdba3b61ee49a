import type { Job } from '../../core/job/index.ts';
import type { RunEvent } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import {
  addressOf,
  calls,
  type AnswerOf,
  type Asked,
  type Call,
  type Problem,
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

/** Asks the server what stands in core/wire: path, query and body as that says. */
async function ask<Made extends Call>(call: Made, asked: Asked<Made>): Promise<AnswerOf<Made>> {
  const { body = {} } = asked as { readonly body?: unknown };
  const init: RequestInit = { method: call.method.toUpperCase() };
  // what changes something always goes as JSON: nothing else is taken. A file goes as it is: it may
  // be no JSON at all, and the server says so
  if (call.method !== 'get') {
    init.body = call.textBody ? String(body) : JSON.stringify(body);
    init.headers = { 'content-type': 'application/json' };
  }
  const response = await fetch(addressOf(call, asked), init).catch(() => {
    throw new AwayError();
  });
  const answer: unknown = await response.json().catch(() => undefined);
  // a page from something in between (a sign-in of the network, a proxy) is not Vuelta: nothing was stored
  if (typeof answer !== 'object' || answer === null) throw new AwayError();
  if (response.status === 401) onUnknownDevice();
  if (!response.ok) throw new ProblemError(response.status, answer);
  return answer as AnswerOf<Made>;
}

export const api = {
  listJobs: (archived: boolean) =>
    ask(calls.listJobs, { query: { archived: archived ? 'true' : 'false' } }).then(({ jobs }) => jobs),
  readJob: (id: string) => ask(calls.readJob, { params: { id } }),
  saveJob: (revision: number, job: Job) =>
    ask(calls.saveJob, { params: { id: job.id }, body: { revision, job } }),
  changeJob: (id: string, change: { revision: number; name?: string; archived?: boolean }) =>
    ask(calls.changeJob, { params: { id }, body: change }),
  duplicateJob: (id: string, newId: string, name: string) =>
    ask(calls.duplicateJob, { params: { id }, body: { id: newId, name } }),
  importJob: (text: string) => ask(calls.importJob, { body: text }),
  exportAddress: (id: string) => addressOf(calls.exportJob, { params: { id } }),
  restoreKept: (id: string) => ask(calls.restoreKept, { params: { id } }),
  readShop: () => ask(calls.readShop, {}),
  saveShop: (revision: number, equipment: Equipment) =>
    ask(calls.saveShop, { body: { revision, equipment } }),
  startRun: (jobId: string, start: Asked<typeof calls.startRun>['body']) =>
    ask(calls.startRun, { params: { id: jobId }, body: start }),
  runsOf: (jobId: string) => ask(calls.runsOf, { params: { id: jobId } }).then(({ runs }) => runs),
  readRun: (id: string) => ask(calls.readRun, { params: { id } }),
  readEvents: (id: string, after: number) => ask(calls.readEvents, { params: { id }, query: { after } }),
  listLog: () => ask(calls.listLog, {}),
  readLog: (id: string) => ask(calls.readLog, { params: { id } }),
  readPairing: () => ask(calls.readPairing, {}),
  pair: (code: string) => ask(calls.pair, { body: { code } }),
  backupAddress: addressOf(calls.backup, {}),
  restore: (text: string) => ask(calls.restore, { body: text }),
  appendEvents: (id: string, events: readonly RunEvent[]) =>
    ask(calls.appendEvents, { params: { id }, body: { events: [...events] } }),
};
