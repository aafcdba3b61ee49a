import type { FormGround } from '../../core/cutter/index.ts';
import type { Continuation } from '../../core/toothform/index.ts';
import { useAnswer } from './useAnswer.ts';

/** What each cutter of a comparison leaves on the flank. @param ground null asks nothing */
export const useFormErrors = (ground: FormGround | null) => useAnswer('errorsOf', ground && [ground]);

interface TemplateWanted {
  readonly continuation: Continuation;
  /** Times life size; null where it cannot be used. */
  readonly scale: number | null;
  readonly as: 'form' | 'buttons';
  readonly title: string;
}

/** A template for a tool ground to this very count. @param ground null asks nothing */
export function useTemplate(ground: FormGround | null, wanted: TemplateWanted) {
  const { continuation, scale, as, title } = wanted;
  return useAnswer('template', ground && scale ? [ground, { continuation, scale, as, title }] : null);
}
