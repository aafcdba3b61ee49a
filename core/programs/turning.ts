import { dividedName, wordsOfDivided } from '../cut/index.ts';
import type { Run } from '../run/index.ts';
import { degrees, programText, remark, type ProgramSet } from './words.ts';

export interface TurningSet extends ProgramSet {
  /** The letter of the turning axis. */
  readonly axis: 'A' | 'B' | 'C';
}

/** What is turned to: a run’s own cuts, and how far from each to the next. */
export interface TurningAsked {
  readonly run: Pick<Run, 'cuts' | 'divisions' | 'divides' | 'rounds' | 'jobName' | 'full'>;
  /** From one cut to the next in the order of cutting, degrees. */
  readonly advance: number;
}

/** So far back past the start that all slack comes out on the way up again, degrees. Common practice. */
const PAST = 5;

/**
 * A program for a turning axis alone: it turns to each place and stops there until a person goes on; the cut
 * is made by hand. Angles are absolute from the start, each to 0.36″, so that nothing adds up; every place is
 * come to from below.
 * @returns text
 * Source: ISO 6983-1 (words G00 G90, M00 M30)
 */
export function turningProgram({ run, advance }: TurningAsked, set: TurningSet): string {
  const { axis } = set;
  const go = (angle: number) => `G0 ${axis}${degrees(angle)}`;
  const rounds = run.rounds.flatMap((_, i) => {
    // a whole turn goes on and on the same way; less than one begins again
    const from = run.full ? i * run.divisions * advance : 0;
    return [
      remark(`Round ${i + 1}: set the depth`),
      ...(run.full && i > 0 ? [] : [go(from - PAST)]),
      ...run.cuts
        .filter(({ round }) => round === i + 1)
        .flatMap((cut) => [
          go(from + (cut.index - 1) * advance),
          `M0 ${remark(`${dividedName(run, cut.space)}: lock, ${wordsOfDivided(run.divides).verb}, draw clear, unlock`)}`,
        ]),
    ];
  });
  return programText(
    [
      remark(run.jobName),
      remark(`${run.divisions} places; it turns only, the cut is made by hand`),
      remark('Cutter clear before every start; prove it in air first'),
      remark('A program does not see the machine: hands clear, guards shut'),
      remark("The maker's manual and the shop's rules come first"),
      'G90',
      ...rounds,
      ...(run.full
        ? [
            remark('Closing move: the cutter must fall on the first'),
            go(run.rounds.length * run.divisions * advance),
          ]
        : []),
      'M30',
    ],
    set,
  );
}
