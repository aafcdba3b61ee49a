import { dividedName, wordsOfDivided } from '../cut/index.ts';
import type { Run, RunSummary } from '../run/index.ts';
import { AT_STOPS, cutBefore, progressOf, standingOf } from './progress.ts';
import { stretchOf } from './stretch.ts';
import { roundName, sayNow } from './view.ts';
import { promptText } from './sentences.ts';

/**
 * What is to be done now, for a list: what stands large in one line, the lead before it, sentences after it.
 */
export interface NowLine {
  readonly lead: string;
  readonly figure: string;
  readonly lines: readonly string[];
}

/**
 * The prompt that the mill would show of a run that rests; null when nothing is left to be done, or it was
 * ended.
 */
export function nowLine(run: Run, summary: RunSummary): NowLine | null {
  if (summary.ended) return null;
  const standing = standingOf(run, summary);
  const now = sayNow(run, standing, progressOf(run, standing, AT_STOPS));
  if (!now) return null;
  const figure = now.figures.map(({ figure: large, words }) => `${large} ${words}`).join(' + ');
  return { lead: now.lead, figure, lines: now.lines.slice(0, 2) };
}

/** A stretch of a run on paper. */
export interface SheetStretch {
  readonly title: string;
  readonly lines: readonly string[];
}

/**
 * A run’s prompts on paper: to its first cut, from the first to the second, from each round to the next, and
 * after the last.
 */
export function promptSheet(run: Run): SheetStretch[] {
  const { cuts } = run;
  const first = cuts[0]!;
  const lines = (next: Run['cuts'][number] | null): string[] =>
    stretchOf(run, { next, last: cutBefore(run, next) })
      .filter(({ learner }) => !learner)
      .map((prompt) => promptText(run, prompt));
  const second = cuts[1];
  const begun = cuts.filter(({ round }, i) => i > 0 && round !== cuts[i - 1]!.round);
  return [
    {
      title: `To ${dividedName(run, first.space)}`,
      lines: stretchOf(run, { next: first, last: null }).map((prompt) => promptText(run, prompt)),
    },
    ...(second?.round === first.round
      ? [
          {
            title: `From ${dividedName(run, first.space)} to ${dividedName(run, second.space)}, and so on`,
            lines: lines(second),
          },
        ]
      : []),
    ...begun.map((next) => ({ title: `To the ${roundName(run, next.round)}`, lines: lines(next) })),
    { title: `After the last ${wordsOfDivided(run.divides).one}`, lines: lines(null) },
  ];
}
