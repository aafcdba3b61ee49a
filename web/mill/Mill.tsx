import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { AT_STOPS, cutBefore, heed, progressOf, sayNow } from '../../core/prompts/index.ts';
import { paceOf, turnsOf, type Ended } from '../../core/run/index.ts';
import { Guard, useKeys } from '../frame/index.ts';
import { useDevices, usePreferences } from '../state/index.ts';
import { ChordSay } from './ChordSay.tsx';
import { ClosedSay, EndedSay, MarksOff } from './ClosedSay.tsx';
import { DoubtSay } from './DoubtSay.tsx';
import { EndRun } from './EndRun.tsx';
import { LostCount } from './LostCount.tsx';
import { MillBar } from './MillBar.tsx';
import { MillDrawing } from './MillDrawing.tsx';
import { MillHead } from './MillHead.tsx';
import { MillOptions } from './MillOptions.tsx';
import { NotePad } from './NotePad.tsx';
import { NowSay, PromptStrip } from './NowSay.tsx';
import { Paused } from './Paused.tsx';
import { ProgressStrip } from './ProgressStrip.tsx';
import { SafeLine } from './SafeLine.tsx';
import { TellHole } from './TellHole.tsx';
import { Trouble } from './Trouble.tsx';
import { useWakeLock } from './useWakeLock.ts';
import type { MillProps } from './millProps.ts';

const MillMotor = lazy(() => import('../devices/index.ts').then((module) => ({ default: module.MillMotor })));
const MillReadout = lazy(() =>
  import('../devices/index.ts').then((module) => ({ default: module.MillReadout })),
);

type Dialog = 'note' | 'lost' | 'wrong' | 'options' | 'end';

/**
 * The next thing to do in figures a person reads at two metres, and the one big thing to press when it is
 * done.
 */
