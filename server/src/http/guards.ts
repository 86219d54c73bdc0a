import type { RequestHandler } from 'express';
import type { Database } from '../database/openDatabase';
import type { Lan } from '../lan/lan';
import { Problem } from './problem';

const OWN_HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Requests of these methods change nothing. */
const READING = new Set(['GET', 'HEAD', 'OPTIONS']);
/** Where a browser may say that a change comes from: a page of this server, or the user. */
const OWN_SITES = new Set(['same-origin', 'none']);

const hostOf = (origin: string): string | null => {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
};

/**
 * The server answers to its own names only: those of this machine, and of the local network where it was asked to. A page from elsewhere that points a name of its own at 127.0.0.1
 * is refused, and so is a change that comes from any page but this server's own: one on another port of
 * this machine is as foreign as one from afar.
 */
export const onlyFromOwnPages =
  (lan: Lan | null): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? '';
    const { origin, 'sec-fetch-site': site } = request.headers;
    const isChange = !READING.has(request.method);
    const isForeignPage =
      isChange &&
      ((origin !== undefined && hostOf(origin) !== host) ||
        (site !== undefined && !OWN_SITES.has(String(site))));
    const name = host.replace(/:\d+$/, '').toLowerCase();
    if (!(OWN_HOSTS.has(name) || lan?.hosts.has(name)) || isForeignPage)
      throw new Problem(403, 'not-from-here', 'This server takes changes from its own pages only.');
    next();
  };

const isUtf8 = (contentType: string): boolean => {
  const [, charset] = /charset\s*=\s*"?([^\s;"]+)/i.exec(contentType) ?? [];
  return charset === undefined || /^utf-?8$/i.test(charset);
};

/** A body that is not JSON is refused before it is looked at. */
export const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody =
    Number(request.headers['content-length'] ?? 0) > 0 || 'transfer-encoding' in request.headers;
  if (hasBody && !(request.is('application/json') && isUtf8(request.headers['content-type'] ?? '')))
    throw new Problem(415, 'unsupported-media-type', 'The body must be JSON in UTF-8.');
  next();
};

/** Nothing is acknowledged that goes into a file which is no longer there. */
export const databaseInPlace =
  ({ isInPlace }: Database): RequestHandler =>
  (request, _response, next) => {
    if (!READING.has(request.method) && !isInPlace())
      throw new Problem(
        503,
        'database-gone',
        'The database was moved or deleted while the server runs. Put it back, and restart the server.',
      );
    next();
  };
