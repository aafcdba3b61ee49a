export { act } from './act.ts';
export { actionSchema, type Action, type ActionOf } from './actions.ts';
export { benchOf, hasPlate, type PracticeBench } from './bench.ts';
export { demonstrate, type Shown } from './demonstrate.ts';
export { faultOf, faultsFor, hideFault, type FaultKey } from './faults.ts';
export { circlesOn, leadNow, plateRatioNow, type GearsOn, type Gearing } from './geared.ts';
export { reachOf } from './hand.ts';
export { inspectedJob } from './inspected.ts';
export {
  freshMachine,
  holeUnderPin,
  isHarm,
  underCutter,
  type Done,
  type HeldBy,
  type Machine,
  type Told,
} from './machine.ts';
export {
  outsideReads,
  overTwoPins,
  sectionAt,
  spacesBelow,
  spacesInOrder,
  spanAcross,
  type FoundSpace,
  type Where,
} from './measure.ts';
export type { Section, Work } from './work.ts';
export { readingsOf, type Reading, type Readings } from './readings.ts';
export {
  cycleOf,
  goOnLikeThis,
  newSession,
  perform,
  takeBack,
  type Cycle,
  type Entry,
  type Session,
} from './session.ts';
export { sayPin, sayTold } from './words.ts';
