export { api, AwayError, ProblemError, whenUnknownDevice } from './api.ts';
export { ASIDE_PREFIX, DRAFT_PREFIX, forgetKept, keepNow, keepSoon, keptUnder } from './browserKeeps.ts';
export { keys } from './keys.ts';
export { opensWithoutServer } from './offline.ts';
export { letInPass } from './letIn.ts';
export { newId } from './newId.ts';
export { usePreferences } from './preferences.ts';
export {
  useDevices,
  useJob,
  useJobs,
  useLog,
  useLogPage,
  usePicturesOf,
  useRun,
  useRunsOf,
  useShop,
  type JobFilter,
  type LogFilter,
} from './queries.ts';
export { queryClient } from './queryClient.ts';
export { createSaver, type SaveFault, type Saver, type Saving, type Timers } from './saver.ts';
export { useShopSave, type ShopSave } from './shopSave.ts';
