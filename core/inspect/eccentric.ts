import { degreesOf } from '../units/index.ts';
/** What indicator readings at equal steps round a blank say of how it stands. */
export interface Eccentric {
  readonly readings: readonly number[];
  /** Most less least, mm. */
  readonly runout: number;
  /** How far the middle is off, by the best circle, mm. */
  readonly off: number;
  /** Where it is highest, degrees from the first reading the way they were taken, 0 ≤ … < 360. */
  readonly towardDeg: number;
  /** The most that a reading lies off that circle: out of round, dirt, a slipped indicator. mm */
  readonly rest: number;
}

/** Fewer readings than this cannot tell a direction from a dent. */
export const LEAST_READINGS = 3;

/**
 * The first harmonic of readings taken at equal steps: for a circle off its middle by e the reading is
 * e·cos(θ − φ), to a part in e/r.
 * @param readings mm, at least 3 Source: least squares on a circle; tested on a shifted circle
 */
export function eccentricOf(readings: readonly number[]): Eccentric {
  const n = readings.length;
  const step = (2 * Math.PI) / n;
  const mean = readings.reduce((sum, r) => sum + r, 0) / n;
  const along = (of: (angle: number) => number) =>
    (2 / n) * readings.reduce((sum, r, i) => sum + r * of(i * step), 0);
  const [x, y] = [along(Math.cos), along(Math.sin)];
  const off = Math.hypot(x, y);
  const toward = (degreesOf(Math.atan2(y, x)) + 360) % 360;
  const on = (i: number) => mean + x * Math.cos(i * step) + y * Math.sin(i * step);
  return {
    readings,
    runout: Math.max(...readings) - Math.min(...readings),
    off,
    towardDeg: off < 1e-12 ? 0 : toward,
    rest: Math.max(...readings.map((r, i) => Math.abs(r - on(i)))),
  };
}

/**
 * What a runout is good enough for. Common practice, no source: figures of the bench, not of a standard. mm
 */
export const GOOD_FOR = [
  { upTo: 0.02, say: 'good for a quiet drive' },
  { upTo: 0.05, say: 'good for a slow drive; a quiet one would be heard' },
  { upTo: 0.12, say: 'good for a display or hand-turned gear' },
  { upTo: Infinity, say: 'too much for any gear that runs: indicate it again' },
] as const;

export const goodFor = (runout: number): string => GOOD_FOR.find(({ upTo }) => runout <= upTo + 1e-9)!.say;
