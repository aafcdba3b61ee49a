import { line } from 'd3-shape';
import type { DriveShape } from '../../core/drive/index.ts';
import type { Point } from '../../core/involute/index.ts';
import { threadLine } from '../../core/prints/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface ThreadViewProps {
  readonly drive: DriveShape;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

/**
 * The thread in its axial section, large, with the tool in a space and the sizes by which it is ground and
 * judged.
 */
export function ThreadView({ drive, units }: ThreadViewProps) {
  const { worm, addendum, wormDiameter } = drive;
  const px = worm.axialPitch;
  const scale = (WIDTH - 10) / (3.1 * px);
  const core = Math.min((worm.root / 2) * scale, 70);
  const top = 64;
  const y = (up: number) => top + (addendum - up) * scale;
  const bottom = y(addendum - worm.depth) + core;
  const thread = threadLine(drive, 5);
  const body = `${path(thread.map(({ x, y: up }) => ({ x: x * scale, y: -y(up) }))) ?? ''}`;
  const [half, lean] = [worm.toolFlat / 2, Math.tan(drive.proportions.pressureAngle)];
  const up = worm.depth + addendum * 0.6;
  const floor = addendum - worm.depth;
  // the tool stands in the space between two threads
  const at = px / 2;
  const tool = `M${(at - half) * scale} ${y(floor)}L${(at + half) * scale} ${y(floor)}L${(at + half + up * lean) * scale} ${y(floor + up)}H${(at - half - up * lean) * scale}Z`;
  const say = (mm: number) => lengthText(mm, units, 'fine');
  const dim = (x1: number, x2: number, where: number) =>
    `M${x1} ${where}H${x2}M${x1} ${where - 5}v10M${x2} ${where - 5}v10`;
  const wide = WIDTH / 2 - 5;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${bottom + 44}`}
      role="img"
      aria-label={`Thread of ${say(px)} pitch, ${say(worm.depth)} deep, with its tool, to scale`}
    >
      <path d={`${body}L${wide} ${bottom}H${-wide}Z`} className="scribe-lit" />
      <path d={tool} className="scribe-cutter" />
      <path d={`M${-wide} ${y(0)}H${wide}`} className="scribe-pitch" />
      <path d={`M${-wide} ${bottom}H${wide}`} className="scribe-thin" />
      <path d={dim(-px * scale, 0, 30)} className="scribe-mark" />
      <text x={(-px * scale) / 2} y={20} textAnchor="middle" className="scribe-brass">
        {`pitch ${say(px)}`}
      </text>
      <path
        d={dim((-px - worm.crest / 2) * scale, (-px + worm.crest / 2) * scale, top - 10)}
        className="scribe-mark"
      />
      <text x={(-px + worm.crest / 2) * scale + 6} y={top - 6} className="scribe-small">
        {`crest ${say(worm.crest)}`}
      </text>
      <path d={`M${-px * scale * 1.02} ${y(addendum)}V${y(floor)}`} className="scribe-mark" />
      <text
        x={-px * scale * 1.02 - 6}
        y={y(floor) + core * 0.45}
        textAnchor="middle"
        className="scribe-brass"
      >
        {`deep ${say(worm.depth)}`}
      </text>
      <text x={at * scale} y={y(floor) + core * 0.45} textAnchor="middle" className="scribe-brass">
        {`tool flat ${say(worm.toolFlat)}`}
      </text>
      <text x={0} y={bottom + 18} textAnchor="middle" className="scribe-small">
        {`broken line: pitch Ø ${say(wormDiameter)}`}
      </text>
      <text x={0} y={bottom + 36} textAnchor="middle" className="scribe-small">
        cut through the axis, the tool level
      </text>
    </svg>
  );
}
