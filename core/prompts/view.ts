import type { Cut, Run } from '../run/index.ts';
import { cutBefore, type Progress } from './progress.ts';
import type { Prompt } from './prompt.ts';
import { dividedName, wordsOfDivided } from '../cut/index.ts';
import { smallAngleText } from '../dividing/index.ts';
import { approx, capital, exact } from '../units/index.ts';
import { promptFigures, type Figure } from './figures.ts';
import { promptDone } from './labels.ts';
import { promptText, promptWhy } from './sentences.ts';

/** What a screen, the bench or a page says of what is to be done now. */
export interface NowSay {
  /** The prompt that stands large. */
  readonly main: Prompt;
  readonly lead: string;
  readonly figures: readonly Figure[];
  /** The other things that the same press counts, each a sentence; and where the move must end. */
  readonly lines: readonly string[];
  readonly why: string | null;
  readonly done: string;
}

const ROUND_NAMES = {
  scratch: 'scratch round',
  one: 'one pass',
  rough: 'rough pass',
  finish: 'finish pass',
  deeper: 'once more, deeper',
} as const;

/** A round by its name. */
export const roundName = (run: Run, round: number): string => ROUND_NAMES[run.rounds[round - 1]!.name];

/** What stands large of all that one press counts: the move before the depth, the depth before the cut. */
const RANK: readonly Prompt['do'][] = [
  'turn',
  'turn-plate',
  'return',
  'find',
  'stand',
  'depth',
  'in',
  'register',
  'marks',
  'judge',
  'finish',
  'cut',
];

function mainOf(now: readonly Prompt[], first: boolean): Prompt {
  if (now.length === 1) return now[0]!;
  // what begins a run is its first space, with all that goes before it in a list; before that, what finds the
  // work again
  if (first) return now.find((prompt) => prompt.do === 'find' || prompt.do === 'land') ?? now.at(-1)!;
  const rank = RANK.find((each) => now.some((prompt) => prompt.do === each));
  return now.find((prompt) => prompt.do === rank) ?? now.at(-1)!;
}

/** Before the figures that say how far. */
const VERB: Readonly<Record<Cut['landing']['on'], string>> = {
  plate: 'Turn clockwise:',
  ring: 'Draw the pin and turn on, clockwise:',
  'two-circles': 'First the pin, then the plate:',
  dial: 'Turn clockwise, to:',
  steps: 'Let the motor go on to:',
};

/** What was done last, in a few words. */
function stands(run: Run, last: Cut): string {
  const scratched = run.rounds[last.round - 1]?.name === 'scratch';
  return `${capital(dividedName(run, last.space))} is ${scratched ? 'scratched' : wordsOfDivided(run.divides).done}.`;
}

interface At {
  readonly run: Run;
  readonly next: Cut | null;
  readonly last: Cut | null;
  readonly progress: Progress;
}

function leadOfTurn(landing: Cut['landing'], { run, next, last, progress }: At): string {
  const { done } = wordsOfDivided(run.divides);
  const verb = run.mill ? 'Table to:' : VERB[landing.on];
  if (!last) return verb;
  if (!next)
    return `All ${run.divisions} are ${done}. ${run.helix ? 'It is clear and run back. ' : ''}One closing move. ${verb}`;
  if (progress.now.some((prompt) => prompt.do === 'marks'))
    return `Scratched all round. One more move, to the first mark. ${verb}`;
  if (next.round !== last.round)
    return `${capital(roundName(run, last.round))} is done. On to ${dividedName(run, next.space)} again. ${verb}`;
  return `${run.helix ? 'Run back, the cutter clear.' : stands(run, last)} ${verb}`;
}

