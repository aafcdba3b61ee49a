import { Button, Input } from 'antd';
import { useState } from 'react';

interface TypedMoveProps {
  readonly label: string;
  readonly placeholder?: string;
  /** Told where what is typed cannot be read. */
  readonly wrong: string;
  readonly inputMode?: 'numeric';
  /** What the buttons do with it; Enter does the first. Each says whether it could be read. */
  readonly deeds: readonly { readonly name: string; readonly does: (typed: string) => boolean }[];
}

/** How far, as one writes it, and a press. */
export function TypedMove({ label, placeholder, wrong, inputMode, deeds }: TypedMoveProps) {
  const [typed, setTyped] = useState('');
  const [isWrong, setWrong] = useState(false);
  const go = (does: (typed: string) => boolean) => {
    const read = does(typed);
    setWrong(!read);
    if (read) setTyped('');
  };
  return (
    <div className="practice-crank-by">
      <label htmlFor="crank-by">{label}</label>
      <Input
        id="crank-by"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onPressEnter={() => go(deeds[0]!.does)}
        status={isWrong ? 'error' : ''}
        placeholder={placeholder}
        inputMode={inputMode}
        autoComplete="off"
      />
      {deeds.map(({ name, does }) => (
        <Button key={name} onClick={() => go(does)} disabled={typed.trim() === ''}>
          {name}
        </Button>
      ))}
      {isWrong && <p role="alert">{wrong}</p>}
    </div>
  );
}
