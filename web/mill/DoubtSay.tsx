import { useState } from 'react';
import { dividedName, wordsOfDivided } from '../../core/cut/index.ts';
import { capital } from '../../core/units/index.ts';
import { roundName } from '../../core/prompts/index.ts';
import { reconcile } from '../../core/run/index.ts';
import type { MillProps } from './millProps.ts';

/** The count does not add up: says why, and asks the one who can see the gear. */
export function DoubtSay({ run, state, events, act }: Omit<MillProps, 'link'>) {
  const [chosen, setChosen] = useState<number | null>(null);
  const cutsDone =
    chosen ??
    Math.max(0, state.doneCuts.indexOf(false) === -1 ? state.total : state.doneCuts.lastIndexOf(true) + 1);
  const { one, done } = wordsOfDivided(run.divides);
  const cut = cutsDone > 0 ? run.cuts[cutsDone - 1]! : null;
  const step = (by: number) => setChosen(Math.min(state.total, Math.max(0, cutsDone + by)));
  return (
    <div className="mill-doubt" role="alertdialog" aria-label="The count is in doubt">
      <p className="mill-lead is-wrong">? The count is in doubt</p>
      {state.doubts.map((doubt) => (
        <p key={doubt.kind} className="mill-from">
          {doubt.kind === 'gap' &&
            `${capital(dividedName(run, doubt.beyond.space))} is counted, and ${dividedName(run, doubt.missing.space)} before it is not.`}
          {doubt.kind === 'two-screens' &&
            `Two screens counted without knowing of each other: ${doubt.cuts.map(({ space }) => dividedName(run, space)).join(', ')}.`}
          {doubt.kind === 'events-missing' &&
            'Another screen has counts that have not arrived here yet. Bring it near the network first.'}
        </p>
      ))}
      <p className="mill-from">
        Look at the work: which {one} was {done} last?
      </p>
      <div className="mill-stepper">
        <button type="button" onClick={() => step(-1)} aria-label="One back">
          −
        </button>
        <output>
          {cut
            ? `${dividedName(run, cut.space)}${run.rounds.length > 1 ? `, ${roundName(run, cut.round)}` : ''}`
            : 'none yet'}
        </output>
        <button type="button" onClick={() => step(1)} aria-label="One on">
          +
        </button>
      </div>
      <button
        type="button"
        className="mill-button mill-done"
        onClick={() => act(...reconcile({ run, events, state, cutsDone }))}
      >
        Set the count so
      </button>
    </div>
  );
}
