export { compareTools, minutesWithTeeth, type CuttingTime, type ToolCompared } from './compareTools.ts';
export { cutterFor, otherSchoolsRange, rangeText, type CutterAnswer } from './cutterFor.ts';
export { fewestCutters, type PlannedGear, type Shopping, type ToBuy } from './fewest.ts';
export { countFor, judgeCutter, rankCutters, type CutterNeed, type JudgedCutter } from './judge.ts';
export { CUTTER_RANGES, HALF_CUTTERS, type CutterRange } from './ranges.ts';
export { cutterChoiceSchema, emptyCutterChoice, type CutterChoice } from './schema.ts';
export { cutterSet, FIFTEEN, otherSchool, rangeByNumber, type CutterSchool } from './sets.ts';
export { pickedCutter, planCutter, type CutterDetail, type FormGround } from './station.ts';
