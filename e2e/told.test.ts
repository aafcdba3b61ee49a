import { expect, test } from '@jest/globals';
import { sayIssue, type Issue } from '../core/findings/index.ts';
import type { Job } from '../core/job/index.ts';
import { plan } from '../core/plan/index.ts';
import type { Equipment } from '../core/shop/index.ts';
import { journeysIn } from './journeys.ts';
import { wait } from './person.ts';

const place = journeysIn('demo');

/** What a hand may write into any field, wrongly. */
const SLIPS = ['0', '95'];

/** One card of every kind of part: straight and helical, copied, a worm drive, flats. */
const CARDS = ['lens-second', 'blower', 'pump-gear', 'carriage', 'square'].map((name) => `demo-${name}`);

interface Told {
  readonly job: Job;
  readonly address: string;
  readonly issue: Issue;
}

const measuresOf = (value: unknown, path: readonly string[] = []): string[][] => {
  if (value === null || typeof value !== 'object') return [];
  if ('typed' in value) return [[...path]];
  return Object.entries(value).flatMap(([key, inner]) => measuresOf(inner, [...path, key]));
};

function withTyped(job: Job, path: readonly string[], typed: string): Job {
  const copy = structuredClone(job) as unknown as Record<string, unknown>;
  let at = copy;
  for (const key of path) at = at[key] as Record<string, unknown>;
  at['typed'] = typed;
  return copy as unknown as Job;
}

/**
 * Every kind of thing that the plan says about a station of this card, as it is and with every field spoilt
 * in turn, once.
 */
function saidOf(jobs: readonly Job[], equipment: Equipment): Told[] {
  const found = new Map<string, Told>();
  const look = (job: Job) => {
    for (const part of plan(job, equipment).parts)
      for (const station of part.stations)
        for (const issue of station.issues) {
          if (issue.severity === 'needed' || issue.severity === 'note') continue;
          const kind = job.parts.find(({ id }) => id === part.id)!.kind;
          const key = `${kind} ${station.id} ${issue.code} ${issue.path.replace(/^[^.]*\.?parts\.[^.]*\./, '')}`;
          if (!found.has(key))
            found.set(key, { job, address: `/jobs/${job.id}/${part.id}/${station.id}`, issue });
        }
  };
  for (const job of jobs) {
    look(job);
    for (const path of measuresOf(job.parts, ['parts']))
      for (const slip of SLIPS) look(withTyped(job, path, slip));
  }
  return [...found.values()];
}

const even = (text: string): string => text.replace(/\s+/g, ' ').trim();

test('whatever the plan finds wrong, queries or is stopped by can be read on the screen of its station', async () => {
  const { workshop } = place;
  const { jobs: rows } = await workshop.ask<{ jobs: { id: string }[] }>('GET', '/jobs');
  const { equipment } = await workshop.ask<{ equipment: Equipment }>('GET', '/shop');
  const rested = await Promise.all(
    rows
      .filter(({ id }) => CARDS.includes(id))
      .map(({ id }) => workshop.ask<{ job: Job; revision: number }>('GET', `/jobs/${id}`)),
  );
  expect(rested).toHaveLength(CARDS.length);
  const said = saidOf(
    rested.map(({ job }) => job),
    equipment,
  );
  expect(said.length).toBeGreaterThan(80);
  const person = await place.sitDown();
  // what is spoilt here and could be stored is not: every card is looked at as it was found
  await person.page.setRequestInterception(true);
  person.page.on(
    'request',
    (request) => void (request.method() === 'PUT' ? request.abort() : request.continue()),
  );
  const unread: string[] = [];
  for (const { job, address, issue } of said) {
    const { revision } = rested.find((each) => each.job.id === job.id)!;
    // as a hand had typed it and gone away
    const { identifier } = await person.page.evaluateOnNewDocument(
      (key, text) => {
        localStorage.clear();
        localStorage.setItem(key, text);
      },
      `vuelta.draft.${job.id}`,
      JSON.stringify({ job, revision }),
    );
    await person.goTo(address);
    await person.page.removeScriptToEvaluateOnNewDocument(identifier);
    const wanted = even(sayIssue(issue));
    let read = false;
    for (let tries = 0; tries < 200 && !read; tries += 1) {
      read = even(await person.text().catch(() => '')).includes(wanted);
      if (!read) await wait(50);
    }
    if (!read) unread.push(`${address} ${issue.code} at ${issue.path}: ${wanted}`);
  }
  expect(unread).toEqual([]);
});
