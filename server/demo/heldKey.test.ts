import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../../core/messages/index.ts';
import type { Job } from '../../core/job/index.ts';
import { plan } from '../../core/plan/index.ts';
import { promptSheet } from '../../core/prompts/index.ts';
import { freezeRun } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { demoShop } from './shop.ts';
import { demoJobs } from './workshop.ts';

type Way = readonly string[];

function measuresIn(value: unknown, way: Way = []): Way[] {
  if (value === null || typeof value !== 'object') return [];
  if ('typed' in value && 'unit' in value) return [way];
  return Object.entries(value).flatMap(([key, below]) => measuresIn(below, [...way, key]));
}

function withTyped<Document extends object>(document: Document, way: Way, typed: string): Document {
  const copy = structuredClone(document);
  let here = copy as Record<string, unknown>;
  for (const key of way) here = here[key] as Record<string, unknown>;
  here['typed'] = typed;
  return copy;
}

/**
 * A key that was held, or leant on by a book: as long as it likes, whole, a fraction, or next to nothing; and
 * the shortest slips.
 */
const held = fc.oneof(
  fc
    .tuple(fc.constantFrom('9', '1', '0', '.'), fc.integer({ min: 1, max: 60 }))
    .map(([key, n]) => key.repeat(n)),
  fc.integer({ min: 1, max: 57 }).map((n) => `1/${'9'.repeat(n)}`),
  fc.integer({ min: 1, max: 57 }).map((n) => `0.${'0'.repeat(n)}1`),
  fc.constantFrom('-5', '0', '95', '-0.001', '89°59\'59"'),
);

/** Everything that this card tells a person, and what a run of it would ask at the mill. */
function toldOf(job: Job, shop: Equipment): string[] {
  const planned = plan(job, shop);
  return planned.parts.flatMap(({ id, stations, cutting }) => {
    const run =
      cutting && freezeRun({ job, planned, shop, start: { runId: 'r', jobRevision: 1, partId: id } });
    return [
      ...stations.flatMap(({ answer, issues, cautions }) => [
        answer,
        ...issues.map(sayIssue),
        ...cautions.map(({ text }) => text),
      ]),
      ...(run?.ok ? promptSheet(run.value).flatMap(({ lines }) => lines) : []),
    ];
  });
}

const said = (told: readonly string[]): string | undefined =>
  told.find((line) => /NaN|undefined|Infinity|\[object|\bnull\b/.test(line));

test('whatever key is held in whatever field of every card of the workshop: an answer, in words and figures (seed 909)', () => {
  const places = demoJobs().flatMap(({ job }) =>
    measuresIn(job.parts, ['parts']).map((way) => ({ job, way })),
  );
  expect(places.length).toBeGreaterThan(900);
  fc.assert(
    fc.property(fc.constantFrom(...places), held, ({ job, way }, typed) => {
      expect({ way, typed, said: said(toldOf(withTyped(job, way, typed), demoShop)) }).toMatchObject({
        said: undefined,
      });
    }),
    { seed: 909, numRuns: 400 },
  );
});

test('and in whatever field of the shop (seed 910)', () => {
  const ways = measuresIn(demoShop);
  expect(ways.length).toBeGreaterThan(60);
  const jobs = demoJobs().map(({ job }) => job);
  fc.assert(
    fc.property(fc.constantFrom(...ways), held, fc.constantFrom(...jobs), (way, typed, job) => {
      // planned with what the shop has now, and not with the job’s copy
      const shop = withTyped(demoShop, way, typed);
      expect({ way, typed, said: said(toldOf({ ...job, equipment: shop }, shop)) }).toMatchObject({
        said: undefined,
      });
    }),
    { seed: 910, numRuns: 250 },
  );
});
