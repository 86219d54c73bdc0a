import { isDeepStrictEqual } from 'node:util';
import { edits, type Shot } from '@humble/core';
import { heavyShot } from '@humble/core/testing/heavyShots';
import { createHistoryStore } from '../database/historyStore';
import type { Database } from '../database/openDatabase';
import type { Threads } from '../threads/threads';

const POINTS = 60;

export interface ManyEditsReport {
  readonly edits: number;
  /** What the document weighs, and its whole history. */
  readonly documentBytes: number;
  readonly bytes: number;
  /** Whether the documents that were looked at are what they were. */
  readonly isRight: boolean;
}

/** Moves the points of a shot of 20,000 frames with 5,000 marks about, and keeps a revision of each move. */
export async function historyOfManyEdits(
  database: Database,
  threads: Threads,
  count: number,
): Promise<ManyEditsReport> {
  const history = createHistoryStore(database, threads);
  const shot = heavyShot({ frames: 20_000, points: POINTS, marks: 5000, easing: 'even' });
  const edited = (i: number): Shot => {
    const to = { x: i, y: (i * 37) % 1000 };
    return edits.movePoint(shot, { arcId: 'arc1', pointId: `p${1 + (i % POINTS)}`, to });
  };
  const saved = (i: number) => ({
    revision: i,
    savedAt: Date.now(),
    document: JSON.stringify(edited(i)),
    card: '{}',
    cardVersion: 0,
  });
  const { id } = await database.shots.create({
    id: `many-${count}`,
    revision: 1,
    document: saved(1).document,
    name: shot.name,
    film: '',
    lengthFrames: shot.lengthFrames,
    rate: shot.rate,
    card: '{}',
    cardVersion: 0,
    rank: null,
    removedAt: null,
  });
  let before = saved(1);
  for (let i = 2; i <= count + 1; i++) {
    const after = saved(i);
    const write = await history.prepared(id, before, after);
    await database.together((run) => write(run));
    before = after;
  }
  const { bytes } = await history.size(id);
  const looked = [1, Math.ceil(count / 2), count, count + 1];
  const documents = await Promise.all(looked.map((i) => history.document(id, i)));
  const isRight = documents.every((document, i) =>
    isDeepStrictEqual(JSON.parse(document!), edited(looked[i]!)),
  );
  return { edits: count, documentBytes: before.document.length, bytes, isRight };
}
