import { otherSchoolsRange } from '../cutter/index.ts';
import { trainRatio, type Train } from '../gearing/index.ts';
import { exact, radiansOf } from '../units/index.ts';
import { isSlotted, type HeadBench } from './bench.ts';
import { always, early, hidden, KNEE, type FaultOn, type Ground } from './fault.ts';
import { formCutter, slotForm } from './form.ts';
import type { GearsOn } from './geared.ts';
import { exactGear } from './exactGear.ts';
import { freshMachine } from './machine.ts';
import { layRimAt } from './rim.ts';

/** Has it a mate? */
const isGear = ({ gear }: HeadBench): boolean => gear !== null;
const isGeared = ({ gearing }: HeadBench): boolean => gearing?.between === 'spindle';
/** With other gears on than it was made ready with. */
const withGears = (bench: HeadBench, gears: GearsOn | null): Ground => ({
  bench,
  machine: { ...freshMachine(bench), gears },
});
const isPlain = (bench: HeadBench): boolean =>
  bench.run.move.method === 'simple' && 'spaces' in bench.run.move && bench.run.move.spaces > 0;
const spacesOf = ({ run: { move } }: HeadBench): number => ('spaces' in move ? move.spaces : 0);

/** So much is seen with tools of the shop and not by eye, mm. */
const ECCENTRIC = 0.08;
const BESIDE = 0.25;
const OVER = 0.3;
const BENT = 0.12;
const WIDER = 0.12;
/** A head of 60 to 1 in place of one of 40. */
const OTHER_WORM = exact(3, 2);
const LAID_OFF = radiansOf(3);
/** Of a tooth and its space. */
const MISSED = 0.15;
/** A worn worm’s slack, by that of one that is well adjusted. */
const WORN = 4;

/** The circle beside the one that is meant. */
const nextCircle = ({ circles }: HeadBench, circle: number): number => {
  const sorted = [...circles].sort((a, b) => a - b);
  const at = sorted.indexOf(circle);
  return sorted[at + 1] ?? sorted[at - 1] ?? circle;
};

/** Each driver where its driven belongs. */
const exchanged = ({ driver, driven, second }: Train): Train => ({
  ...{ driver: driven, driven: driver },
  second: second && { driver: second.driven, driven: second.driver },
});

