import { BLOCKING_SHOTS, heavyShot } from '@humble/core/testing/heavyShots';
import { sendJson } from './serverProcess';

export interface BlockingReport {
  readonly name: string;
  readonly status: number;
  /** How long creating and then saving the shot took, milliseconds. */
  readonly took: number;
  /** The slowest answer that others got meanwhile, milliseconds. */
  readonly slowestHealth: number;
  /** Weight of its line in the list, bytes. */
  readonly listed: number;
}

/** Asks for the server's health again and again until something is done; returns the slowest answer. */
async function slowestHealth(address: string, work: Promise<unknown>): Promise<number> {
  let slowest = 0;
  let isDone = false;
  const done = work.finally(() => (isDone = true));
  while (!isDone) {
    const began = performance.now();
    await (await fetch(`${address}/api/health`)).text();
    slowest = Math.max(slowest, performance.now() - began);
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  await done;
  return slowest;
}

/** Sends the heavy documents, one after the other, and measures what others notice of it. */
export async function sendBlockingShots(
  address: string,
  isWanted: (name: string) => boolean = () => true,
): Promise<BlockingReport[]> {
  const reports: BlockingReport[] = [];
  for (const [name, heavy] of BLOCKING_SHOTS.filter(([one]) => isWanted(one))) {
    const shot = JSON.stringify(heavyShot(heavy));
    const began = performance.now();
    let took = 0;
    const work = sendJson(`${address}/api/shots`, 'POST', `{"shot":${shot}}`).then(async (answer) => {
      // The answer is not parsed: that would hold up the asking, not the server.
      await answer.arrayBuffer();
      const id = answer.headers.get('location')?.split('/').pop();
      const saved = await sendJson(`${address}/api/shots/${id}`, 'PUT', `{"revision":1,"shot":${shot}}`);
      took = performance.now() - began;
      return { status: answer.status === 201 ? saved.status : answer.status, id };
    });
    const slowest = await slowestHealth(address, work);
    const { status, id } = await work;
    const list = (await (await fetch(`${address}/api/shots`)).json()) as { shots: { id: string }[] };
    const listed = JSON.stringify(list.shots.find((entry) => entry.id === id) ?? '').length;
    reports.push({ name, status, took, slowestHealth: slowest, listed });
  }
  return reports;
}
