import { useLayoutEffect, useRef } from 'react';
import { Link } from 'react-router';
import {
  RACK_ANGLES,
  sayPin,
  type Action,
  type Machine,
  type TableBench,
} from '../../core/practice/index.ts';
import { Graduated } from './Graduated.tsx';
import { TypedMove } from './TypedMove.tsx';
import { turnsTyped } from './turnsTyped.ts';
import { useTurnedByHand } from './turnedByHand.ts';

interface TableScrewProps {
  readonly bench: TableBench;
  readonly machine: Machine;
  readonly onAct: (action: Action) => void;
}

/** A mark of the dial is told in so many parts. */
const PARTS_OF_A_MARK = 2;
/** Farther nobody goes; a reader of the screen asks for ends. */
const MOST_MARKS = 1_000_000;

/** The dial of the table that divides, turned by its handle, or to a reading. */
export function TableScrew(props: TableScrewProps) {
  const { bench, machine, onAct } = props;
  const { lead, marks } = bench.screw;
  const { dial, zero } = machine.along ?? { dial: 0, zero: 0 };
  const parts = marks * PARTS_OF_A_MARK;
  // several moves of a finger may come before the next drawing: each goes on from the last
  const asked = useRef(dial);
  useLayoutEffect(() => {
    asked.current = dial;
  });
  const { sheet, handlers } = useTurnedByHand({
    parts,
    key: PARTS_OF_A_MARK,
    onTurn: (by) => {
      // from mark to mark, so that no rounding adds up
      const at = Math.round((asked.current / lead) * parts) + by;
      asked.current = (at / parts) * lead;
      onAct({ do: 'along', to: asked.current });
    },
  });
  return (
    <>
      <svg
        ref={sheet}
        className="practice-head"
        viewBox="-262 -262 524 524"
        role="slider"
        tabIndex={0}
        aria-label="Dial of the table"
        aria-valuemin={-MOST_MARKS}
        aria-valuemax={MOST_MARKS}
        aria-valuenow={Math.round(((dial - zero) / lead) * marks)}
        aria-valuetext={sayPin(bench, machine)}
        {...handlers}
      >
        <Graduated marks={marks} turned={(dial - zero) / lead} knob />
      </svg>
      <TurnTo {...props} />
      {bench.bar.rack && <RackCutter angleDeg={bench.bar.rack.angleDeg} />}
    </>
  );
}

/** Which rack cutter is on the arbor; another begins a new bar. */
function RackCutter({ angleDeg }: { readonly angleDeg: number }) {
  return (
    <p className="practice-aside">
      Rack cutter of {angleText(angleDeg)}, a new bar with one of{' '}
      {RACK_ANGLES.filter((each) => each !== angleDeg).map((each) => (
        <Link key={each} to={each === RACK_ANGLES[0] ? '?' : `?angle=${each}`}>
          {angleText(each)}
        </Link>
      ))}
    </p>
  );
}

const angleText = (degrees: number): string => (degrees === 14.5 ? '14½°' : `${degrees}°`);

/** To a reading, as the card lists it: whole turns and marks from the first space. */
function TurnTo({ bench, machine, onAct }: TableScrewProps) {
  const { lead, marks } = bench.screw;
  const go = (typed: string) => {
    const [, back, reading = ''] = /^\s*([-−])?(.*)$/.exec(typed) ?? [];
    const turns = turnsTyped(reading, marks, true);
    if (turns === null) return false;
    const to = turns.valueOf() * lead;
    onAct({ do: 'along', to: (machine.along?.zero ?? 0) + (back ? -to : to) });
    return true;
  };
  return (
    <TypedMove
      label={`Table’s dial to: marks of ${marks}, or turns + marks`}
      placeholder="1 + 26"
      wrong="Write marks, like 26 or 26.5, or turns and marks, like 1 + 26.5; before its 0, like -50."
      deeds={[{ name: 'Go', does: go }]}
    />
  );
}
