import { finishStation, type PartGround, type PartPlan } from '../../card/index.ts';
import { planCut } from '../../cut/index.ts';
import { planDividing } from '../../dividing/index.ts';
import type { DividePart } from './document.ts';
import { planSetup } from '../../setup/index.ts';
import { planSpacing } from '../../spacing/index.ts';

/** Something to be divided that is no gear: what is asked for, how the head or the table gives it, and the rounds. */
export function planDivide(part: DividePart, on: PartGround): PartPlan {
  const { dividing: ground, setup: shop, path, units: system } = on;
  const spacing = planSpacing(part.spacing, `${path}.spacing`, system);
  const { facts } = spacing;
  const dividing = planDividing(part.dividing, facts?.target ?? null, ground, `${path}.dividing`);
  const cut = planCut(part.cut, facts && (facts.depth ?? 'free'), facts, `${path}.cut`, system);
  const outside = spacing.detail.drawing?.along === 'turn' ? spacing.detail.drawing.diameter : null;
  const setup = planSetup(
    part.setup,
    {
      outside,
      bore: null,
      face: null,
      module: null,
      teeth: facts?.spaces ?? null,
      helixDeg: 0,
      rounds: cut.detail.rounds,
      // along the table it is divided, so it is cut across
      travels: facts?.target.along === 'line' ? 'cross slide' : 'table',
      sizes: null,
    },
    shop,
    null,
    `${path}.setup`,
    system,
  );
  const { settled } = part;
  const ready = facts && dividing.facts && cut.facts;
  return {
    id: part.id,
    kind: part.kind,
    name: part.name,
    stations: [
      finishStation('spacing', spacing, settled.spacing, system),
      finishStation('dividing', dividing, settled.dividing, system),
      finishStation('setup', setup, settled.setup, system),
      finishStation('cut', cut, settled.cut, system),
    ],
    cutting: ready
      ? {
          divisions: facts.spaces,
          full: facts.full,
          startSpace: cut.facts.startSpace,
          rounds: cut.detail.rounds,
          helix: null,
          laid: null,
          touchOn: facts.target.along === 'line' ? 'top' : 'outside',
          mount: setup.detail.mount,
          safe: setup.facts?.safe ?? null,
          minutesPerCut: setup.facts?.minutesPerCut ?? null,
          outside: setup.detail.outside,
          bore: null,
        }
      : null,
  };
}
