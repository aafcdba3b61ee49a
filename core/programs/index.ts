export { cuttingProgram, type CuttingAsked, type CuttingSet } from './cutting.ts';
export { drillingProgram, type DrillingSet } from './drilling.ts';
export { turningProgram, type TurningAsked, type TurningSet } from './turning.ts';
export type { ProgramSet } from './words.ts';
