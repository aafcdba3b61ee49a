import { Button, Checkbox, Dropdown, Input, Modal, type MenuProps } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { RUN_STANDINGS } from '../../core/run/index.ts';
import type { JobListing } from '../../core/wire/index.ts';
import { Notice } from '../frame/index.ts';
import { api, newId, queryClient } from '../state/index.ts';

const MarksDialog = lazy(() =>
  import('../marks/index.ts').then((module) => ({ default: module.MarksDialog })),
);

const ENDED = { 'given-up': 'ended', scrapped: 'scrapped', again: 'to be begun again' } as const;

/** How far a job is, and the words for it: as it stands, with the figures of its newest run. */
function progress({ run, standing }: JobListing): { word: string; share: number } {
  if (!run) return { word: RUN_STANDINGS['not-cut'], share: 0 };
  const { done, total, ended, next, paused } = run.summary;
  const word = () => {
    switch (standing) {
      case 'ended':
        return `${ENDED[ended?.how ?? 'given-up']}, ${done} of ${total}`;
      case 'does-not-close':
        return `${RUN_STANDINGS[standing]}: look at it`;
      case 'cutting':
        return next ? `${paused ? 'paused' : 'cutting'}, ${done} of ${total}` : 'closing move to make';
      default:
        return RUN_STANDINGS[standing];
    }
  };
  return { word: word(), share: done / total };
}

interface JobRowProps {
  readonly job: JobListing;
  /** Is it one of several that are dealt with at once? Null: one at a time. */
  readonly ticked: boolean | null;
  readonly onTick: (id: string, on: boolean) => void;
  /** Looks for all that have this tag. */
  readonly onTag: (tag: string) => void;
}

/** One job on the bench, with what can be done to it. */
export function JobRow({ job, ticked, onTick, onTag }: JobRowProps) {
  const [marking, setMarking] = useState(false);
  const [naming, setNaming] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const { word, share } = progress(job);

  const act = async (work: () => Promise<unknown>) => {
    setFailed(null);
    try {
      await work();
    } catch (error) {
      setFailed((error as Error).message);
    }
    await queryClient.invalidateQueries({ queryKey: ['jobs'] });
  };
  const rename = async () => {
    const name = naming?.trim();
    if (!name) return;
    setNaming(null);
    if (name !== job.name) await act(() => api.changeJob(job.id, { revision: job.revision, name }));
  };
  const menu: MenuProps['items'] = [
    { key: 'rename', label: 'Rename', onClick: () => setNaming(job.name) },
    {
      key: 'duplicate',
      label: 'Duplicate',
      onClick: () => void act(() => api.duplicateJob(job.id, newId(), `${job.name}, copy`.slice(0, 120))),
    },
    { key: 'marks', label: 'Tags and person', onClick: () => setMarking(true) },
    { key: 'export', label: <a href={api.exportAddress(job.id)}>Export as a file</a> },
    {
      key: 'archive',
      label: job.archived ? 'Take out again' : 'Put away',
      onClick: () =>
        void act(() => api.changeJob(job.id, { revision: job.revision, archived: !job.archived })),
    },
  ];
  return (
    <li className="job-row">
      {ticked !== null && (
        <Checkbox
          aria-label={`Take ${job.name} too`}
          checked={ticked}
          onChange={({ target }) => onTick(job.id, target.checked)}
          className="job-tick"
        />
      )}
      <Link to={`/jobs/${job.id}`} className="job-link">
        <span className="job-name">{job.name}</span>
        <span className="job-line">{job.line}</span>
        <span className="job-word">{word}</span>
        <span className="job-bar" aria-hidden="true">
          <span style={{ width: `${share * 100}%` }} />
        </span>
      </Link>
      {(job.tags.length > 0 || job.person !== '') && (
        <span className="job-marks">
          {job.person !== '' && <span>for {job.person}</span>}
          {job.tags.map((tag) => (
            <button key={tag} type="button" className="job-tag" onClick={() => onTag(tag)}>
              {tag}
            </button>
          ))}
        </span>
      )}
      <Dropdown menu={{ items: menu }} trigger={['click']}>
        <Button type="text" aria-label={`More for ${job.name}`} className="job-more">
          More
        </Button>
      </Dropdown>
      {job.trouble && <Notice tone="query">{job.trouble}</Notice>}
      {failed && <Notice tone="wrong">{failed}</Notice>}
      {marking && (
        <Suspense fallback={null}>
          <MarksDialog
            jobs={[job]}
            onSave={async (marksOf) => {
              setMarking(false);
              await act(() => api.changeJob(job.id, { revision: job.revision, ...marksOf(job) }));
            }}
            onClose={() => setMarking(false)}
          />
        </Suspense>
      )}
      <Modal
        open={naming !== null}
        title="Rename the job"
        okText="Rename"
        onOk={() => void rename()}
        onCancel={() => setNaming(null)}
        okButtonProps={{ disabled: !naming?.trim() }}
        destroyOnHidden
      >
        <Input
          aria-label="Name"
          value={naming ?? ''}
          maxLength={120}
          autoFocus
          onChange={(event) => setNaming(event.target.value)}
          onPressEnter={() => void rename()}
        />
      </Modal>
    </li>
  );
}
