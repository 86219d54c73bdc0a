import { createServer as createHttpServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { readConfig } from './config';
import { createServer } from './createServer';
import { openDatabase } from './database/openDatabase';
import { StartError } from './database/startError';
import { answerUnreadable } from './http/unreadable';
import { loadDemo } from './loadDemo';
import { createPictureService } from './services/pictureService';
import { createShotService } from './services/shotService';
import { createSoundService } from './services/soundService';
import { watchFolder } from './services/watchedFolder';
import { startThreads } from './threads/threads';

const HOST = '127.0.0.1';
/** Requests still open at the end get this long to finish, milliseconds. */
const MAX_FAREWELL_MS = 3000;

const PORT_SENTENCES: Readonly<Record<string, string>> = {
  EADDRINUSE: 'is taken by another program',
  EACCES: 'may not be used without more rights',
};

function listen(server: Server, port: number): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const what = PORT_SENTENCES[error.code ?? ''];
      reject(
        what
          ? new StartError(`Port ${port} ${what}. Choose another one with PORT=… in front of the command.`)
          : error,
      );
    });
    server.listen(port, HOST, resolve);
  });
}

async function main(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2));
  const log = pino({ level: config.logLevel });
  const database = await openDatabase(config.dataFolder);
  const threads = startThreads(config.threadsFolder);
  const pictures = createPictureService(database, threads);
  if (config.withDemo)
    await loadDemo(
      {
        shots: createShotService(database, threads),
        pictures,
        sounds: createSoundService(database, threads),
      },
      config.demoFolder,
    );
  const watched = config.picturesFrom === null ? null : await watchFolder(config.picturesFrom, pictures);
  const server = createHttpServer(
    createServer({
      database,
      threads,
      log,
      appFolder: config.appFolder,
      demoFolder: config.demoFolder,
      requestsPerMinute: config.requestsPerMinute,
      watched,
    }),
  );
  answerUnreadable(server);
  await listen(server, config.port);
  const { port } = server.address() as AddressInfo;
  process.stdout.write(`Humble Pendulum is at http://${HOST}:${port} (Ctrl-C stops it)\n`);

  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    const giveUp = setTimeout(() => server.closeAllConnections(), MAX_FAREWELL_MS);
    server.close(() => {
      clearTimeout(giveUp);
      void Promise.all([database.close(), threads.close(), watched?.close()]).then(() => process.exit(0));
    });
    server.closeIdleConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: Error) => {
  const sentence =
    error instanceof StartError
      ? error.message
      : `The server cannot start: ${String(error.cause ?? error.stack ?? error.message)}`;
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
});
