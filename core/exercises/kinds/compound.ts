import { findCompounds, type CompoundMove } from '../../dividing/index.ts';
import { exact, exactText, type Exact } from '../../units/index.ts';
import { type JudgedField } from '../figure.ts';
import { dividesWords, schoolCircles, schoolMoves } from '../move.ts';
import { planDivided, workingAt } from '../school.ts';
import type { Drawn, Verdict } from '../types.ts';
import { headGiven, posed, R } from './drawn.ts';

/** Pairs of circles of one plate, and a count neither of them serves. */
export const compound: Drawn = {
  topic: 'dividing',
  title: 'Compound indexing',
  pose: (chance, level) => {
    const count = chance.whole(...((level === 1 ? [51, 80] : [51, 160]) as [number, number]));
    if (schoolMoves(count).length > 0) return null;
    const turns = R.div(count);
    const [found] = findCompounds(turns, schoolCircles);
    if (!found) return null;
    const { pin, back } = found;
    const [A, B] = [pin.circle.holes, back.circle.holes];
    const amount = (a: number, b: number) => exact(a, A).add(exact(b, B));
    const field: JudgedField = {
      key: 'moves',
      label: 'Spaces on each',
      unit: '',
      like: `spaces on ${A}, then on ${B}; with a minus where it goes back: 21, -11`,
      answer: `${pin.turns * A + pin.spaces}, ${back.spaces}`,
      judge: (typed) => judgePair(typed, amount, turns),
    };
    return posed({
      asks: `${count} is not had on one circle. The pin moves on ${A}, then plate and crank together on ${B}, held by the back pin. How many spaces on each?`,
      given: [headGiven, { label: 'Plate', text: `${pin.circle.plateName}: the circles ${A} and ${B}` }],
      fields: [field],
      hint: `Forty over ${count} is to be so many over ${A}, and so many over ${B}, added or taken off.`,
      working: compoundWorking(count, found),
    });
  },
};

/** What the plan of a gear so divided works out. */
function compoundWorking(count: number, { pin, back }: CompoundMove) {
  const { plateId, plateName, side, holes } = pin.circle;
  const move = { plateId, plateName, side, circle: holes, turns: pin.turns, spaces: pin.spaces };
  const part = planDivided(
    { units: 'mm', pitch: '1', teeth: count },
    {
      method: 'compound',
      advance: exactText(exact(1, count)),
      exact: true,
      ...move,
      back: { circle: back.circle.holes, spaces: back.spaces },
    },
  );
  return workingAt(part, 'dividing', 'turns', 'compound');
}

const PAIR = /^\s*(\d{1,4})\s*[,;/ ]\s*([+-]?)\s*(\d{1,4})\s*$/;

function judgePair(typed: string, amount: (a: number, b: number) => Exact, turns: Exact): Verdict {
  if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
  const read = PAIR.exec(typed.slice(0, 60).replace(/−/g, '-'));
  if (!read) return { state: 'unread', says: 'Write two counts of spaces, such as 21, -11.' };
  const [a, b] = [Number(read[1]), Number(read[3]) * (read[2] === '-' ? -1 : 1)];
  if (amount(a, b).equals(turns)) return { state: 'right' };
  if (amount(a, -b).equals(turns)) return { state: 'slip', says: 'The second goes the other way.' };
  if (amount(a - 1, b - Math.sign(b)).equals(turns))
    return { state: 'slip', says: 'That counts the holes the pins are in.' };
  const sum = amount(a, b);
  if (!sum.gt(0)) return { state: 'wrong', says: 'That does not move the work on.' };
  return { state: 'wrong', says: `Not that: as written ${dividesWords(R, sum)}.` };
}
