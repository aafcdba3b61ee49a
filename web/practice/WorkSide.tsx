import { reachOf, type Machine, type PracticeBench, type Rim } from '../../core/practice/index.ts';

interface WorkSideProps {
  readonly bench: PracticeBench;
  readonly machine: Machine;
}

const WIDTH = 400;

/** From corner to corner of a wheel’s rim: an arc through the throat. */
function hollow({ at, radii }: Rim, scale: number, x: (along: number) => number): string {
  const [half, sinks] = [((at[2] - at[0]) / 2) * scale, (radii[0] - radii[1]) * scale];
  if (sinks <= 0) return '';
  const r = (half * half + sinks * sinks) / (2 * sinks);
  return `H${x(at[0])}a${r} ${r} 0 0 0 ${2 * half} 0`;
}

/** The work from in front, with the cutter where the table has brought it. */
export function WorkSide({ bench, machine }: WorkSideProps) {
  const { face, form, run } = bench;
  const round = bench.on === 'head';
  const rim = round ? bench.rim : null;
  const high = rim ? rim.radii[0] : machine.work.top;
  const outside = 2 * high;
  const deep = run.rounds.at(-1)?.depthMm ?? 0;
  const span = face + 2 * reachOf(bench, deep) + form.diameter;
  const scale = Math.min(WIDTH / span, 230 / (outside * 0.3 + form.diameter));
  const [half, r] = [(outside / 2) * scale, (form.diameter / 2) * scale];
  const x = (along: number) => (along - face / 2) * scale;
  const y = -half + (Math.min(machine.depth, outside) + high - machine.work.top) * scale - r;
  const top = -half - 2 * r - 12 * scale;
  // half of a large work is enough: the drawing is of the meeting
  const low = -half + outside * 0.3 * scale;
  return (
    <svg
      className="practice-side"
      viewBox={`${-WIDTH / 2 - 10} ${top} ${WIDTH + 20} ${low - top + 22}`}
      role="img"
      aria-label={`Cutter ${machine.running ? 'turning' : 'standing'}, ${machine.table.toFixed(2)} mm along, ${machine.depth.toFixed(2)} mm deep`}
    >
      {round && <path d={`M${-WIDTH / 2} 0H${WIDTH / 2}`} className="scribe-pitch" />}
      <path
        d={`M${x(0)} ${-half}${rim ? hollow(rim, scale, x) : ''}H${x(face)}V${round ? half : 0}H${x(0)}Z`}
        className="practice-metal"
      />
      {round && (
        <path
          d={`M${x(0)} ${-half * 0.34}h${-34}v${half * 0.68}h34M${x(face)} ${-half * 0.28}h30v${half * 0.56}h-30`}
          className="scribe-line"
          fill="none"
        />
      )}
      <circle cx={x(machine.table)} cy={y} r={r} className="practice-cutter" />
      <circle cx={x(machine.table)} cy={y} r={r * 0.3} className="practice-cutter" />
    </svg>
  );
}
