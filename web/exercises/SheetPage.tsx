import { Button, InputNumber, Segmented } from 'antd';
import { lazy, Suspense, useId, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  EXERCISE_IDS,
  exercisesOf,
  LEVELS,
  MOST_EACH,
  TOPICS,
  type Exercise,
  type Level,
} from '../../core/exercises/index.ts';
import { plural } from '../../core/units/index.ts';
import { Fold, useTitle } from '../frame/index.ts';
import { KindsChosen } from './KindsChosen.tsx';
import './exercises.css';
import './classes.css';
import './sheet.css';

const WorkingLines = lazy(() =>
  import('../tex/index.ts').then((module) => ({ default: module.WorkingLines })),
);

const MOST_NUMBER = 9999;
const LEVEL_WORDS: Readonly<Record<Level, string>> = { 1: 'plain', 2: 'as in the shop', 3: 'awkward' };

const within = (text: string | null, least: number, most: number): number => {
  const number = Math.round(Number(text ?? least));
  return Number.isFinite(number) ? Math.min(most, Math.max(least, number)) : least;
};

/** What stands in the address: the same address is the same sheet. */
function useSheet() {
  const [search, setSearch] = useSearchParams();
  const kinds = search.get('kinds')?.split(',') ?? [];
  const asked = EXERCISE_IDS.filter((id) => kinds.includes(id));
  const set = (name: string, value: string) =>
    setSearch(
      (now) => {
        now.set(name, value);
        return now;
      },
      { replace: true },
    );
  return {
    number: within(search.get('number'), 1, MOST_NUMBER),
    level: within(search.get('level'), 1, 3) as Level,
    each: within(search.get('each'), 1, MOST_EACH),
    isKey: search.get('show') === 'key',
    kinds: asked.length > 0 ? asked : EXERCISE_IDS,
    set,
  };
}

/** Exercises on paper, and apart from them the key with its working: the same from the same number. */
export function SheetPage() {
  const { number, level, each, isKey, kinds, set } = useSheet();
  useTitle(isKey ? `Key to sheet ${number}` : `Exercises, sheet ${number}`);
  const exercises = useMemo(
    () => exercisesOf({ seed: number, level, kinds, each }),
    [number, level, kinds, each],
  );
  const id = useId();
  return (
    <main className="paper-sheet">
      <header className="paper-tools">
        <Link to="/exercises">← Exercises</Link>
        <label htmlFor={id}>Sheet</label>
        <InputNumber
          id={id}
          min={1}
          max={MOST_NUMBER}
          value={number}
          onChange={(value) => set('number', String(value ?? 1))}
        />
        <Segmented
          aria-label="How hard"
          value={level}
          options={LEVELS.map((value) => ({ value, label: LEVEL_WORDS[value] }))}
          onChange={(value) => set('level', String(value))}
        />
        <span>of each kind</span>
        <Segmented
          aria-label="Of each kind"
          value={each}
          options={Array.from({ length: MOST_EACH }, (_, i) => ({ value: i + 1, label: String(i + 1) }))}
          onChange={(value) => set('each', String(value))}
        />
        <Segmented
          aria-label="What is printed"
          value={isKey ? 'key' : 'sheet'}
          options={[
            { value: 'sheet', label: 'Exercises' },
            { value: 'key', label: 'Key with working' },
          ]}
          onChange={(value) => set('show', value)}
        />
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
        <Fold className="class-kinds" summary={plural(kinds.length, 'kind')}>
          <KindsChosen
            chosen={kinds}
            onChange={(chosen) => chosen.length > 0 && set('kinds', chosen.join(','))}
          />
        </Fold>
      </header>
      <h1>
        {isKey ? 'Key to sheet' : 'Exercises, sheet'} {number}
        <span>{LEVEL_WORDS[level]}</span>
      </h1>
      {!isKey && (
        <p className="paper-name">
          Name <i className="paper-line" /> Date <i className="paper-line" />
        </p>
      )}
      <ol className="paper-list">
        {exercises.map((exercise, i) => (
          <OnPaper key={i} exercise={exercise} isKey={isKey} />
        ))}
      </ol>
    </main>
  );
}

function OnPaper({ exercise, isKey }: { readonly exercise: Exercise; readonly isKey: boolean }) {
  const { asks, given, fields, topic, title, answer, working } = exercise;
  const units = fields.some(({ unit }) => unit === 'in') ? 'in' : 'mm';
  return (
    <li>
      <p className="paper-kind">
        {TOPICS[topic]} · {title}
      </p>
      <p>{asks}</p>
      {given.length > 0 && (
        <dl>
          {given.map(({ label, text }) => (
            <div key={label}>
              <dt>{label}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </dl>
      )}
      {isKey ? (
        <>
          <p className="paper-answer">{answer}</p>
          {working.length > 0 && (
            <Suspense fallback={null}>
              <WorkingLines working={working} units={units} />
            </Suspense>
          )}
        </>
      ) : (
        <p className="paper-fields">
          {fields.map(({ key, label, unit, options }) => (
            <span key={key}>
              {label}{' '}
              {options ? (
                options.map(({ value, text }) => (
                  <span key={value}>
                    <i className="paper-box" /> {text}
                  </span>
                ))
              ) : (
                <i className="paper-line" />
              )}{' '}
              {unit}
            </span>
          ))}
        </p>
      )}
    </li>
  );
}
