import { QueryClient } from '@tanstack/react-query';
import { ProblemError } from './api.ts';

/** The one layer for what the server holds. A refusal is final; a server that is away is asked again. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry: (count, error) => !(error instanceof ProblemError) && count < 3, staleTime: 2000 },
  },
});
