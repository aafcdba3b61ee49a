import type { Head } from '../shop/index.ts';
import type { DividingChoice } from './schema.ts';
import type { LeadGearing, Method, MethodAnswer } from './way.ts';

const SAME_GEARS = 'The head’s gears are needed for the lead, and it cannot be geared for both.';
const WORM_OUT = 'The spindle is geared past the worm, so the crank does not turn it.';

/**
 * Why a choice cannot be used while the head is geared to the table; null when it can. With the lead geared
 * the plate turns with the table and carries the crank along by its pin: the pin alone is free to be moved.
 * Source: Machinery’s Handbook, helical milling; common practice
 */
export function leadRefuses(
  { rings }: Pick<Head, 'rings'>,
  { drive }: LeadGearing,
  choice: DividingChoice,
): string | null {
  switch (choice.method) {
    case 'simple':
    case 'nearest-hole':
      return drive === 'worm' ? null : WORM_OUT;
    case 'direct':
      return rings.some(({ id, onWork }) => id === choice.ringId && onWork)
        ? null
        : outWithLead('direct', drive);
    case 'differential':
    case 'compound':
    case 'handwheel':
    case 'stepper':
      return outWithLead(choice.method, drive);
    case 'table':
      return null;
  }
}

/** Why a method is out while the lead is geared; null when it may serve. */
export function outWithLead(method: Method, drive: LeadGearing['drive']): string | null {
  switch (method) {
    case 'differential':
      return SAME_GEARS;
    case 'compound':
      return 'The plate turns with the lead gears, so no back pin may hold it.';
    case 'handwheel':
      return 'The worm shaft carries a gear of the lead; a wheel on it would be turned by the table.';
    case 'stepper':
      return 'The worm is driven by the table; a motor on the crank would fight it.';
    case 'direct':
      return 'The head’s own direct pin locks the spindle that the lead has to turn. A ring between spindle and work serves.';
    case 'simple':
    case 'approximate':
      return drive === 'worm' ? null : WORM_OUT;
    case 'table':
      return null;
  }
}

/**
 * What methods answer once the lead is geared: ways that it forbids are taken out, and those it closes say
 * why.
 */
export function answersWithLead(
  answers: readonly MethodAnswer[],
  head: Head,
  lead: LeadGearing,
): MethodAnswer[] {
  return answers.map((answer) => {
    const ways = answer.ways.filter(({ choice }) => leadRefuses(head, lead, choice) === null);
    if (ways.length === answer.ways.length && ways.length > 0) return answer;
    const closed = outWithLead(answer.method, lead.drive);
    const fewer = answer.total - (answer.ways.length - ways.length);
    if (ways.length > 0) return { ...answer, ways, total: fewer };
    return { ...answer, ways, total: 0, out: closed ?? answer.out };
  });
}
