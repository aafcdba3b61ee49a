/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { benchFor } from '../../core/sampleBench.ts';
import { perform, type Action } from '../../core/practice/index.ts';
import { keepRehearsal, keptRehearsal, newRehearsal, openRehearsal, rehearsalFile } from './kept.ts';

const bench = benchFor({ teeth: 26, module: 1.5 });
const KEY = '/jobs/a/p1';
const done: readonly Action[] = [
  { do: 'pin', to: 'out' },
  { do: 'crank', turns: '5/26' },
];
beforeEach(() => localStorage.clear());

test('what was done on a blank comes back, with what is hidden in it', () => {
  const fresh = newRehearsal(bench, 3);
  keepRehearsal({ ...fresh, session: done.reduce(perform, fresh.session) }, KEY);
  const back = keptRehearsal(bench, KEY);
  expect(back.hidden).toBe(fresh.hidden);
  expect(back.session.log.map(({ action }) => action)).toEqual(done);
  expect(back.session.machine.crank.toFraction()).toBe('5/26');
  // another card's is its own
  expect(keptRehearsal(bench, '/jobs/b/p1').session.log).toEqual([]);
});

test('of a card that has changed since, or that cannot be read, a new blank', () => {
  const { session, ...rest } = newRehearsal(bench, null);
  keepRehearsal({ ...rest, session: done.reduce(perform, session) }, KEY);
  const changed = { ...bench, run: { ...bench.run, jobRevision: bench.run.jobRevision + 1 } };
  expect(keptRehearsal(changed, KEY).session.log).toEqual([]);
  for (const rubbish of ['{', '[]', '{"revision":1,"seed":null,"actions":[{"do":"fly"}]}']) {
    localStorage.setItem(`vuelta-practice ${KEY}`, rubbish);
    expect(keptRehearsal(bench, KEY).session.log).toEqual([]);
  }
});

test('a blank that nothing was done to leaves nothing behind', () => {
  const fresh = newRehearsal(bench, null);
  keepRehearsal({ ...fresh, session: done.reduce(perform, fresh.session) }, KEY);
  keepRehearsal(fresh, KEY);
  expect(localStorage).toHaveLength(0);
});

test('what was done goes as a file to another bench of the same card, and to no other', () => {
  const fresh = newRehearsal(bench, 3);
  const file = rehearsalFile({ ...fresh, session: done.reduce(perform, fresh.session) }, KEY);
  const opened = openRehearsal(bench, KEY, file);
  if (typeof opened === 'string') throw new Error(opened);
  expect([opened.hidden, opened.session.machine.crank.toFraction()]).toEqual([fresh.hidden, '5/26']);
  expect(openRehearsal(bench, '/jobs/b/p1', file)).toContain('another job’s card');
  const changed = { ...bench, run: { ...bench.run, jobRevision: bench.run.jobRevision + 1 } };
  expect(openRehearsal(changed, KEY, file)).toContain('it would cut something else');
  for (const rubbish of ['', '{', '[]', file.replace('crank', 'fly'), file.replace('5/26', '1/0')])
    expect(openRehearsal(bench, KEY, rubbish)).toBe('That is no file of a practice bench, or it is damaged.');
});

test('what was only shown is known as shown after a reload', () => {
  const fresh = newRehearsal(bench, null);
  keepRehearsal({ ...fresh, shown: true, session: done.reduce(perform, fresh.session) }, KEY);
  expect(keptRehearsal(bench, KEY).shown).toBe(true);
  keepRehearsal({ ...fresh, session: done.reduce(perform, fresh.session) }, KEY);
  expect(keptRehearsal(bench, KEY).shown).toBe(false);
});
