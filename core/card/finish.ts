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
import type { StationDetails, StationPlan } from './types.ts';

/** Turns a station's work into its place in the plan: number, state, what moved. The facts stay behind. */
export function finishStation<Id extends StationId>(
  id: Id,
  work: StationWork<unknown, StationDetails[Id]>,
  settled: Settled | undefined,
  system: UnitSystem,
): StationPlan<Id> {
  const { answer, values, working, cautions, issues, detail } = work;
  const complete =
    work.facts !== null &&
    !issues.some(({ severity }) => severity === 'wrong' || severity === 'needed' || severity === 'blocked');
  const moved = settled ? whatMoved(settled, values, system) : [];
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
