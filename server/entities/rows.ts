import type { Outcome, RunStanding } from '../../core/run/index.ts';
import { EntitySchema, OptionalProps } from '@mikro-orm/core';

/** One job: its document as text, and what the bench lists without opening it. */
export class JobRow {
  [OptionalProps]?: 'kinds' | 'materials' | 'person' | 'tags' | 'words' | 'runId' | 'standing' | 'listed';
  id!: string;
  name!: string;
  /** The gear in a few words. */
  line!: string;
  document!: string;
  revision!: number;
  archived!: boolean;
  createdAt!: string;
  updatedAt!: string;
  /** What it is found by, each of several between line ends: `\nspur\ndivide\n`. */
  kinds!: string;
  materials!: string;
  tags!: string;
  person!: string;
  words!: string;
  /** Its newest run; empty where there is none. */
  runId!: string;
  standing!: RunStanding;
  /** 0 while what it is found by is not written yet. */
  listed!: number;
}

/** A save that came from a stale revision: kept whole, never merged. */
export class KeptVersionRow {
  id!: string;
  jobId!: string;
  document!: string;
  baseRevision!: number;
  at!: string;
}

/** A run as frozen at its start, and its state as folded at the last append. */
export class RunRow {
  [OptionalProps]?: 'digest' | 'now' | 'words' | 'outcome' | 'piece' | 'listed';
  id!: string;
  /** What the logbook says of it; empty until it is made. */
  digest!: string;
  jobId!: string;
  partId!: string;
  document!: string;
  summary!: string;
  /** What is to be done now, as JSON; empty where nothing is left, or it is not written. */
  now!: string;
  /** Everything on its page of the logbook, to be searched; of one that cannot be read, why. */
  words!: string;
  outcome!: Outcome | 'unread' | '';
  piece!: 'work' | 'proof' | '';
  /** As of which version of the listing this is written; 0: not yet. */
  listed!: number;
  startedAt!: string;
  updatedAt!: string;
}

/** One event of a run, as the screen made it. `arrival` only lists them; it orders nothing. */
export class RunEventRow {
  [OptionalProps]?: 'arrival';
  arrival!: number;
  id!: string;
  runId!: string;
  device!: string;
  deviceSeq!: number;
  document!: string;
}

/** The shop's equipment: one row. */
export class ShopRow {
  id!: number;
  document!: string;
  revision!: number;
}

/** A picture, with the place it is of. Taken away it rests here still. */
export class PictureRow {
  id!: string;
  about!: string;
  words!: string;
  width!: number;
  height!: number;
  /** JPEG or PNG in base64. */
  data!: string;
  at!: string;
  away!: number;
}

/** A motor, readout or measuring tool, as it is set up. */
export class DeviceRow {
  id!: string;
  document!: string;
}

/** A class: its key is its teacher’s, its code what learners join by. */
export class ClassRow {
  key!: string;
  code!: string;
  name!: string;
  /** Kinds of exercises, as JSON; none: all. */
  kinds!: string;
  /** Empty: none. */
  jobId!: string;
  madeAt!: string;
}

/** A learner of a class; the token is the learner’s own. */
export class LearnerRow {
  token!: string;
  classKey!: string;
  /** Within the class, from 1; never given again. */
  number!: number;
  name!: string;
  /** The name as it is told apart: no two of a class. */
  nameFolded!: string;
  figures!: string;
  wrongFigures!: number;
  seed!: number;
  joinedAt!: string;
}

/** An exercise that a learner tried, as marked. */
export class TryRow {
  [OptionalProps]?: 'arrival';
  arrival!: number;
  id!: string;
  token!: string;
  classKey!: string;
  kind!: string;
  seed!: number;
  level!: number;
  isRight!: number;
  /** What slip it was, without its figures; empty where none is known. */
  slip!: string;
  at!: string;
}

