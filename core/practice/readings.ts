import { baseHelix, overPins, spanOver, usualPin, usualSpan, type MeasuredGear } from '../inspect/index.ts';
import type { GearBench } from './bench.ts';
import { normalOf } from './helicalForm.ts';
import type { Machine } from './machine.ts';
import {
  acrossReads,
  depthReads,
  outsideReads,
  overTwoPins,
  spacesInOrder,
  spanAcross,
  type Where,
} from './measure.ts';

/** A reading on the work as it is, beside what the card wants; mm. Null: the card has no figure for it. */
export interface Reading {
  readonly reads: number;
  readonly wanted: number | null;
}

/** What caliper, pins and indicator find, and nothing that they could not find. */
export interface Readings {
  /** Spaces there are, and whether that is all of them. */
  readonly spaces: number;
  readonly whole: boolean;
  /** Over the outside; null where an odd count leaves no two tips opposite. */
  readonly outside: Reading | null;
  /** Of the spaces, below the lands beside them; null before there are two. */
  readonly depth: { readonly least: number; readonly most: number; readonly wanted: number } | null;
  /** Over so many teeth; null before there are two spaces. */
  readonly span: {
    readonly over: number;
    readonly at: readonly (Reading & { readonly where: Where })[];
  } | null;
  /** Over two pins; null before the gear is whole. */
  readonly pins: (Reading & { readonly pin: number }) | null;
  /** Tooth and space along the pitch circle. */
  readonly pitch: { readonly least: number; readonly most: number; readonly wanted: number } | null;
  /** An indicator over the lands, where the cutter enters. */
  readonly lands: { readonly least: number; readonly most: number } | null;
}

const PLACES: readonly Where[] = ['entry', 'middle', 'exit'];

const measured = ({
  gear,
  helix,
}: Pick<GearBench, 'gear' | 'helix'>): { readonly gear: MeasuredGear; readonly thinning: number } => {
  if (helix) {
    const normal = normalOf(gear, helix.drawnLead);
    const nominal = (Math.PI * gear.pitchDiameter) / gear.teeth / 2;
    return { gear: normal, thinning: (nominal - gear.toothThickness) * Math.cos(normal.helixAngle) };
  }
  const module = gear.pitchDiameter / gear.teeth;
  return {
    gear: { teeth: gear.teeth, module, pressureAngle: gear.pressureAngle },
    thinning: (Math.PI * module) / 2 - gear.toothThickness,
  };
};

const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b), Infinity);
const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b), -Infinity);

/** What can be measured on a gear as it stands. */
export function readingsOf({ gear, helix }: GearBench, { work }: Pick<Machine, 'work'>): Readings {
  const { teeth, pitchDiameter, tipDiameter, rootDiameter } = gear;
  const middlesAt = (where: Where) =>
    spacesInOrder(work, pitchDiameter / 2, where).map(({ from, to }) => (from + to) / 2);
  const middles = middlesAt('middle');
  // nothing stands across from the tip of an odd gear once all of it is cut
  const opposite = teeth % 2 === 0 || middles.length < teeth / 2 - 1;
  const outside = opposite ? { reads: acrossReads(work, 'middle'), wanted: tipDiameter } : null;
  const none = { depth: null, span: null, pins: null, pitch: null, lands: null };
  const whole = middles.length === teeth;
  const bare = { spaces: middles.length, whole, outside, ...none };
  if (middles.length < 2) return bare;
  const wanted = measured({ gear, helix });
  // a caliper lies square to the teeth as they were cut
  const lies = helix ? Math.cos(baseHelix(normalOf(gear, helix.lead))) : 1;
  const over = Math.min(usualSpan(wanted.gear), middles.length - 1);
  const at = PLACES.flatMap((where) => {
    const there = middlesAt(where);
    if (there.length <= over) return [];
    const reads = lies * spanAcross(work, { from: there[0]!, to: there[over]!, where });
    return [{ where, reads, wanted: over < 2 ? null : spanOver(over, wanted.gear, wanted.thinning) }];
  });
  const pin = usualPin(wanted.gear.module);
  const spaces = [middles[0]!, middles[Math.floor(teeth / 2)] ?? 0] as const;
  const steps = middles.slice(1).map((middle, i) => middle - middles[i]!);
  if (whole) steps.push(middles[0]! + 1 - middles.at(-1)!);
  const lands = middles.slice(1).map((middle, i) => (middle + middles[i]!) / 2);
  const outsides = outsideReads(work, lands, 'entry');
  const round = Math.PI * pitchDiameter;
  const depths = lands.map((land, i) => depthReads(work, { land, floor: middles[i]!, where: 'middle' }));
  return {
    spaces: middles.length,
    whole,
    outside,
    depth: { least: least(depths), most: most(depths), wanted: (tipDiameter - rootDiameter) / 2 },
    span: { over, at },
    // on teeth that lean pins lie along the helix, and are not to be had from one section
    pins:
      whole && !helix
        ? {
            pin,
            reads: overTwoPins(work, { pin, spaces, pitch: 1 / teeth, where: 'middle' }),
            wanted: overPins(pin, wanted.gear, wanted.thinning),
          }
        : null,
    pitch: { least: least(steps) * round, most: most(steps) * round, wanted: round / teeth },
    lands: { least: least(outsides), most: most(outsides) },
  };
}
