export { keptRuns } from './keptRuns.ts';
export { createRunLog, keepInTouch, writeInRun, type RunLogState } from './runLog.ts';