function leadOf(main: Prompt, at: At): string {
  const { run, next, last, progress } = at;
  const { one, done } = wordsOfDivided(run.divides);
  const where = `The work stands at ${next ? dividedName(run, next.space) : 'its end'}.`;
  const deepest = next && run.rounds[next.round - 1]?.name;
  switch (main.do) {
    case 'turn':
      return leadOfTurn(main.landing, at);
    case 'out':
    case 'back':
    case 'on':
      return last ? stands(run, last) : 'First:';
    case 'depth':
    case 'in':
      if (progress.made > 0 && progress.prompts.some((prompt) => prompt.do === 'marks'))
        return `The marks close. ${where}`;
      return next && last && next.round !== last.round
        ? `${where} The depth of the ${roundName(run, next.round)}:`
        : where;
    case 'land':
      return 'Touch it anew, for the depth:';
    case 'find':
      return `Find the last ${one} that was ${done}:`;
    case 'stand':
      return 'Once more round, deeper:';
    case 'cut':
      if (last)
        return progress.now.length > 1
          ? `The work stands at ${dividedName(run, main.space)}. Do not crank:`
          : 'Now';
      if (progress.made > 0) return 'Everything stands at its start:';
      return deepest === 'scratch' ? 'First a scratch, all the way round:' : 'First cut:';
    case 'judge':
      return `All ${run.divisions} are ${done}, and the closing move is made:`;
    case 'finish':
      return `All ${run.divisions} are ${done}.`;
    case 'prepare':
    case 'centre':
    case 'swing':
    case 'scribe':
    case 'register':
    case 'unlock':
      if (last) return '';
      return 'On the machine, before the first cut:';
    default:
      return '';
  }
}

function figuresOf({
  main,
  run,
  progress: { now },
  first,
}: {
  readonly main: Prompt;
  readonly run: Run;
  readonly progress: Progress;
  readonly first: boolean;
}): readonly Figure[] {
  const { one, done } = wordsOfDivided(run.divides);
  if (first && main.do === 'cut' && now.length > 1)
    return [
      {
        figure: String(main.space),
        words: main.again
          ? `is ${done} already`
          : main.space === 1
            ? `is the first ${one}`
            : `is the ${one} to start at`,
        brass: true,
      },
    ];
  const own = promptFigures(run, main);
  const plate = now.find((prompt) => prompt.do === 'turn-plate');
  return main.do === 'turn' && plate
    ? [...own.map((figure) => ({ ...figure, brass: false })), ...promptFigures(run, plate)]
    : own;
}

/** What a motor’s steps come to, for an eye on the degrees of the table: so wherever the motor sits. */
function turnedBy({ move }: Run, steps: number): string {
  if (move.method !== 'stepper') return '';
  return `, ${smallAngleText(approx(exact(steps).div(exact(move.stepsPerTurn))))} of the work`;
}

/** Where the move must end, for who counts only the last of all this. */
function landsLine(main: Prompt, now: readonly Prompt[], run: Run): string[] {
  if (main.do !== 'turn') return [];
  const { landing, from, space } = main;
  const name = `${capital(dividedName(run, space))} of ${run.divisions}.`;
  if (landing.on === 'steps')
    return [
      `Counted from the start of the round; ${landing.by} on from here${turnedBy(run, landing.by)}. ${name}`,
    ];
  if (!('hole' in landing) || !from || !('hole' in from)) return [name];
  const plate = now.find((prompt) => prompt.do === 'turn-plate');
  const back =
    plate?.do === 'turn-plate'
      ? `; the back pin from ${plate.from} in hole ${plate.hole}${plate.back < 0 ? ', half a turn past and up clockwise' : ''}`
      : '';
  return [`Pin is in hole ${from.hole}, lands in hole ${landing.hole}${back}.`];
}

/**
 * What is to be done now, in words and figures: one prompt alone where each step is asked; else the thing
 * that stands large, with the rest of what one press counts. Between two cuts a hand that knows its work is
 * told only the move.
 * @returns null when nothing is left to be done
 */
export function sayNow(run: Run, { next }: { readonly next: Cut | null }, progress: Progress): NowSay | null {
  const { now } = progress;
  if (now.length === 0) return null;
  const last = cutBefore(run, next);
  const first = last === null;
  const main = mainOf(now, first);
  const at = { run, next, last, progress };
  const alone = now.length === 1;
  const moves = main.do === 'turn' && next !== null && last !== null && next.round === last.round;
  // whoever is told more than the move is told all of it, in the order of the hands
  const lines =
    moves || (alone && main.do === 'turn')
      ? landsLine(main, now, run)
      : now.map((prompt) => promptText(run, prompt));
  return {
    main,
    lead: leadOf(main, at),
    figures: figuresOf({ main, run, progress, first }),
    lines,
    why: promptWhy(run, main),
    done: promptDone(run, now.at(-1)!),
  };
}
