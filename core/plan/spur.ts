import { planBlank } from '../blank/index.ts';
import { planCut } from '../cut/index.ts';
import { planCutter } from '../cutter/index.ts';
import { planDividing, type DividingGround } from '../dividing/index.ts';
import { planGear, readGear } from '../gear/index.ts';
import type { SpurPart } from '../job/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { finishStation } from './finish.ts';
import type { PartPlan } from './types.ts';

/**
 * A spur part, station by station in shop order; each builds on the facts of those before it.
 * Stations that do not need what is missing still answer.
 */
export function planSpur(part: SpurPart, ground: DividingGround, system: UnitSystem): PartPlan {
  const path = `parts.${part.id}`;
  const read = readGear(part.gear, system);
  const gear = planGear(read, `${path}.gear`, system);
  const blank = planBlank(part.blank, gear.facts, path, system);
  const cutter = planCutter(read.teeth, path);
  const dividing = planDividing(part.dividing, read.teeth, ground, `${path}.dividing`);
  const cut = planCut(part.cut, read.depth?.wholeDepth ?? null, read.teeth, `${path}.cut`, system);
  const { settled } = part;
  const ready = gear.facts && blank.facts && dividing.facts && cut.facts;
  return {
    id: part.id,
    kind: part.kind,
    name: part.name,
    stations: [
      finishStation('gear', gear, settled.gear, system),
      finishStation('blank', blank, settled.blank, system),
      finishStation('cutter', cutter, settled.cutter, system),
      finishStation('dividing', dividing, settled.dividing, system),
      finishStation('cut', cut, settled.cut, system),
    ],
    cutting: ready
      ? { divisions: gear.facts.teeth, startSpace: cut.facts.startSpace, rounds: cut.detail.rounds }
      : null,
  };
}
