import type { RequestHandler } from 'express';
import { refuse } from '../problems.ts';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What a browser says of the page a request comes from: this very site, or a hand that typed the address. */
const OWN_SITES = new Set(['same-origin', 'none']);

/** Host and port of an origin; null for one that names none (`null`, a file, a sandbox). */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}

/**
 * Nothing is changed at the word of another site's page that happens to be open in the owner's browser, on
 * this machine as on a network. A request that may change something must come from this site where the
 * browser says where it comes from, and carry JSON: a form, or a script that may not read the answer, cannot
 * send that without asking first.
 */
export const ownPagesOnly: RequestHandler = (request, _response, next) => {
  if (SAFE.has(request.method)) return next();
  const site = request.headers['sec-fetch-site'];
  if (typeof site === 'string' && !OWN_SITES.has(site)) return next(refuse(403, 'strange-origin', site));
  const { origin, host } = request.headers;
  if (origin !== undefined && hostOf(origin) !== (host ?? '').toLowerCase())
    return next(refuse(403, 'strange-origin', origin));
  if (!request.is('application/json'))
    return next(refuse(415, 'not-sent-as-json', request.headers['content-type'] ?? ''));
  next();
};
