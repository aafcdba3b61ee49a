export { api, AwayError, ProblemError, whenUnknownDevice } from './api.ts';
export {
  asideDrafts,
  forgetAside,
  forgetDraft,
  keepDraft,
  keptDraft,
  keptDrafts,
  putDraftAside,
  type AsideDraft,
  type KeptDraft,
} from './keptDrafts.ts';
export { keys } from './keys.ts';
export { newId } from './newId.ts';
export { usePreferences } from './preferences.ts';
export { useJob, useJobs, useLog, useLogPage, useRun, useRunsOf, useShop } from './queries.ts';
export { queryClient } from './queryClient.ts';
export { useShopSave, type ShopSave } from './shopSave.ts';
