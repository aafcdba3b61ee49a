import { Select } from 'antd';
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
interface NarrowDownProps {
  readonly filter: JobFilter;
  readonly set: (change: JobFilter) => void;
  /** What there is to choose from; null while not known. */
  readonly marks: JobMarks | null;
}

const same = (word: string) => ({ value: word, label: word });

/** What else than words jobs are told apart by, and their order. */
export function NarrowDown({ filter, set, marks }: NarrowDownProps) {
  return (
    <div className="find-more">
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
        options={(marks?.materials ?? []).map(({ id, name }) => ({ value: id, label: name }))}
        value={filter.material}
        onChange={(material) => set({ material })}
      />
      <Choice
        label="For whom"
        any="for anyone"
        options={(marks?.persons ?? []).map(same)}
        value={filter.person}
        onChange={(person) => set({ person })}
      />
      <Choice
        label="Tag"
        any="any tag"
        options={(marks?.tags ?? []).map(same)}
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
