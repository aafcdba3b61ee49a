import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select } from 'antd';
import { useId, useState } from 'react';
import { EXERCISE_IDS, type ExerciseId } from '../../core/exercises/index.ts';
import type { ClassBody } from '../../core/wire/index.ts';
import { Fold, Notice } from '../frame/index.ts';
import { api, keys } from '../state/index.ts';
import { KindsChosen } from './KindsChosen.tsx';

interface ClassFormProps {
  readonly given?: {
    readonly name: string;
    readonly kinds: readonly ExerciseId[];
    readonly jobId: string | null;
  };
  readonly deed: string;
  readonly onGive: (body: ClassBody) => Promise<unknown>;
}

/** What a class is called, which exercises it has, which job each of it rehearses. */
export function ClassForm({ given, deed, onGive }: ClassFormProps) {
  const [name, setName] = useState(given?.name ?? '');
  const [kinds, setKinds] = useState<readonly ExerciseId[]>(
    given && given.kinds.length > 0 ? given.kinds : EXERCISE_IDS,
  );
  const [jobId, setJobId] = useState<string | null>(given?.jobId ?? null);
  const [why, setWhy] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  const id = useId();
  const filter = { words: sought, limit: 30 };
  const jobs = useQuery({
    queryKey: keys.jobs({ ...filter, of: 'class' }),
    queryFn: () => api.listJobs(filter),
  });
  const give = async () => {
    const all = kinds.length === EXERCISE_IDS.length;
    await onGive({ name, kinds: all ? [] : [...kinds], jobId }).catch((error: Error) =>
      setWhy(error.message),
    );
  };
  return (
    <form
      className="class-form"
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
    >
      <div className="exercise-field">
        <label htmlFor={`${id}name`}>Name of the class</label>
        <Input
          id={`${id}name`}
          value={name}
          size="large"
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
        />
      </div>
      <Fold
        className="class-kinds"
        summary={
          kinds.length === EXERCISE_IDS.length
            ? `All ${EXERCISE_IDS.length} kinds of exercises`
            : `${kinds.length} of ${EXERCISE_IDS.length} kinds of exercises`
        }
      >
        <KindsChosen chosen={kinds} onChange={setKinds} />
      </Fold>
      <div className="exercise-field">
        <label htmlFor={`${id}job`}>A job to rehearse, each on a head of their own</label>
        <Select
          id={`${id}job`}
          allowClear
          showSearch
          filterOption={false}
          onSearch={setSought}
          placeholder="none"
          value={jobId}
          options={(jobs.data?.jobs ?? []).map((job) => ({ value: job.id, label: job.name }))}
          onChange={(value) => setJobId(value ?? null)}
          style={{ width: '100%' }}
        />
      </div>
      {why && <Notice tone="wrong">{why}</Notice>}
      <Button type="primary" htmlType="submit" size="large" disabled={!name.trim() || kinds.length === 0}>
        {deed}
      </Button>
    </form>
  );
}
