import { Button, Input, Slider } from 'antd';
import { useId, useState } from 'react';
import { reachOf, type Action, type Machine, type PracticeBench } from '../../core/practice/index.ts';
import { onDepthDial, onTravelDial } from '../../core/prompts/index.ts';
import { lengthText, parseLength, approx, measure, type UnitSystem } from '../../core/units/index.ts';

interface FeedsProps {
  readonly bench: PracticeBench;
  readonly machine: Machine;
  readonly units: UnitSystem;
  readonly onAct: (action: Action) => void;
}

const ROOM = 25;

/** Table, depth and cross: by their slides, or to a reading that is typed. */
export function Feeds({ bench, machine, units, onAct }: FeedsProps) {
  const { run, face } = bench;
  const deep = run.rounds.at(-1)?.depthMm ?? 0;
  const far = reachOf(bench, deep) + ROOM;
  const dial = onTravelDial(run, machine.table);
  // along a bar there is no middle to be beside
  const along = bench.on === 'table';
  const from = along ? 'the top' : bench.rim ? 'the first touch' : 'the outside';
  const aside = run.mount?.axis === 'vertical' ? 'Knee' : 'Cross slide';
  return (
    <div className="practice-feeds">
      <Feed
        name={along ? 'Cross slide' : 'Table'}
        note="from where the face begins, the way it cuts"
        least={-far}
        most={face + far}
        value={machine.table}
        dial={dial}
        units={units}
        onTo={(to) => onAct({ do: 'table', to })}
      />
      <Feed
        name="Depth"
        note={`below ${from}; less than 0 is clear of it`}
        least={-12}
        most={deep * 1.3}
        value={machine.depth}
        dial={machine.depth > 0 ? onDepthDial(run, machine.depth) : ''}
        units={units}
        onTo={(to) => onAct({ do: 'depth', to })}
      />
      {!along && (
        <details className="practice-aside">
          <summary>
            {aside}: {lengthText(machine.beside, units)} beside the middle
          </summary>
          <Feed
            name={aside}
            note="beside the middle of the work"
            least={-2}
            most={2}
            value={machine.beside}
            dial=""
            units={units}
            onTo={(to) => onAct({ do: 'beside', to })}
          />
        </details>
      )}
    </div>
  );
}

interface FeedProps {
  readonly name: string;
  readonly note: string;
  readonly least: number;
  readonly most: number;
  readonly value: number;
  readonly dial: string;
  readonly units: UnitSystem;
  readonly onTo: (to: number) => void;
}

/** One handle: slid, or to a reading. It moves when it is let go. */
function Feed({ name, note, least, most, value, dial, units, onTo }: FeedProps) {
  const id = useId();
  const [slid, setSlid] = useState<number | null>(null);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const go = () => {
    if (typed.trim() === '') return;
    const read = parseLength(measure(typed, units));
    if (!read.ok) return setWrong(`Write a length, like ${units === 'mm' ? '31.2' : '1.250'}.`);
    setWrong('');
    setTyped('');
    onTo(Math.max(-1000, Math.min(1000, approx(read.value))));
  };
  return (
    <div className="practice-feed" role="group" aria-label={name}>
      <label htmlFor={id}>
        {name} <small>{note}</small>
      </label>
      <output>
        {lengthText(slid ?? value, units)} {dial && slid === null && <small>{dial}</small>}
      </output>
      <Slider
        ariaLabelForHandle={`${name}, slide`}
        min={least}
        max={most}
        step={0.01}
        value={slid ?? value}
        onChange={setSlid}
        onChangeComplete={(to) => {
          setSlid(null);
          onTo(to);
        }}
        tooltip={{ open: false }}
      />
      <Input
        id={id}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onPressEnter={go}
        status={wrong ? 'error' : ''}
        placeholder="to"
        autoComplete="off"
        suffix={units}
      />
      <Button onClick={go} disabled={typed.trim() === ''}>
        Go
      </Button>
      {wrong && <p role="alert">{wrong}</p>}
    </div>
  );
}
