import type { StationId } from './station.ts';

/** A word of the trade, and what it means at the bench. */
export interface Term {
  readonly term: string;
  readonly means: string;
}

interface Purpose {
  /** What the station is for, in a sentence or two. */
  readonly purpose: string;
  readonly terms: readonly Term[];
}

const t = (term: string, means: string): Term => ({ term, means });

const WHOLE_DEPTH = t(
  'Whole depth',
  'from the tip of a tooth to the bottom of the tooth space: how deep it is cut.',
);
const PITCH_CIRCLE = t('Pitch circle', 'where two gears roll on each other; its diameter is teeth × module.');
const PITCH = t(
  'Module, DP',
  'how coarse the teeth are: module is mm of pitch diameter for each tooth, DP teeth for each inch of it.',
);
const IDLER = t(
  'Idler',
  'a gear between two others that turns the last one the other way and changes nothing else.',
);
const GASH = t('Gash', 'a slot cut along the thread’s slant, which the hob or the worm then fits into.');
const LEAD = t('Lead', 'travel along the face for one whole turn of the helix.');

/**
 * What each station is for, with the words it uses, for whoever asks. Terms as in ISO 1122-1 and the
 * handbooks, in shop English.
 */
export const PURPOSES: Readonly<Record<StationId, Purpose>> = {
  gear: {
    purpose: 'Says which gear it is. Everything after it stands on pitch and teeth.',
    terms: [
      PITCH,
      PITCH_CIRCLE,
      t('Addendum', 'from the pitch circle out to the tip.'),
      WHOLE_DEPTH,
      t('Pressure angle', 'how much a flank leans; a cutter and a mate of another angle do not run with it.'),
      t('Backlash', 'play between the teeth of a pair; without any they bind.'),
    ],
  },
  drive: {
    purpose: 'Says which worm and wheel belong together. Both cards stand on it.',
    terms: [
      t('Axial pitch', 'from one thread to the next along the worm.'),
      t('Starts', 'threads side by side; a turn of the worm moves the wheel by as many teeth.'),
      t('Lead angle', 'how much the thread leans from straight across; the wheel’s teeth lean as much.'),
    ],
  },
  spacing: {
    purpose: 'Says what is to be divided: so many round the work, at an angle, or along a line.',
    terms: [
      t(
        'Across flats',
        'from one flat to the opposite one; with an odd count, twice from a flat to the middle.',
      ),
    ],
  },
  blank: {
    purpose:
      'Says what to turn before the first tooth. A blank that came out otherwise changes the depth dial.',
    terms: [
      t('Outside diameter', 'over the tips: pitch diameter and two addenda.'),
      t('Root diameter', 'at the bottom of the tooth spaces; what is left to the bore has to hold.'),
    ],
  },
  wheelBlank: {
    purpose: 'Says what to turn before the first tooth, hollow or plain.',
    terms: [t('Throat', 'the hollow in the rim that lies about the worm; measured at its middle.')],
  },
  cutter: {
    purpose:
      'Says which form cutter serves. It copies its own shape, so it has to be the one for this count.',
    terms: [
      t('Range', 'the tooth counts a cutter of a set is made for; it is exact for the lowest.'),
      t(
        'School',
        'inch and metric sets are numbered opposite ways; the range engraved on the cutter decides.',
      ),
    ],
  },
  dividing: {
    purpose: 'Says how the head is moved from one tooth space to the next, and proves it for all of them.',
    terms: [
      t('Space', 'from one hole of a circle to the next. The hole the pin stands in is not counted.'),
      t('Arms', 'the two hands on the plate that hold a number of spaces, so that nobody counts them twice.'),
      t(
        'Differential',
        'the plate itself is turned by gears while the crank is: counts that no circle divides.',
      ),
      IDLER,
    ],
  },
  lathe: {
    purpose: 'Finds gears and box for a pitch that no lathe has on its plate.',
    terms: [
      t('Leadscrew', 'the screw that moves the carriage; the gears decide how far for a turn of the work.'),
    ],
  },
  lead: {
    purpose: 'Finds the gears from table screw to head, so that the work turns while it travels.',
    terms: [
      LEAD,
      IDLER,
      t('Swing', 'the table is turned to the helix angle, so that the cutter lies along the tooth space.'),
    ],
  },
  worm: {
    purpose: 'Says how the thread is cut: its sizes, its tool, and how to come from start to start.',
    terms: [WHOLE_DEPTH, t('Start', 'one of several threads side by side.')],
  },
  wheel: {
    purpose: 'Says how the wheel is cut to fit its worm, and shows where it will bear.',
    terms: [GASH, t('Hob', 'a worm with cutting edges: it makes the teeth as the worm will meet them.')],
  },
  setup: {
    purpose:
      'Says how the work is held, brought under the cutter and run past it on this mill. It holds nothing up.',
    terms: [
      t(
        'Approach',
        'how far before the face a round cutter already touches. Turned inside it, the work is gouged.',
      ),
      t(
        'Climb',
        'the feed goes with the cutter’s teeth; with slack in the screw the table is snatched forward.',
      ),
      t('Touch', 'where the cutter just scratches the outside: the dial is set to 0 there.'),
    ],
  },
  cut: {
    purpose: 'Says in how many rounds, how deep each, and where a run starts.',
    terms: [
      t(
        'Scratch round',
        'a mark at every tooth space before metal is gone: the last has to fall on the first.',
      ),
    ],
  },
  inspect: {
    purpose:
      'Says what a good gear measures, and from what is read how much deeper to go before it leaves the head.',
    terms: [
      t('Span', 'over several teeth with flat jaws; tells the thickness, and is not hurt by worn tips.'),
      t('Over pins', 'across two pins in opposite tooth spaces; the surest for small gears.'),
      t('Chordal thickness', 'across one tooth at the pitch circle, as the gear tooth caliper reads it.'),
      t('Runout', 'what an indicator moves by in one turn: twice how far it is off its middle.'),
    ],
  },
};
