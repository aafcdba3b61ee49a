import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface SinkViewProps {
  /**
   * Rim of the wheel: throat, corners, width of the hollow between them and its radius; hollow 0 where it is
   * plain. mm
   */
  readonly rim: {
    readonly throat: number;
    readonly outside: number;
    readonly hollow: number;
    readonly throatRadius: number;
    readonly faceWidth: number;
  };
  readonly depth: number;
  readonly cutterDiameter: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const HEIGHT = 300;

/**
 * A cutter sunk in place, seen along its arbor: where it first touches, and paler where it is at the bottom.
 */
export function SinkView({ rim, depth, cutterDiameter, units }: SinkViewProps) {
  const { throat, outside, hollow, throatRadius, faceWidth } = rim;
  const r = cutterDiameter / 2;
  const corner = hollow / 2;
  // a cutter rounder than the hollow meets the throat first, a flatter one the corners
  const touch = Math.max(throat / 2 + r, corner < r ? outside / 2 + Math.sqrt(r * r - corner * corner) : 0);
  const bottom = touch - depth;
  const rimDeep = Math.max(3 * depth, faceWidth * 0.6);
  const top = touch + r;
  const low = throat / 2 - rimDeep;
  const scale = Math.min((WIDTH - 150) / Math.max(cutterDiameter, faceWidth), HEIGHT / (top - low));
  const [x, y] = [(mm: number) => mm * scale, (mm: number) => (top - mm) * scale];
  const side = outside / 2;
  const arc = corner > 0 ? `A${x(throatRadius)} ${x(throatRadius)} 0 0 0 ${x(corner)} ${y(side)}` : '';
  const out = x(r) + 18;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} -26 ${WIDTH} ${(top - low) * scale + 66}`}
      role="img"
      aria-label={`The cutter is sunk ${lengthText(depth, units)} from its first touch; clear once it is out again`}
    >
      <path
        d={`M${x(-faceWidth / 2)} ${y(low)}V${y(side)}H${x(-corner)}${arc}H${x(faceWidth / 2)}V${y(low)}`}
        className="scribe-lit"
      />
      <path d={`M0 ${y(top) - 8}V${y(low)}`} className="scribe-pitch" />
      <circle cx={0} cy={y(bottom)} r={x(r)} className="scribe-cutter is-far" />
      <circle cx={0} cy={y(touch)} r={x(r)} className="scribe-cutter" />
      <path d={`M0 ${y(touch - r)}H${out + 6}M0 ${y(bottom - r)}H${out + 6}`} className="scribe-thin" />
      <path d={`M${out} ${y(bottom - r)}V${y(touch - r)}m-5 8l5 -8l5 8`} className="scribe-mark" />
      <text x={out} y={y(touch - r) - 8} textAnchor="middle" className="scribe-brass">
        {lengthText(depth, units)}
      </text>
      <text x={0} y={y(low) + 24} textAnchor="middle" className="scribe-small">
        full circle: first touch, the dial at 0; broken: at the bottom
      </text>
    </svg>
  );
}
