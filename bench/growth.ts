import { findNearTrains, findNearTrainsOfSix, tableOfGears, type OwnedGear } from '../core/gearing/index.ts';
import { searchBends } from '../core/lead/index.ts';
import { countAim, searchMethods } from '../core/dividing/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../core/shop/index.ts';

/** Of gears owned, each of another count. */
const MANY = [12, 24, 48, 96, 200];
const ROUNDS = 3;

const wall = (many: number): OwnedGear[] =>
  Array.from({ length: many }, (_, i) => ({ teeth: 20 + i, count: 1 }));
const [head] = STOCK_HEADS;
const [set] = STOCK_EQUIPMENT.gearSets;

/** What takes the longer with the more gears, each on a wall of so many. */
const SEARCHES: readonly (readonly [string, (gears: OwnedGear[]) => unknown])[] = [
  [
    'the best train of four for a lead',
    (gears) => findNearTrains(tableOfGears(gears), 0.7213, { compound: true, most: 24 }),
  ],
  ['the best train of six', (gears) => findNearTrainsOfSix(tableOfGears(gears), 0.7213, 24)],
  [
    'angles within 20° that the gears cut, with a mate',
    (gears) =>
      searchBends({
        gears,
        ...{ machine: '240', compound: true, teeth: 30, normalModule: 1, addendum: 1, faceWidth: 12 },
        ...{ helixDeg: 20, mateTeeth: 45, centre: null },
        give: { angle: 20, centre: null, diameter: null },
      }),
  ],
  [
    'every way of dividing by 127',
    (gears) =>
      searchMethods({ head: head!, gearSets: [{ ...set!, gears }], steppers: [], lead: null }, countAim(127)),
  ],
];

const once = (work: () => unknown): number => {
  const times = Array.from({ length: ROUNDS }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return Math.min(...times);
};

/**
 * How searches grow with the gears owned, as times of the one before and of the pairs of gears, which is what
 * they have to look at.
 */
export function benchGrowth(): void {
  for (const [name, search] of SEARCHES) {
    const times = MANY.map((many) => [many, once(() => search(wall(many)))] as const);
    const said = times.map(([many, time], i) => {
      const [fewer, before] = times[i - 1] ?? [many, time];
      const grew =
        i === 0 ? '' : `, ${(time / before).toFixed(1)}× for ${((many / fewer) ** 2).toFixed(1)}× the pairs`;
      return `${many}: ${time.toFixed(time < 10 ? 2 : 0)} ms${grew}`;
    });
    console.log(`       ${name}, by gears owned: ${said.join('; ')}`);
  }
}
