import { InputNumber } from 'antd';
import { useId, useState } from 'react';
import { meshesOf, type Train } from '../../core/gearing/index.ts';
import {
  notOwned,
  type Action,
  type Drawer,
  type GearsOn,
  type HeadBench,
  type Machine,
} from '../../core/practice/index.ts';
import { TrainOn } from './TrainOn.tsx';

interface SetGearsProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
  /** The change gears of the shop that belong to this head; null where none are listed. */
  readonly drawer: Drawer | null;
  readonly onAct: (action: Action) => void;
}

const FEWEST_TEETH = 8;
const MOST_TEETH = 300;
const MOST_IDLERS = 3;

/** The places of a train, in the order they mesh, by the shafts of this bench. */
function placesOf({ train }: GearsOn, first: string, last: string) {
  const meshes = meshesOf(train);
  const withGear = (pair: number, end: 'driver' | 'driven', teeth: number): Train => {
    const [one, second = null, third] = meshes.map((mesh, i) =>
      i === pair ? { ...mesh, [end]: teeth } : mesh,
    );
    return { ...one!, second, ...(third && { third }) };
  };
  const studs = meshes.length > 2 ? ['First stud', 'Second stud'] : ['Stud'];
  return meshes.flatMap(({ driver, driven }, pair) => [
    {
      name: pair === 0 ? `On the ${first}` : `${studs[pair - 1]!}, driver`,
      teeth: driver,
      put: (teeth: number) => withGear(pair, 'driver', teeth),
    },
    {
      name: pair === meshes.length - 1 ? `On the ${last}` : `${studs[pair]!}, driven`,
      teeth: driven,
      put: (teeth: number) => withGear(pair, 'driven', teeth),
    },
  ]);
}

/** `No gear of 27 is owned.`, `Of 24 teeth 1 is owned, and 2 are on.` */
const shortText = ({ teeth, owned, on }: ReturnType<typeof notOwned>[number]): string =>
  owned === 0
    ? `No gear of ${teeth} is owned.`
    : `Of ${teeth} teeth ${owned} ${owned === 1 ? 'is' : 'are'} owned, and ${on} are on.`;

/** Which gears are on, and how many idlers: each may be another, and all may come off. */
export function SetGears({ bench, machine, drawer, onAct }: SetGearsProps) {
  const { gearing } = bench;
  const { gears } = machine;
  if (!gearing) return null;
  const [first, last] = gearing.between === 'spindle' ? ['spindle', 'plate shaft'] : ['screw', 'worm shaft'];
  const short = gears && drawer ? notOwned(gears, drawer) : [];
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
          {short.length > 0 && <p className="practice-short">{short.map(shortText).join(' ')}</p>}
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
