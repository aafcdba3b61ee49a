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

/** A field for a length. The unit a bare figure is meant in stands behind it and is swapped by pressing it. */
export function LengthField({ label, value, onChange, issues, units, hint }: LengthFieldProps) {
  const shown = value.typed === '' ? measure('', units) : value;
  const other = shown.unit === 'mm' ? 'in' : 'mm';
  return (
    <MeasureField
      label={label}
      value={shown}
      onChange={onChange}
      issues={issues}
      echo={shown.typed === '' ? hint : echoLength(shown, units)}
      suffix={
        <button
          type="button"
          className="unit-button"
          aria-label={`${label}: unit ${shown.unit}, press for ${other}`}
          onClick={() => onChange(measure(shown.typed, other))}
        >
          {shown.unit}
        </button>
      }
    />
  );
}
