import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { dividedName, wordsOfDivided } from '../../core/cut/index.ts';
import { recordOf } from '../../core/inspect/index.ts';
import { withRunBegun, type Job } from '../../core/job/index.ts';
import { beforeCutting, settleOpen, stationOf, type Cutting, type PartPlan } from '../../core/plan/index.ts';
import { leftToPrepare, type Piece } from '../../core/run/index.ts';
import { lengthText, plural } from '../../core/units/index.ts';
import type { RunListing } from '../../core/wire/index.ts';
import { EitherField } from '../fields/index.ts';
import { Notice } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { writeInRun } from '../runLog/index.ts';
import { api, keys, newId, queryClient } from '../state/index.ts';
import { StartDoubts, ticksFor } from './StartDoubts.tsx';

export interface Sink {
  readonly run: RunListing['run'];
  readonly by: number;
}

interface StartCuttingProps {
  readonly job: Job;
  readonly part: PartPlan;
  readonly cutting: Cutting;
  /** The run to go on with under today's plan; null to begin afresh. */
  readonly going: RunListing | null;
  /** The run whose gear measured thick, to be sunk by so much, mm; null to cut what the card says. */
  readonly sink: Sink | null;
  /** Runs there are of this part already. */
  readonly before: number;
  readonly onClose: () => void;
}

/**
 * The last look before metal is cut: what the run will be, and what is still in doubt. Starting freezes it.
 */
export function StartCutting({ job, part, cutting, going, sink, before, onClose }: StartCuttingProps) {
  const edit = useDraft((draft) => draft.edit);
  const flush = useDraft((draft) => draft.flush);
  const navigate = useNavigate();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [register, setRegister] = useState<'kept' | 'found'>('kept');
  const [kind, setKind] = useState<Piece['kind']>('work');
  const [name, setName] = useState(before === 0 || going ? '' : `piece ${before + 1}`);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const cautions = [
    ...(stationOf(part, 'dividing')?.cautions ?? []),
    ...(stationOf(part, 'lead')?.cautions ?? []),
    ...(stationOf(part, 'setup')?.cautions ?? []).filter(({ code }) => code !== 'setup-hands'),
  ];
  const cutTo = sink?.run.rounds.at(-1)?.depthMm ?? null;
  const doubtful = beforeCutting(part).filter(({ state }) => state === 'doubt');

  const ticks = ticksFor(doubtful);
  const agreed = ticks.every((key) => ticked.includes(key));
  const dividing = stationOf(part, 'dividing')?.detail ?? null;
  const inspected = stationOf(part, 'inspect')?.detail ?? null;
  const prepared = sink && register === 'kept' ? [] : leftToPrepare(dividing?.preparation ?? []);

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
        deepens: sink && { runId: sink.run.id, by: sink.by, register },
      });
      await remember();
      await queryClient.invalidateQueries({ queryKey: keys.runsOf(job.id) });
      await queryClient.invalidateQueries({ queryKey: keys.shop });
      await navigate(`/runs/${run.id}`);
    } catch (error) {
      setFailed((error as Error).message);
      setBusy(false);
    }
  };
  /**
   * What was measured goes with the run it was measured on; the card is free for the deeper gear, or the next
   * one.
   */
  const remember = async () => {
    if (going) return;
    const record = sink && inspected ? recordOf(inspected, job.units) : null;
    if (sink && record) await writeInRun(sink.run.id, { kind: 'measured', ...record });
    edit((now) => withRunBegun(now, part.id, sink && { by: sink.by }));
    await flush();
  };
  const { one, done } = wordsOfDivided(cutting.divides);
  const title = going
    ? 'Go on under this plan'
    : sink
      ? `Once more round, ${lengthText(sink.by, job.units, 'fine')} deeper`
      : 'Start cutting';
  return (
    <Modal open title={title} onCancel={onClose} footer={null} width={560} style={{ top: 24 }}>
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
              ? `the last ${one} ${done}, of ${cutting.divisions}`
              : `${dividedName(cutting, cutting.startSpace)} of ${cutting.divisions}`}
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
          <b>{lengthText(cutTo! + sink.by, job.units, 'fine')}</b>.
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
      {sink && (
        <EitherField
          label="Since it closed"
          value={register}
          options={[
            { value: 'kept', label: 'nothing was loosened' },
            { value: 'found', label: 'it was off, or moved' },
          ]}
          onChange={setRegister}
          echo={
            register === 'kept'
              ? 'Pin and work stay as they stand: the deeper cut falls into the first.'
              : 'Indicate it true. A {one} is found with the cutter first, then the hole that is 0.'
          }
        />
      )}
      {prepared.length > 0 && (
        <p className="soft">
          The mill first leads you through {plural(prepared.length, 'thing')} that{' '}
          {prepared.length === 1 ? 'changes' : 'change'} on the head; the shop then remembers that it stands
          so.
        </p>
      )}
      <p className="soft">The run keeps this plan as it is now. Changing the card later does not touch it.</p>
      <StartDoubts
        doubtful={doubtful}
        ticked={ticked}
        onTick={(key, on) => setTicked((now) => (on ? [...now, key] : now.filter((other) => other !== key)))}
      />
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
        disabled={!agreed}
        onClick={() => void start()}
        autoFocus={ticks.length === 0}
      >
        {going
          ? 'Go on under this plan'
          : `Start at ${dividedName(cutting, cutting.startSpace)}${sink ? `, ${lengthText(cutTo! + sink.by, job.units, 'fine')} deep` : ''}`}
      </Button>
    </Modal>
  );
}
