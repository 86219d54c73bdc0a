import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { Problem } from './problem';

const A_YEAR_MS = 365 * 24 * 3600 * 1000;

/** The exported application: files with a hash in their name are kept by the browser, pages are not. */
export function applicationRoutes(folder: string): Router {
  const router = Router();
  const forEver = { immutable: true, maxAge: A_YEAR_MS, fallthrough: true };
  router.use('/_expo', express.static(join(folder, '_expo'), forEver));
  router.use('/assets', express.static(join(folder, 'assets'), forEver));
  router.use(express.static(folder, { index: false, cacheControl: false }));
  router.get('/{*page}', (request, response, next) => {
    const page = join(folder, 'index.html');
    if (request.path.startsWith('/api') || /\.[a-z0-9]+$/i.test(request.path)) return next();
    if (!existsSync(page))
      throw new Problem(404, 'not-built', 'The application is not built: run npm run demo.');
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return router;
}
