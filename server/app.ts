import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import path from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { AskerGone } from './heavy/index.ts';
import { notFound, problemOf, Refused, tooLarge } from './problems.ts';
import { lookAtBody, plainAddress } from './plainBody.ts';
import { requestLog } from './requestLog.ts';
import { addressForOthers, gateRouter, hostCheck, ownPagesOnly, type Gate } from './gate/index.ts';
import { apiRouter, type Services } from './routes/index.ts';

/** Largest body taken: a job of twenty parts is some tens of kB, a day's count of events some hundreds. */
const BODY_LIMIT = '2mb';

/** @param secure by the owner's certificate */
const headers = (secure: boolean) =>
  helmet({
    // browsers heed these on secure pages, and complain of them on others
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        // component styles and formula sizes are set in the page
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'", 'data:'],
        // a tablet in the shop comes over plain HTTP
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: false,
  });

/**
 * Express's own errors (malformed JSON, too large a body) as refusals; anything else is a fault with an id.
 */
export function asRefused(error: unknown): Refused | null {
  if (error instanceof Refused) return error;
  const { status, type, message, limit } = error as {
    status?: number;
    type?: string;
    message?: string;
    limit?: number;
  };
  const issue = { path: '', severity: 'wrong' } as const;
  if (type === 'entity.too.large') return tooLarge(limit);
  if (/database or disk is full|ENOSPC/.test(message ?? ''))
    return new Refused(507, [{ ...issue, code: 'disk-full' }]);
  if (/readonly database|unable to open database file|disk I\/O error/.test(message ?? ''))
    return new Refused(507, [{ ...issue, code: 'store-not-written', given: message ?? '' }]);
  // an address with a sign in it that stands for none
  if (error instanceof URIError)
    return new Refused(400, [{ ...issue, code: 'address-bad', given: message ?? '' }]);
  if (status !== undefined && status >= 400 && status < 500) {
    return new Refused(400, [{ ...issue, code: 'body-unreadable', given: message ?? 'unreadable' }]);
  }
  return null;
}

/** Whoever sent a file, or was sent one, went away in the middle. */
const isBrokenOff = (error: unknown): boolean =>
  ['ERR_STREAM_PREMATURE_CLOSE', 'ECONNRESET', 'EPIPE', 'ECONNABORTED'].includes(
    (error as NodeJS.ErrnoException).code ?? '',
  );

/** What browsers heed on a page alone; half a kB beside each of fifty pieces. */
const OF_PAGES = [
  'content-security-policy',
  'referrer-policy',
  'x-dns-prefetch-control',
  'x-download-options',
  'x-frame-options',
  'x-permitted-cross-domain-policies',
  'x-xss-protection',
];

/** Of scripts, style sheets and faces; a worker is under the policy that its own script came with. */
function withoutPageHeaders(response: ServerResponse, file: string): void {
  if (!/\.(js|css|woff2)(\.br|\.gz)?$/.test(file) || path.basename(file).includes('worker')) return;
  for (const name of OF_PAGES) response.removeHeader(name);
}

/** The whole web server: the API, and the page for everything else. */
export function createApp({
  services,
  log,
  webFolder,
  gate,
}: {
  readonly services: Services;
  readonly log: Logger;
  readonly webFolder: string;
  readonly gate: Gate;
}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(headers(gate.certificate !== null));
  app.use(hostCheck(gate));
  app.use(requestLog(log));
  app.use('/api', (_, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  app.use('/api', plainAddress);
  app.use('/api', compression());
  app.use('/api', ownPagesOnly);
  // who is not let in sends no large bodies either; the code itself is a few bytes
  app.use('/api/pair', express.json({ limit: '1kb', verify: lookAtBody }));
  app.use('/api', gateRouter(gate));
  app.use(
    '/api/jobs/import',
    express.text({ limit: BODY_LIMIT, type: 'application/json', verify: lookAtBody }),
  );
  // a whole workshop is not read at once: it is laid on the disk as it comes
  const json = express.json({ limit: BODY_LIMIT, verify: lookAtBody });
  app.use('/api', (request, response, next) =>
    request.path === '/restore' ? next() : json(request, response, next),
  );
  app.use(
    '/api',
    apiRouter(services, (request) => addressForOthers(gate, request)),
  );
  app.use('/api', (request) => {
    throw notFound('address', request.originalUrl);
  });

  // built with a compressed copy beside each
  const precompressed = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false };
  app.use(
    '/assets',
    staticGzip(path.join(webFolder, 'assets'), {
      ...precompressed,
      serveStatic: { immutable: true, maxAge: '1y', setHeaders: withoutPageHeaders },
    }),
  );
  app.use('/assets', (_, response) => void response.status(404).end());
  app.use(staticGzip(webFolder, precompressed));
  app.get('/{*any}', (_, response) => {
    if (existsSync(path.join(webFolder, 'index.html')))
      response.set('cache-control', 'no-cache').sendFile('index.html', { root: webFolder });
    else response.status(503).type('text').send('The page is not built yet: run npm run build.');
  });

  const onError: ErrorRequestHandler = (error, _request, response, next) => {
    if (error instanceof AskerGone || isBrokenOff(error)) return void response.destroy();
    if (response.headersSent) return next(error);
    const refused = asRefused(error);
    if (refused) {
      response
        .status(refused.status)
        .type('application/problem+json')
        .send(JSON.stringify(problemOf(refused)));
      return;
    }
    const fault = randomUUID();
    log.error({ fault, err: error as Error }, 'fault');
    response
      .status(500)
      .type('application/problem+json')
      .send(
        JSON.stringify({
          type: 'urn:vuelta:problem:fault',
          title: 'A fault in Vuelta',
          status: 500,
          detail: `Something went wrong inside Vuelta. Nothing stored was changed. The log has it under ${fault}.`,
          fault,
          issues: [],
        }),
      );
  };
  app.use(onError);
  return app;
}
