import { dequal } from 'dequal';
import { standingFor, type LeadGearing, type Preparation, type Way } from '../../../core/dividing/index.ts';
import type { Head } from '../../../core/shop/index.ts';
import { editShop } from '../../edits/index.ts';

interface PreparationListProps {
  readonly steps: readonly Preparation[];
  readonly way: Way;
  readonly head: Head | null;
  /** How the work is geared to the table, for a helical gear. */
  readonly lead: LeadGearing | null;
  readonly shopHeads: readonly Head[];
}

/** What to do on the head first: only what changes from how it stands. */
export function PreparationList({ steps, way, head, lead, shopHeads }: PreparationListProps) {
  const live = head && shopHeads.find(({ id }) => id === head.id);
  const stands = live ? standingFor(way, live, lead) : null;
  const standsSo = live && stands && dequal(stands, { mounted: live.mounted, standing: live.standing });
  const remember = () => {
    if (!stands || !live) return;
    editShop((now) => ({
      ...now,
      heads: now.heads.map((other) => (other.id === live.id ? { ...other, ...stands } : other)),
    }));
  };
  return (
    <section className="preparation" aria-label="Preparing">
      <h3 className="methods-head">Prepare: what changes from how it stands now</h3>
      {steps.length === 0 ? (
        <p className="said">Nothing: it stands ready for this way.</p>
      ) : (
        <ol>
          {steps.map(({ key, what, why }) => (
            <li key={key}>
              {what}
              {why && <span className="soft"> ({why})</span>}
            </li>
          ))}
        </ol>
      )}
      {live &&
        (standsSo ? (
          <p className="soft">The shop remembers that the head stands so.</p>
        ) : (
          <button type="button" className="use-button is-wide" onClick={remember}>
            Done: the head stands so now
          </button>
        ))}
    </section>
  );
}
