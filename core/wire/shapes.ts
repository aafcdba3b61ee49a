import { z } from 'zod';
import { jobSchema } from '../job/index.ts';
import { runDigestSchema, runEventSchema, runSchema } from '../run/index.ts';
import { equipmentSchema } from '../shop/index.ts';

/**
 * The shapes of what the server answers with, for its description; the server’s tests hold every answer
 * against them.
 */

const time = z.iso.datetime({ offset: true });
const cut = runSchema.unwrap().shape.cuts.unwrap().element;

const runSummary = z.looseObject({
  done: z.int(),
  total: z.int(),
  next: cut.nullable(),
  turnsMade: z.int(),
  paused: z.boolean(),
  inDoubt: z.boolean(),
});

/** What is to be done now, as the mill says it; null when nothing is left. */
const nowLine = z
  .strictObject({ lead: z.string(), figure: z.string(), lines: z.array(z.string()) })
  .nullable();

export const storedShopShape = z.strictObject({ revision: z.int(), equipment: equipmentSchema });

const named = { name: z.string() };
export const toBuyShape = z.strictObject({
  buy: z.array(
    z.strictObject({
      pitch: z.string(),
      angleDeg: z.string(),
      inch: z.string(),
      metric: z.string(),
      from: z.int(),
      to: z.int().nullable(),
      serves: z.array(z.strictObject({ ...named, teeth: z.int(), error: z.number() })),
    }),
  ),
  served: z.array(z.strictObject({ ...named, by: z.string() })),
  toGrind: z.array(z.strictObject({ ...named, teeth: z.int() })),
});

export const storedJobShape = z.strictObject({
  job: jobSchema,
  revision: z.int(),
  archived: z.boolean(),
  createdAt: time,
  updatedAt: time,
  kept: z.array(z.strictObject({ id: z.string(), at: time })),
});

export const lastJobShape = z.strictObject({ job: jobSchema.nullable() });

const jobListing = z.strictObject({
  id: z.string(),
  name: z.string(),
  line: z.string(),
  revision: z.int(),
  archived: z.boolean(),
  createdAt: time,
  updatedAt: time,
  kinds: z.array(z.string()),
  person: z.string(),
  tags: z.array(z.string()),
  standing: z.string(),
  run: z
    .strictObject({
      id: z.string(),
      startedAt: time,
      updatedAt: time,
      summary: runSummary,
      now: nowLine,
    })
    .nullable(),
  trouble: z.string().nullable(),
});

export const jobsPageShape = z.strictObject({
  jobs: z.array(jobListing),
  total: z.int(),
  next: z.string().nullable(),
  marks: z
    .strictObject({
      persons: z.array(z.string()),
      tags: z.array(z.string()),
      materials: z.array(z.strictObject({ id: z.string(), name: z.string() })),
    })
    .nullable(),
  interrupted: jobListing.nullable(),
});

export const storedRunShape = z.strictObject({
  run: runSchema,
  summary: runSummary,
  startedAt: time,
  updatedAt: time,
});
export const runsShape = z.strictObject({
  runs: z.array(
    z.strictObject({
      run: z.strictObject({
        id: z.string(),
        jobId: z.string(),
        partId: z.string(),
        jobRevision: z.int(),
        piece: z.looseObject({ kind: z.string(), name: z.string() }),
        divisions: z.int(),
        deepens: z.strictObject({ runId: z.string(), by: z.number() }).nullable(),
        rounds: z.array(z.strictObject({ name: z.string(), depthMm: z.number().nullable() })),
      }),
      summary: runSummary,
      startedAt: time,
      updatedAt: time,
    }),
  ),
});

export const eventsShape = z.strictObject({ events: z.array(runEventSchema), arrival: z.int() });
export const appendedShape = z.strictObject({ summary: runSummary, arrival: z.int() });

const logEntry = z.strictObject({
  runId: z.string(),
  jobId: z.string(),
  partId: z.string(),
  startedAt: time,
  updatedAt: time,
  digest: runDigestSchema,
});
export const logShape = z.strictObject({
  runs: z.array(logEntry),
  total: z.int(),
  next: z.string().nullable(),
  unread: z.array(z.strictObject({ runId: z.string(), why: z.string() })),
});
export const logPageShape = logEntry.extend({
  onCard: z
    .strictObject({
      readings: z.array(
        z.strictObject({ name: z.string(), read: z.number(), should: z.number().nullable() }),
      ),
      verdict: z.string(),
    })
    .nullable(),
  continuedBy: z.array(z.string()),
  now: nowLine,
  deepenedBy: z.array(z.string()),
});

export const restoredShape = z.strictObject({
  jobs: z.int(),
  changed: z.int(),
  runs: z.int(),
  counts: z.int(),
  devices: z.int(),
  aside: z.string(),
  rows: z.int(),
  ofRows: z.int(),
  finished: z.boolean(),
});

/** How far a restore is; null where none is under way. */
export const restoringShape = z.strictObject({ under: restoredShape.nullable() });

export const pairingShape = z.strictObject({
  paired: z.boolean(),
  /** Six figures that let a device in; null but on the server’s own machine while others can reach it. */
  code: z.string().nullable(),
  /** The same for a camera, behind `/#let-in=` of an address; good for one device. */
  pass: z.string().nullable(),
  /** Where other devices reach the server. */
  reachedAt: z.array(z.string()),
  /** Those that were let in; since and seen are empty where nobody knows. */
  devices: z.array(z.strictObject({ id: z.string(), name: z.string(), since: z.string(), seen: z.string() })),
});
export const pairedShape = z.strictObject({ paired: z.boolean() });

const issue = z.looseObject({
  code: z.string(),
  path: z.string(),
  severity: z.enum(['needed', 'wrong', 'blocked', 'query', 'note']),
});

/** The frame of a plan; `detail` of a station and `cutting` are its own for each kind of work. */
export const planShape = z.strictObject({
  jobId: z.string(),
  name: z.string(),
  units: z.enum(['mm', 'in']),
  parts: z.array(
    z.strictObject({
      id: z.string(),
      kind: z.string(),
      name: z.string(),
      stations: z.array(
        z.looseObject({
          id: z.string(),
          number: z.int(),
          title: z.string(),
          answer: z.string(),
          state: z.enum(['open', 'settled', 'doubt']),
          complete: z.boolean(),
          values: z.array(z.looseObject({ key: z.string(), label: z.string() })),
          working: z.array(z.looseObject({ label: z.string() })),
          cautions: z.array(z.looseObject({ code: z.string(), when: z.string(), text: z.string() })),
          issues: z.array(issue),
          detail: z.unknown(),
        }),
      ),
      cutting: z.looseObject({}).nullable(),
    }),
  ),
  findings: z.array(issue),
});

const way = z.looseObject({ words: z.string(), choice: z.looseObject({ method: z.string() }) });
export const waysShape = z.strictObject({
  methods: z.array(z.looseObject({ method: z.string(), ways: z.array(way), out: z.string().nullable() })),
  nearest: z.array(z.int()),
  /** Was there time for all of it? */
  finished: z.boolean(),
});

const bent = z.looseObject({ helixDeg: z.number(), leadText: z.string() });
export const leadsShape = z.strictObject({
  trains: z.array(z.looseObject({ lead: z.number(), leadText: z.string() })),
  bent: z.looseObject({ single: z.array(bent), pair: z.array(bent).nullable() }),
  finished: z.boolean(),
});

export const healthShape = z.strictObject({
  ok: z.boolean(),
  version: z.string(),
  store: z.enum(['read', 'not read']),
  freeBytes: z.number().min(0),
});
