import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express, { type Express } from 'express';
import pino from 'pino';
import { createServer, type ServerOptions } from '../createServer';
import { type Database, openDatabase } from '../database/openDatabase';
import { startThreads, type Threads } from '../threads/threads';
import { checkAnswers, faultyAnswers } from './checkAnswers';

export interface TestServer {
  readonly folder: string;
  readonly database: Database;
  readonly server: Express;
  readonly restart: () => Promise<TestServer>;
  readonly close: () => Promise<void>;
}

let threads: Threads | null = null;
/** Threads take a while to start: the tests of a file share them. */
export const testThreads = (): Threads => (threads ??= startThreads(join(__dirname, '../threads')));

afterEach(() => expect(faultyAnswers.splice(0)).toEqual([]));

afterAll(async () => {
  await threads?.close();
  threads = null;
});

const log = pino({ level: 'silent' });

async function serve(folder: string, options: Partial<ServerOptions>): Promise<TestServer> {
  const database = await openDatabase(folder);
  const served = createServer({
    database,
    threads: testThreads(),
    appFolder: folder,
    demoFolder: join(__dirname, '../../../demo'),
    log,
    requestsPerMinute: 100_000,
    ...options,
  });
  const server = express();
  server.use(checkAnswers, served);
  return {
    folder,
    database,
    server,
    restart: async () => {
      await database.close();
      return serve(folder, options);
    },
    close: async () => {
      await database.close();
      rmSync(folder, { recursive: true });
    },
  };
}

export const startTestServer = (options: Partial<ServerOptions> = {}): Promise<TestServer> =>
  serve(mkdtempSync(join(tmpdir(), 'humble-server-')), options);
