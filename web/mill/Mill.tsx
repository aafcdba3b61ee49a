import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useKeys } from '../frame/index.ts';
import { PlateView } from '../scribe/index.ts';
import { ClosingSay, FirstSay, MoveSay } from './MoveSay.tsx';
import { DoubtSay } from './DoubtSay.tsx';
import { MillHead } from './MillHead.tsx';
import { NotePad } from './NotePad.tsx';
import { Paused } from './Paused.tsx';
import { ProgressStrip } from './ProgressStrip.tsx';
import type { MillProps } from './millProps.ts';

/** The next move in figures a person reads at two metres, and the one big thing to press when it is done. */
export function Mill({ run, state, events, act, link }: MillProps) {
  const navigate = useNavigate();
  const [noting, setNoting] = useState(false);
  const { next, last, closed, paused, takeBack, turnsMade } = state;
  const inDoubt = state.doubts.some(({ kind }) => kind !== 'events-missing');
  const mayCount = !paused && !inDoubt && !noting;

  const done = () => mayCount && next && act({ kind: 'done', round: next.round, index: next.index });
  const back = () => mayCount && takeBack.length > 0 && act({ kind: 'take-back', ids: takeBack });
  const turnMade = () => {
    if (mayCount && next && last && turnsMade < run.move.turns)
      act({ kind: 'turn', round: next.round, index: next.index, turn: turnsMade + 1 });
  };
  const pause = () => {
    if (closed) return;
    if (paused) act({ kind: 'resume', ids: state.pauses });
    else act({ kind: 'pause' });
  };
  useKeys({
    ' ': done,
    Enter: done,
    Backspace: back,
    t: turnMade,
    n: () => setNoting(true),
    p: pause,
    c: () => void navigate(`/jobs/${run.jobId}/${run.partId}/cut`),
  });

  const { circle, spaces, turns } = run.move;
  const from = last?.hole ?? 0;
  const to = next ? next.hole : (from + spaces) % circle;
  const circles = run.head.plates.find(({ id }) => id === run.move.plateId)?.sides[run.move.side]
    ?.circles ?? [circle];
  return (
    <main
      className="mill on-dye"
      // a tapped button must not keep the focus: Space is for the space just cut, not for that button again
      onClick={({ detail }) => detail > 0 && (document.activeElement as HTMLElement | null)?.blur()}
    >
      <MillHead
        run={run}
        state={state}
        link={link}
        onCard={() => void navigate(`/jobs/${run.jobId}/${run.partId}/cut`)}
      />
      <div className="mill-middle">
        <section className="mill-say" aria-live="polite">
          {inDoubt ? (
            <DoubtSay run={run} state={state} events={events} act={act} />
          ) : !last && next ? (
            <FirstSay run={run} cut={next} />
          ) : next && last ? (
            <MoveSay run={run} state={state} next={next} last={last} onTurn={turnMade} />
          ) : (
            <ClosingSay run={run} state={state} landing={to} />
          )}
        </section>
        <div className="mill-plate">
          <PlateView
            circles={circles}
            move={{ circle, turns: last ? turns : 0, spaces: last ? spaces : 0, from, to }}
            large
            label={`Plate ${run.move.plateName}: pin in hole ${from}, lands in hole ${to} of ${circle}`}
          />
        </div>
      </div>
      <ProgressStrip run={run} state={state} />
      <footer className="mill-bar">
        <button
          type="button"
          className="mill-button"
          onClick={back}
          disabled={!mayCount || takeBack.length === 0}
        >
          Take back<small>Backspace</small>
        </button>
        {next ? (
          <button type="button" className="mill-button mill-done" onClick={done} disabled={!mayCount}>
            Space {next.space} cut<small>tap anywhere here, or Space</small>
          </button>
        ) : closed ? (
          <button type="button" className="mill-button mill-done" onClick={() => void navigate('/')}>
            Back to the bench
          </button>
        ) : (
          <div className="mill-closing">
            <button
              type="button"
              className="mill-button mill-done"
              onClick={() => mayCount && act({ kind: 'closed', fits: true })}
              disabled={!mayCount}
            >
              It drops in
            </button>
            <button
              type="button"
              className="mill-button mill-wrong"
              onClick={() => mayCount && act({ kind: 'closed', fits: false })}
              disabled={!mayCount}
            >
              It does not
            </button>
          </div>
        )}
        <button type="button" className="mill-button" onClick={() => setNoting(true)}>
          Note<small>N</small>
        </button>
        <button type="button" className="mill-button" onClick={pause} disabled={closed !== null}>
          {paused ? 'Resume' : 'Pause'}
          <small>P</small>
        </button>
      </footer>
      {paused && <Paused run={run} state={state} onResume={pause} />}
      <NotePad
        open={noting}
        notes={state.notes}
        cuts={run.cuts}
        divisions={run.divisions}
        onClose={() => setNoting(false)}
        onNote={(text) =>
          act({ kind: 'note', round: (next ?? last)!.round, index: (next ?? last)!.index, text })
        }
      />
    </main>
  );
}
