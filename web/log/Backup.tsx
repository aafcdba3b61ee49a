import { useQuery } from '@tanstack/react-query';
import { Button, Modal, Progress } from 'antd';
import { useRef, useState } from 'react';
import { plural } from '../../core/units/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { Notice } from '../frame/index.ts';
import { api, queryClient } from '../state/index.ts';

const putBack = ({ jobs, runs, counts, devices }: Restored): string =>
  [
    plural(jobs, 'job'),
    plural(runs, 'run'),
    plural(counts, 'count'),
    ...(devices > 0 ? [plural(devices, 'device')] : []),
  ].join(', ');

const LOOK_EVERY_MS = 500;

/** How far it is, and a press that stops it. */
function Restoring() {
  const [stopping, setStopping] = useState(false);
  const { data } = useQuery({
    queryKey: ['restoring'],
    queryFn: () => api.readRestore(),
    refetchInterval: LOOK_EVERY_MS,
    gcTime: 0,
  });
  const under = data?.under;
  const share = under && under.ofRows > 0 ? Math.floor((100 * under.rows) / under.ofRows) : 0;
  const stop = () => {
    setStopping(true);
    void api.stopRestore();
  };
  return (
    <div className="backup-under">
      <p role="status">
        {under && under.ofRows > 0
          ? `${putBack(under)} put back; others count on meanwhile.`
          : 'It is sent, and looked at whole before anything is changed.'}
      </p>
      <Progress percent={share} strokeColor="var(--brass)" aria-label="How much of it is put back" />
      <Button size="large" disabled={stopping} onClick={stop}>
        {stopping ? 'Stopping after this step…' : 'Stop'}
      </Button>
    </div>
  );
}

/** The whole workshop as one file, and back from it. */
export function Backup() {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState<Restored | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const restore = async (from: File) => {
    setBusy(true);
    setFailed(null);
    try {
      setDone(await api.restore(await from.text()));
      await queryClient.invalidateQueries();
    } catch (error) {
      setFailed((error as Error).message);
    }
    setBusy(false);
    setFile(null);
  };
  return (
    <section className="backup" aria-label="The whole workshop">
      <h2>The whole workshop</h2>
      <p>
        Shop, jobs, runs, every count, pictures and devices in one file, readable without Vuelta. Keep one
        away from this machine.
      </p>
      <p className="backup-buttons">
        <a className="use-button" href={api.backupAddress} download>
          Save a backup
        </a>
        <Button onClick={() => input.current?.click()}>Put a backup back…</Button>
      </p>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Backup file"
        hidden
        onChange={({ target }) => {
          setFile(target.files?.[0] ?? null);
          target.value = '';
        }}
      />
      {failed && <Notice tone="wrong">{failed}</Notice>}
      {done && !done.finished && (
        <Notice tone="query">
          Stopped. Put back so far, and kept: {putBack(done)}. Put the same backup back again, and it goes on
          to the end. {done.aside && `The workshop as it stood is in ${done.aside}, in the data folder.`}
        </Notice>
      )}
      {done?.finished && (
        <Notice tone="note">
          Put back: {putBack(done)} that were not here.{' '}
          {done.changed > 0 &&
            `${plural(done.changed, 'job')} stood here otherwise; that version is kept with each.`}{' '}
          {done.devices > 0 && 'Devices came put aside: look at their lines at Shop, Devices, and use them.'}{' '}
          The workshop as it stood is in {done.aside}, in the data folder.
        </Notice>
      )}
      <Modal
        open={file !== null}
        title="Put this backup back?"
        onCancel={() => setFile(null)}
        // what is under way is not left by closing this
        closable={!busy}
        mask={{ closable: !busy }}
        keyboard={!busy}
        footer={null}
        className="backup-dialog"
      >
        <p>
          The shop and the jobs in <b>{file?.name}</b> take the place of those here; counts are added, never
          taken away. Jobs that are only here stay; devices that are not here come along, put aside. Before
          anything is changed, the workshop as it stands is put aside as a file.
        </p>
        {busy ? (
          <Restoring />
        ) : (
          <div className="notice-actions">
            <Button type="primary" size="large" onClick={() => file && void restore(file)}>
              Put it back
            </Button>
            <Button size="large" onClick={() => setFile(null)}>
              Leave everything as it is
            </Button>
          </div>
        )}
      </Modal>
    </section>
  );
}