/** What can be wrong on a head. */
export const HEAD_FAULTS: readonly FaultOn<HeadBench>[] = [
  {
    key: 'arms',
    symptom: 'drift',
    say: 'The arms are a space too wide',
    fits: isPlain,
    hide: (bench, machine) => ({
      bench,
      machine: { ...machine, arms: { ...machine.arms, spaces: machine.arms.spaces + 1 } },
    }),
  },
  {
    key: 'pin-hole',
    symptom: 'drift',
    say: 'The arms were set with the pin’s own hole counted: a space too narrow',
    fits: (bench) => isPlain(bench) && spacesOf(bench) > 1,
    hide: (bench, machine) => ({
      bench,
      machine: { ...machine, arms: { ...machine.arms, spaces: machine.arms.spaces - 1 } },
    }),
  },
  {
    key: 'circle',
    symptom: 'drift',
    say: 'The pin runs on another circle than the one meant',
    fits: (bench) => isPlain(bench) && bench.circles.length > 1,
    hide: (bench, machine) => ({ bench, machine: { ...machine, circle: nextCircle(bench, machine.circle) } }),
  },
  {
    key: 'ratio',
    symptom: 'drift',
    say: 'The worm of the head is another than the card says',
    fits: ({ run: { move } }) => move.method === 'simple' && move.spaces === 0,
    hide: (bench) => hidden(bench, { ratio: bench.ratio.mul(OTHER_WORM) }),
  },
  {
    key: 'locked',
    symptom: 'count',
    say: 'The plate is locked, and its gears are out of mesh',
    fits: isGeared,
    hide: (bench) => {
      const ground = withGears(bench, null);
      return { ...ground, machine: { ...ground.machine, plateLock: 'in' } };
    },
  },
  {
    key: 'idlers',
    symptom: 'count',
    say: 'One idler too many or too few: the plate goes the other way',
    fits: isGeared,
    hide: (bench) => {
      const { train, idlers } = bench.gearing!;
      return withGears(bench, { train, idlers: idlers === 0 ? 1 : idlers - 1 });
    },
  },
  {
    key: 'chart',
    symptom: 'count',
    say: 'The row was misprinted: driver and driven exchanged',
    fits: (bench) => isGeared(bench) && !trainRatio(bench.gearing!.train).equals(1),
    hide: (bench) => {
      const { train, idlers } = bench.gearing!;
      return withGears(bench, { train: exchanged(train), idlers });
    },
  },
  {
    key: 'eccentric',
    symptom: 'once-round',
    say: 'The blank runs out',
    fits: always,
    hide: (bench) => hidden(bench, { eccentric: ECCENTRIC }),
  },
  {
    key: 'crept',
    symptom: 'end-tooth',
    say: 'The blank creeps on its mandrel: its key is sheared',
    fits: always,
    hide: (bench) => hidden(bench, { sheared: true }),
  },
  {
    key: 'off-centre',
    symptom: 'lean',
    say: 'The cutter stands beside the middle, though its dial says 0',
    // a flat is as it was
    fits: ({ run }) => run.divides !== 'flat',
    hide: (bench) => hidden(bench, { besideOff: BESIDE }),
  },
  {
    key: 'laid',
    symptom: 'lean',
    say: 'The table or head is swung to another angle',
    fits: ({ rim }) => rim !== null,
    hide: (bench) => hidden(bench, { rim: layRimAt(bench.rim!, bench.rim!.laidAt + LAID_OFF) }),
  },
  {
    key: 'wide',
    symptom: 'loose',
    say: 'The cutter runs out sideways, and cuts wider than it is',
    fits: ({ run }) => isSlotted(run),
    hide: (bench) =>
      hidden(bench, { form: slotForm(2 * bench.form.halfWidth(0) + WIDER, bench.form.diameter) }),
  },
  {
    key: 'blank-over',
    symptom: 'tight',
    say: 'The blank is over size, and the depth was set from it',
    fits: isGear,
    hide: (bench) => hidden(bench, { outside: bench.outside + OVER }),
  },
  {
    key: 'blank-under',
    symptom: 'loose',
    say: 'The blank is under size, and the depth was set from it',
    fits: isGear,
    hide: (bench) => hidden(bench, { outside: bench.outside - OVER }),
  },
  {
    key: 'school',
    symptom: 'loose',
    say: 'The cutter bears the other school’s number',
    fits: ({ gear, helix }) => gear !== null && !helix && otherSchoolsRange(gear.teeth) !== null,
    hide: (bench) => {
      const gear = bench.gear!;
      const { from } = otherSchoolsRange(gear.teeth)!;
      return hidden(bench, { form: formCutter(exactGear(gear, from), bench.form.diameter) });
    },
  },
  {
    key: 'bends',
    symptom: 'shallow',
    say: 'The mandrel bends away in the middle',
    fits: always,
    hide: (bench) => hidden(bench, { away: [0, BENT, 0] }),
  },
  {
    key: 'tailstock',
    symptom: 'shallow',
    say: 'The tailstock stands lower than the head',
    fits: always,
    hide: (bench) => hidden(bench, { away: [0, BENT / 2, BENT] }),
  },
  {
    key: 'along',
    symptom: 'lean',
    say: 'Head and tailstock are not in line with the travel',
    fits: always,
    hide: (bench) => hidden(bench, { aside: [-BESIDE / 2, 0, BESIDE / 2] }),
  },
  KNEE,
  {
    key: 'slack',
    symptom: 'end-tooth',
    say: 'The crank was turned back before the first cut: the slack of the worm is on the wrong side',
    fits: ({ ring, motor }) => ring === null && motor === null,
    hide: (bench) => {
      const ground = hidden(bench, { slack: bench.slack.mul(WORN) });
      const spindle = ground.bench.slack.div(bench.ratio);
      return { ...ground, machine: { ...ground.machine, spindle } };
    },
  },
  early('the table'),
  {
    key: 'steps',
    symptom: 'motor',
    say: 'The motor missed steps in one move, and its count does not know',
    fits: ({ motor }) => motor !== null,
    hide: (bench) => {
      const { motor, teeth } = bench;
      const steps = Math.max(1, Math.round((MISSED * motor!.stepsPerTurn.valueOf()) / teeth));
      return hidden(bench, { missed: { move: Math.ceil(teeth / 3), steps } });
    },
  },
];
