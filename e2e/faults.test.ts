import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { foldRun, type Run, type RunEvent } from '../core/run/index.ts';
import { wait } from './person.ts';
import { Workshop } from './workshop.ts';

let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.open('empty');
});
afterAll(() => workshop.close());

/** Numbers that look drawn by lot and are the same each time. */
function lot(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

test('the server killed at random instants over 120 counts: none lost, none doubled (seed 2611)', async () => {
  const job = withSpurPart(
    drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1', teeth: 60, face: '8', bore: '6' }),
    'p1',
    (part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }),
  );
  await workshop.ask('PUT', '/jobs/j', { revision: 0, job });
  const { run } = await workshop.ask<{ run: Run }>('POST', '/jobs/j/runs', {
    id: 'r',
    partId: 'p1',
    revision: 1,
  });
  const next = lot(2611);
  let over = false;
  let kills = 0;
  // pulls the plug at any moment, also while a count is on its way
  const saboteur = (async () => {
    while (!over) {
      await wait(20 + next() * 260);
      if (over) break;
      await workshop.kill();
      kills += 1;
      await workshop.start();
    }
  })();
  const kept: RunEvent[] = [];
  const confirmed = new Set<string>();
  for (const [i, { round, index }] of run.cuts.entries()) {
    // as the page does: kept first, then sent until the server says that it has it
    const event = { id: `e${i}`, runId: 'r', device: 'tablet', deviceSeq: i + 1, lastSeen: {}, clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i)).toISOString(), kind: 'done', round, index } as RunEvent; // prettier-ignore
    kept.push(event);
    const waiting = kept.filter(({ id }) => !confirmed.has(id));
    await workshop.ask('POST', '/runs/r/events', { events: waiting }).then(
      () => waiting.forEach(({ id }) => confirmed.add(id)),
      () => null,
    );
    await wait(next() * 170);
  }
  over = true;
  await saboteur;
  await workshop.ask('POST', '/runs/r/events', {
    events: kept.filter(({ id }) => !confirmed.has(id)).concat(kept.at(-1)!),
  });
  const { events } = await workshop.ask<{ events: RunEvent[] }>('GET', '/runs/r/events?after=0');
  expect(kills).toBeGreaterThan(3);
  expect(events.map(({ id }) => id).sort()).toEqual(kept.map(({ id }) => id).sort());
  expect(foldRun(run, events)).toMatchObject({ done: 120, next: null, doubts: [] });
  // what the server had confirmed before each kill was there after it, or it would have been sent again under the same id
  const { summary } = await workshop.ask<{ summary: { done: number } }>('GET', '/runs/r');
  expect(summary.done).toBe(120);
});
