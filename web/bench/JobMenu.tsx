import { Dropdown, Input, Modal, type MenuProps } from 'antd';
import { lazy, Suspense, useState } from 'react';
import type { JobListing } from '../../core/wire/index.ts';
import { api, newId, queryClient } from '../state/index.ts';
import { MoreButton } from './MoreButton.tsx';

const MarksDialog = lazy(() =>
  import('../marks/index.ts').then((module) => ({ default: module.MarksDialog })),
);

interface JobMenuProps {
  readonly job: JobListing;
  /** Hears why something was not done; null as it is tried. */
  readonly onFail: (why: string | null) => void;
}

/** What can be done to a job from the bench. It comes when it is first asked for, and opens at once. */
export function JobMenu({ job, onFail }: JobMenuProps) {
  const [open, setOpen] = useState(true);
  const [marking, setMarking] = useState(false);
  const [naming, setNaming] = useState<string | null>(null);

  const act = async (work: () => Promise<unknown>) => {
    onFail(null);
    try {
      await work();
    } catch (error) {
      onFail((error as Error).message);
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
    <>
      <Dropdown menu={{ items: menu }} trigger={['click']} open={open} onOpenChange={setOpen}>
        <MoreButton job={job} autoFocus />
      </Dropdown>
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
    </>
  );
}
