import type { DividingInput } from './schema.ts';
import { fieldAt, type Issue } from '../findings/index.ts';
import type { Head } from '../shop/index.ts';
import { decimalText, exact, plural } from '../units/index.ts';
import { countOf, type Aim } from './aim.ts';
import { circleNeeded, circlesOf, nearestSimpleCounts } from './simple.ts';
import { outWithLead } from './withLead.ts';
import type { LeadGearing } from './way.ts';

/** With the lead geared, only the crank’s own plate divides. */
function noneWithLead({
  head,
  aim,
  leadGearing: { drive },
  path,
}: {
  readonly head: Head;
  readonly aim: Aim;
  readonly leadGearing: LeadGearing;
  readonly path: string;
}): Issue {
  const ratio = exact(head.ratio);
  const count = countOf(aim);
  const circles = circlesOf(head.plates);
  const { below, above } =
    count === null || drive === 'spindle'
      ? { below: null, above: null }
      : nearestSimpleCounts(ratio, count, circles);
  const near = [below, above].filter((n) => n !== null).join(' and ');
  const needed = circleNeeded(ratio.mul(aim.step).mul(aim.stride));
  const need =
    drive === 'spindle'
      ? outWithLead('simple', drive)!
      : `it needs a circle whose holes are a multiple of ${needed}`;
  const allowed = near ? `The nearest counts that do: ${near}.` : '';
  return {
    code: 'lead-no-indexing',
    path: fieldAt<DividingInput>(path, 'choice'),
    severity: 'blocked',
    given: plural(count ?? aim.spaces, 'part'),
    allowed,
    detail: { need, holes: plural(count ?? aim.spaces, 'hole') },
  };
}

/** What can be said when nothing that is found at once comes out exactly. */
export function noneFits({
  head,
  aim,
  lead,
  path,
}: {
  readonly head: Head;
  readonly aim: Aim;
  readonly lead: LeadGearing | null;
  readonly path: string;
}): Issue {
  if (lead) return noneWithLead({ head, aim, leadGearing: lead, path });
  if (head.plates.length === 0 && head.rings.length === 0) {
    return {
      code: 'no-plates',
      path: fieldAt<DividingInput>(path, 'headId'),
      severity: 'blocked',
      given: head.name,
      detail: { head: head.name },
    };
  }
  const ratio = exact(head.ratio);
  const needed = circleNeeded(ratio.mul(aim.step).mul(aim.stride));
  const need = `it needs a circle whose holes are a multiple of ${needed}`;
  const count = countOf(aim);
  if (count === null) {
    return {
      code: 'angle-not-simple',
      path: fieldAt<DividingInput>(path, 'choice'),
      severity: 'blocked',
      given: `${decimalText(aim.step.mul(360), 6)}°`,
      detail: { need },
    };
  }
  const { below, above } = nearestSimpleCounts(ratio, count, circlesOf(head.plates));
  const near = [below, above].filter((n) => n !== null).join(' and ');
  return {
    code: 'no-simple-indexing',
    path: fieldAt<DividingInput>(path, 'choice'),
    severity: 'blocked',
    given: String(count),
    allowed: near ? `The nearest counts that do index: ${near}.` : 'No other count near it does either.',
    detail: { need },
  };
}
