import {
  countOfStep,
  sayDoubt,
  sayMissed,
  sayNotNow,
  sayStopped,
  type Doubt,
  type MotorDevice,
  type Outcome,
} from '../../core/devices/index.ts';
import { dividedName } from '../../core/cut/index.ts';
import type { Cut, Run, RunAct } from '../../core/run/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { useState } from 'react';
import { api } from '../state/index.ts';
import { HoldButton } from './HoldButton.tsx';
import { SCREEN, useLiveDevice } from './live.ts';
import { notYet } from './readsIn.ts';
import { useTurn } from './useTurn.ts';
import './devices.css';

/** A place of a run’s schedule that a motor may be sent to, or that a person says it stands at. */
export interface MotorPlace {
  readonly round: number;
  readonly index: number;
  readonly closing: boolean;
  readonly steps: number;
  /** `tooth space 5` */
  readonly name: string;
}

/** The place of a cut, or the one at which a round closes. */
export function motorPlace(run: Run, cut: Cut, closing: boolean): MotorPlace | null {
  const landing = closing ? run.closing : cut.landing;
  if (landing?.on !== 'steps') return null;
  const { round, index, space } = cut;
  const name = dividedName(run, closing ? run.cuts[0]!.space : space);
  return { round, index, closing, steps: landing.steps, name };
}

interface MotorTurnProps {
  readonly run: Run;
  readonly motor: MotorDevice;
  /** The readout that says whether the cutter is clear; null where a person says so. */
  readonly watch: string | null;
  /** Where it was, and where it is to go. */
  readonly from: MotorPlace | null;
  readonly to: MotorPlace;
  readonly act: (...acts: readonly RunAct[]) => void;
}

/** The table turns itself to the next place, while a person holds it to that. */
export function MotorTurn({ run, motor, watch, from, to, act }: MotorTurnProps) {
  const live = useLiveDevice(motor.id);
  const watching = useLiveDevice(watch);
  const why = watch === null ? null : notYet(run, watching);
  const [ended, setEnded] = useState<{ outcome: Outcome; to: MotorPlace } | null>(null);
  const stepsPerTurn = run.move.method === 'stepper' ? run.move.stepsPerTurn : '1';
  const step = countOfStep(motor, stepsPerTurn);
  const sense = motor.reversed ? -1 : 1;
  const stepsAt = (count: number): number => (sense * count) / step;
  const onEnd = (outcome: Outcome, _: unknown, steps: number | null) => {
    setEnded({ outcome, to });
    const { how, rest } = outcome;
    const { round, index, closing } = to;
    act({
      ...{ kind: 'sent', round, index, ...(closing && { closing: true as const }) },
      ...{ steps: steps ?? to.steps, how, by: motor.name },
      rest: rest === null ? null : Math.round(stepsAt(rest) * 100) / 100,
    });
  };
  const turn = useTurn(motor.id, onEnd);
  if (!live?.motor || live.line !== 'here') return <Away live={live} name={motor.name} />;
  const { count, turning, screen } = live.motor;
  // the 0 of another blank says nothing of this one
  const doubt: Doubt | null = live.motor.doubt ?? (live.run === run.id ? null : { why: 'not-said' });
  const stands = count === null ? null : stepsAt(count);
  const isAt = (place: MotorPlace | null) =>
    place !== null && stands !== null && Math.abs(stands - place.steps) < 0.6;
  const say = (place: MotorPlace) =>
    void api
      .motorStands(motor.id, { screen: SCREEN, at: { of: 'run', runId: run.id, ...placeOf(place) } })
      .then(() => setEnded(null))
      .catch(() => null);
  /** In this work’s own figures. */
  const missedText = (why: Doubt): string[] =>
    why.why === 'steps-missed' && run.outside !== null
      ? [
          sayMissed(
            why.by / step,
            { stepsPerTurn, diameter: run.outside, divisions: run.divisions },
            run.units,
          ),
        ]
      : [];
  const elsewhere = screen !== null && screen !== SCREEN;
  if (doubt || elsewhere)
    return (
      <section className="motor-turn is-doubt" aria-label={motor.name}>
        <p>
          {doubt
            ? [sayDoubt(doubt, step), ...missedText(doubt)].join(' ')
            : `${motor.name} was turned from another screen. Nobody at it? Then say where the work stands, and it is turned from here.`}
        </p>
        <p className="motor-places">
          {[from, to].map(
            (place) =>
              place && (
                <button key={place.name} type="button" className="mill-tick" onClick={() => say(place)}>
                  It stands at {place.name}
                </button>
              ),
          )}
        </p>
      </section>
    );
  if (isAt(to) && !turn.turning)
    return (
      <section className="motor-turn is-there" aria-label={motor.name}>
        <p role="status">
          <b>✓ The table stands at {to.name}</b>, {to.steps} steps. Lock it before the cut.
        </p>
      </section>
    );
  return (
    <section className={`motor-turn${turn.refused ? ' is-refused' : ''}`} aria-label={motor.name}>
      <p role="status">
        {turn.turning || turning
          ? `Turning. Any key stops it.`
          : (turn.refused ??
            (ended?.to.name === to.name ? stoppedText(ended.outcome, stepsAt) : standsText(stands)))}
      </p>
      <HoldButton
        className={`motor-go${turn.turning ? ' is-turning' : why ? ' is-not-yet' : ''}`}
        hold={motor.hold}
        turning={turn.turning}
        disabled={turning && !turn.turning}
        onBegin={() => turn.begin({ of: 'run', runId: run.id, ...placeOf(to) })}
        onStop={turn.stop}
      >
        {turn.turning
          ? motor.hold === 'press'
            ? 'Let go to stop'
            : 'Stop'
          : `${motor.hold === 'press' ? 'Hold to turn' : 'Turn'} to ${to.name}`}
        <small>
          {turn.turning
            ? `on to ${to.steps} steps`
            : why
              ? `Not yet: ${sayNotNow(why)}`
              : 'spindle and table free, cutter clear, hands away'}
        </small>
      </HoldButton>
    </section>
  );
}

const placeOf = ({ round, index, closing }: MotorPlace) => ({ round, index, closing });

const standsText = (stands: number | null): string =>
  stands === null ? '' : `It stands at ${Math.round(stands)} steps.`;

function stoppedText({ how, rest, why }: Outcome, stepsAt: (count: number) => number): string {
  if (how !== 'stopped' || why === null) return '';
  const at = rest === null ? '' : ` It stands at ${Math.round(stepsAt(rest))} steps, and goes on from there.`;
  return `${sayStopped(why)}${at}`;
}

/** Nothing of it holds up counting by hand. */
function Away({ live, name }: { readonly live: LiveDevice | null; readonly name: string }) {
  return (
    <section className="motor-turn is-away" aria-label={name}>
      <p role="status">
        {live
          ? `${name} is not on its line${live.why ? ` (${live.why})` : ''}. Turn by hand meanwhile: counting goes on as ever.`
          : `Asking how ${name} stands…`}
      </p>
    </section>
  );
}
