import type { Action, Machine, HeadBench } from '../../core/practice/index.ts';
import { exactText } from '../../core/units/index.ts';
import { TypedMove } from './TypedMove.tsx';
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
  const { parts, label, wrong } = partsOf(bench, machine);
  const go = (back: boolean) => (typed: string) => {
    const by = turnsTyped(typed, parts, bench.wheel !== null);
    if (by === null) return false;
    const turns = exactText(back ? by.neg() : by);
    onAct(bench.ring === null ? { do: 'crank', turns } : { do: 'spindle', turns });
    return true;
  };
  return (
    <TypedMove
      label={label}
      placeholder="1 + 14"
      wrong={wrong}
      deeds={[
        { name: 'Clockwise', does: go(false) },
        { name: 'Back', does: go(true) },
      ]}
    />
  );
}

/** A motor goes where it is sent, if nothing holds it; it never says that it did not. */
function SendMotor({ machine, onAct }: CrankByProps) {
  const send = (typed: string) => {
    if (!/^\s*-?\d{1,9}\s*$/.test(typed)) return false;
    onAct({ do: 'steps', to: Number(typed) });
    return true;
  };
  return (
    <TypedMove
      label={`Send the motor to a count; it stands at ${machine.steps}`}
      inputMode="numeric"
      wrong="Write the count in whole steps, reckoned from 0."
      deeds={[{ name: 'Send', does: send }]}
    />
  );
}
