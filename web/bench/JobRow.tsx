import { Checkbox } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { RUN_STANDINGS } from '../../core/run/index.ts';
import type { JobListing } from '../../core/wire/index.ts';
import { Notice } from '../frame/index.ts';
import { MoreButton } from './MoreButton.tsx';

/** What is seldom wanted comes when it is: a bench is opened far oftener than a job is renamed. */
const JobMenu = lazy(() => import('./JobMenu.tsx').then((module) => ({ default: module.JobMenu })));

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
  const [opened, setOpened] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const { word, share } = progress(job);
  const more = <MoreButton job={job} onClick={() => setOpened(true)} />;
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
      {opened ? (
        <Suspense fallback={more}>
          <JobMenu job={job} onFail={setFailed} />
        </Suspense>
      ) : (
        more
      )}
      {job.trouble && <Notice tone="query">{job.trouble}</Notice>}
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </li>
  );
}
