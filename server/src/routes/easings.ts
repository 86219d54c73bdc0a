import { LONGEST_NAME } from '@humble/core';
import { easingSchema } from '@humble/core/files';
import { Router } from 'express';
import { z } from 'zod';
import type { EasingService } from '../services/easingService';

const idParameter = z.object({ id: z.string().regex(/^[\w-]{1,64}$/) });
const keepBody = z.object({ name: z.string().trim().min(1).max(LONGEST_NAME), easing: easingSchema });

/** `/api/easings`: docs/http-api.md describes each request and its answers. */
export function easingRoutes(service: EasingService): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ easings: await service.list() });
  });

  router.post('/', async (request, response) => {
    const { name, easing } = keepBody.parse(request.body);
    response.status(201).json(await service.keep(name, easing));
  });

  router.delete('/:id', async (request, response) => {
    await service.remove(idParameter.parse(request.params).id);
    response.status(204).end();
  });

  return router;
}
