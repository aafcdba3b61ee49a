import type { Landing } from '../dividing/index.ts';

/** What is made fast for a cut, and loosened for a move. */
export type Locked = 'spindle' | 'table';

/**
 * How far a round that is a part of a turn has to go back to its first space: turns and spaces, or a reading.
 */
export type WayBack =
  | { readonly on: 'plate'; readonly turns: number; readonly spaces: number; readonly circle: number }
  | {
      readonly on: 'two-circles';
      readonly turns: number;
      readonly spaces: number;
      readonly circle: number;
      /** Spaces the plate goes on its back pin's circle, < 0 against the clock. */
      readonly back: number;
      readonly backCircle: number;
    }
  | { readonly on: 'ring'; readonly spaces: number; readonly circle: number }
  | { readonly on: 'dial' | 'steps' };

/** One thing that a hand does at the mill, with its figures. Lengths in mm. */
export type Act =
  /** Something changes on the head. */
  | { readonly do: 'prepare'; readonly what: string; readonly why: string | null }
  /**
   * Of teeth that lean: centred with the table straight, then swung, then, with a lead, tried with a scribed
   * line.
   * @prop face sunk in place, the cutter stands over the middle of the face too
   */
  | { readonly do: 'centre'; readonly by: 'table' | 'head'; readonly face: boolean }
  | { readonly do: 'swing'; readonly by: 'table' | 'head'; readonly setting: string }
  | { readonly do: 'scribe'; readonly hand: 'right' | 'left' }
  /** The space that was cut last is found again with the cutter. */
  | { readonly do: 'find'; readonly space: number }
  /** The gear still stands as it closed. */
  | { readonly do: 'stand'; readonly space: number }
  /** Which hole, reading or count is 0. */
  | { readonly do: 'register'; readonly work: 'fresh' | 'stands' | 'found' }
  /** Counting begins again at 0, where the work stands. */
  | { readonly do: 'zero' }
  | { readonly do: 'unlock'; readonly what: Locked }
  | { readonly do: 'lock'; readonly what: Locked }
  | { readonly do: 'touch'; readonly paper: number }
  /**
   * Work that was off, or on another head: turned until uncut outside stands under the cutter, for the touch.
   */
  | { readonly do: 'land' }
  /**
   * Fed on to where the cutter first touches, and the table set there: what it reads is counted from the
   * touch at full depth.
   * @prop reads mm, ≥ 0: this cut may touch later than the deepest will
   */
  | { readonly do: 'first-touch'; readonly reads: number }
  /** The cutter is brought down until it only marks the work. */
  | { readonly do: 'graze' }
  | { readonly do: 'depth'; readonly depth: number; readonly by: number | null }
  /** Drawn away from the cutter, square to the cut. */
  | { readonly do: 'out' }
  /** Brought in again to a depth; null where none is given. */
  | { readonly do: 'in'; readonly depth: number | null; readonly graze: boolean }
  /** Along the work, back before the first touch. @prop slack come on a little, the way it cuts */
  | { readonly do: 'back'; readonly to: 'before-touch' | 'clear'; readonly slack: boolean }
  /** Along the work, on past the far side. */
  | { readonly do: 'on'; readonly past: number }
  /** The move of the crank, pin, wheel or motor to a space. */
  | {
      readonly do: 'turn';
      readonly landing: Landing;
      readonly from: Landing | null;
      readonly space: number;
      /** After the last space of a round: on to its first. */
      readonly round: boolean;
    }
  /** Compound: plate and crank together, by the back pin. */
  | {
      readonly do: 'turn-plate';
      readonly back: number;
      readonly circle: number;
      readonly from: number;
      readonly hole: number;
      readonly space: number;
    }
  /** A part of a turn: back to its first space, from below. */
  | { readonly do: 'return'; readonly by: WayBack; readonly space: number }
  /** A learner says where the pin landed. */
  | {
      readonly do: 'tell-hole';
      readonly hole: number;
      readonly backHole: number | null;
      readonly space: number;
    }
  | { readonly do: 'arms'; readonly spaces: number }
  /** Half-way: chords across what is cut. */
  | { readonly do: 'chord' }
  /** After a scratch round: does the last mark fall on the first? */
  | { readonly do: 'marks'; readonly space: number }
  | {
      readonly do: 'cut';
      readonly space: number;
      readonly scratch: boolean;
      /** Cut already: it is only run through once more. */
      readonly again: boolean;
      /** Where the cutter is sunk in place: how deep. */
      readonly sink: number | null;
      readonly through: number | null;
    }
  /** After the closing move: does the cutter drop into the first space? */
  | { readonly do: 'judge'; readonly space: number }
  | { readonly do: 'finish' };

/** An act in its place among those towards a cut. */
export type Prompt = Act & {
  /** Names it among those of one cut. */
  readonly key: string;
  /** Who is not asked each step presses here, for all up to it. */
  readonly stop: boolean;
  /** Only asked of those who have every step asked. */
  readonly learner: boolean;
};
export type PromptOf<Do extends Act['do']> = Extract<Prompt, { do: Do }>;
