import { exact, MM_PER_INCH, type Exact } from '../units/index.ts';
import { toothSystem, TOOTH_SYSTEMS, type ToothSystem, type ToothSystemId } from './toothSystems.ts';

/** How deep to cut, and on whose word. */
export interface ToothDepth {
  /** mm */
  readonly addendum: Exact;
  /** mm */
  readonly wholeDepth: Exact;
  readonly from: 'rule' | 'stamped' | 'typed';
  readonly rule: ToothSystem | null;
  /** Where a typed depth was read. */
  readonly readFrom?: string;
}

/**
 * Addendum and whole depth by a printed rule.
 * @param module mm, > 0
 * @returns mm, exact
 * Source: the system's own, see toothSystems.ts
 */
export function depthByRule(id: ToothSystemId, module: Exact): ToothDepth {
  const rule = toothSystem(id);
  const extra = rule.plusInch ? exact(rule.plusInch).mul(MM_PER_INCH) : exact(0);
  return {
    addendum: module.mul(exact(rule.addendum)),
    wholeDepth: module.mul(exact(rule.wholeDepth)).add(extra),
    from: 'rule',
    rule,
  };
}

/**
 * The depth stamped on the cutter ("D+f") wins over every formula: it is that cutter's own clearance.
 * The addendum stays the rule's. Source: common practice.
 * @param stamped mm, > 0
 */
export function depthAsStamped(id: ToothSystemId, module: Exact, stamped: Exact): ToothDepth {
  return { ...depthByRule(id, module), wholeDepth: stamped, from: 'stamped' };
}

/** Every rule's depth for this pitch, to stand beside the one in use. @param module mm */
export function depthsOfAllSchools(module: Exact): readonly ToothDepth[] {
  return TOOTH_SYSTEMS.map((system) => depthByRule(system.id, module));
}
