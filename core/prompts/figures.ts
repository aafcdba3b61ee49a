import { wordsOfDivided } from '../cut/index.ts';
import { markText, rimText, type Landing } from '../dividing/index.ts';
import type { Run } from '../run/index.ts';
import { handleOf } from '../setup/index.ts';
import { decimalText, exact, lengthText, plural } from '../units/index.ts';
import { circleOf } from './moves.ts';
import type { Prompt } from './prompt.ts';
import { travelsOf } from './handles.ts';
import { touchReading } from './sentences.ts';

/** A figure with its words behind it, large enough for two metres. */
export interface Figure {
  readonly figure: string;
  readonly words: string;
  readonly brass: boolean;
}

const spacesWord = (n: number): string => (Math.abs(n) === 1 ? 'space' : 'spaces');
const shown = (figure: string | number, words: string, brass = true): Figure => ({
  figure: String(figure),
  words,
  brass,
});

const turnsFigure = (turns: number, last: boolean): Figure[] =>
  turns === 0 ? [] : [shown(turns, turns === 1 ? 'whole turn' : 'whole turns', last)];

/** A move in figures: whole turns, then spaces; or what has to be read. */
export function landingFigures(run: Run, landing: Landing): readonly Figure[] {
  const { move, head } = run;
  const circle = circleOf(run);
  switch (landing.on) {
    case 'plate':
      return [
        ...turnsFigure(landing.turns, landing.spaces === 0),
        ...(landing.spaces > 0 ? [shown(landing.spaces, `${spacesWord(landing.spaces)} on ${circle}`)] : []),
      ];
    case 'ring':
      return [shown(landing.spaces, `${spacesWord(landing.spaces)} on the ${circle} ring`)];
    case 'two-circles':
      return [
        ...turnsFigure(landing.turns, landing.spaces === 0),
        ...(landing.spaces > 0
          ? [shown(landing.spaces, `${spacesWord(landing.spaces)} on ${circle}, the pin`)]
          : []),
      ];
    case 'dial': {
      if (move.method !== 'handwheel')
        return [
          shown(landing.turns, landing.turns === 1 ? 'whole turn' : 'whole turns', false),
          shown(decimalText(exact(landing.mark), 3), 'on the dial'),
        ];
      const ratio = exact(head?.ratio ?? '1');
      return move.reads === 'angle'
        ? [
            shown(rimText(landing.turns, ratio), 'on the table', false),
            shown(markText(landing.mark, move, ratio), 'on the wheel'),
          ]
        : [
            shown(landing.turns, 'whole turns', false),
            shown(decimalText(exact(landing.mark), 3), 'on the wheel'),
          ];
    }
    case 'steps':
      return [shown(landing.steps, 'steps')];
  }
}

/** What stands large while a prompt is the thing to do. */
export function promptFigures(run: Run, prompt: Prompt): readonly Figure[] {
  const handle = handleOf(run.mount);
  const { done } = wordsOfDivided(run.divides);
  const mm = (value: number) => lengthText(value, run.units, 'fine');
  switch (prompt.do) {
    case 'turn':
      return landingFigures(run, prompt.landing);
    case 'turn-plate':
      return [
        shown(
          Math.abs(prompt.back),
          `${spacesWord(prompt.back)} ${prompt.back < 0 ? 'back' : 'more'} on ${prompt.circle}, the plate with it`,
        ),
      ];
    case 'return':
      return [shown(prompt.space, 'is where it begins again')];
    case 'depth':
      return [shown(mm(prompt.depth), 'deep')];
    case 'in':
      return [
        shown(
          'in',
          prompt.graze ? 'till it only marks' : prompt.depth === null ? 'to depth' : `to ${mm(prompt.depth)}`,
        ),
      ];
    case 'touch':
      return [shown('touch', prompt.paper > 0 ? 'the paper just held, dial to 0' : 'the outside, dial to 0')];
    case 'graze':
      return [shown('touch', 'till it only marks')];
    case 'land':
      return [shown('land', 'under the cutter')];
    case 'first-touch':
      return [shown(touchReading(run, prompt.reads), `on the ${travelsOf(run)} where it first touches`)];
    case 'out':
      return [shown('clear', `of the cutter: ${handle.out}`)];
    case 'back':
      return [shown('back', prompt.to === 'before-touch' ? 'past 0' : 'clear of the work')];
    case 'on':
      return [shown('on', `past ${lengthText(prompt.past, run.units)}`)];
    case 'unlock':
    case 'lock':
      return [shown(prompt.do, `the ${prompt.what}`)];
    case 'arms':
      return [shown('arms', `round to the pin, ${plural(prompt.spaces, 'space')} on`)];
    case 'zero':
      return [shown('0', run.move.method === 'stepper' ? 'on the count' : 'on the dial')];
    case 'find':
      return [shown(prompt.space, `is ${done} already`)];
    case 'stand':
      return [shown(prompt.space, 'is where it stands')];
    case 'register':
      return [shown('0', registers(run))];
    case 'cut':
      return [
        shown(
          prompt.space,
          prompt.again ? `is ${done} already` : prompt.scratch ? 'is scratched next' : `is ${done} next`,
        ),
      ];
    case 'marks':
    case 'judge':
      return [shown(prompt.space, 'is where it must fall')];
    default:
      return [];
  }
}

const registers = ({ move }: Run): string =>
  move.method === 'stepper'
    ? 'is the count here'
    : move.method === 'handwheel' || move.method === 'table'
      ? 'is the reading here'
      : 'is the hole the pin is in';
