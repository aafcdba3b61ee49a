import { useMemo } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import {
  readingsOf,
  type Machine,
  type PracticeBench,
  type Readings,
  type Where,
} from '../../core/practice/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface MeasuredProps {
  readonly bench: PracticeBench;
  readonly machine: Machine;
  readonly units: UnitSystem;
  readonly inspect: (readings: Readings) => Inspected | null;
  readonly onTrouble: () => void;
}

/** What the station Inspect says of readings. */
export interface Inspected {
  readonly answer: string;
  readonly issues: readonly Issue[];
}

const AT: Readonly<Record<Where, string>> = {
  entry: 'where the cutter enters',
  middle: 'in the middle of the face',
  exit: 'where it leaves',
};

/** What caliper, pins and indicator read on the work as it truly is, beside what the card wants. */
export function Measured({ bench, machine, units, inspect, onTrouble }: MeasuredProps) {
  const readings = useMemo(() => readingsOf(bench, machine), [bench, machine]);
  const inspected = useMemo(() => (readings.depth ? inspect(readings) : null), [readings, inspect]);
  const { spaces, outside, depth, span, pins, pitch, lands } = readings;
  const mm = (value: number | null) => (value === null ? '' : lengthText(value, units, 'fine'));
  const rows: (readonly [string, number, number | null])[] = [
    ...(outside ? [['Outside, over the work', outside.reads, outside.wanted] as const] : []),
    ...(depth
      ? [
          ['Depth of the spaces, in the middle of the face: least', depth.least, depth.wanted] as const,
          ['most', depth.most, depth.wanted] as const,
        ]
      : []),
    ...(span?.at ?? []).map(
      ({ where, reads, wanted }) => [`Span over ${span!.over}, ${AT[where]}`, reads, wanted] as const,
    ),
    ...(pins ? [[`Over two pins of ${mm(pins.pin)}`, pins.reads, pins.wanted] as const] : []),
    ...(pitch
      ? [
          ['Tooth and space, round the pitch circle: least', pitch.least, pitch.wanted] as const,
          ['most', pitch.most, pitch.wanted] as const,
        ]
      : []),
    ...(lands
      ? [
          ['Indicator over the lands, where it enters: least', lands.least, 0] as const,
          ['most', lands.most, 0] as const,
        ]
      : []),
  ];
  return (
    <>
      <table className="list practice-measured">
        <thead>
          <tr>
            <th>
              {spaces} of {bench.teeth} tooth spaces
            </th>
            <th>reads</th>
            <th>by the card</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([what, reads, wanted], i) => (
            <tr key={`${what} ${i}`}>
              <th scope="row">{what}</th>
              <td>{mm(reads)}</td>
              <td>{mm(wanted)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {inspected && (
        <section className="practice-inspected" aria-label="What Inspect says">
          <p>
            <b>Inspect would say:</b> {inspected.answer}.
          </p>
          {inspected.issues.map((issue, i) => (
            <p key={i}>{sayIssue(issue)}</p>
          ))}
          <p>
            <button type="button" className="plain-link" onClick={onTrouble}>
              Something looks wrong
            </button>
          </p>
        </section>
      )}
    </>
  );
}
