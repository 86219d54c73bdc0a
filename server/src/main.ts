import { createServer as createHttpServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { toString as qrOf } from 'qrcode';
import { clearWork } from './backup/backupService';
import { readConfig } from './config';
import { createServer } from './createServer';
import { copyOfToday } from './database/dailyCopies';
import { holdFolder } from './database/holdFolder';
import { makeFolder, openDatabase } from './database/openDatabase';
import { StartError } from './database/startError';
import { answerUnreadable } from './http/unreadable';
import { loadDemo } from './loadDemo';
import { createPictureService } from './services/pictureService';
import { createShotService } from './services/shotService';
import { createSoundService } from './services/soundService';
import { watchFolder } from './services/watchedFolder';
import { createLan, type Lan } from './lan/lan';
import { linkFor } from './routes/pairing';
import { createShotEvents } from './services/shotEvents';
import { startThreads } from './threads/threads';

const THIS_MACHINE = '127.0.0.1';
const ANY_ADDRESS = '0.0.0.0';
/** Daily copies: when the first is looked for, and how often whether a new day has come; milliseconds. */
const FIRST_COPY_MS = 60_000;
const COPY_LOOK_MS = 3600_000;
/** Bin and histories are looked at so often, milliseconds. */
const TIDY_MS = 6 * 3600_000;
/** Requests still open at the end get this long to finish, milliseconds. */
const MAX_FAREWELL_MS = 3000;

const PORT_SENTENCES: Readonly<Record<string, string>> = {
  EADDRINUSE: 'is taken by another program',
  EACCES: 'may not be used without more rights',
};

function listen(server: Server, port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const what = PORT_SENTENCES[error.code ?? ''];
      reject(
        what
          ? new StartError(`Port ${port} ${what}. Choose another one with PORT=… in front of the command.`)
          : error,
      );
    });
    server.listen(port, host, resolve);
  });
}

/** What the terminal says to whoever wants to use it from a phone. */
async function invitation(lan: Lan, passphrase: string): Promise<string> {
  const address = lan.address();
  if (!address) return 'There is no local network: other devices cannot reach it.\n';
  const code = await qrOf(linkFor(address, lan.sessions.freshCode()), { type: 'terminal', small: true });
  return `On your local network it is at ${address}. Scan this code within five minutes, or type the passphrase ${passphrase}\n${code}\n`;
}

/** What another program is told that wants the same folder. */
const holderName = (port: number): string => `a server (process ${process.pid}, port ${port})`;

async function main(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2));
  const log = pino({ level: config.logLevel });
  makeFolder(config.dataFolder);
  const held = await holdFolder(config.dataFolder, holderName(config.port));
  clearWork(config.dataFolder);
  const database = await openDatabase(config.dataFolder);
  const threads = startThreads(config.threadsFolder);
  const pictures = createPictureService(database, threads);
  const shots = createShotService(database, threads);
  if (config.withDemo)
    await loadDemo(
      {
        shots,
        pictures,
        sounds: createSoundService(database, threads),
      },
      config.demoFolder,
    );
  const watched = config.picturesFrom === null ? null : await watchFolder(config.picturesFrom, pictures);
  let port = config.port;
  const lan = config.lanPassphrase === null ? null : createLan(config.lanPassphrase, () => port);
  const events = createShotEvents();
  const server = createHttpServer(
    createServer({
      database,
      threads,
      log,
      appFolder: config.appFolder,
      demoFolder: config.demoFolder,
      requestsPerMinute: config.requestsPerMinute,
      watched,
      lan,
      events,
    }),
  );
  answerUnreadable(server);
  // What has been in the bin for long enough goes at the start and while the server runs, and so do old revisions.
  const emptyBin = (): void =>
    void shots.emptyOldBin().catch((error: unknown) => log.error(error, 'The bin was not emptied.'));
  const thinHistories = (): void =>
    void shots
      .thinHistories()
      .catch((error: unknown) => log.error(error, 'Earlier revisions were not thinned.'));
  const tidy = (): void => {
    emptyBin();
    thinHistories();
  };
  tidy();
  const tidying = setInterval(tidy, TIDY_MS);
  const copyDaily = (): void =>
    void copyOfToday(config.dataFolder, database).catch((error: unknown) =>
      log.error(error, 'The daily copy was not made.'),
    );
  // Not while it starts: whoever started it waits for that.
  const firstCopy = setTimeout(copyDaily, FIRST_COPY_MS);
  const copying = setInterval(copyDaily, COPY_LOOK_MS);
  await listen(server, config.port, lan ? ANY_ADDRESS : THIS_MACHINE);
  ({ port } = server.address() as AddressInfo);
  await held.rename(holderName(port));
  process.stdout.write(`Humble Pendulum is at http://${THIS_MACHINE}:${port} (Ctrl-C stops it)\n`);
  if (lan) process.stdout.write(await invitation(lan, config.lanPassphrase!));

  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    const giveUp = setTimeout(() => server.closeAllConnections(), MAX_FAREWELL_MS);
    clearTimeout(firstCopy);
    for (const one of [tidying, copying]) clearInterval(one);
    events.end();
    server.close(() => {
      clearTimeout(giveUp);
      void Promise.all([database.close(), threads.close(), watched?.close()])
        .then(held.release)
        .then(() => process.exit(0));
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
