import { Input } from 'antd';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import type { Result } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';

interface KeptFieldProps<T> {
  readonly label: string;
  /** What is kept now, as text. */
  readonly kept: string;
  readonly read: (typed: string) => Result<T>;
  /** Keeps a value that could be read. @returns why it cannot be kept, or null */
  readonly onKeep: (value: T) => string | null;
  readonly echo?: ReactNode;
  readonly suffix?: ReactNode;
  /** The label is for those who listen only: a table's heading says it to the others. */
  readonly bare?: boolean;
  readonly placeholder?: string;
  /** Hears every sign, for a press that must know what stands in the field though it cannot be kept. */
  readonly onTyped?: (typed: string) => void;
}

/**
 * A field of the shop: says at once what is wrong with what is typed, and keeps it when it is finished: with
 * Enter, or on leaving the field. A figure half typed is often a good figure, and must not take the place of
 * the one that stands.
 */
export function KeptField<T>({
  label,
  kept,
  read,
  onKeep,
  echo,
  suffix,
  bare = false,
  placeholder,
  onTyped,
}: KeptFieldProps<T>) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const change = (text: string) => {
    setTyped(text);
    onTyped?.(text);
    const value = read(text);
    setWrong(value.ok ? null : value.issues.map(sayIssue).join(' '));
  };
  const finish = () => {
    if (typed === null) return;
    const value = read(typed);
    if (!value.ok) return;
    const why = onKeep(value.value);
    setWrong(why);
    if (why === null) setTyped(null);
  };
  // some hands leave the page, or press where nothing takes the focus: what was typed is kept all the same
  const latest = useRef(finish);
  useEffect(() => {
    latest.current = finish;
  });
  useEffect(() => () => latest.current(), []);
  return (
    <div className="field">
      <label htmlFor={id} className={bare ? 'visually-hidden' : ''}>
        {label}
      </label>
      <Input
        id={id}
        value={typed ?? kept}
        onChange={(event) => change(event.target.value)}
        onBlur={finish}
        onPressEnter={finish}
        status={wrong ? 'error' : ''}
        aria-invalid={wrong !== null}
        aria-describedby={`${id}-said`}
        autoComplete="off"
        spellCheck={false}
        {...(suffix ? { suffix } : {})}
        {...(placeholder ? { placeholder } : {})}
      />
      <div id={`${id}-said`} className={bare && !wrong ? '' : 'field-said'} aria-live="polite">
        {wrong ? (
          <div className="field-issue is-wrong">✕ {wrong}</div>
        ) : (
          echo && <div className="field-echo">{echo}</div>
        )}
      </div>
    </div>
  );
}
