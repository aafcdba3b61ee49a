export { seedFrom } from './chance.ts';
export {
  answersSchema,
  drawSchema,
  EXERCISE_IDS,
  LONGEST_ANSWER,
  markExercise,
  poseExercise,
  slipName,
  titleOf,
  topicOf,
  type Draw,
  type Exercise,
  type ExerciseId,
  type Marked,
} from './exercises.ts';
export { levelOf, nextExercise, standingOf, type Standing, type Tried } from './progress.ts';
export {
  LEVELS,
  TOPICS,
  type Answers,
  type AskedField,
  type Level,
  type Topic,
  type Verdict,
} from './types.ts';
export { exercisesOf, MOST_EACH, type SheetAsked } from './worksheet.ts';
