import { test } from '@jest/globals';
import type { Run } from '../core/run/index.ts';
import { drawnSpurJob } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';

const place = journeysIn('empty');

test('a server that hangs is told as one that is away, on every screen of the run, and loses nothing', async () => {
  const { workshop } = place;
  const job = drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1', teeth: 60, face: '8', bore: '6' });
  await workshop.ask('PUT', '/jobs/j', { revision: 0, job });
  await workshop.ask<{ run: Run }>('POST', '/jobs/j/runs', { id: 'r', partId: 'p1', revision: 1 });
  await workshop.countElsewhere('r', 3);
  const [counts, looks] = [await place.sitDown(), await place.sitDown()];
  for (const person of [counts, looks]) {
    // a page that is not in front asks nothing
    await person.page.bringToFront();
    await person.goTo('/runs/r');
    await person.sees('✓ stored');
    await person.sees('Tooth space 4 cut');
  }
  await counts.page.bringToFront();
  workshop.hang();
  try {
    await counts.pressButton('Tooth space 4 cut');
    await counts.sees('server away, 1 kept here', 15_000);
    // the other screen has nothing that waits, and says all the same that nobody answers
    await looks.page.bringToFront();
    await looks.sees('server away', 15_000);
  } finally {
    workshop.wake();
  }
  await looks.sees('Tooth space 4 is cut.', 15_000);
  await counts.page.bringToFront();
  await counts.sees('✓ stored', 15_000);
  await counts.sees('Tooth space 5 cut');
});
