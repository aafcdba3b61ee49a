import type { RunEvent } from './schema.ts';

/** Longer between two counts than this is an interruption, or a clock that was put right. Seconds */
const LONGEST = 45 * 60;

/**
 * Seconds between counts that stand, by the clocks of the screens: only where one follows another on one
 * screen, with no pause between, and the clock did not go back. A clock that jumps spoils the one interval it
 * falls in.
 */
export class Beat {
  /** In order. Seconds, > 0 */
  readonly seconds: number[] = [];
  sum = 0;
  private readonly rising: number[] = [];
  private before: RunEvent | null = null;

  /** @param event in order, and standing; of other kinds than counts and pauses nothing is taken */
  add(event: RunEvent): void {
    if (event.kind === 'pause' || event.kind === 'resume') this.before = null;
    if (event.kind !== 'done') return;
    if (this.before?.device === event.device) {
      const seconds = (Date.parse(event.clientTime) - Date.parse(this.before.clientTime)) / 1000;
      if (seconds > 0 && seconds < LONGEST) this.take(seconds);
    }
    this.before = event;
  }

  /** What comes next does not follow on what was. */
  part(): void {
    this.before = null;
  }

  /** Seconds; null where nothing was counted. */
  get median(): number | null {
    return medianOfRising(this.rising);
  }

  private take(seconds: number): void {
    this.seconds.push(seconds);
    this.sum += seconds;
    let [low, high] = [0, this.rising.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.rising[middle]! <= seconds) low = middle + 1;
      else high = middle;
    }
    this.rising.splice(low, 0, seconds);
  }
}

/** @param events in order, all of them standing */
export function beatOf(events: readonly RunEvent[]): Beat {
  const beat = new Beat();
  for (const event of events) beat.add(event);
  return beat;
}

function medianOfRising(rising: readonly number[]): number | null {
  const middle = Math.floor(rising.length / 2);
  if (rising.length === 0) return null;
  return rising.length % 2 === 1 ? rising[middle]! : (rising[middle - 1]! + rising[middle]!) / 2;
}

/** The middle one of some figures, the mean of the two middle ones of an even count; null of none. */
export const median = (values: readonly number[]): number | null =>
  medianOfRising([...values].sort((a, b) => a - b));
