import { fileNameOf, readJob, jobFileText, type Job } from '../../core/job/index.ts';
import { calls } from '../../core/wire/index.ts';
import { Refused } from '../problems.ts';
import type { JobService } from '../services/index.ts';
import { answer, type Route } from './route.ts';

/** Brings a document in a request up to today's version and checks it. @throws Refused 422 */
export function jobFrom(raw: unknown): Job {
  const read = readJob(raw);
  if (read.ok) return read.value;
  throw new Refused(
    422,
    read.issues.map((issue) => ({ ...issue, path: issue.path ? `job.${issue.path}` : 'job' })),
  );
}

export const jobRoutes = (jobs: JobService): Route[] => [
  answer(calls.listJobs, ({ query }) => jobs.list(query)),
  answer(calls.lastJob, async ({ query }) => ({ job: await jobs.last(query.kind) })),
  answer(calls.importJob, ({ body }) => jobs.importFile(body)),
  answer(calls.readJob, ({ params }) => jobs.read(params.id)),
  answer(calls.saveJob, ({ params, body }) => {
    const job = jobFrom(body.job);
    if (job.id !== params.id) {
      throw new Refused(422, [
        {
          code: 'shape',
          path: 'job.id',
          severity: 'wrong',
          given: job.id,
          allowed: params.id,
          detail: { what: 'The id in the document is not the one in the address.' },
        },
      ]);
    }
    return jobs.save(body.revision, job);
  }),
  answer(calls.changeJob, ({ params, body }) => jobs.change(params.id, body.revision, body)),
  answer(calls.duplicateJob, ({ params, body }) => jobs.duplicate(params.id, body.id, body.name)),
  answer(calls.exportJob, async ({ params }, response) => {
    const { job } = await jobs.read(params.id);
    response
      .attachment(`${fileNameOf(job.name)}.vuelta.json`)
      .type('application/json')
      .send(jobFileText(job));
  }),
  answer(calls.restoreKept, ({ params }) => jobs.restoreKept(params.id)),
];
