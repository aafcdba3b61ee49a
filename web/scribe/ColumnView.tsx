import './strikes.css';
import { lengthText, type UnitSystem, radiansOf } from '../../core/units/index.ts';

interface ColumnViewProps {
  /** Of the table, mm. */
  readonly size: { readonly length: number; readonly width: number };
  readonly swingDeg: number;
  readonly rightEnd: 'away' | 'towards';
  /** How far the swung table’s corner reaches from its middle line, mm. */
  readonly reach: number;
  /** From the table’s middle line to the column, mm. */
  readonly toColumn: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const ROOM = 24;

/**
 * The owner’s table and column from above, to scale: straight, thin, and swung, with the corner that comes
 * nearest; red where it would strike.
 */
export function ColumnView({ size, swingDeg, rightEnd, reach, toColumn, units }: ColumnViewProps) {
  const { length, width } = size;
  const strikes = reach > toColumn;
  const angle = radiansOf(swingDeg) * (rightEnd === 'away' ? -1 : 1);
  const front = reach;
  const high = Math.max(toColumn, reach) + front;
  const scale = Math.min((WIDTH - 2 * ROOM) / length, 190 / high);
  const turn = (x: number, y: number): readonly [number, number] => [
    (x * Math.cos(angle) - y * Math.sin(angle)) * scale,
    (x * Math.sin(angle) + y * Math.cos(angle)) * scale,
  ];
  const corners = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([a, b]) => turn((a! * length) / 2, (b! * width) / 2));
  const nearest = corners.reduce((best, each) => (each[1] < best[1] ? each : best));
  const column = -toColumn * scale;
  const top = Math.min(column, -reach * scale) - 34;
  const half = Math.min(WIDTH / 2 - ROOM, length * scale * 0.32);
  const said = `corner reaches ${lengthText(reach, units)}, column at ${lengthText(toColumn, units)}`;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} ${top} ${WIDTH} ${front * scale + 40 - top}`}
      role="img"
      aria-label={`Table and column from above: ${said}${strikes ? '; it strikes' : ''}`}
    >
      <rect
        x={(-length / 2) * scale}
        y={(-width / 2) * scale}
        width={length * scale}
        height={width * scale}
        className="scribe-thin"
      />
      <path d={`M${corners.map((at) => at.join(' ')).join('L')}Z`} className="scribe-lit" />
      <path
        d={`M${-half} ${column - 20}V${column}H${half}V${column - 20}`}
        className={strikes ? 'scribe-wrong' : 'scribe-line'}
      />
      <text y={column - 8} textAnchor="middle" className="scribe-small">
        column
      </text>
      <path d={`M${nearest[0]} ${nearest[1]}V${column}`} className="scribe-mark" />
      <circle cx={nearest[0]} cy={nearest[1]} r={5} className={strikes ? 'scribe-wrong' : 'scribe-mark'} />
      <text
        y={front * scale + 26}
        textAnchor="middle"
        className={strikes ? 'scribe-strikes' : 'scribe-small'}
      >
        {strikes ? `strikes: ${said}` : said}
      </text>
    </svg>
  );
}
