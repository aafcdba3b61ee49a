import { z } from 'zod';
import type { Shopping } from '../cutter/index.ts';
import type { MethodAnswer } from '../dividing/index.ts';
import { personSchema, tagsSchema, type Job } from '../job/index.ts';
import { FILE_NAMES, fileSetSchema } from '../files/index.ts';
import { idSchema, kindSchema } from '../kinds/index.ts';
import type { BendAnswer, LeadWay } from '../lead/index.ts';
import type { Plan } from '../plan/index.ts';
import { pieceSchema, runEventSchema } from '../run/index.ts';
import type {
  Appended,
  EventsPage,
  Health,
  JobsPage,
  LogList,
  LogPage,
  Restored,
  RunListing,
  StoredJob,
  StoredRun,
  StoredShop,
} from './answers.ts';
import {
  benchBodySchema,
  classBoardShape,
  classBodySchema,
  classShape,
  joinBodySchema,
  learnerShape,
  tryBodySchema,
} from './classes.ts';
import { equipmentBodySchema, jobBodySchema, jobQuerySchema, logQuerySchema } from './bodies.ts';
import { call } from './call.ts';
import { aboutSchema, pictureBodySchema, pictureShape } from './pictures.ts';
import * as devices from './devices.ts';
import { PLACES } from './places.ts';
import * as shapes from './shapes.ts';

/**
 * A shape that is looked at loosely where it is deep, with the type that both ends work with; the server’s
 * tests hold every answer against the shape.
 */
const answering = <Answer>(shape: z.ZodType): z.ZodType<Answer> => shape as z.ZodType<Answer>;

const nameSchema = z.string().trim().min(1).max(120);
const storedJob = answering<StoredJob>(shapes.storedJobShape);
const storedRun = answering<StoredRun>(shapes.storedRunShape);
const storedShop = answering<StoredShop>(shapes.storedShopShape);
const partOfJob = z.object({
  job: jobBodySchema,
  partId: z.string().optional(),
  equipment: equipmentBodySchema.optional(),
});

/** What can be planned without storing anything, and the shop. */
export const planningCalls = {
  plan: call(PLACES.plan, {
    summary: 'The plan of a job, stored nowhere: with the equipment given, else with the stock sets.',
    body: z.object({ job: jobBodySchema, equipment: equipmentBodySchema.optional() }),
    answers: answering<Plan>(shapes.planShape),
    refusals: [422, 503],
  }),
  ways: call(PLACES.ways, {
    summary:
      'Every way of dividing a part of a job, by method, the least trouble first; those that are out say why. Stored nowhere.',
    body: partOfJob,
    answers: answering<{ readonly methods: readonly MethodAnswer[]; readonly nearest: readonly number[] }>(
      shapes.waysShape,
    ),
    refusals: [404, 422, 503],
  }),
  leads: call(PLACES.leads, {
    summary:
      'Trains for the lead of a helical part, the least astray over its face first, and the angles near its own that the gears cut exactly; empty where the part has no lead. Stored nowhere.',
    body: partOfJob,
    answers: answering<{ readonly trains: readonly LeadWay[]; readonly bent: BendAnswer }>(shapes.leadsShape),
    refusals: [404, 422, 503],
  }),
  toBuy: call(PLACES.toBuy, {
    summary:
      'The fewest cutters to buy so that every gear on the bench can be cut, with what those of the shop serve. Tolerance: flank error put up with beyond the ranges, µm.',
    query: z.object({ tolerance: z.coerce.number().min(0).max(10_000).default(0) }),
    answers: answering<Shopping>(shapes.toBuyShape),
    refusals: [422, 503],
  }),
  readShop: call(PLACES.readShop, {
    summary: 'The shop’s equipment with its revision.',
    answers: storedShop,
  }),
  saveShop: call(PLACES.saveShop, {
    summary: 'Saves the shop’s equipment.',
    body: z.object({ revision: z.int().min(0), equipment: equipmentBodySchema }),
    answers: storedShop,
    refusals: [409, 422],
  }),
};

