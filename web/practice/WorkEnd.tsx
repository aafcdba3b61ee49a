import { useMemo } from 'react';
import {
  outlineOf,
  sectionAt,
  underCutter,
  type HeadBench,
  type Machine,
  type OutlinePoint,
  type Section,
  type Where,
} from '../../core/practice/index.ts';
import { cutterOutline } from './cutterOutline.ts';

interface WorkEndProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
}

const WIDTH = 420;
const HEIGHT = 260;
/** Radius of the whole work beside the near view. */
const WHOLE = 74;
/** Teeth and spaces that the near view shows. */
const IN_SIGHT = 7;
/** All of a work of few teeth is drawn so much smaller, and so far to the left. */
const FEW = 1.7;
const ASIDE = 80;
/** Drawn at most so far from the work, on the sheet. */
const CLEAR = 30;

/** So many points show the whole as small as it is drawn. */
const WHOLE_POINTS = 2400;

const pointOf = (radius: number, angle: number): string =>
  `${(radius * Math.sin(angle)).toFixed(3)} ${(-radius * Math.cos(angle)).toFixed(3)}`;

const drawn = (points: readonly OutlinePoint[], many: number): string[] =>
  points.map(({ radius, place }) => pointOf(radius, (2 * Math.PI * place) / many));

/** The whole outline, mm; of a fine gear every few points only. */
function wholeOutline(section: Section): string {
  const many = section.metal.length;
  const every = Math.max(1, Math.floor(many / WHOLE_POINTS));
  return `M${drawn(outlineOf(section, 0, many - 1, every), many).join('L')}Z`;
}

/**
 * The outline near one direction, closed over the work’s middle unless it goes all round.
 * @param under @param wide parts of a turn
 */
function nearOutline(section: Section, under: number, wide: number): string {
  const many = section.metal.length;
  const from = Math.floor((under - wide / 2) * many);
  const to = Math.ceil((under + wide / 2) * many);
  const outline = drawn(outlineOf(section, from, to), many);
  return `M${(wide < 1 ? ['0 0', ...outline] : outline).join('L')}Z`;
}

/** Leaning teeth stand elsewhere at each place of the face: seen is the one the cutter is at. */
const nearest = (along: number): Where => (along < 0.25 ? 'entry' : along < 0.75 ? 'middle' : 'exit');

/**
 * The work seen along its axis from where the cutter enters, as it truly is: near, where the cutter stands
 * above it, and the whole beside it.
 */
export function WorkEnd({ bench, machine }: WorkEndProps) {
  const { work, over, table } = machine;
  const [depth, beside] = [machine.depth + over.depth, machine.beside + over.beside];
  const { form, outside, face, teeth } = bench;
  const seen = bench.helix ? nearest(table / face) : bench.rim ? 'middle' : 'entry';
  const section = sectionAt(work, seen);
  const whole = useMemo(() => wholeOutline(section), [section]);
  const under = underCutter(bench, machine);
  const turn = `rotate(${-under * 360})`;
  const radius = outside / 2;
  const near = ((Math.PI * outside) / teeth) * IN_SIGHT;
  // all of it in sight stands beside the small view, not under it
  const few = near >= 2 * radius;
  const wide = few ? 2 * radius * FEW : near;
  const middle = few ? -ASIDE : 0;
  const scale = WIDTH / wide;
  // a little more than the sheet is wide; of few teeth all round
  const inSight = few ? 1 : Math.min(1, (1.4 * wide) / (Math.PI * outside));
  const up = Math.min(12, outside / 4) * scale;
  // a wheel may be touched at its corners first, which stand higher than its throat
  const shown = Math.max(-CLEAR, (depth - work.top + radius) * scale);
  // beyond the work’s ends the cutter stands in front of it or behind
  const meets = Math.abs(table - face / 2) <= face / 2 + form.diameter / 2;
  return (
    <svg
      className="practice-work"
      viewBox={`${-WIDTH / 2} ${-110} ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="The work, as it truly is"
    >
      <defs>
        <clipPath id="practice-near">
          <rect x={-WIDTH / 2} y={-110} width={WIDTH} height={HEIGHT} />
        </clipPath>
      </defs>
      <g clipPath="url(#practice-near)">
        <g transform={`translate(${middle} ${radius * scale}) scale(${scale}) ${turn}`}>
          <path d={nearOutline(section, under, inSight)} className="practice-metal" />
        </g>
        <g transform={`translate(${middle + beside * scale} ${shown})`}>
          <path
            d={cutterOutline(form, (1.25 * (up + CLEAR)) / scale, scale)}
            className={meets ? 'practice-cutter' : 'practice-cutter is-away'}
          />
        </g>
      </g>
      <g transform={`translate(${WIDTH / 2 - WHOLE - 8} ${HEIGHT - 110 - WHOLE - 8})`}>
        <circle r={WHOLE + 6} className="practice-behind" />
        <g transform={`scale(${WHOLE / radius}) ${turn}`}>
          <path d={whole} className="practice-metal" />
        </g>
        <path d={`M0 ${-WHOLE - 4}l-6 -12h12z`} className="practice-cutter" />
      </g>
    </svg>
  );
}
