export {
  AT_STOPS,
  EACH_STEP,
  cutBefore,
  heed,
  progressOf,
  standingOf,
  standsAt,
  type Asked,
  type Progress,
  type Standing,
} from './progress.ts';
export type { HolesAsked } from './moves.ts';
export { onDepthDial, onTravelDial, runsAt, travelsOf } from './handles.ts';
export type { Act, Prompt, PromptOf, WayBack } from './prompt.ts';
export { nowLine, promptSheet, type NowLine, type SheetStretch } from './sheet.ts';
export { stretchOf, type Stand } from './stretch.ts';
export { roundName, sayNow, type NowSay } from './view.ts';
export { type Figure } from './figures.ts';
export { promptName } from './labels.ts';
export { promptText } from './sentences.ts';
