import { Button, Checkbox, Input, Modal } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Job } from '../../core/job/index.ts';
import { beforeCutting, settleOpen, stationOf, type Cutting, type PartPlan } from '../../core/plan/index.ts';
import type { Piece } from '../../core/run/index.ts';
import { lengthText } from '../../core/units/index.ts';
import type { StoredRun } from '../../core/wire/index.ts';
import { EitherField } from '../fields/index.ts';
import { Notice } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { api, keys, newId, queryClient } from '../state/index.ts';

export interface Sink {
  readonly run: StoredRun['run'];
  readonly by: number;
}

interface StartCuttingProps {
  readonly job: Job;
  readonly part: PartPlan;
  readonly cutting: Cutting;
  /** The run to go on with under today's plan; null to begin afresh. */
  readonly going: StoredRun | null;
  /** The run whose gear measured thick, to be sunk by so much, mm; null to cut what the card says. */
  readonly sink: Sink | null;
  /** Runs there are of this part already. */
  readonly before: number;
  readonly onClose: () => void;
}

/** The last look before metal is cut: what the run will be, and what is still in doubt. Starting freezes it. */
export function StartCutting({ job, part, cutting, going, sink, before, onClose }: StartCuttingProps) {
  const { edit, flush } = useDraft();
  const navigate = useNavigate();
  const [agreed, setAgreed] = useState(false);
  const [kind, setKind] = useState<Piece['kind']>('work');
  const [name, setName] = useState(before === 0 || going ? '' : `piece ${before + 1}`);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const cautions = [...(stationOf(part, 'dividing')?.cautions ?? []), ...(stationOf(part, 'lead')?.cautions ?? []), ...(stationOf(part, 'setup')?.cautions ?? []).filter(({ code }) => code !== 'setup-hands')]; // prettier-ignore
  const cutTo = sink?.run.rounds.at(-1)?.depthMm ?? null;
  const doubtful = beforeCutting(part).filter(({ state }) => state === 'doubt');

  const start = async () => {
    setBusy(true);
    setFailed(null);
    try {
      edit((now) => settleOpen(now, part));
      await flush();
      const { save, revision } = useDraft.getState();
      if (save.kind !== 'stored')
        throw new Error(
          'The card could not be stored, so it was not frozen for cutting. Look at the card’s foot.',
        );
      const { run } = await api.startRun(job.id, {
        id: newId(),
        partId: part.id,
        revision,
        piece: (going?.run ?? sink?.run)?.piece ?? { kind, name: name.trim() },
        continues: going?.run.id ?? null,
        deepens: sink && { runId: sink.run.id, by: sink.by },
      });
      await queryClient.invalidateQueries({ queryKey: keys.runsOf(job.id) });
      await navigate(`/runs/${run.id}`);
    } catch (error) {
      setFailed((error as Error).message);
      setBusy(false);
    }
  };
  const title = going ? 'Go on under this plan' : sink ? `Once more round, ${lengthText(sink.by, job.units, 'fine')} deeper` : 'Start cutting'; // prettier-ignore
  return (
    <Modal open title={title} onCancel={onClose} footer={null} width={560}>
      <ul className="start-list">
        {beforeCutting(part).map(({ id, title, answer }) => (
          <li key={id}>
            <span className="soft">{title}</span>
            <span>{answer}</span>
          </li>
        ))}
        <li>
          <span className="soft">Starts at</span>
          <span>
            {going
              ? `the last space cut, of ${cutting.divisions}`
              : `space ${cutting.startSpace} of ${cutting.divisions}`}
          </span>
        </li>
      </ul>
      {going ? (
        <p>
          {going.summary.done} of {going.summary.total} cuts are made under the plan as it was. A run of its
          own goes on from the last of them and is linked with it; what was counted stays as it is.
        </p>
      ) : sink ? (
        <p>
          It was cut {lengthText(cutTo!, job.units, 'fine')} deep; one round goes to{' '}
          <b>{lengthText(cutTo! + sink.by, job.units, 'fine')}</b>. Still on the head: nothing loosened, begin
          at the same space and hole. Off it since: indicate it, and find a space first, as Inspect says.
        </p>
      ) : (
        <div className="start-piece">
          <EitherField
            label="It is cut in"
            value={kind}
            options={[
              { value: 'work', label: 'the work' },
              { value: 'proof', label: 'a proof piece' },
            ]}
            onChange={setKind}
            echo={kind === 'proof' ? 'Scrap, or a softer, cheaper metal: where the blanks matter.' : ''}
          />
          <div className="field">
            <label htmlFor="piece-name">Which piece</label>
            <Input
              id="piece-name"
              value={name}
              maxLength={80}
              onChange={({ target }) => setName(target.value)}
              placeholder="blank 2, stack of 4"
              autoComplete="off"
            />
          </div>
        </div>
      )}
      <p className="soft">The run keeps this plan as it is now. Changing the card later does not touch it.</p>
      {doubtful.length > 0 && (
        <Notice tone="query" word={`In doubt: ${doubtful.map(({ title }) => title).join(', ')}.`}>
          <Checkbox checked={agreed} onChange={(event) => setAgreed(event.target.checked)}>
            I have looked at it; cut it as it is now.
          </Checkbox>
        </Notice>
      )}
      {failed && <Notice tone="wrong">{failed}</Notice>}
      <p className="caution is-inline">
        {cautions.map(({ code, when, text }) => (
          <span key={code} className="start-caution">
            <strong>{when}:</strong> {text}{' '}
          </span>
        ))}
        <strong>Last look:</strong> work tight, nut tight, guards in place;{' '}
        {cutting.helix ? 'nothing locked that the lead turns' : 'lock before every cut'}. Your machine’s
        manual, your shop’s rules and local codes come first.
      </p>
      <Button
        type="primary"
        size="large"
        block
        loading={busy}
        disabled={doubtful.length > 0 && !agreed}
        onClick={() => void start()}
        autoFocus={doubtful.length === 0}
      >
        {going
          ? 'Go on under this plan'
          : `Start at space ${cutting.startSpace}${sink ? `, ${lengthText(cutTo! + sink.by, job.units, 'fine')} deep` : ''}`}
      </Button>
    </Modal>
  );
}
