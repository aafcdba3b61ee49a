import './strikes.css';
import type { Beside, Fit, SetupDetail, Stroke, Thrust } from '../../core/setup/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface SetupViewProps {
  readonly stroke: Stroke;
  readonly thrust: Thrust;
  readonly headAt: 'left' | 'right';
  readonly spin: 'clockwise' | 'counter';
  readonly feed: 'left' | 'right';
  readonly indexAt: 'entry' | 'exit';
  /** mm */
  readonly outside: number;
  readonly face: number;
  readonly depth: number;
  readonly cutterDiameter: number;
  readonly units: UnitSystem;
  readonly beside: SetupDetail['beside'];
  /** What does not fit, by its key. */
  readonly strikes: readonly Fit['key'][];
}

const WIDTH = 420;
const HIGHEST = 236;

/**
 * The work on its mandrel with the cutter at first touch and, paler, where it is through; arrows for spindle,
 * feed and push. Seen along the arbor: from in front, or from above for an upright spindle, where a cutter in
 * front of the work is drawn below it.
 */
export function SetupView({
  stroke,
  thrust,
  headAt,
  spin,
  feed,
  indexAt,
  outside,
  face,
  depth,
  cutterDiameter,
  units,
  beside,
  strikes,
}: SetupViewProps) {
  const past = indexAt === 'entry' ? 0 : stroke.approach;
  const long = face + stroke.approach + past + cutterDiameter;
  // half the work is enough where it is large: the drawing is of the meeting
  const shown = Math.min(outside - depth, outside / 2 - depth + cutterDiameter * 0.35);
  const scale = Math.min((WIDTH - 90) / long, HIGHEST / (cutterDiameter + shown));
  // towards the entry end
  const s = thrust.entry === 'right' ? 1 : -1;
  const r = (cutterDiameter / 2) * scale;
  const half = (face / 2) * scale;
  const radius = (outside / 2) * scale;
  // an arbor above the work, or an upright spindle behind it, stands at the top of the sheet
  const up = thrust.place === 'front' ? 1 : -1;
  const surface = up * (radius - depth * scale);
  const axis = surface + up * r;
  const touch = s * (face / 2 + stroke.approach) * scale;
  const end = -s * (face / 2 + past) * scale;
  const middle = (touch + end) / 2;
  const [near, far] = [axis + up * r, surface - up * shown * scale];
  // beyond the cutter there is room for the figure of its approach
  const [top, bottom] = [Math.min(near, far) - (up < 0 ? 30 : 10), Math.max(near, far) + (up < 0 ? 10 : 30)];
  const headSide = headAt === 'left' ? -1 : 1;
  const pushes = thrust.toHead ? headSide : -headSide;
  const [thick, thin] = [Math.min(radius * 0.34, 26), Math.min(radius * 0.26, 20)];
  const mandrel = half + 34;
  const seat = (x: number) => (x * pushes > 0 ? thick : thin);
  const clockwise = spin === 'clockwise';
  const turn = r * 0.55 * (clockwise ? 1 : -1);
  const collar = beside.collar === null ? null : (beside.collar / 2) * scale;
  const headFrom = Math.max(mandrel + 2, beside.jaw.gap === null ? 0 : half + beside.jaw.gap * scale);
  const stands = (end: 'head' | 'tail') => ({
    beside: end === 'head' ? beside.jaw : beside.tail,
    side: end === 'head' ? headSide : -headSide,
    strikes: strikes.includes(end === 'head' ? 'head-end' : 'tail-end'),
    half,
    radius,
    scale,
  });
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${middle - WIDTH / 2} ${top} ${WIDTH} ${bottom - top + 62}`}
      role="img"
      aria-label={`The cut pushes the work ${thrust.toward}; the table moves ${feed}; clear ${lengthText(stroke.approach, units)} before the face`}
    >
      <defs>
        <clipPath id="setup-sheet">
          <rect x={middle - WIDTH / 2} y={top} width={WIDTH} height={bottom - top} />
        </clipPath>
      </defs>
      <g clipPath="url(#setup-sheet)">
        <path
          d={`M${-mandrel} ${-seat(-1)}L${mandrel} ${-seat(1)}V${seat(1)}L${-mandrel} ${seat(-1)}Z`}
          className="scribe-line"
        />
        <path d={`M${-mandrel - 30} 0H${mandrel + 30}`} className="scribe-pitch" />
        <rect x={-half} y={-radius} width={2 * half} height={2 * radius} className="scribe-lit" />
        <path d={`M${-half} ${surface}H${half}`} className="scribe-thin" />
        <Standing {...stands('head')} />
        <Standing {...stands('tail')} />
        <circle cx={end} cy={axis} r={r} className="scribe-cutter is-far" />
        <circle cx={touch} cy={axis} r={r} className="scribe-cutter" />
        {collar !== null &&
          [touch, end].map((x) => (
            <circle
              key={x}
              cx={x}
              cy={axis}
              r={collar}
              className={strikes.includes('collar') ? 'scribe-wrong' : 'scribe-thin'}
            />
          ))}
        <path
          d={`M${touch - turn} ${axis}A${Math.abs(turn)} ${Math.abs(turn)} 0 0 ${clockwise ? 1 : 0} ${touch + turn} ${axis}m-6 -9l6 9l6 -9`}
          className="scribe-mark"
        />
        {/* where its jaws are measured, those are drawn instead */}
        {beside.jaw.gap === null && (
          <path d={`M${headSide * (mandrel + 2)} ${-thick - 16}v${2 * thick + 32}`} className="scribe-line" />
        )}
        <text
          x={headSide * (headFrom + 8)}
          y={-8}
          textAnchor={headSide < 0 ? 'end' : 'start'}
          className="scribe-small"
        >
          head
        </text>
        <path
          d={`M${s * half} ${surface}V${near + up * 10}M${touch} ${axis}V${near + up * 10}M${s * half} ${near + up * 6}H${touch}`}
          className="scribe-thin"
        />
        <Arrow x={0} y={surface - up * 14} to={thrust.toward === 'left' ? -1 : 1} words="" />
      </g>
      <text
        x={(s * half + touch) / 2}
        y={near + (up < 0 ? -13 : 25)}
        textAnchor="middle"
        className="scribe-brass"
      >
        {lengthText(stroke.approach, units)}
      </text>
      <Arrow x={middle} y={bottom + 14} to={feed === 'left' ? -1 : 1} words={`table moves ${feed}`} />
      <text x={middle} y={bottom + 38} textAnchor="middle" className="scribe-small">
        the cutter pushes {thrust.toward}, {thrust.toHead ? 'to the head' : 'to the tailstock'}: thick end
        there
      </text>
      <text x={middle} y={bottom + 55} textAnchor="middle" className="scribe-small">
        full circle: first touch; broken: where the cut ends
      </text>
    </svg>
  );
}

interface StandingProps {
  readonly beside: Beside;
  /** −1: at the left, 1: at the right. */
  readonly side: number;
  readonly strikes: boolean;
  /** Of the work, as drawn. */
  readonly half: number;
  readonly radius: number;
  readonly scale: number;
}

/** Jaws or tailstock where they are measured: what strikes them is seen. As large as the work where not. */
function Standing({ beside: { gap, across }, side, strikes, half, radius, scale }: StandingProps) {
  if (gap === null) return null;
  const reach = across === null ? radius : (across / 2) * scale;
  const near = side * (half + gap * scale);
  const far = near + side * Math.max(24, reach * 0.4);
  return (
    <path
      d={`M${far} ${-reach}H${near}V${reach}H${far}`}
      className={strikes ? 'scribe-wrong' : 'scribe-line'}
    />
  );
}

function Arrow({
  x,
  y,
  to,
  words,
}: {
  readonly x: number;
  readonly y: number;
  readonly to: 1 | -1;
  readonly words: string;
}) {
  return (
    <g>
      <path
        d={`M${x - to * 26} ${y}H${x + to * 26}m${-to * 8} -5l${to * 8} 5l${-to * 8} 5`}
        className="scribe-mark"
      />
      {words && (
        <text x={x + to * 34} y={y + 4} textAnchor={to < 0 ? 'end' : 'start'}>
          {words}
        </text>
      )}
    </g>
  );
}
