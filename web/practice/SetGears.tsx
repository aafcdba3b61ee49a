import { InputNumber } from 'antd';
import { useId, useState } from 'react';
import type { Train } from '../../core/gearing/index.ts';
import type { Action, GearsOn, HeadBench, Machine } from '../../core/practice/index.ts';
import { TrainOn } from './TrainOn.tsx';

interface SetGearsProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
  readonly onAct: (action: Action) => void;
}

const FEWEST_TEETH = 8;
const MOST_TEETH = 300;
const MOST_IDLERS = 3;

/** The four places of a train, in the order they mesh, by the shafts of this bench. */
function placesOf({ train }: GearsOn, first: string, last: string) {
  const { driver, driven, second } = train;
  const place = (name: string, teeth: number, put: (teeth: number) => Train) => ({ name, teeth, put });
  return second
    ? [
        place(`On the ${first}`, driver, (teeth) => ({ ...train, driver: teeth })),
        place('Stud, driven', driven, (teeth) => ({ ...train, driven: teeth })),
        place('Stud, driver', second.driver, (teeth) => ({ ...train, second: { ...second, driver: teeth } })),
        place(`On the ${last}`, second.driven, (teeth) => ({
          ...train,
          second: { ...second, driven: teeth },
        })),
      ]
    : [
        place(`On the ${first}`, driver, (teeth) => ({ ...train, driver: teeth })),
        place(`On the ${last}`, driven, (teeth) => ({ ...train, driven: teeth })),
      ];
}

/** Which gears are on, and how many idlers: each may be another, and all may come off. */
export function SetGears({ bench, machine, onAct }: SetGearsProps) {
  const { gearing } = bench;
  const { gears } = machine;
  if (!gearing) return null;
  const [first, last] = gearing.between === 'spindle' ? ['spindle', 'plate shaft'] : ['screw', 'worm shaft'];
  const put = (on: GearsOn | null) => onAct({ do: 'gears', on });
  return (
    <div className="practice-fields" role="group" aria-label="Gears">
      {gears ? (
        <>
          {placesOf(gears, first!, last!).map(({ name, teeth, put: withTeeth }) => (
            <Count
              key={name}
              name={name}
              from={FEWEST_TEETH}
              to={MOST_TEETH}
              value={teeth}
              onSet={(chosen) => put({ train: withTeeth(chosen), idlers: gears.idlers })}
            />
          ))}
          <Count
            name="Idlers"
            from={0}
            to={MOST_IDLERS}
            value={gears.idlers}
            onSet={(idlers) => put({ train: gears.train, idlers })}
          />
          <button type="button" className="plain-link" onClick={() => put(null)}>
            Take the gears off
          </button>
          <TrainOn bench={bench} machine={machine} />
        </>
      ) : (
        <p>
          No gears are in mesh.{' '}
          <button
            type="button"
            className="plain-link"
            onClick={() => put({ train: gearing.train, idlers: gearing.idlers })}
          >
            Put on those of the card
          </button>
        </p>
      )}
    </div>
  );
}

interface CountProps {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly value: number;
  readonly onSet: (count: number) => void;
}

/** A count that holds once it is typed to its end: a gear of 10 is not put on on the way to one of 100. */
function Count({ name, from, to, value, onSet }: CountProps) {
  const id = useId();
  const [typed, setTyped] = useState<number | null>(null);
  const end = () => {
    setTyped(null);
    if (typed !== null && typed !== value) onSet(typed);
  };
  return (
    <div>
      <label htmlFor={id}>{name}</label>
      <InputNumber
        id={id}
        min={from}
        max={to}
        precision={0}
        value={typed ?? value}
        onChange={setTyped}
        onBlur={end}
        onPressEnter={end}
        onStep={(count) => {
          setTyped(null);
          onSet(count);
        }}
      />
    </div>
  );
}
