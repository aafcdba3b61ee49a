import { expect, test } from '@jest/globals';
import { EXERCISE_IDS, poseExercise, type Exercise, type ExerciseId } from './index.ts';
import { Question } from './sampleQuestion.ts';

/*
 * Every answer worked anew from what the question tells, as a learner would with a pocket calculator: from
 * the texts alone, by the formulas of docs/sources.md (sizes: ISO 21771; pins, caliper, differential:
 * Machinery’s Handbook; the rest geometry), and nothing of the code that made the question.
 */

const RAD = Math.PI / 180;
const inv = (a: number) => Math.tan(a) - a;
const SEEDS = Array.from({ length: 24 }, (_, i) => i * 104_729 + 1);

const depthFactor = (rule: string, m: number): number => {
  if (rule.startsWith('ISO 53')) return 2.25 * m;
  if (rule.startsWith('Form')) return 2.157 * m;
  if (rule.startsWith('Coarse')) return 2.25 * m;
  if (rule.startsWith('Fine')) return 2.2 * m + 0.002 * 25.4;
  if (rule.startsWith('Stub')) return 1.8 * m;
  throw new Error(rule);
};
const FROM = [12, 14, 17, 21, 26, 35, 55, 135];
/** Numbers of the inch school count down from 8, those of the metric one up from 1. */
const inchNumber = (z: number) => 8 - FROM.filter((from) => z >= from).length + 1;
const HALVES: readonly (readonly [string, number, number])[] = [
  ['7½', 13, 13],
  ['6½', 15, 16],
  ['5½', 19, 20],
  ['4½', 23, 25],
  ['3½', 30, 34],
  ['2½', 42, 54],
  ['1½', 80, 134],
];

/** A turn of the crank as written in a right answer. */
const amount = (text: string): number =>
  text.split(' ').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/');
    return sum + Number(over) / Number(under);
  }, 0);

const helical = (q: Question) => {
  const [z, m, b] = [q.z, q.number('Normal module'), q.number('Helix angle') * RAD];
  return { z, m, b, d: (z * m) / Math.cos(b) };
};
const worm = (q: Question) => {
  const [m, starts, d] = [
    q.number('Module, along the axis'),
    q.number('Starts'),
    q.number('Pitch diameter of the worm'),
  ];
  return { m, starts, d, lead: starts * Math.PI * m };
};
const pinsOver = (z: number, m: number, dp: number): number => {
  const a = 20 * RAD;
  const wanted = inv(a) + dp / (z * m * Math.cos(a)) - Math.PI / (2 * z);
  let [low, high] = [0, 1.4];
  for (let i = 0; i < 100; i += 1) {
    const middle = (low + high) / 2;
    if (inv(middle) < wanted) low = middle;
    else high = middle;
  }
  const across = (z * m * Math.cos(a)) / Math.cos(low);
  return (z % 2 === 0 ? across : across * Math.cos((90 * RAD) / z)) + dp;
};

type Worked = Readonly<Record<string, number | string>>;

