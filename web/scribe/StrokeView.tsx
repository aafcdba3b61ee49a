import { radiansOf } from '../../core/units/index.ts';
import { useId } from 'react';
import type { Mount } from '../../core/run/index.ts';

type Stage = 'out' | 'back' | 'in';

interface StrokeViewProps {
  readonly stage: Stage;
  readonly hand: 'right' | 'left';
  /** Which way the table feeds, and where the cutter stands; null where the run does not say. */
  readonly mount: Mount | null;
}

const LEAN = Math.tan(radiansOf(18));
const WORDS: Readonly<Record<Stage, string>> = {
  out: 'draw it clear',
  back: 'run it back',
  in: 'bring it in, then feed',
};

/**
 * A tooth as it is seen: along the axis, which lies with the table. A right-hand one falls as it runs to the
 * right, seen from in front and from above.
 */
function teeth(hand: 'right' | 'left'): string {
  const fall = (hand === 'right' ? 1 : -1) * 90 * LEAN;
  return [18, 39, 60, 81, 102].map((y) => `M-90 ${y - fall}L90 ${y + fall}`).join('');
}

/**
 * The return stroke of a helical gear, and which way the work goes now: from in front under an arbor, from
 * above beside an upright spindle. Not to scale.
 */
export function StrokeView({ stage, hand, mount }: StrokeViewProps) {
  const tip = useId();
  const clip = useId();
  const feed = mount?.feed === 'left' ? -1 : 1;
  const upright = mount?.axis === 'vertical';
  // the cutter in front of the work: everything of it lies on your side
  const flip = upright && mount.place === 'front' ? -1 : 1;
  // fed to the right, the work's right end meets the cutter first, and the cutter leaves at its left
  const cutter = stage === 'in' ? feed * 150 : -feed * 130;
  const gap = stage === 'out' ? 0 : 46;
  const arrows: Readonly<Record<Stage, readonly string[]>> = {
    out: [`M0 ${60 - flip * 30}V${60 + flip * 40}`],
    back: [`M${feed * 64} 60H${-feed * 64}`],
    in: [`M0 ${60 + flip * 34}V${60 - flip * 34}`, `M${-feed * 60} 60H${feed * 84}`],
  };
  return (
    <svg
      className="scribe-drawing"
      viewBox="-240 -190 480 400"
      role="img"
      aria-label={`The work from ${upright ? 'above' : 'the front'}: ${WORDS[stage]}`}
    >
      <defs>
        <marker
          id={tip}
          viewBox="0 0 10 10"
          refX="6"
          refY="5"
          markerWidth="5"
          markerHeight="5"
          orient="auto-start-reverse"
        >
          <path d="M0 0L10 5L0 10z" className="stroke-tip" />
        </marker>
        <clipPath id={clip}>
          <rect x={-90} y={0} width={180} height={120} />
        </clipPath>
      </defs>
      <g transform={flip === 1 ? undefined : 'translate(0 60) scale(1 -1) translate(0 -60)'}>
        <circle cx={cutter} cy={-62} r={80} className="scribe-cutter" />
        <circle cx={cutter} cy={-62} r={4} className="train-axis" />
      </g>
      <g transform={`translate(0 ${flip * gap})`}>
        <rect x={-90} y={0} width={180} height={120} className="scribe-lit" />
        <path d={teeth(hand)} className="scribe-thin" clipPath={`url(#${clip})`} />
        <path d="M-180 60H-90M90 60H180" className="scribe-line" />
        {arrows[stage].map((arrow) => (
          <path key={arrow} d={arrow} className="scribe-mark stroke-way" markerEnd={`url(#${tip})`} />
        ))}
      </g>
      <text x={-230} y={200} className="scribe-small">
        {upright ? 'seen from above, you below' : 'seen from in front'}
      </text>
    </svg>
  );
}
