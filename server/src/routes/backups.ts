import express, { Router } from 'express';
import { backupName } from '../backup/backupFormat';
import type { BackupService } from '../backup/backupService';
import { serve } from '../http/endpoint';
import { fromHereOnly } from '../lan/guards';

const BODY_LIMIT = '1kb';

/** Backups of everything. They are read back at the computer itself only. */
export function backupRoutes(service: BackupService): Router {
  const router = Router();
  serve(router, 'writeBackup', async ({ response }) => {
    response.attachment(backupName(new Date())).type('application/zip');
    await service.write(response);
  });
  serve(router, 'listCopies', () => ({ days: service.copies() }), fromHereOnly);
  serve(router, 'lookAtBackup', ({ request }) => service.lookAt(request), fromHereOnly);
  serve(router, 'lookAtCopy', ({ params }) => service.lookAtCopy(params.day), fromHereOnly);
  serve(router, 'forgetBackup', ({ params }) => service.forget(params.id), fromHereOnly);
  serve(
    router,
    'restoreBackup',
    ({ params, body }) => service.restore(params.id, body.way),
    fromHereOnly,
    express.json({ limit: BODY_LIMIT }),
  );
  return router;
}
