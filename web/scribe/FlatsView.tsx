import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface FlatsViewProps {
  readonly flats: number;
  /** mm; for an odd count twice the way from flat to centre. */
  readonly across: number;
  /** Of the stock, mm. */
  readonly diameter: number;
  readonly label: string;
  readonly units: UnitSystem;
}

/**
 * Flats on the round they are cut from, to scale: what stays of the round at the corners, and the depth of a
 * flat.
 */
export function FlatsView({ flats, across, diameter, label, units }: FlatsViewProps) {
  const R = 160;
  const scale = (2 * R) / diameter;
  const apothem = (across / 2) * scale;
  const corner = apothem / Math.cos(Math.PI / flats);
  const half = Math.PI / flats;
  // a flat ends at its corner, or where it runs out of the round
  const reach = corner <= R ? half : Math.acos(Math.min(1, apothem / R));
  const at = (angle: number, r: number) => `${r * Math.sin(angle)} ${-r * Math.cos(angle)}`;
  const rim = Math.min(corner, R);
  const outline = Array.from({ length: flats }, (_, k) => {
    const middle = 2 * half * k;
    const to = at(middle + reach, rim);
    const next = corner <= R ? '' : `A${R} ${R} 0 0 1 ${at(middle + 2 * half - reach, rim)}`;
    return `${k === 0 ? 'M' : 'L'}${at(middle - reach, rim)}L${to}${next}`;
  }).join('');
  const odd = flats % 2 === 1;
  return (
    <svg
      className="scribe-drawing"
      viewBox="-210 -205 420 420"
      role="img"
      aria-label={`${label}: flats on the stock, to scale`}
    >
      <circle r={R} className="scribe-pitch" />
      <path d={`${outline}Z`} className="scribe-lit" />
      <path
        d={`M-150 ${-apothem}H-60M0 ${-R}V${-apothem}M-6 ${-R}h12M-6 ${-apothem}h12`}
        className="scribe-mark"
      />
      <text x={14} y={-R - 8} className="scribe-brass">
        depth {lengthText((diameter - across) / 2, units)}
      </text>
      {odd ? (
        <path d={`M-40 ${-apothem}V${rim}M-48 ${rim}H40`} className="scribe-line" />
      ) : (
        <path d={`M-40 ${-apothem}V${apothem}`} className="scribe-line" />
      )}
      <text x={-32} y={6}>
        {odd
          ? `flat to corner ${lengthText((apothem + rim) / scale, units)}`
          : `across flats ${lengthText(across, units)}`}
      </text>
      <text y={200} textAnchor="middle" className="scribe-small">
        stock Ø {lengthText(diameter, units)}
      </text>
    </svg>
  );
}
