import type { Working } from '../station/index.ts';
import { decimalText, exact, type Exact } from '../units/index.ts';
import { circleNeeded } from './simple.ts';
import type { Geared, Way } from './ways.ts';

const tex = (over: number | bigint, under: number | bigint) => `\\tfrac{${over}}{${under}}`;

/** An exact number as TeX: whole, or a fraction with its sign before it. */
function texOf(value: Exact): string {
  const sign = value.lt(0) ? '-' : '';
  return value.d === 1n ? `${sign}${value.n}` : `${sign}${tex(value.n, value.d)}`;
}

function crankTurnsTex({ move: { turns, spaces, circle } }: Way): string {
  if (spaces === 0) return String(turns);
  return `${turns === 0 ? '' : turns}${tex(spaces, circle.holes)}`;
}

/** The plate's ratio and the train that makes it. */
function gearWorking({ near, train, plateRatio }: Geared, divisions: number, ratio: string): Working[] {
  const source = 'Machinery’s Handbook, differential indexing';
  const { driver, driven, second } = train;
  const drivers = second ? `${driver} \\times ${second.driver}` : String(driver);
  const drivens = second ? `${driven} \\times ${second.driven}` : String(driven);
  const g = exact(plateRatio);
  return [
    { key: 'plateRatio', label: 'Turns of the plate for one of the spindle', formula: 'g = \\frac{R\\,(A - N)}{A}', put: `\\frac{${ratio}\\,(${near} - ${divisions})}{${near}}`, result: texOf(g), source },
    { key: 'train', label: 'Drivers over drivens', formula: '|g|', put: `\\frac{${drivers}}{${drivens}}`, result: texOf(g.abs()), source },
  ]; // prettier-ignore
}

/** The working of a way: turns for one space, the circle they are brought to, the arms, the gears, and the check. */
export function workingOf(way: Way, divisions: number, ratio: string): Working[] {
  const { geared, move } = way;
  const { turns, spaces, circle } = move;
  const count = geared ? geared.near : divisions;
  const letter = geared ? 'A' : 'N';
  const needed = circleNeeded(exact(ratio), count);
  const inTurns = texOf(exact(ratio).div(count));
  const source = 'Machinery’s Handbook, simple indexing';
  const lines: Working[] = [
    { key: 'turns', label: 'Turns of the crank for one space', formula: `\\frac{R}{${letter}}`, put: `\\frac{${ratio}}{${count}}`, result: inTurns, source },
  ]; // prettier-ignore
  if (spaces > 0) {
    const times = circle.holes / needed;
    const inSpaces = tex(turns * circle.holes + spaces, circle.holes);
    const result = turns === 0 ? inSpaces : `${turns} + ${tex(spaces, circle.holes)}`;
    const label = times === 1 ? 'As whole turns and spaces' : `On the ${circle.holes} circle, ${times} times ${needed} holes`;
    if (result !== inTurns) lines.push({ key: 'circle', label, formula: inTurns, put: inSpaces, result, source });
    lines.push({ key: 'arms', label: 'Holes between the arms, both ends counted', formula: 'h + 1', put: `${spaces} + 1`, result: String(way.armsHoles), source: 'spaces are counted, never the hole the pin is in; common practice' });
  } // prettier-ignore
  if (geared) lines.push(...gearWorking(geared, divisions, ratio));
  const all = `${divisions} \\times ${crankTurnsTex(way)}`;
  const plate = geared ? exact(geared.plateRatio) : null;
  const check = plate ? `${all} ${plate.lt(0) ? '-' : '+'} ${texOf(plate.abs())}` : all;
  lines.push(
    { key: 'spindleAngle', label: 'Angle of one space', formula: '\\frac{360^\\circ}{N}', put: `\\frac{360^\\circ}{${divisions}}`, result: `${decimalText(exact(360, divisions), 5)}^\\circ`, source: 'one turn of the work has 360°' },
    { key: 'check', label: geared ? 'Check: the moves and the plate’s own turn make one turn of the work' : 'Check: all the moves make one turn of the work', formula: 'R', put: check, result: decimalText(exact(ratio)), source: 'run through the motion of the head' },
  ); // prettier-ignore
  return lines;
}
