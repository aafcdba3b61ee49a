import { decimalText, dmsText, exact, lengthText, plural, type UnitSystem } from '../units/index.ts';
import type { Contradiction, Deciding, Fit, Identification, Identified } from './identify.ts';
import type { ReadingName } from './readings.ts';

const NAME: Readonly<Record<ReadingName, string>> = {
  teeth: 'The count',
  survivors: 'The survivors',
  tip: 'The outside',
  depth: 'The whole depth',
  root: 'The root diameter',
  span: 'The span',
  basePitch: 'The step from span to span',
  mateCentre: 'The centre distance',
  gauge: 'The pitch gauge',
  helixAngle: 'The helix angle',
  lead: 'The lead',
};

/** An identification in one line, as it is said at the bench: `m 1.25, 40 teeth`, with what else it is. */
export function sayGear({
  pitch,
  teeth,
  stub,
  helixDeg,
}: Pick<Identification, 'pitch' | 'teeth' | 'stub' | 'helixDeg'>): string {
  const helix = helixDeg === 0 ? '' : `, helix about ${dmsText(exact(Math.round(helixDeg * 60), 60))}`;
  return `${pitch}, ${teeth} teeth${stub ? ', stub' : ''}${helix}`;
}

/** The pressure angle, or that it is not told. */
export const sayAngle = ({ angleDeg }: Pick<Identification, 'angleDeg'>): string =>
  angleDeg === null ? 'angle not told' : dmsText(exact(String(angleDeg)));

/** The same with its pressure angle, where that is told: two gears may differ by nothing else. */
const sayWhole = (one: Identification): string =>
  one.angleDeg === null ? sayGear(one) : `${sayGear(one)}, ${sayAngle(one)}`;

/** How a reading sits on a gear: its residual and which way. */
export function sayFit({ reading, off, sits }: Fit, system: UnitSystem): string {
  const name = NAME[reading].replace(/^The /, '');
  const size = lengthText(Math.abs(off), system, 'fine');
  if (sits === 'within') {
    if (Math.abs(off) < 5e-4) return `${name} on nominal`;
    const why =
      off < 0 && (reading === 'tip' || reading === 'span')
        ? ', as worn or thinned teeth do'
        : off > 0 && reading === 'mateCentre'
          ? ', room for backlash'
          : '';
    return `${name} ${size} ${off < 0 ? 'under' : 'over'}${why}`;
  }
  return `${name} ${size} ${sits}: more than wear and your tool explain`;
}

/** Where nobody looked for a helix, one would make it another gear. */
const sayHelix = ([first, ...others]: readonly Identification[]): string =>
  first?.helixDeg === 0 && others.some(({ helixDeg }) => helixDeg > 0)
    ? ' If its teeth are straight: lay a rule along one.'
    : '';

/** What the list below it means. */
export function sayVerdict({ verdict, best, bare }: Identified, system: UnitSystem): string {
  const [first, second] = best;
  switch (verdict) {
    case 'nothing-read':
      return 'Give a size of the sample, and its count: the outside is the first to measure.';
    case 'clear':
      return `It is ${sayWhole(first!)}. Nothing else sits as well on these readings.${sayHelix(best)}`;
    case 'tie': {
      const tied = best.filter((one) => one.tied).length;
      return `${sayWhole(first!)} is the likeliest; these readings cannot tell it from ${tied === 2 && second?.tied ? sayWhole(second) : `${plural(tied - 1, 'other')} below`}.${sayHelix(best)}`;
    }
    case 'contradiction':
      return 'The readings do not belong to one gear. They are not averaged: one of them is off.';
    case 'none': {
      if (!bare) return 'None of the standard ones sits on these readings.';
      const { shifted } = bare;
      const or = shifted
        ? ` Or ${shifted.pitch} with its teeth moved ${shifted.shift > 0 ? 'out' : 'in'} by ${decimalText(Math.abs(shifted.shift), 2)} of the module: a corrected gear.`
        : '';
      return `None of the standard ones. By outside and count alone it is module ${decimalText(bare.module, 3)} (${decimalText(bare.dp, 2)} DP).${or} Measure again in ${system === 'mm' ? 'inches and millimetres' : 'millimetres and inches'}, and look for a helix.`;
    }
  }
}

const CAUSE: Readonly<Record<Contradiction['cause'], (one: Contradiction) => string>> = {
  unit: () => 'read in the other units?',
  'one-tooth-fewer': () => 'one tooth fewer between the jaws than written?',
  'one-tooth-more': () => 'one tooth more between the jaws than written?',
  'across-odd': () => 'an odd count read straight across?',
  radius: () => 'a radius instead of a diameter?',
  miscounted: () => 'counted wrong?',
  'count-again': () => 'count again.',
  unknown: () => 'measure it again.',
};

/** A reading against the others: what it would have to be, and the likely slip. */
export function sayContradiction(one: Contradiction, system: UnitSystem): string {
  const cause = CAUSE[one.cause](one);
  if (one.cause === 'count-again')
    return `Count again: ${one.wanted.low} straight teeth fit, ${one.rest.pitch}. With ${one.given} only a helix of an unusual angle would, and nobody has seen one.`;
  if (one.reading === 'teeth')
    return `With ${one.wanted.low} teeth instead of ${one.given} the rest fits ${sayWhole(one.rest)}: ${cause}`;
  const middle = lengthText((one.wanted.low + one.wanted.high) / 2, system, 'fine');
  return `${NAME[one.reading]} of ${lengthText(one.given, system, 'fine')} stands against the rest. Without it they fit ${sayWhole(one.rest)}, where it would be about ${middle}: ${cause}`;
}

/** The one more measurement that would decide between the first two. */
export function sayDeciding(
  { by, k, first, second, sure }: Deciding,
  best: readonly Identification[],
  system: UnitSystem,
): string {
  const [one, two] = best;
  if (!one || !two) return '';
  const mm = (value: number) => lengthText(value, system, 'fine');
  const what = {
    span: `a span over ${k} teeth`,
    basePitch: `spans over ${k} and ${k + 1} teeth; their difference`,
    depth: 'the whole depth',
    root: 'the root diameter',
    tip: 'the outside again, with a micrometer over tips that are not worn',
    count: 'counting the teeth',
  }[by];
  const figures =
    by === 'count'
      ? `${first} or ${second}`
      : `${mm(first)} for ${sayWhole(one)}, ${mm(second)} for ${sayWhole(two)}`;
  return sure
    ? `What decides: ${what}. About ${figures}.`
    : `What says most: ${what}. About ${figures}; with this tool it may still not be enough.`;
}
