import { z } from 'zod';
import { deviceSchema, type Device } from '../../core/devices/index.ts';
import { jobSchema, readJob, type Job } from '../../core/job/index.ts';
import { idSchema } from '../../core/kinds/index.ts';
import {
  checkEvent,
  readRun,
  runEventSchema,
  runSchema,
  type Run,
  type RunEvent,
} from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import { pictureShape } from '../../core/wire/index.ts';
import { Refused } from '../problems.ts';

export const BACKUP_FORMAT = 'vuelta-workshop';
/** 2: with pictures. 3: with devices. */
export const BACKUP_VERSION = 3;

/** What could not be read when the backup was written is in it as it rested. */
const asItRests = { raw: z.string().optional() };

const instant = z.iso.datetime({ offset: true });
const jobEntry = z.object({
  job: z.unknown(),
  ...asItRests,
  id: idSchema.optional(),
  name: z.string().optional(),
  /** What it is, in a few words. */
  line: z.string().max(2000).optional(),
  revision: z.int().min(1),
  archived: z.boolean(),
  createdAt: instant,
  updatedAt: instant,
});
const keptEntry = z.object({
  id: idSchema,
  jobId: idSchema,
  job: z.unknown(),
  baseRevision: z.int(),
  at: instant,
});
const runEntry = z.object({
  run: z.unknown(),
  ...asItRests,
  id: idSchema.optional(),
  jobId: idSchema.optional(),
  partId: z.string().optional(),
  startedAt: instant,
  updatedAt: instant,
  events: z.array(z.unknown()),
  eventsRaw: z.array(z.string()).optional(),
});

const pictureEntry = pictureShape.extend({ data: z.string(), away: z.boolean().default(false) });
const deviceEntry = z.object({ device: z.unknown(), ...asItRests, id: idSchema.optional() });

/** Outer shape of a backup; what is in it is checked piece by piece, each of whatever version it is. */
const backupSchema = z.looseObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.int().min(1).max(BACKUP_VERSION),
  at: instant,
  /** Of all that stands before it in the file; not in those of before. */
  sha256: z.string().optional(),
  shop: z.unknown(),
  shopRaw: z.string().optional(),
  jobs: z.array(jobEntry),
  kept: z.array(keptEntry),
  runs: z.array(runEntry),
  pictures: z.array(pictureEntry).default([]),
  devices: z.array(deviceEntry).default([]),
});

/**
 * A backup as it is written today, all the way down, for who describes it. What could not be read lies in it
 * as it rested, and its document is null.
 */
export const backupFileSchema = backupSchema.extend({
  shop: equipmentSchema.nullable(),
  jobs: z.array(jobEntry.extend({ job: jobSchema.nullable() })),
  runs: z.array(runEntry.extend({ run: runSchema.nullable(), events: z.array(runEventSchema.nullable()) })),
  devices: z.array(deviceEntry.extend({ device: deviceSchema.nullable() })),
});

/** What stands at the head of a backup, before its rows. */
const headSchema = backupSchema.pick({ format: true, version: true, at: true }).loose();

/** What could not be read when it was written: put back as it rested, where nothing of its id is here. */
export interface RawJob extends Omit<z.infer<typeof jobEntry>, 'id' | 'raw'> {
  readonly id: string;
  readonly raw: string;
}
export interface RawRun extends Omit<z.infer<typeof runEntry>, 'id' | 'raw'> {
  readonly id: string;
  readonly raw: string;
}
export interface JobInBackup extends Omit<z.infer<typeof jobEntry>, 'job' | 'raw'> {
  readonly raw?: undefined;
  readonly job: Job;
}
export interface RunInBackup extends Omit<z.infer<typeof runEntry>, 'run' | 'raw' | 'events'> {
  readonly raw?: undefined;
  readonly run: Run;
  readonly events: readonly RunEvent[];
}
export interface RawDevice {
  readonly id: string;
  readonly raw: string;
}
export interface DeviceInBackup {
  readonly raw?: undefined;
  readonly device: Device;
}
export type KeptInBackup = z.infer<typeof keptEntry>;
export type PictureInBackup = z.infer<typeof pictureEntry>;

export const notABackup = (why: string): Refused =>
  new Refused(422, [{ code: 'not-a-backup', path: '', severity: 'wrong', detail: { why } }]);

export const otherKind = (): Refused => notABackup('it is another kind of file');

function entryOf<Entry>(schema: z.ZodType<Entry>, raw: unknown): Entry {
  const read = schema.safeParse(raw);
  if (!read.success) throw otherKind();
  return read.data;
}

/** @throws Refused 422 where it is no backup, or one that is not read here yet */
export function checkHead(raw: unknown): void {
  const version = (raw as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > BACKUP_VERSION) throw notABackup('it is from a later Vuelta');
  entryOf(headSchema, raw);
}

/** @throws Refused 422 */
export function readShop(raw: unknown): Equipment | null {
  if (raw === null) return null;
  if (raw === undefined) throw otherKind();
  const shop = equipmentSchema.safeParse(shopToToday(raw));
  if (!shop.success) throw notABackup('the shop in it is damaged');
  return shop.data;
}

type Entry = { readonly raw?: string | undefined; readonly id?: string | undefined };
const restsRaw = <E extends Entry>(entry: E): entry is E & { readonly raw: string; readonly id: string } =>
  entry.raw !== undefined && entry.id !== undefined;

/** @throws Refused 422 */
export function readJobEntry(raw: unknown): JobInBackup | RawJob {
  const entry = entryOf(jobEntry, raw);
  if (restsRaw(entry)) return entry;
  const read = readJob(entry.job);
  if (read.ok) return { ...entry, raw: undefined, job: read.value };
  const { name } = (entry.job ?? {}) as { name?: unknown };
  throw notABackup(`the job “${typeof name === 'string' ? name : '?'}” in it is damaged`);
}

/** @throws Refused 422 */
export function readRunEntry(raw: unknown): RunInBackup | RawRun {
  const entry = entryOf(runEntry, raw);
  if (restsRaw(entry)) return entry;
  try {
    const run = readRun(entry.run);
    const events = entry.events.map((event) => runEventSchema.parse(event));
    if (events.some((event) => checkEvent(run, event).length > 0)) throw new Error('strange event');
    return { ...entry, raw: undefined, run, events };
  } catch {
    throw notABackup('a run in it is damaged');
  }
}

/** @throws Refused 422 */
export const readKeptEntry = (raw: unknown): KeptInBackup => entryOf(keptEntry, raw);

/** @throws Refused 422 */
export const readPictureEntry = (raw: unknown): PictureInBackup => entryOf(pictureEntry, raw);

/** @throws Refused 422 */
export function readDeviceEntry(raw: unknown): DeviceInBackup | RawDevice {
  const entry = entryOf(deviceEntry, raw);
  if (restsRaw(entry)) return entry;
  const read = deviceSchema.safeParse(entry.device);
  if (!read.success) throw notABackup('a device in it is damaged');
  return { device: read.data };
}

/** Parts of a backup that are lists, in the order in which they go in. */
export const LISTS = ['jobs', 'kept', 'runs', 'pictures', 'devices'] as const;
export type ListName = (typeof LISTS)[number];
/** Lists that those of before have not. */
export const LATER_LISTS: readonly ListName[] = ['pictures', 'devices'];
