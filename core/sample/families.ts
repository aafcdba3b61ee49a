import { standardPitches } from '../gear/index.ts';
import { approx, pitchText, type Pitch } from '../units/index.ts';

/** A way teeth are made: pitch system, angle, height. Angle null: what was read does not tell it. */
export interface Family {
  readonly id: string;
  readonly system: Pitch['system'];
  readonly angleDeg: number | null;
  readonly stub: boolean;
  readonly helical: boolean;
  /**
   * How much less it is met than the commonest, in the same measure as the misfit of a reading. Common
   * practice.
   */
  readonly rarity: number;
}

const family = ({
  system,
  angleDeg,
  stub,
  rarity,
}: {
  readonly system: Pitch['system'];
  readonly angleDeg: number | null;
  readonly stub: boolean;
  readonly rarity: number;
}): Family => ({
  id: `${system}${angleDeg === null ? '' : `-${angleDeg}`}${stub ? '-stub' : ''}`,
  system,
  angleDeg,
  stub,
  helical: false,
  rarity,
});

/** Families told apart by a span over teeth. */
const BY_ANGLE: readonly Family[] = [
  family({ system: 'module', angleDeg: 20, stub: false, rarity: 0 }),
  family({ system: 'dp', angleDeg: 14.5, stub: false, rarity: 0.1 }),
  family({ system: 'dp', angleDeg: 20, stub: false, rarity: 0.2 }),
  family({ system: 'dp', angleDeg: 20, stub: true, rarity: 1.4 }),
  family({ system: 'module', angleDeg: 14.5, stub: false, rarity: 1.6 }),
  family({ system: 'module', angleDeg: 20, stub: true, rarity: 2 }),
  family({ system: 'dp', angleDeg: 25, stub: false, rarity: 2.2 }),
];
/** Without one, the angle stays open. */
const ANGLE_OPEN: readonly Family[] = [
  family({ system: 'module', angleDeg: null, stub: false, rarity: 0 }),
  family({ system: 'dp', angleDeg: null, stub: false, rarity: 0.1 }),
  family({ system: 'dp', angleDeg: null, stub: true, rarity: 1.4 }),
  family({ system: 'module', angleDeg: null, stub: true, rarity: 2 }),
];

const HELICAL = 1.2;

/** The families to look through. @param angleTold was anything read that tells the angle? */
export function families(angleTold: boolean, helix: 'none' | 'seen' | 'not-looked'): readonly Family[] {
  const spur = angleTold ? BY_ANGLE : ANGLE_OPEN;
  const helical = spur
    .filter(({ stub, angleDeg }) => !stub && angleDeg !== 25)
    .map((one) => ({
      ...one,
      id: `${one.id}-helical`,
      helical: true,
      rarity: one.rarity + (helix === 'seen' ? 0 : HELICAL),
    }));
  if (helix === 'none') return spur;
  return helix === 'seen' ? helical : [...spur, ...helical];
}

export interface KnownPitch {
  readonly pitch: Pitch;
  readonly text: string;
  /** mm */
  readonly module: number;
  readonly rarity: number;
}

/** Diametral pitches found in every shop. Common practice. */
const COMMON_DP = new Set([4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 24, 32, 48, 64]);
const known = (pitch: Pitch, rarity: number): KnownPitch => ({
  pitch,
  text: pitchText(pitch),
  module: approx(pitch.module),
  rarity,
});

/**
 * Every standard pitch of a system, with how much less it is met. Source of the series: ISO 54;
 * standardPitches.ts
 */
export const PITCHES: Readonly<Record<Pitch['system'], readonly KnownPitch[]>> = {
  module: standardPitches('module').map(({ pitch, series }) => known(pitch, series === 'II' ? 0.9 : 0)),
  dp: standardPitches('dp').map(({ pitch }) => known(pitch, COMMON_DP.has(approx(pitch.figure)) ? 0 : 0.9)),
};
