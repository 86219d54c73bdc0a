import { PICTURE_LIMITS } from '@humble/core';
import { API } from '@humble/core/contract';
import express, { Router } from 'express';
import { z } from 'zod';
import { serve } from '../http/endpoint';
import { Problem } from '../http/problem';
import type { PictureService } from '../services/pictureService';

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

/** Pictures, each kept once. */
export function pictureRoutes(service: PictureService): Router {
  const router = Router();
  serve(
    router,
    'keepPicture',
    async ({ request, response }) => {
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0)
        throw new Problem(400, 'bad-request', 'The body must be a picture.');
      const picture = await service.keep(bytes, nameHeader.parse(request.headers['x-file-name']));
      response.location(`${API}/pictures/${picture.sha256}`);
      return picture;
    },
    express.raw({ type: () => true, limit: PICTURE_LIMITS.bytes }),
  );
  serve(router, 'readPicture', async ({ params, response }) => {
    const { type, bytes } = await service.read(params.sha256);
    response
      .set('Content-Security-Policy', STILL)
      .set('Cache-Control', 'public, max-age=31536000, immutable')
      .type(type)
      .send(bytes);
  });
  return router;
}
