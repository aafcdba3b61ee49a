import { dialMove } from '../../setup/index.ts';
import { stationOf } from '../../plan/index.ts';
import { lengthText, measure, plural } from '../../units/index.ts';
import { lengthField, type JudgedField } from '../figure.ts';
import { figureAt, planSpur, workingAt } from '../school.ts';
import type { Drawn, Verdict } from '../types.ts';
import { drawGear, lengthGiven, pitchGiven, posed, teethGiven, typedLength } from './drawn.ts';

import { drawSetup, MILL } from './drawnSetup.ts';

const dial: Drawn = {
  topic: 'setup',
  title: 'A depth on the dial',
  pose: (chance, level) => {
    const { part } = drawSetup(chance, level);
    const depth = figureAt(part, 'gear', 'wholeDepth');
    const rough = level === 1 ? 0 : chance.one([0.3, 0.4, 0.5]);
    const to = depth - rough;
    const screw = { lead: Number(MILL!.knee.lead.typed), marks: MILL!.knee.marks, travel: null };
    const { turns, marks: tenths } = dialMove(to, screw);
    const marks = Number(tenths.toFixed(1));
    const all = turns * screw.marks + marks;
    return posed({
      asks: `The cutter has just touched and the knee’s dial is at zero. To what is it raised for ${rough > 0 ? `the rough cut, which leaves ${rough} mm` : 'the one cut'}?`,
      given: [
        lengthGiven('Whole depth', depth, 'mm', true),
        { label: 'Knee', text: `${screw.lead} mm a turn, ${screw.marks} marks` },
      ],
      fields: [
        dialField({
          turns,
          marks,
          perTurn: screw.marks,
          all,
          wholeDepth: depth,
          to,
          mark: screw.lead / screw.marks,
        }),
      ],
      hint: 'What one mark is first; then how many of them are in the depth.',
      working: [
        {
          key: 'dial',
          label: 'On the dial',
          formula: '\\frac{h}{p}',
          put: `\\frac{${to.toFixed(3)}}{${screw.lead}}`,
          result: `${turns} + \\tfrac{${marks}}{${screw.marks}}`,
          source: 'the lead of the screw over its marks',
        },
      ],
    });
  },
};

const DIAL = /^(?:(\d{1,3}(?:\.\d+)?) ?(?:t(?:urns?)?)[ +,]*)?(\d{1,4}(?:[.,]\d+)?) ?(?:m(?:arks?)?)?$/i;

function dialField(of: {
  readonly turns: number;
  readonly marks: number;
  readonly perTurn: number;
  readonly all: number;
  readonly wholeDepth: number;
  readonly to: number;
  readonly mark: number;
}): JudgedField {
  const slips: readonly (readonly [number, string])[] = [
    [of.wholeDepth / of.mark, 'That is the whole depth: the rough cut leaves something.'],
    [(2 * of.to) / of.mark, 'That is the depth on the diameter: the cutter goes in from one side.'],
    [of.to / 0.05, 'That is for the cross screw: look at what a mark of the knee is.'],
    [of.to * 100, 'A mark is not always a hundredth.'],
  ];
  return {
    key: 'dial',
    label: 'Dial of the knee',
    unit: '',
    like: 'turns and marks, such as 2 turns 25 marks, or marks alone',
    answer: of.turns > 0 ? `${plural(of.turns, 'turn')} ${of.marks} marks` : `${of.marks} marks`,
    judge: (typed): Verdict => {
      if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
      const read = DIAL.exec(typed.slice(0, 40).trim().replace(/\s+/g, ' '));
      if (!read) return { state: 'unread', says: 'Write turns and marks: 2 turns 25 marks.' };
      const marks = Number(read[1] ?? 0) * of.perTurn + Number(read[2]!.replace(',', '.'));
      const near = (other: number) => Math.abs(marks - other) <= 0.6;
      if (near(of.all)) return { state: 'right' };
      const slip = slips.find(([gives]) => Math.abs(gives - of.all) > 1.5 && near(gives));
      if (slip) return { state: 'slip', says: slip[1] };
      return { state: 'wrong', says: `Not that: it would be ${lengthText(marks * of.mark, 'mm')} deep.` };
    },
  };
}

const oversize: Drawn = {
  topic: 'setup',
  title: 'A blank off its size',
  pose: (chance, level) => {
    const drawn = drawGear(chance, level);
    const plain = planSpur(drawn);
    const outside = figureAt(plain, 'blank', 'tipDiameter');
    const off = (chance.whole(6, 20) / 100) * (chance.whole(0, 1) === 1 ? 1 : -1);
    const typed = typedLength(outside + off, drawn.units);
    const measured = drawn.units === 'mm' ? Number(typed) : Number(typed) * 25.4;
    const part = planSpur({
      ...drawn,
      change: (old) => ({ ...old, blank: { ...old.blank, measured: measure(typed, drawn.units) } }),
    });
    const depth = figureAt(plain, 'gear', 'wholeDepth');
    const truth = stationOf(part, 'cut')!.values.find(({ key }) => key === 'depth-one');
    if (truth?.kind !== 'length') return null;
    const delta = measured - outside;
    return posed({
      asks: 'The blank was turned off its size. How deep is the cut set from its outside, so that the root comes where it should?',
      given: [
        pitchGiven(drawn),
        teethGiven(drawn),
        lengthGiven('Whole depth by the rule', depth, drawn.units, true),
        lengthGiven('The blank measures', measured, drawn.units, true),
      ],
      fields: [
        lengthField({
          key: 'depth',
          label: 'Depth from its outside',
          units: drawn.units,
          truth: truth.mm,
          fine: true,
          slips: [
            {
              gives: depth,
              says: 'So the root, and with it the tooth, would come off by what the blank is off.',
            },
            {
              gives: depth + delta,
              says: 'Half of it: the blank is off on its diameter, the cutter goes in from one side.',
            },
            { gives: depth - delta / 2, says: 'The other way: over size, deeper; under size, shallower.' },
            {
              gives: depth - delta,
              says: 'The other way, and half of it: the blank is off on its diameter.',
            },
          ],
        }),
      ],
      hint: 'The root is to stand where the drawing has it: what the blank has too much on its radius is cut as well.',
      working: workingAt(part, 'cut', 'one'),
    });
  },
};

export const DEPTHS = { dial, 'blank-off': oversize };
