import { QueryClient } from '@tanstack/react-query';
import { ProblemError } from './api.ts';

/** The one layer for what the server holds. A refusal is final; a server that is away is asked again. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      // a shop's machine may be in no network at all, and Vuelta's server is on that very machine
      networkMode: 'always',
      retry: (count, error) => !(error instanceof ProblemError) && count < 3,
      staleTime: 2000,
    },
    mutations: { networkMode: 'always' },
  },
});
