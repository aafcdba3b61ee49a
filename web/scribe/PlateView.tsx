import { radiansOf, degreesOf } from '../../core/units/index.ts';
import { arc } from 'd3-shape';
import { circleRadius, onPlate } from './plateLayout.ts';

/** A move shown on the plate. Hole numbers count from the start hole. */
export interface PlateMove {
  /** The circle in use. */
  readonly circle: number;
  readonly turns: number;
  readonly spaces: number;
  /** Hole the pin is in, and the hole it must land in. */
  readonly from: number;
  readonly to: number;
}

/** What the back pin does on another circle of the same plate; spaces < 0 turn the plate back. */
export interface BackMove {
  readonly circle: number;
  readonly spaces: number;
  readonly from: number;
  readonly to: number;
}

interface PlateViewProps {
  /** Holes of every circle on this side. */
  readonly circles: readonly number[];
  /** Null draws the bare plate. */
  readonly move: PlateMove | null;
  readonly back?: BackMove | null;
  /**
   * While the crank is turned: how far the plate has turned, and the pin over it from the start hole; degrees
   * clockwise.
   */
  readonly live?: { readonly plate: number; readonly pin: number } | null;
  /** A ring on the spindle has no sector arms. */
  readonly arms?: boolean;
  /** Larger pin and figures, for the mill. */
  readonly large?: boolean;
  readonly label: string;
}

const RIM = 206;
const ARM_TIP = 198;
const holeAngle = (hole: number, circle: number) => (2 * Math.PI * hole) / circle;

/**
 * The plate as seen from the crank: every circle, the pin, the arms and the landing hole. Hole angles are
 * true.
 */
export function PlateView({
  circles,
  move,
  back = null,
  live = null,
  arms = true,
  large = false,
  label,
}: PlateViewProps) {
  const used = [move?.circle, back?.circle];
  return (
    <svg
      className={`plate-view ${large ? 'is-large' : ''}`}
      viewBox="-236 -236 472 472"
      role="img"
      aria-label={label}
    >
      <g transform={`rotate(${live?.plate ?? 0})`}>
        <circle r={RIM} className="scribe-lit" />
        {live && <path d={`M0 -${RIM}v-12`} className="plate-mark" />}
        {circles.map((holes) => (
          <Circle
            key={holes}
            holes={holes}
            radius={circleRadius(circles, holes)}
            used={used.includes(holes)}
          />
        ))}
        {move && (
          <MoveOnPlate
            move={move}
            radius={circleRadius(circles, move.circle)}
            pinSize={large ? 10 : 8}
            pinAngle={live ? radiansOf(live.pin) : null}
            upright={-(live?.plate ?? 0)}
            arms={arms}
          />
        )}
        {back && <BackPin back={back} radius={circleRadius(circles, back.circle)} size={large ? 9 : 7} />}
      </g>
      <circle r="24" className="plate-hub" />
    </svg>
  );
}

function Circle({
  holes,
  radius,
  used,
}: {
  readonly holes: number;
  readonly radius: number;
  readonly used: boolean;
}) {
  const size = Math.max(1.1, Math.min(used ? 4.6 : 2, (Math.PI * radius) / holes / 2.2));
  return (
    <g className={used ? 'plate-circle is-used' : 'plate-circle'}>
      <circle r={radius} className="plate-ring" />
      {Array.from({ length: holes }, (_, k) => {
        const [x, y] = onPlate(radius, holeAngle(k, holes));
        return <circle key={k} cx={x} cy={y} r={size} className="plate-hole" />;
      })}
    </g>
  );
}

/** The back pin is square, so that it is never taken for the crank's. */
function BackPin({
  back,
  radius,
  size,
}: {
  readonly back: BackMove;
  readonly radius: number;
  readonly size: number;
}) {
  const at = (hole: number) => onPlate(radius, holeAngle(hole, back.circle));
  const square = ([x, y]: readonly [number, number], half: number) =>
    `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}Z`;
  return (
    <g>
      <path d={square(at(back.from), size)} className="plate-back" />
      <path d={square(at(back.to), size + 2)} className="plate-landing" />
    </g>
  );
}

function MoveOnPlate({
  move,
  radius,
  pinSize,
  pinAngle,
  upright,
  arms,
}: {
  readonly move: PlateMove;
  readonly radius: number;
  readonly pinSize: number;
  readonly pinAngle: number | null;
  /** Turns figures back, so that they are read upright on a plate that has turned. */
  readonly upright: number;
  readonly arms: boolean;
}) {
  const { circle, turns, spaces, from, to } = move;
  const start = holeAngle(from, circle);
  const sweep = holeAngle(spaces, circle);
  // the arms lie against the pin, not across it
  const clear = (pinSize + 2.5) / radius;
  const [px, py] = onPlate(radius, pinAngle ?? start);
  const [lx, ly] = onPlate(radius, start + sweep);
  const [fx, fy] = onPlate(RIM + 18, start - clear);
  const [tx, ty] = onPlate(RIM + 18, start + sweep + clear);
  const arm = (angle: number) => `M${onPlate(30, angle).join(' ')}L${onPlate(ARM_TIP, angle).join(' ')}`;
  const sector = arc()({
    innerRadius: 0,
    outerRadius: ARM_TIP,
    startAngle: start - clear,
    endAngle: start + sweep + clear,
  });
  return (
    <>
      {spaces > 0 && (
        <g>
          <path d={sector ?? ''} className="plate-sector" />
          {arms && <path d={arm(start - clear)} className="plate-arm" />}
          {arms && <path d={arm(start + sweep + clear)} className="plate-arm" />}
        </g>
      )}
      {(turns > 0 || spaces > 0) && pinAngle === null && (
        <TurnArrow start={start} sweep={turns > 0 ? 2 * Math.PI - 0.7 : sweep} turns={turns} />
      )}
      {pinAngle !== null && <path d={`M0 0L${px} ${py}`} className="plate-crank" />}
      <circle cx={lx} cy={ly} r={pinSize + 3} className="plate-landing" />
      <circle cx={lx} cy={ly} r={pinSize / 3} className="plate-landing-dot" />
      {/* a move of whole turns ends in the hole it came from */}
      <circle cx={px} cy={py} r={spaces === 0 ? pinSize - 3 : pinSize} className="plate-pin" />
      {spaces > 0 && (
        <text x={fx} y={fy + 6} textAnchor="middle" transform={`rotate(${upright} ${fx} ${fy})`}>
          {from}
        </text>
      )}
      <text
        x={tx}
        y={ty + 6}
        textAnchor="middle"
        className="scribe-brass"
        transform={`rotate(${upright} ${tx} ${ty})`}
      >
        {to}
      </text>
    </>
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
  const to = start + sweep - 0.12;
  const shaft = arc()({ innerRadius: radius, outerRadius: radius, startAngle: start + 0.15, endAngle: to });
  const [x, y] = onPlate(radius, to);
  return (
    <g className="plate-turn">
      <path d={shaft ?? ''} />
      <path d="M-7 -6L5 0L-7 6" transform={`translate(${x} ${y}) rotate(${degreesOf(to)})`} />
      {turns > 0 && (
        <text x={0} y={6} textAnchor="middle" className="plate-turns">
          {turns}×
        </text>
      )}
    </g>
  );
}
