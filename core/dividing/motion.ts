import { trainRatio } from '../gearing/index.ts';
import { approx, exact, exactText, type Exact } from '../units/index.ts';
import type { ChoiceOf, DividingChoice, Landing } from './schema.ts';

/**
 * A dividing head as a mechanism. One turn of the spindle is `ratio` turns of the crank. The pin moves over
 * the plate; when the plate is geared to the spindle (differential) it turns `plateRatio` turns for one of
 * the spindle, else it is locked.
 */
export interface HeadMechanism {
  /** R, exact, > 0 */
  readonly ratio: Exact;
  /** g, exact; 0 for a locked plate, > 0 turning with the crank */
  readonly plateRatio: Exact;
}

/**
 * What a person does for one space: whole turns of the crank and spaces on a circle, both counted on the
 * plate.
 */
export interface CrankMove {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
}

/**
 * Where everything stands after so many moves. Whole numbers throughout; turns are parts of a common
 * denominator.
 */
export interface HeadState {
  /** Moves made. */
  readonly moves: number;
  /**
   * Hole the pin is in, from the start hole; on a dial or a motor the marks or steps counted from the start.
   */
  readonly hole: number;
  /** Hole the back pin is in, where there is one. */
  readonly back: number;
  /** Position of the spindle: `spindle / denominator` turns, whole turns included. */
  readonly spindle: number;
}

export interface HeadMotion {
  /** One turn of the spindle in the units of `HeadState.spindle`. */
  readonly denominator: number;
  /** The state at rest and after each move: `moves + 1` of them. */
  readonly states: readonly HeadState[];
}

const START: HeadState = { moves: 0, hole: 0, back: 0, spindle: 0 };

/**
 * The same advance of the spindle, move after move, in whole parts of one denominator. @throws when the
 * figures outgrow exact whole numbers
 */
function steadily(
  advance: Exact,
  count: number,
  pins: (moves: number) => { readonly hole: number; readonly back: number },
): HeadMotion {
  const denominator = Number(advance.d);
  const by = Number(advance.s * advance.n);
  if (!Number.isSafeInteger(by * (count + 1)) || !Number.isSafeInteger(denominator)) {
    throw new Error('the figures are too large to prove exactly');
  }
  const states: HeadState[] = [START];
  for (let moves = 1; moves <= count; moves += 1) states.push({ moves, ...pins(moves), spindle: moves * by });
  return { denominator, states };
}

const turned = (spaces: number, circle: number): number => ((spaces % circle) + circle) % circle;

/**
 * Runs the same move so many times and tells where the pin and the spindle come to rest each time.
 * The spindle turns so that `spindle·R` crank turns = pin turns on the plate + plate turns `spindle·g`,
 * hence pin turns / (R − g).
 * @param count whole, ≥ 0
 * @throws when R = g (the crank would never turn the spindle) or the figures outgrow exact whole numbers
 * Source: kinematics of a worm head; docs/sources.md#motion
 */
export function runMoves(head: HeadMechanism, move: CrankMove, count: number): HeadMotion {
  const effective = head.ratio.sub(head.plateRatio);
  if (effective.equals(0)) throw new Error('the plate runs with the crank: the spindle never turns');
  const { turns, spaces, circle } = move;
  const advance = exact(turns * circle + spaces, circle).div(effective);
  return steadily(advance, count, (k) => ({ hole: turned(k * spaces, circle), back: 0 }));
}

/** Compound: the pin moves over the plate, then crank and plate together by the back pin's spaces. */
function runCompound(ratio: Exact, choice: ChoiceOf<'compound'>, count: number): HeadMotion {
  const { turns, spaces, circle, back } = choice;
  const crank = exact(turns * circle + spaces, circle).add(exact(back.spaces, back.circle));
  return steadily(crank.div(ratio), count, (k) => ({
    hole: turned(k * spaces, circle),
    // the back pin stands still while the plate is turned under it: a plate turned back brings the next holes
    // to it
    back: turned(-k * back.spaces, back.circle),
  }));
}

/**
 * Each space at the whole unit (hole, mark, step) nearest to where it should be, reckoned from the start, so
 * that rounding never adds up.
 * @param units in one turn of the spindle, exact, > 0 @param advance part of a turn for each move
 */
export function runNearest(units: Exact, advance: Exact, count: number): HeadMotion {
  const each = units.mul(advance);
  const [over, under] = [each.s * each.n, each.d];
  const states: HeadState[] = [];
  // spindle = whole units / units: over the numerator of `units` as common denominator
  const denominator = Number(units.n);
  const scale = Number(units.d);
  for (let moves = 0; moves <= count; moves += 1) {
    const hole = Number((2n * BigInt(moves) * over + under) / (2n * under));
    if (!Number.isSafeInteger(hole * scale)) throw new Error('the figures are too large to prove exactly');
    states.push({ moves, hole, back: 0, spindle: hole * scale });
  }
  return { denominator, states };
}

