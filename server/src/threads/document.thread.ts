import { MAX_NAME_LENGTH, type Shot } from '@humble/core';
import {
  decodedText,
  describeChanges,
  importShot,
  openShot,
  readShotFile,
  shotCard,
} from '@humble/core/files';
import { CONTRACT } from '@humble/core/contract';
import { workerData } from 'node:worker_threads';
import { documentsOf, type StoredRevision, storedAfter, withoutOthers } from '../history/revisionChain';
import { Problem } from '../http/problem';
import { answerTasks } from './answerTasks';
import type { DocumentTask, RevisionChanges, ShotColumns } from './documentTasks';

/** A card that takes longer shows the field alone, milliseconds. */
const { cardMs } = workerData as { readonly cardMs: number };

function columnsOf(shot: Shot, withCard = true): ShotColumns {
  const { name, film, lengthFrames, rate } = shot;
  const until = performance.now() + cardMs;
  const card = withCard ? JSON.stringify(shotCard(shot, () => performance.now() > until)) : '';
  return { document: JSON.stringify(shot), name, film, lengthFrames, rate, card };
}

const decoder = new TextDecoder('utf-8', { fatal: true });

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(decoder.decode(bytes));
  } catch {
    throw new Problem(400, 'bad-request', 'The request cannot be read: its body isn’t valid JSON.');
  }
}

const lastDocumentOf = (chain: readonly StoredRevision[]): string => [...documentsOf(chain)].at(-1)!.document;

function changesIn(chain: readonly StoredRevision[], wanted: ReadonlySet<number>): RevisionChanges[] {
  const found: RevisionChanges[] = [];
  let before: Shot | null = null;
  for (const { revision, document } of documentsOf(chain)) {
    // Read only where something is compared with it.
    if (!wanted.has(revision) && !wanted.has(nextIn(chain, revision))) continue;
    const shot: Shot = readShotFile(document);
    if (wanted.has(revision)) found.push({ revision, changes: before ? describeChanges(before, shot) : [] });
    before = shot;
  }
  return found;
}

const nextIn = (chain: readonly StoredRevision[], revision: number): number =>
  chain[chain.findIndex((one) => one.revision === revision) + 1]?.revision ?? 0;

answerTasks((task: DocumentTask) => {
  switch (task.kind) {
    case 'body': {
      const body = parsed(task.bytes);
      if (!task.namesRevision) return columnsOf(openShot(CONTRACT.createShot.body.parse(body).shot));
      const { shot, revision } = CONTRACT.saveShot.body.parse(body);
      return { ...columnsOf(openShot(shot)), revision };
    }
    case 'file': {
      const { name, bytes, firstNumber } = task;
      const { shot, notes } = importShot({ name, text: decodedText(bytes), firstNumber });
      return { ...columnsOf(shot), notes };
    }
    case 'document':
      return columnsOf(readShotFile(task.text), task.withCard);
    case 'copy': {
      const shot = readShotFile(task.text);
      const name = `${shot.name.slice(0, MAX_NAME_LENGTH - task.suffix.length)}${task.suffix}`;
      return columnsOf({ ...shot, name });
    }
    case 'delta':
      return storedAfter(task.before, task.after);
    case 'past':
      return columnsOf(readShotFile(lastDocumentOf(task.chain)), false);
    case 'changes':
      return changesIn(task.chain, new Set(task.wanted));
    case 'thinned':
      return withoutOthers(task.chain, new Set(task.kept));
  }
});