/** What each kind’s fields are to hold: lengths mm, angles degrees, counts, or the words of a choice. */
const ORACLES: Readonly<Partial<Record<ExerciseId, (q: Question) => Worked>>> = {
  sample: (q) => {
    // the pitch told is one whose outside lies within a worn tip of what was measured
    const [figure, system] = q.exercise.fields[0]!.answer.startsWith('M')
      ? [Number(q.exercise.fields[0]!.answer.slice(1)), 'M']
      : [Number.parseFloat(q.exercise.fields[0]!.answer), 'P'];
    const m = system === 'M' ? figure : 25.4 / figure;
    const lost = m * (q.z + 2) - q.mm('Measured over the tips');
    expect(lost).toBeGreaterThan(-0.002);
    expect(lost).toBeLessThan(0.19);
    return {};
  },
  bar: (q) => ({ teeth: Math.floor(q.mm('Bar') / q.module - 2 + 1e-9) }),
  shafts: (q) => {
    const sum = (2 * q.number('Shafts apart')) / q.number('Module');
    const small = sum / (1 + q.number('Ratio'));
    return { small: Math.round(small), large: Math.round(sum - small) };
  },
  flats: (q) => ({ depth: (q.number('Bar') - q.number('Across flats')) / 2 }),
  rack: (q) => ({ reads: Math.PI * q.number('Module') * q.asked(/is (\d+) pitches on/) }),
  outside: (q) => ({ outside: q.module * (q.z + 2) }),
  root: (q) => ({ root: q.module * (q.z + 2) - 2 * depthFactor(q.text('Depth'), q.module) }),
  depth: (q) => ({ depth: depthFactor(q.text('Rule'), q.module) }),
  'cutter-inch': (q) => ({ number: String(inchNumber(q.z)) }),
  'cutter-metric': (q) => ({ number: String(9 - inchNumber(q.z)) }),
  half: (q) => ({
    number: HALVES.find(([, from, to]) => q.z >= from && q.z <= to)?.[0] ?? String(inchNumber(q.z)),
  }),
  helical: (q) => ({
    number: String(inchNumber(Math.round(q.z / Math.cos(q.number('Helix angle') * RAD) ** 3))),
  }),
  arms: (q) => ({ holes: Number(/(\d+)\/\d+ from space/.exec(q.exercise.asks)![1]) + 1 }),
  direct: (q) => ({ holes: q.number('Ring') / q.asked(/for (\d+) division/) }),
  'helical-blank': (q) => ({ outside: helical(q).d + 2 * helical(q).m }),
  lead: (q) => ({ lead: (Math.PI * helical(q).d) / Math.tan(helical(q).b) }),
  // a right-hand tooth leans right as it goes away, so the table’s right end goes away to bring it straight
  swing: (q) => ({
    way: /right hand/.test(q.text('Helix angle')) ? 'away' : 'towards',
    angle: q.number('Helix angle'),
  }),
  'lead-angle': (q) => ({ angle: Math.atan(worm(q).lead / (Math.PI * worm(q).d)) / RAD }),
  centre: (q) => ({ centre: (worm(q).d + q.number('Teeth of the wheel') * worm(q).m) / 2 }),
  threads: (q) => {
    const p = Math.PI * q.number('Module, along the axis');
    return { pitch: p, lead: p * q.number('Starts') };
  },
  'worm-ratio': (q) => ({ turns: q.number('Teeth of the wheel') / q.number('Starts') }),
  speed: (q) => {
    const steps = q.text('The mill has').match(/\d+/g)!.map(Number);
    const speedOf = q.exercise.given.find(({ text }) => /m\/min/.test(text))!.text;
    const wanted = (1000 * Number.parseFloat(speedOf)) / (Math.PI * q.number('Cutter'));
    return { rpm: steps.filter((step) => step <= wanted).at(-1) ?? steps[0]! };
  },
  feed: (q) => ({ feed: q.number('Turns') * q.number('Cutter') * q.number('Chip of a tooth') }),
  centring: (q) => {
    const [D, w] = [q.number('Outside of the blank'), q.number('Width of the cutter')];
    const far = q.exercise.asks.startsWith('The far face');
    const paper = q.exercise.given.some(({ label }) => label === 'Paper') ? q.number('Paper') : 0;
    return { move: far ? (D - w) / 2 : (D + w) / 2 + paper };
  },
  clear: (q) => {
    const h = q.number('Depth');
    return { approach: Math.sqrt(h * (q.number('Cutter') - h)) };
  },
  dial: (q) => {
    const rough = Number(/leaves ([\d.]+) mm/.exec(q.exercise.asks)?.[1] ?? 0);
    const marks = (q.number('Whole depth') - rough) / 0.02;
    const [turns, rest] = [Math.floor(marks / 100 + 1e-9), Number((marks % 100).toFixed(1))];
    const said = turns === 0 ? '' : turns === 1 ? '1 turn ' : `${turns} turns `;
    return { dial: `${said}${rest === 100 ? 0 : rest} marks` };
  },
  'blank-off': (q) => ({
    depth: q.mm('Whole depth by the rule') + (q.mm('The blank measures') - q.module * (q.z + 2)) / 2,
  }),
  pins: (q) => ({ pins: pinsOver(q.z, q.module, q.mm('Pins')) }),
  span: (q) => {
    const over = Number(q.exercise.fields.find(({ key }) => key === 'over')!.answer);
    // k near zα/180° + ½
    expect(Math.abs(over - (q.z / 9 + 0.5))).toBeLessThanOrEqual(1);
    return {
      span: q.module * Math.cos(20 * RAD) * (Math.PI * (over - 0.5) + q.z * inv(20 * RAD)),
    };
  },
  caliper: (q) => {
    const [z, m] = [q.z, q.module];
    return {
      height: m + ((z * m) / 2) * (1 - Math.cos((90 * RAD) / z)),
      thickness: z * m * Math.sin((90 * RAD) / z),
    };
  },
  sink: (q) => {
    const j = q.mm('So the tooth is too thick by');
    return { sink: (j * Math.cos(20 * RAD)) / (2 * Math.sin((20 + 90 / q.number('The cutter')) * RAD)) };
  },
};