export const jobCalls = {
  listJobs: call(PLACES.listJobs, {
    summary:
      'A page of the jobs on the bench, or of those put away, each with its newest run: those that have all the words and everything else that is asked for. The first page also tells what can be asked for, and the job that was interrupted.',
    query: jobQuerySchema,
    answers: answering<JobsPage>(shapes.jobsPageShape),
    refusals: [422],
  }),
  lastJob: call(PLACES.lastJob, {
    summary:
      'The job that was changed last among those with a part of this kind, put away or not: what a fresh one is laid like; null where there is none.',
    query: z.object({ kind: kindSchema }),
    answers: answering<{ readonly job: Job | null }>(shapes.lastJobShape),
    refusals: [422],
  }),
  importJob: call(PLACES.importJob, {
    summary: 'A job from the text of a job file. Nothing is stored when it cannot be read.',
    body: z.string(),
    answers: storedJob,
    status: 201,
    refusals: [413, 422],
  }),
  readJob: call(PLACES.readJob, {
    summary: 'A job document with its revision.',
    answers: storedJob,
    refusals: [404],
  }),
  saveJob: call(PLACES.saveJob, {
    summary:
      'Saves a job; revision 0 makes it. A save from a stale revision is refused and what was sent is kept.',
    body: z.object({ revision: z.int().min(0), job: jobBodySchema }),
    answers: storedJob,
    refusals: [409, 422],
  }),
  changeJob: call(PLACES.changeJob, {
    summary: 'Renames a job, puts it away or takes it out again, says whose it is or what it is found by.',
    body: z.object({
      revision: z.int().min(1),
      name: nameSchema.optional(),
      archived: z.boolean().optional(),
      person: personSchema.optional(),
      tags: tagsSchema.optional(),
    }),
    answers: storedJob,
    refusals: [404, 409, 422],
  }),
  duplicateJob: call(PLACES.duplicateJob, {
    summary: 'The same job under another id and name, with nothing cut.',
    body: z.object({ id: idSchema, name: nameSchema }),
    answers: storedJob,
    status: 201,
    refusals: [404, 422],
  }),
  exportJob: call(PLACES.exportJob, {
    summary: 'The job as a job file.',
    refusals: [404],
  }),
  restoreKept: call(PLACES.restoreKept, {
    summary: 'Takes out a version kept from a stale save, as a job beside the other.',
    answers: storedJob,
    status: 201,
    refusals: [404, 422],
  }),
};

/** What documents are, for whoever writes or reads them elsewhere. */
export const schemaCalls = {
  readSchema: call(PLACES.readSchema, {
    summary: 'The JSON Schema (2020-12) of a document as a file has it: job, run, event, shop or backup.',
    refusals: [404],
  }),
};

const partOf = z.object({ part: idSchema.optional() });

/** What leaves the screen: sheets, drawings, tables and programs. */
export const fileCalls = {
  readFile: call(PLACES.readFile, {
    summary: `A file of a stored job, by the shop as it is now: ${FILE_NAMES.join(', ')}. The part named, or the first that it can be made of; a sheet is of all parts.`,
    query: fileSetSchema.extend(partOf.shape),
    refusals: [404, 422, 503],
  }),
  makeFile: call(PLACES.makeFile, {
    summary: 'The same of a job that is stored nowhere: with the equipment given, else with the stock sets.',
    body: partOfJob.extend({ set: fileSetSchema.prefault({}) }),
    refusals: [404, 422, 503],
  }),
};

export const runCalls = {
  startRun: call(PLACES.startRun, {
    summary: 'Starts a run: freezes the part’s plan, equipment and ordered cuts.',
    body: z
      .object({
        id: idSchema,
        partId: idSchema,
        revision: z.int().min(1),
        piece: pieceSchema.default({ kind: 'work', name: '' }),
        continues: idSchema.nullable().default(null),
        deepens: z
          .object({
            runId: idSchema,
            by: z.number().positive().max(20),
            register: z.enum(['kept', 'found']).default('found'),
          })
          .nullable()
          .default(null),
      })
      .refine(
        ({ continues, deepens }) => !continues || !deepens,
        'A run goes on with another, or sinks its gear: not both',
      ),
    answers: storedRun,
    status: 201,
    refusals: [404, 409, 422],
  }),
  runsOf: call(PLACES.runsOf, {
    summary: 'The runs of a job, newest first, each without its cuts.',
    answers: answering<{ readonly runs: readonly RunListing[] }>(shapes.runsShape),
    refusals: [404],
  }),
  readRun: call(PLACES.readRun, {
    summary: 'A run as frozen, with the state of its count.',
    answers: storedRun,
    refusals: [404],
  }),
  readEvents: call(PLACES.readEvents, {
    summary: 'The events of a run, or only those that arrived later than the last ones seen.',
    query: z.object({ after: z.coerce.number<number>().int().min(0).default(0) }),
    answers: answering<EventsPage>(shapes.eventsShape),
    refusals: [404, 422],
  }),
  appendEvents: call(PLACES.appendEvents, {
    summary: 'Adds events to a run. Repeats are passed over; all are stored, or none.',
    body: z.object({ events: z.array(runEventSchema).min(1).max(2000) }),
    answers: answering<Appended>(shapes.appendedShape),
    refusals: [404, 409, 422],
  }),
};

const pictures = z.strictObject({ pictures: z.array(pictureShape) });

