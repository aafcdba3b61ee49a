import { cutterFor, otherSchoolsRange, rangeText } from '../cutter/index.ts';
import { decimalText, dmsText, exact, lengthText, type UnitSystem, degreesOf } from '../units/index.ts';
import type { Cause } from './cause.ts';
import { creep, wrongDifferential, wrongHoles } from './counts.ts';
import type { TroubleFacts } from './facts.ts';
import { causesOnTable } from './onTable.ts';
import type { SymptomId } from './symptoms.ts';

const deg = (degrees: number): string => dmsText(exact(Math.max(0, degrees).toFixed(6)));
const f = (value: number, places = 2): string => decimalText(value, places);

interface Ask {
  readonly facts: TroubleFacts;
  /** How much of a tooth is left or lacking at the end, 0 … 1. */
  readonly part: number;
  readonly units: UnitSystem;
}

/** Near enough to a whole figure to be a miscount. */
const nearWhole = (value: number): boolean =>
  Math.round(value) >= 1 && Math.abs(value - Math.round(value)) < 0.15;

function endTooth({ facts, part, units }: Ask): Cause[] {
  const { degrees, atBore, atOutside, eachDeg, holes, turns } = creep(facts, part);
  const mm = (value: number) => lengthText(value, units, 'fine');
  const after = facts.done > 0 ? `after ${facts.done} of ${facts.divisions}` : 'in all';
  const crept: Cause = {
    key: 'crept',
    cause: `The blank crept on its mandrel: ${deg(degrees)} ${after}${atBore ? `, ${mm(atBore)} at the bore` : ''}${atOutside ? `, ${mm(atOutside)} at the outside` : ''}`,
    test: `Scribe a line across blank and mandrel and cut on: it parts. The teeth grow thinner bit by bit${eachDeg === null ? '' : `, ${deg(eachDeg)} each`}, or from the one cut at which the nut gave.`,
    mend: 'Stop. Key or pin the next blank, draw the nut up, and look again after a quarter of the cuts.',
  };
  const miscount: Cause = {
    key: 'miscount',
    cause:
      holes === null
        ? 'One move was miscounted'
        : `One move was miscounted: what is left is ${f(holes, 1)} spaces on the ${facts.circle} circle, ${f(turns!, 2)} turns`,
    test: `All teeth are good but one, and it stands where the wrong move was made. ${holes === null ? '' : nearWhole(holes) ? 'A whole number of spaces: it fits.' : 'Not a whole number of spaces: it hardly fits.'}`.trim(),
    mend: 'Find the odd tooth by measuring across pairs; ask for the landing hole from now on.',
  };
  const slack: Cause = {
    key: 'slack',
    cause: 'The crank was turned back, and the slack of the worm came in',
    test: 'One tooth is off by far less than a space, where a move was overshot.',
    mend: 'Overshot: back half a turn and come up again the same way.',
  };
  const order =
    holes !== null && nearWhole(holes) && Math.round(holes) <= 3 ? [miscount, crept] : [crept, miscount];
  return [...order, slack];
}

