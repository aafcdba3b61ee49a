export { findLatheGears, PI_STAND_INS, type Lathe, type LatheWay } from './lathe.ts';
export type { LatheDetail, LatheFacts, LatheGround } from './latheDetail.ts';
export { astrayText } from './latheSaying.ts';
export { planLathe } from './latheStation.ts';
export {
  emptyThreading,
  emptyWorm,
  threadingSchema,
  wormSchema,
  type ThreadingInput,
  type WormInput,
} from './schema.ts';
export { dialReading, startWays, type Slide, type StartWay } from './starts.ts';
export { planWorm, usualThreadLength, type AngleScale, type WormDetail, type WormFacts } from './station.ts';
export { toolOf, wormTemplate, type WormTool } from './tool.ts';
