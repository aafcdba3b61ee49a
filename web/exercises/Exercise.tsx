import { Button, Input } from 'antd';
import { lazy, Suspense, useEffect, useId, useMemo, useRef } from 'react';
import {
  LONGEST_ANSWER,
  markExercise,
  poseExercise,
  TOPICS,
  type AskedField,
  type Exercise as Posed,
  type Verdict,
} from '../../core/exercises/index.ts';
import { useLearning, type InHand } from './kept.ts';

const WorkingLines = lazy(() =>
  import('../tex/index.ts').then((module) => ({ default: module.WorkingLines })),
);

const LEVEL_WORDS = { 1: 'plain figures', 2: 'as in the shop', 3: 'awkward ones' } as const;

/** One exercise: what is asked, what is given, the fields, how it was marked. */
export function Exercise({ inHand, onNext }: { readonly inHand: InHand; readonly onNext: () => void }) {
  const { draw, answers, marked } = inHand;
  const exercise = useMemo(() => poseExercise(draw), [draw]);
  const result = useMemo(() => marked && markExercise(exercise, marked), [exercise, marked]);
  const { type, mark } = useLearning();
  const done = result?.right === true || inHand.workingShown;
  /** A verdict holds for what was marked, not for what is being typed over it. */
  const verdictOf = (key: string): Verdict | null =>
    marked && (marked[key] ?? '') === (answers[key] ?? '') ? (result?.verdicts[key] ?? null) : null;
  const together = sameOf(exercise.fields.map(({ key }) => verdictOf(key)));
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    form.current?.querySelector<HTMLInputElement>('input[type="text"]')?.focus();
  }, [draw]);
  return (
    <form
      ref={form}
      className="exercise"
      onSubmit={(event) => {
        event.preventDefault();
        if (done) onNext();
        else mark();
      }}
    >
      <p className="exercise-kind">
        {TOPICS[exercise.topic]} · {exercise.title} <span>{LEVEL_WORDS[draw.level]}</span>
      </p>
      <h1>{exercise.asks}</h1>
      {exercise.given.length > 0 && (
        <dl className="exercise-given">
          {exercise.given.map(({ label, text }) => (
            <div key={label}>
              <dt>{label}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </dl>
      )}
      <div className="exercise-fields">
        {exercise.fields.map((field) => (
          <Field
            key={field.key}
            field={field}
            typed={answers[field.key] ?? ''}
            verdict={verdictOf(field.key)}
            isTold={together === null}
            onType={(typed) => type(field.key, typed)}
          />
        ))}
      </div>
      {together && <Said verdict={together} />}
      <Deeds done={done} right={result?.right ?? false} inHand={inHand} />
      <Board exercise={exercise} inHand={inHand} done={done} />
    </form>
  );
}

function Deeds({
  done,
  right,
  inHand,
}: {
  readonly done: boolean;
  readonly right: boolean;
  readonly inHand: InHand;
}) {
  const { showHint, showWorking } = useLearning();
  return (
    <>
      <div className="exercise-deeds">
        <Button type="primary" htmlType="submit" size="large">
          {done ? 'Next' : 'Mark it'}
        </Button>
        {!done && !inHand.hintShown && (
          <button type="button" className="plain-button" onClick={showHint}>
            A hint
          </button>
        )}
        {!inHand.workingShown && (
          <button type="button" className="plain-button" onClick={showWorking}>
            {done ? 'Show the working' : 'Show me how'}
          </button>
        )}
      </div>
      <p className="exercise-said" role="status">
        {right && <b className="is-right">✓ Right.</b>}
        {right && inHand.counted && !inHand.workingShown ? ' Enter goes on.' : ''}
      </p>
    </>
  );
}

/** What is said of all the fields alike, and so once. */
function sameOf(verdicts: readonly (Verdict | null)[]): Verdict | null {
  const told = verdicts.filter((verdict) => verdict !== null);
  const [first] = told;
  if (!first || told.length < 2 || first.state === 'right' || first.state === 'unread') return null;
  return told.every((one) => one.state !== 'right' && one.says === first.says) ? first : null;
}

const SIGNS = { right: '✓', slip: '≈', wrong: '×', unread: '?' } as const;

function Field({
  field,
  typed,
  verdict,
  isTold,
  onType,
}: {
  readonly field: AskedField;
  readonly typed: string;
  readonly verdict: Verdict | null;
  /** Not where it is told of all the fields at once. */
  readonly isTold: boolean;
  readonly onType: (typed: string) => void;
}) {
  const id = useId();
  const saysId = `${id}-says`;
  const isWrong = verdict !== null && verdict.state !== 'right';
  const says = verdict && isTold && <Said id={saysId} verdict={verdict} />;
  if (field.options)
    return (
      <fieldset className="exercise-field">
        <legend>{field.label}</legend>
        <div className="exercise-options">
          {field.options.map(({ value, text }) => (
            <label key={value}>
              <input
                type="radio"
                name={id}
                value={value}
                checked={typed === value}
                onChange={() => onType(value)}
              />
              {text}
            </label>
          ))}
        </div>
        {says}
      </fieldset>
    );
  return (
    <div className="exercise-field">
      <label htmlFor={id}>{field.label}</label>
      <Input
        id={id}
        value={typed}
        maxLength={LONGEST_ANSWER}
        size="large"
        autoComplete="off"
        aria-invalid={isWrong}
        aria-describedby={verdict ? saysId : undefined}
        suffix={field.unit && <span className="unit">{field.unit}</span>}
        onChange={(event) => onType(event.target.value)}
      />
      {field.like && <p className="soft exercise-like">{field.like}</p>}
      {says}
    </div>
  );
}

function Said({ id, verdict }: { readonly id?: string; readonly verdict: Verdict }) {
  return (
    <p id={id} className={`exercise-verdict is-${verdict.state}`}>
      <span aria-hidden="true">{SIGNS[verdict.state]}</span>{' '}
      {verdict.state === 'right' ? 'right' : verdict.says}
    </p>
  );
}

/** What the teacher writes on the board: the hint, then the working with the answer. */
function Board({
  exercise,
  inHand,
  done,
}: {
  readonly exercise: Posed;
  readonly inHand: InHand;
  readonly done: boolean;
}) {
  const { hintShown, workingShown } = inHand;
  if (!workingShown && (!hintShown || done)) return null;
  const units = exercise.fields.some(({ unit }) => unit === 'in') ? 'in' : 'mm';
  return (
    <section className="exercise-board" aria-label={workingShown ? 'How it is worked' : 'Hint'}>
      <p>{exercise.hint}</p>
      {workingShown && (
        <>
          <p className="exercise-answer">
            <span>Answer</span> {exercise.answer}
          </p>
          {exercise.working.length > 0 && (
            <Suspense fallback={<p>Chalking it up…</p>}>
              <WorkingLines working={exercise.working} units={units} />
            </Suspense>
          )}
        </>
      )}
    </section>
  );
}
