import { useLocation, useNavigate } from 'react-router';
import { laidLike, type Job } from '../../core/job/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { useDraft } from '../edits/index.ts';
import { Notice } from '../frame/index.ts';

/** What a fresh card was laid like, kept with the place in the browser's history. */
export interface LaidState {
  readonly laid: {
    /** Name of the job before. */
    readonly like: string;
    readonly kept: readonly string[];
    /** The card as it would be without. */
    readonly plain: Job;
  };
}

const isLaid = (state: unknown): state is LaidState =>
  typeof state === 'object' && state !== null && 'laid' in state;

/** Tells, on the first station of a fresh card, what stands there as the last time; it can be laid plain. */
export function LaidLike({ job, shop }: { readonly job: Job; readonly shop: Equipment }) {
  const { state, pathname } = useLocation();
  const edit = useDraft((draft) => draft.edit);
  const navigate = useNavigate();
  if (!isLaid(state) || state.laid.plain.id !== job.id) return null;
  const { like, kept, plain } = state.laid;
  const dismiss = () => void navigate(pathname, { replace: true, state: null });
  const layPlain = () => {
    // the plain card's habits in place of the last job's: what was typed since stays
    edit((now) => laidLike(now, plain, shop).job);
    dismiss();
  };
  return (
    <Notice tone="good" word={`As in ${like}:`}>
      {kept.join(', ')}.{' '}
      <button type="button" className="plain-link" onClick={layPlain}>
        Lay it plain
      </button>
    </Notice>
  );
}