/** What the own answer of a field says, in the unit it is worked in. */
function said(exercise: Exercise, key: string): number | string {
  const { answer, unit, options } = exercise.fields.find((field) => field.key === key)!;
  if (options || /turn|marks/.test(answer)) return answer;
  const dms = /^(\d+)°(?: (\d+)′)?(?: (\d+)″)?$/.exec(answer);
  if (dms) return Number(dms[1]) + Number(dms[2] ?? 0) / 60 + Number(dms[3] ?? 0) / 3600;
  return Number.parseFloat(answer) * (unit === 'in' ? 25.4 : 1);
}

test.each(Object.keys(ORACLES) as ExerciseId[])('%s: the answer is what the question gives', (kind) => {
  for (const seed of SEEDS)
    for (const level of [1, 2, 3] as const) {
      const exercise = poseExercise({ kind, seed, level });
      const worked = ORACLES[kind]!(new Question(exercise));
      for (const [key, wanted] of Object.entries(worked)) {
        if (!exercise.fields.some((field) => field.key === key)) continue;
        const answer = said(exercise, key);
        if (typeof wanted === 'string')
          expect({ seed, level, [key]: answer }).toEqual({ seed, level, [key]: wanted });
        else
          expect({
            seed,
            level,
            off: Math.abs((answer as number) - wanted) < toleranceOf(exercise, key),
          }).toEqual({ seed, level, off: true });
      }
    }
});

/** So close is the same figure, rounded as the answer is and from a question that was rounded as well. */
function toleranceOf(exercise: Exercise, key: string): number {
  const { unit, answer } = exercise.fields.find((field) => field.key === key)!;
  const places = /\.(\d+)/.exec(answer)?.[1]!.length ?? 0;
  if (unit === '' && places === 0) return /°/.test(answer) ? 1 / 100 : 1e-6;
  if (unit === 'mm a minute') return 0.51;
  // the pin was told to a thousandth, and moves the reading three times as far
  if (key === 'pins') return 0.008;
  return 0.75 * 10 ** -places * (unit === 'in' ? 25.4 : 1) + 0.0004;
}

test.each([
  'simple',
  'angle',
  'circle',
  'compound',
  'lost',
  'plate-ratio',
  'train',
  'idlers',
  'chart',
  'lead-gears',
] as const)('%s: the answer turns the work by what was asked', (kind) => {
  for (const seed of SEEDS)
    for (const level of [1, 2, 3] as const) DIVIDES[kind](poseExercise({ kind, seed, level }));
});

const answerAt = (exercise: Exercise, key: string): string =>
  exercise.fields.find((field) => field.key === key)!.answer;
const askedOf = (exercise: Exercise, pattern: RegExp): number => Number(pattern.exec(exercise.asks)![1]);

