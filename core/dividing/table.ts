import type { Mill } from '../shop/index.ts';
import { exact, exactText, parsePositiveLength, type Exact } from '../units/index.ts';
import { fail, ok, type Result } from '../findings/index.ts';
import type { Aim } from './aim.ts';
import { proveChoice } from './proof.ts';
import type { ChoiceOf } from './schema.ts';
import { choiceText } from './words.ts';
import type { Way } from './way.ts';

/** A row of spaces along a line as an aim in which a millimetre takes the place of a turn. */
export const lineAim = (spaces: number, pitch: Exact): Aim => ({
  spaces,
  step: pitch,
  full: false,
  stride: 1,
  diameter: null,
});

/** A pitch in millimetres, kept to a nanometre: π has no end, and nobody's dial sees the rest. */
export const pitchText = (mm: Exact): string => exactText(exact(mm.valueOf().toFixed(6)));

/**
 * Moving the table by its own screw: every space read from the first, so that rounding to a mark never adds
 * up.
 * @param pitch mm from one space to the next
 * Issues: those of the length parser, at the mill's lead
 */
export function tableWay(mill: Mill, spaces: number, pitch: Exact): Result<Way> {
  const lead = parsePositiveLength(mill.lead, 'The lead of the table screw');
  if (!lead.ok) return fail(...lead.issues);
  const choice: ChoiceOf<'table'> = {
    method: 'table',
    advance: pitchText(pitch),
    millId: mill.id,
    millName: mill.name,
    lead: exactText(lead.value),
    marks: mill.marks,
  };
  return ok({
    key: `table:${mill.id}:${choice.advance}`,
    method: 'table',
    words: choiceText(choice),
    armsHoles: null,
    change: null,
    trouble: 0,
    because: 'read from the first place, so nothing adds up',
    geared: null,
    proof: proveChoice(exact(1), choice, lineAim(spaces, exact(choice.advance))),
    choice,
  });
}
