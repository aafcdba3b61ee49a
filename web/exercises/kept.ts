import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import {
  answersSchema,
  drawSchema,
  EXERCISE_IDS,
  markExercise,
  nextExercise,
  poseExercise,
  type Answers,
  type Draw,
  type ExerciseId,
  type Tried,
} from '../../core/exercises/index.ts';
import type { LearnerStands } from '../../core/wire/index.ts';
import { newId } from '../state/index.ts';

/** An exercise in hand: what is typed, how often it was marked, what was shown of it. */
export interface InHand {
  readonly draw: Draw;
  readonly answers: Answers;
  /** As they were when it was last marked; null before. */
  readonly marked: Answers | null;
  /** Does it stand in the list already? Only the first marking, or giving up, counts. */
  readonly counted: boolean;
  readonly hintShown: boolean;
  readonly workingShown: boolean;
}

const triedSchema = z.object({ draw: drawSchema, right: z.boolean() });
const inHandSchema = z.object({
  draw: drawSchema,
  answers: answersSchema,
  marked: answersSchema.nullable(),
  counted: z.boolean(),
  hintShown: z.boolean(),
  workingShown: z.boolean(),
});
const classroomSchema = z.object({
  token: z.string(),
  name: z.string(),
  figures: z.string(),
  given: z.object({
    name: z.string(),
    kinds: z.array(z.enum(EXERCISE_IDS)),
    jobId: z.string().nullable(),
  }),
});
const ownSchema = z.object({ learner: z.int().min(0), tried: z.array(triedSchema) });
const keptSchema = ownSchema.extend({
  inHand: inHandSchema.nullable(),
  classroom: classroomSchema.nullable(),
  own: ownSchema.nullable(),
  outbox: z.array(z.object({ id: z.string(), draw: drawSchema, answers: answersSchema })),
});

/** A class that was joined on this browser. */
export interface Classroom {
  readonly token: string;
  readonly name: string;
  readonly figures: string;
  readonly given: {
    readonly name: string;
    readonly kinds: readonly ExerciseId[];
    readonly jobId: string | null;
  };
}

/** A try on its way to the class: kept until the server has it. */
export interface Sending {
  readonly id: string;
  readonly draw: Draw;
  readonly answers: Answers;
}

interface Learning {
  /** Whose numbers they are: drawn once for this browser, or the class’s for this learner. */
  readonly learner: number;
  readonly tried: readonly Tried[];
  readonly inHand: InHand | null;
  readonly classroom: Classroom | null;
  /** What was tried before a class was joined. */
  readonly own: { readonly learner: number; readonly tried: readonly Tried[] } | null;
  readonly outbox: readonly Sending[];
  join(stands: LearnerStands): void;
  leave(): void;
  sent(id: string): void;
  take(draw: Draw): void;
  type(key: string, typed: string): void;
  mark(): void;
  showHint(): void;
  /** Shows the working: what was not marked yet counts as not right. */
  showWorking(): void;
  forget(): void;
}

/** More than anybody is asked; a browser’s store is small. */
const MOST = 2000;

const fresh = (draw: Draw): InHand => ({
  draw,
  answers: {},
  marked: null,
  counted: false,
  hintShown: false,
  workingShown: false,
});

const newLearner = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;

/** What counts, counts once: in the list, and on its way to the class. */
function count(now: Learning, right: boolean): Partial<Learning> {
  const { tried, inHand, classroom, outbox } = now;
  if (!inHand || inHand.counted) return {};
  const { draw, answers } = inHand;
  return {
    tried: [...tried, { draw, right }].slice(-MOST),
    outbox: classroom ? [...outbox, { id: newId(), draw, answers: right ? answers : wrongly(now) }] : [],
  };
}

/** Whoever asks to be shown how has not answered, whatever stands in the fields. */
const wrongly = ({ inHand }: Learning): Answers =>
  inHand && markExercise(poseExercise(inHand.draw), inHand.answers).right ? {} : (inHand?.answers ?? {});

const ofClass = ({ token, name, figures, class: given }: LearnerStands): Classroom => ({
  token,
  name,
  figures,
  given,
});

/** What one person practises on this browser, by itself. */
export const useLearning = create<Learning>()(
  persist(
    (set) => ({
      learner: newLearner(),
      tried: [],
      inHand: null,
      classroom: null,
      own: null,
      outbox: [],
      join: (stands) =>
        set(({ learner, tried, own, classroom, inHand, outbox }) => {
          const again = classroom?.token === stands.token;
          return {
            classroom: ofClass(stands),
            learner: stands.seed,
            // what has not arrived yet was tried all the same
            tried: again && outbox.length > 0 ? tried : stands.tried,
            own: classroom ? own : { learner, tried },
            inHand: again ? inHand : null,
            outbox: again ? outbox : [],
          };
        }),
      leave: () =>
        set(({ own }) => ({
          classroom: null,
          own: null,
          outbox: [],
          inHand: null,
          ...(own ?? { learner: newLearner(), tried: [] }),
        })),
      sent: (id) => set(({ outbox }) => ({ outbox: outbox.filter((one) => one.id !== id) })),
      take: (draw) => set({ inHand: fresh(draw) }),
      type: (key, typed) =>
        set(({ inHand }) =>
          inHand ? { inHand: { ...inHand, answers: { ...inHand.answers, [key]: typed } } } : {},
        ),
      mark: () =>
        set((now) => {
          const { inHand } = now;
          if (!inHand) return {};
          const { right, unread } = markExercise(poseExercise(inHand.draw), inHand.answers);
          const marked = { ...inHand, marked: inHand.answers };
          // what cannot be read is no try
          if (unread) return { inHand: marked };
          return { ...count(now, right), inHand: { ...marked, counted: true } };
        }),
      showHint: () => set(({ inHand }) => (inHand ? { inHand: { ...inHand, hintShown: true } } : {})),
      showWorking: () =>
        set((now) =>
          now.inHand
            ? { ...count(now, false), inHand: { ...now.inHand, counted: true, workingShown: true } }
            : {},
        ),
      forget: () => set({ tried: [], inHand: null, learner: newLearner() }),
    }),
    {
      name: 'vuelta-exercises',
      version: 1,
      partialize: ({ learner, tried, inHand, classroom, own, outbox }) => ({
        learner,
        tried,
        inHand,
        classroom,
        own,
        outbox,
      }),
      // what another version left, or somebody wrote there, is read or left
      merge: (kept, now) => {
        const read = keptSchema.safeParse(kept);
        return read.success ? { ...now, ...read.data } : now;
      },
    },
  ),
);

/** What comes next for this person. @param kinds of a class; all, where they are left out */
export const nextFor = (
  { learner, tried }: Pick<Learning, 'learner' | 'tried'>,
  kinds?: readonly ExerciseId[],
): Draw => nextExercise(tried, kinds && kinds.length > 0 ? { kinds, learner } : { learner });
