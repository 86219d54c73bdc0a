import { PICTURE_LIMITS } from '@humble/core';
import { API } from '@humble/core/contract';
import { Router } from 'express';
import { serve } from '../http/endpoint';
import { fileIn, readBytes, sendKept } from '../http/keptFiles';
import type { PictureService } from '../services/pictureService';

export function pictureRoutes(service: PictureService): Router {
  const router = Router();
  serve(
    router,
    'keepPicture',
    async ({ request, response }) => {
      const { bytes, name } = fileIn(request, 'a picture');
      const picture = await service.keep(bytes, name);
      response.location(`${API}/pictures/${picture.sha256}`);
      return picture;
    },
    readBytes(PICTURE_LIMITS.bytes),
  );
  serve(router, 'readPicture', async ({ params, response }) => {
    sendKept(response, await service.read(params.sha256));
  });
  serve(router, 'readSmallPicture', async ({ params, response }) => {
    sendKept(response, await service.readSmall(params.sha256));
  });
  return router;
}
