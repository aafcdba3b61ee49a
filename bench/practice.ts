import { EXERCISE_IDS, markExercise, poseExercise, type ExerciseId } from '../core/exercises/index.ts';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { plan } from '../core/plan/index.ts';
import { benchOf, demonstrate, type PracticeBench } from '../core/practice/index.ts';
import { runWouldBe } from '../core/run/index.ts';
import { STOCK_EQUIPMENT } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import { report as told } from './measure.ts';

const jobOf = (teeth: number) =>
  withSpurPart(
    drawnSpurJob({ id: 'g', name: 'G', pitch: '1', teeth, face: '12', bore: '8' }),
    'p1',
    (part) => ({ ...part, setup: { ...part.setup, cutterDiameter: measure('60', 'mm') } }),
  );

function benchFor(teeth: number): PracticeBench {
  const job = jobOf(teeth);
  const planned = plan(job, STOCK_EQUIPMENT);
  const run = runWouldBe({ job, planned, shop: STOCK_EQUIPMENT, revision: 1 }, planned.parts[0]!);
  const bench = run && benchOf(planned.parts[0]!, run);
  if (!bench?.ok) throw new Error(`no bench for ${teeth} teeth`);
  return bench.value;
}

const FRAME_MS = 1000 / 60;

const ms = (time: number): string => `${time.toFixed(2)} ms`;

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** Milliseconds that each cut of a whole gear takes, performed as the prompts say. */
function cutTimes(bench: PracticeBench): number[] {
  const times: number[] = [];
  let last = performance.now();
  for (const { told: came } of demonstrate(bench)) {
    const now = performance.now();
    if (came.some(({ what }) => what === 'cut')) times.push(now - last);
    last = now;
  }
  return times;
}

/** Drawing and marking exercises of every kind, the slowest kind told, beside a frame of the screen. */
function benchExercises(): boolean {
  const answered = (exercise: ReturnType<typeof poseExercise>) =>
    Object.fromEntries(exercise.fields.map(({ key, answer }) => [key, answer]));
  const once = (kind: ExerciseId, seed: number): number => {
    const started = performance.now();
    const exercise = poseExercise({ kind, seed, level: 2 });
    markExercise(exercise, answered(exercise));
    return performance.now() - started;
  };
  const times = EXERCISE_IDS.map((kind) => {
    for (let seed = 0; seed < 10; seed += 1) once(kind, seed);
    return { kind, time: median(Array.from({ length: 15 }, (_, i) => once(kind, 100 + i))) };
  }).sort((a, b) => b.time - a.time);
  const [slowest] = times;
  return told(
    `an exercise drawn and marked, the slowest kind (${slowest!.kind}), beside a frame of the screen`,
    slowest!.time / FRAME_MS,
    { atMost: 1 },
    `${ms(slowest!.time)} : ${ms(FRAME_MS)}; half of the kinds within ${ms(times[times.length >> 1]!.time)}`,
  );
}

/** A whole gear beside a plan of it, and the last cuts of a large one beside its first. */
export function benchPractice(): boolean {
  const sixty = benchFor(60);
  cutTimes(sixty);
  const whole = median(
    Array.from({ length: 5 }, () => {
      const started = performance.now();
      cutTimes(sixty);
      return performance.now() - started;
    }),
  );
  const job = jobOf(60);
  const planning = median(
    Array.from({ length: 60 }, () => {
      const fresh = { ...job, parts: job.parts.map((part) => ({ ...part })) };
      const started = performance.now();
      plan(fresh, STOCK_EQUIPMENT);
      return performance.now() - started;
    }),
  );
  const gear = told(
    'a gear of 60 teeth cut on the practice bench, beside a plan of it',
    whole / planning,
    { atMost: 100 },
    `${ms(whole)} : ${ms(planning)}`,
  );
  const times = cutTimes(benchFor(390));
  const [first, last] = [median(times.slice(2, 22)), median(times.slice(-20))];
  const late = told(
    'the last cuts of 390 teeth, beside the first',
    last / first,
    { atMost: 2 },
    `${ms(last)} : ${ms(first)}`,
  );
  return benchExercises() && gear && late;
}
