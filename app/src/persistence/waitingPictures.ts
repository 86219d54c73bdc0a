import type { Picture } from '@humble/core';
import { createExternalStore, useExternalStore } from '../ui/externalStore';
import { errorSentence } from '../store/errorSentence';
import { browserStore } from './browserStore';
import { keepPicture } from './keepPicture';
import { showLocally } from './pictures';
import { sha256Of } from './sha256';

/** A picture that was taken and is not on the server yet. */
interface Waiting {
  readonly bytes: Blob;
  readonly name: string;
}

const kept = browserStore('humble-waiting-pictures', 'pictures');

/** How many pictures wait for the server, and why the last one could not be sent; null where nothing is wrong. */
export interface WaitingPictures {
  readonly count: number;
  readonly problem: string | null;
}

const state = createExternalStore<WaitingPictures>({ count: 0, problem: null });
const waiting = new Map<string, Waiting>();

export const useWaitingPictures = (): WaitingPictures => useExternalStore(state);

/** Until it is sent, or as long as this page is open. */
const AGAIN_MS = 5000;

let isSending = false;
let again: ReturnType<typeof setTimeout> | undefined;

const told = (problem: string | null): void => state.set({ count: waiting.size, problem });

async function send(): Promise<void> {
  for (const [sha256, { bytes, name }] of waiting) {
    const file = new File([bytes], name, { type: bytes.type });
    const { picture } = await keepPicture(file, new AbortController().signal);
    // The server keeps what a picture shows and drops what a camera notes in it: it would be another file then.
    if (picture.sha256 !== sha256) throw new Error(`${name} was kept as another file`);
    waiting.delete(sha256);
    await kept.remove(sha256).catch(() => undefined);
    told(null);
  }
}

/** Sends what waits, one after the other; what cannot be sent is tried again until it is. */
export async function sendWaitingPictures(): Promise<void> {
  if (isSending || waiting.size === 0) return;
  isSending = true;
  clearTimeout(again);
  try {
    await send();
  } catch (error) {
    told(errorSentence(error));
    again = setTimeout(() => void sendWaitingPictures(), AGAIN_MS);
  } finally {
    isSending = false;
  }
}

/**
 * Keeps a picture on this device and sends it to the server, now or when that is there again.
 * @returns how it is named in a shot
 */
export async function keepTaken(bytes: Blob, name: string, size: Size): Promise<Picture> {
  const sha256 = await sha256Of(new Uint8Array(await bytes.arrayBuffer()));
  showLocally(sha256, bytes);
  waiting.set(sha256, { bytes, name });
  // A browser that keeps nothing still sends it; what is missing until then is told.
  await kept.put([sha256, { bytes, name }]).catch(() => undefined);
  told(state.get().problem);
  void sendWaitingPictures();
  return { sha256, type: bytes.type as Picture['type'], name, ...size };
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Takes up what an earlier page could not send any more. */
export async function resumeWaitingPictures(): Promise<void> {
  const found = await kept.all<Waiting>().catch(() => []);
  for (const [sha256, one] of found) {
    showLocally(sha256, one.bytes);
    waiting.set(sha256, one);
  }
  told(null);
  await sendWaitingPictures();
}
