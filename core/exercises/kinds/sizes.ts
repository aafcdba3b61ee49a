import { approx, exact, MM_PER_INCH } from '../../units/index.ts';
import { depthByRule, TOOTH_SYSTEMS, toothSystem } from '../../gear/index.ts';
import { lengthField } from '../figure.ts';
import { figureAt, planSpur, workingAt } from '../school.ts';
import type { Drawn } from '../types.ts';
import { drawGear, otherPitchSays, pitchGiven, posed, teethGiven, withOtherPitch } from './drawn.ts';

const outside: Drawn = {
  topic: 'sizes',
  title: 'Outside of the blank',
  pose: (chance, level) => {
    const gear = drawGear(chance, level);
    const part = planSpur(gear);
    const truth = figureAt(part, 'blank', 'tipDiameter');
    const pitchDiameter = figureAt(part, 'gear', 'pitchDiameter');
    const addendum = figureAt(part, 'gear', 'addendum');
    return posed({
      asks: 'To what diameter is the blank turned, for teeth of full height?',
      given: [pitchGiven(gear), teethGiven(gear)],
      fields: [
        lengthField({
          key: 'outside',
          label: 'Outside diameter',
          units: gear.units,
          truth,
          slips: [
            { gives: pitchDiameter, says: 'That is the pitch diameter: the teeth stand out beyond it.' },
            {
              gives: pitchDiameter + addendum,
              says: 'One addendum is missing: the teeth stand out on both sides.',
            },
            { gives: pitchDiameter - 2 * addendum, says: 'The addenda are added, not taken off.' },
            {
              gives: figureAt(planSpur(withOtherPitch(gear)), 'blank', 'tipDiameter'),
              says: otherPitchSays(gear),
            },
          ],
        }),
      ],
      hint: 'The pitch circle first: teeth times module, or teeth over DP. Then the teeth stand out on both sides.',
      working: [...workingAt(part, 'gear', 'pitchDiameter'), ...workingAt(part, 'blank', 'tipDiameter')],
    });
  },
};

const root: Drawn = {
  topic: 'sizes',
  title: 'Root diameter',
  pose: (chance, level) => {
    const drawn = drawGear(chance, level);
    const rule = drawn.units === 'mm' ? 'iso53-a' : 'form-2.157';
    const gear = {
      ...drawn,
      change: (part: Parameters<NonNullable<typeof drawn.change>>[0]) => ({
        ...part,
        gear: { ...part.gear, depth: { ...part.gear.depth, rule } as const },
      }),
    };
    const part = planSpur(gear);
    const truth = figureAt(part, 'blank', 'rootDiameter');
    const tip = figureAt(part, 'blank', 'tipDiameter');
    const depth = figureAt(part, 'gear', 'wholeDepth');
    const pitchDiameter = figureAt(part, 'gear', 'pitchDiameter');
    return posed({
      asks: 'How large is the root diameter, what stands below the spaces between teeth?',
      given: [pitchGiven(gear), teethGiven(gear), { label: 'Depth', text: toothSystem(rule).name }],
      fields: [
        lengthField({
          key: 'root',
          label: 'Root diameter',
          units: gear.units,
          truth,
          slips: [
            { gives: tip - depth, says: 'The depth comes off on both sides.' },
            {
              gives: pitchDiameter - 2 * depth,
              says: 'The depth is reckoned from the outside, not from the pitch circle.',
            },
            {
              gives: 2 * pitchDiameter - tip,
              says: 'The clearance is missing: the root lies deeper than one addendum below the pitch circle.',
            },
            {
              gives: figureAt(planSpur(withOtherPitch(gear)), 'blank', 'rootDiameter'),
              says: otherPitchSays(gear),
            },
          ],
        }),
      ],
      hint: 'From the outside, the whole depth comes off twice.',
      working: [
        ...workingAt(part, 'gear', 'wholeDepth'),
        ...workingAt(part, 'blank', 'tipDiameter', 'rootDiameter'),
      ],
    });
  },
};

/** Rules that a learner is asked for: those of the handbook and of ISO. */
const ASKED = TOOTH_SYSTEMS.filter(({ standing }) => standing === 'published');

const depth: Drawn = {
  topic: 'sizes',
  title: 'Depth by a school',
  pose: (chance, level) => {
    const drawn = drawGear(chance, level);
    const system = chance.one(
      ASKED.filter(({ id }) =>
        drawn.units === 'mm' ? id === 'iso53-a' || id === 'form-2.157' : id !== 'iso53-a',
      ),
    );
    const part = planSpur({
      ...drawn,
      change: (old) => ({ ...old, gear: { ...old.gear, depth: { ...old.gear.depth, rule: system.id } } }),
    });
    const truth = figureAt(part, 'gear', 'wholeDepth');
    const addendum = figureAt(part, 'gear', 'addendum');
    const module = drawn.units === 'mm' ? exact(drawn.pitch) : MM_PER_INCH.div(exact(drawn.pitch));
    const others = TOOTH_SYSTEMS.filter(({ id }) => id !== system.id).map(({ id, name }) => ({
      gives: approx(depthByRule(id, module).wholeDepth),
      says: `That is another school: ${name}.`,
    }));
    return posed({
      asks: 'How deep is the cutter sunk below the outside, by this rule?',
      given: [pitchGiven(drawn), { label: 'Rule', text: system.name }],
      fields: [
        lengthField({
          key: 'depth',
          label: 'Whole depth',
          units: drawn.units,
          truth,
          fine: true,
          slips: [
            ...others,
            {
              gives: 2 * truth,
              says: 'That is the depth on the diameter: the cutter goes in from one side.',
            },
            { gives: 2 * addendum, says: 'That is the working depth; the clearance is missing.' },
          ],
        }),
      ],
      hint: 'The factor of the rule, times the module or over the DP.',
      working: workingAt(part, 'gear', 'wholeDepth'),
    });
  },
};

export const SIZES = { outside, root, depth };
