import type { Centring } from '../../core/setup/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface CentreViewProps {
  readonly chosen: Centring & { readonly dial: string | null };
  /** mm */
  readonly outside: number;
  readonly width: number;
  readonly depth: number;
  readonly cutterDiameter: number;
  readonly upright: boolean;
  /** Of an upright spindle: the side of the work its cutter stands on. */
  readonly place: 'above' | 'behind' | 'front';
  readonly units: UnitSystem;
}

const WIDTH = 420;

/**
 * The work seen along its axis, with the cutter where the touch leaves it and, full, in the middle; the move
 * between the two. Beside an upright spindle, from the right end of the table: the cutter lies flat, first
 * over the work and then at its side, behind or in front.
 */
export function CentreView({
  chosen,
  outside,
  width,
  depth,
  cutterDiameter,
  upright,
  place,
  units,
}: CentreViewProps) {
  const { by, move } = chosen;
  const r = outside / 2;
  // how far the middle of the cutter stands off the axis before the move
  const off = by === 'touch' ? (move ?? r + width / 2) : by === 'far' ? (move ?? r - width / 2) : r + width;
  const shownCutter = Math.min(cutterDiameter, outside * 0.9);
  const scale = Math.min((WIDTH - 120) / (2 * r + width + 12), 150 / (outside + shownCutter - depth));
  const s = (mm: number) => mm * scale;
  const top = s(r - depth + shownCutter);
  // beside the work it goes down to the axis, to touch its side; over the work it stays above
  const before = by === 'touch' ? 0 : r;
  const blade = (x: number, low: number) => ({
    x: s(x - width / 2),
    y: -s(low + shownCutter),
    width: s(width),
    height: s(shownCutter),
  });
  const moved = move !== null && (by === 'touch' || by === 'far');
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} ${-top - 26} ${WIDTH} ${top + s(r) + 60}`}
      role="img"
      aria-label={
        moved
          ? `From the touch the cutter moves ${chosen.dial ?? lengthText(move, units, 'fine')} to the middle of the work`
          : 'The cutter over the middle of the work'
      }
    >
      <g
        transform={
          upright
            ? `translate(0 ${-top / 2 + s(r) / 2}) scale(${place === 'front' ? -1 : 1} 1) rotate(90) translate(0 ${top / 2 - s(r) / 2})`
            : undefined
        }
      >
        <circle r={s(r)} className="scribe-lit" />
        <path d={`M0 ${-top - 6}V${s(r) + 8}M${-s(r) - 8} 0H${s(r) + 8}`} className="scribe-pitch" />
        {moved && <rect {...blade(-off, before)} className="scribe-cutter is-far" />}
        <rect {...blade(0, r - depth)} className="scribe-cutter" />
        {moved && <path d={`M${-s(off)} ${-top - 10}H0m-9 -5l9 5l-9 5`} className="scribe-mark" />}
      </g>
      <text y={s(r) + 26} textAnchor="middle" className="scribe-small">
        {moved
          ? `${upright ? 'from the right end of the table, the knee raised' : 'along the axis'}: ${chosen.dial ?? lengthText(move, units, 'fine')} from the touch to the middle`
          : chosen.name}
      </text>
    </svg>
  );
}
