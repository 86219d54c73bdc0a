import compression from 'compression';
import { API } from '@humble/core/contract';
import express, { type Express, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import type { Database } from './database/openDatabase';
import { serve } from './http/endpoint';
import { applicationRoutes } from './http/application';
import { databaseInPlace, onlyFromOwnPages, onlyJson } from './http/guards';
import { securityHeaders } from './http/securityHeaders';
import { handleErrors, notFound, Problem, sendProblem } from './http/problem';
import { loadDemo } from './loadDemo';
import { pairedOnly } from './lan/guards';
import type { Lan } from './lan/lan';
import { backupRoutes } from './routes/backups';
import { easingRoutes } from './routes/easings';
import { importRoutes } from './routes/imports';
import { pairingRoutes } from './routes/pairing';
import { pictureRoutes } from './routes/pictures';
import { shotRoutes } from './routes/shots';
import { soundRoutes } from './routes/sounds';
import { createEasingService } from './services/easingService';
import { createBackupService } from './backup/backupService';
import { createPictureService } from './services/pictureService';
import { createShotEvents, type ShotEvents } from './services/shotEvents';
import { createShotService } from './services/shotService';
import { createSoundService } from './services/soundService';
import type { WatchedFolder } from './services/watchedFolder';
import type { Threads } from './threads/threads';

export interface ServerOptions {
  readonly database: Database;
  readonly threads: Threads;
  readonly appFolder: string;
  readonly demoFolder: string;
  readonly log: Logger;
  readonly requestsPerMinute: number;
  /** The folder into which a camera's program writes; null where none is watched. */
  readonly watched?: WatchedFolder | null;
  /** Devices of the local network that may use it; null where it listens on this machine alone. */
  readonly lan?: Lan | null;
  readonly events?: ShotEvents;
}

/** The heaviest easing: a chart of 20,000 ticks. */
const EASING_LIMIT = '1mb';

/** The whole server as an Express application, not listening yet. */
export function createServer({
  database,
  threads,
  appFolder,
  demoFolder,
  log,
  requestsPerMinute,
  watched = null,
  lan = null,
  events = createShotEvents(),
}: ServerOptions): Express {
  const server = express();
  server.disable('x-powered-by');
  // First of all, so that refusals have them, too.
  server.use(securityHeaders, onlyFromOwnPages(lan), pairedOnly(lan), compression());
  server.use(
    API,
    rateLimit({
      windowMs: 60_000,
      limit: requestsPerMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      // A loop of many pictures asks for each of them once, and the browser keeps them for ever.
      skip: ({ method, path }) => method === 'GET' && path.startsWith('/pictures/'),
      handler: (_request, response) =>
        sendProblem(response, new Problem(429, 'too-many-requests', 'Too many requests: wait a moment.')),
    }),
    (_request, response, next) => {
      response.set('Cache-Control', 'no-store');
      next();
    },
  );
  const health = Router();
  serve(health, 'health', () => ({ status: 'ok' as const }));
  serve(health, 'databaseHealth', () => database.settings());
  serve(health, 'readWatchedFolder', ({ params }) => ({
    folder: watched?.name ?? null,
    files: watched?.filesAfter(params.after) ?? [],
  }));
  server.use(API, health, pairingRoutes(lan));
  server.use(API, databaseInPlace(database));
  const pictures = createPictureService(database, threads);
  const sounds = createSoundService(database, threads);
  const shots = createShotService(database, threads);
  server.use(API, backupRoutes(createBackupService(database.folder, database, threads)));
  server.use(API, pictureRoutes(pictures), soundRoutes(sounds), importRoutes(shots, threads));
  server.use(API, onlyJson);
  server.use(
    API,
    shotRoutes(shots, threads, events, () => loadDemo({ shots, pictures, sounds }, demoFolder, true)),
  );
  server.use(
    API,
    express.json({ limit: EASING_LIMIT, strict: false }),
    easingRoutes(createEasingService(database)),
  );
  server.use(API, notFound);
  server.use(applicationRoutes(appFolder));
  server.use(notFound);
  server.use(handleErrors(log));
  return server;
}
