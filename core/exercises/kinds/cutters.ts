import { cutterFor, HALF_CUTTERS } from '../../cutter/index.ts';
import { choiceField, type JudgedField } from '../figure.ts';
import { planSpur, wordsAt, workingAt } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Drawn, Level } from '../types.ts';
import { measure } from '../../units/index.ts';
import { posed } from './drawn.ts';

const EIGHT = ['1', '2', '3', '4', '5', '6', '7', '8'];
const named = (words: string): string => /No\. ([\d½]+)/.exec(words)![1]!;

/** A number of the eight, and what the other school's number says. */
function numberField({
  truth,
  other,
  school,
}: {
  readonly truth: string;
  readonly other: string;
  readonly school: 'inch' | 'metric';
}): JudgedField {
  const mixed = `That number is right by the ${school === 'inch' ? 'metric' : 'inch'} school, which counts the other way.`;
  return choiceField({
    key: 'number',
    label: 'Cutter number',
    options: EIGHT.map((value) => ({ value, text: `No. ${value}` })),
    answer: truth,
    slips: {
      [String(Number(truth) - 1)]: 'One range off: look at where the ranges begin.',
      [String(Number(truth) + 1)]: 'One range off: look at where the ranges begin.',
      [other]: mixed,
    },
  });
}

const teethFor = (chance: Chance, level: Level): number =>
  level === 1
    ? chance.whole(12, 60)
    : level === 2
      ? chance.whole(12, 140)
      : chance.one([13, 14, 17, 21, 25, 26, 34, 35, 54, 55, 134, 135]);

const number = (school: 'inch' | 'metric'): Drawn => ({
  topic: 'cutter',
  title: school === 'inch' ? 'Cutter number, inch school' : 'Cutter number, metric school',
  pose: (chance, level) => {
    const teeth = teethFor(chance, level);
    const part = planSpur({
      units: school === 'inch' ? 'in' : 'mm',
      pitch: school === 'inch' ? '10' : '2',
      teeth,
    });
    const [inch, metric] = [
      named(wordsAt(part, 'cutter', 'inchNumber')),
      named(wordsAt(part, 'cutter', 'metricNumber')),
    ];
    const [truth, other] = school === 'inch' ? [inch, metric] : [metric, inch];
    return posed({
      asks: `Which of the eight form cutters serves, by the ${school} school?`,
      given: [
        { label: 'Teeth', text: String(teeth) },
        {
          label: 'School',
          text:
            level > 1
              ? school
              : school === 'inch'
                ? 'inch: No. 1 is for a rack'
                : 'metric: No. 1 is for 12 teeth',
        },
      ],
      fields: [numberField({ truth, other, school })],
      hint: 'Find the range that the count falls into, then from which end this school counts.',
      working: workingAt(part, 'cutter', 'range'),
    });
  },
});

const half: Drawn = {
  topic: 'cutter',
  title: 'Half numbers',
  pose: (chance) => {
    const { from } = chance.one(HALF_CUTTERS);
    const teeth = chance.whole(0, 2) === 0 ? from - 1 : from + chance.whole(0, 1);
    const found = cutterFor(teeth);
    const withHalf = cutterFor(from)!;
    if (!found || found.range !== withHalf.range) return null;
    const [whole, halved] = [withHalf.range.inch, withHalf.half!.inch];
    const above = `${whole}½`;
    const under = String(Number(whole) - 1);
    return posed({
      asks: 'The shop has the set of fifteen, with its half numbers. Which serves best, by the inch school?',
      given: [{ label: 'Teeth', text: String(teeth) }],
      fields: [
        choiceField({
          key: 'number',
          label: 'Cutter number',
          options: [under, halved, whole, above].map((value) => ({ value, text: `No. ${value}` })),
          answer: found.half?.inch ?? whole,
          slips: {
            [under]: 'That is the next range up: its space is too narrow for so few teeth.',
            [whole]: 'It would serve; but the half number is made for counts nearer to this one.',
            [halved]: `The half number begins at ${from} teeth: below that its space is too narrow.`,
            [above]: `No. ${above} lies on the other side of No. ${whole}, towards fewer teeth.`,
          },
        }),
      ],
      hint: 'A half number takes the upper part of a range; it is named by the smaller figure and a half.',
      working: workingAt(planSpur({ units: 'in', pitch: '10', teeth }), 'cutter', 'range', 'half'),
    });
  },
};

const helical: Drawn = {
  topic: 'cutter',
  title: 'Cutter for a helical gear',
  pose: (chance, level) => {
    const teeth = chance.whole(14, 60);
    const angle = chance.one(level === 1 ? ['30', '45'] : ['15', '20', '25', '30', '40']);
    const plain = planSpur({ units: 'mm', pitch: '2', teeth });
    const part = planSpur({
      units: 'mm',
      pitch: '2',
      teeth,
      change: (old) => ({
        ...old,
        gear: { ...old.gear, helix: measure(angle, 'deg') },
        cutter: { ...old.cutter, countBy: 'book' },
      }),
    });
    const inch = (one: typeof part) => named(wordsAt(one, 'cutter', 'inchNumber'));
    const metric = named(wordsAt(part, 'cutter', 'metricNumber'));
    if (inch(part) === inch(plain)) return null;
    return posed({
      asks: 'Which of the eight serves for this helical gear, by the book’s rule and the inch school?',
      given: [
        { label: 'Teeth', text: String(teeth) },
        { label: 'Helix angle', text: `${angle}°` },
        { label: 'The book’s rule', text: 'teeth over the cube of the cosine' },
      ],
      fields: [
        choiceField({
          key: 'number',
          label: 'Cutter number',
          options: EIGHT.map((value) => ({ value, text: `No. ${value}` })),
          answer: inch(part),
          slips: {
            [metric]: 'That number is right by the metric school, which counts the other way.',
            [inch(plain)]:
              `That is the cutter for ${teeth} straight teeth: a leaning space looks like one of a larger gear.`,
          },
        }),
      ],
      hint: 'Look up the count that the space looks like across the tooth, never the count of the gear.',
      working: workingAt(part, 'cutter', 'virtual', 'range'),
    });
  },
};

export const CUTTERS = { 'cutter-inch': number('inch'), 'cutter-metric': number('metric'), half, helical };
