import type { Issue } from '../../core/findings/index.ts';
import { measure, type Measure, type UnitSystem } from '../../core/units/index.ts';
import { echoLength } from './echo.ts';
import { MeasureField } from './MeasureField.tsx';

interface LengthFieldProps {
  readonly label: string;
  readonly value: Measure;
  readonly onChange: (value: Measure) => void;
  readonly issues: readonly Issue[];
  /** Units of the job: what a bare figure in an empty field is meant in. */
  readonly units: UnitSystem;
  /** Said while nothing is typed. */
  readonly hint?: string;
}

/** The unit that is written behind a figure, as one of the two; null where it stands bare. */
function writtenUnit(typed: string): UnitSystem | null {
  const word = /([a-z]+|["″'′])\s*$/i.exec(typed.trim())?.[1]?.toLowerCase();
  if (word === undefined) return null;
  return word === 'mm' || word === 'cm' ? 'mm' : 'in';
}

/**
 * A field for a length. The unit a bare figure is meant in stands behind it and is swapped by pressing it; a
 * written one stands for itself.
 */
export function LengthField({ label, value, onChange, issues, units, hint }: LengthFieldProps) {
  const shown = value.typed === '' ? measure('', units) : value;
  const written = writtenUnit(shown.typed);
  const other = shown.unit === 'mm' ? 'in' : 'mm';
  /** What takes the place of all that stood there is a new figure, in the units the card now shows first. */
  const change = (next: Measure) =>
    onChange(shown.typed.length > 1 && next.typed.length === 1 ? measure(next.typed, units) : next);
  return (
    <MeasureField
      label={label}
      value={shown}
      onChange={change}
      issues={issues}
      echo={shown.typed === '' ? hint : echoLength(shown, units)}
      {...(written
        ? { suffix: 'as written' }
        : {
            swap: {
              shown: shown.unit,
              label: `${label}: unit ${shown.unit}, press for ${other}`,
              onPress: () => onChange(measure(shown.typed, other)),
            },
          })}
    />
  );
}
