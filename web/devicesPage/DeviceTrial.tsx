import { Button } from 'antd';
import { useState } from 'react';
import { sayStopped, type Device, type MotorDevice } from '../../core/devices/index.ts';
import { decimalText, lengthText } from '../../core/units/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { HoldButton, SCREEN, useTurn } from '../devices/index.ts';
import { api, usePreferences } from '../state/index.ts';

const TRIAL_DEGREES = 9;

interface TrialProps {
  readonly device: Device;
  readonly live: LiveDevice | null;
}

/** Is it what it is set up as? A motor turns a little and back, a readout and a tool show what they say. */
export function DeviceTrial({ device, live }: TrialProps) {
  const units = usePreferences((preferences) => preferences.units);
  if (!live || live.line === 'away') return null;
  switch (device.kind) {
    case 'motor':
      return <MotorTrial motor={device} live={live} />;
    case 'readout':
      return (
        <div className="device-trial" role="group" aria-label="What it shows">
          {live.readout?.map(({ use, letter, shows }) => (
            <p key={use} className="device-figure">
              <span>{letter}</span>
              {shows === null ? 'nothing yet' : lengthText(shows, units, 'fine')}
            </p>
          ))}
          <p className="soft">Turn a handwheel: its figure must grow the way that was said below.</p>
        </div>
      );
    case 'tool':
      return (
        <div className="device-trial" role="group" aria-label="What it sent">
          <p className="device-figure">
            {live.tool?.reads == null ? 'Press its button' : lengthText(live.tool.reads, units, 'fine')}
          </p>
          {live.tool && live.tool.presses > 0 && (
            <p className="soft">
              {live.tool.presses === 1 ? 'Pressed once' : `Pressed ${live.tool.presses} times`} since it came
              on.
            </p>
          )}
        </div>
      );
  }
}

function MotorTrial({ motor, live }: { readonly motor: MotorDevice; readonly live: LiveDevice }) {
  const [said, setSaid] = useState('');
  const turn = useTurn(motor.id, ({ how, why }) =>
    setSaid(how === 'there' ? 'It came to rest where it was sent.' : why ? sayStopped(why) : ''),
  );
  const { count, turning, screen } = live.motor!;
  const degrees = count === null ? null : ((motor.reversed ? -1 : 1) * count * 360) / motor.perTurn;
  // wherever it stopped, it goes back first
  const isOut = degrees !== null && Math.abs(degrees) > 0.01;
  const mine = screen === null || screen === SCREEN;
  const inRun = live.run !== null;
  if (degrees === null || !mine || inRun || live.motor!.doubt)
    return (
      <div className="device-trial">
        <p>
          {degrees === null || live.motor!.doubt
            ? 'Nobody has said where it stands.'
            : inRun
              ? 'Its 0 is that of a run at the mill, which will ask where the work stands after a trial.'
              : 'Another screen turned it last.'}{' '}
          For a trial call the place where it stands 0.
        </p>
        <Button
          onClick={() => void api.motorStands(motor.id, { screen: SCREEN, at: { of: 'zero', runId: null } })}
        >
          It stands at 0
        </Button>
      </div>
    );
  return (
    <div className="device-trial">
      <p className="device-figure">{decimalText(degrees, 4)}°</p>
      <HoldButton
        className={`next-thing device-go${turn.turning ? ' is-turning' : ''}`}
        hold={motor.hold}
        turning={turn.turning}
        disabled={turning && !turn.turning}
        onBegin={() => {
          setSaid('');
          turn.begin({ of: 'trial', degrees: isOut ? 0 : TRIAL_DEGREES });
        }}
        onStop={turn.stop}
      >
        {turn.turning
          ? motor.hold === 'press'
            ? 'Let go to stop'
            : 'Stop'
          : `${motor.hold === 'press' ? 'Hold: turn' : 'Turn'} ${isOut ? 'back to 0' : `${TRIAL_DEGREES}°`}`}
      </HoldButton>
      <p role="status">{turn.refused ?? said}</p>
      <p className="soft">
        Cutter drawn clear, hands away. The work must turn clockwise, seen from the head.
      </p>
    </div>
  );
}
