import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import formats from 'ajv-formats';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { jobFileText } from '../core/job/index.ts';
import type { Problem } from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

/* Documents against their schemas, by a validator that knows nothing of Vuelta. */

const EXAMPLES = path.join(import.meta.dirname, '../docs/examples');
const trial = new Trial('schemas');
beforeAll(async () => {
  await trial.start();
  await trial.keep(jobNamed('a'));
});
afterAll(() => trial.close());

async function validator(name: string): Promise<ValidateFunction> {
  const answer = await fetch(`${trial.address}/api/schemas/${name}`);
  expect([name, answer.status]).toEqual([name, 200]);
  expect(answer.headers.get('content-type')).toMatch(/^application\/schema\+json/);
  // patterns of names use letters of all tongues, for which there is a flag
  const ajv = new Ajv2020({ strict: false, unicodeRegExp: true });
  formats.default(ajv);
  return ajv.compile((await answer.json()) as object);
}

describe('schemas', () => {
  test('a stored job, the shop, a run, its events and the backup are what their schemas say', async () => {
    const { job } = (await trial.ask<{ job: unknown }>('GET', '/jobs/a')).body;
    expect((await validator('job'))(job)).toBe(true);
    const { equipment } = (await trial.ask<{ equipment: unknown }>('GET', '/shop')).body;
    expect((await validator('shop'))(equipment)).toBe(true);
    const { run } = (
      await trial.ask<{ run: unknown }>('POST', '/jobs/a/runs', { id: 'r1', partId: 'p1', revision: 1 })
    ).body;
    expect((await validator('run'))(run)).toBe(true);
    const backup: unknown = await (await fetch(`${trial.address}/api/backup`)).json();
    const isBackup = await validator('backup');
    expect([isBackup(backup), isBackup.errors]).toEqual([true, null]);
  });

  test('and what is none is refused by them', async () => {
    const isJob = await validator('job');
    const { job } = (await trial.ask<{ job: Record<string, unknown> }>('GET', '/jobs/a')).body;
    expect(isJob({ ...job, units: 'cubits' })).toBe(false);
    expect(isJob({ ...job, parts: [] })).toBe(false);
    expect((await trial.ask('GET', '/schemas/none')).status).toBe(404);
    expect((await trial.ask('GET', '/schemas/__proto__')).status).toBe(404);
  });

  test.each(readdirSync(EXAMPLES).filter((name) => name.endsWith('.json')))(
    '%s is as its schema says',
    async (name) => {
      const isIt = await validator(name.split('.')[0]!);
      const example: unknown = JSON.parse(readFileSync(path.join(EXAMPLES, name), 'utf8'));
      expect([isIt(example), isIt.errors]).toEqual([true, null]);
    },
  );
});

test('a job file that is wrong says the line and the field', async () => {
  const text = jobFileText(jobNamed('x'));
  const line = text.split('\n').findIndex((each) => each.includes('"passes"')) + 1;
  expect(line).toBeGreaterThan(10);
  const wrong = text.replace(/"passes": "[^"]+"/, '"passes": "seven"');
  const refused = await trial.ask<Problem>('POST', '/jobs/import', wrong);
  expect(refused.status).toBe(422);
  expect(refused.body.issues[0]!.path).toBe('parts.p1.cut.passes');
  expect(refused.body.issues[0]!.message).toMatch(
    new RegExp(`^Line ${line}\\. At parts\\.p1\\.cut\\.passes: `),
  );
  // what is lacking is told at what lacks it
  const lacking = text.replace(/"faceWidth": \{[^}]*\},?/, '');
  const blank = lacking.split('\n').findIndex((each) => each.includes('"blank"')) + 1;
  const second = await trial.ask<Problem>('POST', '/jobs/import', lacking);
  expect(second.body.issues[0]!.message).toMatch(
    new RegExp(`^Line ${blank}\\. At parts\\.p1\\.blank\\.faceWidth`),
  );
  const broken = await trial.ask<Problem>('POST', '/jobs/import', text.replace('"units":', 'units:'));
  const at = text.split('\n').findIndex((each) => each.includes('"units":')) + 1;
  expect(broken.body.detail).toContain(`line ${at}, column`);
});
