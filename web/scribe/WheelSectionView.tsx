import type { DriveShape } from '../../core/drive/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import type { RimFacts } from '../../core/wheel/index.ts';

interface WheelSectionViewProps {
  readonly drive: DriveShape;
  readonly rim: RimFacts;
  /** Over the cutter’s outside, when it is to be drawn sunk, mm. */
  readonly cutterDiameter?: number | null;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const HEIGHT = 400;

/**
 * The rim cut through across the worm: hollow, corners and chamfer about the worm, roots, and how the cutter
 * stands in it.
 */
export function WheelSectionView({ drive, rim, cutterDiameter = null, units }: WheelSectionViewProps) {
  const { worm, wormDiameter, addendum, centre } = drive;
  const root = wormDiameter / 2 + worm.depth - addendum;
  const below = root + worm.depth * 1.6;
  const wide = Math.max(worm.outside * 1.08, rim.faceWidth * 1.25);
  const above = worm.outside / 2 + 1;
  const scale = Math.min((WIDTH - 20) / wide, (HEIGHT - 66) / (above + below));
  const x = (mm: number) => mm * scale;
  const y = (mm: number) => 30 + (above + mm) * scale;
  const [half, face] = [rim.hollow / 2, rim.faceWidth / 2];
  // z of a diameter of the wheel, from the worm's axis
  const z = (diameter: number) => centre - diameter / 2;
  const corner = z(rim.outside);
  const r = rim.throatRadius * scale;
  const side = rim.sideDiameter === null ? corner : z(rim.sideDiameter);
  const top =
    rim.rim === 'throat'
      ? `M${x(-face)} ${y(below)}V${y(side)}L${x(-half)} ${y(corner)}A${r} ${r} 0 0 0 ${x(half)} ${y(corner)}L${x(face)} ${y(side)}V${y(below)}`
      : `M${x(-face)} ${y(below)}V${y(z(rim.throat))}H${x(face)}V${y(below)}`;
  const cutter =
    cutterDiameter === null
      ? null
      : { radius: (cutterDiameter / 2) * scale, at: y(root - cutterDiameter / 2) };
  const say = (mm: number) => lengthText(mm, units);
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Rim of the wheel about its worm: throat ${say(rim.throat)}, outside ${say(rim.outside)}, face ${say(rim.faceWidth)}, to scale`}
    >
      <defs>
        <clipPath id="section-sheet">
          <rect x={-WIDTH / 2} y={26} width={WIDTH} height={y(below) - 26} />
        </clipPath>
      </defs>
      <path d={top} className="scribe-lit" />
      <g clipPath="url(#section-sheet)">
        <circle cy={y(0)} r={x(worm.outside / 2)} className="scribe-line" />
        <circle cy={y(0)} r={x(wormDiameter / 2)} className="scribe-pitch" />
        <circle cy={y(0)} r={x(worm.root / 2)} className="scribe-thin" />
        {cutter && <circle cy={cutter.at} r={cutter.radius} className="scribe-mark" strokeDasharray="7 4" />}
      </g>
      <path d={`M${x(-face)} ${y(root)}H${x(face)}`} className="scribe-thin" />
      <path d={`M-9 ${y(0)}H9M0 ${y(0) - 9}V${y(0) + 9}`} className="scribe-line" />
      <text y={y(0) - 14} textAnchor="middle" className="scribe-small">
        worm
      </text>
      <path
        d={`M${x(-face)} ${y(below) - 12}H${x(face)}M${x(-face)} ${y(below) - 18}v12M${x(face)} ${y(below) - 18}v12`}
        className="scribe-mark"
      />
      <text y={y(below) - 18} textAnchor="middle" className="scribe-brass">
        {`face ${say(rim.faceWidth)}`}
      </text>
      <text x={x(face) + 6} y={y(root) + 4} className="scribe-small">
        root
      </text>
      <text y={HEIGHT - 22} textAnchor="middle" className="scribe-small">
        {rim.rim === 'throat'
          ? `throat Ø ${say(rim.throat)}, radius ${say(rim.throatRadius)}; corners Ø ${say(rim.outside)}`
          : `plain rim Ø ${say(rim.throat)}`}
      </text>
      <text y={HEIGHT - 4} textAnchor="middle" className="scribe-small">
        {cutter
          ? 'broken circle: the cutter at depth; the wheel’s shaft lies below'
          : 'the wheel’s shaft lies below'}
      </text>
    </svg>
  );
}
