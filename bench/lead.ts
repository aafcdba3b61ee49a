import {
  findNearTrains,
  findNearTrainsOfSix,
  tableOfGears,
  trainRatio,
  type OwnedGear,
  type Train,
} from '../core/gearing/index.ts';
import { approx, exact } from '../core/units/index.ts';
import { findLatheGears, type Lathe } from '../core/worm/index.ts';
import { compare, report } from './measure.ts';

/** So many different gears, one of each. */
const wall = (many: number): OwnedGear[] =>
  Array.from({ length: many }, (_, i) => ({ teeth: 20 + i, count: 1 }));

/** Ratios of leads that a person may ask for: screw to worm. */
const WANTED = [0.7213, 1.3179, 0.2836];

/**
 * The best of four gears by four nested loops, one for each position. @returns how far it is from the wanted
 * ratio
 */
function nested(teeth: readonly number[], wanted: number): number {
  let best = Infinity;
  for (const a of teeth) {
    for (const b of teeth) {
      if (b === a) continue;
      const two = Math.abs(a / b - wanted);
      if (two < best) best = two;
      for (const c of teeth) {
        if (c === a || c === b) continue;
        for (const d of teeth) {
          if (d === a || d === b || d === c) continue;
          const off = Math.abs((a * c) / (b * d) - wanted);
          if (off < best) best = off;
        }
      }
    }
  }
  return best;
}

/** The best of six gears: every three drivers against every three drivens. */
function triples(teeth: readonly number[], wanted: number): number {
  const threes: [number, number, number][] = [];
  for (const [i, a] of teeth.entries())
    for (let j = i + 1; j < teeth.length; j += 1)
      for (let k = j + 1; k < teeth.length; k += 1) threes.push([a, teeth[j]!, teeth[k]!]);
  let best = Infinity;
  for (const [a, b, c] of threes) {
    for (const [d, e, f] of threes) {
      if (a === d || a === e || a === f || b === d || b === e || b === f || c === d || c === e || c === f)
        continue;
      const off = Math.abs((a * b * c) / (d * e * f) - wanted);
      if (off < best) best = off;
    }
  }
  return best;
}

const offOf = (train: Train | undefined, wanted: number): number =>
  train ? Math.abs(trainRatio(train).valueOf() - wanted) : Infinity;

const LATHE: Lathe = {
  leadscrew: exact(254, 80),
  box: Array.from({ length: 32 }, (_, i) => ({ name: `${i + 4}`, ratio: exact(8, i + 4) })),
  gears: wall(24),
  stud: true,
};

/**
 * A worm’s lead on a lathe: every setting of its box with the same search, beside every setting with nested
 * loops. @returns was the target kept?
 */
function benchLathe(): boolean {
  const teeth = LATHE.gears.map(({ teeth: count }) => count);
  const lead = Math.PI * 2.54;
  const bases = LATHE.box.map(({ ratio }) => approx(LATHE.leadscrew.mul(ratio)));
  const loops = () =>
    Math.min(...bases.map((base) => Math.min(nested(teeth, lead / base) * base, Math.abs(base - lead))));
  const search = () => findLatheGears(LATHE, { lead, engaged: 20 }, { most: 1 })[0]!;
  const same = Math.abs(loops() - Math.abs(search().lead - lead)) < 1e-12;
  console.log(`${same ? 'kept ' : 'MISSED'}  the same lathe gears from 24 gears and 32 settings`);
  const { work, yardstick } = compare({ name: 'lathe', work: loops, yardstick: search, rounds: 5 });
  const what =
    'lathe gears for a worm, 24 gears and 32 settings of a box, nested loops beside the search that leads use';
  return (
    report(
      what,
      work / yardstick,
      { atLeast: 10 },
      `${work.toFixed(1)} ms : ${yardstick.toFixed(2)} ms a worm`,
    ) && same
  );
}

/** Trains for a lead beside nested loops, tables built included. @returns were the targets kept? */
export function benchLead(): boolean {
  let kept = true;
  const four = (many: number, wanted: number) =>
    findNearTrains(tableOfGears(wall(many)), wanted, { compound: true, most: 1 })[0];
  const six = (wanted: number) => findNearTrainsOfSix(tableOfGears(wall(24)), wanted, 1)[0];
  for (const [many, atLeast] of [
    [12, 0],
    [24, 0],
    [48, 50],
    [96, 100],
  ] as const) {
    const teeth = wall(many).map(({ teeth: count }) => count);
    const same = WANTED.every(
      (wanted) => Math.abs(offOf(four(many, wanted), wanted) - nested(teeth, wanted)) < 1e-13,
    );
    const { work, yardstick } = compare({
      name: `lead ${many}`,
      work: () => WANTED.map((wanted) => nested(teeth, wanted)),
      yardstick: () => WANTED.map((wanted) => four(many, wanted)),
      rounds: many > 50 ? 5 : 9,
    });
    const times = `${(work / 3).toFixed(3)} ms : ${(yardstick / 3).toFixed(3)} ms a lead`;
    const what = `best train of four from ${many} gears, nested loops beside the search with its table`;
    if (atLeast === 0) console.log(`       ${what}: ${(work / yardstick).toFixed(0)} times, ${times}`);
    else kept = report(what, work / yardstick, { atLeast }, times) && kept;
    console.log(`${same ? 'kept ' : 'MISSED'}  the same best of four from ${many} gears`);
    kept &&= same;
  }
  const teeth = wall(24).map(({ teeth: count }) => count);
  const same = WANTED.every(
    (wanted) => Math.abs(offOf(six(wanted), wanted) - triples(teeth, wanted)) < 1e-13,
  );
  console.log(`${same ? 'kept ' : 'MISSED'}  the same best of six from 24 gears`);
  const { work, yardstick } = compare({
    name: 'six',
    work: () => WANTED.map((wanted) => triples(teeth, wanted)),
    yardstick: () => WANTED.map(six),
    rounds: 5,
  });
  const fast = report(
    'best train of six from 24 gears, triples beside triples, beside meeting in the middle',
    work / yardstick,
    { atLeast: 20 },
    `${(work / 3).toFixed(1)} ms : ${(yardstick / 3).toFixed(2)} ms a lead`,
  );
  const lathe = benchLathe();
  return kept && same && fast && lathe;
}
