import { otherSchoolsRange } from '../cutter/index.ts';
import { trainRatio, type Train } from '../gearing/index.ts';
import type { SymptomId } from '../trouble/index.ts';
import { exactGear, type PracticeBench } from './bench.ts';
import type { GearsOn } from './geared.ts';
import { CLEAR, reachOf } from './hand.ts';
import { freshMachine, type Machine } from './machine.ts';
import { formCutter } from './work.ts';

/** What can be wrong at the bench without being seen; named as among the causes of trouble. */
export type FaultKey =
  | 'arms'
  | 'pin-hole'
  | 'chart'
  | 'school'
  | 'blank-under'
  | 'bends'
  | 'tailstock'
  | 'along'
  | 'circle'
  | 'locked'
  | 'idlers'
  | 'eccentric'
  | 'crept'
  | 'off-centre'
  | 'blank-over'
  | 'knee'
  | 'slack'
  | 'early'
  | 'steps';

/** A fault, what of the work shows it, and how it is hidden. */
interface Fault {
  readonly key: FaultKey;
  /** Where “Something looks wrong” lists it. */
  readonly symptom: SymptomId;
  /** Said when it is named, and when one chooses among them. */
  readonly say: string;
  /** Can this bench have it? */
  readonly fits: (bench: PracticeBench) => boolean;
  readonly hide: (bench: PracticeBench, machine: Machine) => Ground;
}

interface Ground {
  readonly bench: PracticeBench;
  readonly machine: Machine;
}

const isGeared = ({ gearing }: PracticeBench): boolean => gearing?.between === 'spindle';
/** With other gears on than it was made ready with. */
const withGears = (bench: PracticeBench, gears: GearsOn | null): Ground => ({
  bench,
  machine: { ...freshMachine(bench), gears },
});
const isPlain = (bench: PracticeBench): boolean =>
  bench.run.move.method === 'simple' && 'spaces' in bench.run.move && bench.run.move.spaces > 0;
const spacesOf = ({ run: { move } }: PracticeBench): number => ('spaces' in move ? move.spaces : 0);
const always = (): boolean => true;

/** So much is seen with tools of the shop and not by eye, mm. */
const ECCENTRIC = 0.08;
const BESIDE = 0.25;
const OVER = 0.3;
const LOST = 0.12;
const BENT = 0.12;
/** How far in from the first touch a work that is turned too early stands, as a part of the approach. */
const NEAR = 0.4;
/** Of a tooth and its space. */
const MISSED = 0.15;
/** A worn worm’s slack, by that of one that is well adjusted. */
const WORN = 4;

/** The circle beside the one that is meant. */
const nextCircle = ({ circles }: PracticeBench, circle: number): number => {
  const sorted = [...circles].sort((a, b) => a - b);
  const at = sorted.indexOf(circle);
  return sorted[at + 1] ?? sorted[at - 1] ?? circle;
};

/** A bench with something hidden in it; what a fresh machine is made of goes along. */
const hidden = (bench: PracticeBench, change: Partial<PracticeBench>): Ground => {
  const other = { ...bench, ...change };
  return { bench: other, machine: freshMachine(other) };
};

/** Each driver where its driven belongs. */
const exchanged = ({ driver, driven, second }: Train): Train => ({
  ...{ driver: driven, driven: driver },
  second: second && { driver: second.driven, driven: second.driver },
});

const FAULTS: readonly Fault[] = [
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
    fits: always,
    hide: (bench) => hidden(bench, { besideOff: BESIDE }),
  },
  {
    key: 'blank-over',
    symptom: 'tight',
    say: 'The blank is over size, and the depth was set from it',
    fits: always,
    hide: (bench) => hidden(bench, { outside: bench.outside + OVER }),
  },
  {
    key: 'blank-under',
    symptom: 'loose',
    say: 'The blank is under size, and the depth was set from it',
    fits: always,
    hide: (bench) => hidden(bench, { outside: bench.outside - OVER }),
  },
  {
    key: 'school',
    symptom: 'loose',
    say: 'The cutter bears the other school’s number',
    fits: ({ gear, helix }) => !helix && otherSchoolsRange(gear.teeth) !== null,
    hide: (bench) => {
      const { from } = otherSchoolsRange(bench.gear.teeth)!;
      const form = formCutter(exactGear(bench.gear, from), bench.form.diameter);
      return hidden(bench, { form });
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
  {
    key: 'knee',
    symptom: 'shallow',
    say: 'The knee sinks under the cut: it is shallower than the dial says',
    fits: always,
    hide: (bench) => hidden(bench, { depthLost: LOST }),
  },
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
  {
    key: 'early',
    symptom: 'nick',
    say: 'The table’s dial has slipped: where it reads clear the cutter still reaches the work',
    fits: ({ run, helix }) => helix === null && run.safe?.way === 'along',
    hide: (bench) => {
      const { run } = bench;
      const off = CLEAR + NEAR * reachOf(bench, run.rounds.at(-1)?.depthMm ?? 0);
      const atEntry = run.safe?.way === 'along' && run.safe.indexAt === 'entry';
      return hidden(bench, { tableOff: atEntry ? off : -off });
    },
  },
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

/** Those that this bench can have. */
export const faultsFor = (bench: PracticeBench): readonly Fault[] => FAULTS.filter(({ fits }) => fits(bench));

/**
 * One fault hidden in a bench that is made ready.
 * @param seed whole; the same seed hides the same fault
 */
export function hideFault(bench: PracticeBench, seed: number): Ground & { readonly key: FaultKey } {
  const all = faultsFor(bench);
  const fault = all[Math.abs(Math.trunc(seed)) % all.length]!;
  return { ...fault.hide(bench, freshMachine(bench)), key: fault.key };
}

export const faultOf = (key: FaultKey): Fault => FAULTS.find((each) => each.key === key)!;
