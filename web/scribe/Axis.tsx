import type { ScaleLinear } from 'd3-scale';

interface AxisProps {
  readonly scale: ScaleLinear<number, number>;
  /** Which side of the plot it stands on. */
  readonly on: 'left' | 'bottom';
  /** Where it stands across its own direction. */
  readonly at: number;
  /** How many marks are wanted, about. */
  readonly marks: number;
}

const TICK = 6;

/** A scale with its marks and figures, at the left of a plot or under it. */
export function Axis({ scale, on, at, marks }: AxisProps) {
  const [from = 0, to = 0] = scale.range();
  const figure = scale.tickFormat(marks);
  const left = on === 'left';
  return (
    <g className="axis" transform={left ? `translate(${at} 0)` : `translate(0 ${at})`}>
      <path className="domain" d={left ? `M0 ${from}V${to}` : `M${from} 0H${to}`} />
      {scale.ticks(marks).map((tick) => (
        <g
          key={tick}
          className="tick"
          transform={left ? `translate(0 ${scale(tick)})` : `translate(${scale(tick)} 0)`}
        >
          <path d={left ? `M0 0H-${TICK}` : `M0 0V${TICK}`} />
          <text
            {...(left
              ? { x: -9, dy: '0.32em', textAnchor: 'end' }
              : { y: 9, dy: '0.71em', textAnchor: 'middle' })}
          >
            {figure(tick)}
          </text>
        </g>
      ))}
    </g>
  );
}
