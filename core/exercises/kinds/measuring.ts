import { stationOf, type PartPlan } from '../../plan/index.ts';
import type { CheckId } from '../../inspect/index.ts';
import { lengthText, measure } from '../../units/index.ts';
import { countField, lengthField } from '../figure.ts';
import { figureAt, planSpur, workingAt, type GivenGear } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Drawn, Level } from '../types.ts';
import {
  drawGear,
  lengthGiven,
  otherPitchSays,
  pitchGiven,
  posed,
  teethGiven,
  typedLength,
  withOtherPitch,
} from './drawn.ts';

const checkOf = (part: PartPlan, id: CheckId) =>
  stationOf(part, 'inspect')!.detail.checks.find((check) => check.id === id)!;

/** Involutes are read from a table to five places: what that leaves open, mm. Common practice. */
const BY_TABLE = 0.008;

const drawMeasured = (chance: Chance, level: Level) => {
  const gear = drawGear(chance, level);
  return {
    gear,
    part: planSpur(gear),
    given: [pitchGiven(gear), teethGiven(gear), { label: 'Pressure angle', text: '20°' }],
  };
};

const pins: Drawn = {
  topic: 'measuring',
  title: 'Over two pins',
  pose: (chance, level) => {
    const { gear, part, given } = drawMeasured(chance, level);
    const { teeth } = gear;
    const detail = stationOf(part, 'inspect')!.detail;
    const truth = checkOf(part, 'pins').should;
    const pin = detail.pin!;
    const cos = Math.cos(Math.PI / (2 * teeth));
    const odd = teeth % 2 === 1;
    const across = odd ? (truth - pin) / cos : truth - pin;
    return posed({
      asks: 'What must the gear measure over two pins, teeth without backlash cut in?',
      given: [...given, lengthGiven('Pins', pin, gear.units, true)],
      fields: [
        lengthField({
          key: 'pins',
          label: 'Over pins',
          units: gear.units,
          truth,
          fine: true,
          within: BY_TABLE,
          slips: [
            {
              gives: odd ? across + pin : across * cos + pin,
              says: odd
                ? 'That holds for an even count: with an odd one the pins do not stand opposite.'
                : 'That is for an odd count: here the pins stand opposite.',
            },
            { gives: across, says: 'That is between the middles of the pins: once more the pin.' },
            { gives: across + 2 * pin, says: 'Two half pins, not two whole ones.' },
            { gives: figureAt(part, 'blank', 'tipDiameter'), says: 'That is the outside of the gear.' },
            { gives: checkOf(planSpur(withOtherPitch(gear)), 'pins').should, says: otherPitchSays(gear) },
          ],
        }),
      ],
      hint: 'Find the angle by its involute, then the circle on which the middles of the pins stand.',
      working: workingAt(part, 'inspect', 'pin-angle', 'pins'),
    });
  },
};

const span: Drawn = {
  topic: 'measuring',
  title: 'Span over teeth',
  pose: (chance, level) => {
    const { gear, part, given } = drawMeasured(chance, level);
    const check = checkOf(part, 'span');
    const teeth = Number(/\d+/.exec(check.set)![0]);
    const module = figureAt(part, 'gear', 'circularPitch') / Math.PI;
    const base = Math.PI * module * Math.cos((20 * Math.PI) / 180);
    return posed({
      asks: 'Over how many teeth does one measure, and what must it read, teeth without backlash cut in?',
      given,
      fields: [
        countField({
          key: 'over',
          label: 'Over teeth',
          truth: teeth,
          slips: [
            {
              gives: teeth + 1,
              says: 'One more than touches at mid height: the jaws would stand near the tips.',
            },
            {
              gives: teeth - 1,
              says: 'One less: the jaws would stand near the roots. Count teeth, not the spaces between.',
            },
          ],
        }),
        lengthField({
          key: 'span',
          label: 'It reads',
          units: gear.units,
          truth: check.should,
          fine: true,
          within: BY_TABLE,
          slips: [
            { gives: check.should + base, says: 'That is over one tooth more.' },
            { gives: check.should - base, says: 'That is over one tooth less.' },
            {
              gives: check.should / Math.cos((20 * Math.PI) / 180),
              says: 'The cosine of the pressure angle is left out.',
            },
            { gives: checkOf(planSpur(withOtherPitch(gear)), 'span').should, says: otherPitchSays(gear) },
          ],
        }),
      ],
      hint: 'About a ninth of the teeth and a half at 20°; then base pitches and the thickness at the base circle.',
      working: workingAt(part, 'inspect', 'span'),
    });
  },
};

