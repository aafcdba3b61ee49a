import { cutterFor, otherSchoolsRange, rangeText } from '../cutter/index.ts';
import { lengthText, type UnitSystem } from '../units/index.ts';
import type { Ask, Cause } from './cause.ts';
import type { TroubleFacts } from './facts.ts';

/* Work that does not go with its mate. */

/** In this pair’s own figures, where its mate is known. */
function gearTight({ facts: { mesh }, units }: Ask): Cause[] {
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
function gearLoose(ask: Ask): Cause[] {
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

/**
 * The depth counted from another touch than the one that was planned: the corners stand higher than the
 * throat, so from there it goes less deep.
 */
function otherTouch({ depth, touchOn }: TroubleFacts, units: UnitSystem, isTight: boolean): Cause[] {
  const given = depth === null ? 'The depth' : `The depth of ${lengthText(depth, units, 'fine')}`;
  const cause =
    touchOn === 'corners'
      ? isTight
        ? `It went only as deep from the corners as it should from the throat: ${depth === null ? 'the depth' : lengthText(depth, units, 'fine')} is meant from the corners`
        : `${given} was counted from the throat, and it is meant from the corners, which the cutter meets first`
      : touchOn === 'throat' && isTight
        ? `${given} was counted from the corners, and it is meant from the throat`
        : null;
  if (!cause) return [];
  return [
    {
      key: 'touch',
      cause,
      test: 'A depth gauge in the throat, in the middle of the face, against the whole depth at Wheel.',
      mend: isTight
        ? 'While it is on the head: sink what is lacking.'
        : 'Metal does not come back: set the worm closer, or cut another.',
    },
  ];
}

/** A wheel on its worm: there is no span to be had, and the worm itself is the gauge. */
function wheelFits({ facts, units }: Ask, isTight: boolean): Cause[] {
  return [
    isTight
      ? {
          key: 'shallow',
          cause: 'Cut too shallow',
          test: 'Lay the worm in the wheel and measure over both: what it stands proud by is lacking.',
          mend: 'While it is on the head: sink as much more, and lay it in again.',
        }
      : {
          key: 'deep',
          cause: 'Cut too deep, or the thread of the worm is thin',
          test: 'A tooth caliper over the thread, at the worm’s addendum; a depth gauge in the throat of the wheel.',
          mend: 'Set the worm closer where there is room; else another worm, with a fuller thread.',
        },
    ...otherTouch(facts, units, isTight),
    {
      key: isTight ? 'close' : 'apart',
      cause: `The worm stands ${isTight ? 'closer to' : 'farther from'} the wheel than the card says`,
      test: 'Measure over both shafts, or over pins in their holes, and take off half of each.',
      mend: 'Bring it to the centre distance at Drive.',
    },
  ];
}

/** How it is measured whether something is as deep as it should be. */
const DEPTH_TESTS: Readonly<Partial<Record<Ask['facts']['divides'], string>>> = {
  flat: 'A micrometer across two flats; of an odd count from a flat to the corner across.',
  slot: 'A depth gauge from the outside; a gauge block, or the key itself, in the slot.',
  spline:
    'A micrometer over two floors, or a depth gauge from the outside; the mate’s own spline in the space.',
};

/** What is no tooth: too shallow or too deep, and of slots too narrow or too wide. */
function dividedFits({ facts }: Ask, isTight: boolean): Cause[] {
  const test = DEPTH_TESTS[facts.divides];
  if (!test) return [];
  const deep: Cause = isTight
    ? {
        key: 'shallow',
        cause: 'Cut too shallow',
        test,
        mend: `While it is on the head: sink ${facts.divides === 'flat' ? 'half of what it is over across' : 'what is lacking'}, and go round again.`,
      }
    : {
        key: 'deep',
        cause: 'Cut too deep',
        test,
        mend: 'Metal does not come back: a fuller mate, or another piece. Zero the dial on its own outside.',
      };
  if (facts.divides === 'flat') return [deep];
  const wide: Cause = isTight
    ? {
        key: 'narrow',
        cause: 'The cutter is worn narrow',
        test: 'A micrometer over its teeth, beside the width that is meant.',
        mend: 'Another cutter, or each wall by itself, half of what is lacking to either side.',
      }
    : {
        key: 'wide',
        cause: 'The cutter runs out sideways, and cuts wider than it is',
        test: 'An indicator on its side, turned by hand: as much as it reads from least to most a slot is wider.',
        mend: 'Clean the collars, and look at the arbor; the next piece with a narrower one.',
      };
  return [wide, deep];
}

/** It binds with its mate, or does not go in. */
export function tight(ask: Ask): Cause[] {
  switch (ask.facts.work) {
    case 'gear':
      return gearTight(ask);
    case 'wheel':
      return wheelFits(ask, true);
    case 'divided':
      return dividedFits(ask, true);
  }
}

/** It has too much play with its mate. */
export function loose(ask: Ask): Cause[] {
  switch (ask.facts.work) {
    case 'gear':
      return gearLoose(ask);
    case 'wheel':
      return wheelFits(ask, false);
    case 'divided':
      return dividedFits(ask, false);
  }
}
