import type { Request, RequestHandler } from 'express';
import { Problem } from '../http/problem';
import type { Lan } from './lan';

const COOKIE = 'humble-device';

const LOOPBACK = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;

/** Whether a request comes from this machine itself: by its connection, not by what it says. */
export const isFromHere = (request: Request): boolean => LOOPBACK.test(request.socket.remoteAddress ?? '');

export const tokenOf = (request: Request): string | undefined =>
  (request.headers.cookie ?? '')
    .split(';')
    .map((pair) => pair.trim().split('='))
    .find(([name]) => name === COOKIE)?.[1];

/** For this server and nothing else: no script reads it, no other site sends it. */
export const deviceCookie = (token: string): string =>
  `${COOKIE}=${token}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${30 * 24 * 3600}`;

/** What a device that is not paired may ask for: to be paired. */
const FREE = new Set(['/api/pairings', '/api/session']);

/** Only devices that were paired get anything; the others are shown where they can be. */
export const pairedOnly =
  (lan: Lan | null): RequestHandler =>
  (request, response, next) => {
    if (isFromHere(request)) return next();
    // Without `--lan` nothing else can reach it; this says so a second time.
    if (!lan) throw new Problem(403, 'not-from-here', 'This server is used from its own machine only.');
    if (lan.sessions.of(tokenOf(request)) || FREE.has(request.path)) return next();
    if (request.path.startsWith('/api/'))
      throw new Problem(401, 'not-paired', 'This device is not paired with the server. Open /pair on it.');
    const isPage = request.method === 'GET' && !/\.[a-z0-9]+$/i.test(request.path);
    if (isPage && request.path !== '/pair') return response.redirect(302, '/pair');
    next();
  };

/** For what is done at the computer itself: to pair devices, and to end what was paired. */
export const fromHereOnly: RequestHandler = (request, _response, next) => {
  if (!isFromHere(request)) throw new Problem(403, 'not-from-here', 'This is done at the computer itself.');
  next();
};
