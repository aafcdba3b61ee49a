import { Input, Select } from 'antd';
import { useEffect, useState } from 'react';
import { RUN_STANDINGS } from '../../core/run/index.ts';
import type { JobMarks } from '../../core/wire/index.ts';
import type { JobFilter } from '../state/index.ts';

const KINDS = [
  { value: 'spur', label: 'gears' },
  { value: 'divide', label: 'dividing' },
  { value: 'wheel', label: 'worm drives' },
] as const;
const ORDERS = [
  { value: 'changed', label: 'changed last' },
  { value: 'made', label: 'newest first' },
  { value: 'name', label: 'by name' },
] as const;
const STANDINGS = Object.entries(RUN_STANDINGS).map(([value, label]) => ({ value, label }));
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
  // on a telephone the words are enough, until more is asked for
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
  const same = (word: string) => ({ value: word, label: word });
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
      {!more && (
        <button type="button" className="plain-button find-narrow" onClick={() => setMore(true)}>
          Narrow it down
        </button>
      )}
      <div className={`find-more ${more ? '' : 'is-folded'}`}>
        <Choice
          label="Kind"
          any="any kind"
          options={KINDS}
          value={filter.kind}
          onChange={(kind) => set({ kind })}
        />
        <Choice
          label="How it stands"
          any="however it stands"
          options={STANDINGS}
          value={filter.standing}
          onChange={(standing) => set({ standing: standing as JobFilter['standing'] })}
        />
        <Choice
          label="Material"
          any="any material"
          options={(kept?.materials ?? []).map(({ id, name }) => ({ value: id, label: name }))}
          value={filter.material}
          onChange={(material) => set({ material })}
        />
        <Choice
          label="For whom"
          any="for anyone"
          options={(kept?.persons ?? []).map(same)}
          value={filter.person}
          onChange={(person) => set({ person })}
        />
        <Choice
          label="Tag"
          any="any tag"
          options={(kept?.tags ?? []).map(same)}
          value={filter.tag}
          onChange={(tag) => set({ tag })}
        />
        <Select
          aria-label="Order"
          value={filter.order ?? 'changed'}
          options={[...ORDERS]}
          onChange={(order) => set({ order: order === 'changed' ? undefined : order })}
          popupMatchSelectWidth={false}
        />
      </div>
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly any: string;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly value: T | undefined;
  readonly onChange: (value: T | undefined) => void;
}

function Choice<T extends string>({ label, any, options, value, onChange }: ChoiceProps<T>) {
  if (options.length === 0 && value === undefined) return null;
  return (
    <Select<T | ''>
      aria-label={label}
      value={value ?? ''}
      options={[{ value: '', label: any }, ...options]}
      onChange={(chosen) => onChange(chosen === '' ? undefined : chosen)}
      popupMatchSelectWidth={false}
      className={value === undefined ? '' : 'is-chosen'}
    />
  );
}
