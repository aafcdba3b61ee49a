import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { runEventSchema, type RunAct } from '../core/run/index.ts';
import type { JobsPage, LogList, StoredRun } from '../core/wire/index.ts';
import { Trial, jobNamed } from './trial.ts';

describe('runs of the logbook are found', () => {
  const trial = new Trial('finding-runs');
  /** A run of 20 teeth with so many cut, and what was done besides. */
  async function cut(id: string, piece: 'work' | 'proof', cuts: number, ...acts: RunAct[]): Promise<void> {
    const { run } = (
      await trial.ask<StoredRun>('POST', '/jobs/a/runs', {
        ...{
          id,
          partId: 'p1',
          revision: 1,
          piece: { kind: piece, name: piece === 'proof' ? 'brass offcut' : '' },
        },
      })
    ).body;
    const dones = run.cuts.slice(0, cuts).map(({ round, index }): RunAct => ({ kind: 'done', round, index }));
    const events = [...dones, ...acts].map((act, i) =>
      runEventSchema.parse({
        ...{ id: `${id}-${i}`, runId: id, device: 'bench', deviceSeq: i + 1, lastSeen: {} },
        clientTime: new Date(Date.UTC(2026, 11, 1, 9, i)).toISOString(),
        ...act,
      }),
    );
    if (events.length > 0) await trial.ask('POST', `/runs/${id}/events`, { events });
    // no two begin at the same moment
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  beforeAll(async () => {
    await trial.start();
    await trial.keep(jobNamed('a', 20));
    await cut('whole', 'work', 20, { kind: 'closed', fits: true });
    await cut('off', 'work', 20, { kind: 'closed', fits: false });
    await cut('lost', 'work', 5, { kind: 'ended', how: 'scrapped', reason: 'Cutter chipped: the Fräser' });
    await cut('half', 'proof', 9, { kind: 'note', round: 1, index: 9, text: 'Mandrel slipped, 100% sure' });
    await cut('none', 'work', 0);
  });
  afterAll(() => trial.close());
  const found = async (query: string): Promise<string[]> => {
    const { body } = await trial.ask<LogList>('GET', `/log${query}`);
    expect(body.total).toBeGreaterThanOrEqual(body.runs.length);
    return body.runs.map(({ runId }) => runId);
  };

  test.each([
    ['', ['none', 'half', 'lost', 'off', 'whole']],
    ['?outcome=closes', ['whole']],
    ['?outcome=does-not-close', ['off']],
    ['?outcome=scrapped', ['lost']],
    ['?outcome=going', ['half']],
    ['?outcome=not-begun', ['none']],
    ['?piece=proof', ['half']],
    ['?piece=work&outcome=going', []],
    ['?words=MANDREL%20offcut', ['half']],
    ['?words=fraser', ['lost']],
    ['?words=100%25', ['half']],
    ["?words='", []],
    ['?words=20%20teeth', ['none', 'half', 'lost', 'off', 'whole']],
  ])('by %s', async (query, ids) => {
    expect(await found(query)).toEqual(ids);
  });

  test('page by page, each behind the one before, however many there are in all', async () => {
    const seen: string[] = [];
    let after: string | null = '';
    while (after !== null) {
      const { body }: { body: LogList } = await trial.ask('GET', `/log?limit=2${after && `&after=${after}`}`);
      expect(body.total).toBe(5);
      seen.push(...body.runs.map(({ runId }) => runId));
      after = body.next;
    }
    expect(seen).toEqual(['none', 'half', 'lost', 'off', 'whole']);
    expect(await found('?after=none%20of%20ours')).toHaveLength(5);
    for (const wrong of ['?outcome=sunk', '?limit=0', '?limit=1000', '?piece=gold'])
      expect([wrong, (await trial.ask('GET', `/log${wrong}`)).status]).toEqual([wrong, 422]);
  });

  test('the bench names the job that was left in the middle, and nothing is read of it but what rests beside it', async () => {
    const { body } = await trial.ask<JobsPage>('GET', '/jobs');
    // the newest run is not begun: nothing is interrupted
    expect(body.interrupted).toBeNull();
    expect(body.jobs[0]!.run).toMatchObject({ id: 'none', summary: { done: 0, next: { space: 1 } } });
    await cut('again', 'work', 3);
    const now = (await trial.ask<JobsPage>('GET', '/jobs')).body.interrupted;
    expect(now?.run).toMatchObject({
      id: 'again',
      now: { lead: 'Tooth space 3 is cut. Turn clockwise:', figure: '2 whole turns' },
    });
  });
});