export function Mill({ run, state, events, act, link }: MillProps) {
  const navigate = useNavigate();
  const [dialog, setDialog] = useState<Dialog | null>(null);
  const eachStep = usePreferences(({ eachStepOf }) => eachStepOf.includes(run.id));
  const holes = usePreferences((preferences) => preferences.holesAsked);
  const largeType = usePreferences((preferences) => preferences.largeType);
  const wake = useWakeLock();
  const hasDevices = useDevices().some(({ on, kind }) => on && kind !== 'tool');
  const { next, closed, ended, paused, takeBack, turnsMade, tried } = state;
  /** Where someone opened the check half-way; who has every step asked is stopped for it. */
  const [checking, setChecking] = useState<number | null>(null);
  const last = cutBefore(run, next);
  const progress = progressOf(run, state, eachStep ? { eachStep, holes } : AT_STOPS);
  const now = sayNow(run, { next }, progress);
  const main = now?.main ?? null;
  const chordDue = progress.prompts.some((prompt) => prompt.do === 'chord') && !state.answered;
  const measures = chordDue && (main?.do === 'chord' || checking === state.done);
  const asks = progress.now.at(-1) ?? null;
  const marksOff = asks?.do === 'marks' && tried?.fits === false;
  const inDoubt = state.doubts.some(({ kind }) => kind !== 'events-missing');
  const mayCount = !paused && !inDoubt && dialog === null;
  const turns = main?.do === 'turn' ? turnsOf(main.landing) : 0;
  const pace = paceOf(run, events, state);
  const card = `/jobs/${run.jobId}/${run.partId}/cut`;
  const asked = run.helix && !eachStep ? progress.prompts.filter(({ stop }) => stop) : progress.prompts;
  const strip = last !== null && next !== null && (eachStep || run.helix !== null) && asked.length > 1;

  const done = () => {
    if (!mayCount || !asks || ended || measures) return;
    const said = heed(run, state, asks);
    if (said) act(said);
  };
  const back = () => mayCount && takeBack.length > 0 && act({ kind: 'take-back', ids: takeBack });
  const turnMade = () => {
    if (mayCount && next && turnsMade < turns)
      act({ kind: 'turn', round: next.round, index: next.index, turn: turnsMade + 1 });
  };
  const resume = (reason: string) =>
    act({
      kind: 'resume',
      ids: state.pauses,
      ...(reason.trim() ? { reason: reason.trim().slice(0, 200) } : {}),
    });
  const pause = () => {
    if (closed || ended) return;
    if (paused) resume('');
    else act({ kind: 'pause' });
  };
  const end = (how: Ended['how'], reason: string) => {
    act({ kind: 'ended', how, reason: reason.trim() });
    setDialog(null);
    if (how === 'again') void navigate(`${card}?start=again`);
  };
  const open = (which: Dialog) => () => setDialog(which);
  const measure = () => void navigate(`/jobs/${run.jobId}/${run.partId}/inspect`);
  useKeys({
    ' ': done,
    Enter: done,
    Backspace: back,
    t: turnMade,
    n: open('note'),
    w: open('lost'),
    x: open('wrong'),
    o: open('options'),
    e: () => !closed && !ended && setDialog('end'),
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
        onLost={open('lost')}
        onWrong={open('wrong')}
        onOptions={open('options')}
        pace={pace}
      />
      <div className="mill-middle">
        <section className="mill-say" aria-live="polite">
          {ended ? (
            <EndedSay run={run} state={state} />
          ) : inDoubt ? (
            <DoubtSay run={run} state={state} events={events} act={act} />
          ) : closed ? (
            <ClosedSay run={run} fits={closed.fits} />
          ) : marksOff ? (
            <MarksOff onWrong={open('wrong')} />
          ) : measures && last ? (
            <ChordSay run={run} last={last} act={act} />
          ) : (
            now && (
              <>
                {strip && <PromptStrip run={run} progress={progress} asked={asked} />}
                {now.main.do === 'tell-hole' ? (
                  <TellHole run={run} prompt={now.main} state={state} act={act} />
                ) : (
                  <NowSay
                    now={now}
                    turns={turns}
                    made={turnsMade}
                    newRound={next !== null && last !== null && next.round !== last.round}
                    onTurn={turnMade}
                    onChord={chordDue && !eachStep ? () => setChecking(state.done) : null}
                  />
                )}
                {hasDevices && (
                  <Suspense fallback={null}>
                    <MillMotor
                      run={run}
                      state={state}
                      events={events}
                      now={paused ? [] : progress.now}
                      act={act}
                    />
                  </Suspense>
                )}
              </>
            )
          )}
        </section>
        <div className="mill-plate">
          <Guard what="The drawing" of={state}>
            <MillDrawing run={run} state={state} progress={progress} now={inDoubt || ended ? null : now} />
          </Guard>
        </div>
        {hasDevices && !closed && !ended && (
          <Suspense fallback={null}>
            <MillReadout run={run} now={progress.now} />
          </Suspense>
        )}
      </div>
      <div className="mill-lines">
        {/* the cutter goes over the work once more to be tried in: where it is clear is told to the end */}
        {!ended && <SafeLine run={run} round={(state.next ?? state.last)?.round ?? 1} />}
        <ProgressStrip run={run} state={state} />
      </div>
      <MillBar
        run={run}
        state={state}
        mayCount={mayCount}
        asks={measures ? 'chord' : (asks?.do ?? null)}
        label={now?.done ?? ''}
        small={asks?.do !== 'cut'}
        on={{
          done,
          back,
          pause,
          note: open('note'),
          tried: (fits) => mayCount && act({ kind: 'tried', fits }),
          closing: (fits) => mayCount && act({ kind: 'closed', fits }),
          measure,
          bench: () => void navigate('/'),
          again: () => void navigate(`${card}?start=again`),
        }}
      />
      {paused && <Paused run={run} state={state} now={now} onResume={resume} />}
      <LostCount
        open={dialog === 'lost'}
        run={run}
        state={state}
        events={events}
        act={act}
        onClose={() => setDialog(null)}
      />
      <Trouble
        // asked from marks that do not close, that is what was seen
        key={marksOff ? 'marks' : 'any'}
        seen={marksOff ? 'marks' : null}
        onMeasure={run.measured ? measure : null}
        open={dialog === 'wrong'}
        run={run}
        state={state}
        onClose={() => setDialog(null)}
        onEnd={closed || ended ? null : open('end')}
      />
      <EndRun open={dialog === 'end'} run={run} onClose={() => setDialog(null)} onEnd={end} />
      <MillOptions
        open={dialog === 'options'}
        runId={run.id}
        wake={wake}
        keeps={link.keeps}
        onEnd={closed || ended ? null : open('end')}
        onClose={() => setDialog(null)}
      />
      <NotePad
        open={dialog === 'note'}
        notes={state.notes}
        run={run}
        at={(next ?? last)!}
        onClose={() => setDialog(null)}
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
