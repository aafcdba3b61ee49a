import type { Landing } from '../dividing/index.ts';
import type { Prompt, PromptOf, WayBack } from '../prompts/index.ts';
import { exact, exactText, type Exact } from '../units/index.ts';
import type { Action } from './actions.ts';
import type { HeadBench, PracticeBench, TableBench } from './bench.ts';
import { pinFromZero, type Machine } from './machine.ts';
import { dialReads } from './screws.ts';

/** Clear of the work, mm. */
export const CLEAR = 10;
/** Over the last of the face, mm: through. */
const THROUGH = 0.5;

/** How far before the face a cutter sunk so deep touches, mm. */
export function reachOf({ form: { diameter } }: Pick<PracticeBench, 'form'>, depth: number): number {
  return Math.sqrt(Math.max(0, depth * (diameter - depth)));
}

/** Before the first touch at the depth the run ends at. */
const before = (bench: PracticeBench): number =>
  -reachOf(bench, bench.run.rounds.at(-1)?.depthMm ?? 0) - CLEAR;

const part = (spaces: number, circle: number): string => exactText(exact(spaces, circle));

/** Whole turns as they are said, then from arm to arm; a move of whole turns needs no arms. */
function byTheArms(
  { circle, arms }: Machine,
  { turns, spaces }: { readonly turns: number; readonly spaces: number },
): string {
  return part(turns * circle + (spaces === 0 ? 0 : arms.spaces), circle);
}

/**
 * A hand turns to the arm and drops the pin there, on the circle the pin runs on: what arms and circle say is
 * what is done.
 */
function turn(bench: HeadBench, machine: Machine, landing: Landing): Action[] {
  const { move } = bench.run;
  switch (landing.on) {
    case 'plate':
    case 'two-circles': {
      if (!('circle' in move)) return [];
      // a move that changes from space to space is counted, no arms can hold it
      const counted = part(landing.turns * machine.circle + landing.spaces, machine.circle);
      return [
        { do: 'pin', to: 'out' },
        { do: 'crank', turns: move.method === 'nearest-hole' ? counted : byTheArms(machine, landing) },
        { do: 'pin', to: 'in' },
      ];
    }
    case 'ring':
      if (move.method !== 'direct') return [];
      return [
        { do: 'direct-pin', to: 'out' },
        { do: 'spindle', turns: part(landing.spaces, move.holes) },
        { do: 'direct-pin', to: 'in' },
      ];
    case 'dial':
      return [{ do: 'crank', turns: exactText(toReading(bench, machine, landing)) }];
    case 'steps':
      return [{ do: 'steps', to: landing.steps }];
  }
}

/** On, clockwise, to a reading of the wheel, which comes by once a turn of the work. */
function toReading(
  { ratio, wheel }: HeadBench,
  machine: Machine,
  { turns, mark }: { readonly turns: number; readonly mark: string },
): Exact {
  let by = exact(mark)
    .div(wheel?.marks ?? 1)
    .add(turns)
    .sub(pinFromZero(machine));
  while (ratio.d === 1n && by.lte(0)) by = by.add(ratio);
  return by;
}

/** The plate with the crank, by the back pin. */
const plateBy = (back: number, circle: number): Action[] => [
  { do: 'plate-lock', to: 'out' },
  { do: 'crank', turns: part(back, circle) },
  { do: 'plate-lock', to: 'in' },
];

/** Back to the first space of a part of a turn, past it, and up to it again, so that no slack is left. */
function goBack({ ratio, motor }: HeadBench, machine: Machine, by: WayBack): Action[] {
  const past = exact(1, 2);
  switch (by.on) {
    case 'plate':
    case 'two-circles': {
      const back = exact(by.turns * by.circle + by.spaces, by.circle);
      return [
        { do: 'pin', to: 'out' },
        { do: 'crank', turns: exactText(back.add(past).neg()) },
        { do: 'crank', turns: exactText(past) },
        { do: 'pin', to: 'in' },
        ...(by.on === 'two-circles' ? plateBy(by.back, by.backCircle) : []),
      ];
    }
    case 'ring':
      return [
        { do: 'direct-pin', to: 'out' },
        { do: 'spindle', turns: part(-by.spaces, by.circle) },
        { do: 'direct-pin', to: 'in' },
      ];
    case 'dial':
      return [
        { do: 'crank', turns: exactText(pinFromZero(machine).add(past).neg()) },
        { do: 'crank', turns: exactText(past) },
      ];
    case 'steps':
      return [
        {
          do: 'steps',
          to: -Math.ceil(
            past
              .mul(motor?.stepsPerTurn ?? 1)
              .div(ratio)
              .valueOf(),
          ),
        },
        { do: 'steps', to: 0 },
      ];
  }
}

/** The table’s dial to a reading, from where it was set to 0. */
function along({ screw }: TableBench, { along: table }: Machine, landing: Landing): Action[] {
  if (landing.on !== 'dial' || !table) return [];
  return [{ do: 'along', to: table.zero + dialReads(screw, landing) }];
}

/** Back past the first space, and up to it again. */
function backAlong({ screw }: TableBench, { along: table }: Machine): Action[] {
  if (!table) return [];
  return [
    { do: 'along', to: table.zero - screw.lead / 2 },
    { do: 'along', to: table.zero },
  ];
}

function cut(bench: PracticeBench, machine: Machine, { sink }: PromptOf<'cut'>): Action[] {
  const run: Action[] = machine.running ? [] : [{ do: 'run', on: true }];
  if (sink !== null) return [...run, { do: 'depth', to: sink }];
  const { face } = bench;
  return [...run, { do: 'table', to: face + THROUGH }];
}

/**
 * What a hand does on the bench that obeys a prompt to the letter; nothing for what is only looked at.
 * For showing how it is done, and for the tests.
 */
export function actionsFor(bench: PracticeBench, machine: Machine, prompt: Prompt): readonly Action[] {
  const { face } = bench;
  switch (prompt.do) {
    case 'unlock':
      return [{ do: 'lock', on: false }];
    case 'lock':
      return [{ do: 'lock', on: true }];
    case 'touch':
    case 'graze':
      return [
        { do: 'depth', to: -CLEAR },
        { do: 'table', to: face / 2 },
        { do: 'run', on: true },
        { do: 'depth', to: 0 },
      ];
    case 'depth':
      return [{ do: 'depth', to: prompt.depth }];
    case 'in':
      return [{ do: 'depth', to: prompt.graze ? 0 : (prompt.depth ?? 0) }];
    case 'out':
      return [{ do: 'depth', to: -CLEAR }];
    case 'first-touch':
      return [{ do: 'table', to: -reachOf(bench, Math.max(0, machine.depth)) }];
    case 'back':
      return [{ do: 'table', to: before(bench) }];
    case 'on':
      return [{ do: 'table', to: face - before(bench) }];
    case 'turn':
      return bench.on === 'head'
        ? turn(bench, machine, prompt.landing)
        : along(bench, machine, prompt.landing);
    case 'turn-plate':
      return plateBy(prompt.back, prompt.circle);
    case 'return':
      return bench.on === 'head' ? goBack(bench, machine, prompt.by) : backAlong(bench, machine);
    case 'arms':
      return [{ do: 'arms-round' }];
    case 'register':
    case 'zero':
      return [{ do: 'mark' }];
    case 'cut':
      return cut(bench, machine, prompt);
    default:
      return [];
  }
}
