import { freshShot, type Shot } from '@humble/core';
import { startAutosave } from './autosave';
import type { Draft, KeptHistory } from '../drafts';
import { documentOpened } from '../../store/sessionSlice';
import { doEdit } from '../../store/doEdit';
import { shotOpened } from '../../store/shotSlice';
import { createServerStore } from '../appStore';

// A part of `npm run hardening`: an hour of editing, in simulated time, while the server is away; the browser's room
// runs out for a while.

const mockKept = new Map<string, Draft>();
let mockIsFull = false;
const mockHistories: KeptHistory[] = [];
jest.mock('../drafts', () => ({
  keepDraft: async (draft: Draft) => {
    if (mockIsFull) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    mockKept.set(draft.shotId, draft);
  },
  keepHistory: async (history: KeptHistory) => {
    if (mockIsFull) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    mockHistories[0] = history;
  },
  dropDraft: async (id: string) => void mockKept.delete(id),
}));
jest.mock('../laterParts', () => ({ knownShots: () => Promise.reject(new Error('no room')) }));

const MINUTE_MS = 60_000;
const EDIT_EVERY_MS = 2000;
/** The browser has no more room in these minutes. */
const isFullIn = (minute: number): boolean => minute >= 20 && minute < 30;

const shot: Shot = freshShot({ name: 'Edit 0', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });

test('an hour of editing with the server away: nothing is lost, and nothing is said that is not so', async () => {
  jest.useFakeTimers();
  const realRequest = global.Request;
  global.Request = class extends realRequest {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init);
    }
  };
  let isAway = true;
  let [asked, revision] = [0, 1];
  let stored = shot;
  global.fetch = (async (input: Request) => {
    asked++;
    if (isAway) throw new TypeError('fetch failed');
    const body = JSON.parse(await input.text()) as { revision: number; shot: Shot };
    if (body.revision !== revision) throw new Error('a conflict that nobody made');
    stored = body.shot;
    revision++;
    return new Response(JSON.stringify({ id: 'a', revision, updatedAt: '' }), {
      headers: { 'content-type': 'application/json' },
    });
  }) as typeof fetch;
  const store = createServerStore();
  const autosave = startAutosave(store);
  store.dispatch(documentOpened({ id: 'a', revision: 1, status: 'saved', step: 'arc' }));
  autosave.settle(shot);
  store.dispatch(shotOpened(shot));
  const document = () => store.getState().session.document!;

  let edits = 0;
  for (let minute = 0; minute < 60; minute++) {
    mockIsFull = isFullIn(minute);
    for (let ms = 0; ms < MINUTE_MS; ms += EDIT_EVERY_MS) {
      store.dispatch(doEdit('renameShot', { name: `Edit ${++edits}` }));
      await jest.advanceTimersByTimeAsync(EDIT_EVERY_MS);
    }
    // What is on this device is the last edit, or the page says that it is not.
    expect(document().status).toBe('offline');
    expect(document().isUnkept).toBe(mockIsFull);
    if (!mockIsFull) expect(mockKept.get('a')?.shot.name).toBe(`Edit ${edits}`);
  }
  // It asks now and then, not more often the longer it lasts; and nothing piles up.
  expect(asked).toBeLessThan(60 * 60);
  expect(jest.getTimerCount()).toBeLessThan(10);
  expect(mockHistories[0]!.past.length).toBeGreaterThan(100);

  isAway = false;
  await jest.advanceTimersByTimeAsync(MINUTE_MS);
  expect(document().status).toBe('saved');
  expect(stored.name).toBe(`Edit ${edits}`);
  expect(store.getState().session.theirs).toBeNull();
  expect(mockKept.size).toBe(0);
  if (process.env.HUMBLE_HARDENING)
    // eslint-disable-next-line no-console -- the figures of `npm run hardening` are printed
    console.info(`${edits} edits in an hour without the server, asked ${asked} times, none lost`);
  autosave.stop();
  global.Request = realRequest;
  jest.useRealTimers();
}, 60_000);
