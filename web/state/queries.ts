import { QueryClient, useQuery } from '@tanstack/react-query';
import { api, ProblemError } from './api.ts';

/** The one layer for what the server holds. A refusal is final; a server that is away is asked again. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry: (count, error) => !(error instanceof ProblemError) && count < 3, staleTime: 2000 },
  },
});

export const keys = {
  jobs: (archived: boolean) => ['jobs', archived] as const,
  job: (id: string) => ['job', id] as const,
  shop: ['shop'] as const,
  runsOf: (jobId: string) => ['runs-of', jobId] as const,
  run: (id: string) => ['run', id] as const,
};

export const useJobs = (archived: boolean) =>
  useQuery({
    queryKey: keys.jobs(archived),
    queryFn: () => api.listJobs(archived),
    refetchOnMount: 'always',
  });
export const useShop = () => useQuery({ queryKey: keys.shop, queryFn: api.readShop });
export const useRunsOf = (jobId: string, enabled: boolean) =>
  useQuery({
    queryKey: keys.runsOf(jobId),
    queryFn: () => api.runsOf(jobId),
    enabled,
    refetchOnMount: 'always',
  });
export const useRun = (id: string) =>
  useQuery({ queryKey: keys.run(id), queryFn: () => api.readRun(id), staleTime: Infinity });
