export {
  beforeCutting,
  bestCutter,
  dividingGround,
  nextWaiting,
  stationOf,
  waitsForPerson,
  whatItIs,
  type AnyStationPlan,
  type Cutting,
  type HelixCutting,
  type PartPlan,
  type Plan,
  type StationDetails,
  type StationPlan,
} from '../card/index.ts';
export { cutterNeedOf } from '../kinds/plans.ts';
export { bendQuestion, leadQuestion } from './leadQuestions.ts';
export { plan, refusals } from './plan.ts';
export { reopenStation, settleOpen, settleStation } from './settle.ts';
