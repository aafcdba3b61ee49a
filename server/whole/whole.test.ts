import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { LogList, Problem, Restored, StoredRun } from '../../core/wire/index.ts';
import { Trial } from '../trial.ts';
import { writeBackup } from './writeBackup.ts';

const sample = (version: number): string =>
  readFileSync(new URL(`./samples/v${version}.json`, import.meta.url), 'utf8');

describe('backups of every version go into an empty workshop', () => {
  test.each([
    [1, 'tooth-space', 53, 0],
    [2, 'flat', 7, 1],
  ])('version %i', async (version, divides, divisions, pictures) => {
    const trial = new Trial(`whole-v${version}`);
    await trial.start();
    const { status, body } = await trial.ask<Restored>('POST', '/restore', sample(version));
    expect([status, body]).toMatchObject([200, { jobs: 1, changed: 0, runs: 1, counts: 2 }]);
    const { run, summary } = (await trial.ask<StoredRun>('GET', '/runs/r1')).body;
    expect(run).toMatchObject({ divides, divisions });
    expect(summary).toMatchObject({ done: 2, next: { space: 3 } });
    const log = (await trial.ask<LogList>('GET', '/log?words=second%20wheel')).body;
    expect(log.total).toBe(version === 1 ? 1 : 0);
    const shown = await trial.ask<{ pictures: object[] }>('GET', '/pictures?about=job%2Fj1');
    expect(shown.body.pictures).toHaveLength(pictures);
    // once more: nothing twice
    expect((await trial.ask<Restored>('POST', '/restore', sample(version))).body).toMatchObject({
      changed: 0,
      counts: 0,
    });
    await trial.close();
  });
});

describe('a restore that is under way', () => {
  const many = 200;
  interface Sample {
    jobs: { job: { id: string; name: string } }[];
    sha256?: string;
  }
  /** One job, many times over. */
  function large(): string {
    const { sha256: _, ...one } = JSON.parse(sample(2)) as Sample;
    const [first] = one.jobs;
    const more = Array.from({ length: many - 1 }, (_, i) => ({
      ...first!,
      line: 'a wheel',
      job: { ...first!.job, id: `more-${i}`, name: `Wheel ${i}` },
    }));
    return JSON.stringify({ ...one, jobs: [...one.jobs, ...more] });
  }

  test('says how far it is, lets no second one in, stops between two steps, and goes on to the end', async () => {
    const trial = new Trial('restoring');
    await trial.start();
    const under = async () => (await trial.ask<{ under: Restored | null }>('GET', '/restore')).body.under;
    expect(await under()).toBeNull();
    const first = trial.ask<Restored>('POST', '/restore', large());
    let soFar = await under();
    const until = performance.now() + 20_000;
    while ((!soFar || soFar.rows === 0) && performance.now() < until) soFar = await under();
    // jobs, the run twice and its job, its two counts, the picture
    expect(soFar).toMatchObject({ ofRows: many + 2 + 1 + 2 + 1, finished: false });
    expect(soFar!.rows).toBeLessThan(soFar!.ofRows);
    const second = await trial.ask<Problem>('POST', '/restore', sample(2));
    expect([second.status, second.body.issues[0]!.code]).toEqual([409, 'restore-under-way']);
    await trial.ask('DELETE', '/restore');
    const stopped = (await first).body;
    expect(stopped.finished).toBe(false);
    expect(stopped.aside).toMatch(/^copies\//);
    const stored = async () => (await trial.ask<{ total: number }>('GET', '/jobs?limit=1')).body.total;
    expect(await stored()).toBe(stopped.jobs);
    expect(stopped.jobs).toBeLessThan(many);
    expect(await under()).toBeNull();
    const { body } = await trial.ask<Restored>('POST', '/restore', large());
    expect(body).toMatchObject({ jobs: many, changed: 0, finished: true, rows: many + 6, ofRows: many + 6 });
    expect(await stored()).toBe(many);
    // nothing is under way: to stop it stops nothing
    expect((await trial.ask('DELETE', '/restore')).status).toBe(200);
    await trial.close();
  });

  test('a backup that nobody waits for any more ends where it is', () => {
    const trial = new Trial('half');
    return trial.start().then(async () => {
      await trial.ask('POST', '/restore', large());
      const [store, file] = ['workshop.sqlite', 'half.json'].map((name) => path.join(trial.folder, name));
      let rows = 0;
      writeBackup({ store: store!, file: file!, at: '2026-11-25T10:00:00Z', stopped: () => ++rows > 5 });
      const lines = readFileSync(file!, 'utf8')
        .split('\n')
        .filter((line) => line.startsWith('{"job"'));
      expect(lines).toHaveLength(5);
      await trial.close();
    });
  });
});
