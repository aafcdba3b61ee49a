import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { LogList, Restored, StoredRun } from '../../core/wire/index.ts';
import { Trial } from '../trial.ts';

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
