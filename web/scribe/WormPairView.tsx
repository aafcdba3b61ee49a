import { line } from 'd3-shape';
import { useMemo } from 'react';
import { wheelDrawing, type DriveShape } from '../../core/drive/index.ts';
import type { Point } from '../../core/involute/index.ts';
import { threadLine } from '../../core/prints/index.ts';
import { gearOutline } from '../../core/toothform/index.ts';

interface WormPairViewProps {
  readonly drive: DriveShape;
  /** Turns the worm has made. */
  readonly turns: number;
  readonly centreText: string;
}

const WIDTH = 420;
const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

/**
 * Worm above, wheel below, cut through the middle of the face and to one scale: there they run as a rack and
 * its gear.
 */
export function WormPairView({ drive, turns, centreText }: WormPairViewProps) {
  const { teeth, starts, worm, wormDiameter, wheelDiameter, addendum, centre, hand } = drive;
  const outline = useMemo(() => {
    const drawing = wheelDrawing(drive);
    return `${path(gearOutline(drawing, drawing.teeth > 90 ? 4 : 8)) ?? ''}Z`;
  }, [drive]);
  // of a large wheel only the upper part is drawn, so that its teeth can be seen
  const across = Math.min(wheelDiameter + 2 * addendum, 22 * worm.axialPitch);
  const shownWheel = Math.min(wheelDiameter + 2 * addendum, across);
  const scale = Math.min((WIDTH - 20) / across, 420 / (worm.outside + shownWheel));
  const long = across / worm.axialPitch;
  // an odd count, so that one stands in the middle
  const threads = 2 * Math.ceil(long / 2) + 5;
  const shift = ((turns * starts) % 1) * worm.axialPitch * (hand === 'right' ? 1 : -1);
  const wheelTurn = ((turns * starts) / teeth) * 360 * (hand === 'right' ? 1 : -1);
  const height = (worm.outside + shownWheel) * scale + 46;
  const wormY = 22 + (worm.outside / 2) * scale;
  const wheelY = wormY + centre * scale;
  const thread = threadLine(drive, threads);
  const d1 = wormDiameter / 2;
  const lower = `${path(thread.map(({ x, y }) => ({ x, y: -(d1 + y) }))) ?? ''}`;
  const upper = `${path(thread.map(({ x, y }) => ({ x: x + worm.lead / 2, y: d1 + y }))) ?? ''}`;
  const half = across / 2;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`Worm of ${starts} start${starts === 1 ? '' : 's'} on a wheel of ${teeth} teeth, ${centreText}, to scale`}
    >
      <defs>
        <clipPath id="worm-part">
          <rect x={WIDTH / 2 - half * scale} y={0} width={across * scale} height={height} />
        </clipPath>
      </defs>
      <g clipPath="url(#worm-part)">
        <g transform={`translate(${WIDTH / 2} ${wheelY}) scale(${scale})`}>
          {/* a space of the wheel stands straight up, under a thread */}
          <g transform={`rotate(${wheelTurn + 180 / teeth})`}>
            <path d={outline} className="scribe-lit" />
            <path d={`M0 0V${-wheelDiameter * 0.36}`} className="scribe-thin" />
          </g>
          <circle r={wheelDiameter / 2} className="scribe-pitch" />
        </g>
        <g transform={`translate(${WIDTH / 2} ${wormY}) scale(${scale})`}>
          <g transform={`translate(${shift} 0)`}>
            <path d={lower} className="scribe-line" />
            <path d={upper} className="scribe-line" />
          </g>
          <path d={`M${-half} ${d1}H${half}M${-half} ${-d1}H${half}`} className="scribe-pitch" />
          <path d={`M${-half} 0H${half}`} className="scribe-thin" />
        </g>
      </g>
      <path
        d={`M${WIDTH / 2} ${wormY}V${Math.min(wheelY, height - 24)}M${WIDTH / 2 - 6} ${wormY}h12M${WIDTH / 2 - 6} ${Math.min(wheelY, height - 24)}h12`}
        className="scribe-mark"
      />
      <text x={WIDTH / 2} y={Math.min(wheelY, height - 30) + 22} textAnchor="middle" className="scribe-brass">
        {centreText}
      </text>
      <text x={WIDTH / 2} y={height - 4} textAnchor="middle" className="scribe-small">
        {`worm ${starts} start${starts === 1 ? '' : 's'}, wheel ${teeth} teeth`}
      </text>
    </svg>
  );
}
