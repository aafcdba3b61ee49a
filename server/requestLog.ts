import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** A path without its query: that may hold words somebody looked for, a name, a code. */
const pathOf = (url: string | undefined): string => (url ?? '').replace(/\?.*$/s, '');

/**
 * One line of the log for each request, under an id that its answer carries too: what was asked, how it was
 * answered, and how long that took; never what was sent.
 */
export const requestLog = (log: Logger): RequestHandler =>
  pinoHttp({
    logger: log,
    genReqId: (_, response) => {
      const id = randomUUID();
      response.setHeader('x-request-id', id);
      return id;
    },
    serializers: {
      req: ({ id, method, url }: { id: string; method: string; url?: string }) => ({
        id,
        method,
        path: pathOf(url),
      }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
    },
    customLogLevel: (request, response) => {
      if (response.statusCode >= 500) return 'error';
      return request.method === 'GET' ? 'debug' : 'info';
    },
    customSuccessMessage: () => 'request',
    customErrorMessage: () => 'request',
  });
