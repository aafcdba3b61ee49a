import { expect, test } from '@jest/globals';
import { levelOf, nextExercise, standingOf, type ExerciseId, type Level, type Tried } from './index.ts';

const tried = (kind: ExerciseId, right: boolean, level: Level = 1): Tried => ({
  draw: { kind, seed: 1, level },
  right,
});
const KINDS: readonly ExerciseId[] = ['outside', 'depth', 'simple', 'arms', 'pins'];

test('two right on, two wrong back, and never beyond either end', () => {
  const path = (...rights: boolean[]) =>
    levelOf(
      rights.map((right) => tried('simple', right)),
      'simple',
    );
  expect(path()).toBe(1);
  expect(path(true)).toBe(1);
  expect(path(true, true)).toBe(2);
  expect(path(true, false, true)).toBe(1);
  expect(path(true, true, true, true, true, true)).toBe(3);
  expect(path(true, true, false, false)).toBe(1);
  expect(path(false, false, false, true, true)).toBe(2);
});

test('what went wrong comes back after three others, before anything new', () => {
  const history = [tried('simple', false), tried('outside', true), tried('depth', true)];
  // two others lie between: not yet
  expect(nextExercise(history, { kinds: KINDS, learner: 7 }).kind).not.toBe('simple');
  const later = [...history, tried('arms', true)];
  expect(nextExercise(later, { kinds: KINDS, learner: 7 }).kind).toBe('simple');
  // done right, it waits its turn again
  const mended = [...later, tried('simple', true)];
  expect(nextExercise(mended, { kinds: KINDS, learner: 7 }).kind).toBe('pins');
});

test('every kind comes once before any comes twice, never one twice running, and two learners differ', () => {
  const walk = (learner: number) => {
    const done: Tried[] = [];
    for (let i = 0; i < 15; i += 1) {
      const draw = nextExercise(done, { kinds: KINDS, learner });
      done.push({ draw, right: true });
    }
    return done.map(({ draw }) => draw);
  };
  const draws = walk(1);
  for (const round of [draws.slice(0, 5), draws.slice(5, 10)])
    expect(new Set(round.map(({ kind }) => kind)).size).toBe(5);
  draws.forEach(({ kind }, i) => expect(kind).not.toBe(draws[i - 1]?.kind));
  expect(draws.map(({ seed }) => seed)).not.toEqual(walk(2).map(({ seed }) => seed));
  expect(walk(1)).toEqual(draws);
  // one kind alone is asked again and again
  expect(nextExercise([tried('pins', true)], { kinds: ['pins'], learner: 1 }).kind).toBe('pins');
});

test('how far a kind is', () => {
  expect(standingOf([], 'pins')).toBe('new');
  expect(standingOf([tried('pins', false)], 'pins')).toBe('again');
  expect(standingOf([tried('pins', true)], 'pins')).toBe('going');
  const sure = [1, 1, 2, 2, 3].map((level) => tried('pins', true, level as Level));
  expect(standingOf(sure, 'pins')).toBe('sure');
});
