import { Button, Checkbox, Modal } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Job } from '../../core/job/index.ts';
import { beforeCutting, settleOpen, stationOf, type Cutting, type PartPlan } from '../../core/plan/index.ts';
import { newId, Notice } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { api, keys, queryClient } from '../state/index.ts';

interface StartCuttingProps {
  readonly job: Job;
  readonly part: PartPlan;
  readonly cutting: Cutting;
  readonly onClose: () => void;
}

/** The last look before metal is cut: what the run will be, and what is still in doubt. Starting freezes it. */
export function StartCutting({ job, part, cutting, onClose }: StartCuttingProps) {
  const { edit, flush } = useDraft();
  const navigate = useNavigate();
  const [agreed, setAgreed] = useState(false);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const cautions = [...(stationOf(part, 'dividing')?.cautions ?? []), ...(stationOf(part, 'lead')?.cautions ?? [])]; // prettier-ignore
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
      const { run } = await api.startRun(job.id, { id: newId(), partId: part.id, revision });
      await queryClient.invalidateQueries({ queryKey: keys.runsOf(job.id) });
      await navigate(`/runs/${run.id}`);
    } catch (error) {
      setFailed((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <Modal open title="Start cutting" onCancel={onClose} footer={null} width={560}>
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
            space {cutting.startSpace} of {cutting.divisions}
          </span>
        </li>
      </ul>
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
        Start at space {cutting.startSpace}
      </Button>
    </Modal>
  );
}
