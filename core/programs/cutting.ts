import { dividedName } from '../cut/index.ts';
import type { Run } from '../run/index.ts';
import { coordinate, degrees, programText, remark } from './words.ts';
import type { TurningSet } from './turning.ts';

export interface CuttingSet extends TurningSet {
  /** mm a minute; turns a minute. */
  readonly feed: number;
  readonly rpm: number;
  /** Which way the axis turns as the cutter goes along a right-hand helix. */
  readonly sense: 'plus' | 'minus';
  /** Blocks of the owner’s own, before the first move and before the end. */
  readonly begin: string;
  readonly end: string;
}

/** What is cut: a run’s own places and depths, and how far from each to the next. */
export interface CuttingAsked {
  readonly run: Pick<Run, 'cuts' | 'divisions' | 'divides' | 'rounds' | 'jobName' | 'full'> & {
    readonly helix: { readonly hand: 'right' | 'left'; readonly lead: number } | null;
  };
  /** From one cut to the next in the order of cutting, degrees. */
  readonly advance: number;
  /** From the first touch at full depth to where the cutter is through, mm. */
  readonly through: number;
  readonly depth: number;
}

/** So far before the first touch the cutter goes in, mm: in the air. */
const BEFORE = 2;
/** So far back past a place that all slack comes out on the way up again, degrees. Common practice. */
const PAST = 5;

const blocksOf = (typed: string): string[] =>
  typed
    .split(/[\n;]/)
    .map((block) => block.trim())
    .filter(Boolean);

/**
 * A program for a mill that moves all axes: at each place in, along to where the cutter is through, out,
 * back, and on to the next; in passes. X 0 is the first touch at full depth, and X grows the way it cuts; Z 0
 * is the outside under the cutter, and Z grows away from the work; the axis is 0 at the first place. On a
 * helical gear the axis turns with the cut, by the lead, fed in inverse time so that the feed is that along
 * X. The work is turned with the cutter drawn out alone; every place is come to the same way.
 * @returns text
 * Source: ISO 6983-1 (words G00 G01 G90 G93 G94, M00 M03 M05 M30)
 */
export function cuttingProgram({ run, advance, through, depth }: CuttingAsked, set: CuttingSet): string {
  const { axis, units, safe, feed } = set;
  const mm = (value: number) => coordinate(value, units);
  const from = -BEFORE;
  const length = through - from;
  const { helix } = run;
  const way = (helix?.hand === 'left' ? -1 : 1) * (set.sense === 'minus' ? -1 : 1);
  /** How far round the axis is where the cutter stands there, for the tooth to be at its place at X 0. */
  const twist = (x: number): number => (helix ? (way * 360 * x) / helix.lead : 0);
  // straight places are come to from below; on a helix the way the cut itself turns
  const past = helix ? -way * PAST : -PAST;
  const out = `G0 Z${mm(safe)}`;
  const cut = (round: number, index: number, deep: number, first: boolean): string[] => {
    const start = (round * (run.full ? run.divisions : 0) + index - 1) * advance + twist(from);
    const along = helix
      ? [
          `G93 G1 X${mm(through)} ${axis}${degrees(start - twist(from) + twist(through))} F${(feed / length).toFixed(4)}`,
          'G94',
        ]
      : [`G1 X${mm(through)} F${coordinate(feed, units)}`];
    return [
      ...(first || helix ? [`G0 ${axis}${degrees(start + past)}`] : []),
      `G0 ${axis}${degrees(start)}`,
      `G0 Z${mm(-deep)}`,
      ...along,
      out,
      `G0 X${mm(from)}`,
    ];
  };
  const rounds = run.rounds.flatMap(({ depthMm }, i) => [
    remark(`Round ${i + 1} of ${run.rounds.length}`),
    ...run.cuts
      .filter(({ round }) => round === i + 1)
      .flatMap(({ index, space }, k) => [
        remark(dividedName(run, space)),
        ...cut(i, index, depthMm ?? depth, k === 0 && (i === 0 || !run.full)),
      ]),
  ]);
  return programText(
    [
      remark(run.jobName),
      remark(`${run.divisions} places, turned and cut`),
      remark('X 0: first touch at full depth, along the cut. Z 0: the outside'),
      remark(`${axis} 0: the first place. Axis turns with the cutter drawn out alone`),
      ...(helix
        ? [remark(`Helix ${helix.hand} hand, lead ${helix.lead.toFixed(3)} mm: scratch one first`)]
        : []),
      remark('Prove it in air first, the work away or Z 0 set well above'),
      remark('A program does not see the machine: hands clear, guards shut'),
      remark("The maker's manual and the shop's rules come first"),
      units === 'mm' ? 'G21' : 'G20',
      'G90 G94',
      ...blocksOf(set.begin),
      out,
      `G0 X${mm(from)}`,
      `M0 ${remark('Proved in air? Work keyed, guards shut')}`,
      `M3 S${Math.round(set.rpm)}`,
      ...rounds,
      'M5',
      ...(run.full
        ? [
            remark('Closing move: the cutter must fall on the first'),
            `G0 ${axis}${degrees(run.rounds.length * run.divisions * advance + twist(from))}`,
          ]
        : []),
      ...blocksOf(set.end),
      'M30',
    ],
    set,
  );
}
