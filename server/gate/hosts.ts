import os from 'node:os';
import type { Request, RequestHandler } from 'express';
import { refuse } from '../problems.ts';
import type { Certificate } from './certificate.ts';

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

export const isLoopback = (host: string): boolean =>
  host === 'localhost' || LOOPBACK.has(host.replace(/^\[|\]$/g, ''));

/** What a router puts behind a machine's name; a name of the wide network is not among them. */
const SUFFIXES = ['', '.local', '.lan', '.home', '.home.arpa', '.internal', '.localdomain'];

/** Addresses of this machine on the networks it is in now. */
const ownAddresses = (): string[] =>
  Object.values(os.networkInterfaces()).flatMap((list) => (list ?? []).map(({ address }) => address));

/** The names this server may be asked for by: its own machine's, and the one it was told to listen on. */
function namesOf(host: string): ReadonlySet<string> {
  const name = os.hostname().toLowerCase();
  return new Set([
    'localhost',
    '127.0.0.1',
    '::1',
    host.toLowerCase(),
    ...(isLoopback(host) ? [] : [...ownAddresses(), ...SUFFIXES.map((suffix) => `${name}${suffix}`)]),
  ]);
}

/** A name as it is asked for, without port, brackets, the dot that may end it, or a network card’s name. */
const askedName = (header: string): string =>
  header
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .replace(/%.*$/, '')
    .replace(/\.$/, '')
    .toLowerCase();

/** Where a server listens. */
export interface Listening {
  readonly host: string;
  /** The owner's, for HTTPS. */
  readonly certificate: Certificate | null;
}

/**
 * Refuses requests that come under a strange name: a page elsewhere whose name was bent to this address must
 * not reach the workshop. A machine that has joined another network since is looked up anew; a name that the
 * owner's certificate vouches for is the owner's.
 */
export function hostCheck(
  { host, certificate }: Listening,
  lookUp: (host: string) => ReadonlySet<string> = namesOf,
): RequestHandler {
  let names = lookUp(host);
  const isKnown = (asked: string) => names.has(asked) || certificate?.vouchesFor(asked) === true;
  return (request, _response, next) => {
    const asked = askedName(request.headers.host ?? '');
    if (!isKnown(asked)) names = lookUp(host);
    if (isKnown(asked)) next();
    else next(refuse(403, 'strange-host', asked));
  };
}

type At = Listening & { readonly port: number };

/** An address as it is typed: brackets round one of the newer kind. */
export const addressOf = ({ host, port, certificate }: At): string =>
  `${certificate ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;

/**
 * Where others reach what is asked for here: by the name it was asked by, or, on the server’s own machine, by
 * its address on the network.
 * @returns null where it is reached from nowhere else
 */
export function addressForOthers(listening: Listening, request: Request): string | null {
  const asked = request.headers.host ?? '';
  if (asked !== '' && !isLoopback(askedName(asked))) return `${request.protocol}://${asked}`;
  const port = request.socket.localPort ?? 0;
  return addressesOf({ host: listening.host, certificate: listening.certificate, port })[0] ?? null;
}

/**
 * Where a server is reached from elsewhere, for who has to type it: first by the names that its certificate
 * vouches for, which a tablet then trusts.
 */
export function addressesOf(at: At): string[] {
  if (isLoopback(at.host)) return [];
  const all = at.host === '0.0.0.0' || at.host === '::';
  const hosts = all
    ? ownAddresses().filter((address) => !LOOPBACK.has(address) && !address.startsWith('fe80'))
    : [at.host];
  return [...new Set([...(at.certificate?.names ?? []), ...hosts])].map((host) => addressOf({ ...at, host }));
}
