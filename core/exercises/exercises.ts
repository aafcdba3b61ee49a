import { z } from 'zod';
import { chanceFrom, seedFrom } from './chance.ts';
import { KINDS } from './kinds/index.ts';
import type { Answers, Drawn, Level, Posed, Topic, Verdicts } from './types.ts';

export type ExerciseId = keyof typeof KINDS;
export const EXERCISE_IDS = Object.keys(KINDS) as [ExerciseId, ...ExerciseId[]];

/** Which exercise it is: the same three make the same exercise, anywhere. */
export const drawSchema = z
  .object({
    kind: z.enum(EXERCISE_IDS),
    seed: z.int().min(0).max(0xffffffff),
    level: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  })
  .readonly();
export type Draw = z.infer<typeof drawSchema>;

export interface Exercise extends Posed {
  readonly draw: Draw;
  readonly topic: Topic;
  readonly title: string;
}

const drawn = (kind: ExerciseId): Drawn => KINDS[kind];
export const topicOf = (kind: ExerciseId): Topic => drawn(kind).topic;
export const titleOf = (kind: ExerciseId): string => drawn(kind).title;

/** Numbers that make no exercise are drawn again; so often has never been needed. */
const MOST_DRAWS = 400;

/** An exercise from its seed. @throws where no numbers make one: a fault of the kind, never of who asks */
export function poseExercise(draw: Draw): Exercise {
  const { kind, seed, level } = draw;
  const { pose, topic, title } = drawn(kind);
  for (let again = 0; again < MOST_DRAWS; again += 1) {
    const posed = pose(chanceFrom(seedFrom(kind, seed, level, again)), level);
    if (posed) return { ...posed, draw, topic, title };
  }
  throw new Error(`no numbers make ${kind} at level ${level}`);
}

/** An exercise as marked. */
export interface Marked {
  readonly right: boolean;
  /** Was anything left empty or unreadable? Then it counts as not tried. */
  readonly unread: boolean;
  /** The usual slips that were recognised, in words. */
  readonly slips: readonly string[];
  readonly verdicts: Verdicts;
}

export function markExercise(exercise: Posed, answers: Answers): Marked {
  const verdicts = exercise.judge(answers);
  const all = Object.values(verdicts);
  const slips = all.flatMap((verdict) => (verdict.state === 'slip' ? [verdict.says] : []));
  return {
    right: all.every(({ state }) => state === 'right'),
    unread: all.some(({ state }) => state === 'unread'),
    slips: [...new Set(slips)],
    verdicts,
  };
}

/** A slip by what it is, without the figures it was made with: what several learners have in common. */
export const slipName = (says: string): string =>
  says
    .split(/[.:]/)[0]!
    .replace(/\d+([.,′°]\d+)*[′″°]?/g, '…')
    .trim();

export const LONGEST_ANSWER = 200;
/** Answers as they are sent: whatever was typed, bounded. */
export const answersSchema = z.record(z.string().max(40), z.string().max(LONGEST_ANSWER)).readonly();

export type { Level };
