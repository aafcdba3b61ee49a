export {
  equipmentFromV1,
  equipmentFromV2,
  equipmentFromV3,
  equipmentFromV4,
  equipmentFromV5,
  equipmentFromV6,
  equipmentToToday,
  headFromV1,
  headFromV2,
  headFromV6,
  millFromV4,
  millFromV6,
  shopToToday,
} from './migrate.ts';
export { readCuttingSpeed, readFeeds, readSpeeds } from './machine.ts';
export {
  equipmentSchema,
  headSchema,
  MOST_HOLES,
  NO_EQUIPMENT,
  type CutterNumber,
  type Equipment,
  type FormCutter,
  type GearSet,
  type Handwheel,
  type Head,
  type Plate,
  type Ring,
  type Standing,
  type Stepper,
} from './schema.ts';
export {
  millSchema,
  type Mandrel,
  type Material,
  type Mill,
  type Screw,
  type ShopLathe,
} from './machineSchema.ts';
export { MEASURING_TOOLS, type Lesson, type MeasuringTool } from './lessonSchema.ts';
export { whatDiffers } from './differs.ts';
export { READY_MILLS } from './readyMills.ts';
export {
  plainCutter,
  plainHead,
  plainLathe,
  plainMandrel,
  STOCK_EQUIPMENT,
  STOCK_GEARS,
  STOCK_HEADS,
  STOCK_MATERIALS,
  STOCK_MILL,
  STOCK_ROTARY,
  THREE_PLATES,
  TWO_SIDED_PLATE,
  UNKNOWN_STANDING,
} from './stock.ts';
export {
  idFrom,
  leadFromThreads,
  readBox,
  readCircles,
  readCutterNumber,
  readHoles,
  readRatio,
  readToothRange,
  toothRangeText,
  type BoxSetting,
} from './reading.ts';
export { readSize, unitsOfCutter, unitsOfSize, type SizeOf } from './plausible.ts';
export { lengthText as lengthCellText } from './rowReaders.ts';
export { pitchCell, pitchCellText } from './takeRow.ts';
export {
  readTable,
  TABLE_IDS,
  TABLE_NAMES,
  writeTable,
  type BadRow,
  type TableId,
  type TableRead,
} from './tables.ts';
