export { centringsOf, type Centring } from './centring.ts';
export { depthDialOf, dialMove, moveText, type Dial, type DialMove } from './dial.ts';
export { thrustOf, type Reason, type Thrust } from './holding.ts';
export { keywayOf, type Keyway } from './keyway.ts';
export { type MandrelFit } from './mandrel.ts';
export { firstTouchReads, handleOf, safeAtDepth, type Deepening, type Handle, type Mount } from './mount.ts';
export { fitsOf, tableNeeds, type Fit, type Room } from './room.ts';
export { emptySetup, setupSchema, type SetupInput } from './schema.ts';
export { cuttingData, snapDown, type CuttingData } from './speed.ts';
export type {
  Beside,
  Running,
  SafeReadings,
  Travels,
  SetupDetail,
  SetupFacts,
  SetupShop,
  SetupWork,
} from './detail.ts';
export { feedText, rpmText, surfaceSpeedText } from './saying.ts';
export { planSetup } from './station.ts';
export { approachOf, CLEAR_BY, lagOf, strokeOf, type Stroke } from './stroke.ts';
export { minutesFor, timeText } from './time.ts';
