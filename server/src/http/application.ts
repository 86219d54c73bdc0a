import { existsSync } from 'node:fs';
import { extname, join, normalize } from 'node:path';
import express, { type RequestHandler, Router } from 'express';
import { Problem } from './problem';

const A_YEAR_MS = 365 * 24 * 3600 * 1000;

/** What the build may have packed beforehand; packing it for every visitor would hold up the first screen. */
const PACKED = /\.(js|css|ttf)$/;

function packed(folder: string): RequestHandler {
  return (request, response, next) => {
    const wantsIt = PACKED.test(request.path) && request.acceptsEncodings('gzip') === 'gzip';
    // The path is asked for below the folder only: what would lead out of it has no packed copy.
    const file = join(folder, normalize(`/${request.path}`));
    if (!wantsIt || !existsSync(`${file}.gz`)) return next();
    response.type(extname(file)).set({ 'Content-Encoding': 'gzip', Vary: 'Accept-Encoding' });
    request.url = request.url.replace(request.path, `${request.path}.gz`);
    next();
  };
}

/** The exported application: files with a hash in their name are kept by the browser, pages are not. */
export function applicationRoutes(folder: string): Router {
  const router = Router();
  const forEver = { immutable: true, maxAge: A_YEAR_MS, fallthrough: true };
  for (const part of ['_expo', 'assets'])
    router.use(`/${part}`, packed(join(folder, part)), express.static(join(folder, part), forEver));
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
