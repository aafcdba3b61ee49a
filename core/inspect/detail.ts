import type { MeasuringTool } from '../shop/index.ts';
import type { Eccentric } from './eccentric.ts';
import type { RunoutSays } from './expect.ts';
import type { CheckId } from './schema.ts';

/** One way of measuring, what it should read, and what was read, as plain data. mm */
export interface Check {
  readonly id: CheckId;
  /** Is there a tool for it in the shop? */
  readonly owned: boolean;
  readonly name: string;
  readonly should: number;
  /** To either side, for the tooth’s tolerance; null where it says nothing of the tooth. */
  readonly within: number | null;
  /** Why it cannot be measured so; null when it can. */
  readonly out: string | null;
  /** What to set first: `over 4 teeth`, `at a height of 1.53 mm`. */
  readonly set: string;
  readonly reading: number | null;
  /** The tool whose button wrote it; null where a hand did. */
  readonly tool: string | null;
  /** Too thick by; less than 0: too thin. */
  readonly thick: number | null;
}

export interface InspectFacts {
  readonly thick: number | null;
}

export interface InspectDetail {
  readonly checks: readonly Check[];
  /** Of the best reading; null while nothing of the tooth was read. */
  readonly verdict: {
    readonly by: CheckId;
    readonly thick: number;
    readonly sink: number;
    /** The same on the dial. */
    readonly dial: string;
    readonly tolerance: number;
    /** Do all readings say so? */
    readonly agreed: boolean;
  } | null;
  readonly runout: RunoutSays | null;
  /** The tool that wrote the runout. */
  readonly runoutTool: string | null;
  readonly pin: number | null;
  /** Readings round the gear; null while there are none. */
  readonly round: RoundSays | null;
}

/** Readings of one kind all round, and what they say of the teeth. mm */
export interface RoundSays {
  readonly what: CheckId;
  readonly name: string;
  readonly should: number;
  readonly within: number | null;
  readonly mean: number;
  readonly off: Eccentric;
  /** Too thick by, for each reading; null where it says nothing of the tooth. */
  readonly thick: readonly (number | null)[];
}

/** What the gear was cut on. */
export interface InspectGround {
  /** As turned, else as planned, mm. */
  readonly outside: number;
  readonly depth: number;
  readonly faceWidth: number | null;
  readonly cutterTeeth: number;
  /** What there is to measure with. */
  readonly tools: readonly MeasuringTool[];
  /** Says a depth on the dial it is set by. */
  readonly dial: (mm: number) => string;
}
