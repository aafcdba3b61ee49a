import type { Check } from '../../core/inspect/index.ts';
import { involute, type GearDrawing, type Point } from '../../core/involute/index.ts';
import { toothOutline } from '../../core/toothform/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface InspectViewProps {
  readonly drawing: GearDrawing;
  readonly checks: readonly Check[];
  /** mm */
  readonly pin: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const turned = ({ x, y }: Point, angle: number): Point => ({
  x: x * Math.cos(angle) + y * Math.sin(angle),
  y: y * Math.cos(angle) - x * Math.sin(angle),
});

/**
 * The upper teeth of the gear with the jaws of a span over them, a gear caliper on one, and a pin in a space;
 * to one scale.
 */
export function InspectView({ drawing, checks, pin, units }: InspectViewProps) {
  const { teeth, tipDiameter, pitchDiameter, rootDiameter, baseDiameter, toothThickness, pressureAngle } =
    drawing;
  const span = checks.find(({ id }) => id === 'span')!;
  const k = Number(/\d+/.exec(span.set)?.[0] ?? 2);
  const pitch = (2 * Math.PI) / teeth;
  const shown = Math.min(teeth, k + 4);
  const tip = tipDiameter / 2;
  const half = Math.min(tip, tip * Math.sin(Math.min(Math.PI / 2, (shown / 2) * pitch)));
  const scale = Math.min((WIDTH - 16) / (2 * half), 230 / (2 * (tip - rootDiameter / 2)));
  const below = Math.max(0, tip - 230 / scale);
  // the middle of the span stands upright: on a tooth for odd counts, on a space for even ones
  const shift = k % 2 === 0 ? 0.5 : 0;
  const quarter = Math.ceil(teeth / 4) + 1;
  const row = Array.from({ length: 2 * quarter + 1 }, (_, i) => i - quarter).flatMap((j) =>
    toothOutline(drawing, 10).map((point) => turned(point, (j + shift) * pitch)),
  );
  const top = 46;
  const at = ({ x, y }: Point): string => `${(x * scale).toFixed(2)} ${(top + (tip - y) * scale).toFixed(2)}`;
  // jaws touch at a tangent to the base circle, square to the upright
  const rb = baseDiameter / 2;
  // half the span in the plane of the drawing: base pitches, and the tooth’s own thickness on the base circle
  const w = ((k - 1) * rb * pitch) / 2 + rb * (toothThickness / pitchDiameter + involute(pressureAngle));
  const [jawLow, jawHigh] = [rb - (tip - rb) * 0.2, tip + (tip - rb) * 0.5];
  const pinAt = (() => {
    const over = checks.find(({ id }) => id === 'pins')!;
    const even = teeth % 2 === 0;
    const radius = even ? (over.should - pin) / 2 : (over.should - pin) / 2 / Math.cos(Math.PI / (2 * teeth));
    return over.out ? null : { radius, angle: (Math.ceil(k / 2) + 0.5 + (k % 2 === 0 ? 0.5 : 0)) * pitch };
  })();
  const bottom = top + (tip - below) * scale;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${bottom + 30}`}
      role="img"
      aria-label={`Span of ${lengthText(span.should, units, 'fine')} ${span.set}, and a pin of ${lengthText(pin, units, 'fine')}, to scale`}
    >
      <defs>
        <clipPath id="inspect-sheet">
          <rect x={-WIDTH / 2} y={0} width={WIDTH} height={bottom} />
        </clipPath>
      </defs>
      <g clipPath="url(#inspect-sheet)">
        <path d={`M${row.map(at).join('L')}L${at({ x: 0, y: 0 })}Z`} className="scribe-lit" />
        <circle cy={top + tip * scale} r={(pitchDiameter / 2) * scale} className="scribe-pitch" />
        {!span.out && (
          <path
            d={`M${at({ x: -w, y: jawLow })}L${at({ x: -w, y: jawHigh })}M${at({ x: w, y: jawLow })}L${at({ x: w, y: jawHigh })}M${at({ x: -w, y: rb })}L${at({ x: w, y: rb })}`}
            className="scribe-mark"
          />
        )}
        {pinAt && (
          <circle
            cx={pinAt.radius * Math.sin(pinAt.angle) * scale}
            cy={top + (tip - pinAt.radius * Math.cos(pinAt.angle)) * scale}
            r={(pin / 2) * scale}
            className="scribe-cutter"
          />
        )}
      </g>
      <text y={18} textAnchor="middle" className="scribe-brass">
        {span.out ? `no span: ${span.out}` : `${lengthText(span.should, units, 'fine')} ${span.set}`}
      </text>
      <text y={bottom + 20} textAnchor="middle" className="scribe-small">
        {pinAt ? 'brass lines: the jaws; the disk: a pin in its tooth space' : 'brass lines: the jaws'}
      </text>
    </svg>
  );
}
