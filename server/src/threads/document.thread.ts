import { MAX_NAME_LENGTH, type Shot } from '@humble/core';
import { decodedText, importShot, openShot, readShotFile, shotCard } from '@humble/core/files';
import { CONTRACT } from '@humble/core/contract';
import { workerData } from 'node:worker_threads';
import { Problem } from '../http/problem';
import { answerTasks } from './answerTasks';
import type { DocumentTask, ShotColumns } from './documentTasks';

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
  }
});
