export { bendAngle, bendPair, type Bending, type BentAngle, type PairAngle } from './bend.ts';
export {
  searchBends,
  type BendAnswer,
  type BendBasis,
  type BendQuestion,
  type Bent,
  type BentPair,
} from './bendSearch.ts';
export { readGive, type Give } from './give.ts';
export { angleOfLead, helixLead, machineLead } from './lead.ts';
export { findLeadTrains, leadOf, usualLeadIdlers, type LeadAsked, type LeadTrain } from './leadTrains.ts';
export { layOrder, type LayOrder } from './order.ts';
export { proveHelix, spindleTurns, type HelixProof } from './motion.ts';
export { positionsOf, strayText } from './saying.ts';
export { leadSchema, emptyLead, type LeadInput } from './schema.ts';
export { layingFor, setTable, type TableSetting } from './setting.ts';
export { leadCutter } from './equipped.ts';
export { searchLeads, type LeadQuestion } from './question.ts';
export { planLead, type LeadPlanned } from './station.ts';
export type { LeadCutter, LeadDetail, LeadFacts, LeadGround, LeadWay, LeadWork } from './types.ts';
export {
  approachAlong,
  cornerReach,
  headTilt,
  onScale,
  settingOf,
  tableSwing,
  testLine,
  widerBySetting,
  type TableSwing,
  type TestLine,
} from './table.ts';