export const pictureCalls = {
  listPictures: call(PLACES.listPictures, {
    summary: 'The pictures of a job, a run or a thing of the shop, and of all places in it, oldest first.',
    query: z.object({ about: aboutSchema }),
    answers: pictures,
    refusals: [422],
  }),
  addPicture: call(PLACES.addPicture, {
    summary: 'Puts a picture with something: a JPEG or PNG in base64. Sent twice it is stored once.',
    body: pictureBodySchema,
    answers: pictureShape,
    refusals: [409, 413, 422],
  }),
  showPicture: call(PLACES.showPicture, {
    summary: 'The picture itself, as a JPEG or PNG file.',
    refusals: [404],
  }),
  changePicture: call(PLACES.changePicture, {
    summary: 'Other words for a picture, or taken away and put back: taken away it rests, and is not listed.',
    body: z.object({ words: z.string().max(200).optional(), away: z.boolean().optional() }),
    answers: pictureShape,
    refusals: [404, 422],
  }),
};

export const logCalls = {
  listLog: call(PLACES.listLog, {
    summary:
      'A page of the logbook: runs of all jobs, newest first, without their single counts: those that have all the words and everything else that is asked for.',
    query: logQuerySchema,
    answers: answering<LogList>(shapes.logShape),
    refusals: [422],
  }),
  readLog: call(PLACES.readLog, {
    summary: 'One run of the logbook, with what was measured on its part since and the runs linked with it.',
    answers: answering<LogPage>(shapes.logPageShape),
    refusals: [404],
  }),
  backup: call(PLACES.backup, {
    summary: 'The whole workshop as one file: shop, jobs, kept versions, runs and every count.',
  }),
  restore: call(PLACES.restore, {
    summary:
      'Puts a backup back; it is looked at whole before anything is changed. What it replaces is kept as versions, and the workshop as it stood is put aside as a file. One at a time.',
    body: z.string(),
    answers: answering<Restored>(shapes.restoredShape),
    refusals: [409, 413, 422],
  }),
  readRestore: call(PLACES.readRestore, {
    summary: 'How far a restore is that is under way.',
    answers: shapes.restoringShape,
  }),
  stopRestore: call(PLACES.stopRestore, {
    summary:
      'Stops a restore between two steps. What was put back stays; the same backup put back again goes on to the end.',
    answers: shapes.restoringShape,
  }),
};

/** Answered before the rest, by who lets devices in. */
export const pairingCalls = {
  readPairing: call(PLACES.readPairing, {
    summary:
      'Is this device let in? On the server’s own machine, also how others are let in, and which have been.',
    answers: shapes.pairingShape,
  }),
  pair: call(PLACES.pair, {
    summary: 'Lets this device in by the code that stands on the server’s own screen; a cookie keeps it.',
    body: z.object({ code: z.string(), name: z.string().trim().max(60).default('') }),
    answers: shapes.pairedShape,
    refusals: [403, 429],
  }),
  renewPairing: call(PLACES.renewPairing, {
    summary: 'A new code in place of the old one. On the server’s own machine alone.',
    answers: shapes.pairingShape,
    refusals: [401, 403],
  }),
  putOutDevice: call(PLACES.putOutDevice, {
    summary: 'Lets a device in no more. On the server’s own machine alone.',
    answers: shapes.pairingShape,
    refusals: [401, 403, 404],
  }),
  forgetDevices: call(PLACES.forgetDevices, {
    summary: 'Lets in none of the devices any more. On the server’s own machine alone.',
    answers: shapes.pairingShape,
    refusals: [401, 403],
  }),
};

/**
 * A class of learners, by its teacher’s key and by each learner’s own token: whoever has neither is told
 * nothing.
 */
