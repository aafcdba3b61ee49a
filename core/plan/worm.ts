import { planDrive } from '../drive/index.ts';
import type { WormPart } from '../job/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { planLathe, planWorm, type AngleScale, type LatheGround } from '../worm/index.ts';
import { finishStation } from './finish.ts';
import type { PartPlan } from './types.ts';

/** What a worm is planned on. */
export interface WormGround {
  readonly lathe: LatheGround;
  /** Of the mill its wheel is gashed on, where that is known. */
  readonly scale: AngleScale | null;
}

/** A worm: the drive, the lathe that cuts its thread, the thread and its tool. It has no spaces to count at the mill. */
export function planWormPart(
  part: WormPart,
  { lathe: ground, scale }: WormGround,
  system: UnitSystem,
): PartPlan {
  const path = `parts.${part.id}`;
  const drive = planDrive(part.drive, `${path}.drive`, system);
  const lathe = planLathe(part.lathe, drive.facts, ground, `${path}.lathe`, system);
  const worm = planWorm(part.worm, drive.facts, scale, `${path}.worm`, system);
  const { settled } = part;
  return {
    id: part.id,
    kind: part.kind,
    name: part.name,
    stations: [
      finishStation('drive', drive, settled.drive, system),
      finishStation('lathe', lathe, settled.lathe, system),
      finishStation('worm', worm, settled.worm, system),
    ],
    cutting: null,
  };
}
