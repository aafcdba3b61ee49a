import { degreesOf } from '../../core/units/index.ts';
import { arc } from 'd3-shape';
import { layShafts, type TrainLaid, type TrainShaft } from '../../core/gearing/index.ts';

interface TrainViewProps extends TrainLaid {
  /** What must be seen to happen. */
  readonly caption: string;
  /** Turns the first shaft has made, to be seen turning. */
  readonly turned?: number;
}

const WIDTH = 420;
const HEIGHT = 190;
/** Turns of each shaft for so many of the first: every mesh turns the hand round. */
function turnsOf(shafts: readonly TrainShaft[], first: number): number[] {
  const turns: number[] = [];
  for (const [i, { gears }] of shafts.entries()) {
    const before = shafts[i - 1];
    turns.push(before ? (-turns[i - 1]! * before.gears.at(-1)!) / gears[0]! : first);
  }
  return turns;
}

/**
 * The gear train to one scale, shaft by shaft, laid out straight. Idlers are drawn broken: any gear left over
 * serves.
 */
export function TrainView(props: TrainViewProps) {
  const shafts = layShafts(props);
  const turns = turnsOf(shafts, props.turned ?? 0);
  const hands = turnsOf(shafts, 1);
  const left = Math.min(...shafts.map(({ gears, centre }) => centre - Math.max(...gears) / 2));
  const right = Math.max(...shafts.map(({ gears, centre }) => centre + Math.max(...gears) / 2));
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
      {shafts.map(({ name, gears, idler, centre }, i) => (
        <g key={i}>
          {gears.map((teeth, k) => (
            <Wheel
              key={k}
              x={x(centre)}
              y={cy}
              radius={(teeth / 2) * scale}
              turns={turns[i]!}
              className={idler ? 'train-idler' : k === 1 ? 'train-second' : 'scribe-lit'}
            />
          ))}
          <Hand x={x(centre)} y={cy} radius={Math.min(...gears) * 0.3 * scale} clockwise={hands[i]! > 0} />
          <circle cx={x(centre)} cy={cy} r={3.5} className="train-axis" />
          <text x={x(centre)} y={HEIGHT - 26 + (i % 2) * 17} textAnchor="middle" className="scribe-small">
            {idler ? 'idler' : `${name} ${gears.join(' + ')}`}
          </text>
        </g>
      ))}
      <text x={WIDTH / 2} y={14} textAnchor="middle" className="scribe-brass">
        {props.caption}
      </text>
    </svg>
  );
}

/** A gear by its pitch circle, with a scribed line that shows how far it has turned. */
function Wheel({
  x,
  y,
  radius,
  turns,
  className,
}: {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly turns: number;
  readonly className: string;
}) {
  return (
    <g transform={`translate(${x} ${y}) rotate(${turns * 360})`}>
      <circle r={radius} className={className} />
      <path d={`M0 ${-radius * 0.62}V${-radius}`} className="train-mark" />
    </g>
  );
}

/** Which way a shaft turns when the first is turned clockwise. */
function Hand({
  x,
  y,
  radius,
  clockwise,
}: {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly clockwise: boolean;
}) {
  const size = Math.max(8, radius);
  const end = clockwise ? 1.2 : -1.2;
  const shaft = arc()({ innerRadius: size, outerRadius: size, startAngle: -end, endAngle: end });
  const [tx, ty] = [size * Math.sin(end), -size * Math.cos(end)];
  const heading = degreesOf(end) + (clockwise ? 0 : 180);
  return (
    <g transform={`translate(${x} ${y})`} className="train-hand">
      <path d={shaft ?? ''} />
      <path d="M-5 -4L3 0L-5 4" transform={`translate(${tx} ${ty}) rotate(${heading})`} />
    </g>
  );
}
