import { plateRatioFor, type ChartRow } from '../../dividing/index.ts';
import { trainText } from '../../gearing/index.ts';
import { approx, exact, exactText, parseRatio, measure, plural, type Exact } from '../../units/index.ts';
import { choiceField, countField, type JudgedField } from '../figure.ts';
import { moveText } from '../move.ts';
import { SCHOOL_RATIO } from '../school.ts';
import type { Working } from '../../station/index.ts';
import type { Drawn, Verdict } from '../types.ts';
import { posed } from './drawn.ts';

import { check, differentialCount, givesText, headGiven, R, rowOf, workingOf } from './differential.ts';
import { train } from './train.ts';

const ratio: Drawn = {
  topic: 'gears',
  title: 'How much the plate must turn',
  pose: (chance, level) => {
    const drawn = differentialCount(chance, level);
    if (!drawn) return null;
    const { count, way } = drawn;
    const truth = plateRatioFor(R, way.near, count);
    return posed({
      asks: `${count} is indexed as if it were ${way.near}. How many turns must the gears give the plate for one turn of the spindle? (The direction apart.)`,
      given: [headGiven, { label: 'Moved for', text: `${way.near}: ${moveText(way.move)}` }],
      fields: [ratioField(truth.abs(), count, way.near)],
      hint: 'Forty times what the two counts differ, over the count the crank is moved for.',
      working: workingOf(count, way, 'plateRatio'),
    });
  },
};

function ratioField(truth: Exact, count: number, near: number): JudgedField {
  const slips: readonly (readonly [Exact, string])[] = [
    [truth.inverse(), 'Turned over: driven over driver. Drivers stand above.'],
    [
      truth.mul(near).div(count),
      'It goes over the count the crank is moved for, not over the one that is wanted.',
    ],
    [truth.div(SCHOOL_RATIO), 'The ratio of the head is left out.'],
  ];
  return {
    key: 'ratio',
    label: 'Turns of the plate',
    unit: '',
    like: 'as a fraction, such as 12/7',
    answer: exactText(truth),
    judge: (typed): Verdict => {
      if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
      const read = parseRatio(measure(typed.slice(0, 60), 'count'), 'A ratio');
      if (!read.ok)
        return { state: 'unread', says: `“${typed.slice(0, 60)}” is not a ratio. Write it like 12/7.` };
      if (read.value.equals(truth)) return { state: 'right' };
      const slip = slips.find(([gives]) => read.value.equals(gives));
      if (slip) return { state: 'slip', says: slip[1] };
      return Math.abs(approx(read.value) - approx(truth)) < 0.005
        ? { state: 'slip', says: 'As a decimal it does not come out: gears want the fraction.' }
        : { state: 'wrong', says: `Not that; it is too ${read.value.gt(truth) ? 'large' : 'small'}.` };
    },
  };
}

function givesWorking({ turns, spaces, circle, gears }: ChartRow, gives: string): Working {
  const { spindle, stud, plateShaft } = gears!;
  const [over, under] = stud
    ? [`${spindle} \\times ${stud.second}`, `${stud.first} \\times ${plateShaft}`]
    : [String(spindle), String(plateShaft)];
  const amount = exact(turns).add(exact(spaces, circle));
  const isWith = R.sub(exact(gives).mul(amount)).gt(0);
  return {
    key: 'gives',
    label: 'What the row divides',
    formula: 'N = \\frac{R - g}{\\text{move}}',
    put: `\\left(${SCHOOL_RATIO} ${isWith ? '-' : '+'} \\frac{${over}}{${under}}\\right) : \\frac{${String(amount.n)}}{${String(amount.d)}}`,
    result: givesText(gives),
    source: 'the motion of the head; Machinery’s Handbook, differential indexing',
  };
}