function drift({ facts }: Ask): Cause[] {
  const wrong = wrongHoles(facts);
  const causes: Cause[] = [];
  if (wrong)
    causes.push({
      key: 'pin-hole',
      cause: `The hole the pin is in was counted, so each move is a space short: ${f(wrong.short, 2)} to the turn instead of ${facts.divisions}`,
      test: `Arms over ${f((facts.moveTurns! % 1) * facts.circle!, 0)} spaces show one hole more than that. Count the holes between them.`,
      mend: 'Set the arms by spaces: holes less one.',
    });
  causes.push({
    key: 'circle',
    cause: 'The pin runs on another circle than the one meant',
    test: 'Count the holes of the circle the pin is in; it drops in without force on the right one only.',
    mend: 'Set the crank to the circle; look that its radius is clamped.',
  });
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
function marks(ask: Ask): Cause[] {
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

function nick({ facts, units }: Ask): Cause[] {
  const at =
    facts.approach === null
      ? ''
      : ` That is ${lengthText(facts.approach, units)} before the face on this job`;
  return [
    {
      key: 'early',
      cause: `The work was turned before the cutter was clear.${at}`,
      test: `The nick lies at the end where you index, ${facts.indexAt === 'entry' ? 'where the cutter enters' : 'where it leaves'}, on the same flank of every tooth.`,
      mend: 'Run farther back before unlocking. Mark the place on the table.',
    },
    {
      key: 'return',
      cause: facts.helical
        ? 'The cutter was dragged back through the tooth space, and the slack of the gears let the work turn'
        : 'The cutter rubbed on the way back with the table or the knee slack',
      test: 'The marks run the length of the tooth space, not only at its end.',
      mend: facts.helical
        ? 'Lower the knee before running back.'
        : 'Take the slack up; run back with the spindle stopped, or clear of the work.',
    },
  ];
}

function lean({ facts, units }: Ask): Cause[] {
  const per = facts.outside === null ? null : degreesOf(0.1 / (facts.outside / 2));
  return [
    {
      key: 'off-centre',
      cause: `The cutter stands beside the middle${per === null ? '' : `: for each ${lengthText(0.1, units, 'fine')} the teeth lean ${deg(per)}`}`,
      test: 'Cut one, turn the work end for end on its centres: the cutter must drop into it. Or measure the two flanks from the side of the work.',
      mend: 'Centre it again; a gear that is begun is scrap unless the lean is small and its mate leans as much.',
    },
    {
      key: 'along',
      cause: 'Head and tailstock are not in line with the travel',
      test: 'Run an indicator along the side of the mandrel.',
      mend: 'Tap the tailstock over; square the head.',
    },
    {
      key: 'stack',
      cause: 'A chip between two blanks tips the stack',
      test: 'The faces run out.',
      mend: 'Take it apart, clean, face again.',
    },
  ];
}

function total({ facts }: Ask): Cause[] {
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
  causes.push({
    key: 'chart',
    cause: 'The chart is misprinted: gears exchanged, a letter wrong',
    test: 'Put the row into Check a chart: it says what it really divides.',
    mend: 'Use the way the card has proved.',
  });
  return causes;
}

/**
 * The motor that turns the cutter: what each cause sounds like alone, one changed at a time. Common practice.
 * The order is that of the trouble to try: feed, depth, belt, cutter.
 */
function cutting({ facts, units }: Ask): Cause[] {
  const deep = facts.depth === null ? '' : ` of ${lengthText(facts.depth, units)}`;
  return [
    {
      key: 'feed',
      cause: 'It is fed too fast',
      test: 'Feed half as fast in the same cut: it eases at once, and the chips grow thinner.',
      mend: 'Set the feed by Set-up; by hand, as fast as the chips still curl.',
    },
    {
      key: 'deep',
      cause: `The cut${deep} is too deep for this machine in one pass`,
      test: 'Draw out by half the depth in the next cut, at the same feed: it runs free.',
      mend: 'Rough and finish: change the passes at Cut, and go on under the plan as it is then.',
    },
    {
      key: 'belt',
      cause: 'The belt slips',
      test: 'The cutter slows or stands while the motor keeps its note; it squeals, or smells. Guards on: look, do not feel.',
      mend: 'Switched off and locked off: tighten or clean it; a lower step of the pulleys pulls harder.',
    },
    {
      key: 'dull',
      cause: 'The cutter is dull, or runs the wrong way',
      test: 'Slower and shallower it still rubs: dust in place of chips, a hot cutter, a bright line along its edges under a lens.',
      mend: 'Stop. Turn it round if it runs on its backs; grind it on the faces only, which keeps its form.',
    },
  ];
}

/** Of a job that a motor divides first that motor, then the one that turns the cutter. */
function motor(ask: Ask): Cause[] {
  const { facts } = ask;
  if (!facts.stepper) return cutting(ask);
  const one = 360 / facts.stepper.stepsPerTurn;
  return [
    {
      key: 'steps',
      cause: `Steps were missed, silently: each is ${f(one * 3600, 1)}″ of the work, and they add up`,
      test: 'Run once round without cutting: it must come back to its mark.',
      mend: 'Slower, a softer start, more belt reduction; lock the spindle for every cut; close on the first cut.',
    },
    {
      key: 'load',
      cause: 'The worm binds, or the lock is on',
      test: 'Turn it by hand with the motor off.',
      mend: 'Ease the worm, oil it, look at the lock.',
    },
    ...cutting(ask),
  ];
}

/** In this pair’s own figures, where its mate is known. */
function tight({ facts: { mesh }, units }: Ask): Cause[] {
  const mm = (value: number) => lengthText(value, units, 'fine');
  const each = units === 'mm' ? 0.1 : 0.127;
  const gives = mesh ? ` Here ${mm(each)} more depth gives ${mm(each * mesh.perDepth)} of backlash.` : '';
  const stands =
    mesh && mesh.backlash !== null
      ? `. This pair, with ${mesh.mateTeeth} teeth at ${mm(mesh.centre)}, is planned for ${mm(Math.max(0, mesh.backlash))} of backlash; ${mm(mesh.wanted)} is ${mesh.backlash < mesh.wanted - 1e-6 ? 'wanted' : 'what it needs'}`
      : '';
  return [
    {
      key: 'shallow',
      cause: 'Cut too shallow',
      test: 'Span or pins, at the Inspect station: it says how thick the teeth are.',
      mend: `While it is on the head: sink what Inspect says.${gives} Off it: see “put back and sink” there.`,
    },
    {
      key: 'blank-over',
      cause: 'The blank was over size, and the depth was set from it',
      test: 'Measure the outside.',
      mend: 'Depth from the outside grows by half of what it is over.',
    },
    {
      key: 'no-backlash',
      cause: `No backlash was planned, and the shafts stand at the nominal distance${stands}`,
      test: 'The teeth are of nominal thickness; it binds all the way round.',
      mend: `${mesh ? `Spread the shafts to ${mm(mesh.centreForWanted)}` : 'Spread the shafts'}, or sink a little more: a nominal pair at nominal centres binds.`,
    },
    {
      key: 'close',
      cause: `The shafts stand closer than ${mesh ? mm(mesh.centre) : 'the card says'}`,
      test: `Measure over both shafts, or over pins in their holes, and take off half of each.${mesh ? ` It should come to ${mm(mesh.centre)}.` : ''}`,
      mend: 'Set the true distance on the card, at Gear: it says the depth for it.',
    },
  ];
}

/** The number read by the wrong school: another cutter, and no sign of it but its range. */
function wrongSchool({ facts: { teeth } }: Ask): Cause[] {
  const meant = teeth === null ? null : cutterFor(teeth);
  const got = teeth === null ? null : otherSchoolsRange(teeth);
  if (!meant || !got) return [];
  return [
    {
      key: 'school',
      cause: `The cutter bears the other school’s number: No. ${meant.range.inch} of inch is No. ${meant.range.metric} of metric. A metric No. ${got.metric} is made for ${rangeText(got)}, its tooth spaces ${got.from < meant.range.from ? 'wider' : 'narrower'} towards the tips`,
      test: `Read the range on its side: ${teeth} must lie in it. The span is off though the depth is right.`,
      mend: `Take the cutter for ${rangeText(meant.range)}. What is cut so is of another form, and stays so.`,
    },
  ];
}

/** Teeth too thin, or shafts too far apart. */
function loose(ask: Ask): Cause[] {
  const { facts, units } = ask;
  const { mesh } = facts;
  const mm = (value: number) => lengthText(value, units, 'fine');
  return [
    {
      key: 'deep',
      cause: 'Cut too deep',
      test: 'Span or pins, at the Inspect station: it says how thin the teeth are.',
      mend: 'Metal does not come back: set the shafts closer, or cut another. Zero the dial on the outside of the next one itself.',
    },
    {
      key: 'blank-under',
      cause: 'The blank was under size, and the depth was set from it',
      test: 'Measure the outside.',
      mend: 'Depth from the outside shrinks by half of what it is under: tell the card what the blank measures.',
    },
    ...wrongSchool(ask),
    {
      key: 'apart',
      cause: `The shafts stand farther apart than ${mesh ? mm(mesh.centre) : 'the card says'}`,
      test: `Measure over both shafts, or over pins in their holes, and take off half of each.${mesh ? ` It should come to ${mm(mesh.centre)}.` : ''}`,
      mend: 'Bring them together, or set the true distance on the card, at Gear.',
    },
  ];
}

const FIXED: Readonly<Partial<Record<SymptomId, readonly Cause[]>>> = {
  'once-round': [
    {
      key: 'eccentric',
      cause: 'The blank runs out',
      test: 'Indicator on the outside, all round: the reading is the difference of depth from side to side.',
      mend: 'Put the readings into Set-up: it says how much and which way. Re-indicate for a quiet drive; of no matter for a display gear.',
    },
    {
      key: 'bent',
      cause: 'The mandrel is bent, or a centre is dirty',
      test: 'Indicator on the mandrel itself, beside the blank.',
      mend: 'Clean the centres; another mandrel.',
    },
  ],
  shallow: [
    {
      key: 'bends',
      cause: 'The mandrel bends away from the cutter',
      test: 'Depth in the middle of a long face against its ends.',
      mend: 'A jack under the mandrel; a thicker one; a finish round.',
    },
    {
      key: 'tailstock',
      cause: 'The tailstock stands higher or lower than the head',
      test: 'Indicator along the top of the mandrel.',
      mend: 'Bring it to height.',
    },
    {
      key: 'knee',
      cause: 'The knee sinks, or was not clamped',
      test: 'The dial reads as set, and the depth does not.',
      mend: 'Clamp the knee for the cut; come up always from below.',
    },
  ],
  noise: [
    {
      key: 'loose',
      cause: 'Nut or blank is loose: stop',
      test: 'Spindle stopped, try both by hand.',
      mend: 'Draw up, key it, look at the last tooth before going on.',
    },
    {
      key: 'cutter',
      cause: 'The cutter is dull, runs out, or is not keyed',
      test: 'One tooth of it shines more than the others.',
      mend: 'Sharpen on its faces; clean the collars; key the arbor.',
    },
    {
      key: 'fast',
      cause: 'Too fast, or too light a feed',
      test: 'It goes away at half the speed.',
      mend: 'A step slower; a little more feed.',
    },
  ],
};

/**
 * The likely causes of a symptom in order, each with the test that separates it, in the figures of this run.
 * Common practice; figures by the motion of the head, tested against it
 */
export function causesOf(symptom: SymptomId, ask: Ask): readonly Cause[] {
  const { table } = ask.facts;
  const along = table && causesOnTable(symptom, { ...ask, table });
  if (along) return along;
  switch (symptom) {
    case 'end-tooth':
      return endTooth(ask);
    case 'marks':
      return marks(ask);
    case 'drift':
      return drift(ask);
    case 'nick':
      return nick(ask);
    case 'lean':
      return lean(ask);
    case 'count':
      return total(ask);
    case 'motor':
      return motor(ask);
    case 'tight':
      return tight(ask);
    case 'loose':
      return loose(ask);
    default:
      return FIXED[symptom] ?? [];
  }
}