const caliper: Drawn = {
  topic: 'measuring',
  title: 'The gear-tooth caliper',
  pose: (chance, level) => {
    const { gear, part, given } = drawMeasured(chance, level);
    const check = checkOf(part, 'chordal');
    const height = toMm(check.set, gear);
    const arc = figureAt(part, 'gear', 'toothThickness');
    const addendum = figureAt(part, 'gear', 'addendum');
    if (Math.abs(height - addendum) < 0.012) return null;
    return posed({
      asks: 'To what height is the caliper set, and what must the tooth measure?',
      given,
      fields: [
        lengthField({
          key: 'height',
          label: 'Height',
          units: gear.units,
          truth: height,
          fine: true,
          slips: [
            {
              gives: addendum,
              says: 'The jaws stand on a chord, which lies lower than the pitch circle: a little more than the addendum.',
            },
            { gives: 2 * addendum - height, says: 'The rise of the arc is added to the addendum.' },
          ],
        }),
        lengthField({
          key: 'thickness',
          label: 'Tooth',
          units: gear.units,
          truth: check.should,
          fine: true,
          slips: [
            { gives: 2 * arc, says: 'That is the pitch; the tooth is half of it.' },
            { gives: arc, says: 'Along the arc it is more than straight across.' },
          ],
        }),
      ],
      hint: 'Straight across, not along the arc; and the arc stands up above its chord.',
      working: workingAt(part, 'inspect', 'chordal'),
    });
  },
};

/** A height out of what is to be set first, mm. */
function toMm(set: string, { units }: GivenGear): number {
  const figure = Number(/[\d.]+/.exec(set)![0]);
  return units === 'mm' ? figure : figure * 25.4;
}

const sink: Drawn = {
  topic: 'measuring',
  title: 'How much to sink',
  pose: (chance, level) => {
    const gear = drawGear(chance, level);
    const plain = planSpur(gear);
    const should = checkOf(plain, 'pins').should;
    const over = chance.whole(8, 25) / 100;
    const typed = typedLength(should + over, gear.units);
    const part = planSpur({
      ...gear,
      change: (old) => ({ ...old, inspect: { ...old.inspect, pins: measure(typed, gear.units) } }),
    });
    const verdict = stationOf(part, 'inspect')!.detail.verdict;
    if (!verdict) return null;
    const { thick } = verdict;
    return posed({
      asks: 'The gear reads too much over its pins. How much deeper is it sunk with the form cutter that cut it?',
      given: [
        pitchGiven(gear),
        teethGiven(gear),
        lengthGiven('Over pins it should read', should, gear.units, true),
        { label: 'It reads', text: `${typed} ${gear.units}` },
        { label: 'So the tooth is too thick by', text: lengthText(thick, gear.units, 'fine') },
        { label: 'The cutter', text: `is exact for ${madeFor(part)} teeth` },
      ],
      fields: [
        lengthField({
          key: 'sink',
          label: 'Sink',
          units: gear.units,
          truth: verdict.sink,
          fine: true,
          slips: [
            { gives: over, says: 'That is what it reads too much, over the whole gear.' },
            {
              gives: over / 2,
              says: 'Half of what it reads too much is not what the cutter has to go in: its flanks slope.',
            },
            {
              gives: thick,
              says: 'That is the thickness of the tooth; the cutter goes in deeper than it thins.',
            },
            {
              gives: thick / (2 * Math.tan((20 * Math.PI) / 180)),
              says: 'That is the rule of a rack or a hob: a form cutter moves in as it is, its flanks at a steeper slope.',
            },
          ],
        }),
      ],
      hint: 'The form cutter’s flanks stand at the pressure angle and a quarter of its own pitch in angle: Δh = j·cos α / (2·sin(α + 90°/zc)).',
      working: workingAt(part, 'inspect', 'sink'),
    });
  },
};

/** The count the cutter of this range is exact for: its lowest. */
const madeFor = (part: PartPlan): number => {
  const { inForce, chosen } = stationOf(part, 'cutter')!.detail;
  return inForce?.madeFor ?? chosen!.range.from;
};

export const MEASURING = { pins, span, caliper, sink };
