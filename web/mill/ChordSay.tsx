import { lazy, Suspense, useId, useState } from 'react';
import { wordsOfDivided } from '../../core/cut/index.ts';
import { chordSays, dueCheck, type ChordCheck, type Cut, type Run } from '../../core/run/index.ts';
import {
  capital,
  lengthText,
  measure,
  parsePositiveLength,
  type UnitSystem,
} from '../../core/units/index.ts';
import { useDevices } from '../state/index.ts';
import type { MillProps } from './millProps.ts';

// without its server and without its pieces the mill goes on by hand
const ReadingsIn = lazy(() =>
  import('../readings/index.ts').then(
    (module) => ({ default: module.ReadingsIn }),
    () => ({ default: () => null }),
  ),
);

interface ChordSayProps extends Pick<MillProps, 'act'> {
  readonly run: Run;
  readonly last: Cut;
}

/** Half-way: two chords across equal stretches, while there is still metal. */
export function ChordSay({ run, last, act }: ChordSayProps) {
  const check = dueCheck(run, last)!;
  const [typed, setTyped] = useState(['', '']);
  /** The tool that wrote each; empty where a hand did. */
  const [tools, setTools] = useState(['', '']);
  const hasTools = useDevices().some(({ kind, on }) => kind === 'tool' && on);
  const read = typed.map((text) => readChord(text, run.units));
  const given = read.filter((mm): mm is number => mm !== null);
  const done = (answer: readonly number[] | null) => {
    const by = answer ? [...new Set(tools.filter(Boolean))].join(', ').slice(0, 80) : '';
    const read = answer && [...answer];
    act({ kind: 'checked', round: last.round, index: last.index, read, ...(by && { by }) });
  };
  const mm = (value: number) => lengthText(value, run.units, 'fine');
  const { one, many } = wordsOfDivided(run.divides);
  return (
    <div className="mill-chord">
      {hasTools && (
        <Suspense fallback={null}>
          <ReadingsIn />
        </Suspense>
      )}
      <p className="mill-lead">Half-way. Spindle stopped, measure across the outside, before more is cut:</p>
      <p className="mill-figure is-brass is-long">{mm(check.chord)}</p>
      <p className="mill-from">
        From an edge of one {one} to the same edge of the other, {check.over} on; one off shows as{' '}
        {mm(check.perSpace)}.
      </p>
      <div className="mill-chord-fields">
        {[`${check.from} to ${check.middle}`, `${check.middle} to ${check.to}`].map((stretch, i) => (
          <ChordField
            key={stretch}
            label={`${capital(many)} ${stretch}`}
            typed={typed[i]!}
            read={read[i]!}
            check={check}
            units={run.units}
            by={tools[i]!}
            onType={(text, tool) => {
              setTyped((now) => now.map((other, j) => (i === j ? text : other)));
              setTools((now) => now.map((other, j) => (i === j ? tool : other)));
            }}
          />
        ))}
      </div>
      <div className="mill-chord-fields">
        <button
          type="button"
          className="mill-tick"
          disabled={given.length === 0 || typed.some((text, i) => text.trim() !== '' && read[i] === null)}
          onClick={() => done(given)}
        >
          Write it down, go on
        </button>
        <button type="button" className="mill-tick" onClick={() => done(null)}>
          Pass it over
        </button>
      </div>
    </div>
  );
}

function readChord(text: string, units: UnitSystem): number | null {
  const read = parsePositiveLength(measure(text, units), 'The reading');
  return read.ok ? read.value.valueOf() : null;
}

interface ChordFieldProps {
  readonly label: string;
  readonly typed: string;
  readonly read: number | null;
  readonly check: ChordCheck;
  readonly units: UnitSystem;
  /** The tool that wrote it; empty where a hand did. */
  readonly by: string;
  readonly onType: (text: string, tool: string) => void;
}

function ChordField({ label, typed, read, check, units, by, onType }: ChordFieldProps) {
  const id = useId();
  return (
    <div className="mill-field">
      <label htmlFor={id}>
        {label}, {units}
      </label>
      <input
        id={id}
        value={typed}
        inputMode="decimal"
        autoComplete="off"
        onChange={({ target }) => onType(target.value, target.dataset['tool'] ?? '')}
      />
      <p aria-live="polite">
        {read === null ? (typed.trim() === '' ? '' : '✕ Not a length.') : chordWords(check, read, units)}
        {by && `, by ${by}`}
      </p>
    </div>
  );
}

/** What a chord that was read says. */
export function chordWords(check: ChordCheck, read: number, units: UnitSystem): string {
  const { off, slip, odd } = chordSays(check, read);
  const by = lengthText(Math.abs(off), units, 'fine');
  if (slip === 0 && !odd) return `✓ good, ${by} off`;
  if (odd && Math.abs(slip) > 4) return `? ${by} off: another unit, or other edges? Measure again.`;
  if (odd) return `? ${by} off, and no whole number of them: the blank may have crept. Stop and look.`;
  return `✕ ${Math.abs(slip) === 1 ? 'one' : Math.abs(slip)} too ${slip > 0 ? 'many' : 'few'} between them. Stop and look.`;
}
