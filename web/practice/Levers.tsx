import {
  hasPlate,
  type Action,
  type HeadBench,
  type Machine,
  type PracticeBench,
} from '../../core/practice/index.ts';

interface LeversProps {
  readonly bench: PracticeBench;
  readonly machine: Machine;
  readonly onAct: (action: Action) => void;
}

/** What is drawn, dropped, locked and switched: each says how it stands, and a press changes it. */
export function Levers(props: LeversProps) {
  const { bench, machine, onAct } = props;
  return (
    <div className="practice-levers" role="group" aria-label="Levers and pins">
      <Lever
        name={bench.on === 'head' ? 'Spindle' : 'Table'}
        stands={machine.locked ? 'locked' : 'free'}
        on={machine.locked}
        press="L"
        onPress={() => onAct({ do: 'lock', on: !machine.locked })}
      />
      {bench.on === 'head' && <OnHead bench={bench} machine={machine} onAct={onAct} />}
      <Lever
        name="Cutter"
        stands={machine.running ? 'turning' : 'standing'}
        on={machine.running}
        press="R"
        onPress={() => onAct({ do: 'run', on: !machine.running })}
      />
      {bench.on === 'head' && (
        <Lever
          name="Key in the blank"
          stands={machine.keyed ? 'keyed' : 'none'}
          on={machine.keyed}
          onPress={() => onAct({ do: 'key', on: !machine.keyed })}
        />
      )}
    </div>
  );
}

/** Pins, worm and arms. */
function OnHead({ bench, machine, onAct }: LeversProps & { readonly bench: HeadBench }) {
  const direct = bench.ring !== null;
  const plated = hasPlate(bench);
  const other = (now: 'in' | 'out' | 'broken') => (now === 'out' ? ('in' as const) : ('out' as const));
  return (
    <>
      {plated && (
        <Lever
          name="Crank pin"
          stands={machine.pin}
          on={machine.pin === 'in'}
          press="P"
          onPress={() => onAct({ do: 'pin', to: other(machine.pin) })}
        />
      )}
      {direct && (
        <Lever
          name="Direct pin"
          stands={machine.directPin}
          on={machine.directPin === 'in'}
          press="P"
          onPress={() => onAct({ do: 'direct-pin', to: other(machine.directPin) })}
        />
      )}
      <Lever
        name="Worm"
        stands={machine.worm}
        on={machine.worm === 'in'}
        onPress={() => onAct({ do: 'worm', to: other(machine.worm) })}
      />
      {plated && (
        <Lever
          name={bench.run.move.method === 'compound' ? 'Back pin' : 'Plate lock'}
          stands={machine.plateLock}
          on={machine.plateLock === 'in'}
          onPress={() => onAct({ do: 'plate-lock', to: other(machine.plateLock) })}
        />
      )}
      {plated && (
        <Lever
          name="Arms"
          stands={`${machine.arms.spaces} spaces`}
          on={false}
          press="A"
          onPress={() => onAct({ do: 'arms-round' })}
          does="round to the pin"
        />
      )}
    </>
  );
}

interface LeverProps {
  readonly name: string;
  readonly stands: string;
  readonly on: boolean;
  readonly press?: string;
  readonly does?: string;
  readonly onPress: () => void;
}

function Lever({ name, stands, on, press, does, onPress }: LeverProps) {
  return (
    <button
      type="button"
      className={`practice-lever ${on ? 'is-on' : ''}`}
      aria-label={`${name}: ${stands}${does ? `, ${does}` : ''}`}
      onClick={onPress}
    >
      <svg viewBox="0 0 44 30" aria-hidden="true">
        <circle cx="10" cy="20" r="7" />
        <path d={on ? 'M10 20H40' : 'M10 20L34 3'} />
      </svg>
      <span>
        {name} {press && <kbd>{press}</kbd>}
      </span>
      <small>{does ?? stands}</small>
    </button>
  );
}
