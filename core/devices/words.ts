import { decimalText, lengthText, plural, type UnitSystem } from '../units/index.ts';
import type { NotNow } from './interlock.ts';
import type { Doubt, StopWhy } from './motor.ts';
import { missedMeans } from './schedule.ts';

const NOT_NOW: Readonly<Record<NotNow, string>> = {
  'not-said': 'nobody has said that spindle and table are free and the cutter is clear',
  'let-go': 'the button was let go',
  'readout-old': 'the readout is silent, and so nothing says that the cutter is clear',
  'no-zero': 'the readout has no zero at the touch yet, and so cannot say that the cutter is clear',
  'in-work': 'the readout says that the cutter is in the work',
};

/** Why the work is not turned, as the end of a sentence. */
export const sayNotNow = (why: NotNow): string => NOT_NOW[why];

/** Why a move was stopped, as a sentence. */
export function sayStopped(why: StopWhy): string {
  switch (why) {
    case 'person':
      return 'Stopped.';
    case 'page-lost':
      return 'Stopped: the screen that held it was lost.';
    default:
      return `Stopped: ${NOT_NOW[why]}.`;
  }
}

/**
 * Why nobody knows where the work stands, and how to go on, in words.
 * @param step one step, of the motor’s own count
 */
export function sayDoubt(doubt: Doubt, step: number): string {
  switch (doubt.why) {
    case 'not-said':
      return 'Nobody has said yet where the work stands. Bring it to its place, and say so.';
    case 'line-lost':
      return 'The line to the motor was lost: it may have gone on to where it was sent. Look at the work, and say where it stands.';
    case 'began-anew':
      return 'The motor’s controller began anew, and its count with it. Look at the work, and say where it stands.';
    case 'alarm':
      return 'The motor’s controller says that it no longer knows where it is. See what stopped it, clear it there, then say where the work stands.';
    case 'no-answer':
      return 'The motor’s controller does not answer; it was told to stop. See whether it stands, then say where.';
    case 'refused':
      return `The motor’s controller did not take the move (its code ${doubt.code}). See to it, then say where the work stands.`;
    case 'elsewhere':
      return `The motor stands ${sayFar(doubt.at - doubt.meant, step)} from where it was sent, or was moved by itself. Look at the work, and say where it stands.`;
    case 'steps-missed':
      return `The index came ${sayFar(doubt.by, step)} off: steps were missed. What was cut since the last check may stand aside. Stop cutting, bring the work to its mark, and say where it stands.`;
  }
}

function sayFar(count: number, step: number): string {
  const steps = Math.round(Math.abs(count) / step);
  return steps < 10_000 ? plural(steps, 'step') : `${decimalText(steps / 1000, 0)} thousand steps`;
}

/** What missed steps mean for the teeth, in words. @param units the job’s own */
export function sayMissed(steps: number, of: Parameters<typeof missedMeans>[1], units: UnitSystem): string {
  const { seconds, along, share } = missedMeans(Math.abs(steps), of);
  const teeth = share * 100;
  return `That is ${decimalText(seconds, 0)}″ of the work, ${lengthText(along / 1000, units, 'fine')} along the outside, ${decimalText(teeth, teeth < 1 ? 2 : 0)} in 100 of a tooth with its space.`;
}
