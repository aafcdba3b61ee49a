/** What a cutter is run at. */
export interface CuttingData {
  /** Turns a minute by the formula, and as the machine has them. */
  readonly rpmWanted: number;
  readonly rpm: number;
  /** Is even the slowest step faster than wanted? */
  readonly tooFast: boolean;
  /**
   * The machine's steps on either side of what is wanted, the slower first, with the cutting speed of each, m
   * a minute; one where there is no step on the other side, none where the machine has no steps.
   */
  readonly beside: readonly { readonly rpm: number; readonly speed: number }[];
  /** mm a minute; null where the chip load is not known. */
  readonly feedWanted: number | null;
  readonly feed: number | null;
  /** What the machine's step makes of it: m a minute; mm for each tooth. */
  readonly speed: number;
  readonly chip: number | null;
}

/**
 * The highest step that is not above what is wanted; the lowest where all are; what is wanted where there are
 * no steps.
 */
export function snapDown(wanted: number, steps: readonly number[]): number {
  const below = steps.filter((step) => step <= wanted * (1 + 1e-9));
  return below.length > 0 ? Math.max(...below) : (steps[0] ?? wanted);
}

/** The nearest step that is not above what is wanted, and the nearest that is. */
function stepsBeside(wanted: number, steps: readonly number[]): readonly number[] {
  const isAbove = (step: number) => step > wanted * (1 + 1e-9);
  const below = steps.filter((step) => !isAbove(step));
  const above = steps.filter(isAbove);
  return [
    ...(below.length > 0 ? [Math.max(...below)] : []),
    ...(above.length > 0 ? [Math.min(...above)] : []),
  ];
}

interface SpeedAsked {
  /** mm, > 0 */
  readonly diameter: number;
  readonly teeth: number | null;
  /** m a minute, > 0 */
  readonly speed: number;
  /** mm for each tooth */
  readonly chipLoad: number | null;
  /** The machine's own, rising; empty: without steps. */
  readonly speeds: readonly number[];
  readonly feeds: readonly number[];
  /** Set by hand. */
  readonly rpmSet: number | null;
  readonly feedSet: number | null;
}

/**
 * Speed and feed for a cutter, snapped down to what the machine has: too slow costs minutes, too fast costs
 * the cutter. The feed follows the speed that was got, not the one wanted.
 * Source: n = 1000·v/(π·D), feed = n·z·f; docs/sources.md#speeds
 */
export function cuttingData({
  diameter,
  teeth,
  speed,
  chipLoad,
  speeds,
  feeds,
  rpmSet,
  feedSet,
}: SpeedAsked): CuttingData {
  const rpmWanted = (1000 * speed) / (Math.PI * diameter);
  const rpm = rpmSet ?? snapDown(rpmWanted, speeds);
  const feedWanted = chipLoad === null || teeth === null ? null : rpm * teeth * chipLoad;
  const feed = feedSet ?? (feedWanted === null ? null : snapDown(feedWanted, feeds));
  const speedAt = (turns: number) => (turns * Math.PI * diameter) / 1000;
  return {
    rpmWanted,
    rpm,
    beside: stepsBeside(rpmWanted, speeds).map((step) => ({ rpm: step, speed: speedAt(step) })),
    tooFast: rpm > rpmWanted * 1.001,
    feedWanted,
    feed,
    speed: speedAt(rpm),
    chip: feed === null || teeth === null ? null : feed / (rpm * teeth),
  };
}
