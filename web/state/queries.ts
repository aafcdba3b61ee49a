import { useQuery } from '@tanstack/react-query';
import { api } from './api.ts';
import { useShopSave } from './shopSave.ts';
import { keys } from './keys.ts';

export const useJobs = (archived: boolean) =>
  useQuery({
    queryKey: keys.jobs(archived),
    queryFn: () => api.listJobs(archived),
    refetchOnMount: 'always',
  });
/** What was changed here and is not stored yet must not be overwritten by what the server still has. */
export const useShop = () =>
  useQuery({
    queryKey: keys.shop,
    queryFn: api.readShop,
    staleTime: Infinity,
    refetchOnMount: () => (useShopSave.getState().kind === 'stored' ? 'always' : false),
  });
export const useRunsOf = (jobId: string, enabled: boolean) =>
  useQuery({
    queryKey: keys.runsOf(jobId),
    queryFn: () => api.runsOf(jobId),
    enabled,
    refetchOnMount: 'always',
  });
export const useRun = (id: string) =>
  useQuery({ queryKey: keys.run(id), queryFn: () => api.readRun(id), staleTime: Infinity });
export const useLog = () => useQuery({ queryKey: keys.log, queryFn: api.listLog, refetchOnMount: 'always' });
export const useLogPage = (id: string) =>
  useQuery({ queryKey: keys.logPage(id), queryFn: () => api.readLog(id), refetchOnMount: 'always' });
export const useJob = (id: string) => useQuery({ queryKey: keys.job(id), queryFn: () => api.readJob(id) });
