import type { Train } from '../gearing/index.ts';
import type { GearSet, Head, Stepper } from '../shop/index.ts';
import type { Proof } from './proof.ts';
import type { DividingChoice } from './schema.ts';

/** How the work is geared to the table while it is cut. */
export interface LeadGearing {
  /** Through the worm, or past it to the spindle itself. */
  readonly drive: 'worm' | 'spindle';
  /** Where each gear goes, in words; empty while no train is known. */
  readonly gears: string;
  /** The train in short, as the shop remembers how a head stands; empty while none is known. */
  readonly train: string;
  readonly idlers: number;
}

/** What a differential way adds to the crank's move. */
export interface Geared {
  readonly near: number;
  readonly train: Train;
  readonly idlers: number;
  /** g as exact text; plate turns for one of the spindle. */
  readonly plateRatio: string;
  /** Which way the plate must be seen to turn when the crank is turned. */
  readonly plateTurns: 'with' | 'against';
  /** Does a compound train go together on a usual stud? */
  readonly clearsStud: boolean;
}

/** The ways a person asks for by name. Whatever does not come out exactly is an approximation. */
export type Method =
  'direct' | 'simple' | 'differential' | 'compound' | 'handwheel' | 'stepper' | 'table' | 'approximate';

/** A way of dividing that has been run through the head's motion. */
export interface Way {
  /** Names the way by its content; equal ways have equal keys. */
  readonly key: string;
  readonly method: Method;
  /** What is done for each space, in words. */
  readonly words: string;
  /** Holes the sector arms span: one more than the spaces; null where arms are not used. */
  readonly armsHoles: number | null;
  /** What has to be changed on the head first, or null. */
  readonly change: string | null;
  /**
   * How much there is to change and to get wrong: less is better. With the reason, as a machinist would say
   * it.
   */
  readonly trouble: number;
  readonly because: string;
  readonly geared: Geared | null;
  readonly proof: Proof;
  readonly choice: DividingChoice;
}

/** What a search for ways draws on. */
export interface Ground {
  readonly head: Head;
  readonly gearSets: readonly GearSet[];
  readonly steppers: readonly Stepper[];
  /** How the work is geared to the table, for a helical gear; null or left out where it is not. */
  readonly lead?: LeadGearing | null;
}

/** What a method has to say to an aim: its ways, best first, or why it is out. */
export interface MethodAnswer {
  readonly method: Method;
  readonly ways: readonly Way[];
  /** How many there are in all; `ways` may hold only the best of them. */
  readonly total: number;
  /** Why the method is out, in words; null when it serves. */
  readonly out: string | null;
}
