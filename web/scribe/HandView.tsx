import { dmsText, exact, lengthText, type UnitSystem } from '../../core/units/index.ts';

interface HandViewProps {
  readonly hand: 'right' | 'left';
  /** At the pitch cylinder, degrees. */
  readonly helixDeg: number;
  readonly teeth: number;
  /** mm */
  readonly tipDiameter: number;
  readonly faceWidth: number | null;
  readonly lead: number;
  readonly units: UnitSystem;
}

const TALLEST = 210;
const WIDEST = 330;

/**
 * The gear standing on its face, seen from the side with its teeth leaning as they will: right-hand teeth
 * lean to the right, whichever way up it stands.
 */
export function HandView({ hand, helixDeg, teeth, tipDiameter, faceWidth, lead, units }: HandViewProps) {
  const face = faceWidth ?? tipDiameter * 0.3;
  const scale = Math.min(WIDEST / tipDiameter, TALLEST / face);
  const [radius, height] = [(tipDiameter / 2) * scale, face * scale];
  const sense = hand === 'right' ? 1 : -1;
  // the tooth lines of the near half, each a stretch of the helix on the tip cylinder
  const steps = 12;
  const lines = Array.from({ length: teeth }, (_, k) => {
    const points: string[] = [];
    for (let i = 0; i <= steps; i += 1) {
      const up = (height * i) / steps;
      const angle =
        (2 * Math.PI * k) / teeth + sense * 2 * Math.PI * ((face * i) / steps / lead) - Math.PI / 2;
      if (Math.cos(angle) < 0) continue;
      points.push(`${(radius * Math.sin(angle)).toFixed(2)} ${(height / 2 - up).toFixed(2)}`);
    }
    return points.length > 1 ? `M${points.join('L')}` : '';
  }).join('');
  const angle = dmsText(exact(helixDeg.toFixed(6)));
  return (
    <svg
      className="scribe-drawing"
      viewBox={`-210 ${-height / 2 - 44} 420 ${height + 96}`}
      role="img"
      aria-label={`${hand}-hand teeth: standing on its face, they lean to the ${hand}, at ${angle} to the axis`}
    >
      <rect x={-radius} y={-height / 2} width={2 * radius} height={height} className="scribe-lit" />
      <path d={lines} className="scribe-line" />
      <path d={`M0 ${-height / 2 - 18}V${height / 2 + 14}`} className="scribe-pitch" />
      <path
        d={`M${-sense * 22} ${-height / 2 - 16}H${sense * 22}m${-sense * 9} -5l${sense * 9} 5l${-sense * 9} 5`}
        className="scribe-mark"
      />
      <text y={-height / 2 - 27} textAnchor="middle" className="scribe-brass">
        {hand}-hand: standing on its face, the teeth lean to the {hand}
      </text>
      <text y={height / 2 + 30} textAnchor="middle">
        {angle} at the pitch cylinder, lead {lengthText(lead, units)}
      </text>
      <text y={height / 2 + 48} textAnchor="middle" className="scribe-small">
        seen from the side{faceWidth === null ? ', face width not known yet' : ', to scale'}
      </text>
    </svg>
  );
}
