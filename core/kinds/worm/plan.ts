import { finishPart, type PartGround, type PartPlan } from '../../card/index.ts';
import { planDrive } from '../../drive/index.ts';
import { planLathe, planWorm } from '../../worm/index.ts';
import type { WormPart } from './document.ts';

/**
 * A worm: the drive, the lathe that cuts its thread, the thread and its tool. It has no spaces to count at
 * the mill.
 */
export function planWormPart(part: WormPart, on: PartGround): PartPlan {
  const { units, scale } = on;
  const at = (field: string) => ({ path: `${on.path}.${field}`, units });
  const drive = planDrive({ input: part.drive, ...at('drive') });
  const { facts } = drive;
  const lathe = planLathe({ input: part.lathe, drive: facts, ground: on.lathe, ...at('lathe') });
  const worm = planWorm({ input: part.worm, drive: facts, scale, ...at('worm') });
  return finishPart(part, units, { works: { drive, lathe, worm }, cutting: null });
}
