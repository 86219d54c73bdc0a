import type { RequestHandler } from 'express';
import { Problem } from './problem';

const OWN_HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * The server answers to this machine only. A page from elsewhere that points a name of its own at
 * 127.0.0.1, or posts here from another origin, is refused.
 */
export const onlyFromHere: RequestHandler = (request, _response, next) => {
  const host = (request.headers.host ?? '').replace(/:\d+$/, '');
  const isForeignPage = request.headers['sec-fetch-site'] === 'cross-site' && request.method !== 'GET';
  if (!OWN_HOSTS.has(host) || isForeignPage)
    throw new Problem(403, 'not-from-here', 'This server answers to its own machine only.');
  next();
};

/** A body that is not JSON is refused before it is looked at. */
export const onlyJson: RequestHandler = (request, _response, next) => {
  const hasBody =
    Number(request.headers['content-length'] ?? 0) > 0 || 'transfer-encoding' in request.headers;
  if (hasBody && !request.is('application/json'))
    throw new Problem(415, 'unsupported-media-type', 'The body must be JSON in UTF-8.');
  next();
};
