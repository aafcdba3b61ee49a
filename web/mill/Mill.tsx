import { useState } from 'react';
import { useNavigate } from 'react-router';
import { INDEXED, RUN_BACK, turnsOf } from '../../core/run/index.ts';
import { useKeys } from '../frame/index.ts';
import { LandingView, SpacesView, StrokeView } from '../scribe/index.ts';
import { ClosingSay, FirstSay, MoveSay } from './MoveSay.tsx';
import { StrokeSay } from './StrokeSay.tsx';
import { DoubtSay } from './DoubtSay.tsx';
import { LostCount } from './LostCount.tsx';
import { MillBar } from './MillBar.tsx';
import { MillHead } from './MillHead.tsx';
import { NotePad } from './NotePad.tsx';
import { Paused } from './Paused.tsx';
import { ProgressStrip } from './ProgressStrip.tsx';
import type { MillProps } from './millProps.ts';

/** The next move in figures a person reads at two metres, and the one big thing to press when it is done. */
export function Mill({ run, state, events, act, link }: MillProps) {
  const navigate = useNavigate();
  const [noting, setNoting] = useState(false);
  const [lost, setLost] = useState(false);
  const { next, last, closed, paused, takeBack, turnsMade, strokeMade } = state;
  const inDoubt = state.doubts.some(({ kind }) => kind !== 'events-missing');
  const mayCount = !paused && !inDoubt && !noting && !lost;
  /** Is the move to the next space the thing to do now? */
  const indexing = !run.helix || strokeMade === RUN_BACK;
  const card = `/jobs/${run.jobId}/${run.partId}/cut`;

  const done = () => {
    if (!mayCount || !next) return;
    const place = { round: next.round, index: next.index };
    // a helical gear is led through its return stroke before the next space is cut
    if (strokeMade < INDEXED) act({ kind: 'stroke', ...place, stage: strokeMade + 1 });
    else act({ kind: 'done', ...place });
  };
  const back = () => mayCount && takeBack.length > 0 && act({ kind: 'take-back', ids: takeBack });
  const turnMade = () => {
    if (mayCount && next && last && indexing && turnsMade < turnsOf(next.landing))
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
    w: () => setLost(true),
    p: pause,
    c: () => void navigate(card),
  });
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
        onCard={() => void navigate(card)}
        onLost={() => setLost(true)}
      />
      <div className="mill-middle">
        <section className="mill-say" aria-live="polite">
          {inDoubt ? (
            <DoubtSay run={run} state={state} events={events} act={act} />
          ) : !last && next ? (
            <FirstSay run={run} cut={next} />
          ) : next && last && !indexing ? (
            <StrokeSay run={run} stage={strokeMade} next={next} last={last} />
          ) : next && last ? (
            <MoveSay run={run} state={state} next={next} last={last} onTurn={turnMade} />
          ) : (
            <ClosingSay run={run} state={state} />
          )}
        </section>
        <div className="mill-plate">
          {next && last && !indexing && !inDoubt ? (
            <StrokeView stage={strokeMade} hand={run.helix?.hand ?? 'right'} />
          ) : (
            <MillDrawing run={run} state={state} />
          )}
        </div>
      </div>
      <ProgressStrip run={run} state={state} />
      <MillBar
        run={run}
        state={state}
        mayCount={mayCount}
        on={{
          done,
          back,
          pause,
          note: () => setNoting(true),
          closing: (fits) => mayCount && act({ kind: 'closed', fits }),
          bench: () => void navigate('/'),
        }}
      />
      {paused && <Paused run={run} state={state} onResume={pause} />}
      <LostCount
        open={lost}
        run={run}
        state={state}
        events={events}
        act={act}
        onClose={() => setLost(false)}
      />
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

/** What the move is made and read on; for a motor, where the work stands. */
function MillDrawing({ run, state }: Pick<MillProps, 'run' | 'state'>) {
  const { next, last } = state;
  const to = next?.landing ?? run.closing ?? last!.landing;
  if (to.on === 'steps') {
    const space = next?.space ?? 1;
    return (
      <SpacesView
        spaces={run.divisions}
        step={360 / run.divisions}
        along="turn"
        at={space}
        label={`Space ${space} of ${run.divisions} is next`}
      />
    );
  }
  // a round that begins afresh has nothing behind it
  const afresh = next !== null && last !== null && next.round !== last.round && !run.full;
  return (
    <LandingView
      choice={run.move}
      head={run.head}
      landing={to}
      from={afresh ? null : (last?.landing ?? null)}
      large
    />
  );
}