/**
 * Turns the plate makes for one of the spindle: by the gears that are put on, and by idlers as is the custom.
 */
export const plateRatioOf = (choice: DividingChoice): Exact =>
  choice.method === 'differential' ? plateRatioBy(choice) : exact(0);

/** The same for gears as they are on. */
export function plateRatioBy({ train, idlers }: Pick<ChoiceOf<'differential'>, 'train' | 'idlers'>): Exact {
  const size = trainRatio(train);
  return turnsWithCrank(idlers, train.second !== null) ? size : size.neg();
}

/**
 * The custom rule: a simple train turns the plate with the crank through an odd number of idlers, a compound
 * one through an even number.
 */
export const turnsWithCrank = (idlers: number, compound: boolean): boolean =>
  (idlers % 2 === 1) === !compound;

/**
 * Whole units (holes, marks, steps) in one turn of the spindle, or in one millimetre of the table, for the
 * choices that go to the nearest of them.
 */
export function unitsOf(
  ratio: Exact,
  choice: ChoiceOf<'nearest-hole' | 'handwheel' | 'stepper' | 'table'>,
): Exact {
  switch (choice.method) {
    case 'nearest-hole':
      return ratio.mul(choice.circle);
    case 'handwheel':
      return ratio.mul(choice.marks * choice.vernier);
    case 'stepper':
      return exact(choice.stepsPerTurn);
    case 'table':
      return exact(choice.marks).div(choice.lead);
  }
}

/**
 * Runs any choice through the motion of the head. @param ratio R, exact @param count moves @throws as
 * runMoves
 */
export function runChoice(ratio: Exact, choice: DividingChoice, count: number): HeadMotion {
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return runMoves({ ratio, plateRatio: plateRatioOf(choice) }, choice, count);
    case 'compound':
      return runCompound(ratio, choice, count);
    case 'direct':
      return steadily(exact(choice.spaces, choice.holes), count, (k) => ({
        hole: turned(k * choice.spaces, choice.holes),
        back: 0,
      }));
    case 'nearest-hole':
    case 'handwheel':
    case 'stepper':
    case 'table':
      return runNearest(unitsOf(ratio, choice), exact(choice.advance), count);
  }
}

/**
 * How the state after a move is come to from the one before it. @param at its place, ≥ 1 for a move; 0 is the
 * start
 */
export function landingOf({
  ratio,
  choice,
  motion,
  at,
}: {
  readonly ratio: Exact;
  readonly choice: DividingChoice;
  readonly motion: HeadMotion;
  readonly at: number;
}): Landing {
  const { hole, back } = motion.states[at]!;
  const before = motion.states[at - 1]?.hole ?? 0;
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return { on: 'plate', turns: choice.turns, spaces: choice.spaces, hole };
    case 'compound': {
      const { turns, spaces } = choice;
      return { on: 'two-circles', turns, spaces, hole, back: choice.back.spaces, backHole: back };
    }
    case 'direct':
      return { on: 'ring', spaces: choice.spaces, hole };
    case 'nearest-hole': {
      const by = hole - before;
      const { circle } = choice;
      return { on: 'plate', turns: Math.floor(by / circle), spaces: by % circle, hole: hole % circle };
    }
    case 'handwheel': {
      const inTurn = choice.marks * choice.vernier;
      const turns = Math.floor(hole / inTurn);
      // a table is back where it began after R turns, so its turns are counted afresh
      const shown = ratio.d === 1n ? turns % Number(ratio.n) : turns;
      return { on: 'dial', turns: shown, mark: exactText(exact(hole % inTurn, choice.vernier)) };
    }
    case 'table':
      return { on: 'dial', turns: Math.floor(hole / choice.marks), mark: String(hole % choice.marks) };
    case 'stepper':
      return { on: 'steps', steps: hole, by: hole - before };
  }
}

/**
 * How far each state is from where it should be, in turns of the spindle.
 * @param advance part of a turn for each move
 */
export function departures({ denominator, states }: HeadMotion, advance: Exact): number[] {
  const [over, under] = [Number(advance.s * advance.n), Number(advance.d)];
  return states.map(({ moves, spindle }) => {
    const [is, should] = [spindle * under, moves * over * denominator];
    if (Number.isSafeInteger(is) && Number.isSafeInteger(should))
      return (is - should) / (under * denominator);
    return approx(exact(spindle).div(denominator).sub(advance.mul(moves)));
  });
}
