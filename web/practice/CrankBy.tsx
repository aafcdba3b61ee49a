import { Button, Input } from 'antd';
import { useState } from 'react';
import type { Action, Machine, HeadBench } from '../../core/practice/index.ts';
import { exactText } from '../../core/units/index.ts';
import { turnsTyped } from './turnsTyped.ts';

interface CrankByProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
  readonly onAct: (action: Action) => void;
}

/** What is turned in so many parts, how it is asked for and what is answered to what cannot be read. */
function partsOf({ ring, wheel }: HeadBench, { circle }: Machine) {
  if (wheel)
    return {
      parts: wheel.marks,
      label: `Wheel by: marks of ${wheel.marks}, or turns + marks`,
      wrong: 'Write marks, like 14 or 14.5, or turns and marks, like 1 + 14.5.',
    };
  const parts = ring ?? circle;
  return {
    parts,
    label: `${ring === null ? 'Crank' : 'Spindle'} by: spaces on ${parts}, or turns + spaces`,
    wrong: 'Write spaces, like 14, or turns and spaces, like 1 + 14.',
  };
}

/** The crank, spindle or wheel by so many turns and parts, as one writes them; a motor to a count. */
export function CrankBy(props: CrankByProps) {
  return props.bench.motor ? <SendMotor {...props} /> : <TurnBy {...props} />;
}

function TurnBy({ bench, machine, onAct }: CrankByProps) {
  const [typed, setTyped] = useState('');
  const [isWrong, setWrong] = useState(false);
  const { parts, label, wrong } = partsOf(bench, machine);
  const go = (sign: '' | '-') => {
    const by = turnsTyped(typed, parts, bench.wheel !== null);
    setWrong(by === null);
    if (by === null) return;
    setTyped('');
    const turns = exactText(sign === '-' ? by.neg() : by);
    onAct(bench.ring === null ? { do: 'crank', turns } : { do: 'spindle', turns });
  };
  return (
    <div className="practice-crank-by">
      <label htmlFor="crank-by">{label}</label>
      <Input
        id="crank-by"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onPressEnter={() => go('')}
        status={isWrong ? 'error' : ''}
        placeholder="1 + 14"
        autoComplete="off"
      />
      <Button onClick={() => go('')} disabled={typed.trim() === ''}>
        Clockwise
      </Button>
      <Button onClick={() => go('-')} disabled={typed.trim() === ''}>
        Back
      </Button>
      {isWrong && <p role="alert">{wrong}</p>}
    </div>
  );
}

/** A motor goes where it is sent, if nothing holds it; it never says that it did not. */
function SendMotor({ machine, onAct }: CrankByProps) {
  const [typed, setTyped] = useState('');
  const [isWrong, setWrong] = useState(false);
  const go = () => {
    const fits = /^\s*-?\d{1,9}\s*$/.test(typed);
    setWrong(!fits);
    if (!fits) return;
    setTyped('');
    onAct({ do: 'steps', to: Number(typed) });
  };
  return (
    <div className="practice-crank-by">
      <label htmlFor="crank-by">Send the motor to a count; it stands at {machine.steps}</label>
      <Input
        id="crank-by"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onPressEnter={go}
        status={isWrong ? 'error' : ''}
        inputMode="numeric"
        autoComplete="off"
      />
      <Button onClick={go} disabled={typed.trim() === ''}>
        Send
      </Button>
      {isWrong && <p role="alert">Write the count in whole steps, reckoned from 0.</p>}
    </div>
  );
}
