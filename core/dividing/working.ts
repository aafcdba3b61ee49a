import { degreesTex, type Working } from '../station/index.ts';
import { decimalText, exact, type Exact } from '../units/index.ts';
import { advanceOf, countOf, movesOf, type Aim } from './aim.ts';
import type { ChoiceOf, DividingChoice } from './schema.ts';
import { circleNeeded } from './simple.ts';
import type { Geared, Way } from './way.ts';

const HANDBOOK = 'Machinery’s Handbook, simple indexing';
const tex = (over: number | bigint, under: number | bigint) => `\\tfrac{${over}}{${under}}`;

/** An exact number as TeX: whole, or a fraction with its sign before it. */
function texOf(value: Exact): string {
  const sign = value.lt(0) ? '-' : '';
  return value.d === 1n ? `${sign}${value.n}` : `${sign}${tex(value.n, value.d)}`;
}

const mixed = (turns: number, spaces: number, circle: number): string =>
  spaces === 0 ? String(turns) : `${turns === 0 ? '' : turns}${tex(spaces, circle)}`;

/** What the crank does for one space, as TeX. */
function moveTex(choice: DividingChoice): string {
  if (choice.method === 'compound') {
    const { turns, spaces, circle, back } = choice;
    const sign = back.spaces < 0 ? '-' : '+';
    return `${mixed(turns, spaces, circle)} ${sign} ${tex(Math.abs(back.spaces), back.circle)}`;
  }
  return choice.method === 'simple' || choice.method === 'differential'
    ? mixed(choice.turns, choice.spaces, choice.circle)
    : '';
}

/** The plate's ratio and the train that makes it. */
function gearWorking({
  geared: { near, train, plateRatio },
  divisions,
  ratio,
  isExact,
}: {
  readonly geared: Geared;
  readonly divisions: number;
  readonly ratio: string;
  readonly isExact: boolean;
}): Working[] {
  const source = 'Machinery’s Handbook, differential indexing';
  const { driver, driven, second } = train;
  const drivers = second ? `${driver} \\times ${second.driver}` : String(driver);
  const drivens = second ? `${driven} \\times ${second.driven}` : String(driven);
  const wanted = exact(ratio).mul(exact(near - divisions, near));
  const got = exact(plateRatio);
  return [
    {
      key: 'plateRatio',
      label: 'Turns of the plate for one of the spindle',
      formula: 'g = \\frac{R\\,(A - N)}{A}',
      put: `\\frac{${ratio}\\,(${near} - ${divisions})}{${near}}`,
      result: texOf(wanted),
      source,
    },
    {
      key: 'train',
      label: isExact ? 'Drivers over drivens' : 'Drivers over drivens, the nearest of these gears',
      formula: '|g|',
      put: `\\frac{${drivers}}{${drivens}}`,
      result: isExact
        ? texOf(got.abs())
        : `${decimalText(got.abs(), 6)},\\ |g| = ${decimalText(wanted.abs(), 6)}`,
      joined: isExact ? '=' : '\\Rightarrow',
      source,
    },
  ];
}

function crankWorking({
  way,
  choice,
  aim,
  ratio,
}: {
  readonly way: Way;
  readonly choice: ChoiceOf<'simple' | 'differential'>;
  readonly aim: Aim;
  readonly ratio: string;
}): Working[] {
  const { turns, spaces, circle } = choice;
  const { geared } = way;
  const letter = geared ? 'A' : 'N';
  const count = geared ? geared.near : countOf(aim);
  const wanted = geared ? exact(ratio).div(geared.near) : exact(ratio).mul(advanceOf(aim));
  const inTurns = texOf(wanted);
  const asked = count !== null && aim.full && aim.stride === 1;
  const degrees = decimalText(advanceOf(aim).mul(360), 6);
  const lines: Working[] = [
    asked
      ? {
          key: 'turns',
          label: 'Turns of the crank for one move',
          formula: `\\frac{R}{${letter}}`,
          put: `\\frac{${ratio}}{${count}}`,
          result: inTurns,
          source: HANDBOOK,
        }
      : {
          key: 'turns',
          label: 'Turns of the crank for one move',
          formula: 'R\\,\\frac{\\theta}{360^\\circ}',
          put: `${ratio} \\times \\frac{${degrees}^\\circ}{360^\\circ}`,
          result: inTurns,
          source: 'one turn of the crank is 360°/R; Machinery’s Handbook, angular indexing',
        },
  ];
  if (spaces === 0) return lines;
  const inSpaces = tex(turns * circle + spaces, circle);
  const result = turns === 0 ? inSpaces : `${turns} + ${tex(spaces, circle)}`;
  const isThat = exact(turns).add(exact(spaces, circle)).equals(wanted);
  const times = circle / circleNeeded(wanted);
  const label = isThat
    ? times === 1
      ? 'As whole turns and spaces'
      : `On the ${circle} circle, ${times} times ${circle / times} holes`
    : `Nearest on the ${circle} circle`;
  if (result !== inTurns)
    lines.push({
      key: 'circle',
      label,
      formula: inTurns,
      put: inSpaces,
      result,
      joined: isThat ? '=' : '\\Rightarrow',
      source: HANDBOOK,
    });
  lines.push({
    key: 'arms',
    label: 'Holes between the arms, both ends counted',
    formula: 'h + 1',
    put: `${spaces} + 1`,
    result: String(way.armsHoles),
    source: 'spaces are counted, never the hole the pin is in; common practice',
  });
  return lines;
}

