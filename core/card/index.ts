export { cutterInForce, type CutterInForce } from './cutterInForce.ts';
export { cuttingBy, finishPart, type StationWorks } from './finish.ts';
export { groundFor, dividingGround, type PartGround } from './ground.ts';
export { gearingOf, helixCutting, settingWords, withProof } from './helix.ts';
export { bestCutter, nextWaiting, waitsForPerson } from './waits.ts';
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
