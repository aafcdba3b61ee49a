import {
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { tableOfGears, type GearTable } from '../gearing/index.ts';
import type { GearSet, Head, Mill } from '../shop/index.ts';
import { approx, parseLength, parsePositiveLength, type Exact } from '../units/index.ts';
import type { LeadInput } from './schema.ts';
import type { LeadCutter, LeadGround } from './types.ts';

export interface Equipped {
  readonly head: Head;
  readonly mill: Mill;
  readonly screwLead: Exact;
  readonly gearSet: GearSet;
  readonly table: GearTable;
}

/**
 * Head, mill and gears, or what is lacking. Issues: no-head, lead-head-not-geared, lead-no-mill,
 * lead-screw-unknown, lead-no-gears, lead-gears-one
 */
export function equip(
  input: LeadInput,
  { head, mill, gearSets }: LeadGround,
  path: string,
): Result<Equipped> {
  const blocked = <Code extends IssueCode>(code: Code, given = '', ...figures: FiguresOf<Code>): Issue =>
    issueOf(code, { path, severity: 'blocked', given }, ...figures);
  const setId = input.gearSetId ?? head?.differential?.gearSetId;
  const gearSet = gearSets.find(({ id }) => id === setId) ?? null;
  const lead = mill && parsePositiveLength(mill.lead, 'The lead of the screw');
  const table = gearSet && tableOfGears(gearSet.gears);
  const owned = gearSet?.gears.reduce((sum, { count }) => sum + count, 0) ?? 0;
  const issues: Issue[] = [];
  if (!head) issues.push(blocked('no-head'));
  else if (!head.differential) issues.push(blocked('lead-head-not-geared', head.name));
  else if (!gearSet || owned === 0) issues.push(blocked('lead-no-gears', gearSet?.name ?? head.name));
  else if (owned === 1) issues.push(blocked('lead-gears-one', gearSet.name));
  if (!mill) issues.push(blocked('lead-no-mill'));
  else if (!lead?.ok) issues.push(blocked('lead-screw-unknown', mill.name));
  if (issues.length > 0 || !head || !mill || !lead?.ok || !gearSet || !table) return fail(...issues);
  return ok({ head, mill, screwLead: lead.value, gearSet, table });
}

/** How far a cutter reaches, from what the shop says of it. */
export function leadCutter(
  cutter: { readonly diameter: Mill['lead']; readonly width: Mill['lead'] } | null,
): LeadCutter {
  const read = (typed: Mill['lead'] | undefined) => {
    const length = typed && typed.typed.trim() !== '' ? parseLength(typed) : null;
    return length?.ok ? approx(length.value) : null;
  };
  return { diameter: read(cutter?.diameter), width: read(cutter?.width) };
}
