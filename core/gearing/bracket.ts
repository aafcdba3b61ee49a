import { plural } from '../units/index.ts';
import type { GearTable } from './gears.ts';
import { meshesOf, type Train } from './trains.ts';

/** What a head's bracket takes. */
export interface Bracket {
  /** Has it a stud for two gears side by side? */
  readonly stud: boolean;
  /** Idlers it has room for. */
  readonly idlers: number;
}

/**
 * Why a train cannot go on a bracket, in words; null when it can. @param bracket null for a head that cannot
 * be geared
 */
export function bracketRefuses(bracket: Bracket | null, train: Train, idlers: number): string | null {
  if (!bracket) return 'it cannot be geared';
  if (train.second && !bracket.stud) return 'its bracket has no stud for two gears side by side';
  if (idlers <= bracket.idlers) return null;
  const room = bracket.idlers === 0 ? 'no idler' : `${plural(bracket.idlers, 'idler')} at most`;
  return `its bracket takes ${room}, and this train needs ${idlers}`;
}

/** Do the owned gears hold a train, each used only as often as owned? */
export function ownsTrain({ counts }: GearTable, train: Train): boolean {
  const wheels = meshesOf(train).flatMap(({ driver, driven }) => [driver, driven]);
  return wheels.every(
    (teeth) => wheels.filter((other) => other === teeth).length <= (counts.get(teeth) ?? 0),
  );
}
