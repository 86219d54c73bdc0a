import { edits, type Shot } from '@humble/core';
import { heavyShot } from '@humble/core/testing/heavyShots';
import { sendJson } from './serverProcess';

export interface LoadReport {
  readonly people: number;
  readonly documentBytes: number;
  readonly seconds: number;
  readonly saves: number;
  readonly medianMs: number;
  /** One save in twenty takes longer. */
  readonly slowMs: number;
  /** Answers that were no 200. */
  readonly refused: number;
}

interface Saved {
  readonly id: string;
  readonly revision: number;
}

/** One figure has no more of them. */
const MARKS_EACH = 4500;

const created = async (address: string, shot: Shot): Promise<Saved> =>
  (await (await sendJson(`${address}/api/shots`, 'POST', { shot })).json()) as Saved;

const shareOf = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;

const moved = (shot: Shot, n: number): Shot =>
  edits.movePoint(shot, { arcId: 'arc1', pointId: 'p2', to: { x: n % 900, y: (n * 7) % 500 } });

export interface Load {
  readonly people: number;
  readonly marks: number;
  readonly seconds: number;
}

/** A shot of so many marks, on several figures where they are many. */
const shotWith = (marks: number): Shot => {
  const moves = Math.max(1, Math.ceil(marks / MARKS_EACH));
  const each = Math.ceil(marks / moves);
  return heavyShot({ frames: Math.max(48, 2 * each), points: 12, marks: each, moves, easing: 'even' });
};

/**
 * So many people save a shot of their own, each again as soon as the answer is there.
 * @param marks of each shot: what its document weighs follows from it
 */
export async function saveTogether(address: string, { people, marks, seconds }: Load): Promise<LoadReport> {
  const shot = shotWith(marks);
  const took: number[] = [];
  let refused = 0;
  const until = performance.now() + 1000 * seconds;
  const work = async (): Promise<void> => {
    const { id } = await created(address, shot);
    for (let revision = 1; performance.now() < until; revision++) {
      const body = JSON.stringify({ revision, shot: moved(shot, revision) });
      const since = performance.now();
      const answer = await sendJson(`${address}/api/shots/${id}`, 'PUT', body);
      await answer.arrayBuffer();
      took.push(performance.now() - since);
      if (answer.status !== 200) refused++;
    }
  };
  await Promise.all(Array.from({ length: people }, work));
  took.sort((a, b) => a - b);
  return {
    people,
    documentBytes: JSON.stringify(shot).length,
    seconds,
    saves: took.length,
    medianMs: shareOf(took, 0.5),
    slowMs: shareOf(took, 0.95),
    refused,
  };
}

export interface StaleReport {
  readonly medianMs: number;
  /** What the answer weighs: the current document is in it. */
  readonly answerBytes: number;
}

/** What a save costs that someone else was quicker than. */
export async function staleSaves(address: string, marks: number, count: number): Promise<StaleReport> {
  const shot = shotWith(marks);
  const { id } = await created(address, shot);
  await sendJson(`${address}/api/shots/${id}`, 'PUT', { revision: 1, shot: moved(shot, 1) });
  const took: number[] = [];
  let answerBytes = 0;
  for (let i = 0; i < count; i++) {
    const body = JSON.stringify({ revision: 1, shot: moved(shot, i) });
    const since = performance.now();
    const answer = await sendJson(`${address}/api/shots/${id}`, 'PUT', body);
    answerBytes = (await answer.arrayBuffer()).byteLength;
    took.push(performance.now() - since);
  }
  took.sort((a, b) => a - b);
  return { medianMs: shareOf(took, 0.5), answerBytes };
}
