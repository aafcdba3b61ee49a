export { plan, refusals } from './plan.ts';
export { reopenStation, settleOpen, settleStation } from './settle.ts';
export {
  stationOf,
  type AnyStationPlan,
  type Cutting,
  type PartPlan,
  type Plan,
  type StationDetails,
  type StationPlan,
} from './types.ts';
