import { z } from 'zod';
import { decimalText, dmsText, exact, lengthText, type Finish, type UnitSystem } from '../units/index.ts';
import {
  STATION_IDS,
  type Moved,
  type StationId,
  type StationState,
  type StationWork,
  type Value,
} from './station.ts';

/** The answer a station was settled with: each figure by key, in canonical text. */
const settledFigureSchema = z
  .object({ kind: z.enum(['length', 'angle', 'text']), label: z.string().max(80), at: z.string().max(200) })
  .readonly();
export const settledSchema = z
  .object({
    figures: z.record(z.string().max(40), settledFigureSchema),
    /** Queries that stood when the person settled it, by code: asked once, not again. */
    queries: z.array(z.string().max(40)).max(40),
  })
  .readonly();
export type Settled = z.infer<typeof settledSchema>;
type SettledFigure = z.infer<typeof settledFigureSchema>;

export const settledByStationSchema = z.partialRecord(z.enum(STATION_IDS), settledSchema);
export type SettledByStation = Partial<Record<StationId, Settled>>;

/** Today's answer, in the form a station is settled with. */
export function answerToSettle(work: Pick<StationWork<unknown, unknown>, 'values' | 'issues'>): Settled {
  const figures: Record<string, SettledFigure> = {};
  for (const value of work.values) {
    if (value.settles) figures[value.key] = { kind: value.kind, label: value.label, at: value.at };
  }
  const queries = work.issues.filter((issue) => issue.severity === 'query').map((issue) => issue.code);
  return { figures, queries };
}

function sayFigure(figure: Pick<SettledFigure, 'kind' | 'at'>, system: UnitSystem, finish: Finish): string {
  switch (figure.kind) {
    case 'length':
      return lengthText(exact(figure.at).valueOf(), system, finish);
    case 'angle':
      return /[./]/.test(figure.at) ? dmsText(exact(figure.at)) : `${decimalText(exact(figure.at))}°`;
    case 'text':
      return figure.at;
  }
}

/** What differs between the answer a station was settled with and today's, worded in the job's units. */
export function whatMoved(settled: Settled, values: readonly Value[], system: UnitSystem): Moved[] {
  const today = new Map(values.filter((value) => value.settles).map((value) => [value.key, value]));
  const moved: Moved[] = [];
  for (const [key, was] of Object.entries(settled.figures)) {
    const now = today.get(key);
    if (now?.at === was.at) continue;
    const say = (finish: Finish) => ({
      from: sayFigure(was, system, finish),
      to: now ? sayFigure(now, system, finish) : 'nothing',
    });
    const shop = say('shop');
    // a small move is shown to the place where it can be seen
    moved.push({ key, label: was.label, ...(shop.from === shop.to ? say('fine') : shop) });
  }
  for (const [key, now] of today) {
    if (!(key in settled.figures))
      moved.push({ key, label: now.label, from: 'nothing', to: sayFigure(now, system, 'shop') });
  }
  return moved;
}

/**
 * Open: nobody has settled it. Settled: today's answer is the one it was settled with.
 * In doubt: today's answer differs, or there is a question that the person has not yet answered by settling.
 */
export function stateOf(
  work: Pick<StationWork<unknown, unknown>, 'issues'>,
  settled: Settled | undefined,
  moved: readonly Moved[],
): StationState {
  const asked = work.issues.some(
    (issue) => issue.severity === 'query' && !(settled?.queries ?? []).includes(issue.code),
  );
  const broken = work.issues.some((issue) => issue.severity === 'wrong' || issue.severity === 'blocked');
  if (asked || (settled && (moved.length > 0 || broken))) return 'doubt';
  return settled ? 'settled' : 'open';
}
