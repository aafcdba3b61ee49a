import { dividedName, wordsOfDivided } from '../cut/index.ts';
import { capital } from '../units/index.ts';
import type { Run } from '../run/index.ts';
import type { Prompt } from './prompt.ts';

/** What is pressed when a prompt is done. */
export function promptDone(run: Run, prompt: Prompt): string {
  switch (prompt.do) {
    case 'cut':
      return `${capital(dividedName(run, prompt.space))} ${prompt.scratch ? 'scratched' : wordsOfDivided(run.divides).done}`;
    case 'back':
    case 'out':
    case 'on':
      return 'It is clear';
    case 'unlock':
      return 'Unlocked';
    case 'lock':
      return 'Locked';
    case 'turn':
    case 'turn-plate':
      return 'The move is made';
    case 'return':
      return 'It stands at the first';
    case 'arms':
      return 'The arms are round';
    case 'zero':
      return 'It reads 0';
    case 'register':
      return 'That is 0';
    case 'find':
      return 'It drops in';
    case 'stand':
      return 'It stands so';
    case 'in':
    case 'depth':
      return 'The depth is set';
    case 'touch':
      return 'Touched, dial at 0';
    case 'graze':
      return 'It marks';
    case 'land':
      return 'It stands so';
    case 'first-touch':
      return 'The dial is set';
    case 'centre':
      return 'It is in the middle';
    case 'swing':
      return 'It is swung';
    case 'scribe':
      return 'The line is right';
    case 'finish':
      return 'Finished';
    default:
      return 'Done';
  }
}

const NAMES: Readonly<Partial<Record<Prompt['do'], string>>> = {
  prepare: 'head',
  centre: 'centre',
  swing: 'swing',
  scribe: 'scribe',
  find: 'find',
  stand: 'look',
  register: 'hole 0',
  zero: 'zero',
  touch: 'touch',
  graze: 'touch',
  land: 'land',
  'first-touch': '0',
  depth: 'depth',
  out: 'clear',
  in: 'go in',
  on: 'run on',
  turn: 'move',
  'turn-plate': 'plate',
  return: 'back',
  'tell-hole': 'hole?',
  chord: 'measure',
  marks: 'marks',
  judge: 'look',
  finish: 'end',
};

/** A prompt in a word or two, for a row of them. */
export function promptName(run: Run, prompt: Prompt): string {
  if (prompt.do === 'back') return run.helix || prompt.key !== 'back' ? 'run back' : 'clear';
  return NAMES[prompt.do] ?? prompt.do;
}
