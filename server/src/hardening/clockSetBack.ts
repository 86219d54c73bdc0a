import { edits, freshShot } from '@humble/core';
import type { Database } from '../database/openDatabase';
import { createShotService } from '../services/shotService';
import type { ShotColumns } from '../threads/documentTasks';
import type { Threads } from '../threads/threads';

export interface ClockReport {
  readonly saves: number;
  /** What was wrong, a sentence each. */
  readonly wrong: readonly string[];
}

const DAY_MS = 24 * 3600_000;
/** Where the clock goes, one after the other, milliseconds from what it is. */
const JUMPS_MS = [0, -3 * DAY_MS, 2 * DAY_MS, -400 * DAY_MS, 0];

/** Does something while the clock of this process is off by so much. */
async function withClock<Result>(offMs: number, work: () => Promise<Result>): Promise<Result> {
  const Real = Date;
  class Moved extends Real {
    constructor(...args: [] | [string | number]) {
      if (args.length === 0) super(Real.now() + offMs);
      else super(...args);
    }
    static override now = (): number => Real.now() + offMs;
  }
  globalThis.Date = Moved as DateConstructor;
  try {
    return await work();
  } finally {
    globalThis.Date = Real;
  }
}

/** Saves a shot while the clock is set back and forth, thins its history each time, and looks for all that was saved. */
export async function saveWithWrongClocks(
  database: Database,
  threads: Threads,
  savesEach: number,
): Promise<ClockReport> {
  const wrong: string[] = [];
  const service = createShotService(database, threads);
  const shot = freshShot({ name: 'Save 1', rate: 24, lengthFrames: 48, width: 400, height: 300 });
  const columns = async (n: number): Promise<ShotColumns> =>
    threads.openDocument(JSON.stringify(edits.renameShot(shot, { name: `Save ${n}` })), true);
  const { id } = await service.create(await columns(1));
  let revision = 1;
  for (const offMs of JUMPS_MS)
    await withClock(offMs, async () => {
      for (let i = 0; i < savesEach; i++) {
        await service.save(id, revision, await columns(revision + 1));
        revision++;
      }
      await service.thinHistories();
      await service.emptyOldBin();
      const { document } = await service.read(id);
      if ((JSON.parse(document) as { name: string }).name !== `Save ${revision}`)
        wrong.push(`the shot is not what was saved last, with the clock off by ${offMs / DAY_MS} days`);
      const { revisions } = await service.listRevisions(id, 2 ** 31);
      if (revisions[0]?.revision !== revision) wrong.push('the last save is not in the history');
      for (const one of revisions) {
        const past = await service.readRevisionOf(id, one.revision);
        if ((JSON.parse(past.document) as { name: string }).name !== `Save ${one.revision}`)
          wrong.push(`revision ${one.revision} is not what was saved`);
      }
    });
  return { saves: revision - 1, wrong };
}
