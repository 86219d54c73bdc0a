import type { ListedShot, StoredShot } from './api';
import { browserStore } from './browserStore';

/** So many shots can be opened without the server: those that were open last. */
export const MAX_KNOWN_SHOTS = 30;

/** A shot as the server last had it, as far as this device knows. */
export interface KnownShot extends StoredShot {
  /** When this device last saw it, milliseconds since 1970. */
  readonly at: number;
}

const shots = browserStore('humble-known-shots', 'shots');
const lists = browserStore('humble-known-list', 'lists');
const LIST = 'list';
/** When a shot was kept stands beside it, so that old ones are found without reading them. */
const TIME = 'at ';

async function timesByAge(): Promise<readonly { readonly id: string; readonly at: number }[]> {
  const keys = (await shots.keys()).filter((key) => key.startsWith(TIME));
  const times = await shots.get<number>(keys);
  return keys
    .map((key, i) => ({ id: key.slice(TIME.length), at: times[i] ?? 0 }))
    .sort((a, b) => b.at - a.at);
}

const drop = (ids: readonly string[]): Promise<void> =>
  ids.length === 0 ? Promise.resolve() : shots.remove(...ids.flatMap((id) => [id, TIME + id]));

/** Keeps a shot as the server has it, so that it can be opened while that is away. What cannot be kept is left. */
export async function keepKnown(shot: StoredShot, at = Date.now()): Promise<void> {
  try {
    await shots.put([shot.id, { ...shot, at } satisfies KnownShot], [TIME + shot.id, at]);
    await drop((await timesByAge()).slice(MAX_KNOWN_SHOTS).map(({ id }) => id));
  } catch {
    // It cannot be opened without the server then, as if it had never been open here.
  }
}

/** A shot that was open on this device; null where it was not, or is not kept. */
export async function knownShot(id: string): Promise<KnownShot | null> {
  const [found] = await shots.get<KnownShot>([id]).catch(() => []);
  return found ?? null;
}

/** The ids of shots that can be opened without the server. */
export const knownIds = async (): Promise<ReadonlySet<string>> =>
  new Set((await timesByAge().catch(() => [])).map(({ id }) => id));

/** Keeps the list as the server sent it. Shots that are not in it any more are forgotten. */
export async function keepList(list: readonly ListedShot[]): Promise<void> {
  try {
    await lists.put([LIST, list]);
    const listed = new Set(list.map(({ id }) => id));
    await drop([...(await knownIds())].filter((id) => !listed.has(id)));
  } catch {
    // Without the server the list is empty then.
  }
}

/** The list as the server last sent it; null where this device never saw one. */
export async function knownList(): Promise<readonly ListedShot[] | null> {
  const [found] = await lists.get<readonly ListedShot[]>([LIST]).catch(() => []);
  return found ?? null;
}

/** Forgets what the server has, too: edits that wait for it are kept elsewhere, and stay. */
export async function forgetKnown(): Promise<void> {
  await drop([...(await knownIds())]);
  await lists.remove(LIST);
}
