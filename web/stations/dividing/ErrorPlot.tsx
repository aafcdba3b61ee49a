import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useMemo } from 'react';
import { Axis } from '../../scribe/index.ts';

interface ErrorPlotProps {
  /** Parts of a turn, one for each space in turn and the first once more. */
  readonly errors: readonly number[];
  /** mm; shows micrometres at the pitch circle, else seconds. */
  readonly diameter: number | null;
}

const WIDTH = 460;
const HEIGHT = 190;
const PAD = { left: 58, right: 10, top: 12, bottom: 34 };

/** The error of every space, round the work. */
export function ErrorPlot({ errors, diameter }: ErrorPlotProps) {
  const unit = diameter === null ? '″' : 'µm';
  const figures = useMemo(
    () => errors.map((turns) => (diameter === null ? turns * 1_296_000 : turns * Math.PI * diameter * 1000)),
    [errors, diameter],
  );
  const [low = 0, high = 0] = extent(figures);
  const most = Math.max(Math.abs(low), Math.abs(high), 1e-6);
  const x = scaleLinear([1, Math.max(2, figures.length)], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([-most, most], [HEIGHT - PAD.bottom, PAD.top]).nice(4);
  const path = line<number>(
    (_, i) => x(i + 1),
    (figure) => y(figure),
  );
  const few = figures.length <= 130;
  return (
    <svg
      className="error-plot"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Error of each place in ${unit}: from ${low.toFixed(1)} to ${high.toFixed(1)}`}
    >
      <Axis scale={y} on="left" at={PAD.left} marks={4} />
      <Axis scale={x} on="bottom" at={HEIGHT - PAD.bottom} marks={6} />
      <path d={`M${PAD.left} ${y(0)}H${WIDTH - PAD.right}`} className="error-zero" />
      <path d={path(figures) ?? ''} className="error-line" />
      {few && figures.map((figure, i) => <circle key={i} cx={x(i + 1)} cy={y(figure)} r="2.2" />)}
      <text x={PAD.left - 46} y={PAD.top + 2}>
        {unit}
      </text>
      <text x={WIDTH - PAD.right} y={HEIGHT - 2} textAnchor="end">
        space
      </text>
    </svg>
  );
}
