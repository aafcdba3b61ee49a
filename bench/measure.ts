/** Work is timed beside its yardstick in one run, turn about, and only the ratio of the medians is told. */
export interface Ratio {
  readonly name: string;
  /** Milliseconds for one go, medians. */
  readonly work: number;
  readonly yardstick: number;
}

function timeOnce(work: () => unknown, repeats: number): number {
  const started = performance.now();
  for (let i = 0; i < repeats; i += 1) work();
  return (performance.now() - started) / repeats;
}

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** How many goes fill about 20 ms, so that the clock's grain does not matter. */
function repeatsFor(work: () => unknown): number {
  const once = timeOnce(work, 3);
  return Math.max(1, Math.min(20_000, Math.round(20 / Math.max(once, 1e-4))));
}

export function compare({
  name,
  work,
  yardstick,
  rounds = 15,
}: {
  readonly name: string;
  readonly work: () => unknown;
  readonly yardstick: () => unknown;
  readonly rounds?: number | undefined;
}): Ratio {
  for (let i = 0; i < 3; i += 1) {
    timeOnce(work, Math.min(50, repeatsFor(work)));
    timeOnce(yardstick, Math.min(50, repeatsFor(yardstick)));
  }
  const repeats = [repeatsFor(work), repeatsFor(yardstick)] as const;
  const times: [number[], number[]] = [[], []];
  for (let i = 0; i < rounds; i += 1) {
    times[0].push(timeOnce(work, repeats[0]));
    times[1].push(timeOnce(yardstick, repeats[1]));
  }
  return { name, work: median(times[0]), yardstick: median(times[1]) };
}

/** One line of the report: the ratio, its limit, and whether it is kept. */
export function report(
  name: string,
  ratio: number,
  limit: { readonly atMost?: number; readonly atLeast?: number },
  detail: string,
): boolean {
  const good = limit.atMost !== undefined ? ratio <= limit.atMost : ratio >= (limit.atLeast ?? 0);
  const wanted = limit.atMost !== undefined ? `at most ${limit.atMost}` : `at least ${limit.atLeast}`;
  console.log(
    `${good ? 'kept ' : 'MISSED'}  ${name}: ${ratio < 10 ? ratio.toFixed(2) : ratio.toFixed(0)}×  (${wanted})  ${detail}`,
  );
  return good;
}

/** Both times, for the end of a line. */
export const inMicroseconds = ({ work, yardstick }: Ratio): string =>
  `${(work * 1000).toFixed(1)} µs : ${(yardstick * 1000).toFixed(1)} µs`;
