import { Segmented, Select } from 'antd';
import { useId, type ReactNode } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';

interface ChoiceFieldProps<T extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly value: T | null;
  readonly onChange: (value: T) => void;
  readonly issues?: readonly Issue[];
  /** What the choice means. */
  readonly echo?: ReactNode;
}

/** One of several, from a list that opens. */
export function ChoiceField<T extends string>({
  label,
  options,
  value,
  onChange,
  issues = [],
  echo,
}: ChoiceFieldProps<T>) {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <Select id={id} value={value} options={[...options]} onChange={onChange} style={{ width: '100%' }} />
      <Said echo={echo} issues={issues} />
    </div>
  );
}

/** One of two or three, all in sight. */
export function EitherField<T extends string>({
  label,
  options,
  value,
  onChange,
  issues = [],
  echo,
}: ChoiceFieldProps<T>) {
  const id = useId();
  return (
    <div className="field">
      <span className="either-label" id={id}>
        {label}
      </span>
      <Segmented
        block
        aria-labelledby={id}
        value={value ?? ''}
        onChange={(chosen) => onChange(chosen as T)}
        options={[...options]}
      />
      <Said echo={echo} issues={issues} />
    </div>
  );
}

function Said({ echo, issues }: { readonly echo: ReactNode; readonly issues: readonly Issue[] }) {
  return (
    <div className="field-said">
      {echo && <div className="field-echo">{echo}</div>}
      {issues.map((issue) => (
        <div key={issue.code} className={`field-issue is-${issue.severity}`}>
          {sayIssue(issue)}
        </div>
      ))}
    </div>
  );
}
