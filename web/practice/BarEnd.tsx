import { useMemo } from 'react';
import { sectionAt, underCutter, type Machine, type TableBench } from '../../core/practice/index.ts';
import { cutterOutline } from './cutterOutline.ts';

interface BarEndProps {
  readonly bench: TableBench;
  readonly machine: Machine;
}

const WIDTH = 420;
const TOP = -110;
const HEIGHT = 260;
/** Spaces that the near view shows. */
const IN_SIGHT = 6;
/** Drawn at most so far from the work, on the sheet. */
const CLEAR = 30;
/** So many points show the whole bar as small as it is drawn. */
const WHOLE_POINTS = 1600;

/** An outline of heights, mm, closed at the underside. @param every of the places kept */
function outline(metal: Float64Array, step: number, every: number): string {
  const points: string[] = [];
  for (let i = 0; i < metal.length; i += every)
    points.push(`${(i * step).toFixed(3)} ${(-metal[i]!).toFixed(3)}`);
  const end = ((metal.length - 1) * step).toFixed(3);
  return `M0 0L${points.join('L')}L${end} ${(-metal.at(-1)!).toFixed(3)}L${end} 0Z`;
}

/**
 * The bar seen from where the cutter enters, as it truly is: near, where the cutter stands above it, and the
 * whole below.
 */
export function BarEnd({ bench, machine }: BarEndProps) {
  const { work, depth, over, table } = machine;
  const { form, face, bar } = bench;
  const { lies, pitch } = bar;
  const { metal } = sectionAt(work, 'entry');
  const step = lies.length / (metal.length - 1);
  const under = underCutter(bench, machine);
  // a little more than the sheet is wide, drawn anew when the cutter has gone on by a space
  const space = Math.round((under - lies.from) / pitch);
  const near = useMemo(() => {
    const from = Math.max(0, Math.floor(((space - IN_SIGHT) * pitch) / step));
    const to = Math.min(metal.length, Math.ceil(((space + IN_SIGHT) * pitch) / step));
    return { from: from * step, path: outline(metal.subarray(from, to), step, 1) };
  }, [metal, step, space, pitch]);
  const whole = useMemo(
    () => outline(metal, step, Math.max(1, Math.floor(metal.length / WHOLE_POINTS))),
    [metal, step],
  );
  const scale = WIDTH / (IN_SIGHT * pitch);
  const shown = Math.max(-CLEAR, (depth + over.depth) * scale);
  const meets = Math.abs(table - face / 2) <= face / 2 + form.diameter / 2;
  const small = Math.min((WIDTH - 24) / lies.length, 46 / bar.high);
  return (
    <svg
      className="practice-work"
      viewBox={`${-WIDTH / 2} ${TOP} ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="The bar, as it truly is"
    >
      <defs>
        <clipPath id="practice-bar-near">
          <rect x={-WIDTH / 2} y={TOP} width={WIDTH} height={HEIGHT - 72} />
        </clipPath>
      </defs>
      <g clipPath="url(#practice-bar-near)">
        <g
          transform={`translate(${(lies.from + near.from - under) * scale} ${bar.high * scale}) scale(${scale})`}
        >
          <path d={near.path} className="practice-metal" />
        </g>
        <g transform={`translate(0 ${shown})`}>
          <path
            d={cutterOutline(form, (1.25 * (-TOP + CLEAR)) / scale + bar.high, scale)}
            className={meets ? 'practice-cutter' : 'practice-cutter is-away'}
          />
        </g>
      </g>
      <g transform={`translate(${(-small * lies.length) / 2} ${TOP + HEIGHT - 8})`}>
        <g transform={`scale(${small})`}>
          <path d={whole} className="practice-metal" />
        </g>
        <path
          d={`M${(under - lies.from) * small} ${-bar.high * small - 2}l-6 -12h12z`}
          className="practice-cutter"
        />
      </g>
    </svg>
  );
}
