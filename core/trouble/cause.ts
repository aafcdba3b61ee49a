import { decimalText, dmsText, exact, type UnitSystem } from '../units/index.ts';
import type { TroubleFacts } from './facts.ts';

/** What may be behind a symptom, the test that tells it from the others, and what to do. */
export interface Cause {
  readonly key: string;
  readonly cause: string;
  readonly test: string;
  readonly mend: string;
}

/** What causes are asked for. */
export interface Ask {
  readonly facts: TroubleFacts;
  /** How much of a tooth is left or lacking at the end, 0 … 1. */
  readonly part: number;
  readonly units: UnitSystem;
}

export const deg = (degrees: number): string => dmsText(exact(Math.max(0, degrees).toFixed(6)));
export const f = (value: number, places = 2): string => decimalText(value, places);