/** A learner at the practice bench with the class’s job, as the page there told last. */
export class BenchRow {
  token!: string;
  classKey!: string;
  jobId!: string;
  made!: number;
  cuts!: number;
  best!: number;
  /** How often each harm was done to the blank that is on: JSON. */
  harms!: string;
  /** By the seed of each hidden fault, was it found: JSON. */
  hidden!: string;
  at!: string;
}

const text = { type: 'text' } as const;
const whole = { type: 'integer' } as const;

export const entities = [
  new EntitySchema<JobRow>({
    class: JobRow,
    tableName: 'job',
    properties: {
      id: { ...text, primary: true },
      name: text,
      line: text,
      document: text,
      revision: whole,
      archived: { type: 'boolean' },
      createdAt: text,
      updatedAt: text,
      kinds: { ...text, default: '' },
      materials: { ...text, default: '' },
      tags: { ...text, default: '' },
      person: { ...text, default: '' },
      words: { ...text, default: '' },
      runId: { ...text, default: '' },
      standing: { ...text, default: 'not-cut' },
      listed: { ...whole, default: 0 },
    },
  }),
  new EntitySchema<KeptVersionRow>({
    class: KeptVersionRow,
    tableName: 'kept_version',
    properties: {
      id: { ...text, primary: true },
      jobId: text,
      document: text,
      baseRevision: whole,
      at: text,
    },
  }),
  new EntitySchema<RunRow>({
    class: RunRow,
    tableName: 'run',
    properties: {
      id: { ...text, primary: true },
      jobId: text,
      partId: text,
      document: text,
      digest: { ...text, default: '' },
      summary: text,
      now: { ...text, default: '' },
      words: { ...text, default: '' },
      outcome: { ...text, default: '' },
      piece: { ...text, default: '' },
      listed: { ...whole, default: 0 },
      startedAt: text,
      updatedAt: text,
    },
  }),
  new EntitySchema<RunEventRow>({
    class: RunEventRow,
    tableName: 'run_event',
    properties: {
      arrival: { ...whole, primary: true, autoincrement: true },
      id: text,
      runId: text,
      device: text,
      deviceSeq: whole,
      document: text,
    },
  }),
  new EntitySchema<PictureRow>({
    class: PictureRow,
    tableName: 'picture',
    properties: {
      id: { ...text, primary: true },
      about: text,
      words: text,
      width: whole,
      height: whole,
      data: text,
      at: text,
      away: whole,
    },
  }),
  new EntitySchema<DeviceRow>({
    class: DeviceRow,
    tableName: 'device',
    properties: { id: { ...text, primary: true }, document: text },
  }),
  new EntitySchema<ClassRow>({
    class: ClassRow,
    tableName: 'class',
    properties: {
      key: { ...text, primary: true },
      code: text,
      name: text,
      kinds: text,
      jobId: text,
      madeAt: text,
    },
  }),
  new EntitySchema<LearnerRow>({
    class: LearnerRow,
    tableName: 'learner',
    properties: {
      token: { ...text, primary: true },
      classKey: text,
      number: whole,
      name: text,
      nameFolded: text,
      figures: text,
      wrongFigures: whole,
      seed: whole,
      joinedAt: text,
    },
  }),
  new EntitySchema<TryRow>({
    class: TryRow,
    tableName: 'exercise_try',
    properties: {
      arrival: { ...whole, primary: true, autoincrement: true },
      id: text,
      token: text,
      classKey: text,
      kind: text,
      seed: whole,
      level: whole,
      isRight: whole,
      slip: text,
      at: text,
    },
  }),
  new EntitySchema<BenchRow>({
    class: BenchRow,
    tableName: 'learner_bench',
    properties: {
      token: { ...text, primary: true },
      classKey: text,
      jobId: text,
      made: whole,
      cuts: whole,
      best: whole,
      harms: text,
      hidden: text,
      at: text,
    },
  }),
  new EntitySchema<ShopRow>({
    class: ShopRow,
    tableName: 'shop',
    properties: { id: { ...whole, primary: true }, document: text, revision: whole },
  }),
];
