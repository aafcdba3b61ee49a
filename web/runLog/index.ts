export { createRunLog, keepInTouch, writeInRun, type RunLogState } from './runLog.ts';
