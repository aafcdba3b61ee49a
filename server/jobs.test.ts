import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { jobFileText, withSpurPart, type Job } from '../core/job/index.ts';
import type { SpurPart } from '../core/kinds/index.ts';
import { measure } from '../core/units/index.ts';
import type { JobListing, Problem, StoredJob } from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

const trial = new Trial('jobs');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

const make = (id: string) => trial.keep(jobNamed(id));
const bore = (job: Job, typed: string): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, blank: { ...part.blank, bore: measure(typed, 'mm') } }));

describe('jobs', () => {
  test('made, read, listed, renamed, put away, duplicated', async () => {
    const made = await make('a1');
    expect(made).toMatchObject({ revision: 1, archived: false, job: { name: 'Job a1' } });
    const renamed = await ask<StoredJob>('PATCH', '/jobs/a1', { revision: 1, name: 'Second wheel' });
    expect(renamed.body).toMatchObject({ revision: 2, job: { name: 'Second wheel' } });
    const copy = await ask<StoredJob>('POST', '/jobs/a1/duplicate', { id: 'a2', name: 'Third wheel' });
    const again = await ask<StoredJob>('POST', '/jobs/a1/duplicate', { id: 'a2', name: 'Third wheel' });
    expect([copy.status, copy.body.job.name, again.body.revision]).toEqual([201, 'Third wheel', 1]);
    await ask('PATCH', '/jobs/a2', { revision: 1, archived: true });
    const listed = (archived: boolean) =>
      ask<{ jobs: JobListing[] }>('GET', `/jobs?archived=${archived}`).then(({ body }) =>
        body.jobs.map(({ id }) => id),
      );
    expect(await listed(false)).toContain('a1');
    expect(await listed(false)).not.toContain('a2');
    expect(await listed(true)).toEqual(['a2']);
  });

  test('a save from a stale revision is refused, and both versions are kept', async () => {
    const { job } = await make('b1');
    await ask('PUT', '/jobs/b1', { revision: 1, job: bore(job, '11') });
    const late = await ask<Problem>('PUT', '/jobs/b1', { revision: 1, job: bore(job, '9') });
    expect([late.status, late.type]).toEqual([409, 'application/problem+json; charset=utf-8']);
    expect(late.body.detail).toMatch(/changed somewhere else.*Both are kept/);
    const { body } = await ask<StoredJob>('GET', '/jobs/b1');
    expect((body.job.parts[0] as SpurPart).blank.bore.typed).toBe('11');
    expect(body.kept.map(({ id }) => id)).toEqual([late.body.kept]);
    const restored = await ask<StoredJob>('POST', `/kept/${late.body.kept}/restore`);
    expect(restored.body.job).toMatchObject({
      name: 'Job b1 (other version)',
      parts: [{ blank: { bore: { typed: '9' } } }],
    });
    expect((await ask<StoredJob>('GET', '/jobs/b1')).body.kept).toEqual([]);
  });

  test('wrong figures are refused at their field and nothing stored changes', async () => {
    const { job } = await make('c1');
    const refused = await ask<Problem>('PUT', '/jobs/c1', { revision: 1, job: bore(job, '70') });
    expect(refused.status).toBe(422);
    expect(refused.body.issues).toEqual([
      expect.objectContaining({
        code: 'bore-over-root',
        path: 'parts.p1.blank.bore',
        given: '70',
        message: expect.stringMatching(/larger than the root/),
      }),
    ]);
    expect((await ask<StoredJob>('GET', '/jobs/c1')).body).toMatchObject({
      revision: 1,
      job: { parts: [{ blank: { bore: { typed: '10' } } }] },
    });
  });

  test('export and import: the same job; beside the other when it is already here', async () => {
    await make('d1');
    const exported = await fetch(`${trial.address}/api/jobs/d1/export`);
    expect(exported.headers.get('content-disposition')).toBe('attachment; filename=job-d1.vuelta.json');
    const text = await exported.text();
    const beside = await ask<StoredJob>('POST', '/jobs/import', text);
    expect(beside.status).toBe(201);
    expect(beside.body.job.id).not.toBe('d1');
    expect({ ...beside.body.job, id: 'd1' }).toEqual(jobNamed('d1'));
    const elsewhere = await ask<StoredJob>('POST', '/jobs/import', text.replace('"id": "d1"', '"id": "d2"'));
    expect(elsewhere.body.job.id).toBe('d2');
  });

  test.each([
    ['teeth: 58', 422, 'not-json'],
    ['', 422, 'not-json'],
    [jobFileText(jobNamed('e1')).slice(0, 700), 422, 'cut-short'],
    [jobFileText(jobNamed('e1')).replace(/"version": \d+/, '"version": 99'), 422, 'later-version'],
    ['{"format":"something-else"}', 422, 'not-a-job'],
    [jobFileText(bore(jobNamed('e1'), '70')), 422, 'bore-over-root'],
    [`"${'x'.repeat(2_200_000)}"`, 413, 'too-large'],
  ])('a file that cannot be imported changes nothing (%#)', async (text, status, code) => {
    const before = await ask<{ jobs: JobListing[] }>('GET', '/jobs');
    const refused = await ask<Problem>('POST', '/jobs/import', text);
    expect([refused.status, refused.body.issues[0]?.code]).toEqual([status, code]);
    expect((await ask<{ jobs: JobListing[] }>('GET', '/jobs')).body).toEqual(before.body);
  });
});
