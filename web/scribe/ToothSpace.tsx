import { line } from 'd3-shape';
import { useMemo } from 'react';
import type { GearDrawing, Point } from '../../core/involute/index.ts';
import { toothOutline } from '../../core/toothform/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface ToothSpaceProps {
  readonly drawing: GearDrawing;
  readonly units: UnitSystem;
  /** Depths to draw in the space, mm below the outside, with their names. */
  readonly depths?: readonly { readonly name: string; readonly mm: number }[];
  /** Draw the cutter standing in the space. */
  readonly cutter?: boolean;
  readonly height?: number;
}

const WIDTH = 420;
const turned = ({ x, y }: Point, angle: number): Point => ({
  x: x * Math.cos(angle) + y * Math.sin(angle),
  y: y * Math.cos(angle) - x * Math.sin(angle),
});
const path = line<Point>(
  ({ x }) => x,
  ({ y }) => y,
);

/**
 * A tooth space enlarged, its centreline upright: flanks, tip, pitch and root lines, the cutter or the depths
 * in it.
 */
export function ToothSpace({ drawing, units, depths = [], cutter = false, height = 230 }: ToothSpaceProps) {
  const { teeth, tipDiameter, pitchDiameter, rootDiameter } = drawing;
  const tip = tipDiameter / 2;
  const pitchAngle = (2 * Math.PI) / teeth;
  const top = cutter ? 66 : 30;
  const depth = (tipDiameter - rootDiameter) / 2;
  const pitchShown = height > 260 ? 235 : 160;
  const scale = Math.min((height - top - 34) / depth, pitchShown / (Math.PI * (pitchDiameter / teeth)));
  const { teethPath, space } = useMemo(() => {
    const at = ({ x, y }: Point): Point => ({ x: WIDTH / 2 + x * scale, y: top + (tip - y) * scale });
    const tooth = toothOutline(drawing, 14);
    const row = [-2.5, -1.5, -0.5, 0.5, 1.5].flatMap((j) =>
      tooth.map((point) => at(turned(point, (j + 0.5) * pitchAngle - pitchAngle / 2))),
    );
    // the right wall of the space is the left half of the tooth standing half a pitch to the right
    const wall = tooth.slice(0, Math.floor(tooth.length / 2)).map((point) => turned(point, pitchAngle / 2));
    const right = wall.map(at);
    const left = wall.map(({ x, y }) => at({ x: -x, y })).reverse();
    return { teethPath: path(row) ?? '', space: [...left, ...right] };
  }, [drawing, pitchAngle, scale, tip, top]);
  const arc = (radius: number) => {
    const reach = Math.min(Math.PI / 2, (WIDTH / 2 - 6) / scale / radius);
    const x = radius * Math.sin(reach) * scale;
    const y = top + (tip - radius * Math.cos(reach)) * scale;
    return `M${WIDTH / 2 - x} ${y}A${radius * scale} ${radius * scale} 0 0 1 ${WIDTH / 2 + x} ${y}`;
  };
  const spaceTop = space.at(-1)!;
  const pitchY = top + (tip - pitchDiameter / 2) * scale;
  const rootY = top + depth * scale;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label="A tooth space enlarged, to scale"
    >
      <path d={`${teethPath}V${height}H0Z`} className="scribe-lit" />
      <path d={arc(pitchDiameter / 2)} className="scribe-pitch" />
      <path d={arc(tip)} className="scribe-thin" />
      {cutter && (
        <path d={`${path(space)}L${spaceTop.x + 6} 4H${WIDTH - spaceTop.x - 6}Z`} className="scribe-cutter" />
      )}
      {depths.map(({ name, mm }, i) => (
        <g key={name}>
          <path d={`M${WIDTH / 2 - 46} ${top + mm * scale}h92`} className="scribe-mark" />
          <path d={`M${WIDTH / 2 + (i === 0 ? -34 : 34)} ${top}v${mm * scale}`} className="scribe-mark" />
          <text
            x={i === 0 ? 12 : WIDTH - 12}
            y={20}
            textAnchor={i === 0 ? 'start' : 'end'}
            className="scribe-brass"
          >
            {name} {lengthText(mm, units)}
          </text>
        </g>
      ))}
      {depths.length === 0 && !cutter && (
        <>
          <path
            d={`M${WIDTH / 2} ${top}V${rootY}M${WIDTH / 2 - 5} ${top}h10M${WIDTH / 2 - 5} ${rootY}h10`}
            className="scribe-line"
          />
          <text x={WIDTH / 2} y={top - 9} textAnchor="middle" className="scribe-small">
            depth {lengthText(depth, units)}
          </text>
        </>
      )}
      <text
        x={WIDTH / 2 + (Math.PI * pitchDiameter * scale) / teeth / 2}
        y={pitchY - 6}
        textAnchor="middle"
        className="scribe-small"
      >
        pitch line
      </text>
    </svg>
  );
}
