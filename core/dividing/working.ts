import type { Working } from '../station/index.ts';
import { decimalText, exact } from '../units/index.ts';
import { circleNeeded } from './simple.ts';
import type { Way } from './ways.ts';

/** The working of a simple move: turns for one space, the circle it is brought to, the arms, and the check. */
export function workingOf(way: Way, divisions: number, ratio: string): Working[] {
  const { turns, spaces, circle } = way.move;
  const needed = circleNeeded(exact(ratio), divisions);
  const lowest = exact(ratio).div(divisions);
  const tex = (over: number | bigint, under: number | bigint) => `\\tfrac{${over}}{${under}}`;
  const inTurns = lowest.d === 1n ? `${lowest.n}` : tex(lowest.n, lowest.d);
  const source = 'Machinery’s Handbook, simple indexing';
  const lines: Working[] = [
    { key: 'turns', label: 'Turns of the crank for one space', formula: '\\frac{R}{N}', put: `\\frac{${ratio}}{${divisions}}`, result: inTurns, source },
  ]; // prettier-ignore
  if (spaces > 0) {
    const times = circle.holes / needed;
    const inSpaces = tex(turns * circle.holes + spaces, circle.holes);
    const result = turns === 0 ? inSpaces : `${turns} + ${tex(spaces, circle.holes)}`;
    const label = times === 1 ? 'As whole turns and spaces' : `On the ${circle.holes} circle, ${times} times ${needed} holes`;
    if (result !== inTurns) lines.push({ key: 'circle', label, formula: inTurns, put: inSpaces, result, source });
    lines.push({ key: 'arms', label: 'Holes between the arms, both ends counted', formula: 'h + 1', put: `${spaces} + 1`, result: String(way.armsHoles), source: 'spaces are counted, never the hole the pin is in; common practice' });
  } // prettier-ignore
  lines.push(
    { key: 'spindleAngle', label: 'Angle of one space', formula: '\\frac{360^\\circ}{N}', put: `\\frac{360^\\circ}{${divisions}}`, result: `${decimalText(exact(360, divisions), 5)}^\\circ`, source: 'one turn of the work has 360°' },
    { key: 'check', label: 'Check: all the moves make one turn of the work', formula: 'R', put: `${divisions} \\times ${crankTurnsTex(way)}`, result: decimalText(exact(ratio)), source: 'run through the motion of the head' },
  ); // prettier-ignore
  return lines;
}

function crankTurnsTex(way: Way): string {
  const { turns, spaces, circle } = way.move;
  if (spaces === 0) return String(turns);
  return `${turns === 0 ? '' : turns}\\tfrac{${spaces}}{${circle.holes}}`;
}
