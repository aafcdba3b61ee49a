export { act } from './act.ts';
export { actionSchema, type Action, type ActionOf } from './actions.ts';
export {
  hasPlate,
  isGearBench,
  type GearBench,
  type HeadBench,
  type PracticeBench,
  type TableBench,
} from './bench.ts';
export { benchOf, RACK_ANGLES } from './benchOf.ts';
export { cutsMade } from './counted.ts';
export { dividedReadings } from './dividedReadings.ts';
export type { DividedReading, DividedWhat } from './dividedRow.ts';
export { demonstrate, type Shown } from './demonstrate.ts';
export type { FaultKey } from './fault.ts';
export { faultOf, faultsFor, hideFault } from './faults.ts';
export {
  circlesOn,
  leadNow,
  notOwned,
  plateRatioNow,
  type Drawer,
  type GearsOn,
  type Gearing,
} from './geared.ts';
export { reachOf } from './hand.ts';
export { inspectedJob } from './inspected.ts';
export {
  freshMachine,
  HARMS,
  holeUnderPin,
  isHarm,
  underCutter,
  type Done,
  type Harm,
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
export type { CutterForm } from './form.ts';
export { outlineOf, type OutlinePoint } from './outlineOf.ts';
export type { Section, Work } from './work.ts';
export type { Rim } from './rim.ts';
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
export { harmName, standsAt, type Stands } from './stands.ts';
export { sayPin, sayTold } from './words.ts';
