import { useState } from 'react';
import { titleOf } from '../../core/exercises/index.ts';
import type { ClassBoard } from '../../core/wire/index.ts';
import { slipText, sumsOf } from './marks.ts';

type Learner = ClassBoard['learners'][number];

/** Tried within the last minutes: at it just now. */
const JUST_NOW_MS = 5 * 60_000;

function whenText(at: string | null): string {
  if (at === null) return 'nothing yet';
  const ago = Date.now() - Date.parse(at);
  if (ago < JUST_NOW_MS) return 'just now';
  return ago < 3_600_000 ? `${Math.round(ago / 60_000)} min ago` : at.slice(0, 10);
}

/** Everyone in the class; a press tells each kind of one learner. */
export function Learners({
  learners,
  onRemove,
}: {
  readonly learners: readonly Learner[];
  readonly onRemove: (number: number, name: string) => void;
}) {
  const [open, setOpen] = useState<number | null>(null);
  if (learners.length === 0) return <p className="class-none">Nobody has joined yet.</p>;
  return (
    <table className="list class-table">
      <thead>
        <tr>
          <th>Learner</th>
          <th className="num">Right</th>
          <th className="num">Tried</th>
          <th>Last</th>
          <th>Wrong last at</th>
        </tr>
      </thead>
      <tbody>
        {learners.map((learner) => (
          <Rows
            key={learner.number}
            learner={learner}
            open={open === learner.number}
            onOpen={() => setOpen(open === learner.number ? null : learner.number)}
            onRemove={() => onRemove(learner.number, learner.name)}
          />
        ))}
      </tbody>
    </table>
  );
}

function Rows({
  learner,
  open,
  onOpen,
  onRemove,
}: {
  readonly learner: Learner;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onRemove: () => void;
}) {
  const { tried, right } = sumsOf(learner);
  const stuck = learner.kinds
    .filter(({ last }) => !last)
    .sort((a, b) => b.tried - b.right - (a.tried - a.right));
  return (
    <>
      <tr>
        <td>
          <button type="button" className="plain-link" aria-expanded={open} onClick={onOpen}>
            {learner.name}
          </button>
        </td>
        <td className="num">{right}</td>
        <td className="num">{tried}</td>
        <td>{whenText(learner.lastAt)}</td>
        <td>
          {stuck
            .slice(0, 2)
            .map(({ kind }) => titleOf(kind))
            .join(', ') || '–'}
        </td>
      </tr>
      {open && (
        <tr className="class-more">
          <td colSpan={5}>
            <ul>
              {learner.kinds.map(({ kind, right: good, tried: all, level, slip }) => (
                <li key={kind}>
                  <b>{titleOf(kind)}</b> {good} of {all}, at level {level}
                  {slip && <span className="soft"> {slipText(slip)}</span>}
                </li>
              ))}
            </ul>
            <button type="button" className="plain-button" onClick={onRemove}>
              Delete {learner.name}
            </button>
          </td>
        </tr>
      )}
    </>
  );
}
