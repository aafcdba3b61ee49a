import type { CutDetail, CutFacts } from '../cut/index.ts';
import type { Part } from '../kinds/index.ts';
import type { SetupDetail, SetupFacts } from '../setup/index.ts';
import {
  answerToSettle,
  STATIONS,
  stateOf,
  whatMoved,
  type Settled,
  type StationId,
  type StationWork,
} from '../station/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { AnyStationPlan, Cutting, PartPlan, StationDetails, StationPlan } from './types.ts';

/** What stations worked out, by their names, in shop order; null where a part has none of it. */
export type StationWorks = {
  readonly [Id in StationId]?: StationWork<unknown, StationDetails[Id]> | null;
};

/** A station's work in its place in the plan: number, state, what moved. The facts stay behind. */
function finishStation<Id extends StationId>(
  id: Id,
  work: StationWork<unknown, StationDetails[Id]>,
  { settled, units }: { readonly settled: Settled | undefined; readonly units: UnitSystem },
): StationPlan<Id> {
  const { answer, values, working, cautions, issues, detail } = work;
  const complete =
    work.facts !== null &&
    !issues.some(({ severity }) => severity === 'wrong' || severity === 'needed' || severity === 'blocked');
  const moved = settled ? whatMoved(settled, values, units) : [];
  return {
    id,
    ...STATIONS[id],
    state: stateOf(work, settled, moved),
    complete,
    answer,
    values,
    working,
    cautions,
    issues,
    moved,
    lessons: [],
    toSettle: answerToSettle(work),
    detail,
  };
}

/** A part as it is planned: its stations in order, each as it stands beside what it was settled with. */
export function finishPart(
  { id, kind, name, settled }: Part,
  units: UnitSystem,
  { works, cutting }: { readonly works: StationWorks; readonly cutting: Cutting | null },
): PartPlan {
  const stations = Object.entries(works).flatMap(([key, work]) => {
    const station = key as StationId;
    return work
      ? [finishStation(station, work as never, { settled: settled[station], units }) as AnyStationPlan]
      : [];
  });
  return { id, kind, name, stations, cutting };
}

/**
 * What a run takes from its rounds and its set-up; straight and without a bore, where a kind says no more.
 */
export const cuttingBy = (
  { startSpace }: CutFacts,
  { rounds }: CutDetail,
  setup: StationWork<SetupFacts, SetupDetail>,
) => ({
  startSpace,
  rounds,
  helix: null,
  laid: null,
  mount: setup.detail.mount,
  safe: setup.facts?.safe ?? null,
  minutesPerCut: setup.facts?.minutesPerCut ?? null,
  running: setup.facts?.running ?? null,
  bore: null,
});
