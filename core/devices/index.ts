export { AXIS_LETTERS, AXIS_USES, BAUDS, type AxisUse } from './axes.ts';
export {
  BELIEVED_MS,
  cutterAt,
  HELD_MS,
  whyNotTurn,
  type CutterAt,
  type Ground,
  type NotNow,
  type Reads,
} from './interlock.ts';
export { LONGEST_LINE, NO_LINE, takeLines, type OpenLine } from './lines.ts';
export { moveLine, readMotorLine, type MotorLine } from './motionLine.ts';
export {
  beat,
  comeHere,
  countNow,
  freshMotor,
  hear,
  loseLine,
  order,
  sayStands,
  stopMotor,
  tick,
  type Doubt,
  type MotorState,
  type OrderAnswer,
  type Outcome,
  type Stepped,
  type StopWhy,
} from './motor.ts';
export { readReadoutLine, readToolLine } from './readingLine.ts';
export { countOfPlace, countOfStep, missedMeans, tellsSteps } from './schedule.ts';
export {
  deviceSchema,
  isOfTheShop,
  MOST_DEVICES,
  type Device,
  type DeviceLink,
  type MotorDevice,
  type ReadoutDevice,
  type ToolDevice,
} from './schema.ts';
export { sayDoubt, sayMissed, sayNotNow, sayStopped } from './words.ts';
