import { useId } from 'react';

/** Where cutter and work stand, and which way the work goes, at each stage between two spaces; from the front. */
const STAGES = [
  { cutter: 130, gap: 0, arrow: 'M0 30V92', words: 'lower it clear' },
  { cutter: 130, gap: 46, arrow: 'M-64 60H64', words: 'run it back' },
  { cutter: -130, gap: 46, arrow: 'M120 88A12 34 0 1 1 122 34', words: 'index it' },
  { cutter: -130, gap: 0, arrow: 'M64 60H-64', words: 'feed it in' },
] as const;

/** The return stroke of a helical gear: cutter above, work below, and which way the work goes now. Not to scale. */
export function StrokeView({ stage, hand }: { readonly stage: number; readonly hand: 'right' | 'left' }) {
  const tip = useId();
  const { cutter, gap, arrow, words } = STAGES[Math.min(stage, 3)]!;
  return (
    <svg className="scribe-drawing" viewBox="-220 -150 440 330" role="img" aria-label={`The work from the front: ${words}`}>
      <defs>
        <marker id={tip} viewBox="0 0 10 10" refX="6" refY="5" markerWidth="5" markerHeight="5" orient="auto-start-reverse">
          <path d="M0 0L10 5L0 10z" className="stroke-tip" />
        </marker>
      </defs>
      <circle cx={cutter} cy={-62} r={80} className="scribe-cutter" />
      <circle cx={cutter} cy={-62} r={4} className="train-axis" />
      <g transform={`translate(0 ${gap})`}>
        <rect x={-90} y={0} width={180} height={120} className="scribe-lit" />
        <path d={[-70, -46, -22, 2, 26, 50].map((x) => `M${x} ${hand === 'left' ? 120 : 0}L${x + 36} ${hand === 'left' ? 0 : 120}`).join('')} className="scribe-thin" />
        <path d="M-180 60H-90M90 60H180" className="scribe-line" />
        <path d={arrow} className="scribe-mark stroke-way" markerEnd={`url(#${tip})`} />
      </g>
    </svg>
  );
} // prettier-ignore
