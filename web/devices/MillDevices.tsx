import { useEffect, useRef, useState } from 'react';
import type { Device, MotorDevice, ReadoutDevice } from '../../core/devices/index.ts';
import type { Prompt } from '../../core/prompts/index.ts';
import { cutBefore } from '../../core/prompts/index.ts';
import type { Run, RunAct, RunEvent, RunState } from '../../core/run/index.ts';
import { api, useDevices } from '../state/index.ts';
import { SCREEN, useListening, useLiveDevice } from './live.ts';
import { motorPlace, MotorTurn, type MotorPlace } from './MotorTurn.tsx';
import { Readout } from './Readout.tsx';

interface MillDevicesProps {
  readonly run: Run;
  readonly state: RunState;
  readonly events: readonly RunEvent[];
  /** What is to be done now; nothing while nothing may be counted. */
  readonly now: readonly Prompt[];
  readonly act: (...acts: readonly RunAct[]) => void;
}

const isMotor = (device: Device): device is MotorDevice => device.kind === 'motor' && device.on;
const isReadout = (device: Device): device is ReadoutDevice => device.kind === 'readout' && device.on;

/** The motors of the shop, where the run divides by one; and the readout that is looked at beside one. */
function useAtTheMill(run: Run, motorId: string | null = null) {
  const devices = useDevices();
  const motors = run.move.method === 'stepper' ? devices.filter(isMotor) : [];
  // of several a person says which of them turns this work
  const motor = motors.find(({ id }) => id === motorId) ?? (motors.length === 1 ? motors[0]! : null);
  const watching = devices.find(({ id }) => id === motor?.watchedBy);
  const watch = watching && isReadout(watching) ? watching : null;
  const readout = watch ?? devices.find(isReadout) ?? null;
  useListening(motors.length > 0 || readout !== null);
  return { motors, motor, readout, watch };
}

/** Where the motor is to go by what is asked for now: on to a place, round to the first, or back to it. */
function placeToGo(run: Run, now: readonly Prompt[], { next }: RunState): MotorPlace | null {
  const turn = now.find((prompt) => prompt.do === 'turn' || prompt.do === 'return');
  const last = cutBefore(run, next);
  if (turn?.do === 'turn' && turn.round) return last && motorPlace(run, last, true);
  return turn && next ? motorPlace(run, next, false) : null;
}

/** The table turns itself, where a motor divides and the next move is its. */
export function MillMotor({ run, state, events, now, act }: MillDevicesProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const { motors, motor, watch } = useAtTheMill(run, chosen);
  useZeroOfRound({ run, state, events, motor });
  const last = cutBefore(run, state.next);
  const place = placeToGo(run, now, state);
  if (!place) return null;
  if (!motor)
    return motors.length > 1 ? (
      <p className="motor-places" role="group" aria-label="Which motor turns this work?">
        {motors.map(({ id, name }) => (
          <button key={id} type="button" className="mill-tick" onClick={() => setChosen(id)}>
            {name} turns it
          </button>
        ))}
      </p>
    ) : null;
  return (
    <MotorTurn
      key={`${motor.id} ${place.round} ${place.index} ${place.closing}`}
      run={run}
      motor={motor}
      watch={watch?.id ?? null}
      from={last && motorPlace(run, last, false)}
      to={place}
      act={act}
    />
  );
}

/** The readout in sight, while there is anything to be brought somewhere. */
export function MillReadout({ run, now }: Pick<MillDevicesProps, 'run' | 'now'>) {
  const { motors, readout } = useAtTheMill(run);
  return readout && <Readout run={run} readout={readout} watches={motors.length > 0} now={now} />;
}

/**
 * What a hand does that sets the count to 0: with the first cut of a round counted here the motor stands at
 * its 0. After a reload, a doubt or a count that was taken back a person is asked instead.
 */
function useZeroOfRound({
  run,
  state,
  events,
  motor,
}: Pick<MillDevicesProps, 'run' | 'state' | 'events'> & { readonly motor: MotorDevice | null }): void {
  const live = useLiveDevice(motor?.id ?? null);
  const counted = useRef(state.done);
  useEffect(() => {
    const isNew = state.done === counted.current + 1;
    counted.current = state.done;
    const last = cutBefore(run, state.next);
    const begins = last?.landing.on === 'steps' && last.landing.steps === 0;
    if (!isNew || !begins || !motor || !live?.motor || live.line !== 'here' || live.motor.turning) return;
    const { count, doubt } = live.motor;
    if (doubt && doubt.why !== 'not-said') return;
    const isOwn = live.run === run.id;
    const roundMade =
      isOwn && count !== null && Math.abs(Math.abs(count) - motor.perTurn) < motor.perTurn / 1e5;
    const isFresh = !isOwn && !events.some(({ kind }) => kind === 'sent');
    if (isFresh || roundMade)
      void api.motorStands(motor.id, { screen: SCREEN, at: { of: 'zero', runId: run.id } }).catch(() => null);
  }, [run, state, events, motor, live]);
}
