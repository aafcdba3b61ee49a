export { bendQuestion, leadQuestion } from './leadQuestions.ts';
export { groundOf, plan, refusals } from './plan.ts';
export { settingWords } from './helix.ts';
export { cutterNeed } from './spur.ts';
export { wheelNeed } from './wheel.ts';
export { reopenStation, settleOpen, settleStation } from './settle.ts';
export {
  beforeCutting,
  stationOf,
  whatItIs,
  type AnyStationPlan,
  type Cutting,
  type HelixCutting,
  type PartPlan,
  type Plan,
  type StationDetails,
  type StationPlan,
} from './types.ts';