const idlers: Drawn = {
  topic: 'gears',
  title: 'With the crank or against',
  pose: (chance, level) => {
    const drawn = differentialCount(chance, level);
    if (!drawn) return null;
    const { count, way } = drawn;
    const withCrank = way.plateRatio.gt(0);
    const row = rowOf(count, way);
    const wrong = check({ ...row, gears: { ...row.gears!, idlers: way.idlers === 0 ? 1 : way.idlers - 1 } });
    const turned = wrong.gives === '0' ? '' : ` It would divide ${givesText(wrong.gives)}.`;
    return posed({
      asks: `${count} is indexed as ${way.near}, by a ${way.train.second ? 'compound' : 'simple'} train. Does the plate go with the crank or against it, and how many idlers does that take on a usual head?`,
      given: [headGiven, { label: 'Train', text: trainText(way.train) }],
      fields: [
        choiceField({
          key: 'way',
          label: 'The plate goes',
          options: [
            { value: 'with', text: 'with the crank' },
            { value: 'against', text: 'against the crank' },
          ],
          answer: withCrank ? 'with' : 'against',
          slips: {
            [withCrank ? 'against' : 'with']:
              `${way.near} is ${way.near > count ? 'more' : 'less'} than ${count}: each move is ${way.near > count ? 'short, and the plate adds' : 'long, and the plate takes back'} the rest.`,
          },
        }),
        countField({
          key: 'idlers',
          label: 'Idlers',
          truth: way.idlers,
          slips: [
            {
              gives: way.idlers + 1,
              says: `One idler too many: the plate would turn the other way.${turned}`,
            },
            {
              gives: way.idlers - 1,
              says: `One idler too few: the plate would turn the other way.${turned}`,
            },
          ],
        }),
      ],
      hint: 'Moved for more than is wanted, each move is short, and the plate must bring the rest: with the crank. Each mesh turns the hand round.',
      working: workingOf(count, way, 'plateRatio'),
    });
  },
};

const chart: Drawn = {
  topic: 'gears',
  title: 'A row of a printed chart',
  pose: (chance, level) => {
    const drawn = differentialCount(chance, level);
    if (!drawn) return null;
    const { count, way } = drawn;
    const row = rowOf(count, way);
    const gears = row.gears!;
    const printed: ChartRow = chance.one([
      { ...row, gears: { ...gears, spindle: gears.plateShaft, plateShaft: gears.spindle } },
      { ...row, gears: { ...gears, idlers: gears.idlers === 0 ? 1 : gears.idlers - 1 } },
      row,
    ]);
    const found = check(printed);
    if (found.gives === '0') return null;
    const truth = exact(found.gives);
    if (truth.d !== 1n && level === 1) return null;
    const stud = gears.stud ? `, stud ${gears.stud.first} and ${gears.stud.second}` : '';
    const [likely] = found.misprints;
    const question = posed({
      asks: `A chart prints this row for ${count}. What does it divide a turn into?`,
      given: [
        headGiven,
        { label: 'Move', text: moveText(way.move) },
        {
          label: 'Gears',
          text: `spindle ${printed.gears!.spindle}${stud}, plate shaft ${printed.gears!.plateShaft}, ${plural(printed.gears!.idlers, 'idler')}`,
        },
      ],
      fields: [
        countField({
          key: 'gives',
          label: 'Divisions',
          truth: Number(approx(truth).toFixed(2)),
          slips: [
            {
              gives: count,
              says: 'That is what the chart claims. Reckon it: does the plate go the right way, and by how much?',
            },
            { gives: way.near, says: 'That is what the move alone gives, with the plate locked.' },
          ],
        }),
      ],
      hint: 'Divisions are (40 − g) over the move: g is drivers over drivens, more than 0 with the crank, less than 0 against it.',
      working: [givesWorking(printed, found.gives)],
    });
    return {
      ...question,
      answer: `${question.answer}: ${likely ? `meant was ${likely.meant}` : 'the row is right'}`,
    };
  },
};

export const GEARED = { 'plate-ratio': ratio, train, idlers, chart };
