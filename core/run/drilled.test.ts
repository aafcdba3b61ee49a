import { beginRun } from '../sampleRuns.ts';
import { expect, test } from '@jest/globals';
import { newDivideJob, withPart, type Job } from '../job/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { need } from '../findings/index.ts';
import { foldRun, holesDrilled, summarise, type Run, type RunEvent } from './index.ts';

const ring = (passes: 'one' | 'rough-finish' = 'one'): Job =>
  withPart(newDivideJob({ id: 'j', name: 'Ring', units: 'mm', shop: STOCK_EQUIPMENT }), 'p1', (part) =>
    part.kind === 'divide'
      ? {
          ...part,
          spacing: { ...part.spacing, count: measure('24', 'count'), depth: measure('4', 'mm') },
          cut: { ...part.cut, passes },
        }
      : part,
  );
const begun = (job: Job, more: object = {}): Run => need(beginRun(job, more));
const event = (deviceSeq: number, rest: object) =>
  ({
    id: `e${deviceSeq}`,
    runId: 'r',
    device: 'd',
    deviceSeq,
    lastSeen: {},
    clientTime: '2026-11-28T09:00:00.000Z',
    ...rest,
  }) as RunEvent;
/** After so many cuts, and what was said then. */
const after = (run: Run, cuts: number, said: readonly object[] = []) => ({
  run,
  summary: summarise(
    foldRun(run, [
      ...run.cuts.slice(0, cuts).map(({ round, index }, i) => event(i + 1, { kind: 'done', round, index })),
      ...said.map((rest, i) => event(1000 + i, rest)),
    ]),
  ),
});

test('none without a run; those that are counted; all once it closes, and none where it does not', () => {
  const run = begun(ring());
  expect(holesDrilled([])).toBe(0);
  expect(holesDrilled([after(run, 3)])).toBe(3);
  expect(holesDrilled([after(run, 24)])).toBe(24);
  expect(holesDrilled([after(run, 24, [{ kind: 'closed', fits: true }])])).toBe(24);
  expect(holesDrilled([after(run, 24, [{ kind: 'closed', fits: false }])])).toBe(0);
  expect(holesDrilled([after(run, 7), after(run, 3)])).toBe(7);
});

test('a hole that is only begun is not drilled; a proof in scrap, or a piece that was scrapped, is not the ring', () => {
  const twice = begun(ring('rough-finish'));
  expect(holesDrilled([after(twice, 24)])).toBe(0);
  expect(holesDrilled([after(twice, 29)])).toBe(5);
  const proof = begun(ring(), { piece: { kind: 'proof', name: 'offcut' } });
  expect(holesDrilled([after(proof, 24, [{ kind: 'closed', fits: true }])])).toBe(0);
  const scrapped = { kind: 'ended', how: 'scrapped', reason: '' };
  expect(holesDrilled([after(begun(ring()), 20, [scrapped])])).toBe(0);
});

test('a run that goes on after ten holes of another, two more counted: twelve', () => {
  const run = begun(ring());
  const going = begun(ring(), { continues: { run, done: 10 } });
  // its first cut is the tenth once more, run through to find the place
  expect(going.cuts[0]!.index).toBe(10);
  expect(holesDrilled([after(run, 10), after(going, 3)])).toBe(12);
});
