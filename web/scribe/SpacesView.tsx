import { radiansOf } from '../../core/units/index.ts';
interface SpacesViewProps {
  readonly spaces: number;
  /** Degrees from one to the next, or millimetres along a line. */
  readonly step: number;
  readonly along: 'turn' | 'line';
  /** The space at the cutter, 1 … spaces; null for none. */
  readonly at?: number | null;
  readonly label: string;
  readonly height?: number;
}

const SIZE = 420;
const MOST_DRAWN = 720;

/**
 * What is divided, where it stands: marks round the work, or along it. Space 1 and every tenth stand taller.
 */
export function SpacesView({ spaces, step, along, at = null, label, height = 300 }: SpacesViewProps) {
  // more marks than can be told apart are thinned out
  const every = Math.ceil(spaces / MOST_DRAWN);
  const numbers = Array.from({ length: spaces }, (_, k) => k + 1).filter(
    (space) => space === at || (space - 1) % every === 0,
  );
  const tall = (space: number) => space === 1 || space % 10 === 0;
  if (along === 'line') {
    const gap = Math.min(24, (SIZE - 40) / Math.max(1, spaces - 1));
    const left = (SIZE - gap * (spaces - 1)) / 2;
    return (
      <svg className="scribe-drawing" viewBox={`0 0 ${SIZE} 150`} role="img" aria-label={label}>
        <rect x={left - 14} y={60} width={gap * (spaces - 1) + 28} height={62} className="scribe-lit" />
        {numbers.map((space) => (
          <path
            key={space}
            d={`M${left + gap * (space - 1)} 60v${tall(space) ? 40 : 24}`}
            className={space === at ? 'scribe-mark is-here' : 'scribe-line'}
          />
        ))}
        <text x={left} y={48} textAnchor="middle" className="scribe-small">
          1
        </text>
        <text x={left + gap * (spaces - 1)} y={48} textAnchor="middle" className="scribe-small">
          {spaces}
        </text>
      </svg>
    );
  }
  const radius = height / 2 - 34;
  const ray = (degrees: number, from: number, to: number) => {
    const a = radiansOf(degrees);
    return `M${from * Math.sin(a)} ${-from * Math.cos(a)}L${to * Math.sin(a)} ${-to * Math.cos(a)}`;
  };
  const place = (degrees: number, r: number) => ({
    x: r * Math.sin(radiansOf(degrees)),
    y: 5 - r * Math.cos(radiansOf(degrees)),
  });
  // closer together their numbers would lie on one another
  const named = new Set(step < 8 ? [1] : [1, 2, spaces]);
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-SIZE / 2} ${-height / 2} ${SIZE} ${height}`}
      role="img"
      aria-label={label}
    >
      <circle r={radius} className="scribe-lit" />
      {numbers.map((space) => (
        <path
          key={space}
          d={ray((space - 1) * step, radius, radius - (tall(space) ? 30 : 18))}
          className={space === at ? 'scribe-mark is-here' : 'scribe-line'}
        />
      ))}
      {[...named]
        .filter((space) => space <= spaces)
        .map((space) => (
          <text
            key={space}
            {...place((space - 1) * step, radius + 16)}
            textAnchor="middle"
            className="scribe-small"
          >
            {space}
          </text>
        ))}
    </svg>
  );
}
