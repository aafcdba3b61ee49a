import type { Device } from '../../core/devices/index.ts';
import type { Job } from '../../core/job/index.ts';
import type { Kind } from '../../core/kinds/index.ts';
import type { RunEvent } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import {
  addressOf,
  PLACES,
  type AnswerOf,
  type Asked,
  type Calls,
  type BenchBody,
  type ClassBody,
  type LogEntry,
  type LogList,
  type PictureBody,
  type Place,
  type Where,
  type Problem,
  type TurnBody,
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

type Name = keyof Calls & keyof typeof PLACES;

/** A server that hangs is as good as one that is away: how long is waited for an answer. */
const USUAL_PATIENCE_MS = 20_000;
const PATIENCE_MS: Readonly<Partial<Record<Name, number>>> = {
  // a count is sent again by itself, and the screen says meanwhile that it is kept
  appendEvents: 6000,
  readEvents: 6000,
  // what holds a motor is said again at once
  holdMotor: 400,
  turnMotor: 4000,
  addPicture: 60_000,
  importJob: 60_000,
  // a workshop of some thousand jobs
  restore: 600_000,
};

/** Asks the server what stands in core/wire: path, query and body as that says. */
async function ask<Called extends Name>(
  called: Called,
  asked: Asked<Calls[Called]>,
): Promise<AnswerOf<Calls[Called]>> {
  const place: Place = PLACES[called];
  const { body = {}, ...where } = asked as Where & { readonly body?: unknown };
  const init: RequestInit = {
    method: place.method.toUpperCase(),
    // an older tablet has no such clock, and waits as long as its browser does
    signal: AbortSignal.timeout?.(PATIENCE_MS[called] ?? USUAL_PATIENCE_MS) ?? null,
  };
  // what changes something always goes as JSON: nothing else is taken. A file goes as it is: it may
  // be no JSON at all, and the server says so
  if (place.method !== 'get') {
    init.body = place.textBody ? String(body) : JSON.stringify(body);
    init.headers = { 'content-type': 'application/json' };
  }
  const response = await fetch(addressOf(place, where), init).catch(() => {
    throw new AwayError();
  });
  const answer: unknown = await response.json().catch(() => undefined);
  // a page from something in between (a sign-in of the network, a proxy) is not Vuelta: nothing was stored
  if (typeof answer !== 'object' || answer === null) throw new AwayError();
  if (response.status === 401) onUnknownDevice();
  if (!response.ok) throw new ProblemError(response.status, answer);
  return answer as AnswerOf<Calls[Called]>;
}

export const api = {
  listJobs: (query: Asked<Calls['listJobs']>['query']) => ask('listJobs', { query }),
  lastJob: (kind: Kind) => ask('lastJob', { query: { kind } }).then(({ job }) => job),
  readJob: (id: string) => ask('readJob', { params: { id } }),
  saveJob: (revision: number, job: Job) =>
    ask('saveJob', { params: { id: job.id }, body: { revision, job } }),
  changeJob: (id: string, change: Asked<Calls['changeJob']>['body']) =>
    ask('changeJob', { params: { id }, body: change }),
  duplicateJob: (id: string, newId: string, name: string) =>
    ask('duplicateJob', { params: { id }, body: { id: newId, name } }),
  importJob: (text: string) => ask('importJob', { body: text }),
  exportAddress: (id: string) => addressOf(PLACES.exportJob, { params: { id } }),
  restoreKept: (id: string) => ask('restoreKept', { params: { id } }),
  toBuy: (tolerance: number) => ask('toBuy', { query: { tolerance } }),
  readShop: () => ask('readShop', {}),
  saveShop: (revision: number, equipment: Equipment) => ask('saveShop', { body: { revision, equipment } }),
  startRun: (jobId: string, start: Asked<Calls['startRun']>['body']) =>
    ask('startRun', { params: { id: jobId }, body: start }),
  runsOf: (jobId: string) => ask('runsOf', { params: { id: jobId } }).then(({ runs }) => runs),
  readRun: (id: string) => ask('readRun', { params: { id } }),
  readEvents: (id: string, after: number) => ask('readEvents', { params: { id }, query: { after } }),
  listDevices: () => ask('listDevices', {}).then(({ devices }) => devices),
  listPorts: () => ask('listPorts', {}).then(({ ports }) => ports),
  liveAddress: addressOf(PLACES.watchDevices, {}),
  saveDevice: (device: Device) => ask('saveDevice', { params: { id: device.id }, body: device }),
  removeDevice: (id: string) => ask('removeDevice', { params: { id } }),
  turnMotor: (id: string, body: TurnBody) => ask('turnMotor', { params: { id }, body }),
  holdMotor: (id: string, body: Asked<Calls['holdMotor']>['body']) =>
    ask('holdMotor', { params: { id }, body }),
  stopMotor: (id: string) => ask('stopMotor', { params: { id } }),
  motorStands: (id: string, body: Asked<Calls['motorStands']>['body']) =>
    ask('motorStands', { params: { id }, body }),
  zeroReadout: (id: string, body: Asked<Calls['zeroReadout']>['body']) =>
    ask('zeroReadout', { params: { id }, body }),
  takeReadings: (screen: string) => ask('takeReadings', { body: { screen } }),
  listPictures: (about: string) => ask('listPictures', { query: { about } }).then(({ pictures }) => pictures),
  addPicture: (id: string, body: PictureBody) => ask('addPicture', { params: { id }, body }),
  changePicture: (id: string, change: Asked<Calls['changePicture']>['body']) =>
    ask('changePicture', { params: { id }, body: change }),
  pictureAddress: (id: string) => addressOf(PLACES.showPicture, { params: { id } }),
  listLog: (query: Asked<Calls['listLog']>['query']) => ask('listLog', { query }),
  /** Every run that fits, page by page: for a file. */
  everyRun: async (filter: Asked<Calls['listLog']>['query']): Promise<readonly LogEntry[]> => {
    const runs: LogEntry[] = [];
    let after: string | null = null;
    do {
      const page: LogList = await ask('listLog', {
        query: { ...filter, limit: 200, ...(after ? { after } : {}) },
      });
      runs.push(...page.runs);
      after = page.next;
    } while (after !== null);
    return runs;
  },
  readLog: (id: string) => ask('readLog', { params: { id } }),
  readPairing: () => ask('readPairing', {}),
  pair: (code: string, name: string) => ask('pair', { body: { code, name } }),
  renewPairing: () => ask('renewPairing', {}),
  putOutDevice: (id: string) => ask('putOutDevice', { params: { id } }),
  forgetDevices: () => ask('forgetDevices', {}),
  backupAddress: addressOf(PLACES.backup, {}),
  restore: (text: string) => ask('restore', { body: text }),
  readRestore: () => ask('readRestore', {}),
  stopRestore: () => ask('stopRestore', {}),
  makeClass: (body: ClassBody) => ask('makeClass', { body }),
  listClasses: () => ask('listClasses', {}).then(({ classes }) => classes),
  readClass: (key: string) => ask('readClass', { params: { key } }),
  changeClass: (key: string, body: ClassBody) => ask('changeClass', { params: { key }, body }),
  deleteClass: (key: string) => ask('deleteClass', { params: { key } }),
  removeLearner: (key: string, number: number) =>
    ask('removeLearner', { params: { key, number: String(number) } }),
  joinClass: (code: string, name: string, figures: string) =>
    ask('joinClass', { body: { code, name, figures } }),
  readLearner: (token: string) => ask('readLearner', { params: { token } }),
  addTry: (token: string, body: Asked<Calls['addTry']>['body']) => ask('addTry', { params: { token }, body }),
  tellBench: (token: string, body: BenchBody) => ask('tellBench', { params: { token }, body }),
  leaveClass: (token: string) => ask('leaveClass', { params: { token } }),
  appendEvents: (id: string, events: readonly RunEvent[]) =>
    ask('appendEvents', { params: { id }, body: { events: [...events] } }),
};
