import { cuttingBy, finishPart, type PartGround, type PartPlan } from '../../card/index.ts';
import { planCut } from '../../cut/index.ts';
import { planDividing } from '../../dividing/index.ts';
import { planSetup, type SetupWork } from '../../setup/index.ts';
import { planSpacing } from '../../spacing/index.ts';
import type { DividePart } from './document.ts';

/**
 * Something to be divided that is no gear: what is asked for, how the head or the table gives it, and the
 * rounds.
 */
export function planDivide(part: DividePart, on: PartGround): PartPlan {
  const { units } = on;
  const at = (field: string) => ({ path: `${on.path}.${field}`, units });
  const spacing = planSpacing({ input: part.spacing, ...at('spacing') });
  const { facts } = spacing;
  const { drawing } = spacing.detail;
  const onTable = facts?.target.along === 'line';
  const target = facts && facts.target;
  const dividing = planDividing({ input: part.dividing, target, ground: on.dividing, ...at('dividing') });
  const wholeDepth = facts && (facts.depth ?? 'free');
  const cut = planCut({ input: part.cut, wholeDepth, spaces: facts, ...at('cut') });
  const work: SetupWork = {
    outside: drawing?.along === 'turn' ? drawing.diameter : null,
    bore: null,
    face: null,
    module: null,
    teeth: facts && facts.spaces,
    helixDeg: 0,
    rounds: cut.detail.rounds,
    // along the table it is divided, so it is cut across
    travels: onTable ? 'cross slide' : 'table',
    sizes: null,
  };
  const setup = planSetup({ input: part.setup, work, shop: on.setup, picked: null, ...at('setup') });
  const cutting =
    facts && dividing.facts && cut.facts
      ? {
          ...cuttingBy(cut.facts, cut.detail, setup),
          divisions: facts.spaces,
          divides: facts.divides,
          full: facts.full,
          touchOn: onTable ? ('top' as const) : ('outside' as const),
          outside: setup.detail.outside,
        }
      : null;
  return finishPart(part, units, { works: { spacing, dividing, setup, cut }, cutting });
}
