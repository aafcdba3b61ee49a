export { api, AwayError, ProblemError } from './api.ts';
export { forgetDraft, keepDraft, keptDraft, keptDrafts, type KeptDraft } from './keptDrafts.ts';
export { usePreferences } from './preferences.ts';
export { keys, queryClient, useJobs, useRun, useRunsOf, useShop } from './queries.ts';
