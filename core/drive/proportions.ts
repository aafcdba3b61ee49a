import { radiansOf } from '../units/index.ts';
/** How a worm's thread is shaped, as parts of its axial pitch. */
export interface WormProportions {
  readonly id: '29' | '40' | 'typed';
  readonly name: string;
  /** Half of the tool's included angle, radians. */
  readonly pressureAngle: number;
  /** Parts of the axial pitch. */
  readonly addendum: number;
  readonly depth: number;
  readonly source: string;
}

/**
 * The two schools. The 29° one is printed for single and double threads; the metric one goes by module.
 * Sources: Machinery’s Handbook, worm threads of 29° (0.3183 and 0.6866 of the pitch); for 40°, a depth of
 * 2.2 m: common practice
 */
export const WORM_SCHOOLS: readonly WormProportions[] = [
  {
    id: '29',
    name: '29° thread',
    pressureAngle: radiansOf(14.5),
    addendum: 0.3183,
    depth: 0.6866,
    source: 'Machinery’s Handbook, worm threads',
  },
  {
    id: '40',
    name: '40° thread, by module',
    pressureAngle: radiansOf(20),
    addendum: 1 / Math.PI,
    depth: 2.2 / Math.PI,
    source: 'common practice',
  },
];

/**
 * Width of the tool's flat tip and of the thread's crest, as parts of the axial pitch: at the pitch line
 * thread and space are alike, and either flank leans by the pressure angle.
 * @returns for 29°: 0.310 and 0.335, as printed
 * Source: geometry of the thread; Machinery’s Handbook prints 0.310 and 0.335 of the pitch
 */
export function flatAndCrest({ pressureAngle, addendum, depth }: WormProportions): {
  readonly flat: number;
  readonly crest: number;
} {
  const lean = 2 * Math.tan(pressureAngle);
  return { flat: 0.5 - lean * (depth - addendum), crest: 0.5 - lean * addendum };
}
