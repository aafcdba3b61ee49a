import { memo, useMemo } from 'react';
import {
  circlesOn,
  hasPlate,
  sayPin,
  type Action,
  type Machine,
  type HeadBench,
} from '../../core/practice/index.ts';
import { exact, exactText } from '../../core/units/index.ts';
import { circleRadius } from '../scribe/index.ts';
import { Graduated } from './Graduated.tsx';
import { at, KNOB, RIM } from './headPlaces.ts';
import { useTurnedByHand } from './turnedByHand.ts';

interface CrankHeadProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
  readonly onAct: (action: Action) => void;
}

/** Farther round nobody turns it; a reader of the screen asks for ends. */
const MOST_HOLES = 1_000_000;
/** Between two holes a hand can stop as well. */
const PARTS_OF_A_HOLE = 2;

/** The head from the crank’s side, turned by its knob. With the worm out it is the spindle that is turned. */
export function CrankHead({ bench, machine, onAct }: CrankHeadProps) {
  const direct = bench.ring !== null;
  const circle = bench.ring ?? machine.circle;
  const step = exact(1, circle * PARTS_OF_A_HOLE);
  const arm = direct ? machine.spindle.valueOf() : machine.crank.valueOf();
  const plate = direct ? 0 : machine.plate.valueOf();
  const turnBy = (steps: number) => {
    // what a motor holds no hand turns
    if (steps === 0 || bench.motor) return;
    const turns = exactText(step.mul(steps));
    onAct(direct ? { do: 'spindle', turns } : { do: 'crank', turns });
  };
  const { sheet, handlers } = useTurnedByHand({
    parts: circle * PARTS_OF_A_HOLE,
    key: PARTS_OF_A_HOLE,
    onTurn: turnBy,
  });
  const onPlate = circlesOn(bench, machine);
  const circles = useMemo(() => (direct ? [circle] : onPlate), [direct, circle, onPlate]);
  const radius = circleRadius(circles, circle);
  const [armFrom, armSpaces] = [machine.arms.at.valueOf(), machine.arms.spaces];
  return (
    <svg
      ref={sheet}
      className="practice-head"
      viewBox="-262 -262 524 524"
      role="slider"
      tabIndex={0}
      aria-label={nameOf(bench)}
      aria-valuemin={-MOST_HOLES}
      aria-valuemax={MOST_HOLES}
      aria-valuenow={Math.round(arm * circle)}
      aria-valuetext={sayPin(bench, machine)}
      {...handlers}
    >
      {bench.wheel && <Graduated marks={bench.wheel.marks} turned={arm - machine.zero.valueOf()} knob />}
      {bench.motor && <Graduated marks={360} turned={machine.spindle.valueOf()} knob={false} />}
      {!bench.wheel && !bench.motor && (
        <g transform={`rotate(${(direct ? arm : plate) * 360})`}>
          <circle r={RIM} className="practice-plate" />
          <Holes circles={circles} used={circle} />
          {!direct && (
            <g className="practice-arms">
              {[armFrom - 0.35 / circle, armFrom + (armSpaces + 0.35) / circle].map((turns, i) => {
                const [x, y] = at(RIM - 4, turns);
                const [ix, iy] = at(40, turns);
                return <path key={i} d={`M${ix} ${iy}L${x} ${y}`} />;
              })}
            </g>
          )}
          <text
            {...place(RIM + 16, machine.zero.valueOf() + 0.014)}
            className="practice-zero"
            textAnchor="middle"
          >
            0
          </text>
        </g>
      )}
      {direct && (
        <g className={machine.directPin === 'in' ? 'practice-pin is-in' : 'practice-pin'}>
          <path d={`M-9 ${-radius - 40}h18v${machine.directPin === 'in' ? 40 : 18}h-18Z`} />
          <path d={`M-24 ${-radius - 58}h48v18h-48Z`} />
        </g>
      )}
      {hasPlate(bench) && (
        <g transform={`rotate(${arm * 360})`}>
          <path
            d={`M-20 44A24 24 0 0 0 20 44L14 ${-KNOB + 12}A14 14 0 0 0 -14 ${-KNOB + 12}Z`}
            className="practice-crank"
          />
          <circle r="32" className="practice-hub" />
          <circle r="12" className="practice-hub" />
          <circle cy={-radius} r={machine.pin === 'in' ? 9 : 15} className="practice-pin-seat" />
          <circle cy={-radius} r={machine.pin === 'in' ? 5 : 6} className="practice-pin-point" />
          <circle cy={-KNOB} r="24" className="practice-knob" />
        </g>
      )}
    </svg>
  );
}

function nameOf({ ring, wheel, motor }: HeadBench): string {
  if (motor) return 'Table, turned by its motor';
  if (wheel) return 'Handwheel';
  return ring === null ? 'Crank' : 'Spindle, by hand';
}

/** Every hole of the plate’s side; the same while the crank turns. */
const Holes = memo(function Holes({
  circles,
  used,
}: {
  readonly circles: readonly number[];
  readonly used: number;
}) {
  return circles.map((holes) => (
    <g key={holes} className={holes === used ? 'practice-circle is-used' : 'practice-circle'}>
      {Array.from({ length: holes }, (_, k) => {
        const [x, y] = at(circleRadius(circles, holes), k / holes);
        return <circle key={k} cx={x} cy={y} r={holes === used ? Math.min(5, 260 / holes) : 1.8} />;
      })}
    </g>
  ));
});

function place(radius: number, turns: number): { readonly x: number; readonly y: number } {
  const [x, y] = at(radius, turns);
  return { x, y: y + 5 };
}
