import type { PracticeBench, TableBench } from './bench.ts';
import { cutsAsDeep } from './counted.ts';
import { depths, middle, PLACES, row, steps, type DividedReading } from './dividedRow.ts';
import type { Machine } from './machine.ts';
import { spacesBelow, type Where } from './measure.ts';
import { rimRows, roundRows } from './roundReadings.ts';
import type { Work } from './work.ts';

export interface DividedReadings {
  /** Cuts there are. */
  readonly cuts: number;
  readonly rows: readonly DividedReading[];
}

function barRows(bench: TableBench, work: Work, depth: number): DividedReading[] {
  const { pitch, rack } = bench.bar;
  // a rack that is not sunk to its pitch line yet has no tooth to be measured there
  const toPitchLine = rack !== null && depth > rack.module;
  const at = (where: Where) =>
    toPitchLine
      ? spacesBelow(work, work.top - rack.module, where)
      : cutsAsDeep(bench, work, { depth, share: 0.5, where });
  const there = at('middle');
  const teeth = there.slice(1).map(({ from }, i) => from - there[i]!.to);
  const [first, last] = [there[0], there.at(-1)];
  const [enters, leaves] = [at('entry')[0], at('exit')[0]];
  return [
    ...PLACES.flatMap((where) =>
      row({ what: 'depth', where, wanted: depth }, depths(work, at(where), where)),
    ),
    ...row({ what: 'step', where: 'middle', wanted: pitch }, steps(there.map(middle))),
    ...(there.length > 2
      ? row({ what: 'length', where: 'middle', wanted: (there.length - 1) * pitch }, [
          middle(last!) - middle(first!),
        ])
      : []),
    ...(toPitchLine
      ? row({ what: 'tooth', where: 'middle', wanted: pitch / 2 }, teeth)
      : row(
          { what: 'width', where: 'middle', wanted: 2 * bench.form.halfWidth(depth / 2) },
          there.map(({ from, to }) => to - from),
        )),
    ...(enters && leaves
      ? row({ what: 'lean', where: 'exit', wanted: 0 }, [middle(leaves) - middle(enters)])
      : []),
  ];
}

/** What caliper, depth gauge and protractor find. */
export function dividedReadings(bench: PracticeBench, { work }: Pick<Machine, 'work'>): DividedReadings {
  const depth = bench.run.rounds.at(-1)?.depthMm ?? 0;
  const rows =
    bench.on === 'table'
      ? barRows(bench, work, depth)
      : bench.rim
        ? rimRows(bench, bench.rim, work)
        : roundRows(bench, work, depth);
  return { cuts: cutsAsDeep(bench, work, { depth, share: 0.5 }).length, rows };
}
