import { Input, Segmented } from 'antd';
import { useId, useState } from 'react';
import { dividedName, wordsOfDivided } from '../../core/cut/index.ts';
import { capital } from '../../core/units/index.ts';
import { AT_STOPS, progressOf, promptText, roundName, standsAt } from '../../core/prompts/index.ts';
import { foldRun, reconcile, toldByHole, whereInRun, type Cut } from '../../core/run/index.ts';
import { MillDialog } from './MillDialog.tsx';
import type { MillProps } from './millProps.ts';

interface LostCountProps extends Omit<MillProps, 'link'> {
  readonly open: boolean;
  readonly onClose: () => void;
}

const whole = (typed: string): number | null => (/^\s*\d{1,4}\s*$/.test(typed) ? Number(typed) : null);
const SHOWN = 6;

/** The count was lost: from the hole the pin is in, which places it can be, and how to go on from there. */
export function LostCount({ open, onClose, ...props }: LostCountProps) {
  return (
    <MillDialog open={open} title="Where am I?" onClose={onClose}>
      {toldByHole(props.run) ? (
        <ByHole {...props} onClose={onClose} />
      ) : (
        <p tabIndex={-1}>
          This run is not told by a hole. Read the dial or the motor’s counter, look at the marks on every
          tenth, and set the count with Take back or by cutting on.
        </p>
      )}
    </MillDialog>
  );
}

function ByHole({ run, state, events, act, onClose }: Omit<LostCountProps, 'open'>) {
  const id = useId();
  const [hole, setHole] = useState('');
  const [about, setAbout] = useState('');
  const [round, setRound] = useState((state.next ?? run.cuts.at(-1)!).round);
  const { one, many, done } = wordsOfDivided(run.divides);
  const rounds = [...new Set(run.cuts.map((cut) => cut.round))];
  const nameOf = ({ space, round: of }: Cut) =>
    `${space}${rounds.length > 1 ? `, ${roundName(run, of)}` : ''}`;
  const doneHere = run.cuts.filter((cut, i) => cut.round === round && state.doneCuts[i]).length;
  const seen = whole(hole);
  const found = seen === null ? null : whereInRun(run, seen, { round, about: whole(about) ?? doneHere });
  const tooHigh = found !== null && found.most !== null && seen !== null && seen > found.most;
  /** @param standing the pin is there already, and the space is not cut: nothing is to be cranked */
  const take = (cutsDone: number, standing: boolean) => {
    const there = standing ? standsAt(run, run.cuts[cutsDone] ?? null) : null;
    const acts = [...reconcile({ run, events, state, cutsDone }), ...(there ? [there] : [])];
    if (acts.length > 0) act(...acts);
    onClose();
  };
  return (
    <>
      <p>
        Spindle stopped, hands clear. Do not turn the crank. Which hole is the pin in now? The hole of the
        first cut is 0; count on the way you crank.
      </p>
      {rounds.length > 1 && (
        <div className="lost-round">
          <span id={`${id}-round`}>How deep are the last {many}? They are of the</span>
          <Segmented
            aria-labelledby={`${id}-round`}
            value={round}
            options={rounds.map((value) => ({ value, label: roundName(run, value) }))}
            onChange={setRound}
          />
        </div>
      )}
      <div className="lost-fields">
        <div>
          <label htmlFor={`${id}-hole`}>Pin is in hole</label>
          <Input
            id={`${id}-hole`}
            size="large"
            inputMode="numeric"
            autoComplete="off"
            value={hole}
            onChange={(event) => setHole(event.target.value)}
            status={hole !== '' && (seen === null || tooHigh) ? 'error' : ''}
          />
        </div>
        <div>
          <label htmlFor={`${id}-about`}>
            {capital(many)} {done}, by eye
          </label>
          <Input
            id={`${id}-about`}
            size="large"
            inputMode="numeric"
            autoComplete="off"
            placeholder={String(doneHere)}
            value={about}
            onChange={(event) => setAbout(event.target.value)}
          />
        </div>
      </div>
      <div aria-live="polite">
        {hole !== '' && seen === null && (
          <p className="field-issue is-wrong">✕ A hole is a whole number, 0 or more.</p>
        )}
        {tooHigh && <p className="field-issue is-wrong">✕ The circle in use ends at hole {found.most}.</p>}
        {found && !tooHigh && found.places.length === 0 && (
          <p className="field-issue is-query">
            ? No cut of this {rounds.length > 1 ? 'round' : 'run'} ends in hole {seen}. The pin slipped, the
            wrong circle was counted, or hole 0 is another one.
            {found.every > 1 && ` The pin only ever stands in holes ${found.every} apart, from 0.`} Look at
            the last {one} and the marks on every tenth before anything is cut.
          </p>
        )}
        {found && found.places.length > 0 && (
          <ul className="lost-list">
            {found.places.slice(0, SHOWN).map(({ cut, cutsDone }) => (
              <li key={cutsDone}>
                <span>
                  The work stands at <b>{dividedName(run, cut.space)}</b>
                  {rounds.length > 1 ? `, ${roundName(run, cut.round)}` : ''}. Is it cut?
                  <AfterIt run={run} cutsDone={cutsDone} />
                </span>
                <span className="lost-buttons">
                  <button
                    type="button"
                    className="use-button"
                    aria-label={`${capital(one)} ${nameOf(cut)} is ${done}`}
                    onClick={() => take(cutsDone, false)}
                  >
                    It is cut
                  </button>
                  <button
                    type="button"
                    className="use-button"
                    aria-label={`${capital(one)} ${nameOf(cut)} is not ${done} yet`}
                    onClick={() => take(cutsDone - 1, true)}
                  >
                    Not yet
                  </button>
                </span>
              </li>
            ))}
          </ul>
        )}
        {found && found.places.length > SHOWN && (
          <p className="soft">and {found.places.length - SHOWN} more: say how many are cut by eye.</p>
        )}
      </div>
    </>
  );
}

/** The move that would come after a cut. */
function AfterIt({ run, cutsDone }: { readonly run: LostCountProps['run']; readonly cutsDone: number }) {
  const next = run.cuts[cutsDone] ?? null;
  const turn = progressOf(run, { ...foldRun(run, []), next }, AT_STOPS).prompts.find(
    (prompt) => prompt.do === 'turn',
  );
  return turn ? <small>After it: {promptText(run, turn)}</small> : null;
}
