import { useState } from 'react';
import { dividedName } from '../../core/cut/index.ts';
import { promptText, type NowSay } from '../../core/prompts/index.ts';
import type { Run, RunState } from '../../core/run/index.ts';

/** Over the whole screen while paused: what will be next, and nothing that counts. */
export function Paused({
  run,
  state,
  now,
  onResume,
}: {
  readonly run: Run;
  readonly state: RunState;
  readonly now: NowSay | null;
  readonly onResume: (reason: string) => void;
}) {
  const { next, last, turnsMade } = state;
  const [reason, setReason] = useState('');
  return (
    <div className="mill-paused" role="dialog" aria-label="Paused" aria-modal="true">
      <p className="mill-lead">Paused{last ? ` after ${dividedName(run, last.space)}` : ''}</p>
      {next && now && (
        <p className="mill-paused-next">
          {promptText(run, now.main)}
          {turnsMade > 0 && ` ${turnsMade === 1 ? '1 turn of it is' : `${turnsMade} turns of it are`} made.`}
        </p>
      )}
      <label className="mill-field">
        <span>What was it? May be left empty.</span>
        <input
          value={reason}
          maxLength={200}
          onChange={({ target }) => setReason(target.value)}
          autoComplete="off"
          onKeyDown={({ key }) => key === 'Enter' && onResume(reason)}
        />
      </label>
      <button type="button" className="mill-button mill-done" onClick={() => onResume(reason)} autoFocus>
        Resume<small className="key-hint">P</small>
      </button>
    </div>
  );
}
