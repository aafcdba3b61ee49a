import { lengthText, type UnitSystem } from '../units/index.ts';
import type { InspectDetail } from './detail.ts';
import { verdictText } from './station.ts';

/** What was measured on a piece, as the record of its run keeps it. mm */
export interface MeasuredRecord {
  readonly readings: readonly {
    readonly name: string;
    readonly read: number;
    readonly should: number | null;
    /** The tool whose button wrote it; left out where a hand did. */
    readonly by?: string | undefined;
  }[];
  /** What they said of the teeth then; empty where they said nothing. */
  readonly verdict: string;
}

const byTool = (tool: string | null) => (tool === null ? {} : { by: tool });

/**
 * Every reading that stands on the inspect station, with what it should have been.
 * @returns null while nothing was read
 */
export function recordOf(
  { checks, runout, runoutTool, round, verdict }: InspectDetail,
  units: UnitSystem,
): MeasuredRecord | null {
  const single = checks.flatMap(({ name, reading, should, out, tool }) =>
    reading === null ? [] : [{ name, read: reading, should: out ? null : should, ...byTool(tool) }],
  );
  const all = round
    ? [
        { name: `${round.name}, mean all round`, read: round.mean, should: round.should },
        { name: `${round.name}, least to most`, read: round.off.runout, should: null },
      ]
    : [];
  const readings = [
    ...single,
    ...all,
    ...(runout ? [{ name: 'Runout', read: runout.reading, should: null, ...byTool(runoutTool) }] : []),
  ];
  if (readings.length === 0) return null;
  return { readings, verdict: verdict ? verdictText(verdict, (mm) => lengthText(mm, units, 'fine')) : '' };
}
