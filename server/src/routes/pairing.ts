import express, { Router } from 'express';
import { toString as qrOf } from 'qrcode';
import { serve } from '../http/endpoint';
import { Problem } from '../http/problem';
import { deviceCookie, fromHereOnly, isFromHere, tokenOf } from '../lan/guards';
import type { Lan } from '../lan/lan';

/** The address that a code leads to. The code stands behind the #, where no log of a server sees it. */
export const linkFor = (address: string, code: string): string => `${address}/pair#${code}`;

const BODY_LIMIT = '4kb';

/** Pairing devices of the local network, and ending that. */
export function pairingRoutes(lan: Lan | null): Router {
  const router = Router();
  serve(router, 'readSession', ({ request }) => ({
    isPaired: isFromHere(request) || Boolean(lan?.sessions.of(tokenOf(request))),
  }));
  serve(
    router,
    'readPairing',
    async () => {
      const address = lan?.address() ?? null;
      if (!lan || !address) return { address, link: null, qr: null, devices: [] };
      const link = linkFor(address, lan.sessions.freshCode());
      const devices = lan.sessions.list().map(({ id, name, since, seen }) => ({
        id,
        name,
        since: new Date(since).toISOString(),
        seen: new Date(seen).toISOString(),
      }));
      return { address, link, qr: await qrOf(link, { type: 'svg', margin: 2 }), devices };
    },
    fromHereOnly,
  );
  serve(
    router,
    'pairDevice',
    ({ body, request, response }) => {
      if (!lan) throw new Problem(404, 'not-on-the-network', 'This server was not started with --lan.');
      const from = request.socket.remoteAddress ?? '';
      const token = lan.sessions.pair(body.proof, from, body.name);
      response.set('Set-Cookie', deviceCookie(token));
    },
    express.json({ limit: BODY_LIMIT }),
  );
  serve(router, 'endDevice', ({ params }) => lan?.sessions.end(params.id), fromHereOnly);
  return router;
}
