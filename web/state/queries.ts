import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { Asked, Calls } from '../../core/wire/index.ts';
import type { Device } from '../../core/devices/index.ts';
import { api } from './api.ts';
import { useShopSave } from './shopSave.ts';
import { keys } from './keys.ts';
import { opensWithoutServer } from './offline.ts';

/** What jobs are looked for by; empty: any. */
export type JobFilter = Omit<Asked<Calls['listJobs']>['query'], 'after' | 'limit'>;

/** The jobs that fit, a page at a time; what was found last stays while the next is looked for. */
export const useJobs = (filter: JobFilter) =>
  useInfiniteQuery({
    queryKey: keys.jobs(filter),
    queryFn: ({ pageParam }) => api.listJobs({ ...filter, ...(pageParam ? { after: pageParam } : {}) }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
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
/** @param id null where no run is asked for */
export const useRun = (id: string | null) =>
  useQuery({
    queryKey: keys.run(id ?? ''),
    queryFn: () => api.readRun(id!),
    enabled: id !== null,
    staleTime: Infinity,
    // what this browser kept stands at once
    ...(opensWithoutServer() ? { retry: false } : {}),
  });
/** What runs are looked for by; left out: any. */
export type LogFilter = Omit<Asked<Calls['listLog']>['query'], 'after' | 'limit'>;

/** The runs that fit, a page at a time, newest first. */
export const useLog = (filter: LogFilter) =>
  useInfiniteQuery({
    queryKey: keys.logFor(filter),
    queryFn: ({ pageParam }) => api.listLog({ ...filter, ...(pageParam ? { after: pageParam } : {}) }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
    refetchOnMount: 'always',
  });
/** @param id null where no run is chosen */
export const useLogPage = (id: string | null) =>
  useQuery({
    queryKey: keys.logPage(id ?? ''),
    queryFn: () => api.readLog(id!),
    enabled: id !== null,
    refetchOnMount: 'always',
  });
/** The pictures of a job, a run or a thing of the shop. @param owner as `job/lens` */
export const usePicturesOf = (owner: string) =>
  useQuery({
    queryKey: keys.pictures(owner),
    queryFn: () => api.listPictures(owner),
    staleTime: 30_000,
    refetchOnMount: 'always',
  });
export const useJob = (id: string) => useQuery({ queryKey: keys.job(id), queryFn: () => api.readJob(id) });

const NO_DEVICES: readonly Device[] = [];

/** The devices of the shop; asked once, and again when they change here. */
export function useDevices(): readonly Device[] {
  const query = useQuery({
    queryKey: keys.devices,
    queryFn: api.listDevices,
    staleTime: 60_000,
    retry: false,
  });
  return query.data ?? NO_DEVICES;
}
