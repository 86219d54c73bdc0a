import { MAX_SHOT_BYTES } from '@humble/core/contract';
import express, { type Request, Router } from 'express';
import { Json, serve } from '../http/endpoint';
import { created } from '../http/created';
import { Problem } from '../http/problem';
import type { ShotEvents } from '../services/shotEvents';
import { type ShotService, storedJson } from '../services/shotService';
import type { Threads } from '../threads/threads';

/** The body as it came: it is read by a thread, so that a heavy one holds nobody up. */
const rawBody = express.raw({ type: () => true, limit: MAX_SHOT_BYTES });

function bytesOf(request: Request): Buffer {
  const body: unknown = request.body;
  if (Buffer.isBuffer(body) && body.length > 0) return body;
  throw new Problem(400, 'bad-request', 'The request cannot be read: it has no body.');
}

/**
 * Shots: the list and its order, and each with its revision, its copy, its bin.
 * @param putDemoIn puts the demo film in
 */
export function shotRoutes(
  service: ShotService,
  { checkBody }: Threads,
  events: ShotEvents,
  putDemoIn: () => Promise<void>,
): Router {
  const router = Router();
  serve(router, 'listShots', async () => ({ shots: await service.list() }));
  serve(router, 'listRemoved', async () => ({ shots: await service.listRemoved() }));
  serve(router, 'emptyBin', () => service.emptyBin());
  serve(router, 'removeForGood', ({ params }) => service.removeForGood(params.id));
  serve(
    router,
    'createShot',
    async ({ request, response }) =>
      created(response, await service.create(await checkBody(bytesOf(request), false))),
    rawBody,
  );
  serve(router, 'readShot', async ({ params }) => new Json(storedJson(await service.read(params.id))));
  serve(
    router,
    'saveShot',
    async ({ params, request }) => {
      const { revision, ...columns } = await checkBody(bytesOf(request), true);
      const saved = await service.save(params.id, revision!, columns);
      events.saved(saved.id, saved.revision);
      return saved;
    },
    rawBody,
  );
  serve(router, 'followShot', async ({ params, response }) => {
    await service.revision(params.id);
    events.follow(params.id, response);
  });
  serve(router, 'readRevision', ({ params }) => service.revision(params.id));
  serve(router, 'listRevisions', ({ params }) => service.listRevisions(params.id, params.before));
  serve(
    router,
    'readPastShot',
    async ({ params }) => new Json(storedJson(await service.readRevisionOf(params.id, params.revision))),
  );
  serve(router, 'readDocument', async ({ params, response }) => {
    const text = await service.rawDocument(params.id);
    response.attachment(`${params.id}.txt`).type('text/plain').send(text);
  });
  serve(router, 'duplicateShot', async ({ params, response }) =>
    created(response, await service.duplicate(params.id)),
  );
  serve(router, 'removeShot', ({ params }) => service.remove(params.id));
  serve(router, 'orderShots', ({ body }) => service.order(body.ids), express.json());
  serve(router, 'loadDemo', putDemoIn);
  serve(router, 'restoreShot', ({ params }) => service.restore(params.id));
  return router;
}
