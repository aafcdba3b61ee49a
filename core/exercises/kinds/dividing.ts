import { circleNeeded, type SimpleMove } from '../../dividing/index.ts';
import { approx, dmsText, exact, measure, plural, type Exact } from '../../units/index.ts';
import { choiceField, countField, type JudgedField } from '../figure.ts';
import { moveField, moveText, readMove, schoolCircles, schoolMoves } from '../move.ts';
import { planPlain, planSpur, SCHOOL_CIRCLES, SCHOOL_HEAD, SCHOOL_RATIO, workingAt } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Drawn, Level, Verdict } from '../types.ts';
import { compound } from './compound.ts';
import { headGiven, line, posed, R } from './drawn.ts';

const circlesGiven = { label: 'Circles', text: SCHOOL_CIRCLES };
const HANDY: Readonly<Record<Level, readonly [number, number]>> = { 1: [12, 40], 2: [15, 80], 3: [41, 330] };

/** A count that indexes simply, and not by whole turns alone. */
function simpleCount(chance: Chance, level: Level): number | null {
  const count = chance.whole(...HANDY[level]);
  return schoolMoves(count).some(({ spaces }) => spaces > 0) ? count : null;
}

/** As the card would have it: the plate that stands on the head first, then the larger circle. */
const plainestMoves = (count: number) => {
  const isOn = ({ circle: { plateId } }: SimpleMove) => plateId === SCHOOL_HEAD.mounted?.plateId;
  return [...schoolMoves(count)].sort(
    (a, b) => Number(isOn(b)) - Number(isOn(a)) || b.circle.holes - a.circle.holes,
  );
};

const simple: Drawn = {
  topic: 'dividing',
  title: 'Simple indexing',
  pose: (chance, level) => {
    const count = simpleCount(chance, level);
    if (count === null) return null;
    const [move] = plainestMoves(count);
    return posed({
      asks: `How is the crank moved from one space to the next, for ${count} teeth?`,
      given: [headGiven, circlesGiven],
      fields: [moveField({ ratio: R, turns: R.div(count), answer: moveText(move!) })],
      hint: 'Forty over the count, in lowest terms. The circle must be a multiple of what stands below.',
      working: workingAt(
        planSpur({ units: 'mm', pitch: '2', teeth: count }),
        'dividing',
        'turns',
        'circle',
        'check',
      ),
    });
  },
};

const circle: Drawn = {
  topic: 'dividing',
  title: 'Which circle',
  pose: (chance, level) => {
    const count = simpleCount(chance, level);
    if (count === null) return null;
    const serving = new Set(schoolMoves(count).map(({ circle: { holes } }) => holes));
    const right = chance.one([...serving]);
    const wrong = schoolCircles.map(({ holes }) => holes).filter((holes) => !serving.has(holes));
    const options = [right, chance.one(wrong), chance.one(wrong), chance.one(wrong)];
    if (new Set(options).size < 4) return null;
    const needed = circleNeeded(R.div(count));
    return posed({
      asks: `One of these circles serves for ${count} teeth. Which?`,
      given: [headGiven],
      fields: [
        choiceField({
          key: 'circle',
          label: 'Circle',
          options: options
            .sort((a, b) => a - b)
            .map((holes) => ({ value: String(holes), text: `${holes} holes` })),
          answer: String(right),
          slips: Object.fromEntries(
            options
              .filter((holes) => holes !== right)
              .map((holes) => [
                String(holes),
                `${SCHOOL_RATIO}/${count} of ${holes} is not a whole number of spaces: it takes a multiple of ${needed}.`,
              ]),
          ),
        }),
      ],
      hint: 'Bring forty over the count to lowest terms; the circle is a multiple of what stands below the line.',
      working: workingAt(planSpur({ units: 'mm', pitch: '2', teeth: count }), 'dividing', 'turns', 'circle'),
    });
  },
};

const arms: Drawn = {
  topic: 'dividing',
  title: 'The sector arms',
  pose: (chance, level) => {
    const count = simpleCount(chance, level);
    if (count === null) return null;
    const move = schoolMoves(count).find(({ spaces }) => spaces > 0)!;
    const { spaces, turns } = move;
    return posed({
      asks: `The crank is moved ${moveText(move)} from space to space. How many holes stand between the arms, with the one the pin is in?`,
      given: [headGiven, { label: 'Teeth', text: String(count) }],
      fields: [
        countField({
          key: 'holes',
          label: 'Holes within the arms',
          truth: spaces + 1,
          slips: [
            { gives: spaces, says: 'Those are the spaces: with the pin’s own hole there is one hole more.' },
            {
              gives: spaces + 2,
              says: 'The pin’s own hole counts once: both arms stand at a hole that is counted.',
            },
            {
              gives: spaces + turns * move.circle.holes,
              says: 'Whole turns are counted by hand; the arms hold the rest alone.',
            },
          ],
        }),
      ],
      hint: 'Posts and gaps of a fence: so many gaps, one post more.',
      working: workingAt(planSpur({ units: 'mm', pitch: '2', teeth: count }), 'dividing', 'arms'),
    });
  },
};

const ANGLE_STEP: Readonly<Record<Level, number>> = { 1: 60, 2: 20, 3: 10 };

