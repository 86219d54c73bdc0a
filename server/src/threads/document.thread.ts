import { MAX_NAME_LENGTH, type Shot } from '@humble/core';
import { openShot, readShotFile, shotCard } from '@humble/core/files';
import { CONTRACT } from '@humble/core/contract';
import { Problem } from '../http/problem';
import { answerTasks } from './answerTasks';
import type { DocumentTask, ShotColumns } from './documentTasks';

function columnsOf(shot: Shot): ShotColumns {
  const { name, film, lengthFrames, rate, field } = shot;
  return {
    document: JSON.stringify(shot),
    name,
    film,
    lengthFrames,
    rate,
    width: field.width,
    height: field.height,
  };
}

const decoder = new TextDecoder('utf-8', { fatal: true });

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(decoder.decode(bytes));
  } catch {
    throw new Problem(400, 'bad-request', 'The request cannot be read: its body is not whole JSON.');
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
    case 'document':
      return columnsOf(readShotFile(task.text));
    case 'copy': {
      const shot = readShotFile(task.text);
      const name = `${shot.name.slice(0, MAX_NAME_LENGTH - task.suffix.length)}${task.suffix}`;
      return columnsOf({ ...shot, name });
    }
    case 'card':
      return shotCard(JSON.parse(task.text) as Shot);
  }
});
