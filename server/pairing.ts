import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { RequestHandler } from 'express';
import { issueOf, type FiguresOf, type IssueCode } from '../core/findings/index.ts';
import { Refused } from './problems.ts';

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);
const COOKIE = 'vuelta_paired';
const TRIES = 5;
const WAIT_MS = 60_000;
const MOST_ADDRESSES = 1000;

export const isLoopback = (host: string): boolean =>
  host === 'localhost' || LOOPBACK.has(host.replace(/^\[|\]$/g, ''));

/** What lets devices in; a file that was cut short lets nobody in, and they are let in anew. */
function readPaired(file: string): string[] {
  if (!existsSync(file)) return [];
  try {
    const read: unknown = JSON.parse(readFileSync(file, 'utf8'));
    return Array.isArray(read) ? read.filter((one) => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

const refuse = <Code extends IssueCode>(
  status: number,
  code: Code,
  given: string,
  ...figures: FiguresOf<Code>
): Refused => new Refused(status, [issueOf(code, { path: '', severity: 'wrong', given }, ...figures)]);

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

/**
 * Refuses requests that come under a strange name: a page elsewhere whose name was bent to this address must
 * not reach the workshop. A machine that has joined another network since is looked up anew.
 */
export function hostCheck(
  host: string,
  lookUp: (host: string) => ReadonlySet<string> = namesOf,
): RequestHandler {
  let names = lookUp(host);
  return (request, _response, next) => {
    const asked = askedName(request.headers.host ?? '');
    if (!names.has(asked)) names = lookUp(host);
    if (names.has(asked)) next();
    else next(refuse(403, 'strange-host', asked));
  };
}

/** Where a server that listens on a host is reached from elsewhere, for who has to type it. */
export const addressesOf = (host: string, port: number): string[] => {
  const all = host === '0.0.0.0' || host === '::';
  const shown = all
    ? ownAddresses().filter((address) => !LOOPBACK.has(address) && !address.startsWith('fe80'))
    : [host];
  return shown.map((address) => `http://${address.includes(':') ? `[${address}]` : address}:${port}`);
};

/**
 * Devices beyond this machine are let in once, with a code that is shown on the machine itself. What lets
 * them in rests with the store, so that a restart does not lock the tablet out in the middle of a gear.
 */
export class Pairing {
  readonly code = String(randomInt(0, 1_000_000)).padStart(6, '0');
  private readonly file: string;
  private readonly paired: Set<string>;
  /** Wrong tries by the address they come from: nobody locks anyone else out. */
  private readonly tries = new Map<string, { failed: number; lockedUntil: number }>();
  private readonly now: () => number;

  /** @param now a clock that is never set, ms */
  constructor(dataFolder: string, now: () => number = () => performance.now()) {
    this.file = path.join(dataFolder, 'paired.json');
    this.paired = new Set(readPaired(this.file));
    this.now = now;
  }

  /**
   * @returns the token that lets this device in from now on @throws Refused 403 for a wrong code, 429 after
   * several
   */
  pair(code: string, from: string): string {
    const tries = this.tries.get(from) ?? { failed: 0, lockedUntil: -Infinity };
    if (this.now() < tries.lockedUntil) throw refuse(429, 'pairing-wait', '');
    const [given, own] = [Buffer.from(hashOf(code.replace(/\s/g, ''))), Buffer.from(hashOf(this.code))];
    if (!timingSafeEqual(given, own)) {
      const failed = tries.failed + 1;
      this.remember(
        from,
        failed >= TRIES ? { failed: 0, lockedUntil: this.now() + WAIT_MS } : { ...tries, failed },
      );
      throw refuse(403, 'pairing-wrong', code);
    }
    this.tries.delete(from);
    const token = randomBytes(32).toString('hex');
    this.paired.add(hashOf(token));
    const half = `${this.file}.half`;
    writeFileSync(half, JSON.stringify([...this.paired]), { mode: 0o600 });
    renameSync(half, this.file);
    return token;
  }

  private remember(from: string, tries: { failed: number; lockedUntil: number }): void {
    this.tries.delete(from);
    this.tries.set(from, tries);
    const [oldest] = this.tries.keys();
    if (this.tries.size > MOST_ADDRESSES && oldest !== undefined) this.tries.delete(oldest);
  }

  private knows(cookies: string | undefined): boolean {
    const token = new RegExp(`(?:^|;\\s*)${COOKIE}=([0-9a-f]{64})`).exec(cookies ?? '')?.[1];
    return token !== undefined && this.paired.has(hashOf(token));
  }

  /**
   * Lets in this machine and paired devices; answers /pair and /pairing itself. To be mounted before the API.
   */
  readonly guard: RequestHandler = (request, response, next) => {
    const here = LOOPBACK.has(request.socket.remoteAddress ?? '');
    if (request.path === '/pairing' && request.method === 'GET')
      return void response.json({
        code: here ? this.code : null,
        paired: here || this.knows(request.headers.cookie),
      });
    if (request.path === '/pair' && request.method === 'POST') {
      const body = request.body as { code?: unknown } | undefined;
      try {
        const token = this.pair(
          typeof body?.code === 'string' ? body.code : '',
          request.socket.remoteAddress ?? '',
        );
        response.setHeader(
          'set-cookie',
          `${COOKIE}=${token}; HttpOnly; SameSite=Strict; Path=/; Max-Age=31536000`,
        );
        return void response.json({ paired: true });
      } catch (error) {
        return next(error);
      }
    }
    if (here || this.knows(request.headers.cookie)) return next();
    return next(refuse(401, 'not-paired', ''));
  };
}
