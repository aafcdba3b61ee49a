import { findPairs, gearsFromStock } from '../../arrival/index.ts';
import { standardPitches } from '../../gear/index.ts';
import { approx, exact, parsePitch, measure, pitchText, type Pitch } from '../../units/index.ts';
import { countField, lengthField, type JudgedField } from '../figure.ts';
import { figureAt, planPlain, planSpur, SCHOOL_HEAD, workingAt } from '../school.ts';
import type { Drawn, Level, Verdict } from '../types.ts';
import { drawGear, lengthGiven, line, pitchGiven, posed, teethGiven } from './drawn.ts';

/** What a worn tip has lost, mm. Common practice. */
const WORN: Readonly<Record<Level, readonly number[]>> = { 1: [0, 0.02], 2: [0.05, 0.1], 3: [0.1, 0.18] };

const sample: Drawn = {
  topic: 'arrival',
  title: 'What gear is it?',
  pose: (chance, level) => {
    const gear = drawGear(chance, level);
    const outside = figureAt(planSpur(gear), 'blank', 'tipDiameter') - chance.one(WORN[level]);
    const truth = parsePitch(measure(gear.pitch, gear.units === 'mm' ? 'module' : 'dp'));
    if (!truth.ok) return null;
    const nearest = bestPitch(gear.teeth, outside);
    // another standard pitch lies nearer: the reading does not tell it
    if (nearest !== pitchText(truth.value)) return null;
    return posed({
      asks: 'A spur gear with plain full-depth teeth lies on the bench. Which standard pitch is it?',
      given: [teethGiven(gear), lengthGiven('Measured over the tips', outside, gear.units, true)],
      fields: [pitchField(truth.value, gear.teeth, outside)],
      hint: 'Outside over teeth and two. Tips wear: a sample reads small more often than large.',
      working: workingAt(planSpur(gear), 'blank', 'tipDiameter'),
    });
  },
};

const ALL = [...standardPitches('module'), ...standardPitches('dp')].map(({ pitch }) => pitch);
const outsideFor = (pitch: Pitch, teeth: number): number => approx(pitch.module) * (teeth + 2);

/** The standard pitch whose outside is nearest, counting a tip that reads large twice: none grows. */
function bestPitch(teeth: number, outside: number): string {
  const off = (pitch: Pitch) => {
    const short = outsideFor(pitch, teeth) - outside;
    return short >= 0 ? short : -2 * short;
  };
  return pitchText([...ALL].sort((a, b) => off(a) - off(b))[0]!);
}

function pitchField(truth: Pitch, teeth: number, outside: number): JudgedField {
  return {
    key: 'pitch',
    label: 'Pitch',
    unit: '',
    like: 'such as M1.5 or 16 DP',
    answer: truth.system === 'module' ? `M${approx(truth.figure)}` : `${approx(truth.figure)} DP`,
    judge: (typed): Verdict => {
      if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
      const isNamed = /m|d|p/i.test(typed);
      const read = parsePitch(measure(typed.slice(0, 40), truth.system));
      if (!read.ok || !isNamed) return { state: 'unread', says: 'Write it with its system: M1.5 or 16 DP.' };
      const { module } = read.value;
      if (module.equals(truth.module)) return { state: 'right' };
      const is = (other: number) => Math.abs(approx(module) / other - 1) < 0.004;
      if (is(outside / teeth))
        return {
          state: 'slip',
          says: 'Outside taken for pitch diameter: the teeth stand out, so it is teeth and two.',
        };
      if (is(outside / (teeth + 1)))
        return { state: 'slip', says: 'One addendum is missing: teeth and two.' };
      if (read.value.system !== truth.system && read.value.figure.equals(truth.figure))
        return { state: 'slip', says: 'Module and DP are exchanged.' };
      const off = outsideFor(read.value, teeth) - outside;
      return {
        state: 'wrong',
        says: `A gear of that pitch would measure ${Math.abs(off).toFixed(2)} mm ${off > 0 ? 'more' : 'less'}.`,
      };
    },
  };
}

