import { MAX_IMPORT_BYTES } from '@humble/core/contract';
import { Router } from 'express';
import { created } from '../http/created';
import { serve } from '../http/endpoint';
import { fileIn, readBytes } from '../http/keptFiles';
import type { ShotService } from '../services/shotService';
import type { Threads } from '../threads/threads';

export function importRoutes(service: ShotService, { importFile }: Threads): Router {
  const router = Router();
  serve(
    router,
    'importShot',
    async ({ request, response }) => {
      const firstNumber = request.get('x-first-frame') === '0' ? 0 : 1;
      const { notes, ...columns } = await importFile({ ...fileIn(request), firstNumber });
      return created(response, await service.create(columns), { notes });
    },
    readBytes(MAX_IMPORT_BYTES),
  );
  return router;
}
