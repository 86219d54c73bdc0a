import type { AnswerOf } from '@humble/core/contract';
import { addressOf, API } from '@humble/core/routes';
import { Refusal } from '../ui/refusal';
import { shootWords as words } from '../words/shoot';
import type { CameraKind, CameraWish, OpenCamera } from './camera';

type Answer = AnswerOf<'readWatchedFolder'>;

/** The server is asked so often, milliseconds. */
const EVERY_MS = 700;

async function read(after: number): Promise<Answer> {
  const answer = await fetch(API + addressOf('readWatchedFolder', { after: `${after}` }));
  if (!answer.ok) throw new Error(`${answer.status}`);
  return (await answer.json()) as Answer;
}

async function open({ onPicture, onNote }: CameraWish): Promise<OpenCamera> {
  const first = await read(0).catch(() => {
    throw new Refusal(words.folderNotReached);
  });
  if (first.folder === null) throw new Refusal(words.noFolder);
  let last = first.files.at(-1)?.number ?? 0;
  let isOpen = true;
  let isAway = false;
  const look = async (): Promise<void> => {
    if (!isOpen) return;
    try {
      const { files } = await read(last);
      isAway = false;
      for (const { number, name, picture, sentence } of files) {
        last = number;
        if (!isOpen) return;
        if (picture) onPicture(picture);
        else onNote(`“${name}”: ${sentence}`);
      }
    } catch {
      // Said once: what is put into the folder meanwhile comes when the server is there again.
      if (!isAway) onNote(words.folderNotReached);
      isAway = true;
    }
    if (isOpen) setTimeout(() => void look(), EVERY_MS);
  };
  void look();
  return {
    live: null,
    size: { width: 0, height: 0 },
    take: () => Promise.reject(new Refusal(words.folderTakes)),
    close: () => {
      isOpen = false;
    },
  };
}

/** A folder that the server watches, into which a program beside a camera writes its pictures. */
export const watchedFolder: CameraKind = { list: () => Promise.resolve([]), open, widths: [] };
