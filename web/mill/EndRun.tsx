import { Input } from 'antd';
import { useState } from 'react';
import type { Ended, Run } from '../../core/run/index.ts';
import { MillDialog } from './MillDialog.tsx';

interface EndRunProps {
  readonly open: boolean;
  readonly run: Run;
  readonly onClose: () => void;
  readonly onEnd: (how: Ended['how'], reason: string) => void;
}

/** Ends a run that will not be cut to its end: it stays in the log with its reason. */
export function EndRun({ open, run, onClose, onEnd }: EndRunProps) {
  const [reason, setReason] = useState('');
  const proof = run.piece.kind === 'proof';
  const piece = proof ? 'proof piece' : 'piece';
  return (
    <MillDialog open={open} title="End this run" onClose={onClose}>
      <label htmlFor="end-reason">Why? It stays in the log with this.</label>
      <Input.TextArea
        id="end-reason"
        value={reason}
        rows={2}
        maxLength={400}
        onChange={({ target }) => setReason(target.value)}
        placeholder={proof ? 'the proof has shown what it should' : 'cutter chipped at 12'}
      />
      <div className="end-choices">
        <button type="button" className="use-button is-wide" onClick={() => onEnd('given-up', reason)}>
          {proof ? 'The proof is done: end it' : 'End it as it is'} <small>the {piece} may still serve</small>
        </button>
        <button type="button" className="use-button is-wide" onClick={() => onEnd('scrapped', reason)}>
          Scrap the {piece} <small>it is lost</small>
        </button>
        <button type="button" className="use-button is-wide" onClick={() => onEnd('again', reason)}>
          Start again <small>a run of its own, from the first cut</small>
        </button>
      </div>
    </MillDialog>
  );
}
