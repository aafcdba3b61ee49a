import { z } from 'zod';
import {
  approx,
  decimalText,
  dmsText,
  exact,
  lengthText,
  type Exact,
  type Finish,
  type UnitSystem,
} from '../units/index.ts';
import {
  STATION_IDS,
  type FigureOfText,
  type Moved,
  type StationId,
  type StationState,
  type StationWork,
  type Value,
} from './station.ts';

/** The answer a station was settled with: each figure by key, in canonical text. */
const settledFigureSchema = z
  .object({
    kind: z.enum(['length', 'angle', 'text']),
    label: z.string().max(80),
    at: z.string().max(200),
    /** The number that the words stood for, where they stood for one. */
    figure: z.number().optional(),
  })
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
    if (!value.settles) continue;
    const { kind, label, at } = value;
    figures[value.key] = {
      kind,
      label,
      at,
      ...(kind === 'text' && value.figure ? { figure: value.figure.is } : {}),
    };
  }
  const queries = work.issues.filter((issue) => issue.severity === 'query').map((issue) => issue.code);
  return { figures, queries };
}

/** A figure as it was settled; null where a file has something else in its place. */
const readFigure = (at: string): Exact | null =>
  /^-?\d+(\.\d+)?(e[-+]?\d{1,3})?$|^-?\d+\/[1-9]\d*$/i.test(at) ? exact(at) : null;

function sayFigure(figure: Pick<SettledFigure, 'kind' | 'at'>, system: UnitSystem, finish: Finish): string {
  const read = figure.kind === 'text' ? null : readFigure(figure.at);
  if (!read) return figure.at;
  switch (figure.kind) {
    case 'length':
      return lengthText(approx(read), system, finish);
    case 'angle':
      return /[./]/.test(figure.at) ? dmsText(read) : `${decimalText(read)}°`;
    case 'text':
      return figure.at;
  }
}

/** Is it what it was settled with, as far as anyone would act on it? */
function isSame(was: SettledFigure, now: Value): boolean {
  if (was.at === now.at) return true;
  if (was.kind !== now.kind) return false;
  // a hair more, so that a move of just so much is let pass
  const within = (by: number, allowed: number) => Math.abs(by) <= allowed * (1 + 1e-6);
  switch (now.kind) {
    case 'length':
      return within(now.mm - numberOf(was.at), now.within);
    case 'angle':
      return within(now.deg - numberOf(was.at), now.within);
    case 'text':
      return (
        was.figure !== undefined &&
        now.figure !== undefined &&
        within(now.figure.is - was.figure, now.figure.within)
      );
  }
}

/**
 * How far each figure of a station may move before a settled one is in doubt, in a sentence; null where
 * nothing settles it. Figures that allow the same stand together; words count at any change, and are not
 * named.
 */
export function giveText(values: readonly Value[], system: UnitSystem): string | null {
  const labels = new Map<string, string[]>();
  for (const value of values) {
    const give = value.settles ? giveOf(value, system) : null;
    if (give !== null) labels.set(give, [...(labels.get(give) ?? []), value.label]);
  }
  if (labels.size === 0) return null;
  const parts = [...labels].map(([give, of]) => `at ${give} of ${of.join(', ')}`);
  return `Once settled, in doubt ${parts.join('; ')}.`;
}

/** `more than 0.005 mm`, `any move`; null for words. */
function giveOf(value: Value, system: UnitSystem): string | null {
  switch (value.kind) {
    case 'length':
      if (value.within === 0) return 'any move';
      return `more than ${system === 'in' ? `${decimalText(value.within / 25.4, 4)} in` : `${decimalText(value.within, 4)} mm`}`;
    case 'angle':
      return value.within === 0 ? 'any move' : `more than ${decimalText(value.within * 3600, 1)}″`;
    case 'text':
      return value.figure ? `more than ${figureGive(value.figure, system)}` : null;
  }
}

/** A feed is told in the units of the job; all other words stand for the same figure in both. */
const figureGive = ({ within, unit }: FigureOfText, system: UnitSystem): string =>
  unit === 'mm/min' && system === 'in'
    ? `${decimalText(within / 25.4, 2)} in/min`
    : `${decimalText(within, 2)} ${unit}`;

/** NaN lies within nothing: what cannot be read has moved. */
const numberOf = (at: string): number => readFigure(at)?.valueOf() ?? NaN;

/** What a figure is told in. */
export const unitsOf = (value: Value, system: UnitSystem): UnitSystem =>
  value.kind === 'length' && value.inMm ? 'mm' : system;

/**
 * What differs between the answer a station was settled with and today's by more than each value has to give,
 * worded in the job's units.
 */
export function whatMoved(settled: Settled, values: readonly Value[], system: UnitSystem): Moved[] {
  const today = new Map(values.filter((value) => value.settles).map((value) => [value.key, value]));
  const moved: Moved[] = [];
  for (const [key, was] of Object.entries(settled.figures)) {
    const now = today.get(key);
    if (now && isSame(was, now)) continue;
    const units = now ? unitsOf(now, system) : system;
    const say = (finish: Finish) => ({
      from: sayFigure(was, units, finish),
      to: now ? sayFigure(now, units, finish) : 'nothing',
    });
    const shop = say('shop');
    // a small move is shown to the place where it can be seen
    moved.push({ key, label: was.label, ...(shop.from === shop.to ? say('fine') : shop) });
  }
  for (const [key, now] of today) {
    if (!(key in settled.figures))
      moved.push({
        key,
        label: now.label,
        from: 'nothing',
        to: sayFigure(now, unitsOf(now, system), 'shop'),
      });
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