const bar: Drawn = {
  topic: 'arrival',
  title: 'What a bar end gives',
  pose: (chance, level) => {
    const gear = drawGear(chance, level);
    const module = gear.units === 'mm' ? Number(gear.pitch) : 25.4 / Number(gear.pitch);
    const stock = module * (gear.teeth + 2) + (chance.whole(10, 80) / 100) * module;
    const typed = gear.units === 'mm' ? stock.toFixed(1) : (stock / 25.4).toFixed(2);
    const diameter = exact(typed).mul(gear.units === 'mm' ? 1 : exact(127, 5));
    const own = parsePitch(measure(gear.pitch, gear.units === 'mm' ? 'module' : 'dp'));
    if (!own.ok) return null;
    const { module: exactModule } = own.value;
    const { largest } = gearsFromStock(
      { stock: diameter, cleanUp: exact(0), module: exactModule, addendum: exactModule },
      SCHOOL_HEAD,
    );
    if (largest < 12) return null;
    return posed({
      asks: 'What is the largest gear this bar end has the metal for, if its outside cleans up at once?',
      given: [pitchGiven(gear), { label: 'Bar', text: `Ø ${typed} ${gear.units}` }],
      fields: [
        countField({
          key: 'teeth',
          label: 'Teeth',
          truth: largest,
          slips: [
            { gives: largest + 2, says: 'That is the bar in modules: two of them stand out as addenda.' },
            {
              gives: largest + 1,
              says: 'There is not the metal for that one: round down, and take off both addenda.',
            },
            { gives: largest - 1, says: 'One more has room.' },
          ],
        }),
      ],
      hint: 'How many modules are in the diameter, less two for the addenda, whole teeth alone.',
      working: workingAt(planSpur({ ...gear, teeth: largest }), 'blank', 'tipDiameter'),
    });
  },
};

const shafts: Drawn = {
  topic: 'arrival',
  title: 'A pair for two shafts',
  pose: (chance, level) => {
    const module = chance.one(['1', '1.5', '2', '2.5']);
    const ratio = level === 1 ? chance.one([2, 3]) : chance.one([2, 3, 4, 1.5, 2.5]);
    const small = chance.whole(16, 30);
    const large = small * ratio;
    if (!Number.isInteger(large)) return null;
    const pitch = parsePitch(measure(module, 'module'));
    if (!pitch.ok) return null;
    const centre = (Number(module) * (small + large)) / 2;
    const { pairs } = findPairs(
      {
        centre,
        give: 0,
        ratio,
        ratioGive: 0,
        pitches: pitch.value,
        leastTeeth: 12,
        backlash: null,
        pressureAngle: (20 * Math.PI) / 180,
        addendum: 1,
        wholeDepth: 2.25,
      },
      1,
    );
    const [found] = pairs;
    if (found?.sits !== 'exact') return null;
    const [z1, z2] = found.teeth;
    return posed({
      asks: 'Which two gears run on these shafts, at this ratio?',
      given: [
        { label: 'Module', text: module },
        { label: 'Shafts apart', text: `${centre.toFixed(2)} mm` },
        { label: 'Ratio', text: `${ratio} : 1` },
      ],
      fields: [
        countField({
          key: 'small',
          label: 'Smaller gear',
          unit: 'teeth',
          truth: z1,
          slips: [
            {
              gives: z1 / 2,
              says: 'The distance is half of both diameters: teeth of both are twice the distance over the module.',
            },
            {
              gives: centre / Number(module) / ratio,
              says: 'Of the sum, the smaller has one part of ratio and one.',
            },
          ],
        }),
        countField({
          key: 'large',
          label: 'Larger gear',
          unit: 'teeth',
          truth: z2,
          slips: [{ gives: z2 / 2, says: 'The distance is half of both diameters.' }],
        }),
      ],
      hint: 'Teeth of both together: twice the distance over the module. Then shared out by the ratio.',
      working: [
        line(
          'Teeth of both',
          'z_1 + z_2 = \\frac{2a}{m}',
          `\\frac{2 \\times ${centre}}{${module}}`,
          String(z1 + z2),
        ),
        line('The smaller', 'z_1 = \\frac{z_1 + z_2}{1 + i}', `\\frac{${z1 + z2}}{1 + ${ratio}}`, String(z1)),
      ],
    });
  },
};

