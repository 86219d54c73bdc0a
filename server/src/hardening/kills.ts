import { once } from 'node:events';
import { edits, freshShot } from '@humble/core';
import { sendJson, startServerProcess } from './serverProcess';

export interface KillsReport {
  readonly kills: number;
  readonly acknowledged: number;
  /** Saves that were acknowledged and are not there. */
  readonly lost: number;
  readonly failed: number;
}

/**
 * Kills the server in the middle of saves, again and again, and looks each time whether all that it had
 * acknowledged is there.
 * @param savesBetween how many saves are acknowledged before each kill
 */
export async function killDuringSaves(
  folder: string,
  kills: number,
  savesBetween: number,
): Promise<KillsReport> {
  const fresh = freshShot({ name: 'Save 1', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  let server = startServerProcess(folder);
  let address = await server.address;
  const created = await sendJson(`${address}/api/shots`, 'POST', { shot: fresh });
  const { id } = (await created.json()) as { id: string };
  let acknowledged = 1;
  let lost = 0;
  let failed = 0;
  for (let round = 0; round < kills; round++) {
    const until = acknowledged + savesBetween;
    while (server.isRunning()) {
      const shot = edits.renameShot(fresh, { name: `Save ${acknowledged + 1}` });
      const pending = sendJson(`${address}/api/shots/${id}`, 'PUT', { revision: acknowledged, shot });
      if (acknowledged >= until) setTimeout(() => server.child.kill('SIGKILL'), Math.random() * 10);
      const answer = await pending.catch(() => null);
      if (!answer) break;
      // An answer may be cut off by the kill: then nothing was acknowledged.
      const saved = (await answer.json().catch(() => null)) as { revision?: number } | null;
      if (!saved) break;
      if (answer.status === 200) acknowledged = saved.revision!;
      else failed++;
    }
    if (server.isRunning()) await once(server.child, 'exit');
    server = startServerProcess(folder);
    address = await server.address;
    const stored = (await (await fetch(`${address}/api/shots/${id}`)).json()) as {
      revision: number;
      shot: { name: string };
    };
    // The save that was under way may or may not have been written; nothing before it may be missing.
    const isThere =
      (stored.revision === acknowledged || stored.revision === acknowledged + 1) &&
      stored.shot.name === `Save ${stored.revision}`;
    if (!isThere) lost++;
    acknowledged = stored.revision;
  }
  await server.stop('SIGINT');
  return { kills, acknowledged, lost, failed };
}
