import express, { type Request, type Response, Router } from 'express';
import { z } from 'zod';
import { Problem } from '../http/problem';
import { type ShotService, storedJson, type StoredShot } from '../services/shotService';
import type { Threads } from '../threads/threads';

/** The heaviest body: a shot of 20,000 frames with a mark on each weighs a quarter of it. */
const BODY_LIMIT = '8mb';

const idParameter = z.object({ id: z.string().regex(/^[\w-]{1,64}$/) });
const idOf = (request: Request): string => idParameter.parse(request.params).id;

/** The body as it came: it is read by a thread, so that a heavy one holds nobody up. */
const rawBody = express.raw({ type: () => true, limit: BODY_LIMIT });

function bytesOf(request: Request): Buffer {
  const body: unknown = request.body;
  if (Buffer.isBuffer(body) && body.length > 0) return body;
  throw new Problem(400, 'bad-request', 'The request cannot be read: it has no body.');
}

const send = (response: Response, stored: StoredShot): unknown =>
  response.type('json').send(storedJson(stored));

/** `/api/shots`: docs/http-api.md describes each request and its answers. */
export function shotRoutes(service: ShotService, { checkBody }: Threads): Router {
  const router = Router();

  const created = (response: Response, stored: StoredShot): unknown =>
    send(response.status(201).location(`/api/shots/${stored.id}`), stored);

  router.get('/', async (_request, response) => {
    response.json({ shots: await service.list() });
  });

  router.post('/', rawBody, async (request, response) => {
    created(response, await service.create(await checkBody(bytesOf(request), false)));
  });

  router.get('/:id', async (request, response) => {
    send(response, await service.read(idOf(request)));
  });

  router.put('/:id', rawBody, async (request, response) => {
    const id = idOf(request);
    const { revision, ...columns } = await checkBody(bytesOf(request), true);
    response.json(await service.save(id, revision!, columns));
  });

  router.get('/:id/revision', async (request, response) => {
    response.json(await service.revision(idOf(request)));
  });

  router.get('/:id/document', async (request, response) => {
    const id = idOf(request);
    const text = await service.rawDocument(id);
    response.attachment(`${id}.txt`).type('text/plain').send(text);
  });

  router.post('/:id/duplicate', async (request, response) => {
    created(response, await service.duplicate(idOf(request)));
  });

  router.delete('/:id', async (request, response) => {
    await service.remove(idOf(request));
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(await service.restore(idOf(request)));
  });

  return router;
}
