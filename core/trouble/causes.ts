import { wordsOfDivided } from '../cut/index.ts';
import { degreesOf, lengthText } from '../units/index.ts';
import { deg, f, type Ask, type Cause } from './cause.ts';
import { loose, tight } from './fits.ts';
import { drift, endTooth, marks, total } from './indexing.ts';
import { causesOnTable } from './onTable.ts';
import type { SymptomId } from './symptoms.ts';

function nick({ facts, units }: Ask): Cause[] {
  // a gash that is sunk in place is left by drawing out
  const isSunk = facts.work === 'wheel' && facts.approach === null;
  const at =
    facts.approach === null
      ? ''
      : ` That is ${lengthText(facts.approach, units)} before the face on this job`;
  return [
    {
      key: 'early',
      cause: `The work was turned before the cutter was clear.${at}`,
      test: isSunk
        ? 'The land beside each gash is scraped on one side.'
        : `The nick lies at the end where you index, ${facts.indexAt === 'entry' ? 'where the cutter enters' : 'where it leaves'}, on the same ${facts.work === 'divided' ? 'side of every one' : 'flank of every tooth'}.`,
      mend: isSunk
        ? 'Draw the cutter out past the touch before unlocking.'
        : 'Run farther back before unlocking. Mark the place on the table.',
    },
    // nothing travels back through a gash that is sunk
    ...(isSunk
      ? []
      : [
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
        ]),
  ];
}

/** The cutter beside the middle: teeth lean, slots stand aside, and a flat is as it was. */
function offCentre({ facts, units }: Ask): Cause[] {
  if (facts.divides === 'flat') return [];
  const each = lengthText(0.1, units, 'fine');
  const per = facts.outside === null ? null : degreesOf(0.1 / (facts.outside / 2));
  if (facts.work === 'divided')
    return [
      {
        key: 'off-centre',
        cause: `The cutter stands beside the middle, and every ${wordsOfDivided(facts.divides).one} as much${per === null ? '' : `: ${each} is ${deg(per)} at the outside`}`,
        test: 'An indicator along one wall, then, the work turned half round, along the other from the same side: half of the difference is how far it is off.',
        mend: 'Centre it again; what is begun is scrap unless its mate stands off as much.',
      },
    ];
  return [
    {
      key: 'off-centre',
      cause: `The cutter stands beside the middle${per === null ? '' : `: for each ${each} the teeth lean ${deg(per)}`}`,
      test: 'Cut one, turn the work end for end on its centres: the cutter must drop into it. Or measure the two flanks from the side of the work.',
      mend:
        facts.work === 'wheel'
          ? 'Centre it again; a wheel that is begun bears on one side of its worm, and stays so.'
          : 'Centre it again; a gear that is begun is scrap unless the lean is small and its mate leans as much.',
    },
  ];
}

/** The gash of a wheel leans by the lead angle, and no more. */
const laidWrong = ({ facts }: Ask): Cause[] =>
  facts.work === 'wheel'
    ? [
        {
          key: 'laid',
          cause: 'The table or head is swung to another angle, or to the other hand',
          test: 'Lay the worm in the gash: turned either way it must lie square across. Blue bears at opposite corners where the angle is off; a wrong hand does not go in at all.',
          mend: 'Swing it to the angle at Wheel, to the worm’s own hand; what is cut so is scrap unless the lean is small.',
        },
      ]
    : [];

function lean(ask: Ask): Cause[] {
  return [
    ...offCentre(ask),
    ...laidWrong(ask),
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
