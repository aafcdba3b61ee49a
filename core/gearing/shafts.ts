import { meshesOf, type Train } from './trains.ts';

/** Teeth an idler is drawn with; any gear left over serves. */
const IDLER = 28;

/** A shaft of a train as it is laid out, with what stands on it. */
export interface TrainShaft {
  readonly name: string;
  /** Gears on this shaft: the one that is driven first, then the one that drives. */
  readonly gears: readonly number[];
  readonly idler: boolean;
  /** Its middle from the first shaft's, in teeth of diameter: times the module it is mm. */
  readonly centre: number;
}

export interface TrainLaid {
  readonly train: Train;
  readonly idlers: number;
  /** What the first gear and the last stand on. */
  readonly ends: readonly [string, string];
}

/** The shafts from the first to the last, in the order they mesh, laid out straight. */
export function layShafts({ train, idlers, ends }: TrainLaid): readonly TrainShaft[] {
  const meshes = meshesOf(train);
  const studs = meshes.slice(1).map(({ driver }, i) => ({
    name: meshes.length > 2 ? `stud ${i + 1}` : 'stud',
    gears: [meshes[i]!.driven, driver],
    idler: false,
  }));
  const between = Array.from({ length: idlers }, () => ({ name: 'idler', gears: [IDLER], idler: true }));
  const bare = [
    { name: ends[0], gears: [train.driver], idler: false },
    ...studs,
    ...between,
    { name: ends[1], gears: [meshes.at(-1)!.driven], idler: false },
  ];
  let centre = 0;
  return bare.map((shaft, i) => {
    const before = bare[i - 1];
    if (before) centre += (before.gears.at(-1)! + shaft.gears[0]!) / 2;
    return { ...shaft, centre };
  });
}
