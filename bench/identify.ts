import { ANY_COUNT, search, searchPlainly, type Readings } from '../core/sample/index.ts';
import { compare, report } from './measure.ts';

const WANTED = 10;
const NOTHING: Readings = {
  teeth: ANY_COUNT,
  survivors: null,
  tip: null,
  depth: null,
  root: null,
  span: null,
  basePitch: null,
  mateCentre: null,
  gauge: null,
  helix: 'not-looked',
  helixAngle: null,
  lead: null,
  wear: 0.25,
  give: 0.03,
};
/** Samples whose count is not known: a broken gear with its outside and what else could be had of it. */
const SAMPLES: readonly Readings[] = [
  { ...NOTHING, tip: { mm: 89.87, acrossOdd: false }, depth: 3.34 },
  {
    ...NOTHING,
    tip: { mm: 89.87, acrossOdd: false },
    depth: 3.34,
    span: { k: 7, mm: 29.98 },
    basePitch: 4.43,
  },
  { ...NOTHING, tip: { mm: 52.4, acrossOdd: false }, span: { k: 5, mm: 17.31 } },
  { ...NOTHING, mateCentre: { teeth: 30, mm: 66.1 }, depth: 2.7, basePitch: 3.68 },
];

/**
 * Identification with the count unknown, 5 to 400, beside plain nested search. @returns was the target kept?
 */
export function benchIdentify(): boolean {
  const plain = (found: ReturnType<typeof search>) =>
    JSON.stringify(found.map(({ cost, order }) => [cost, ...order]));
  const same = SAMPLES.every(
    (readings) => plain(search(readings, WANTED)) === plain(searchPlainly(readings, WANTED)),
  );
  console.log(
    `${same ? 'kept ' : 'MISSED'}  identification and plain nested search rank the same ten, for ${SAMPLES.length} samples`,
  );
  const { work, yardstick } = compare({
    name: 'identify',
    work: () => SAMPLES.map((readings) => searchPlainly(readings, WANTED)),
    yardstick: () => SAMPLES.map((readings) => search(readings, WANTED)),
    rounds: 5,
  });
  const kept = report(
    'plain nested search of a sample, count 5–400 unknown, best ten, beside identification',
    work / yardstick,
    { atLeast: 20 },
    `${(work / SAMPLES.length).toFixed(1)} ms : ${(yardstick / SAMPLES.length).toFixed(2)} ms a sample`,
  );
  return same && kept;
}
