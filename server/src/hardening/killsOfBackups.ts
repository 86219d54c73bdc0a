import { createWriteStream, existsSync, readdirSync, readFileSync } from 'node:fs';
import { once } from 'node:events';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { edits, freshShot, type Shot } from '@humble/core';
import { readShotFile } from '@humble/core/files';
import { verifyDatabase } from '../backup/verifyDatabase';
import { WORK_PREFIX } from '../backup/writeBackup';
import { DATABASE_FILE } from '../database/setAside';
import { sendJson, startServerProcess } from './serverProcess';

export interface BackupKillsReport {
  readonly kills: number;
  /** What was wrong after a kill, a sentence each. */
  readonly wrong: readonly string[];
  /** How often each piece of work had come to its end before the kill. */
  readonly finished: Readonly<Record<string, number>>;
}

interface Saved {
  readonly id: string;
  readonly revision: number;
}

const MAX_KILL_MS = 120;
const WORKS = ['backup', 'look', 'instead', 'beside', 'history'] as const;
type Work = (typeof WORKS)[number];

const checkDocument = (text: string): Promise<unknown> => Promise.resolve().then(() => readShotFile(text));
const named = (name: string): Shot =>
  freshShot({ name, rate: 24, lengthFrames: 48, width: 1920, height: 1080 });

const namesIn = async (address: string): Promise<string[]> =>
  ((await (await fetch(`${address}/api/shots`)).json()) as { shots: { name: string }[] }).shots
    .map(({ name }) => name)
    .sort();

async function brought(address: string, bytes: Uint8Array): Promise<string> {
  const answer = await fetch(`${address}/api/backups`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: bytes as BodyInit,
  });
  return ((await answer.json()) as { id: string }).id;
}

/** One piece of work against a server that may be killed in the middle of it. */
async function perform(work: Work, address: string, folder: string, backup: Uint8Array): Promise<void> {
  switch (work) {
    case 'backup': {
      const answer = await fetch(`${address}/api/backup`);
      const file = createWriteStream(join(folder, 'under-way.zip'));
      await pipeline(Readable.fromWeb(answer.body as never), file);
      return;
    }
    case 'look':
      await brought(address, backup);
      return;
    case 'instead':
    case 'beside': {
      const id = await brought(address, backup);
      const answer = await sendJson(`${address}/api/backups/${id}/restore`, 'POST', { way: work });
      if (answer.status !== 200) throw new Error(`restoring answers ${answer.status}`);
      await answer.json();
      return;
    }
    case 'history': {
      const { shots } = (await (await fetch(`${address}/api/shots`)).json()) as { shots: Saved[] };
      const { id } = shots[0]!;
      for (let i = 0; i < 20; i++) {
        const now = (await (await fetch(`${address}/api/shots/${id}`)).json()) as Saved & { shot: Shot };
        const shot = edits.setLength(now.shot, { lengthFrames: 40 + i });
        await (await sendJson(`${address}/api/shots/${id}`, 'PUT', { revision: now.revision, shot })).json();
        await (await fetch(`${address}/api/shots/${id}/revisions/before/${2 ** 31}`)).json();
      }
    }
  }
}

/**
 * Kills the server in the middle of backups, of reading them back, and of writing history. After each kill it is started
 * again, all of its data is looked at, and they have to be as they were before the work or as they are after it.
 */
export async function killDuringBackups(folder: string, kills: number): Promise<BackupKillsReport> {
  const wrong: string[] = [];
  const finished: Record<string, number> = {};
  const backupFile = join(folder, 'first.zip');
  let server = startServerProcess(folder);
  let address = await server.address;
  for (const name of ['One', 'Two', 'Three'])
    await (await sendJson(`${address}/api/shots`, 'POST', { shot: named(name) })).json();
  const answer = await fetch(`${address}/api/backup`);
  await pipeline(Readable.fromWeb(answer.body as never), createWriteStream(backupFile));
  const backup = readFileSync(backupFile);
  for (let i = 0; i < kills; i++) {
    const work = WORKS[i % WORKS.length]!;
    // What is restored over is something else each time.
    await (await sendJson(`${address}/api/shots`, 'POST', { shot: named(`Since ${i}`) })).json();
    const before = await namesIn(address);
    const ended = once(server.child, 'exit');
    const doing = perform(work, address, folder, backup).then(
      () => (finished[work] = (finished[work] ?? 0) + 1),
      (error: Error) => {
        if (server.isRunning() && !/fetch failed|terminated|other side closed/.test(error.message))
          wrong.push(`${work}: ${error.message}`);
      },
    );
    const timer = setTimeout(() => server.child.kill('SIGKILL'), Math.random() * MAX_KILL_MS);
    await doing;
    clearTimeout(timer);
    server.child.kill('SIGKILL');
    await ended;
    server = startServerProcess(folder);
    address = await server.address;
    const after = await namesIn(address);
    const isBefore = JSON.stringify(after) === JSON.stringify(before);
    const isInstead = work === 'instead' && after.join() === 'One,Three,Two';
    // What came beside is either all there or not at all.
    const isBeside = work === 'beside' && before.every((name) => after.includes(name));
    if (!isBefore && !isInstead && !isBeside) wrong.push(`${work}: ${before.join()} became ${after.join()}`);
    const { faults } = await verifyDatabase(join(folder, DATABASE_FILE), checkDocument);
    wrong.push(...faults.map((fault) => `${work}: ${fault}`));
    const left = readdirSync(folder).filter((name) => name.startsWith(WORK_PREFIX));
    if (left.length > 0) wrong.push(`${work}: ${left.length} folders were left behind`);
    if (!existsSync(join(folder, DATABASE_FILE))) wrong.push(`${work}: the database is gone`);
  }
  await server.stop('SIGINT');
  return { kills, wrong, finished };
}
