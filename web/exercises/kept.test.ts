/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { poseExercise, type Draw } from '../../core/exercises/index.ts';
import type { LearnerStands } from '../../core/wire/index.ts';
import { useLearning } from './kept.ts';

const DRAW: Draw = { kind: 'arms', seed: 9, level: 1 };
const right = poseExercise(DRAW).fields[0]!.answer;
const now = () => useLearning.getState();
const STANDS: LearnerStands = {
  token: 't',
  name: 'Ana',
  figures: '1234',
  seed: 42,
  class: { name: 'C', kinds: ['arms'], jobId: null },
  tried: [{ draw: { ...DRAW, seed: 1 }, right: true }],
};

beforeEach(() => {
  now().leave();
  now().forget();
  now().take(DRAW);
});

test('only the first marking counts, and what cannot be read is none', () => {
  now().mark();
  expect(now().tried).toEqual([]);
  now().type('holes', 'many');
  now().mark();
  expect(now().tried).toEqual([]);
  now().type('holes', String(Number(right) - 1));
  now().mark();
  now().type('holes', right);
  now().mark();
  expect(now().tried).toEqual([{ draw: DRAW, right: false }]);
});

test('who is shown how has not done it, even with the right answer in the field', () => {
  now().join(STANDS);
  now().take(DRAW);
  now().type('holes', right);
  now().showWorking();
  expect(now().tried.at(-1)).toEqual({ draw: DRAW, right: false });
  // and the class hears nothing that it would mark as right
  expect(now().outbox.map(({ answers }) => answers)).toEqual([{}]);
  now().mark();
  expect(now().outbox).toHaveLength(1);
});

test('in a class: its numbers, its list, what was tried before is laid aside and comes back; a second answer of it loses nothing', () => {
  now().type('holes', right);
  now().mark();
  const own = now().learner;
  now().join(STANDS);
  expect([now().learner, now().tried.length, now().inHand]).toEqual([42, 1, null]);
  now().take(DRAW);
  now().type('holes', right);
  now().mark();
  // asked again before it was sent: what is on its way stays, in the list as well
  now().join(STANDS);
  expect([now().outbox.length, now().tried.length]).toEqual([1, 2]);
  now().sent(now().outbox[0]!.id);
  now().join({ ...STANDS, tried: [...STANDS.tried, { draw: DRAW, right: true }] });
  expect([now().outbox.length, now().tried.length]).toEqual([0, 2]);
  now().leave();
  expect([now().learner, now().tried, now().classroom]).toEqual([own, [{ draw: DRAW, right: true }], null]);
});
