import { useEffect, useState } from 'react';
import { roundName } from '../../core/prompts/index.ts';
import type { Pace } from '../../core/run/index.ts';
import { timeText } from '../../core/setup/index.ts';
import { lengthText } from '../../core/units/index.ts';
import type { MillProps } from './millProps.ts';

function useClock(): string {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), 10_000);
    return () => clearInterval(timer);
  }, []);
  return now.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
}

/** Which job, which round, how many left, and whether every count is stored. */
export function MillHead({
  run,
  state,
  link,
  onCard,
  onLost,
  onWrong,
  onOptions,
  pace,
}: Pick<MillProps, 'run' | 'state' | 'link'> & {
  readonly onCard: () => void;
  readonly onLost: () => void;
  readonly onWrong: () => void;
  readonly onOptions: () => void;
  readonly pace: Pace;
}) {
  const clock = useClock();
  const cut = state.next ?? state.last!;
  const round = run.rounds[cut.round - 1]!;
  const left = state.total - state.done;
  return (
    <header className="mill-head">
      <h1>{run.jobName}</h1>
      {(run.piece.kind === 'proof' || run.piece.name) && (
        <span className="mill-piece">
          {run.piece.kind === 'proof' ? 'proof piece' : ''}
          {run.piece.kind === 'proof' && run.piece.name ? ': ' : ''}
          {run.piece.name}
        </span>
      )}
      <span>{run.gear}</span>
      <span>
        {roundName(run, cut.round)}
        {round.depthMm !== null && `, ${lengthText(round.depthMm, run.units, 'fine')} deep`}
      </span>
      <span className="mill-head-right">
        <span>
          {left === 0 ? 'none left' : `${left} left`}
          {left > 0 &&
            pace.minutesLeft !== null &&
            `, about ${timeText(pace.minutesLeft)}${pace.by === 'set-up' ? ' by the set-up' : ''}`}
        </span>
        <LinkSay link={link} missing={state.doubts.some(({ kind }) => kind === 'events-missing')} />
        <span className="mill-clock">{clock}</span>
        <button type="button" className="mill-card-button" onClick={onLost}>
          Lost? <small className="key-hint">W</small>
        </button>
        <button type="button" className="mill-card-button" onClick={onWrong}>
          Wrong? <small className="key-hint">X</small>
        </button>
        <button type="button" className="mill-card-button" onClick={onOptions}>
          Screen <small className="key-hint">O</small>
        </button>
        <button type="button" className="mill-card-button" onClick={onCard}>
          Card <small className="key-hint">C</small>
        </button>
      </span>
    </header>
  );
}

function LinkSay({ link, missing }: { readonly link: MillProps['link']; readonly missing: boolean }) {
  if (link.refused) return <span className="mill-link is-wrong">✕ {link.refused}</span>;
  if (missing) return <span className="mill-link is-wrong">? another screen’s counts are on their way</span>;
  if (!link.keeps)
    return (
      <span className="mill-link is-wrong">
        ? this browser keeps nothing: a count shows once the server has it
      </span>
    );
  if (link.link === 'away' && link.trouble)
    return (
      <span className="mill-link is-wrong">
        ? {link.trouble} {link.waiting > 0 ? `${link.waiting} kept here.` : 'Counts are kept here.'}
      </span>
    );
  if (link.link === 'away') {
    return (
      <span className="mill-link is-wrong">
        {link.waiting > 0
          ? `? server away, ${link.waiting} kept here`
          : '? server away, counts are kept here'}
      </span>
    );
  }
  return <span className="mill-link">{link.waiting > 0 ? 'storing…' : '✓ stored'}</span>;
}