/** Every way of dividing by what its answer does to the work. */
const DIVIDES = {
  simple: (one: Exercise) => {
    expect(amount(answerAt(one, 'move')) * askedOf(one, /for (\d+) teeth/)).toBeCloseTo(40, 9);
  },
  angle: (one: Exercise) => {
    const [, d, m = '0'] = /turn by (\d+)°(?: (\d+)′)?/.exec(one.asks)!;
    expect(amount(answerAt(one, 'move')) * 9).toBeCloseTo(Number(d) + Number(m) / 60, 9);
  },
  circle: (one: Exercise) => {
    const count = askedOf(one, /for (\d+) teeth/);
    const serving = one.fields[0]!.options!.filter(({ value }) => (40 * Number(value)) % count === 0);
    expect(serving.map(({ value }) => value)).toEqual([answerAt(one, 'circle')]);
  },
  compound: (one: Exercise) => {
    const [count, A, B] = [
      askedOf(one, /^(\d+) is not/),
      askedOf(one, /moves on (\d+)/),
      askedOf(one, /together on (\d+)/),
    ];
    const [a, b] = answerAt(one, 'moves').split(',').map(Number);
    expect(a! / A + b! / B).toBeCloseTo(40 / count, 9);
  },
  lost: (one: Exercise) => {
    const [, hole, holes, about] = /hole (\d+) of (\d+).*about (\d+) moves/.exec(one.asks)!.map(Number);
    const spaces = Number(/(\d+)\/\d+$/.exec(one.given[0]!.text)![1]);
    const count = Number(one.given[1]!.text);
    // walked round, hole by hole
    const there: number[] = [];
    for (let k = 0, at = 0; k < count; k += 1, at = (at + spaces) % holes!) if (at === hole) there.push(k);
    const nearest = there.sort((a, b) => Math.abs(a - about!) - Math.abs(b - about!))[0];
    expect(Number(answerAt(one, 'moves'))).toBe(nearest);
  },
  'plate-ratio': (one: Exercise) => {
    const [count, near] = [askedOf(one, /^(\d+) is indexed/), askedOf(one, /were (\d+)\./)];
    expect(amount(answerAt(one, 'ratio'))).toBeCloseTo((40 * Math.abs(near - count)) / near, 9);
  },
  train: (one: Exercise) => {
    const [spindle, first, second, last, idlers] = ['spindle', 'first', 'second', 'plateShaft', 'idlers'].map(
      (key) => Number(answerAt(one, key) || 1),
    );
    const isSimple = answerAt(one, 'first') === '';
    // one idler in a simple train, none in a compound one: with the crank
    const g =
      ((spindle! * second!) / (first! * last!)) *
      ((isSimple ? idlers! % 2 === 1 : Number(answerAt(one, 'idlers')) % 2 === 0) ? 1 : -1);
    expect((40 - g) / amount(answerAt(one, 'move'))).toBeCloseTo(askedOf(one, /for (\d+) divisions/), 9);
  },
  idlers: (one: Exercise) => {
    const [count, near] = [askedOf(one, /^(\d+) is indexed/), askedOf(one, /as (\d+),/)];
    expect(answerAt(one, 'way')).toBe(near > count ? 'with' : 'against');
    const compound = one.asks.includes('compound');
    expect(Number(answerAt(one, 'idlers'))).toBe((compound ? 0 : 1) + (near > count ? 0 : 1));
  },
  chart: (one: Exercise) => {
    const row = one.given.find(({ label }) => label === 'Gears')!.text;
    const [spindle, ...others] = row.match(/\d+/g)!.map(Number);
    const isSimple = others.length === 2;
    const [first, second, last, idlers] = isSimple ? [1, 1, ...others] : others;
    const g = ((spindle! * second!) / (first! * last!)) * (idlers! % 2 === (isSimple ? 1 : 0) ? 1 : -1);
    const move = amount(one.given.find(({ label }) => label === 'Move')!.text);
    expect(Number(answerAt(one, 'gives'))).toBeCloseTo((40 - g) / move, 2);
  },
  'lead-gears': (one: Exercise) => {
    const told = (label: string) => Number(/[\d.]+/.exec(one.given.find((g) => g.label === label)!.text)![0]);
    const gears = answerAt(one, 'train').match(/\d+/g)!.map(Number);
    const ratio =
      gears.length === 2 ? gears[1]! / gears[0]! : (gears[1]! * gears[3]!) / (gears[0]! * gears[2]!);
    const [wanted, cut] = [told('Lead wanted'), told('Lead of the machine') * ratio];
    const [d, face] = one.given
      .find(({ label }) => label === 'Pitch diameter, face')!
      .text.match(/[\d.]+/g)!
      .map(Number);
    expect(Math.abs(face! * Math.PI * d! * (1 / cut - 1 / wanted))).toBeLessThan(0.03);
  },
};

test('every kind is worked here', () => {
  expect([...Object.keys(ORACLES), ...Object.keys(DIVIDES)].sort()).toEqual([...EXERCISE_IDS].sort());
});
