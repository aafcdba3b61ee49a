export { api, AwayError, ProblemError } from './api.ts';
export { usePreferences } from './preferences.ts';
export { keys, queryClient, useJobs, useRun, useRunsOf, useShop } from './queries.ts';
