import { useEffect } from 'react';
import type { Device, MotorDevice, ReadoutDevice } from '../../core/devices/index.ts';
import type { Prompt } from '../../core/prompts/index.ts';
import { cutBefore } from '../../core/prompts/index.ts';
import type { Run, RunAct, RunEvent, RunState } from '../../core/run/index.ts';
import { api, useDevices } from '../state/index.ts';
import { SCREEN, useListening, useLive, useLiveDevice } from './live.ts';
import { motorPlace, MotorTurn } from './MotorTurn.tsx';
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

/** The motor of the shop, where the run divides by one; and the readout that is looked at beside it. */
function useAtTheMill(run: Run) {
  const devices = useDevices();
  const motor = run.move.method === 'stepper' ? (devices.find(isMotor) ?? null) : null;
  const watching = devices.find(({ id }) => id === motor?.watchedBy);
  const readout = watching && isReadout(watching) ? watching : (devices.find(isReadout) ?? null);
  useListening(motor !== null || readout !== null);
  return { motor, readout };
}

/** The table turns itself, where a motor divides and the next move is its. */
export function MillMotor({ run, state, events, now, act }: MillDevicesProps) {
  const { motor } = useAtTheMill(run);
  useZeroOfRound({ run, state, events, motor });
  const turn = now.find((prompt) => prompt.do === 'turn');
  const last = cutBefore(run, state.next);
  const to = turn?.do === 'turn' && (turn.round ? last : state.next);
  const place = to && turn?.do === 'turn' ? motorPlace(run, to, turn.round) : null;
  if (!motor || !place) return null;
  return (
    <MotorTurn
      key={`${place.round} ${place.index} ${place.closing}`}
      run={run}
      motor={motor}
      from={last && motorPlace(run, last, false)}
      to={place}
      act={act}
    />
  );
}

/** The readout in sight, while there is anything to be brought somewhere. */
export function MillReadout({ run, now }: Pick<MillDevicesProps, 'run' | 'now'>) {
  const { motor, readout } = useAtTheMill(run);
  return readout && <Readout run={run} readout={readout} watches={motor !== null} now={now} />;
}

/**
 * What a hand does that sets the count to 0: with the first cut of a round made the motor stands at its 0. A
 * motor that was sent elsewhere meanwhile, or whose cuts were taken back, is asked for by a person instead.
 */
function useZeroOfRound({
  run,
  state,
  events,
  motor,
}: Pick<MillDevicesProps, 'run' | 'state' | 'events'> & { readonly motor: MotorDevice | null }): void {
  const live = useLiveDevice(motor?.id ?? null);
  const told = useLive((all) => all.told);
  const last = cutBefore(run, state.next);
  const begins = last !== null && last.landing.on === 'steps' && last.landing.steps === 0;
  const sent = events.some(({ kind }) => kind === 'sent');
  const atOnce = state.done > 0 && begins;
  const id = motor?.id;
  useEffect(() => {
    if (!id || !atOnce || !told || !live?.motor || live.line !== 'here' || live.motor.turning) return;
    const { count, doubt } = live.motor;
    const full = motor ? Math.abs(Math.abs(count ?? 0) - motor.perTurn) < motor.perTurn / 1e5 : false;
    const fresh = !sent && (count === null || doubt?.why === 'not-said' || count !== 0);
    if (fresh || (count !== null && full))
      void api.motorStands(id, { screen: SCREEN, at: { of: 'zero' } }).catch(() => null);
    // once for each first cut of a round
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, atOnce, told, live?.line, last?.round, sent]);
}
