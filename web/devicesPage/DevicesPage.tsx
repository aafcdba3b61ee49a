import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { Device } from '../../core/devices/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { useListening, useLive } from '../devices/index.ts';
import { Fold, Shell, useSure, useTitle } from '../frame/index.ts';
import { api, keys, useDevices } from '../state/index.ts';
import { DeviceForm } from './DeviceForm.tsx';
import { DeviceTrial } from './DeviceTrial.tsx';
import { deviceAfresh, KINDS, linkText } from './deviceWords.ts';
import './devicesPage.css';

/** Motors, readouts and measuring tools of the shop: how they stand, how they are set up, a trial of each. */
export function DevicesPage() {
  useTitle('Devices');
  const devices = useDevices();
  const client = useQueryClient();
  const { devices: live, told } = useLive((all) => all);
  const [chosen, setChosen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<Device | null>(null);
  const [sure, question] = useSure();
  useListening(true);
  const device = fresh ?? devices.find(({ id }) => id === chosen) ?? devices[0] ?? null;
  const stands = live.find(({ id }) => id === device?.id) ?? null;
  const known = (list: readonly Device[]) => client.setQueryData(keys.devices, list);
  const save = async (changed: Device) => {
    known((await api.saveDevice(changed)).devices);
    setFresh(null);
    setChosen(changed.id);
  };
  const remove = ({ id, name }: Device) =>
    sure({
      title: `Take ${name} off the list?`,
      content: 'What was set here for it is gone. The thing itself is not touched.',
      deed: 'Take it off',
      act: async () => {
        known((await api.removeDevice(id)).devices);
        setChosen(null);
      },
    });
  return (
    <Shell here="Devices">
      {question}
      <main className="devices">
        <nav className="devices-list" aria-label="Devices">
          <h1>Devices</h1>
          <ul>
            {devices.map((each) => (
              <li key={each.id}>
                <button
                  type="button"
                  aria-current={each.id === device?.id ? 'true' : undefined}
                  onClick={() => {
                    setFresh(null);
                    setChosen(each.id);
                  }}
                >
                  <b>{each.name}</b>
                  <span>{KINDS[each.kind].name}</span>
                  <LineState live={live.find(({ id }) => id === each.id) ?? null} told={told} />
                </button>
              </li>
            ))}
          </ul>
          {devices.length === 0 && !fresh && (
            <p className="soft">None yet, and none is needed: everything here is done by hand as well.</p>
          )}
          <div className="devices-add">
            {(['motor', 'readout', 'tool'] as const).map((kind) => (
              <Button key={kind} onClick={() => setFresh(deviceAfresh(kind, devices))}>
                Add {KINDS[kind].article}
              </Button>
            ))}
          </div>
        </nav>
        {device ? (
          <section className="devices-one" aria-label={device.name}>
            <header>
              <h2>{fresh ? `${KINDS[device.kind].name}, new` : device.name}</h2>
              {!fresh && (
                <p className="soft">
                  {linkText(device.link)}
                  {stands?.why && `: ${stands.why}`}
                </p>
              )}
            </header>
            {!fresh && device.on && (
              <>
                <LastLine live={told ? stands : null} />
                <DeviceTrial key={device.id} device={device} live={told ? stands : null} />
              </>
            )}
            {device.kind === 'motor' && <MotorCautions open={fresh !== null} />}
            <DeviceForm
              key={`${device.id} ${fresh ? 'new' : 'kept'}`}
              device={device}
              devices={devices}
              onSave={save}
              isNew={fresh !== null}
            />
            {!fresh && (
              <p>
                <button type="button" className="plain-link" onClick={() => remove(device)}>
                  Take {device.name} off the list
                </button>
              </p>
            )}
          </section>
        ) : (
          <section className="devices-one">
            <p className="soft">
              A motor turns the table to each place while you hold it to that. A readout says whether the
              cutter is clear. An indicator’s button writes its reading into the field you are in.
            </p>
          </section>
        )}
      </main>
    </Shell>
  );
}

const LINES: Readonly<Record<LiveDevice['line'], string>> = {
  off: 'put aside',
  away: 'not on its line',
  here: 'on its line',
  silent: 'silent',
};

function LineState({ live, told }: { readonly live: LiveDevice | null; readonly told: boolean }) {
  const line = told && live ? live.line : null;
  return (
    <em className={`device-line is-${line ?? 'unknown'}`}>
      {line === 'here' ? '✓ ' : ''}
      {line ? LINES[line] : 'asking…'}
    </em>
  );
}

function LastLine({ live }: { readonly live: LiveDevice | null }) {
  return (
    <p className="device-last">
      <span>Last line</span>
      <output>{live?.lastLine || 'none yet'}</output>
    </p>
  );
}

function MotorCautions({ open }: { readonly open: boolean }) {
  return (
    <Fold className="device-cautions" summary="Before a motor turns a table" open={open}>
      <ul>
        <li>Hands and sleeves clear of work, cutter and chuck whenever it may turn; guards on.</li>
        <li>
          Vuelta cannot see the machine. It goes by what you say and by the readout, and either may be wrong.
        </li>
        <li>
          An emergency stop that cuts the motor’s power belongs within reach, and no program replaces it.
        </li>
        <li>Your machine’s and motor’s manuals, your school’s or shop’s rules and local codes come first.</li>
        <li>Prove a new set-up in air, the cutter drawn well clear, before the first cut.</li>
      </ul>
    </Fold>
  );
}
