import { MAX_SOUND_BYTES } from '@humble/core';
import { API } from '@humble/core/contract';
import { Router } from 'express';
import { serve } from '../http/endpoint';
import { fileIn, readBytes, sendKept } from '../http/keptFiles';
import type { SoundService } from '../services/soundService';

export function soundRoutes(service: SoundService): Router {
  const router = Router();
  serve(
    router,
    'keepSound',
    async ({ request, response }) => {
      const { bytes, name } = fileIn(request, 'a sound');
      const sound = await service.keep(bytes, name);
      response.location(`${API}/sounds/${sound.sha256}`);
      return sound;
    },
    readBytes(MAX_SOUND_BYTES),
  );
  serve(router, 'readSound', async ({ params, response }) => {
    sendKept(response, await service.read(params.sha256));
  });
  return router;
}
