import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Input, InputNumber, Segmented, Select } from 'antd';
import { useId, useState, type ReactNode } from 'react';
import {
  AXIS_LETTERS,
  BAUDS,
  type AxisUse,
  type Device,
  type DeviceLink,
  type MotorDevice,
  type ReadoutDevice,
  type ToolDevice,
} from '../../core/devices/index.ts';
import { api, keys, ProblemError } from '../state/index.ts';

interface DeviceFormProps {
  readonly device: Device;
  readonly devices: readonly Device[];
  readonly isNew: boolean;
  readonly onSave: (device: Device) => Promise<void>;
}

/** How a device is reached and what it says; nothing of it moves while it is set up. */
export function DeviceForm({ device, devices, isNew, onSave }: DeviceFormProps) {
  const [now, setNow] = useState(device);
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const changed = isNew || JSON.stringify(now) !== JSON.stringify(device);
  const save = () =>
    onSave(now).then(
      () => setWrong([]),
      (error: Error) => setWrong(error instanceof ProblemError ? saysOf(error) : [error.message]),
    );
  return (
    <form
      className="device-form"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field label="Name">
        {(id) => (
          <Input
            id={id}
            value={now.name}
            maxLength={60}
            onChange={({ target }) => setNow({ ...now, name: target.value })}
          />
        )}
      </Field>
      <LinkFields link={now.link} onChange={(link) => setNow({ ...now, link })} />
      {now.kind === 'motor' && <MotorFields motor={now} devices={devices} onChange={setNow} />}
      {now.kind === 'readout' && <ReadoutFields readout={now} onChange={setNow} />}
      {now.kind !== 'motor' && <UnitFields device={now} onChange={setNow} />}
      <Checkbox checked={now.on} onChange={({ target }) => setNow({ ...now, on: target.checked })}>
        Used now
      </Checkbox>
      {wrong.map((each) => (
        <p key={each} role="alert" className="field-issue is-wrong">
          ✕ {each}
        </p>
      ))}
      <Button htmlType="submit" type={changed ? 'primary' : 'default'} disabled={!changed}>
        {isNew ? 'Put it on the list' : 'Keep the change'}
      </Button>
    </form>
  );
}

const saysOf = (error: ProblemError): readonly string[] =>
  error.issues.length > 0 ? [...new Set(error.issues.map(({ message }) => message))] : [error.message];

function Field({
  label,
  note,
  children,
}: {
  readonly label: string;
  readonly note?: string;
  readonly children: (id: string) => ReactNode;
}) {
  const id = useId();
  return (
    <div className="device-field">
      <label htmlFor={id}>{label}</label>
      {children(id)}
      {note && <small>{note}</small>}
    </div>
  );
}

function LinkFields({
  link,
  onChange,
}: {
  readonly link: DeviceLink;
  readonly onChange: (link: DeviceLink) => void;
}) {
  const ports = useQuery({ queryKey: keys.ports, queryFn: api.listPorts, enabled: link.via === 'serial' });
  return (
    <fieldset className="device-fields">
      <legend>Line</legend>
      <Segmented
        aria-label="Line"
        options={[
          { value: 'tcp', label: 'Network' },
          { value: 'serial', label: 'Serial port' },
        ]}
        value={link.via}
        onChange={(via) =>
          onChange(
            via === 'tcp'
              ? { via: 'tcp', host: 'localhost', port: 4821 }
              : { via: 'serial', path: ports.data?.[0] ?? '/dev/ttyUSB0', baud: 115_200 },
          )
        }
      />
      {link.via === 'tcp' ? (
        <>
          <Field label="Machine">
            {(id) => (
              <Input
                id={id}
                value={link.host}
                onChange={({ target }) => onChange({ ...link, host: target.value })}
              />
            )}
          </Field>
          <Field label="Port">
            {(id) => (
              <InputNumber
                id={id}
                min={1}
                max={65_535}
                precision={0}
                value={link.port}
                onChange={(port) => port !== null && onChange({ ...link, port })}
              />
            )}
          </Field>
        </>
      ) : (
        <>
          <Field label="Port" note={(ports.data ?? []).join(', ')}>
            {(id) => (
              <Input
                id={id}
                value={link.path}
                onChange={({ target }) => onChange({ ...link, path: target.value })}
              />
            )}
          </Field>
          <Field label="Baud">
            {(id) => (
              <Select
                id={id}
                value={link.baud}
                options={BAUDS.map((baud) => ({ value: baud, label: String(baud) }))}
                onChange={(baud) => onChange({ ...link, baud })}
              />
            )}
          </Field>
        </>
      )}
    </fieldset>
  );
}

