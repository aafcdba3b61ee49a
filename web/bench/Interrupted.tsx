import { Link } from 'react-router';
import type { JobListing } from '../../core/wire/index.ts';

/** The job that was left in the middle, with the very next thing to do. */
export function Interrupted({ job }: { readonly job: JobListing }) {
  const run = job.run!;
  const { done, total, paused, inDoubt } = run.summary;
  const share = total === 0 ? 0 : done / total;
  return (
    <>
      <p className="bench-eyebrow">{paused ? 'Paused at the mill' : 'Interrupted at the mill'}</p>
      <h2 className="bench-job">{job.name}</h2>
      <p className="bench-quiet">{job.line}</p>
      {run.now && (
        <div className="bench-move">
          <p className="bench-quiet">{run.now.lead}</p>
          <p className="bench-figure">{run.now.figure}</p>
          {run.now.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      )}
      {inDoubt && <p className="bench-doubt">The count is in doubt: the mill screen will ask.</p>}
      <div className="bench-bar" role="img" aria-label={`${done} of ${total} cuts made`}>
        <span style={{ width: `${share * 100}%` }} />
      </div>
      <p className="bench-quiet">
        {done} of {total} cuts made
      </p>
      <Link className="next-thing" to={`/runs/${run.id}`}>
        <span>Go on at the mill</span>
        <span>
          {done} / {total}
          <span className="key-hint"> &nbsp;M</span>
        </span>
      </Link>
    </>
  );
}
