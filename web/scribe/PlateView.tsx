import { arc } from 'd3';

interface PlateViewProps {
  /** Holes of every circle on this side. */
  readonly circles: readonly number[];
  /** The circle in use. */
  readonly circle: number;
  readonly spaces: number;
  /** Hole the pin is in, and the hole it must land in. */
  readonly from: number;
  readonly to: number;
  /** Larger pin and figures, for the mill. */
  readonly large?: boolean;
  /** Whole turns before the spaces, drawn as a turning arrow. */
  readonly turns: number;
  readonly label: string;
}

const RIM = 206;
const point = (radius: number, angle: number): readonly [number, number] => [
  radius * Math.sin(angle),
  -radius * Math.cos(angle),
];
const holeAngle = (hole: number, circle: number) => (2 * Math.PI * hole) / circle;

/** The plate as seen from the crank: every circle, the pin, the arms and the landing hole. Hole angles are true. */
export function PlateView({
  circles,
  circle,
  spaces,
  from,
  to,
  large = false,
  turns,
  label,
}: PlateViewProps) {
  const sorted = [...circles].sort((a, b) => a - b);
  const radiusOf = (i: number) => (sorted.length === 1 ? 170 : 88 + (102 * i) / (sorted.length - 1));
  const inUse = radiusOf(sorted.indexOf(circle));
  const start = holeAngle(from, circle);
  const sweep = holeAngle(spaces, circle);
  const end = holeAngle(to, circle);
  const pinSize = large ? 10 : 8;
  const armWidth = (pinSize + 2.5) / inUse;
  const hole = Math.max(1.6, Math.min(4.6, (Math.PI * inUse) / circle / 2.2));
  const [px, py] = point(inUse, start);
  const [lx, ly] = point(inUse, end);
  const arm = (angle: number) => {
    const [x, y] = point(198, angle);
    const [u, v] = point(30, angle);
    return `M${u} ${v}L${x} ${y}`;
  };
  const sector =
    arc()({
      innerRadius: 0,
      outerRadius: 198,
      startAngle: start - armWidth,
      endAngle: start + sweep + armWidth,
    }) ?? '';
  const [fx, fy] = point(RIM + 18, start - armWidth);
  const [tx, ty] = point(RIM + 18, end + armWidth);
  return (
    <svg
      className={`plate-view ${large ? 'is-large' : ''}`}
      viewBox="-236 -236 472 472"
      role="img"
      aria-label={label}
    >
      <circle r={RIM} className="scribe-lit" />
      {sorted.map((holes, i) => {
        const radius = radiusOf(i);
        const used = holes === circle;
        return (
          <g key={holes} className={used ? 'plate-circle is-used' : 'plate-circle'}>
            <circle r={radius} className="plate-ring" />
            {Array.from({ length: holes }, (_, k) => {
              const [x, y] = point(radius, holeAngle(k, holes));
              return (
                <circle key={k} cx={x} cy={y} r={used ? hole : Math.min(2, hole)} className="plate-hole" />
              );
            })}
          </g>
        );
      })}
      {spaces > 0 && (
        <g>
          <path d={sector} className="plate-sector" />
          <path d={arm(start - armWidth)} className="plate-arm" />
          <path d={arm(start + sweep + armWidth)} className="plate-arm" />
        </g>
      )}
      {(turns > 0 || spaces > 0) && (
        <TurnArrow start={start} sweep={turns > 0 ? 2 * Math.PI - 0.7 : sweep} turns={turns} />
      )}
      <circle r="24" className="plate-hub" />
      <circle cx={lx} cy={ly} r={pinSize + 3} className="plate-landing" />
      <circle cx={lx} cy={ly} r={pinSize / 3} className="plate-landing-dot" />
      {from === to ? (
        <circle cx={px} cy={py} r={pinSize - 3} className="plate-pin" />
      ) : (
        <circle cx={px} cy={py} r={pinSize} className="plate-pin" />
      )}
      {from !== to && (
        <text x={fx} y={fy + 6} textAnchor="middle">
          {from}
        </text>
      )}
      <text x={tx} y={ty + 6} textAnchor="middle" className="scribe-brass">
        {to}
      </text>
    </svg>
  );
}

/** Which way the crank goes round, and how often. */
function TurnArrow({
  start,
  sweep,
  turns,
}: {
  readonly start: number;
  readonly sweep: number;
  readonly turns: number;
}) {
  if (sweep < 0.45) return null;
  const radius = 56;
  const from = start + 0.15;
  const to = start + sweep - 0.12;
  const shaft = arc()({ innerRadius: radius, outerRadius: radius, startAngle: from, endAngle: to }) ?? '';
  const [x, y] = point(radius, to);
  return (
    <g className="plate-turn">
      <path d={shaft} />
      <path d="M-7 -6L5 0L-7 6" transform={`translate(${x} ${y}) rotate(${(to * 180) / Math.PI})`} />
      {turns > 0 && (
        <text x={0} y={6} textAnchor="middle" className="plate-turns">
          {turns}×
        </text>
      )}
    </g>
  );
}
