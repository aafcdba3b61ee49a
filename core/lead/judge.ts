import { toldLength, fieldAt, type Issue } from '../findings/index.ts';
import { trainText, type GearTable } from '../gearing/index.ts';
import type { Head } from '../shop/index.ts';
import { approx, lengthText, type Exact, type UnitSystem } from '../units/index.ts';
import { reachOfLeads } from './leadTrains.ts';
import type { LeadInput } from './schema.ts';
import type { LeadWay } from './types.ts';

/** The lead that is farther off than this, as a part of itself, is no lead for this gear. */
export const OUT_OF_REACH = 0.02;

/** Issues: lead-off, lead-bracket */
export function judgeWay({
  way,
  allowed,
  head,
  path,
  system,
}: {
  readonly way: LeadWay;
  readonly allowed: number;
  readonly head: Head;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  const issues: Issue[] = [];
  if (Math.abs(way.overFace) > allowed * 1000)
    issues.push({
      code: 'lead-off',
      path: fieldAt<LeadInput>(path, 'choice'),
      severity: 'query',
      given: trainText(way.train),
      detail: {
        off: Math.abs(way.overFace),
        most: toldLength(allowed, system, 'fine'),
      },
    });
  if (way.refused)
    issues.push({
      code: 'lead-bracket',
      path: fieldAt<LeadInput>(path, 'choice'),
      severity: 'blocked',
      given: trainText(way.train),
      detail: { head: head.name, why: way.refused },
    });
  return issues;
}

/** Issues: lead-out-of-reach */
export function outOfReach({
  wanted,
  table,
  drive,
  compound,
  machine,
  ratio,
  path,
  system,
}: {
  readonly wanted: number;
  readonly table: GearTable;
  readonly drive: LeadInput['drive'];
  readonly compound: boolean;
  readonly machine: Exact;
  readonly ratio: Exact;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue {
  const mm = (value: number) => lengthText(value, system);
  const [shortest, longest] = reachOfLeads(table, machine, compound) ?? [0, 0];
  // the same gears on the other shaft
  const other =
    drive === 'worm'
      ? [shortest / approx(ratio), longest / approx(ratio)]
      : [shortest * approx(ratio), longest * approx(ratio)];
  const serves = wanted >= other[0]! && wanted <= other[1]!;
  const way = drive === 'worm' ? 'Past the worm, on the spindle itself,' : 'Through the worm';
  const hint = serves
    ? `${way} they cut from ${mm(other[0]!)} to ${mm(other[1]!)}.`
    : wanted > longest
      ? 'A finer angle has a longer lead: this one wants a head of a larger ratio, or gears that differ more.'
      : 'A steeper angle has a shorter lead: it wants gears that differ more.';
  return {
    code: 'lead-out-of-reach',
    path: fieldAt<LeadInput>(path, 'choice'),
    severity: 'blocked',
    given: mm(wanted),
    detail: { shortest: toldLength(shortest, system), longest: toldLength(longest, system), try: hint },
  };
}
