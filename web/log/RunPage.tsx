import { Link } from 'react-router';
import { outcomeOf, OUTCOMES } from '../../core/run/index.ts';
import { lengthText, plural } from '../../core/units/index.ts';
import type { LogPage as Page } from '../../core/wire/index.ts';
import { dayText, minutesText, Notice, ListTable } from '../frame/index.ts';
import { Pictures } from '../pictures/index.ts';
import { useLogPage } from '../state/index.ts';
import { MeasuredTable } from './MeasuredTable.tsx';
import { Learnt } from './Learnt.tsx';

/** One run as it was: plan, times, notes, checks, readings; and what is to be learnt from it. */
export function RunPage({ runId }: { readonly runId: string }) {
  const page = useLogPage(runId);
  if (page.isError) return <Notice tone="wrong">{page.error.message}</Notice>;
  if (!page.data) return <p className="soft">…</p>;
  return <PageOf page={page.data} />;
}

function PageOf({ page }: { readonly page: Page }) {
  const { digest, jobId, partId, onCard, continuedBy, deepenedBy, now } = page;
  const { notes, interruptions, checks, measured } = digest;
  return (
    <article className="run-page">
      <header>
        <h2>{digest.jobName}</h2>
        <p>
          {digest.gear}
          {digest.piece.kind === 'proof' && ', proof piece'}
          {digest.piece.name && `, ${digest.piece.name}`}
        </p>
        <p className="soft">
          Started {dayText(page.startedAt)}. <Link to={`/jobs/${jobId}/${partId}`}>Its card</Link>{' '}
          <Link to={`/runs/${page.runId}`}>At the mill</Link>
        </p>
        {digest.continues && (
          <p>
            Goes on with <Link to={`/log/${digest.continues}`}>the run before it</Link>, under another plan.
          </p>
        )}
        {digest.deepens && (
          <p>
            Sinks the gear of <Link to={`/log/${digest.deepens.runId}`}>the run before it</Link>{' '}
            {lengthText(digest.deepens.by, digest.units, 'fine')} deeper.
          </p>
        )}
        {deepenedBy.map((id) => (
          <p key={id}>
            Sunk deeper in <Link to={`/log/${id}`}>another run</Link>.
          </p>
        ))}
        {now && (
          <p>
            Next: {now.lead} <b>{now.figure}</b>. {now.lines.join(' ')}
          </p>
        )}
        {continuedBy.map((id) => (
          <p key={id}>
            Gone on with in <Link to={`/log/${id}`}>another run</Link>.
          </p>
        ))}
      </header>
      <dl className="values">
        <Pair name="Ended">
          {OUTCOMES[outcomeOf(digest)]}
          {digest.ended?.reason && `: ${digest.ended.reason}`}
        </Pair>
        <Pair name="Cuts">
          {digest.done} of {digest.total}
        </Pair>
        <Pair name="A cut took">
          {digest.perCut === null ? 'not known' : `${Math.round(digest.perCut)} s`}
        </Pair>
        <Pair name="Time counted">{minutesText(digest.counted)}</Pair>
        <Pair name="Taken back">{digest.takenBack}</Pair>
        {digest.scratch !== null && (
          <Pair name="Scratch round">{digest.scratch ? 'closed' : 'did not close'}</Pair>
        )}
        {digest.byMotor && (
          <Pair name={`Sent by ${digest.byMotor.by}`}>
            {plural(digest.byMotor.moves, 'move')},{' '}
            {digest.byMotor.there === digest.byMotor.moves
              ? 'each came to rest where it was sent'
              : `${digest.byMotor.there} came to rest where they were sent`}
          </Pair>
        )}
        {digest.asked > 0 && (
          <Pair name="Landing holes asked">
            {digest.asked}, {digest.wrong} wrong
          </Pair>
        )}
      </dl>
      <h3>The plan as it was cut</h3>
      <ListTable file="run-as-cut">
        <tbody>
          {digest.card.map(({ number, title, answer }) => (
            <tr key={title}>
              <td className="num">{number}</td>
              <td>{title}</td>
              <td>{answer}</td>
            </tr>
          ))}
          <tr>
            <td />
            <td>Move</td>
            <td>
              {digest.move}
              {digest.head && <span className="soft">, {digest.head}</span>}
            </td>
          </tr>
        </tbody>
      </ListTable>
      {measured.map((one) => (
        <MeasuredTable key={one.at} title={`Measured ${dayText(one.at)}`} record={one} units={digest.units} />
      ))}
      {onCard && (
        <>
          <MeasuredTable title="Measured, as its card has it now" record={onCard} units={digest.units} />
          <p className="soft">
            Not written with this run yet: that is done at{' '}
            <Link to={`/jobs/${jobId}/${partId}/inspect`}>Inspect</Link>.
          </p>
        </>
      )}
      {checks.length > 0 && (
        <>
          <h3>Checked half-way</h3>
          <ul>
            {checks.map(({ at, space, read, chord, good, by }) => (
              <li key={at}>
                After no. {space}:{' '}
                {read
                  ? `${read.map((mm) => lengthText(mm, digest.units, 'fine')).join(' and ')}, should be ${chord === null ? '?' : lengthText(chord, digest.units, 'fine')}: ${good ? 'good' : 'off'}`
                  : 'passed over'}
                {by && `, by ${by}`}
              </li>
            ))}
          </ul>
        </>
      )}
      <Pictures about={`run/${page.runId}`} of={digest.jobName} />
      {notes.length > 0 && (
        <>
          <h3>Notes</h3>
          <ul>
            {notes.map(({ at, space, text, reset }, i) => (
              <li key={`${at}${i}`}>
                At no. {space}: {reset && <b>set again. </b>}
                {text} <span className="soft">{dayText(at)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {interruptions.length > 0 && (
        <>
          <h3>{plural(interruptions.length, 'interruption')}</h3>
          <ul>
            {interruptions.map(({ at, reason, seconds }) => (
              <li key={at}>
                {dayText(at)}
                {reason && `: ${reason}`}
                {seconds !== null && `, ${minutesText(seconds)}`}
              </li>
            ))}
          </ul>
        </>
      )}
      <Learnt page={page} />
    </article>
  );
}

function Pair({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
