import { Input } from 'antd';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { JobMarks } from '../../core/wire/index.ts';
import type { JobFilter } from '../state/index.ts';

const NarrowDown = lazy(() => import('./NarrowDown.tsx').then((module) => ({ default: module.NarrowDown })));

const TYPING_MS = 250;

interface FindJobsProps {
  readonly filter: JobFilter;
  readonly set: (change: JobFilter) => void;
  /** What there is to choose from; null while not known. */
  readonly marks: JobMarks | null;
}

/** Words to look for, and what else jobs are told apart by; what no job here has is not offered. */
export function FindJobs({ filter, set, marks }: FindJobsProps) {
  const [kept, setKept] = useState(marks);
  if (marks && marks !== kept) setKept(marks);
  const { words = '' } = filter;
  // the words are enough, until more is asked for
  const [more, setMore] = useState(() =>
    Object.keys(filter).some((name) => name !== 'words' && name !== 'archived'),
  );
  const [typed, setTyped] = useState(words);
  const [asked, setAsked] = useState(words);
  // the words were changed from elsewhere: by Back, or with everything that was looked for
  if (asked !== words) {
    setAsked(words);
    setTyped(words);
  }
  useEffect(() => {
    if (typed === words) return;
    const timer = setTimeout(() => {
      setAsked(typed);
      set({ words: typed });
    }, TYPING_MS);
    return () => clearTimeout(timer);
  }, [typed, words, set]);
  return (
    <div className="find-jobs" role="search">
      <Input
        size="large"
        aria-label="Find a job"
        placeholder="Find: name, teeth, head, person, tag"
        value={typed}
        maxLength={200}
        onChange={({ target }) => setTyped(target.value)}
        allowClear
        className="find-words"
      />
      {more ? (
        <Suspense fallback={<div className="find-more" />}>
          <NarrowDown filter={filter} set={set} marks={kept} />
        </Suspense>
      ) : (
        <button type="button" className="plain-button find-narrow" onClick={() => setMore(true)}>
          Narrow it down
        </button>
      )}
    </div>
  );
}
