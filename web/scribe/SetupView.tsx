import type { Stroke, Thrust } from '../../core/setup/index.ts';
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
}

const WIDTH = 420;
const HIGHEST = 300;

/**
 * The work on its mandrel with the cutter at first touch and, paler, where it is through; arrows for spindle, feed and push. Seen
 * along the arbor: from in front, or from above for an upright spindle, where a cutter in front of the work is drawn below it.
 */
export function SetupView({ stroke, thrust, headAt, spin, feed, indexAt, outside, face, depth, cutterDiameter, units }: SetupViewProps) {
  const below = thrust.place === 'front';
  const past = indexAt === 'entry' ? 0 : stroke.approach;
  const reach = stroke.approach + cutterDiameter / 2;
  const long = face + reach + Math.max(past, 0) + cutterDiameter / 2;
  // half the work is enough where it is large: the drawing is of the meeting
  const high = cutterDiameter + outside / 2 + Math.min(outside / 2, cutterDiameter / 2);
  const scale = Math.min((WIDTH - 20) / long, HIGHEST / high);
  // sense: towards the entry end
  const s = thrust.entry === 'right' ? 1 : -1;
  const r = (cutterDiameter / 2) * scale;
  const up = below ? -1 : 1;
  const work = { half: (face / 2) * scale, radius: (outside / 2) * scale };
  const axis = 0;
  const cutterY = axis - up * (work.radius - depth * scale + r);
  const middle = { x: -(s * (reach - past - cutterDiameter / 2) * scale) / 2 };
  const touch = s * (face / 2 + stroke.approach) * scale;
  const end = -s * (face / 2 + past) * scale;
  const top = Math.min(cutterY - r, -work.radius) - 34;
  const bottom = Math.min(Math.max(cutterY + r, work.radius), below ? Infinity : Math.min(work.radius, r) + 8) + 40;
  const headSide = headAt === 'left' ? -1 : 1;
  const pushes = thrust.toHead ? headSide : -headSide;
  const [thick, thin] = [Math.min(work.radius * 0.34, 26), Math.min(work.radius * 0.26, 20)];
  const mandrel = work.half + 34;
  const seat = (x: number) => (x * pushes > 0 ? thick : thin);
  const spinArrow = (spin === 'clockwise' ? 1 : -1) * r * 0.62;
  return (
    <svg className="scribe-drawing" viewBox={`${-WIDTH / 2 - middle.x} ${top} ${WIDTH} ${bottom - top}`} role="img" aria-label={`The cut pushes the work ${thrust.toward}; the table moves ${feed}; clear ${lengthText(stroke.approach, units)} before the face`}>
      <path d={`M${-mandrel} ${-seat(-1)}L${mandrel} ${-seat(1)}V${seat(1)}L${-mandrel} ${seat(-1)}Z`} className="scribe-line" />
      <path d={`M${-mandrel - 30} 0H${mandrel + 30}`} className="scribe-pitch" />
      <rect x={-work.half} y={-work.radius} width={2 * work.half} height={2 * work.radius} className="scribe-lit" />
      <path d={`M${-work.half} ${-up * (work.radius - depth * scale)}H${work.half}`} className="scribe-thin" />
      <circle cx={end} cy={cutterY} r={r} className="scribe-cutter is-far" />
      <circle cx={touch} cy={cutterY} r={r} className="scribe-cutter" />
      <circle cx={touch} cy={cutterY} r={3} className="scribe-line" />
      <path d={`M${touch - spinArrow} ${cutterY}A${Math.abs(spinArrow)} ${Math.abs(spinArrow)} 0 0 ${spin === 'clockwise' ? 1 : 0} ${touch + spinArrow} ${cutterY}m-6 -9l6 9l6 -9`} className="scribe-mark" />
      <path d={`M${headSide * (mandrel + 2)} ${-thick - 16}v${2 * thick + 32}`} className="scribe-line" />
      <text x={headSide * (mandrel + 10)} y={bottom - 34} textAnchor={headSide < 0 ? 'end' : 'start'} className="scribe-small">
        head
      </text>
      <path d={`M${s * work.half} ${-up * (work.radius + 4)}V${cutterY - up * 0}M${touch} ${cutterY}V${-up * (work.radius + 4)}`} className="scribe-thin" />
      <text x={(s * work.half + touch) / 2} y={-up * (work.radius + 8)} textAnchor="middle" className="scribe-brass">
        {lengthText(stroke.approach, units)}
      </text>
      <Arrow x={0} y={bottom - 22} to={feed === 'left' ? -1 : 1} words={`table ${feed}`} />
      <Arrow x={0} y={-up * (work.radius - depth * scale) + up * 12} to={thrust.toward === 'left' ? -1 : 1} words="" />
      <text y={bottom - 4} textAnchor="middle" className="scribe-small">
        brass: the cutter pushes {thrust.toward}; thick end of a mandrel there
      </text>
    </svg>
  );
} // prettier-ignore

function Arrow({ x, y, to, words }: { readonly x: number; readonly y: number; readonly to: 1 | -1; readonly words: string }) {
  return (
    <g>
      <path d={`M${x - to * 26} ${y}H${x + to * 26}m${-to * 8} -5l${to * 8} 5l${-to * 8} 5`} className="scribe-mark" />
      {words && (
        <text x={x + to * 34} y={y + 4} textAnchor={to < 0 ? 'end' : 'start'}>
          {words}
        </text>
      )}
    </g>
  );
} // prettier-ignore
