import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edits, freshShot } from '@humble/core';

const ROUNDS = 3;
const SAVES_BEFORE_KILL = 25;
const folder = mkdtempSync(join(tmpdir(), 'humble-crash-'));
let server: ChildProcess;

/** Starts the real server on a free port; resolves with its address once it says it is there. */
function start(): Promise<string> {
  server = spawn(process.execPath, ['--import', 'tsx', join(__dirname, 'main.ts')], {
    cwd: join(__dirname, '..'),
    env: { ...process.env, PORT: '0', HUMBLE_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve) => {
    server.stdout!.on('data', (chunk: Buffer) => {
      const address = /http:\/\/\S+/.exec(chunk.toString())?.[0];
      if (address) resolve(address);
    });
  });
}

async function stop(signal: NodeJS.Signals): Promise<number | null> {
  const ended = once(server, 'exit');
  server.kill(signal);
  const [code] = (await ended) as [number | null];
  return code;
}

afterAll(async () => {
  if (server.exitCode === null && server.signalCode === null) await stop('SIGKILL');
  rmSync(folder, { recursive: true });
});

const send = (address: string, method: string, body: object): Promise<Response> =>
  fetch(address, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

test('killed while saves are under way, the server loses none that it acknowledged', async () => {
  let shot = freshShot({ name: 'Save 0', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  let address = await start();
  const created = (await (await send(`${address}/api/shots`, 'POST', { shot })).json()) as { id: string };
  let acknowledged = 1;
  for (let round = 0; round < ROUNDS; round++) {
    const killed = acknowledged + SAVES_BEFORE_KILL;
    try {
      for (;;) {
        shot = edits.renameShot(shot, { name: `Save ${acknowledged + 1}` });
        const pending = send(`${address}/api/shots/${created.id}`, 'PUT', { revision: acknowledged, shot });
        if (acknowledged >= killed) server.kill('SIGKILL');
        const answer = await pending;
        expect(answer.status).toBe(200);
        acknowledged = ((await answer.json()) as { revision: number }).revision;
      }
    } catch (error) {
      // The connection broke: the server is gone.
      if ((error as Error).name !== 'TypeError') throw error;
    }
    if (server.exitCode === null && server.signalCode === null) await once(server, 'exit');
    address = await start();
    const stored = (await (await fetch(`${address}/api/shots/${created.id}`)).json()) as {
      revision: number;
      shot: { name: string };
    };
    // The save that was under way may or may not have been written; nothing before it is missing.
    expect([acknowledged, acknowledged + 1]).toContain(stored.revision);
    if (stored.revision > 1) expect(stored.shot.name).toBe(`Save ${stored.revision}`);
    acknowledged = stored.revision;
  }
  expect(acknowledged).toBeGreaterThan(ROUNDS * SAVES_BEFORE_KILL);
  expect(await stop('SIGINT')).toBe(0);
}, 120_000);
