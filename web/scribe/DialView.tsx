import { radiansOf } from '../../core/units/index.ts';
interface DialViewProps {
  /** Marks on one turn of the wheel. */
  readonly marks: number;
  /** Parts of a mark that the vernier reads; 1 without one. */
  readonly vernier: number;
  /** What stands at the zero line: marks and parts of a mark. */
  readonly mark: number;
  /** What the reading says, written under the wheel. */
  readonly reading: string;
  readonly large?: boolean;
  readonly label: string;
}

const RADIUS = 190;
const MOST_DRAWN = 120;
/** Angle the vernier is drawn over, so that it can be read; its marks stand v − 1 to v as on a true one. */
const SPREAD = 52;

const ray = (degrees: number, from: number, to: number): string => {
  const a = radiansOf(degrees);
  return `M${from * Math.sin(a)} ${-from * Math.cos(a)}L${to * Math.sin(a)} ${-to * Math.cos(a)}`;
};

/** A graduated wheel at its zero line, and the vernier with the mark that stands in line. */
export function DialView({ marks, vernier, mark, reading, large = false, label }: DialViewProps) {
  const every = Math.max(1, Math.ceil(marks / MOST_DRAWN));
  const drawn = Math.floor(marks / every);
  const part = Math.round((mark % 1) * vernier) % vernier;
  return (
    <svg
      className={`plate-view ${large ? 'is-large' : ''}`}
      viewBox="-236 -236 472 472"
      role="img"
      aria-label={label}
    >
      <g transform={`rotate(${(-360 * mark) / marks})`}>
        <circle r={RADIUS} className="scribe-lit" />
        {Array.from({ length: drawn }, (_, k) => {
          const tenth = (k * every) % (every * 10) === 0;
          return (
            <path
              key={k}
              d={ray((360 * k * every) / marks, RADIUS, RADIUS - (tenth ? 26 : 13))}
              className={k === 0 ? 'dial-zero' : 'dial-mark'}
            />
          );
        })}
      </g>
      <path d={`M0 ${-RADIUS - 4}l-9 -22h18Z`} className="plate-landing-dot" />
      {vernier > 1 && (
        <g>
          {Array.from({ length: vernier + 1 }, (_, k) => (
            <path
              key={k}
              d={ray((SPREAD * k) / vernier + 6, RADIUS + 6, RADIUS + (k === part ? 32 : 18))}
              className={k === part ? 'dial-lined' : 'dial-mark'}
            />
          ))}
        </g>
      )}
      <text textAnchor="middle" y={-8} className="dial-reading">
        {reading}
      </text>
      {vernier > 1 && (
        <text textAnchor="middle" y={26}>
          vernier line {part} of {vernier}
        </text>
      )}
    </svg>
  );
}
