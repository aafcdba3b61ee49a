import type { Mill } from '../shop/index.ts';
import type { SafeReadings, SetupDetail } from './detail.ts';
import { dialOf } from './dial.ts';
import { approachOf, strokeOf } from './stroke.ts';

/**
 * How cutter and work stand to each other, and by which screw the cutter goes in: what every prompt at the
 * mill is worded by.
 */
export interface Mount {
  /** Null where the set-up names no mill. */
  readonly axis: 'horizontal' | 'vertical' | null;
  readonly place: 'above' | 'behind' | 'front';
  readonly feed: 'left' | 'right';
  /** Between cutter and work at the touch, mm. */
  readonly paper: number;
  /** Of the screw that sets the depth. */
  readonly dial: { readonly lead: number; readonly marks: number } | null;
  readonly readout: boolean;
}

/**
 * @param paper mm; what is held between cutter and work at the touch @param upright does the cutter stand
 * beside the work?
 */
export function mountOf(
  { thrust, feed }: Pick<SetupDetail, 'thrust' | 'feed'>,
  mill: Mill | null,
  { paper, upright }: { readonly paper: number; readonly upright: boolean },
): Mount {
  const screw = mill && dialOf(upright ? mill.cross : mill.knee);
  return {
    axis: mill && (upright ? 'vertical' : 'horizontal'),
    place: thrust.place,
    feed,
    paper,
    dial: screw && { lead: screw.lead, marks: screw.marks },
    readout: mill?.readout ?? false,
  };
}

/**
 * Where the table is clear to index when the cutter goes to another depth than the set-up was worked out for.
 * @param depth mm
 */
export function safeAtDepth(detail: SetupDetail, depth: number): SafeReadings | null {
  const { sink, stroke, face, cutter, helixDeg, indexAt } = detail;
  if (sink) return { way: 'sink', depth };
  if (!stroke || face === null || cutter.diameter === null) return null;
  const cutterWidth = cutter.width ?? 0;
  const { approach, through, clearAfter } = strokeOf({
    depth,
    face,
    cutterDiameter: cutter.diameter,
    cutterWidth,
    helixDeg,
  });
  return { way: 'along', approach, through, clearAfter, indexAt };
}

/** How deep a cut goes, and how deep its space is cut already; mm. */
export interface Deepening {
  readonly depth: number;
  /** 0 in uncut metal; < depth */
  readonly cutTo: number;
}

/**
 * What the table is to read where the cutter first touches in a cut: 0 is where it would touch at the depth
 * that `approach` was worked out for, and a shallower cutter, or one in a space that is roughed out, touches
 * later.
 * @param approach mm, of the deepest round
 * @returns mm, ≥ 0; null where the cutter’s diameter is not known
 * Source: √(h(D − h)) from a circle. In a space cut to p a disk as deep as h touches as one of h − p would on
 * the outside: its section at x from the middle is √(R² − x²) − (R − h) deep, and that passes p there.
 */
export function firstTouchReads(
  { cutter, helixDeg }: Pick<SetupDetail, 'cutter' | 'helixDeg'>,
  approach: number,
  { depth, cutTo }: Deepening,
): number | null {
  if (cutter.diameter === null) return null;
  // the side of a cutter in a space that leans touches sooner than its middle: reckoned by the middle, 0 is
  // never too near
  const cutterWidth = cutTo > 0 ? 0 : (cutter.width ?? 0);
  const touches = approachOf({
    depth: depth - cutTo,
    cutterDiameter: cutter.diameter,
    cutterWidth,
    helixDeg,
  });
  return Math.max(0, approach - touches);
}

/** Which handle brings the work in to the cutter and away from it, and what its screw is called. */
export interface Handle {
  readonly screw: string;
  readonly out: string;
  readonly in: string;
}

/**
 * Under an arbor the knee sets the depth; beside an upright spindle the cross slide does, from whichever side
 * the cutter stands: one that stands behind the work is drawn clear of by bringing the work towards you.
 */
export function handleOf(mount: Pick<Mount, 'axis' | 'place'> | null): Handle {
  if (mount?.axis === 'horizontal') return { screw: 'knee', out: 'lower the knee', in: 'raise the knee' };
  if (mount?.axis === 'vertical') {
    const [out, into] =
      mount.place === 'front' ? ['away from you', 'towards you'] : ['towards you', 'away from you'];
    return { screw: 'cross slide', out: `cross slide ${out}`, in: `cross slide ${into}` };
  }
  return {
    screw: 'screw that sets the depth',
    out: 'draw the work away from it',
    in: 'bring the work in to it',
  };
}
