import { Refusal } from '../ui/refusal';
import { shootWords as words } from '../words/shoot';
import type { CameraKind } from './camera';

/** A folder that the server watches, into which a program beside a camera writes its pictures. */
export const watchedFolder: CameraKind = {
  list: () => Promise.resolve([]),
  open: () => Promise.reject(new Refusal(words.noFolder)),
  widths: [],
};
