import { placeOf, type Run, type RunAct, type RunState, type RunSummary } from '../run/index.ts';
import type { HolesAsked } from './moves.ts';
import type { Prompt } from './prompt.ts';
import { stretchOf } from './stretch.ts';

/** What of a run's state tells which prompt is next. */
export type Standing = Pick<RunState, 'next' | 'heeded' | 'landingTold' | 'tried' | 'answered'> & {
  readonly closed: RunState['closed'];
};

/** The cut before the next one; the last of all when there is none. */
export function cutBefore(run: Run, next: RunState['next']): RunState['last'] {
  if (!next) return run.cuts.at(-1) ?? null;
  const at = placeOf(run, next);
  return run.cuts[at - 1] ?? null;
}

/**
 * What rests of a run on the bench, as its state. Summaries of before prompts had names know the stages of a
 * return stroke.
 */
export function standingOf(run: Run, summary: RunSummary): Standing {
  const { next: seen, closed, landingTold = false, tried = null, answered = false, strokeMade = 0 } = summary;
  // the cut itself comes from the run: a summary folded long ago may know less of it
  const next = seen && (run.cuts[placeOf(run, seen)] ?? null);
  const heeded = summary.heeded ?? (run.helix ? ['out', 'back', 'turn'].slice(0, strokeMade) : []);
  return { next, heeded, landingTold, tried, answered, closed };
}

/** Is this one done, by what was said of it? */
function isDone(prompt: Prompt, first: boolean, state: Standing): boolean {
  if (state.heeded.includes(prompt.key)) return true;
  switch (prompt.do) {
    case 'tell-hole':
      return state.landingTold;
    case 'marks':
      return state.tried?.fits === true;
    case 'chord':
      return state.answered;
    default:
      return first && state.heeded.includes('clear');
  }
}

/** All that leads to the next cut, how much of it is done, and what is to be done now. */
export interface Progress {
  readonly prompts: readonly Prompt[];
  /** Done of them; what comes before one that is done is done. */
  readonly made: number;
  /**
   * What one press counts: a single prompt for those who have each step asked, else all up to the next stop.
   * Empty at the very end.
   */
  readonly now: readonly Prompt[];
}

/** What a person has asked of them, besides what stops everyone. */
export interface Asked {
  readonly eachStep: boolean;
  readonly holes: HolesAsked;
}
/** Stopped only where everyone is. */
export const AT_STOPS: Asked = { eachStep: false, holes: 'never' };
/** Every step by itself, and now and then the landing hole. */
export const EACH_STEP: Asked = { eachStep: true, holes: 'sometimes' };

/**
 * The prompts from where a run stands to its next cut, with those that are done. Nothing else decides what
 * comes next.
 */
export function progressOf(run: Run, state: Standing, { eachStep, holes }: Asked): Progress {
  const prompts = state.closed
    ? []
    : stretchOf(run, { next: state.next, last: cutBefore(run, state.next) }, holes);
  const made = prompts.findLastIndex((prompt, i) => isDone(prompt, i === 0, state)) + 1;
  const left = prompts.slice(made).filter(({ learner }) => eachStep || !learner);
  const end = left.findIndex(({ stop, learner }) => eachStep || stop || learner);
  return { prompts, made, now: left.slice(0, end + 1) };
}

/** How a prompt is said to be done where a press says it; null where it is answered in another way. */
export function heed(run: Run, state: Pick<Standing, 'next'>, prompt: Prompt): RunAct | null {
  const cut = state.next ?? run.cuts.at(-1)!;
  const place = { round: cut.round, index: cut.index };
  switch (prompt.do) {
    case 'cut':
      return { kind: 'done', ...place };
    case 'tell-hole':
    case 'chord':
    case 'marks':
    case 'judge':
      return null;
    case 'finish':
      return { kind: 'closed', fits: true };
    default:
      return {
        kind: 'heeded',
        ...place,
        prompt: prompt.key,
        ...(state.next ? {} : { closing: true as const }),
      };
  }
}

/**
 * Once the work is known to stand at a cut that is not made: everything up to the end of the move is done.
 * Null at a first cut.
 */
export function standsAt(run: Run, next: RunState['next']): RunAct | null {
  const prompts = stretchOf(run, { next, last: cutBefore(run, next) });
  const moved = prompts.findLast((prompt) => AT_THE_SPACE.has(prompt.do));
  return moved ? heed(run, { next }, moved) : null;
}

const AT_THE_SPACE: ReadonlySet<Prompt['do']> = new Set([
  'register',
  'turn',
  'turn-plate',
  'return',
  'zero',
  'arms',
]);
