import { Input, Modal, Select, type RefSelectProps } from 'antd';
import { useId, useRef, useState } from 'react';
import { MOST_TAGS, tagsSchema } from '../../core/job/index.ts';
import { plural } from '../../core/units/index.ts';

interface Marked {
  readonly name: string;
  readonly person: string;
  readonly tags: readonly string[];
}
interface Marks {
  readonly person: string;
  readonly tags: string[];
}

interface MarksDialogProps<Job extends Marked> {
  readonly jobs: readonly Job[];
  /** What each job has from now on. */
  readonly onSave: (marksOf: (job: Job) => Marks) => void | Promise<void>;
  readonly onClose: () => void;
}

const LONGEST_TAG = 40;

/** What is wrong with tags, in a sentence; null where nothing is. */
function wrongWith(tags: readonly string[]): string | null {
  if (tags.length > MOST_TAGS) return `${tags.length} tags are too many: at most ${MOST_TAGS} on one job.`;
  const long = tags.find((tag) => tag.length > LONGEST_TAG);
  if (long)
    return `“${long.slice(0, 24)}…” is too long: a tag is a word or two, at most ${LONGEST_TAG} letters.`;
  return tagsSchema.safeParse(tags).success ? null : 'A tag is a word or two on one line, each once.';
}

/**
 * Whose a job is, and the words it is found by. Of several jobs: those all of them have are shown, what is
 * taken away goes from each, what is added comes to each; what only some have stays with them.
 */
export function MarksDialog<Job extends Marked>({ jobs, onSave, onClose }: MarksDialogProps<Job>) {
  const id = useId();
  const field = useRef<RefSelectProps>(null);
  const [one] = jobs;
  const common = (one?.tags ?? []).filter((tag) => jobs.every(({ tags }) => tags.includes(tag)));
  const person = jobs.every((job) => job.person === one?.person) ? (one?.person ?? '') : null;
  const [tags, setTags] = useState<readonly string[]>(common);
  const [forWhom, setForWhom] = useState(person);
  const tagsOf = (job: Job) => [
    ...new Set([...job.tags.filter((tag) => !common.includes(tag) || tags.includes(tag)), ...tags]),
  ];
  const wrong = jobs.map((job) => wrongWith(tagsOf(job))).find((words) => words !== null) ?? null;
  return (
    <Modal
      open
      title={jobs.length === 1 ? one!.name : plural(jobs.length, 'job')}
      okText="Keep"
      okButtonProps={{ disabled: wrong !== null }}
      onOk={() => void onSave((job) => ({ person: forWhom?.trim() ?? job.person, tags: tagsOf(job) }))}
      onCancel={onClose}
      // the dialog itself would give the focus to its way out
      afterOpenChange={(open) => open && field.current?.focus()}
    >
      <div className="field">
        <label htmlFor={`${id}-tags`}>Tags</label>
        <Select
          id={`${id}-tags`}
          ref={field}
          mode="tags"
          open={false}
          suffixIcon={null}
          value={[...tags]}
          tokenSeparators={[',', ';', '\n']}
          onChange={(given: string[]) =>
            setTags([...new Set(given.map((tag) => tag.trim()).filter(Boolean))])
          }
          status={wrong ? 'error' : ''}
          style={{ width: '100%' }}
          placeholder="orrery, brass, to be collected"
          aria-describedby={`${id}-said`}
        />
        <div className="field-said" id={`${id}-said`} aria-live="polite">
          {wrong ? (
            <div className="field-issue is-wrong">✕ {wrong}</div>
          ) : (
            <div className="field-echo">Words to find it by; a comma ends one.</div>
          )}
        </div>
      </div>
      <div className="field">
        <label htmlFor={`${id}-person`}>For whom, or whose</label>
        <Input
          id={`${id}-person`}
          value={forWhom ?? ''}
          maxLength={80}
          onChange={({ target }) => setForWhom(target.value)}
          placeholder={forWhom === null ? 'several: left as they are' : ''}
          autoComplete="off"
        />
      </div>
    </Modal>
  );
}