const flats: Drawn = {
  topic: 'arrival',
  title: 'Flats on a round bar',
  pose: (chance, level) => {
    const count = level === 3 ? chance.one([3, 5, 7]) : chance.one([4, 6, 8]);
    const diameter = chance.whole(16, 40);
    const corners = diameter * Math.cos(Math.PI / count);
    const across = Math.ceil(corners * 2) / 2 + chance.one([0, 0.5]);
    if (across >= diameter - 0.4) return null;
    const part = planPlain((old) => ({
      ...old,
      spacing: {
        ...old.spacing,
        what: 'flats',
        count: measure(String(count), 'count'),
        diameter: measure(String(diameter), 'mm'),
        acrossFlats: measure(String(across), 'mm'),
      },
    }));
    const truth = figureAt(part, 'spacing', 'depth');
    const odd = count % 2 === 1;
    return posed({
      asks: `How deep below the round is each of ${count} flats milled?${odd ? ' (An odd count has no flat opposite: across flats is twice from flat to middle.)' : ''}`,
      given: [
        { label: 'Bar', text: `Ø ${diameter} mm` },
        { label: 'Across flats', text: `${across} mm` },
      ],
      fields: [
        lengthField({
          key: 'depth',
          label: 'Depth of a flat',
          units: 'mm',
          truth,
          slips: [
            { gives: 2 * truth, says: 'Half of it: what is taken off lies on both sides.' },
            { gives: across / 2, says: 'That is from the middle to the flat.' },
          ],
        }),
      ],
      hint: 'From the round down to the flat: half of what bar and across flats differ.',
      working: workingAt(part, 'spacing', 'flatDepth'),
    });
  },
};

const rack: Drawn = {
  topic: 'arrival',
  title: 'Along a rack',
  pose: (chance, level) => {
    const module = chance.one(level === 1 ? ['1', '2'] : ['1', '1.25', '1.5', '2', '2.5']);
    const spaces = chance.whole(12, 40);
    const part = planPlain((old) => ({
      ...old,
      spacing: {
        ...old.spacing,
        by: 'pitch',
        what: 'teeth',
        pitch: measure(module, 'module'),
        count: measure(String(spaces + 1), 'count'),
      },
    }));
    const pitch = figureAt(part, 'spacing', 'pitch');
    const truth = pitch * spaces;
    const rounded = Number(pitch.toFixed(2)) * spaces;
    return posed({
      asks: `The first tooth space of a rack is cut at zero. What does the table read at the one that is ${spaces} pitches on?`,
      given: [{ label: 'Module', text: module }],
      fields: [
        lengthField({
          key: 'reads',
          label: 'The table reads',
          units: 'mm',
          truth,
          slips: [
            {
              gives: rounded,
              says: `A pitch rounded to hundredths, ${spaces} times over: the rounding adds up. Reckon each from zero.`,
            },
            { gives: pitch * (spaces + 1), says: 'One pitch too many: the first stands at zero.' },
            {
              gives: Number(module) * spaces,
              says: 'π is missing: the pitch along the rack is π times the module.',
            },
          ],
        }),
      ],
      hint: 'Each from zero, never from the one before.',
      working: workingAt(part, 'spacing', 'pitch'),
    });
  },
};

export const ARRIVING = { sample, bar, shafts, flats, rack };
