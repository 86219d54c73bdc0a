import { openShot } from '@humble/core';
import { Router } from 'express';
import { z } from 'zod';
import type { ShotService } from '../services/shotService';

const idParameter = z.object({ id: z.string().regex(/^[\w-]{1,64}$/) });
const createBody = z.object({ shot: z.unknown() });
const saveBody = z.object({ revision: z.number().int().min(1), shot: z.unknown() });

/** `/api/shots`: docs/http-api.md describes each request and its answers. */
export function shotRoutes(service: ShotService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ shots: await service.list() });
  });

  router.post('/', async (request, response) => {
    const { shot } = createBody.parse(request.body);
    const stored = await service.create(openShot(shot));
    response.status(201).location(`/api/shots/${stored.id}`).json(stored);
  });

  router.get('/:id', async (request, response) => {
    response.json(await service.read(idParameter.parse(request.params).id));
  });

  router.put('/:id', async (request, response) => {
    const { id } = idParameter.parse(request.params);
    const { revision, shot } = saveBody.parse(request.body);
    response.json(await service.save(id, revision, openShot(shot)));
  });

  router.post('/:id/duplicate', async (request, response) => {
    const stored = await service.duplicate(idParameter.parse(request.params).id);
    response.status(201).location(`/api/shots/${stored.id}`).json(stored);
  });

  router.delete('/:id', async (request, response) => {
    await service.remove(idParameter.parse(request.params).id);
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(await service.restore(idParameter.parse(request.params).id));
  });

  return router;
}
