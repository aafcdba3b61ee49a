import type { Issue } from '../findings/index.ts';
import type { MeasuredRecord } from '../inspect/index.ts';
import type { Job } from '../job/index.ts';
import type { Run, RunDigest, RunEvent, RunStanding, RunSummary } from '../run/index.ts';
import type { NowLine } from '../prompts/index.ts';
import type { Equipment } from '../shop/index.ts';

/** What the server answers with: one shape for both ends of the wire. */

export interface StoredShop {
  readonly revision: number;
  readonly equipment: Equipment;
}

export interface StoredJob {
  readonly job: Job;
  readonly revision: number;
  readonly archived: boolean;
  readonly createdAt: string;
  readonly updatedAt: string;
  /** Versions kept from saves that came too late. */
  readonly kept: readonly { readonly id: string; readonly at: string }[];
}

/** A job as the bench lists it, with its newest run. */
export interface JobListing {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly kinds: readonly string[];
  readonly person: string;
  readonly tags: readonly string[];
  readonly standing: RunStanding;
  readonly run: {
    readonly id: string;
    readonly startedAt: string;
    readonly updatedAt: string;
    readonly summary: RunSummary;
    /** What is to be done now, as the mill says it: large, and the lines below; null when nothing is left. */
    readonly now: NowLine | null;
  } | null;
  /** What of it rests here and cannot be read, in a sentence; null where all of it can. */
  readonly trouble: string | null;
}

/** What jobs can be looked for by: what those on the bench, or put away, have. */
export interface JobMarks {
  readonly persons: readonly string[];
  readonly tags: readonly string[];
  readonly materials: readonly { readonly id: string; readonly name: string }[];
}

/** A page of jobs. */
export interface JobsPage {
  readonly jobs: readonly JobListing[];
  /** Of all pages. */
  readonly total: number;
  /** Asks for the page after this one; null where there is none. */
  readonly next: string | null;
  /** With the first page only. */
  readonly marks: JobMarks | null;
  /** The job that was left in the middle at the mill, newest first; with the first page only. */
  readonly interrupted: JobListing | null;
}

export interface StoredRun {
  readonly run: Run;
  readonly summary: RunSummary;
  readonly startedAt: string;
  readonly updatedAt: string;
}

/** A run as its job’s card lists it: without its cuts, which are long. */
export interface RunListing {
  readonly run: Pick<Run, 'id' | 'jobId' | 'partId' | 'jobRevision' | 'piece' | 'divisions'> & {
    readonly deepens: { readonly runId: string; readonly by: number } | null;
    readonly rounds: readonly { readonly name: string; readonly depthMm: number | null }[];
  };
  readonly summary: RunSummary;
  readonly startedAt: string;
  readonly updatedAt: string;
}

/** A run as the logbook lists it. */
export interface LogEntry {
  readonly runId: string;
  readonly jobId: string;
  readonly partId: string;
  readonly startedAt: string;
  readonly updatedAt: string;
  readonly digest: RunDigest;
}

/** A run that rests in the logbook and cannot be read. */
export interface UnreadRun {
  readonly runId: string;
  readonly why: string;
}

/** Runs of the logbook that fit, a page at a time, newest first. */
export interface LogList {
  readonly runs: readonly LogEntry[];
  /** Of all pages. */
  readonly total: number;
  /** Asks for the page after this one; null where there is none. */
  readonly next: string | null;
  /** Those that cannot be read, whatever was asked for; with the first page only. */
  readonly unread: readonly UnreadRun[];
}

/** A page of the logbook: the run, and runs linked with it. */
export interface LogPage extends LogEntry {
  /** Readings that stand on its card and are not written with it yet; null where there are none. */
  readonly onCard: MeasuredRecord | null;
  readonly continuedBy: readonly string[];
  /** What is to be done next, as the mill says it; null when nothing is left, or it was ended. */
  readonly now: NowLine | null;
  /** Runs that sank this one’s gear deeper. */
  readonly deepenedBy: readonly string[];
}

/** What a restore did. */
export interface Restored {
  readonly jobs: number;
  /** Jobs that stood here otherwise; that version of each is kept. */
  readonly changed: number;
  readonly runs: number;
  readonly counts: number;
  /** Devices that were not here: they come put aside. */
  readonly devices: number;
  /** File in the data folder with the workshop as it stood; empty while the backup is still looked at. */
  readonly aside: string;
  /** Rows dealt with, of all there are in it. */
  readonly rows: number;
  readonly ofRows: number;
  /** False while it is under way, and where it was stopped: put back again it goes on to the end. */
  readonly finished: boolean;
}

export interface EventsPage {
  readonly events: readonly RunEvent[];
  /** Pass it as `after` to get only what came later. */
  readonly arrival: number;
}

export interface Appended {
  readonly summary: RunSummary;
  readonly arrival: number;
}

/** How the server does. */
export interface Health {
  readonly ok: boolean;
  readonly version: string;
  readonly store: 'read' | 'not read';
  /** Left on the disk of the store. */
  readonly freeBytes: number;
}

/** A refusal. Source of the form: RFC 9457, Problem Details for HTTP APIs. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  /** Every issue with its field: what was given, what is allowed, and the sentence. */
  readonly issues: readonly (Issue & { readonly message: string })[];
  /** Id under which a version that came too late was kept. */
  readonly kept?: string | null;
}