export const classCalls = {
  makeClass: call(PLACES.makeClass, {
    summary: 'A new class. The answer carries the teacher’s key, and the code that learners join by.',
    body: classBodySchema,
    answers: classShape,
    status: 201,
    refusals: [422],
  }),
  listClasses: call(PLACES.listClasses, {
    summary: 'Every class with its key. On the server’s own machine alone.',
    answers: z.strictObject({ classes: z.array(classShape) }),
    refusals: [403],
  }),
  readClass: call(PLACES.readClass, {
    summary: 'A class as its teacher sees it: every learner with what was tried, and the commonest slips.',
    answers: classBoardShape,
    refusals: [404],
  }),
  changeClass: call(PLACES.changeClass, {
    summary: 'Another name, other exercises or another job for a class.',
    body: classBodySchema,
    answers: classShape,
    refusals: [404, 422],
  }),
  deleteClass: call(PLACES.deleteClass, {
    summary: 'Deletes a class with all its learners and all they tried, for good.',
    answers: z.strictObject({ deleted: z.boolean() }),
    refusals: [404],
  }),
  removeLearner: call(PLACES.removeLearner, {
    summary: 'Deletes a learner of a class with all that was tried, for good.',
    answers: classBoardShape,
    refusals: [404],
  }),
  joinClass: call(PLACES.joinClass, {
    summary:
      'Joins a class by its code under a name; again, on another device, by the four figures that were given the first time.',
    body: joinBodySchema,
    answers: learnerShape,
    status: 201,
    refusals: [404, 409, 422, 429],
  }),
  readLearner: call(PLACES.readLearner, {
    summary: 'A learner’s class, what it was given to do, and all the learner tried.',
    answers: learnerShape,
    refusals: [404],
  }),
  addTry: call(PLACES.addTry, {
    summary: 'An exercise with its answers: marked here, and kept once however often it is sent.',
    body: tryBodySchema,
    answers: z.strictObject({ right: z.boolean() }),
    refusals: [404, 422],
  }),
  tellBench: call(PLACES.tellBench, {
    summary:
      'How far a learner is with the class’s job on the practice bench, as the page there counts it; the newest stands.',
    body: benchBodySchema,
    answers: z.strictObject({ kept: z.boolean() }),
    refusals: [404, 422],
  }),
  leaveClass: call(PLACES.leaveClass, {
    summary: 'Deletes a learner with all that was tried, for good, asked by the learner.',
    answers: z.strictObject({ deleted: z.boolean() }),
    refusals: [404],
  }),
};

/** Devices of the shop: what is on its lines, and what a person has them do. */
export const deviceCalls = {
  listDevices: call(PLACES.listDevices, {
    summary: 'The shop’s motors, readouts and measuring tools, as they are set up.',
    answers: devices.devicesShape,
  }),
  listPorts: call(PLACES.listPorts, {
    summary: 'Serial ports of the server’s machine.',
    answers: devices.portsShape,
  }),
  watchDevices: call(PLACES.watchDevices, {
    summary:
      'How every device stands, again and again as it changes: Server-Sent Events, each with `{ devices: [...] }`.',
  }),
  saveDevice: call(PLACES.saveDevice, {
    summary: 'Sets a device up, or up otherwise. Nothing moves.',
    body: devices.deviceBodySchema,
    answers: devices.devicesShape,
    refusals: [409, 422],
  }),
  removeDevice: call(PLACES.removeDevice, {
    summary: 'Takes a device off the list. A motor that turns is stopped.',
    answers: devices.devicesShape,
    refusals: [404],
  }),
  turnMotor: call(PLACES.turnMotor, {
    summary:
      'Turns the work to a place, once for each id however often it is asked, and only while it is held. Refused while anything forbids it.',
    body: devices.turnBodySchema,
    answers: devices.turnedShape,
    refusals: [404, 409, 422],
  }),
  holdMotor: call(PLACES.holdMotor, {
    summary: 'The page is there, and the button held. Without it a move stops within half a second.',
    body: devices.heldBodySchema,
    answers: z.strictObject({ held: z.boolean() }),
    refusals: [404],
  }),
  stopMotor: call(PLACES.stopMotor, {
    summary: 'Stops a motor at once, whoever asks.',
    answers: z.strictObject({ stopped: z.boolean() }),
    refusals: [404],
  }),
  motorStands: call(PLACES.motorStands, {
    summary: 'A person says at which place the work stands: every doubt of the motor ends.',
    body: devices.standsBodySchema,
    answers: z.strictObject({ said: z.boolean() }),
    refusals: [404, 409, 422],
  }),
  zeroReadout: call(PLACES.zeroReadout, {
    summary: 'An axis of a readout reads so much where it stands now.',
    body: devices.zeroBodySchema,
    answers: z.strictObject({ taken: z.boolean() }),
    refusals: [404, 409],
  }),
  takeReadings: call(PLACES.takeReadings, {
    summary: 'Readings of measuring tools go to this screen from now on.',
    body: devices.screenBodySchema,
    answers: z.strictObject({ taken: z.boolean() }),
  }),
};

/** Everything that can be asked under /api. */
export const healthCalls = {
  health: call(PLACES.health, {
    summary:
      'How the server does: its version, whether the store can be read, and the space left on its disk.',
    answers: answering<Health>(shapes.healthShape),
  }),
};

export const calls = {
  ...planningCalls,
  ...jobCalls,
  ...fileCalls,
  ...schemaCalls,
  ...runCalls,
  ...pictureCalls,
  ...logCalls,
  ...pairingCalls,
  ...classCalls,
  ...deviceCalls,
  ...healthCalls,
};
export type Calls = typeof calls;
