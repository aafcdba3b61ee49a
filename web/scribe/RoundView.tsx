import type { Eccentric } from '../../core/inspect/index.ts';
import { lengthText, type UnitSystem, radiansOf } from '../../core/units/index.ts';

const R = 64;
const SPREAD = 34;

/**
 * Readings round a blank, hugely enlarged, with the circle that lies best through them and where it is
 * highest.
 */
export function RoundView({ round, units }: { readonly round: Eccentric; readonly units: UnitSystem }) {
  const { readings, off, towardDeg, runout } = round;
  const mean = readings.reduce((sum, r) => sum + r, 0) / readings.length;
  const most = Math.max(...readings.map((r) => Math.abs(r - mean)), off, 1e-6);
  // the first reading stands at the top, and they go round with the clock
  const at = (value: number, degrees: number): string => {
    const radius = R + ((value - mean) / most) * SPREAD;
    const angle = radiansOf(degrees);
    return `${(radius * Math.sin(angle)).toFixed(2)} ${(-radius * Math.cos(angle)).toFixed(2)}`;
  };
  const fitted = Array.from({ length: 73 }, (_, i) =>
    at(mean + off * Math.cos(radiansOf(i * 5 - towardDeg)), i * 5),
  );
  const points = readings.map((r, i) => at(r, (i * 360) / readings.length));
  return (
    <svg
      className="scribe-drawing"
      viewBox="-210 -116 420 246"
      role="img"
      aria-label={`Readings round the blank: ${lengthText(runout, units, 'fine')} from least to most, highest at ${Math.round(towardDeg)} degrees`}
    >
      <circle r={R} className="scribe-pitch" />
      <path d={`M${fitted.join('L')}Z`} className="scribe-line" />
      {points.map((point, i) => (
        <circle
          key={i}
          cx={point.split(' ')[0]}
          cy={point.split(' ')[1]}
          r={i === 0 ? 4.5 : 3}
          className={i === 0 ? 'scribe-mark' : 'scribe-lit'}
        />
      ))}
      {off > 1e-6 && <path d={`M0 0L${at(mean + most, towardDeg)}`} className="scribe-mark" />}
      <text x={0} y={124} textAnchor="middle" className="scribe-small">
        {lengthText(off, units, 'fine')} off towards {Math.round(towardDeg)}°; the first reading is at the top
      </text>
    </svg>
  );
}
