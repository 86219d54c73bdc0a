import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { readConfig } from './config';
import { createServer } from './createServer';
import { openDatabase } from './database/openDatabase';
import { loadDemo } from './loadDemo';
import { createPictureService } from './services/pictureService';
import { createShotService } from './services/shotService';

const HOST = '127.0.0.1';
/** Requests still open at the end get this long to finish, milliseconds. */
const LONGEST_FAREWELL_MS = 3000;

function listen(server: ReturnType<typeof createServer>, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const listening = server.listen(port, HOST, (error?: Error) =>
      error ? reject(error) : resolve(listening),
    );
  });
}

async function main(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2));
  const log = pino({ level: config.logLevel });
  const database = await openDatabase(config.dataFolder);
  if (config.withDemo)
    await loadDemo(
      { shots: createShotService(database), pictures: createPictureService(database) },
      config.demoFolder,
    );
  const server = await listen(createServer({ database, appFolder: config.appFolder, log }), config.port);
  const { port } = server.address() as AddressInfo;
  process.stdout.write(`Humble Pendulum is at http://${HOST}:${port} (Ctrl-C stops it)\n`);

  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    const giveUp = setTimeout(() => server.closeAllConnections(), LONGEST_FAREWELL_MS);
    server.close(() => {
      clearTimeout(giveUp);
      void database.close().then(() => process.exit(0));
    });
    server.closeIdleConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: NodeJS.ErrnoException) => {
  const sentence =
    error.code === 'EADDRINUSE'
      ? 'The port is taken by another program: choose one with PORT=… in front of the command.'
      : `The server cannot start: ${error.message}`;
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
});
