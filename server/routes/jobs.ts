import { shapes } from '../../core/wire/index.ts';
import { z } from 'zod';
import { readJob, jobFileText, type Job } from '../../core/job/index.ts';
import { idSchema } from '../../core/kinds/index.ts';
import { Refused } from '../problems.ts';
import type { JobService } from '../services/index.ts';
import { jobBodySchema } from './bodies.ts';
import { route, type Route } from './route.ts';

const nameSchema = z.string().trim().min(1).max(120);

/** Brings a document in a request up to today's version and checks it. @throws Refused 422 */
export function jobFrom(raw: unknown): Job {
  const read = readJob(raw);
  if (read.ok) return read.value;
  throw new Refused(
    422,
    read.issues.map((issue) => ({ ...issue, path: issue.path ? `job.${issue.path}` : 'job' })),
  );
}

/** A file name from a job's name: letters, figures and strokes. */
const fileName = (name: string): string =>
  `${
    name
      .normalize('NFKD')
      .replace(/[^\w]+/g, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'job'
  }.vuelta.json`;

export function jobRoutes(jobs: JobService): Route[] {
  return [
    route({
      method: 'get',
      path: '/jobs',
      answers: shapes.jobListingsShape,
      summary: 'The jobs on the bench, or those put away, each with its newest run.',
      query: z.object({ archived: z.enum(['true', 'false']).default('false') }),
      handle: async ({ query }) => ({ jobs: await jobs.list(query.archived === 'true') }),
    }),
    route({
      method: 'post',
      path: '/jobs/import',
      answers: shapes.storedJobShape,
      summary: 'A job from the text of a job file. Nothing is stored when it cannot be read.',
      textBody: true,
      status: 201,
      refusals: [413, 422],
      body: z.string(),
      handle: ({ body }) => jobs.importFile(body),
    }),
    route({
      method: 'get',
      path: '/jobs/{id}',
      answers: shapes.storedJobShape,
      summary: 'A job document with its revision.',
      refusals: [404],
      handle: ({ params }) => jobs.read(params['id']!),
    }),
    route({
      method: 'put',
      path: '/jobs/{id}',
      answers: shapes.storedJobShape,
      summary:
        'Saves a job; revision 0 makes it. A save from a stale revision is refused and what was sent is kept.',
      body: z.object({ revision: z.int().min(0), job: jobBodySchema }),
      refusals: [409, 422],
      handle: ({ params, body }) => {
        const job = jobFrom(body.job);
        if (job.id !== params['id']) {
          throw new Refused(422, [
            {
              code: 'shape',
              path: 'job.id',
              severity: 'wrong',
              given: job.id,
              allowed: params['id']!,
              detail: { what: 'The id in the document is not the one in the address.' },
            },
          ]);
        }
        return jobs.save(body.revision, job);
      },
    }),
    route({
      method: 'patch',
      path: '/jobs/{id}',
      answers: shapes.storedJobShape,
      summary: 'Renames a job, puts it away or takes it out again.',
      body: z.object({
        revision: z.int().min(1),
        name: nameSchema.optional(),
        archived: z.boolean().optional(),
      }),
      refusals: [404, 409, 422],
      handle: ({ params, body }) => jobs.change(params['id']!, body.revision, body),
    }),
    route({
      method: 'post',
      path: '/jobs/{id}/duplicate',
      answers: shapes.storedJobShape,
      summary: 'The same job under another id and name, with nothing cut.',
      body: z.object({ id: idSchema, name: nameSchema }),
      status: 201,
      refusals: [404, 422],
      handle: ({ params, body }) => jobs.duplicate(params['id']!, body.id, body.name),
    }),
    route({
      method: 'get',
      path: '/jobs/{id}/export',
      summary: 'The job as a job file.',
      refusals: [404],
      handle: async ({ params }, response) => {
        const { job } = await jobs.read(params['id']!);
        response.attachment(fileName(job.name)).type('application/json').send(jobFileText(job));
      },
    }),
    route({
      method: 'post',
      path: '/kept/{id}/restore',
      answers: shapes.storedJobShape,
      summary: 'Takes out a version kept from a stale save, as a job beside the other.',
      status: 201,
      refusals: [404, 422],
      handle: ({ params }) => jobs.restoreKept(params['id']!),
    }),
  ];
}
