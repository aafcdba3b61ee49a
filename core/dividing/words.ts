import { trainText } from '../gearing/index.ts';
import type { Handwheel } from '../shop/index.ts';
import { angleText, decimalText, dmsText, exact, plural, turnsText, type Exact } from '../units/index.ts';
import type { DividingChoice, Landing } from './schema.ts';

/** `20 spaces on 29`, `1 turn + 9 spaces on 27`, `2 turns`. */
export function moveText(move: {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
}): string {
  const { turns, spaces, circle } = move;
  const whole = turns === 0 ? '' : turns === 1 ? '1 turn' : `${turns} turns`;
  if (spaces === 0) return whole || 'no move';
  const part = `${spaces} ${spaces === 1 ? 'space' : 'spaces'} on ${circle}`;
  return whole ? `${whole} + ${part}` : part;
}

/**
 * What the arms span: counted in spaces, and in holes for who sets them. `20 spaces, 21 holes with the pin’s
 * own`
 */
export const armsText = (spaces: number): string =>
  `${plural(spaces, 'space')}, ${plural(spaces + 1, 'hole')} with the pin’s own`;

/** `11 spaces back on 33`, `4 spaces more on 27`. */
export function backText({ spaces, circle }: { readonly spaces: number; readonly circle: number }): string {
  const many = Math.abs(spaces) === 1 ? '1 space' : `${Math.abs(spaces)} spaces`;
  return `${many} ${spaces < 0 ? 'back' : 'more'} on ${circle}`;
}

/** A choice in words: what is done for every space. */
export function choiceText(choice: DividingChoice): string {
  const degrees = exact(choice.advance).mul(360);
  switch (choice.method) {
    case 'simple':
      return moveText(choice);
    case 'differential':
      return `${moveText(choice)}, gears ${trainText(choice.train)}`;
    case 'compound':
      return `${moveText(choice)}, then ${backText(choice.back)}`;
    case 'nearest-hole':
      return `nearest hole of ${choice.circle}`;
    case 'direct':
      return `${choice.spaces} ${choice.spaces === 1 ? 'space' : 'spaces'} on the ${choice.holes} ring`;
    case 'handwheel':
      return `${dmsText(degrees)} by the wheel`;
    case 'table':
      return `table ${decimalText(exact(choice.advance), 4)} mm on`;
    case 'stepper':
      return `${decimalText(exact(choice.stepsPerTurn).mul(choice.advance), 2)} steps`;
  }
}

/** The crank's move for one space as a mixed number of turns; as a decimal where it is none of a circle's. */
export function crankTurnsText(choice: DividingChoice, ratio: string): string {
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return turnsText(choice.turns, choice.spaces, choice.circle);
    case 'compound': {
      const { turns, spaces, circle, back } = choice;
      const sign = back.spaces < 0 ? '−' : '+';
      return `${turnsText(turns, spaces, circle)} ${sign} ${Math.abs(back.spaces)}/${back.circle}`;
    }
    case 'direct':
      return choice.onWork ? 'the head stands still' : 'worm out';
    case 'table':
      return decimalText(exact(choice.advance).div(choice.lead), 4);
    default:
      return decimalText(exact(ratio).mul(choice.advance), 4);
  }
}

/** What stands on the wheel: a mark, and the parts of it that the vernier gives. @param mark exact text */
export function markText(mark: string, wheel: Pick<Handwheel, 'marks' | 'reads'>, ratio: Exact): string {
  const value = exact(mark);
  if (wheel.reads === 'numbers') return decimalText(value, 3);
  return dmsText(value.mul(360).div(wheel.marks).div(ratio));
}

/** Whole turns of a wheel that reads in degrees, as they stand on the rim of the table. */
export const rimText = (turns: number, ratio: Exact): string => dmsText(exact(360 * turns).div(ratio));

/** How a space is come to, in words. @param ratio R @param wheel of the head, for readings of a dial */
export function landingText(landing: Landing, { circle = 0, back = 0, ratio, wheel }: LandingGround): string {
  switch (landing.on) {
    case 'plate':
      return moveText({ ...landing, circle });
    case 'two-circles':
      return `${moveText({ ...landing, circle })}, then ${backText({ spaces: landing.back, circle: back })}`;
    case 'ring':
      return `${landing.spaces} ${landing.spaces === 1 ? 'space' : 'spaces'} on the ${circle} ring`;
    case 'dial': {
      if (!wheel) return `${landing.turns} turns, mark ${decimalText(exact(landing.mark), 3)}`;
      const mark = markText(landing.mark, wheel, ratio);
      return wheel.reads === 'angle'
        ? `table ${rimText(landing.turns, ratio)}, wheel ${mark}`
        : `turn ${landing.turns}, mark ${mark}`;
    }
    case 'steps':
      return `to step ${landing.steps}`;
  }
}
export interface LandingGround {
  readonly circle?: number;
  readonly back?: number;
  readonly ratio: Exact;
  readonly wheel: Handwheel | null;
}

/** Circles and wheel that a choice is read on. */
export function landingGround(choice: DividingChoice, ratio: Exact): LandingGround {
  const circle = 'circle' in choice ? choice.circle : choice.method === 'direct' ? choice.holes : 0;
  const back = choice.method === 'compound' ? choice.back.circle : 0;
  return { circle, back, ratio, wheel: choice.method === 'handwheel' ? choice : null };
}

/** Where a move must end, in a sentence. */
export function landsText(landing: Landing, ground: LandingGround): string {
  switch (landing.on) {
    case 'plate':
    case 'ring':
      return `The pin must land in hole ${landing.hole}.`;
    case 'two-circles':
      return `The pin must land in hole ${landing.hole}, the back pin in hole ${landing.backHole}.`;
    case 'dial':
      return `It must read: ${landingText(landing, ground)}.`;
    case 'steps':
      return `The count must stand at ${landing.steps} steps.`;
  }
}

/**
 * A small angle as it is said: `4.2″`, `1′ 05″`, `0° 12′ 30″`. @param turns part of a turn, sign kept aside
 */
export function smallAngleText(turns: number): string {
  const seconds = Math.abs(turns) * 1_296_000;
  if (seconds < 0.05) return '0″';
  if (seconds < 59.95) return `${decimalText(seconds, 1)}″`;
  return dmsText(exact(Math.round(seconds)).div(3600)).replace(/^0° 0?/, '');
}

/** An angle at a radius, as a length along the circle, mm. @param turns part of a turn @param diameter mm */
export const arcMm = (turns: number, diameter: number): number => turns * Math.PI * diameter;

/**
 * `4.2″, 7 µm`: an error of angle with what it comes to at a diameter; the angle alone while that is not
 * known.
 */
export function errorText(turns: number, diameter: number | null): string {
  const angle = smallAngleText(turns);
  if (diameter === null || angle === '0″') return angle;
  const um = Math.abs(arcMm(turns, diameter)) * 1000;
  return `${angle}, ${decimalText(um, um < 9.95 ? 1 : 0)} µm`;
}

/** What was divided, in a few words, from the advance a choice was made for. */
export function advanceWords(advance: string): string {
  const value = exact(advance);
  if (value.n === 1n) return value.d === 1n ? '1 part' : `${value.d} parts`;
  return `moves of ${angleText(value.mul(360))}`;
}
