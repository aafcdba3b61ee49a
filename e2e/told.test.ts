import { expect, test } from '@jest/globals';
import { greatest } from 'd3-array';
import type { Issue } from '../core/findings/index.ts';
import { sayIssue } from '../core/messages/index.ts';
import type { Job } from '../core/job/index.ts';
import { plan } from '../core/plan/index.ts';
import type { Equipment } from '../core/shop/index.ts';
import { journeysIn } from './journeys.ts';
import { wait, type Person } from './person.ts';

const place = journeysIn('demo');

/** What a hand may write into any field, wrongly. */
const SLIPS = ['0', '95'];

/** One card of every kind of part: straight and helical, copied, a worm drive, flats. */
const CARDS = ['lens-second', 'blower', 'pump-gear', 'carriage', 'square'].map((name) => `demo-${name}`);

/** A station of a card in some state, and what the plan says there. */
interface Page {
  readonly job: Job;
  readonly address: string;
  /** By kind of thing: the station, its code and its field. */
  readonly issues: ReadonlyMap<string, Issue>;
}

const measuresOf = (value: unknown, path: readonly string[] = []): string[][] => {
  if (value === null || typeof value !== 'object') return [];
  if ('typed' in value) return [[...path]];
  return Object.entries(value).flatMap(([key, inner]) => measuresOf(inner, [...path, key]));
};

/** What is not on the way stays the same object: its plan is the one it was. */
function withTyped<T>(document: T, [key, ...rest]: readonly string[], typed: string): T {
  if (key === undefined) return { ...document, typed };
  const inner = withTyped(document[key as keyof T], rest, typed);
  return (
    Array.isArray(document)
      ? document.map((each, at) => (String(at) === key ? inner : each))
      : { ...document, [key]: inner }
  ) as T;
}

/** Every page of these cards as the plan has it, as they are and with every field spoilt in turn. */
function pagesOf(jobs: readonly Job[], equipment: Equipment): Page[] {
  const states = jobs.flatMap((job) => [
    job,
    ...measuresOf(job.parts, ['parts']).flatMap((path) => SLIPS.map((slip) => withTyped(job, path, slip))),
  ]);
  return states.flatMap((job) =>
    plan(job, equipment).parts.flatMap((part) => {
      const { kind } = job.parts.find(({ id }) => id === part.id)!;
      return part.stations.map((station) => ({
        job,
        address: `/jobs/${job.id}/${part.id}/${station.id}`,
        issues: new Map(
          station.issues
            .filter(({ severity }) => severity !== 'needed' && severity !== 'note')
            .map((issue) => [
              `${kind} ${station.id} ${issue.code} ${issue.path.replace(/^[^.]*\.?parts\.[^.]*\./, '')}`,
              issue,
            ]),
        ),
      }));
    }),
  );
}

/** The fewest pages, or nearly, on which each kind of thing can be read; with what is looked for on each. */
function pagesToRead(pages: readonly Page[]): Page[] {
  const left = new Set(pages.flatMap(({ issues }) => [...issues.keys()]));
  const chosen: Page[] = [];
  while (left.size > 0) {
    const unread = ({ issues }: Page) => [...issues.keys()].filter((key) => left.has(key)).length;
    const best = greatest(pages, unread)!;
    chosen.push({ ...best, issues: new Map([...best.issues].filter(([key]) => left.has(key))) });
    for (const key of best.issues.keys()) left.delete(key);
  }
  return chosen;
}

/** To another view without leaving the page, as a press on a link does. */
const turnTo = (person: Person, address: string): Promise<void> =>
  person.page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, address);

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
  const pages = pagesToRead(
    pagesOf(
      rested.map(({ job }) => job),
      equipment,
    ),
  );
  expect(pages.flatMap(({ issues }) => [...issues]).length).toBeGreaterThan(80);
  const person = await place.sitDown();
  // what is spoilt here and could be stored is not: every card is looked at as it was found
  await person.page.evaluateOnNewDocument(() => {
    const really = window.fetch;
    window.fetch = (asked, init) =>
      init?.method === 'PUT' ? Promise.reject(new TypeError('not here')) : really(asked, init);
  });
  await person.goTo('/');
  await person.sees('On the bench');
  const unread: string[] = [];
  for (const { job, address, issues } of pages) {
    const { revision } = rested.find((each) => each.job.id === job.id)!;
    // as a hand had typed it, gone to another card and come back
    const [away, sign] =
      job.id === 'demo-square' ? ['demo-lens-second', '62 teeth'] : ['demo-square', '7 flats'];
    await person.page.evaluate(() => localStorage.clear());
    await turnTo(person, `/jobs/${away}/p1/cut`);
    await person.sees(sign);
    await person.page.evaluate(
      (key, text) => localStorage.setItem(key, text),
      `vuelta.draft.${job.id}`,
      JSON.stringify({ job, revision }),
    );
    await turnTo(person, address);
    let wanted = [...issues.values()];
    for (let tries = 0; tries < 200 && wanted.length > 0; tries += 1) {
      if (tries > 0) await wait(50);
      const seen = even(await person.text().catch(() => ''));
      wanted = wanted.filter((issue) => !seen.includes(even(sayIssue(issue))));
    }
    unread.push(
      ...wanted.map((issue) => `${address} ${issue.code} at ${issue.path}: ${even(sayIssue(issue))}`),
    );
  }
  expect(unread).toEqual([]);
});
