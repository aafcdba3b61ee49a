import { REACHES } from '../../core/dividing/index.ts';
import type { Equipment, Head } from '../../core/shop/index.ts';
import { useReach, WorkBroke } from '../workers/index.ts';
import { CountStrip, REACH_SAYS } from './CountStrip.tsx';

interface NearCountsProps {
  /** The head that will divide; null when none is chosen. */
  readonly head: Head | null;
  readonly gearSets: Equipment['gearSets'];
  readonly count: number | null;
  /** Is the work geared to the table while it is cut, as a helical gear is? */
  readonly leadGeared?: boolean;
  readonly onChoose: (count: number) => void;
}

const NEAR = 5;
const MOST = 1000;

/** Where a person may still choose a count: those near it, and how this head has each. */
export function NearCounts({ head, gearSets, count, leadGeared = false, onChoose }: NearCountsProps) {
  const { found: reach, broken } = useReach(head ? [head] : [], { gearSets, to: MOST, leadGeared });
  if (!head || count === null || count < 2 || count > MOST) return null;
  const place = reach?.[count - 2];
  return (
    <div className="near-counts">
      <p className="soft">
        {count} on {head.name}
        {leadGeared ? ', the lead geared' : ''}:{' '}
        {place === undefined ? '…' : REACH_SAYS[REACHES[place]!].word}. Press another to take it.
      </p>
      <WorkBroke what="Working out the counts" broken={broken} />
      <CountStrip reach={reach} to={MOST} chosen={count} onChoose={onChoose} near={NEAR} />
    </div>
  );
}
