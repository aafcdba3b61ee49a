import { Notice } from '../frame/index.ts';
import type { Broken } from './useAnswer.ts';

/** Says that work off the drawing thread broke off, and has it done again. */
export function WorkBroke({ what, broken }: { readonly what: string; readonly broken: Broken | null }) {
  if (!broken) return null;
  return (
    <Notice
      tone="wrong"
      actions={
        <button type="button" className="plain-link" onClick={broken.again}>
          Try again
        </button>
      }
    >
      {what} broke off ({broken.words}). Nothing is lost.
    </Notice>
  );
}
