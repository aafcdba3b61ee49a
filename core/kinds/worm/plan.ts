import { finishStation, type PartGround, type PartPlan } from '../../card/index.ts';
import { planDrive } from '../../drive/index.ts';
import type { WormPart } from './document.ts';
import { planLathe, planWorm } from '../../worm/index.ts';

/** A worm: the drive, the lathe that cuts its thread, the thread and its tool. It has no spaces to count at the mill. */
export function planWormPart(part: WormPart, on: PartGround): PartPlan {
  const { lathe: ground, scale, path, units: system } = on;
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
