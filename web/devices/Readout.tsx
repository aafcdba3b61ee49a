import { cutterAt, type ReadoutDevice } from '../../core/devices/index.ts';
import { promptName, travelsOf, type Prompt } from '../../core/prompts/index.ts';
import type { Run } from '../../core/run/index.ts';
import { approx, exact, lengthText } from '../../core/units/index.ts';
import { useState } from 'react';
import { api } from '../state/index.ts';
import { useLiveDevice } from './live.ts';
import { readsIn, roleIn } from './readsIn.ts';
import './devices.css';

interface ReadoutProps {
  readonly run: Run;
  readonly readout: ReadoutDevice;
  /** Does a motor ask it whether the cutter is clear? */
  readonly watches: boolean;
  /** What is to be done now, one after the other. */
  readonly now: readonly Prompt[];
}

/** Nearer than this it is there, mm. */
const THERE = 0.005;

/** Where an axis is to be brought by what is asked for now, mm from its zero; and where its zero is taken. */
function aimOf(run: Run, now: readonly Prompt[], use: 'travel' | 'depth' | 'cross') {
  for (const prompt of now) {
    if (use === 'depth' && (prompt.do === 'touch' || prompt.do === 'graze')) return { zero: 0, prompt };
    if (use === 'depth' && prompt.do === 'depth') return { to: prompt.depth, prompt };
    if (use === 'travel' && prompt.do === 'first-touch') return { zero: prompt.reads, prompt };
    if (use === 'travel' && prompt.do === 'cut' && run.safe?.way === 'along')
      return { to: run.safe.through, prompt };
    if (
      use === 'cross' &&
      prompt.do === 'turn' &&
      prompt.landing.on === 'dial' &&
      run.move.method === 'table'
    ) {
      const { turns, mark } = prompt.landing;
      const { lead, marks, advance } = run.move;
      const onDial = approx(exact(mark).div(marks).add(turns).mul(exact(lead)));
      // the dial has the nearest mark; a readout goes to the place itself
      const step = approx(exact(advance));
      return { to: Math.round(onDial / step) * step, prompt };
    }
    if (use === 'cross' && (prompt.do === 'register' || prompt.do === 'zero') && run.move.method === 'table')
      return { zero: 0, prompt };
  }
  return null;
}

/** The readout beside what is to be done: clear or not, how much more; its zeros taken by a press. */
export function Readout({ run, readout, watches, now }: ReadoutProps) {
  const live = useLiveDevice(readout.id);
  const [wrong, setWrong] = useState<string | null>(null);
  if (!live?.readout || live.line !== 'here')
    // where it says whether the work may be turned its silence is told; elsewhere one goes by the dials
    return watches ? (
      <p className="readout-line is-away" role="status">
        {readout.name}: {live ? 'not on its line' : 'not heard yet'}. Go by the dials.
      </p>
    ) : null;
  // zeros of another run’s work say nothing of this one’s
  const isOwn = live.run === run.id;
  const at = cutterAt(run.safe, { travel: readsIn(run, live, 'travel'), depth: readsIn(run, live, 'depth') });
  const zero = (use: 'travel' | 'depth' | 'cross', reads: number) =>
    void api.zeroReadout(readout.id, { use, reads, runId: run.id }).then(
      () => setWrong(null),
      (error: Error) => setWrong(error.message),
    );
  const names = { travel: travelsOf(run), depth: 'depth', cross: 'table' } as const;
  return (
    <div className={`readout-line is-${at}`} aria-label={readout.name} role="group">
      <p className="readout-says">
        {at === 'clear' ? '✓ Clear' : at === 'in-work' ? 'In the work' : 'No zero at the touch yet'}
      </p>
      {live.readout.map(({ use, shows, reads: told }) => {
        const reads = isOwn ? told : null;
        const role = roleIn(run, use);
        const aim = aimOf(run, now, role);
        // across only a rack is moved
        if (role === 'cross' && run.move.method !== 'table') return null;
        const asks = aim !== null && 'zero' in aim;
        const left = aim && 'to' in aim && aim.to !== undefined && reads !== null ? aim.to - reads : null;
        return (
          <p key={use} className="readout-axis">
            <span>{names[role]}</span>
            <b>{reads === null ? '—' : lengthText(reads, run.units, 'fine')}</b>
            {left !== null && (
              <span className="readout-left">
                {Math.abs(left) < THERE
                  ? '✓ there'
                  : left > 0
                    ? `${lengthText(left, run.units, 'fine')} more`
                    : `${lengthText(-left, run.units, 'fine')} too far`}
              </span>
            )}
            {shows !== null && (asks || reads === null) && (
              <button
                type="button"
                className={
                  aim && 'zero' in aim && aim.zero !== undefined ? 'mill-tick is-asked' : 'mill-tick'
                }
                onClick={() => zero(use, (aim && 'zero' in aim && aim.zero) || 0)}
                title={aim ? promptName(run, aim.prompt) : undefined}
              >
                {aim && 'zero' in aim && aim.zero ? `${lengthText(aim.zero, run.units)} here` : '0 here'}
              </button>
            )}
          </p>
        );
      })}
      {wrong && <p role="alert">{wrong}</p>}
    </div>
  );
}