function MotorFields({
  motor,
  devices,
  onChange,
}: {
  readonly motor: MotorDevice;
  readonly devices: readonly Device[];
  readonly onChange: (motor: MotorDevice) => void;
}) {
  const number = (
    key: 'perTurn' | 'speed' | 'takeUp' | 'pulses',
    label: string,
    { note, whole = false }: { readonly note?: string; readonly whole?: boolean } = {},
  ) => (
    <Field label={label} {...(note ? { note } : {})}>
      {(id) => (
        <InputNumber
          id={id}
          min={0}
          value={motor[key]}
          {...(whole ? { precision: 0 } : {})}
          onChange={(value) => value !== null && onChange({ ...motor, [key]: value })}
        />
      )}
    </Field>
  );
  const readouts = devices.filter(({ kind }) => kind === 'readout');
  return (
    <fieldset className="device-fields">
      <legend>Motor</legend>
      <Field label="Axis">
        {(id) => (
          <Select
            id={id}
            value={motor.letter}
            options={AXIS_LETTERS.map((letter) => ({ value: letter, label: letter }))}
            onChange={(letter) => onChange({ ...motor, letter })}
          />
        )}
      </Field>
      {number('perTurn', 'Counts for a turn of the work', { note: '360 where it is set up in degrees' })}
      {number('speed', 'Speed, of its count in a minute')}
      {number('takeUp', 'Past, when it goes back', {
        note: 'of its count: more than the slack of the worm',
      })}
      {number('pulses', 'Index pulses in a turn of the work', { whole: true, note: '0: it has no index' })}
      <Field label="Clear or not, says">
        {(id) => (
          <Select
            id={id}
            value={motor.watchedBy ?? ''}
            options={[
              { value: '', label: 'whoever turns it' },
              ...readouts.map(({ id: value, name }) => ({ value, label: name })),
            ]}
            onChange={(watchedBy) => onChange({ ...motor, watchedBy: watchedBy || null })}
          />
        )}
      </Field>
      <Segmented<MotorDevice['hold']>
        aria-label="Turns"
        options={[
          { value: 'press', label: 'Turns while held' },
          { value: 'arm', label: 'Turns from press to press' },
        ]}
        value={motor.hold}
        onChange={(hold) => onChange({ ...motor, hold })}
      />
      <Checkbox
        checked={motor.reversed}
        onChange={({ target }) => onChange({ ...motor, reversed: target.checked })}
      >
        Counts up against the clock
      </Checkbox>
    </fieldset>
  );
}

const USES: Readonly<Record<AxisUse, string>> = {
  travel: 'Along the cut',
  depth: 'Into the work',
  cross: 'Across: to the middle, or from place to place',
};

function ReadoutFields({
  readout,
  onChange,
}: {
  readonly readout: ReadoutDevice;
  readonly onChange: (readout: ReadoutDevice) => void;
}) {
  const axisOf = (use: AxisUse) => readout.axes.find((axis) => axis.use === use);
  const change = (use: AxisUse, letter: string, reversed: boolean) => {
    const others = readout.axes.filter((axis) => axis.use !== use);
    onChange({ ...readout, axes: letter === '' ? others : [...others, { use, letter, reversed }] });
  };
  return (
    <fieldset className="device-fields">
      <legend>Axes</legend>
      {(Object.keys(USES) as AxisUse[]).map((use) => (
        <div key={use} className="device-axis">
          <Field label={USES[use]}>
            {(id) => (
              <Select
                id={id}
                value={axisOf(use)?.letter ?? ''}
                options={[
                  { value: '', label: 'none' },
                  ...['X', 'Y', 'Z', 'A', 'W'].map((letter) => ({ value: letter, label: letter })),
                ]}
                onChange={(letter) => change(use, letter, axisOf(use)?.reversed ?? false)}
              />
            )}
          </Field>
          <Checkbox
            checked={axisOf(use)?.reversed ?? false}
            disabled={!axisOf(use)}
            onChange={({ target }) => change(use, axisOf(use)!.letter, target.checked)}
          >
            counts down{' '}
            {use === 'travel' ? 'the way it is fed' : use === 'depth' ? 'as it goes in' : 'going on'}
          </Checkbox>
        </div>
      ))}
    </fieldset>
  );
}

function UnitFields<Kind extends ReadoutDevice | ToolDevice>({
  device,
  onChange,
}: {
  readonly device: Kind;
  readonly onChange: (device: Kind) => void;
}) {
  return (
    <fieldset className="device-fields">
      <legend>A figure without a unit</legend>
      <Segmented<'mm' | 'in'>
        aria-label="Unit"
        options={[
          { value: 'mm', label: 'is mm' },
          { value: 'in', label: 'is inches' },
        ]}
        value={device.unit}
        onChange={(unit) => onChange({ ...device, unit })}
      />
      <Segmented<'.' | ','>
        aria-label="Decimal sign"
        options={[
          { value: '.', label: '1.5' },
          { value: ',', label: '1,5' },
        ]}
        value={device.decimal}
        onChange={(decimal) => onChange({ ...device, decimal })}
      />
      {device.kind === 'tool' && (
        <Checkbox
          checked={device.reversed}
          onChange={({ target }) => onChange({ ...device, reversed: target.checked })}
        >
          Counts the other way
        </Checkbox>
      )}
    </fieldset>
  );
}
