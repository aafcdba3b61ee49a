interface TrainViewProps {
  readonly train: {
    readonly driver: number;
    readonly driven: number;
    readonly second: { readonly driver: number; readonly driven: number } | null;
  };
  readonly idlers: number;
  readonly plateTurns: 'with' | 'against';
}

const WIDTH = 420;
const HEIGHT = 190;
/** Teeth an idler is drawn with; any gear left over serves. */
const IDLER = 28;

interface Shaft {
  readonly name: string;
  /** Gears on this shaft: the one that is driven first, then the one that drives. */
  readonly gears: readonly number[];
  readonly idler: boolean;
}

/** The shafts from the spindle to the plate, in the order they mesh. */
function shaftsOf({ train, idlers }: TrainViewProps): Shaft[] {
  const between = Array.from({ length: idlers }, (): Shaft => ({
    name: 'idler',
    gears: [IDLER],
    idler: true,
  }));
  const { driver, driven, second } = train;
  const spindle: Shaft = { name: 'spindle', gears: [driver], idler: false };
  const plate: Shaft = { name: 'plate shaft', gears: [second ? second.driven : driven], idler: false };
  if (!second) return [spindle, ...between, plate];
  return [spindle, { name: 'stud', gears: [driven, second.driver], idler: false }, ...between, plate];
}

/** The gear train to one scale, shaft by shaft, laid out straight. Idlers are drawn broken: any gear left over serves. */
export function TrainView(props: TrainViewProps) {
  const shafts = shaftsOf(props);
  const centres: number[] = [];
  for (const [i, { gears }] of shafts.entries()) {
    const before = shafts[i - 1];
    centres.push(before ? centres[i - 1]! + (before.gears.at(-1)! + gears[0]!) / 2 : 0);
  }
  const left = Math.min(...shafts.map(({ gears }, i) => centres[i]! - Math.max(...gears) / 2));
  const right = Math.max(...shafts.map(({ gears }, i) => centres[i]! + Math.max(...gears) / 2));
  const tallest = Math.max(...shafts.flatMap(({ gears }) => gears));
  const scale = Math.min((WIDTH - 20) / (right - left), (HEIGHT - 66) / tallest);
  const x = (centre: number) => WIDTH / 2 + (centre - (left + right) / 2) * scale;
  const cy = 22 + (tallest * scale) / 2;
  const words = shafts
    .map(({ name, gears, idler }) => (idler ? name : `${name} ${gears.join(' and ')}`))
    .join(', ');
  return (
    <svg
      className="scribe-drawing"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Gear train to scale: ${words}`}
    >
      {shafts.map(({ name, gears, idler }, i) => (
        <g key={i}>
          {gears.map((teeth, k) => (
            <circle
              key={k}
              cx={x(centres[i]!)}
              cy={cy}
              r={(teeth / 2) * scale}
              className={idler ? 'train-idler' : k === 1 ? 'train-second' : 'scribe-lit'}
            />
          ))}
          <circle cx={x(centres[i]!)} cy={cy} r={3.5} className="train-axis" />
          <text
            x={x(centres[i]!)}
            y={HEIGHT - 26 + (i % 2) * 17}
            textAnchor="middle"
            className="scribe-small"
          >
            {idler ? 'idler' : `${name} ${gears.join(' + ')}`}
          </text>
        </g>
      ))}
      <text x={WIDTH / 2} y={14} textAnchor="middle" className="scribe-brass">
        the plate creeps {props.plateTurns} the crank
      </text>
    </svg>
  );
}
