import { Input, Segmented } from 'antd';
import { useId, useState, type ReactNode } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import { stepped, type Measure, type Unit } from '../../core/units/index.ts';

interface MeasureFieldProps {
  readonly label: string;
  readonly value: Measure;
  readonly onChange: (value: Measure) => void;
  /** What is wrong or to be asked about this field. */
  readonly issues?: readonly Issue[];
  /** What was understood, in both units. */
  readonly echo?: ReactNode;
  /** Units to choose from for a bare figure; else the unit is shown behind the field. */
  readonly units?: readonly { readonly value: Unit; readonly label: string }[];
  readonly unitShown?: Unit;
  readonly suffix?: ReactNode;
  readonly autoFocus?: boolean;
  readonly placeholder?: string;
}

/** Whoever types in some field already is not taken out of it by one that came in later. */
const handsAreFree = (): boolean => !(document.activeElement instanceof HTMLInputElement);

/** A field that takes a measure as people write it, keeps it as typed, and says what it understood. */
export function MeasureField({
  label,
  value,
  onChange,
  issues = [],
  echo,
  units,
  unitShown,
  suffix,
  autoFocus,
  placeholder,
}: MeasureFieldProps) {
  const id = useId();
  const [focusesFirst] = useState(() => autoFocus === true && handsAreFree());
  const said = issues.filter(({ severity }) => severity !== 'needed');
  const wrong = said.some(({ severity }) => severity === 'wrong');
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <div className="field-line">
        <Input
          id={id}
          value={value.typed}
          onChange={(event) => onChange({ typed: event.target.value, unit: value.unit })}
          onKeyDown={(event) => {
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            const next = stepped(value, event.key === 'ArrowUp' ? 1 : -1, event.shiftKey ? 10 : 1);
            event.preventDefault();
            if (next) onChange(next);
          }}
          status={wrong ? 'error' : ''}
          aria-invalid={wrong}
          aria-describedby={`${id}-said`}
          autoComplete="off"
          inputMode="text"
          spellCheck={false}
          {...(suffix ? { suffix } : {})}
          {...(focusesFirst ? { autoFocus: true } : {})}
          {...(placeholder ? { placeholder } : {})}
        />
        {units && (
          <Segmented
            aria-label={`Unit of ${label.toLowerCase()}`}
            options={[...units]}
            value={unitShown ?? value.unit}
            onChange={(unit) => onChange({ typed: value.typed, unit: unit })}
          />
        )}
      </div>
      <div id={`${id}-said`} className="field-said">
        {/* what is wrong may come by itself, from another field; what is typed is only echoed */}
        <div aria-live="polite">
          {said.map((issue) => (
            <div key={issue.code} className={`field-issue is-${issue.severity}`}>
              {issue.severity === 'wrong' ? '✕ ' : issue.severity === 'query' ? '? ' : ''}
              {sayIssue(issue)}
            </div>
          ))}
        </div>
        {!wrong && echo && <div className="field-echo">{echo}</div>}
      </div>
    </div>
  );
}
