import { useId, useState } from 'react';
import { dividedName } from '../../core/cut/index.ts';
import type { PromptOf } from '../../core/prompts/index.ts';
import { capital } from '../../core/units/index.ts';
import type { MillProps } from './millProps.ts';

interface TellHoleProps extends Pick<MillProps, 'run' | 'state' | 'act'> {
  readonly prompt: PromptOf<'tell-hole'>;
}

/** Asks now and then where the pin landed, before the spindle is locked; with two circles, where both did. */
export function TellHole({ run, prompt, state, act }: TellHoleProps) {
  const [pin, setPin] = useState('');
  const [back, setBack] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const { hole, backHole, space } = prompt;
  const two = backHole !== null;
  const answer = () => {
    const said = [pin, ...(two ? [back] : [])].map(whole);
    if (said.includes(null) || !state.next) return;
    const right = said[0] === hole && (!two || said[1] === backHole);
    act({ kind: 'landing', round: state.next.round, index: state.next.index, said: said[0]!, right });
    setWrong(
      right ? null : said[0] === hole ? `the back pin is not in hole ${said[1]}` : `not hole ${said[0]}`,
    );
  };
  return (
    <form
      className="mill-field"
      onSubmit={(event) => {
        event.preventDefault();
        answer();
      }}
    >
      <p className="mill-lead">{capital(dividedName(run, space))}. Look at the plate, not at the screen.</p>
      <HoleField label="Before you lock: which hole is the pin in now?" typed={pin} onType={setPin} first />
      {two && <HoleField label="And the back pin?" typed={back} onType={setBack} />}
      <button type="submit" className="mill-tick">
        Is it right?
      </button>
      <p role="status">
        {wrong !== null &&
          `✕ ${capital(wrong)}. Do not lock. Was the hole the pin was in counted? Count the spaces from the last hole again, and correct it the way you crank.`}
      </p>
    </form>
  );
}

const whole = (typed: string): number | null => (/^\s*\d{1,4}\s*$/.test(typed) ? Number(typed) : null);

interface HoleFieldProps {
  readonly label: string;
  readonly typed: string;
  readonly first?: boolean;
  readonly onType: (text: string) => void;
}

function HoleField({ label, typed, first = false, onType }: HoleFieldProps) {
  const id = useId();
  return (
    <>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        inputMode="numeric"
        autoComplete="off"
        autoFocus={first}
        value={typed}
        onChange={({ target }) => onType(target.value)}
      />
    </>
  );
}