function compoundWorking(choice: ChoiceOf<'compound'>, aim: Aim, ratio: string): Working[] {
  const wanted = exact(ratio).mul(advanceOf(aim));
  const got = exact(choice.turns * choice.circle + choice.spaces, choice.circle).add(
    exact(choice.back.spaces, choice.back.circle),
  );
  const source = 'Machinery’s Handbook, compound indexing';
  const isThat = got.equals(wanted);
  return [
    {
      key: 'turns',
      label: 'Turns of the crank for one move',
      formula: 'R\\,\\frac{\\theta}{360^\\circ}',
      put: `${ratio} \\times ${texOf(advanceOf(aim))}`,
      result: texOf(wanted),
      source,
    },
    {
      key: 'compound',
      label: isThat ? 'As spaces on two circles' : 'Nearest on two circles',
      formula: isThat ? texOf(wanted) : '\\text{crank}',
      put: moveTex(choice),
      result: isThat ? texOf(got) : decimalText(got, 6),
      source,
    },
  ];
}

function readWorking(choice: DividingChoice, aim: Aim, ratio: string): Working[] {
  const advance = advanceOf(aim);
  switch (choice.method) {
    case 'direct':
      return [
        {
          key: 'direct',
          label: 'Spaces of the ring for one move',
          formula: 'H\\,\\frac{\\theta}{360^\\circ}',
          put: `${choice.holes} \\times ${texOf(advance)}`,
          result: String(choice.spaces),
          source: 'Machinery’s Handbook, direct indexing',
        },
      ];
    case 'handwheel': {
      const units = choice.marks * choice.vernier;
      return [
        {
          key: 'units',
          label: 'What can be read, in one turn of the work',
          formula: 'R\\,n\\,v',
          put: `${ratio} \\times ${choice.marks} \\times ${choice.vernier}`,
          result: decimalText(exact(ratio).mul(units)),
          source: 'n marks on the wheel, v parts on the vernier',
        },
      ];
    }
    case 'stepper':
      return [
        {
          key: 'units',
          label: 'Steps for one move',
          formula: 'S\\,\\frac{\\theta}{360^\\circ}',
          put: `${decimalText(exact(choice.stepsPerTurn), 4)} \\times ${texOf(advance)}`,
          result: decimalText(exact(choice.stepsPerTurn).mul(advance), 5),
          source: 'S = motor steps × microsteps × belt × worm',
        },
      ];
    case 'nearest-hole':
      return [
        {
          key: 'units',
          label: `Spaces of the ${choice.circle} circle for one move`,
          formula: 'R\\,C\\,\\frac{\\theta}{360^\\circ}',
          put: `${ratio} \\times ${choice.circle} \\times ${texOf(advance)}`,
          result: decimalText(exact(ratio).mul(choice.circle).mul(advance), 5),
          source: 'each place goes to the hole nearest to its place, reckoned from the start',
        },
      ];
    default:
      return [];
  }
}

/**
 * The working of a way: turns for one space, the circle they are brought to, the arms, the gears, and the
 * check.
 */
export function workingOf(way: Way, aim: Aim, ratio: string): Working[] {
  const { geared, choice, proof } = way;
  const lines: Working[] = [];
  if (choice.method === 'simple' || choice.method === 'differential')
    lines.push(...crankWorking({ way, choice, aim, ratio }));
  else if (choice.method === 'compound') lines.push(...compoundWorking(choice, aim, ratio));
  else lines.push(...readWorking(choice, aim, ratio));
  if (geared)
    lines.push(...gearWorking({ geared, divisions: countOf(aim)!, ratio, isExact: proof.everySpaceTrue }));
  const count = aim.spaces;
  if (aim.full && aim.stride === 1)
    lines.push({
      key: 'spindleAngle',
      label: 'Angle of one move',
      formula: '\\frac{360^\\circ}{N}',
      put: `\\frac{360^\\circ}{${count}}`,
      result: degreesTex(exact(360, count), 5),
      source: 'one turn of the work has 360°',
    });
  if (proof.everySpaceTrue && aim.full && moveTex(choice)) lines.push(checkLine(way, aim, ratio));
  return lines;
}

function checkLine({ geared, choice }: Way, aim: Aim, ratio: string): Working {
  const move = moveTex(choice);
  const all = `${movesOf(aim)} \\times ${choice.method === 'compound' ? `\\left(${move}\\right)` : move}`;
  const plate = geared ? exact(geared.plateRatio) : null;
  const check = plate ? `${all} ${plate.lt(0) ? '-' : '+'} ${texOf(plate.abs())}` : all;
  const turns = aim.stride === 1 ? 'one turn' : `${aim.stride} turns`;
  return {
    key: 'check',
    label: geared
      ? 'Check: the moves and the plate’s own turn make one turn of the work'
      : `Check: all the moves make ${turns} of the work`,
    formula: aim.stride === 1 ? 'R' : `${aim.stride}\\,R`,
    put: check,
    result: decimalText(exact(ratio).mul(aim.stride)),
    source: 'run through the motion of the head',
  };
}
