import type { Head, Mill } from '../shop/index.ts';
import type { StationWork } from '../station/index.ts';
import { type MadePlate } from './madePlate.ts';
import { type Preparation } from './preparation.ts';
import { type AimData } from './target.ts';
import type { LeadGearing, MethodAnswer, Way } from './way.ts';

/** The side of a plate to be drawn. */
export interface PlateDrawing {
  readonly plateName: string;
  readonly side: 0 | 1;
  readonly twoSided: boolean;
  readonly circles: readonly number[];
}

export interface DividingDetail {
  readonly head: { readonly id: string; readonly name: string; readonly ratio: string } | null;
  readonly mill: { readonly id: string; readonly name: string } | null;
  /** Round the work; null along a line, or while unknown. */
  readonly aim: AimData | null;
  /** Along a line, mm; null round the work. */
  readonly line: { readonly spaces: number; readonly pitch: number } | null;
  /** What is found at once: each method with its ways or why it is out, best first. */
  readonly methods: readonly MethodAnswer[];
  /** The way in force: the one chosen, else the best. Null when there is none. */
  readonly inForce: Way | null;
  readonly chosen: boolean;
  /** The plate the way in force uses; where there is none, the one mounted or the first. */
  readonly plate: PlateDrawing | null;
  /** What changes on the head for the way in force. */
  readonly preparation: readonly Preparation[];
  /** Where this head has no way: other heads of the shop that do, each with its best move. */
  readonly otherHeads: readonly { readonly id: string; readonly name: string; readonly move: string }[];
  /** A plate or ring of this very count, to be drilled. */
  readonly made: MadePlate | null;
  /** How the work is geared to the table while it is cut; null for straight teeth. */
  readonly lead: LeadGearing | null;
}

export interface DividingFacts {
  readonly way: Way;
  readonly head: Head | null;
  readonly mill: Mill | null;
}

export type DividingWork = StationWork<DividingFacts, DividingDetail>;
