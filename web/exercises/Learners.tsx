import { useState } from 'react';
import { titleOf } from '../../core/exercises/index.ts';
import type { ClassBoard } from '../../core/wire/index.ts';
import { harmText, slipText, sumsOf } from './marks.ts';

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
  atBench,
  onRemove,
}: {
  readonly learners: readonly Learner[];
  /** Was a job given, to be rehearsed? */
  readonly atBench: boolean;
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
          {atBench && <th>At the bench</th>}
          <th>Last</th>
          <th>Wrong last at</th>
        </tr>
      </thead>
      <tbody>
        {learners.map((learner) => (
          <Rows
            key={learner.number}
            learner={learner}
            atBench={atBench}
            open={open === learner.number}
            onOpen={() => setOpen(open === learner.number ? null : learner.number)}
            onRemove={() => onRemove(learner.number, learner.name)}
          />
        ))}
      </tbody>
    </table>
  );
}

const newest = ({ lastAt, bench }: Learner): string | null =>
  lastAt && bench ? (lastAt > bench.at ? lastAt : bench.at) : (lastAt ?? bench?.at ?? null);

/** In one look: how far, and whether anything was done that should not be. */
function benchText({ bench }: Learner): string {
  if (!bench) return 'not begun';
  const harm = bench.harms.reduce((sum, { times }) => sum + times, 0);
  const far = bench.best >= bench.of ? `whole, ${bench.of} cut` : `${bench.made} of ${bench.of}`;
  return harm > 0 ? `${far}, harm ${harm}×` : far;
}

function AtBench({ bench }: { readonly bench: NonNullable<Learner['bench']> }) {
  const { made, of, best, sought, found } = bench;
  return (
    <p>
      <b>At the bench</b> {made} of {of} in the blank that is on{best > made && `, ${best} in the best`}.
      {bench.harms.length > 0 && ` Done to it: ${harmText(bench)}.`}
      {sought > 0 && ` Hidden faults found: ${found} of ${sought}.`}
    </p>
  );
}

function Rows({
  learner,
  atBench,
  open,
  onOpen,
  onRemove,
}: {
  readonly learner: Learner;
  readonly atBench: boolean;
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
        {atBench && <td>{benchText(learner)}</td>}
        <td>{whenText(newest(learner))}</td>
        <td>
          {stuck
            .slice(0, 2)
            .map(({ kind }) => titleOf(kind))
            .join(', ') || '–'}
        </td>
      </tr>
      {open && (
        <tr className="class-more">
          <td colSpan={atBench ? 6 : 5}>
            {learner.bench && <AtBench bench={learner.bench} />}
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