const angle: Drawn = {
  topic: 'dividing',
  title: 'An angle by the crank',
  pose: (chance, level) => {
    const minutes = chance.whole(400, 5400 / 2) - (chance.whole(0, 1) === 1 ? 1 : 0);
    const typed = exact(minutes - (minutes % ANGLE_STEP[level])).div(60);
    const turns = typed.mul(SCHOOL_RATIO).div(360);
    const moves = schoolCircles.filter(({ holes }) => turns.mul(holes).d === 1n);
    const [found] = moves;
    if (!found || turns.d === 1n) return null;
    const whole = Math.floor(approx(turns));
    const spaces = Number(turns.sub(whole).mul(found.holes).n);
    const text = dmsText(typed);
    const part = planPlain((old) => ({
      ...old,
      spacing: {
        ...old.spacing,
        by: 'angle',
        count: measure('2', 'count'),
        angle: measure(text.replace(/ /g, ''), 'deg'),
      },
    }));
    return posed({
      asks: `The work is to turn by ${text}. How is the crank moved?`,
      given: [headGiven, circlesGiven],
      fields: [
        withAngleSlips(
          moveField({
            ratio: R,
            turns,
            answer: moveText({ turns: whole, spaces, circle: found }),
            gives: turnsBy,
          }),
          typed,
        ),
      ],
      hint: 'One turn of the crank is nine degrees of the work: on 27 holes a space is 20′, on 18 it is 30′.',
      working: workingAt(part, 'dividing', 'turns', 'circle'),
    });
  },
};

/** Degrees of the work for a turn of the crank. */
const DEGREES = 360 / SCHOOL_RATIO;

const turnsBy = (amount: Exact): string => `it turns the work by ${dmsText(amount.mul(DEGREES))}`;

/** Minutes read as hundredths, on the nearest hole of whatever circle was taken. */
function withAngleSlips(field: JudgedField, degrees: Exact): JudgedField {
  const whole = degrees.floor();
  const minutes = degrees.sub(whole).mul(60);
  const slipped = whole.add(minutes.div(100)).div(DEGREES);
  const says = `Minutes are not hundredths: ${dmsText(minutes.div(60))} is ${approx(minutes.div(60)).toFixed(3)}°.`;
  return {
    ...field,
    judge: (typed): Verdict => {
      const verdict = field.judge(typed);
      const move = readMove(typed);
      if (verdict.state !== 'wrong' || !move || move.circle === 0 || minutes.equals(0)) return verdict;
      const off = exact(move.turns).add(exact(move.spaces, move.circle)).sub(slipped).abs();
      return off.mul(2 * move.circle).lte(1) ? { state: 'slip', says } : verdict;
    },
  };
}

const direct: Drawn = {
  topic: 'dividing',
  title: 'Direct, by the ring',
  pose: (chance, level) => {
    const ring = level === 1 ? 24 : chance.one([24, 30, 36]);
    const counts = [2, 3, 4, 5, 6, 8, 9, 10, 12, 15, 18].filter((n) => ring % n === 0 && n < ring);
    const count = chance.one(counts);
    return posed({
      asks: `The worm is dropped and the work pinned in its ring of ${ring} holes. How many holes on is the pin moved, for ${plural(count, 'division')}?`,
      given: [{ label: 'Ring', text: `${ring} holes` }],
      fields: [
        countField({
          key: 'holes',
          label: 'Holes on',
          truth: ring / count,
          slips: [
            { gives: ring / count + 1, says: 'That counts the hole the pin is in.' },
            {
              gives: ring / count - 1,
              says: 'Those are the holes left free between; the pin goes one further.',
            },
            {
              gives: (SCHOOL_RATIO * ring) / count,
              says: 'The worm is out: the crank’s ratio has no part in it.',
            },
          ],
        }),
      ],
      hint: 'The worm is out of it: the ring turns with the work.',
      working: [line('Holes on', '\\frac{H}{N}', `\\frac{${ring}}{${count}}`, String(ring / count))],
    });
  },
};

const lost: Drawn = {
  topic: 'dividing',
  title: 'A lost count',
  pose: (chance, level) => {
    const count = simpleCount(chance, level);
    if (count === null) return null;
    const move = schoolMoves(count).find(({ spaces }) => spaces > 0)!;
    const {
      spaces,
      circle: { holes },
    } = move;
    const cut = chance.whole(3, Math.min(count - 2, 3 * holes));
    const hole = (cut * spaces) % holes;
    const alike = Array.from({ length: count }, (_, k) => k).filter((k) => (k * spaces) % holes === hole);
    const about = cut + chance.one([-1, 0, 1]);
    const nearest = [...alike].sort((a, b) => Math.abs(a - about) - Math.abs(b - about));
    if (alike.length < 2 || Math.abs(nearest[1]! - about) - Math.abs(nearest[0]! - about) < 2) return null;
    return posed({
      asks: `Somebody talked to you. The pin stands in hole ${hole} of ${holes}, counted from the hole it began in, and by eye about ${about} moves were made. How many were?`,
      given: [
        { label: 'Move', text: moveText(move) },
        { label: 'Teeth', text: String(count) },
      ],
      fields: [
        countField({
          key: 'moves',
          label: 'Moves made',
          truth: nearest[0]!,
          slips: [
            {
              gives: nearest[0]! + 1,
              says: 'The first space is cut before any move: moves made are one less than spaces cut.',
            },
            ...alike.map((k) => ({
              gives: k,
              says: 'The pin stands there then too; but it is further from what the eye says.',
            })),
            { gives: hole, says: 'That is the hole, not the count of moves.' },
          ],
        }),
      ],
      hint: 'The pin goes on by the same spaces each time, round and round: which multiples of them end in that hole?',
      working: [
        line(
          'Where the pin stands after k moves',
          'k\\,h \\bmod C',
          `${nearest[0]!} \\times ${spaces} \\bmod ${holes}`,
          String(hole),
        ),
      ],
    });
  },
};

export const DIVIDING = { simple, circle, arms, angle, direct, compound, lost };
