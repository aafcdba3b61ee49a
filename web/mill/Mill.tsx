import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  asksLanding,
  cycleOf,
  CYCLE_WORDS,
  INDEXED,
  paceOf,
  RUN_BACK,
  turnsOf,
} from '../../core/run/index.ts';
import { useKeys } from '../frame/index.ts';
import { LandingView, SpacesView, StrokeView } from '../scribe/index.ts';
import { usePreferences } from '../state/index.ts';
import { ChordSay, ScratchedSay, ScratchSay } from './AskSay.tsx';
import { CycleSteps, LandingAsk } from './CycleSteps.tsx';
import { MillOptions } from './MillOptions.tsx';
import { ClosingSay, depthSay, FirstSay, MoveSay } from './MoveSay.tsx';
import { SafeLine } from './SafeLine.tsx';
import { Trouble } from './Trouble.tsx';
import { useWakeLock } from './useWakeLock.ts';
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
  const [wrong, setWrong] = useState(false);
  const [options, setOptions] = useState(false);
  const { eachStep, largeType } = usePreferences();
  const wake = useWakeLock();
  const { next, last, closed, paused, takeBack, turnsMade, strokeMade, stepsMade, tried } = state;
  /** Where someone opened the check half-way; who has every step asked is stopped for it. */
  const [checking, setChecking] = useState<number | null>(null);
  const offered = state.asks === 'chord' && !eachStep && checking !== state.done;
  const asks = offered ? null : state.asks;
  const inDoubt = state.doubts.some(({ kind }) => kind !== 'events-missing');
  const mayCount = !paused && !inDoubt && !noting && !lost && !wrong && !options;
  /** Is the move to the next space the thing to do now? */
  const indexing = !run.helix || strokeMade === RUN_BACK;
  const steps = eachStep && next && last && !asks ? cycleOf(run) : [];
  /** A learner is asked where the pin stands, after the move and before the lock. */
  const landing = steps[stepsMade - 1] === 'move' && next !== null && asksLanding(next) && !state.landingTold;
  const scratched = tried?.fits === true && next?.round === 2 && last?.round === 1;
  const pace = paceOf(run, events, state);
  const card = `/jobs/${run.jobId}/${run.partId}/cut`;

  const done = () => {
    if (!mayCount || !next || asks || landing) return;
    const place = { round: next.round, index: next.index };
    // a helical gear is led through its return stroke before the next space is cut
    if (strokeMade < INDEXED) act({ kind: 'stroke', ...place, stage: strokeMade + 1 });
    else if (stepsMade < steps.length) act({ kind: 'step', ...place, step: stepsMade + 1 });
    else act({ kind: 'done', ...place });
  };
  const back = () => mayCount && takeBack.length > 0 && act({ kind: 'take-back', ids: takeBack });
  const turnMade = () => {
    if (mayCount && next && last && !asks && indexing && turnsMade < turnsOf(next.landing))
      act({ kind: 'turn', round: next.round, index: next.index, turn: turnsMade + 1 });
  };
  const resume = (reason: string) =>
    act({
      kind: 'resume',
      ids: state.pauses,
      ...(reason.trim() ? { reason: reason.trim().slice(0, 200) } : {}),
    });
  const pause = () => {
    if (closed) return;
    if (paused) resume('');
    else act({ kind: 'pause' });
  };
  useKeys({
    ' ': done,
    Enter: done,
    Backspace: back,
    t: turnMade,
    n: () => setNoting(true),
    w: () => setLost(true),
    x: () => setWrong(true),
    o: () => setOptions(true),
    p: pause,
    c: () => void navigate(card),
  });
  return (
    <main
      className={`mill on-dye${largeType ? ' is-large' : ''}`}
      // a tapped button must not keep the focus: Space is for the space just cut, not for that button again
      onClick={({ detail }) => detail > 0 && leaveButton()}
    >
      <MillHead
        run={run}
        state={state}
        link={link}
        onCard={() => void navigate(card)}
        onLost={() => setLost(true)}
        onWrong={() => setWrong(true)}
        onOptions={() => setOptions(true)}
        pace={pace}
      />
      <div className="mill-middle">
        <section className="mill-say" aria-live="polite">
          {inDoubt ? (
            <DoubtSay run={run} state={state} events={events} act={act} />
          ) : asks === 'scratch' && next ? (
            <ScratchSay run={run} state={state} next={next} onWrong={() => setWrong(true)} />
          ) : asks === 'chord' && last ? (
            <ChordSay run={run} last={last} act={act} />
          ) : scratched && next ? (
            <ScratchedSay next={next} depth={depthSay(run, next)} />
          ) : !last && next ? (
            <FirstSay run={run} cut={next} />
          ) : next && last && !indexing ? (
            <StrokeSay run={run} stage={strokeMade} next={next} last={last} />
          ) : next && last ? (
            <>
              {steps.length > 0 && <CycleSteps steps={steps} made={stepsMade} />}
              {landing ? (
                <LandingAsk next={next} act={act} />
              ) : (
                <MoveSay run={run} state={state} next={next} last={last} onTurn={turnMade} />
              )}
              {offered && (
                <button
                  type="button"
                  className="mill-tick mill-offer"
                  onClick={() => setChecking(state.done)}
                >
                  Half-way: check across while there is metal
                </button>
              )}
            </>
          ) : (
            <ClosingSay run={run} state={state} />
          )}
        </section>
        <div className="mill-plate">
          {next && last && !indexing && !inDoubt ? (
            <StrokeView stage={strokeMade} hand={run.helix?.hand ?? 'right'} />
          ) : (
            // the drawing would tell the hole that is asked for
            !landing && <MillDrawing run={run} state={state} />
          )}
        </div>
      </div>
      <div className="mill-lines">
        {!state.closed && <SafeLine run={run} />}
        <ProgressStrip run={run} state={state} />
      </div>
      <MillBar
        run={run}
        state={state}
        mayCount={mayCount}
        asks={asks}
        step={
          landing
            ? 'Say the hole first'
            : stepsMade < steps.length
              ? `${CYCLE_WORDS[steps[stepsMade]!].say.replace(/,.*/, '')}: done`
              : null
        }
        held={landing}
        on={{
          done,
          back,
          pause,
          note: () => setNoting(true),
          tried: (fits) => mayCount && act({ kind: 'tried', fits }),
          closing: (fits) => mayCount && act({ kind: 'closed', fits }),
          measure: () => void navigate(`/jobs/${run.jobId}/${run.partId}/inspect`),
          bench: () => void navigate('/'),
        }}
      />
      {paused && <Paused run={run} state={state} onResume={resume} />}
      <LostCount
        open={lost}
        run={run}
        state={state}
        events={events}
        act={act}
        onClose={() => setLost(false)}
      />
      <Trouble open={wrong} run={run} state={state} onClose={() => setWrong(false)} />
      <MillOptions open={options} wake={wake} keeps={link.keeps} onClose={() => setOptions(false)} />
      <NotePad
        open={noting}
        notes={state.notes}
        run={run}
        onClose={() => setNoting(false)}
        onNote={(text, reset) =>
          act({
            kind: 'note',
            round: (next ?? last)!.round,
            index: (next ?? last)!.index,
            text,
            ...(reset ? { reset } : {}),
          })
        }
      />
    </main>
  );
}

/** A field that is typed in keeps the focus: a Backspace there is for its figures, not for the last count. */
function leaveButton(): void {
  const here = document.activeElement;
  if (here instanceof HTMLElement && !here.matches('input, textarea, select')) here.blur();
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
