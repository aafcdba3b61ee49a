import { plural } from '../units/index.ts';

export const USUAL_RETURN_SECONDS = 15;
export const USUAL_INDEX_SECONDS = 30;

/** Minutes for all cuts: feed, return and indexing of each. @param travel mm @param feed mm a minute */
export function minutesFor({
  cuts,
  travel,
  feed,
  returnSeconds,
  indexSeconds,
}: {
  readonly cuts: number;
  readonly travel: number;
  readonly feed: number;
  readonly returnSeconds: number;
  readonly indexSeconds: number;
}): number {
  return cuts * (travel / feed + (returnSeconds + indexSeconds) / 60);
}

/** A time as honest as it is known: to five minutes, from two hours on to the half hour. */
export function timeText(minutes: number): string {
  if (minutes < 120) return `${Math.max(5, Math.round(minutes / 5) * 5)} min`;
  const halves = Math.round(minutes / 30);
  const hours = Math.floor(halves / 2);
  return halves % 2 === 0 ? plural(hours, 'hour') : `${hours}½ hours`;
}
