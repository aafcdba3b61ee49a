import { Input, Segmented } from 'antd';
import { memo, useCallback, useId, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import { goOn } from './goOn.ts';
import { stepped, type Measure, type Unit } from '../../core/units/index.ts';

/** What a bare figure is meant in, which a press makes the other. */
interface Swap {
  readonly shown: string;
  readonly label: string;
  readonly onPress: () => void;
}

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
  /** Stands behind the figure. */
  readonly suffix?: string;
  /** Stands there to be pressed, for what a bare figure is meant in. */
  readonly swap?: Swap;
  readonly autoFocus?: boolean;
  readonly placeholder?: string;
}

/** Whoever types in some field already is not taken out of it by one that came in later. */
const handsAreFree = (): boolean => !(document.activeElement instanceof HTMLInputElement);

/** One function for as long as the field stands, which does what the latest one does. */
function useLatest<Given extends readonly unknown[]>(change: (...given: Given) => void): typeof change {
  const latest = useRef(change);
  useLayoutEffect(() => {
    latest.current = change;
  });
  return useCallback((...given) => latest.current(...given), []);
}

interface FigureInputProps {
  readonly id: string;
  readonly typed: string;
  readonly unit: Unit;
  readonly onChange: (value: Measure) => void;
  readonly wrong: boolean;
  readonly suffix: string | undefined;
  readonly swapShown: string | undefined;
  readonly swapLabel: string | undefined;
  readonly onSwap: () => void;
  readonly focusesFirst: boolean;
  readonly placeholder: string | undefined;
}

/** The box that is typed in; drawn anew only where something in it is another. */
const FigureInput = memo(function FigureInput(props: FigureInputProps) {
  const { id, typed, unit, onChange, wrong, suffix, focusesFirst, placeholder } = props;
  const { swapShown, swapLabel, onSwap } = props;
  const behind = swapShown ? (
    <button type="button" className="unit-button" aria-label={swapLabel} onClick={onSwap}>
      {swapShown}
    </button>
  ) : (
    suffix && <span className="unit">{suffix}</span>
  );
  return (
    <Input
      id={id}
      value={typed}
      onChange={({ target }) => {
        const { tool } = target.dataset;
        onChange({ typed: target.value, unit, ...(tool && { by: tool }) });
      }}
      onKeyDown={(event) => {
        // as a tool does that types like a keyboard
        if (event.key === 'Enter') return goOn(event.currentTarget);
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        const next = stepped({ typed, unit }, event.key === 'ArrowUp' ? 1 : -1, event.shiftKey ? 10 : 1);
        event.preventDefault();
        if (next) onChange(next);
      }}
      status={wrong ? 'error' : ''}
      aria-invalid={wrong}
      aria-describedby={`${id}-said`}
      autoComplete="off"
      inputMode="text"
      spellCheck={false}
      {...(behind ? { suffix: behind } : {})}
      {...(focusesFirst ? { autoFocus: true } : {})}
      {...(placeholder ? { placeholder } : {})}
    />
  );
});

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
  swap,
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
        <FigureInput
          id={id}
          typed={value.typed}
          unit={value.unit}
          onChange={useLatest(onChange)}
          wrong={wrong}
          suffix={suffix}
          swapShown={swap?.shown}
          swapLabel={swap?.label}
          onSwap={useLatest(() => swap?.onPress())}
          focusesFirst={focusesFirst}
          placeholder={placeholder}
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
        {!wrong && value.by && <div className="field-echo">by {value.by}</div>}
      </div>
    </div>
  );
}
