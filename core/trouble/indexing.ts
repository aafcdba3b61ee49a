import { wordsOfDivided } from '../cut/index.ts';
import { lengthText } from '../units/index.ts';
import { deg, f, type Ask, type Cause } from './cause.ts';
import { creep, isOfWholeTurns, wrongDifferential, wrongHoles, wrongTurns } from './counts.ts';
import type { TroubleFacts } from './facts.ts';

/* Work that stands at the wrong place round. */

/** Near enough to a whole figure to be a miscount. */
const nearWhole = (value: number): boolean =>
  Math.round(value) >= 1 && Math.abs(value - Math.round(value)) < 0.15;

/** One at the end that does not close: crept, miscounted, or the slack of the worm. */
export function endTooth({ facts, part, units }: Ask): Cause[] {
  const { degrees, atBore, atOutside, eachDeg, holes, turns } = creep(facts, part);
  const mm = (value: number) => lengthText(value, units, 'fine');
  const { many } = wordsOfDivided(facts.divides);
  const teeth = facts.work === 'divided' ? many : 'teeth';
  const after = facts.done > 0 ? `after ${facts.done} of ${facts.divisions}` : 'in all';
  const crept: Cause = {
    key: 'crept',
    cause: `The blank crept on its mandrel: ${deg(degrees)} ${after}${atBore ? `, ${mm(atBore)} at the bore` : ''}${atOutside ? `, ${mm(atOutside)} at the outside` : ''}`,
    test: `Scribe a line across blank and mandrel and cut on: it parts. ${facts.work === 'divided' ? `What stands between the ${many} grows` : 'The teeth grow'} thinner bit by bit${eachDeg === null ? '' : `, ${deg(eachDeg)} each`}, or from the one cut at which the nut gave.`,
    mend: 'Stop. Key or pin the next blank, draw the nut up, and look again after a quarter of the cuts.',
  };
  const miscount: Cause = {
    key: 'miscount',
    cause:
      holes === null
        ? 'One move was miscounted'
        : `One move was miscounted: what is left is ${f(holes, 1)} spaces on the ${facts.circle} circle, ${f(turns!, 2)} turns`,
    test: `All ${teeth} are good but one, and it stands where the wrong move was made. ${holes === null ? '' : nearWhole(holes) ? 'A whole number of spaces: it fits.' : 'Not a whole number of spaces: it hardly fits.'}`.trim(),
    mend: 'Find the odd one by measuring across pairs; ask for the landing hole from now on.',
  };
  const slack: Cause = {
    key: 'slack',
    cause: 'The crank was turned back, and the slack of the worm came in',
    test: 'One of them is off by far less than a space, where a move was overshot.',
    mend: 'Overshot: back half a turn and come up again the same way.',
  };
  const order =
    holes !== null && nearWhole(holes) && Math.round(holes) <= 3 ? [miscount, crept] : [crept, miscount];
  // pinned in its own ring the spindle has no worm to be slack
  return facts.ratio === null ? order : [...order, slack];
}

/** Where each move goes wrong alike though it is made as it is said. */
function elsewhere(facts: TroubleFacts): Cause[] {
  const { circle, ring, ratio, stepper } = facts;
  if (ring !== null)
    return [
      {
        key: 'ring',
        cause: `The pin is in another ring than the one of ${ring} holes`,
        test: 'Count the holes of the ring the pin is in.',
        mend: 'Pin it in the ring that the card names.',
      },
    ];
  if (stepper)
    return [
      {
        key: 'setting',
        cause: `The controller does not make ${stepper.stepsPerTurn} steps for one turn of the work`,
        test: 'Send it that many from a mark: it must come round to it.',
        mend: 'Write steps, microsteps, belt and worm into Shop as they are, and plan it anew.',
      },
    ];
  if (circle !== null && !isOfWholeTurns(facts))
    return [
      {
        key: 'circle',
        cause: 'The pin runs on another circle than the one meant',
        test: 'Count the holes of the circle the pin is in; it drops in without force on the right one only.',
        mend: 'Set the crank to the circle; look that its radius is clamped.',
      },
    ];
  if (ratio === null) return [];
  return [
    {
      key: 'ratio',
      cause: `The worm of this head is not one of ${f(ratio)} to 1`,
      test: `Mark the spindle, and turn ${f(ratio)} times round to the same ${circle === null ? 'reading' : 'hole'}: the mark must come back.`,
      mend: 'Write the true ratio into the head at Shop, and plan it anew.',
    },
  ];
}

