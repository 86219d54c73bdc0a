import { LONGEST_NAME, type Shot } from '@humble/core';
import { openShot, readShotFile, shotCard } from '@humble/core/files';
import { z } from 'zod';
import { Problem } from '../http/problem';
import { answerTasks } from './answerTasks';
import type { DocumentTask, ShotColumns } from './documentTasks';

const shotBody = z.object({ shot: z.unknown() });
const savedBody = shotBody.extend({ revision: z.number().int().min(1) });

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
      const body = task.namesRevision
        ? savedBody.parse(parsed(task.bytes))
        : { ...shotBody.parse(parsed(task.bytes)), revision: undefined };
      return { ...columnsOf(openShot(body.shot)), revision: body.revision };
    }
    case 'document':
      return columnsOf(readShotFile(task.text));
    case 'copy': {
      const shot = readShotFile(task.text);
      const name = `${shot.name.slice(0, LONGEST_NAME - task.suffix.length)}${task.suffix}`;
      return columnsOf({ ...shot, name });
    }
    case 'card':
      return shotCard(JSON.parse(task.text) as Shot);
  }
});
