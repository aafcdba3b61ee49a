import { useShallow } from 'zustand/react/shallow';
import { newId } from '../state/index.ts';
import { dropDraft, useDraft } from '../edits/index.ts';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { Notice } from '../frame/index.ts';

/** What is stored and what is not, always in sight. */
export function SaveLine() {
  const { save, job, revision, open, edit, flush } = useDraft(
    useShallow(({ save, job, revision, open, edit, flush }) => ({ save, job, revision, open, edit, flush })),
  );
  const navigate = useNavigate();
  if (!job) return null;

  const mineAsNew = () => {
    const copy = { ...job, id: newId(), name: `${job.name}, mine`.slice(0, 120) };
    dropDraft(job.id);
    open(copy, 0);
    edit((now) => ({ ...now }));
    void navigate(`/jobs/${copy.id}`);
  };
  switch (save.kind) {
    case 'stored':
      return (
        <p className="save-line">{revision === 0 ? 'Not stored yet: type the first figure.' : '✓ Stored'}</p>
      );
    case 'waiting':
      return <p className="save-line">Storing…</p>;
    case 'refused':
      return (
        <Notice tone="wrong" word="Not stored.">
          One of the figures cannot be used. The last good version stays stored; what you typed stays in this
          browser.
        </Notice>
      );
    case 'away':
      return (
        <Notice tone="query" word="Server away.">
          What you type is kept in this browser and stored as soon as it answers.
        </Notice>
      );
    case 'failed':
      return (
        <Notice
          tone="wrong"
          word="Not stored."
          actions={<Button onClick={() => void flush()}>Try again</Button>}
        >
          {save.message}
        </Notice>
      );
    case 'conflict':
      return (
        <Notice
          tone="wrong"
          word="Changed on another screen."
          actions={
            <>
              <Button onClick={() => dropDraft(job.id)}>Show the stored one</Button>
              <Button onClick={mineAsNew}>Keep mine as a job beside it</Button>
            </>
          }
        >
          This job was stored from somewhere else in the meantime. Both versions are kept.
        </Notice>
      );
  }
}
