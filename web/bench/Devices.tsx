import { Button, Modal } from 'antd';
import { create } from 'qrcode';
import { useMemo, useState } from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { AnswerOf, Calls } from '../../core/wire/index.ts';
import { dayText, Notice } from '../frame/index.ts';
import { api } from '../state/index.ts';
import './devices.css';

type Pairing = AnswerOf<Calls['readPairing']>;

/** While this is open a device may come in any moment. */
const LOOK_AGAIN_MS = 3000;

/** A link as squares, for the camera of a tablet. */
function Squares({ link }: { readonly link: string }) {
  const { side, path } = useMemo(() => {
    const { modules } = create(link, { errorCorrectionLevel: 'M' });
    const dark = Array.from(modules.data, (bit, i) => [bit, i % modules.size, Math.floor(i / modules.size)]);
    const drawn = dark.flatMap(([bit, x, y]) => (bit ? [`M${x} ${y}h1v1h-1z`] : [])).join('');
    return { side: modules.size, path: drawn };
  }, [link]);
  return (
    <svg
      className="devices-squares"
      viewBox={`-4 -4 ${side + 8} ${side + 8}`}
      role="img"
      aria-label="The same as squares, for a camera"
    >
      <rect x="-4" y="-4" width={side + 8} height={side + 8} />
      <path d={path} />
    </svg>
  );
}

/** How a device is let in, and those that were: on the machine that Vuelta runs on. */
export function Devices({ onClose }: { readonly onClose: () => void }) {
  const queries = useQueryClient();
  const [failed, setFailed] = useState<string | null>(null);
  const [forgetting, setForgetting] = useState(false);
  const pairing = useQuery({
    queryKey: ['pairing'],
    queryFn: api.readPairing,
    refetchInterval: LOOK_AGAIN_MS,
  });
  const change = (asked: Promise<Pairing>) =>
    asked.then(
      (now) => {
        setFailed(null);
        queries.setQueryData(['pairing'], now);
      },
      (error: Error) => setFailed(error.message),
    );
  const { code, pass, reachedAt = [], devices = [] } = pairing.data ?? {};
  // a machine may be in several networks, and only who stands here knows which of them is the shop's
  const [chosen, setChosen] = useState<string | null>(null);
  const address = reachedAt.find((each) => each === chosen) ?? reachedAt[0];
  return (
    <Modal open title="Other devices" footer={null} onCancel={onClose} width={620}>
      {failed && <Notice tone="wrong">{failed}</Notice>}
      {address === undefined ? (
        <Notice tone="query">
          This machine is in no network just now, so nothing else reaches it. Join one, and look again.
        </Notice>
      ) : (
        <div className="devices-way">
          <div>
            <p>
              In this shop’s network, open <b className="devices-address">{address}</b> there and type
            </p>
            <p className="devices-code">{code?.replace(/(\d{3})(\d{3})/, '$1 $2')}</p>
            {reachedAt.length > 1 && (
              <p className="soft">
                If it does not open:
                {reachedAt
                  .filter((each) => each !== address)
                  .map((each) => (
                    <button key={each} type="button" className="plain-link" onClick={() => setChosen(each)}>
                      {each}
                    </button>
                  ))}
              </p>
            )}
            <Button onClick={() => void change(api.renewPairing())}>Another code</Button>
          </div>
          {pass && (
            <div>
              <Squares link={`${address}/#let-in=${pass}`} />
              <p className="soft">Or show it this. It is good for one device.</p>
            </div>
          )}
        </div>
      )}
      <h3 className="devices-title">Let in</h3>
      {devices.length === 0 ? (
        <p className="soft">None yet.</p>
      ) : (
        <ul className="devices-list">
          {devices.map(({ id, name, seen }) => (
            <li key={id}>
              <span>
                <b>{name}</b>{' '}
                <span className="soft">
                  {seen ? `last here ${dayText(seen)}` : 'let in before devices had names'}
                </span>
              </span>
              <Button aria-label={`Put out ${name}`} onClick={() => void change(api.putOutDevice(id))}>
                Put out
              </Button>
            </li>
          ))}
        </ul>
      )}
      {devices.length > 1 &&
        (forgetting ? (
          <Notice
            tone="query"
            word="All of them?"
            actions={
              <>
                <Button onClick={() => setForgetting(false)}>Leave them</Button>
                <Button
                  danger
                  onClick={() => {
                    setForgetting(false);
                    void change(api.forgetDevices());
                  }}
                >
                  Put all out
                </Button>
              </>
            }
          >
            A tablet at a mill keeps what it has counted, and sends it when it is let in again.
          </Notice>
        ) : (
          <Button onClick={() => setForgetting(true)}>Put all out</Button>
        ))}
      <p className="soft devices-ends">A device not seen on ninety working days is let in anew.</p>
    </Modal>
  );
}