/** Every one a little off: each move is wrong alike. */
export function drift({ facts }: Ask): Cause[] {
  const wrong = wrongHoles(facts);
  const causes: Cause[] = [];
  if (wrong)
    causes.push({
      key: 'pin-hole',
      cause: `The hole the pin is in was counted, so each move is a space short: ${f(wrong.short, 2)} to the turn instead of ${facts.divisions}`,
      test: `Arms over ${f((facts.moveTurns! % 1) * facts.circle!, 0)} spaces show one hole more than that. Count the holes between them.`,
      mend: 'Set the arms by spaces: holes less one.',
    });
  causes.push(...elsewhere(facts));
  if (wrong)
    causes.push({
      key: 'arms',
      cause: `The arms shifted: a space more gives ${f(wrong.long, 2)} to the turn`,
      test: 'They move under a finger.',
      mend: 'Clamp them; move them round to the pin, never against the stop.',
    });
  if (facts.differential)
    causes.push({
      key: 'plate-locked',
      cause: 'The plate does not turn as it should',
      test: 'Watch the plate over one turn of the crank.',
      mend: 'Plate lock pin out; look at train and idlers.',
    });
  return causes;
}

/** A scratch round that does not close: nothing is cut, so all that can be wrong is the count or the head. */
export function marks(ask: Ask): Cause[] {
  const { facts } = ask;
  const { circle } = facts;
  const away =
    circle === null || facts.ratio === null
      ? ''
      : ` One space on the ${circle} circle is ${deg(360 / (facts.ratio * circle))}${
          facts.outside === null
            ? ''
            : `, ${lengthText((Math.PI * facts.outside) / (facts.ratio * circle), ask.units, 'fine')} at the outside`
        }.`;
  const motorised: Cause[] = facts.stepper
    ? [
        {
          key: 'steps',
          cause: 'Steps were missed, silently',
          test: 'Run once round without touching: it must come back to its mark.',
          mend: 'Slower, a softer start, more belt reduction.',
        },
      ]
    : [];
  return [
    ...motorised,
    {
      key: 'miscount',
      cause: 'One move was miscounted',
      test: `Measure the marks from one to the next: all are alike but one, and there the wrong move was made.${away}`,
      mend: 'Take back, other dye, and scratch round again; ask for the landing hole this time.',
    },
    ...drift(ask),
    {
      key: 'moved',
      cause: 'The work moved on its mandrel, or the head on the table',
      test: 'Scribe a line across blank and mandrel, and try the head by hand, spindle stopped.',
      mend: 'Draw up, key or pin it, clamp the head; then scratch round again.',
    },
  ];
}

/** Another number came out. */
export function total({ facts }: Ask): Cause[] {
  const wrong = wrongDifferential(facts);
  const causes: Cause[] = [];
  if (facts.differential && wrong)
    causes.push(
      {
        key: 'locked',
        cause: `The plate was locked: such a move divides ${f(wrong.locked, 2)}, not ${facts.divisions}`,
        test: 'The plate stands still while the crank turns.',
        mend: 'Draw the plate lock pin.',
      },
      {
        key: 'idlers',
        cause: `One idler too many or too few: the plate goes the other way, and it divides ${f(wrong.wrongWay, 2)}`,
        test: 'Turn the crank and see which way the plate creeps; the card says which way it must.',
        mend: 'Put one in or take one out.',
      },
    );
  const holes = wrongHoles(facts);
  if (holes)
    causes.push({
      key: 'holes',
      cause: `A space too few in each move gives ${f(holes.short, 2)}, a space too many ${f(holes.long, 2)}`,
      test: 'Count the holes between the arms: spaces and one.',
      mend: 'Set the arms again.',
    });
  const turns = wrongTurns(facts);
  if (turns)
    causes.push({
      key: 'turns',
      cause: `A turn too many in each move gives ${f(turns.long, 2)}${turns.short === null ? '' : `, a turn too few ${f(turns.short, 2)}`}`,
      test: 'Count one move aloud, from the hole and back to it.',
      mend: 'Count each turn as the pin comes round past its own hole.',
    });
  causes.push({
    key: 'chart',
    cause: 'The chart is misprinted: gears exchanged, a letter wrong',
    test: 'Put the row into Check a chart: it says what it really divides.',
    mend: 'Use the way the card has proved.',
  });
  return causes;
}
