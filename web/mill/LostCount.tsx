import { Input, Modal, type InputRef } from 'antd';
import { useId, useRef, useState } from 'react';
import { reconcile, sayLanding, toldByHole, whereInRun, type Cut } from '../../core/run/index.ts';
import type { MillProps } from './millProps.ts';

interface LostCountProps extends Omit<MillProps, 'link'> {
  readonly open: boolean;
  readonly onClose: () => void;
}

const whole = (typed: string): number | null => (/^\s*\d{1,4}\s*$/.test(typed) ? Number(typed) : null);
const SHOWN = 6;

/** The count was lost: from the hole the pin is in, which spaces it can be, and how to go on from there. */
export function LostCount({ open, run, state, events, act, onClose }: LostCountProps) {
  const id = useId();
  const [hole, setHole] = useState('');
  const [about, setAbout] = useState('');
  const many = run.rounds.length > 1;
  const nameOf = ({ space, round }: Cut) => `${space}${many ? `, round ${round}` : ''}`;
  const field = useRef<InputRef>(null);
  const seen = whole(hole);
  const rough = whole(about) ?? state.done;
  const found = seen === null ? null : whereInRun(run, seen, rough);
  const tooHigh = found !== null && found.most !== null && seen !== null && seen > found.most;
  /** Come to and not cut: the next thing is to cut it, not to crank. */
  const [standing, setStanding] = useState<Cut | null>(null);
  const leave = () => {
    setStanding(null);
    onClose();
  };
  const take = (cutsDone: number, uncut: Cut | null = null) => {
    act(...reconcile(run, events, state, cutsDone));
    setHole('');
    setAbout('');
    if (uncut) setStanding(uncut);
    else leave();
  };
  return (
    <Modal
      open={open}
      title="Where am I?"
      onCancel={leave}
      footer={null}
      destroyOnHidden
      afterOpenChange={(shown) => shown && field.current?.focus()}
    >
      {standing ? (
        <div role="status">
          <p className="lost-lead">Do not crank. The pin is already where space {nameOf(standing)} is cut.</p>
          <p>Lock the spindle, cut it, draw clear. Then press.</p>
          <button
            type="button"
            className="next-thing lost-done"
            autoFocus
            onClick={() => {
              act({ kind: 'done', round: standing.round, index: standing.index });
              leave();
            }}
          >
            <span>Space {nameOf(standing)} is cut now</span>
          </button>
        </div>
      ) : toldByHole(run) ? (
        <>
          <p>
            Spindle stopped, hands clear. Do not turn the crank. Which hole is the pin in now? The hole of the first cut is 0; count on the way you crank.
          </p>
          <div className="lost-fields">
            <div>
              <label htmlFor={`${id}-hole`}>Pin is in hole</label>
              <Input id={`${id}-hole`} size="large" inputMode="numeric" autoComplete="off" ref={field} value={hole} onChange={(event) => setHole(event.target.value)} status={hole !== '' && (seen === null || tooHigh) ? 'error' : ''} />
            </div>
            <div>
              <label htmlFor={`${id}-about`}>Spaces cut, by eye</label>
              <Input id={`${id}-about`} size="large" inputMode="numeric" autoComplete="off" placeholder={String(state.done)} value={about} onChange={(event) => setAbout(event.target.value)} />
            </div>
          </div>
          <div aria-live="polite">
            {hole !== '' && seen === null && <p className="field-issue is-wrong">✕ A hole is a whole number, 0 or more.</p>}
            {tooHigh && <p className="field-issue is-wrong">✕ The circle in use ends at hole {found.most}.</p>}
            {found && !tooHigh && found.places.length === 0 && (
              <p className="field-issue is-query">
                ? No cut of this run ends in hole {seen}. The pin slipped, the wrong circle was counted, or hole 0 is another one.
                {found.every > 1 && ` The pin only ever stands in holes ${found.every} apart, from 0.`} Look at the last space and the marks on every tenth before anything is cut.
              </p>
            )}
            {found && found.places.length > 0 && (
              <ul className="lost-list">
                {found.places.slice(0, SHOWN).map(({ cut, cutsDone }) => {
                  const next = run.cuts[cutsDone];
                  return (
                    <li key={cutsDone}>
                      <span>
                        The work stands at <b>space {cut.space}</b>
                        {many ? `, round ${cut.round}` : ''}. Is it cut?
                        {next && <small>After it: {sayLanding(run, next.landing).how}.</small>}
                      </span>
                      <span className="lost-buttons">
                        <button type="button" className="use-button" aria-label={`Space ${nameOf(cut)} is cut`} onClick={() => take(cutsDone)}>
                          It is cut
                        </button>
                        <button type="button" className="use-button" aria-label={`Space ${nameOf(cut)} is not cut yet`} onClick={() => take(cutsDone - 1, cut)}>
                          Not yet
                        </button>
                      </span>
                    </li>
                  );
                })}
              </ul>
            )}
            {found && found.places.length > SHOWN && <p className="soft">and {found.places.length - SHOWN} more: say how many are cut by eye.</p>}
          </div>
        </>
      ) : (
        <p>This run is not told by a hole. Read the dial or the motor’s counter, look at the marks on every tenth, and set the count with Take back or by cutting on.</p>
      )}
    </Modal>
  );
} // prettier-ignore
