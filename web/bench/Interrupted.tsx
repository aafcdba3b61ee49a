import { Link } from 'react-router';
import type { JobListing } from '../../core/wire/index.ts';

/** Where a helical gear was left between two spaces, but for its move of the crank, which is said in figures. */
const LEFT_AT: Readonly<Partial<Record<number, { readonly figure: string; readonly why: string }>>> = {
  0: { figure: 'draw clear', why: 'The last space is cut; the cutter may still stand in it.' },
  1: { figure: 'run back', why: 'The cutter is clear.' },
  3: { figure: 'go in', why: 'It is indexed; the cutter is still clear.' },
};

/** The job that was left in the middle, with the very next thing to do. */
export function Interrupted({ job }: { readonly job: JobListing }) {
  const run = job.run!;
  const { next, done, total, paused, inDoubt } = run.summary;
  const first = next?.index === 1 && next.round === 1;
  const left = run.helical && !first ? LEFT_AT[run.summary.strokeMade ?? 3] : undefined;
  const share = total === 0 ? 0 : done / total;
  return (
    <>
      <p className="bench-eyebrow">{paused ? 'Paused at the mill' : 'Interrupted at the mill'}</p>
      <h2 className="bench-job">{job.name}</h2>
      <p className="bench-quiet">{job.line}</p>
      {next ? (
        <div className="bench-move">
          <p className="bench-quiet">Next, space {next.space}:</p>
          <p className="bench-figure">{first ? 'the first cut' : (left?.figure ?? run.next?.how)}</p>
          <p>{first ? 'Everything stands at its start.' : (left?.why ?? run.next?.lands)}</p>
        </div>
      ) : (
        <div className="bench-move">
          <p className="bench-figure">Closing move</p>
          <p>All spaces are cut. The cutter must drop into the first one.</p>
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
          {done} / {total} &nbsp;M
        </span>
      </Link>
    </>
  );
}
