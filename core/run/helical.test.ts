import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withSpurPart } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  foldRun,
  freezeRun,
  readRun,
  reconcile,
  runEventSchema,
  type RunAct,
  type RunEvent,
} from './index.ts';

const job = withSpurPart(
  drawnSpurJob({ id: 'j1', name: 'Fan gear', pitch: '1.5', teeth: 24, face: '16', bore: '10' }),
  'p1',
  (part) => ({ ...part, gear: { ...part.gear, helix: measure('15', 'deg'), hand: 'left' } }),
);
const run = need(
  freezeRun({
    job,
    planned: plan(job, STOCK_EQUIPMENT),
    shop: STOCK_EQUIPMENT,
    start: { runId: 'r1', jobRevision: 1, partId: 'p1' },
  }),
);
let made = 0;
const event = (act: RunAct): RunEvent =>
  runEventSchema.parse({
    id: `e${(made += 1)}`,
    runId: 'r1',
    device: 'bench',
    deviceSeq: made,
    lastSeen: {},
    clientTime: '2026-11-25T09:00:00Z',
    ...act,
  });
const stroke = (index: number, stage: number) => event({ kind: 'stroke', round: 1, index, stage });

describe('a helical run whose return stroke was counted by number, before prompts had names', () => {
  made = 0;
  const first = event({ kind: 'done', round: 1, index: 1 });
  const stages = [1, 2, 3].map((stage) => stroke(2, stage));

  test('it freezes with its lead, and reads back', () => {
    expect(run.helix).toMatchObject({ hand: 'left', drive: 'worm' });
    expect(run.helix!.setting).toMatch(/^table swung .*right end towards you$/);
    expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual(run);
  });

  test('the first cut needs none; then clear, back, indexed, and only then the next space', () => {
    expect(foldRun(run, [])).toMatchObject({ heeded: [], done: 0 });
    expect(foldRun(run, [first])).toMatchObject({ heeded: [], done: 1, next: { space: 2 } });
    for (const n of [1, 2, 3])
      expect(foldRun(run, [first, ...stages.slice(0, n)])).toMatchObject({
        heeded: ['out', 'back', 'turn'].slice(0, n),
        done: 1,
      });
    const second = event({ kind: 'done', round: 1, index: 2 });
    expect(foldRun(run, [first, ...stages, second])).toMatchObject({
      heeded: [],
      done: 2,
      next: { space: 3 },
    });
  });

  test('taken back one by one: the stage, a turn of the crank, the stage before, the cut', () => {
    const turn = event({ kind: 'turn', round: 1, index: 2, turn: 1 });
    const indexed = stroke(2, 3);
    const all = [first, stages[0]!, stages[1]!, turn, indexed];
    const names = (events: readonly RunEvent[]) => foldRun(run, events).takeBack;
    expect(names(all)).toEqual([indexed.id]);
    expect(names(all.slice(0, 4))).toEqual([turn.id]);
    expect(names(all.slice(0, 3))).toEqual([stages[1]!.id]);
    expect(names(all.slice(0, 1))).toEqual([first.id]);
    const back = event({ kind: 'take-back', ids: [indexed.id] });
    expect(foldRun(run, [...all, back])).toMatchObject({ heeded: ['out', 'back'], turnsMade: 1 });
  });

  test('the order of arrival, and an event twice, change nothing', () => {
    const events = [first, ...stages];
    expect(foldRun(run, [...events].reverse().concat(events))).toEqual(foldRun(run, events));
  });

  test('a count put right takes back the stages beyond it', () => {
    const events = [first, ...stages];
    const acts = reconcile({ run, events, state: foldRun(run, events), cutsDone: 0 });
    expect(acts).toEqual([{ kind: 'take-back', ids: [first.id, ...stages.map(({ id }) => id)] }]);
  });
});
