import express, { Router } from 'express';
import { z } from 'zod';
import { Problem } from '../http/problem';
import type { PictureService } from '../services/pictureService';

const LARGEST_PICTURE = '40mb';
const addressParameter = z.object({ sha256: z.string().regex(/^[0-9a-f]{64}$/) });
const nameHeader = z
  .string()
  .max(1200)
  .transform((text) => {
    try {
      return decodeURIComponent(text).slice(0, 120);
    } catch {
      return '';
    }
  })
  .catch('');

/** Whatever a picture holds, a browser that is sent to it directly runs and fetches nothing. */
const STILL = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox";

/** `/api/pictures`: docs/http-api.md describes each request and its answers. */
export function pictureRoutes(service: PictureService): Router {
  const router = Router();

  router.post('/', express.raw({ type: () => true, limit: LARGEST_PICTURE }), async (request, response) => {
    const bytes: unknown = request.body;
    if (!Buffer.isBuffer(bytes) || bytes.length === 0)
      throw new Problem(400, 'bad-request', 'The body must be a picture.');
    const picture = await service.keep(bytes, nameHeader.parse(request.headers['x-file-name']));
    response.status(201).location(`/api/pictures/${picture.sha256}`).json(picture);
  });

  router.get('/:sha256', async (request, response) => {
    const { sha256 } = addressParameter.parse(request.params);
    const { type, bytes } = await service.read(sha256);
    response
      .set('Content-Security-Policy', STILL)
      .set('Cache-Control', 'public, max-age=31536000, immutable')
      .type(type)
      .send(bytes);
  });

  return router;
}
