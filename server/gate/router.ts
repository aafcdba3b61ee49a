import { Router, type Request, type RequestHandler, type Response } from 'express';
import { shapeIssues } from '../../core/job/index.ts';
import { pairingCalls, type AnswerOf } from '../../core/wire/index.ts';
import { notFound, refuse, Refused } from '../problems.ts';
import { addressesOf, isLoopback, type Listening } from './hosts.ts';
import type { Pairing } from './pairing.ts';

const COOKIE = 'vuelta_paired';
const YEAR_S = 31_536_000;

/** Who may come in, and under what name. */
export interface Gate extends Listening {
  /** Null while only this machine can reach the server. */
  readonly pairing: Pairing | null;
}

type Told = AnswerOf<typeof pairingCalls.readPairing>;
const TELLS_NOTHING = { code: null, pass: null, reachedAt: [], devices: [] };

/** Is it asked on the server's own machine? */
const isHere = ({ socket }: Request): boolean => isLoopback(socket.remoteAddress ?? '');

const tokenOf = ({ headers }: Request): string | null =>
  new RegExp(`(?:^|;\\s*)${COOKIE}=([0-9a-f]{64})`).exec(headers.cookie ?? '')?.[1] ?? null;

/**
 * Lets in this machine and paired devices, and answers how a device is let in. What concerns the devices is
 * told and changed on the server's own machine alone. To be mounted before the API.
 */
export function gateRouter({ host, certificate, pairing }: Gate): Router {
  const router = Router();
  if (!pairing) {
    const open: Told = { paired: true, ...TELLS_NOTHING };
    return router.get('/pairing', (_, response) => void response.json(open));
  }
  const giveToken = (response: Response, token: string): void => {
    const rules = `HttpOnly; SameSite=Strict; Path=/; Max-Age=${YEAR_S}${certificate ? '; Secure' : ''}`;
    response.setHeader('set-cookie', `${COOKIE}=${token}; ${rules}`);
  };
  const isLetIn = (request: Request, response: Response): boolean => {
    if (isHere(request)) return true;
    const token = tokenOf(request);
    if (token === null) return false;
    const { known, renewed } = pairing.devices.knows(token);
    if (renewed) giveToken(response, token);
    return known;
  };
  const tell = (request: Request, response: Response): Told => {
    if (!isHere(request)) return { paired: isLetIn(request, response), ...TELLS_NOTHING };
    const reachedAt = addressesOf({ host, port: request.socket.localPort ?? 0, certificate });
    return {
      paired: true,
      code: pairing.code,
      pass: pairing.pass,
      reachedAt,
      devices: [...pairing.devices.list()],
    };
  };
  const answerHere =
    (change: (request: Request) => void): RequestHandler =>
    (request, response) => {
      if (!isHere(request)) throw refuse(403, 'only-here', '');
      change(request);
      response.json(tell(request, response));
    };
  router.get('/pairing', (request, response) => void response.json(tell(request, response)));
  router.post('/pair', (request, response) => {
    const read = pairingCalls.pair.body.safeParse(request.body);
    if (!read.success) throw new Refused(422, shapeIssues(read.error, request.body));
    const { code, name } = read.data;
    giveToken(response, pairing.pair(code, name, request.socket.remoteAddress ?? ''));
    response.json({ paired: true });
  });
  router.use((request, response, next) =>
    isLetIn(request, response) ? next() : next(refuse(401, 'not-paired', '')),
  );
  router.post(
    '/pairing/renew',
    answerHere(() => pairing.renew()),
  );
  router.delete(
    '/pairing/devices/:id',
    answerHere(({ params }) => {
      const id = String(params['id']);
      if (!pairing.devices.putOut(id)) throw notFound('device', id);
    }),
  );
  router.delete(
    '/pairing/devices',
    answerHere(() => pairing.devices.forgetAll()),
  );
  return router;
}
