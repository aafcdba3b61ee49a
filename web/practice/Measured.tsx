import { useMemo } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import {
  dividedReadings,
  isGearBench,
  readingsOf,
  type DividedReading,
  type DividedWhat,
  type Machine,
  type PracticeBench,
  type Readings,
  type Where,
} from '../../core/practice/index.ts';
import { wordsOfDivided } from '../../core/cut/index.ts';
import { decimalText, lengthText, type UnitSystem } from '../../core/units/index.ts';

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

interface Row {
  readonly what: string;
  readonly reads: number;
  readonly wanted: number | null;
  readonly degrees?: boolean;
}

/** What is measured on a gear. */
function gearRows(readings: Readings, units: UnitSystem): readonly Row[] {
  const { outside, depth, span, pins, pitch, lands } = readings;
  const row = (what: string, reads: number, wanted: number | null): Row => ({ what, reads, wanted });
  return [
    ...(outside ? [row('Outside, over the work', outside.reads, outside.wanted)] : []),
    ...(depth
      ? [
          row('Depth of the spaces, in the middle of the face: least', depth.least, depth.wanted),
          row('most', depth.most, depth.wanted),
        ]
      : []),
    ...(span?.at ?? []).map(({ where, reads, wanted }) =>
      row(`Span over ${span!.over}, ${AT[where]}`, reads, wanted),
    ),
    ...(pins
      ? [row(`Over two pins of ${lengthText(pins.pin, units, 'fine')}`, pins.reads, pins.wanted)]
      : []),
    ...(pitch
      ? [
          row('Tooth and space, round the pitch circle: least', pitch.least, pitch.wanted),
          row('most', pitch.most, pitch.wanted),
        ]
      : []),
    ...(lands
      ? [row('Indicator over the lands, where it enters: least', lands.least, 0), row('most', lands.most, 0)]
      : []),
  ];
}

const DIVIDED: Readonly<Record<DividedWhat, string>> = {
  depth: 'Depth',
  step: 'From one to the next',
  length: 'First to last',
  tooth: 'A tooth at its pitch line',
  width: 'Width of a slot',
  'across-flats': 'Across flats',
  aside: 'Its middle, beside the work’s',
  lean: 'The first where it leaves, beside where it enters',
};

/** What is measured on what is no gear: least and most where they differ. */
const dividedRows = (rows: readonly DividedReading[]): readonly Row[] =>
  rows.flatMap(({ what, where, least, most, wanted, degrees = false }) => {
    const name = what === 'depth' ? `${DIVIDED[what]}, ${AT[where]}` : DIVIDED[what];
    const alike = most - least < 5e-4;
    return [
      { what: alike ? name : `${name}: least`, reads: least, wanted, degrees },
      ...(alike ? [] : [{ what: 'most', reads: most, wanted, degrees }]),
    ];
  });

/** What caliper, pins and indicator read on the work as it truly is, beside what the card wants. */
export function Measured({ bench, machine, units, inspect, onTrouble }: MeasuredProps) {
  const gear = useMemo(() => (isGearBench(bench) ? readingsOf(bench, machine) : null), [bench, machine]);
  const divided = useMemo(() => (gear ? null : dividedReadings(bench, machine)), [gear, bench, machine]);
  const inspected = useMemo(() => (gear?.depth ? inspect(gear) : null), [gear, inspect]);
  const rows = gear ? gearRows(gear, units) : dividedRows(divided?.rows ?? []);
  const cuts = gear?.spaces ?? divided?.cuts ?? 0;
  const figure = (value: number | null, degrees = false) => {
    if (value === null) return '';
    return degrees ? `${decimalText(value, 3)}°` : lengthText(value, units, 'fine');
  };
  return (
    <>
      <table className="list practice-measured">
        <thead>
          <tr>
            <th>
              {cuts} of {bench.teeth} {wordsOfDivided(bench.run.divides).many}
            </th>
            <th>reads</th>
            <th>by the card</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, reads, wanted, degrees }, i) => (
            <tr key={`${what} ${i}`}>
              <th scope="row">{what}</th>
              <td>{figure(reads, degrees)}</td>
              <td>{figure(wanted, degrees)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {cuts > 1 && (
        <section className="practice-inspected" aria-label="What it says">
          {inspected && (
            <p>
              <b>Inspect would say:</b> {inspected.answer}.
            </p>
          )}
          {inspected?.issues.map((issue, i) => (
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
