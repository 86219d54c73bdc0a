import { edits, freshShot, type Shot } from '@humble/core';
import { startAutosave } from './autosave';
import type { Draft, KeptHistory } from '../drafts';
import { documentOpened } from '../../store/sessionSlice';
import { doEdit } from '../../store/doEdit';
import { shotOpened } from '../../store/shotSlice';
import type { AppStore } from '../../store/store';
import { createServerStore } from '../appStore';

const mockKept = new Map<string, Draft>();
/** How the browser fails to keep a draft; nothing when it keeps it. */
let mockFailure: 'throws' | 'rejects' | 'hangs' | null = null;
const mockHistories: KeptHistory[] = [];
jest.mock('../drafts', () => ({
  keepDraft: (draft: Draft): Promise<void> => {
    if (mockFailure === 'throws') throw new Error('no storage');
    if (mockFailure === 'rejects') return Promise.reject(new Error('quota'));
    if (mockFailure === 'hangs') return new Promise(() => undefined);
    mockKept.set(draft.shotId, draft);
    return Promise.resolve();
  },
  keepHistory: async (history: KeptHistory) => void mockHistories.push(history),
  dropDraft: async (id: string) => void mockKept.delete(id),
  dropKept: async (key: string) => void mockKept.delete(key),
  keptDrafts: async () => [...mockKept.values()].map((draft) => ({ ...draft, key: draft.shotId })),
}));

const shot: Shot = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
const rename = (name: string) => doEdit('renameShot', { name });

/** A server in memory that behaves like the real one, and can be told to be away. */
class Server {
  revision = 1;
  shot = shot;
  isAway = false;
  /** Does the work but loses the answer. */
  losesAnswers = false;
  saves = 0;

  readonly fetch = async (input: unknown): Promise<Response> => {
    if (this.isAway) throw new TypeError('fetch failed');
    const body = JSON.parse(await (input as Request).text()) as { revision: number; shot: Shot };
    if (body.revision !== this.revision)
      return this.answer(409, {
        detail: 'Changed.',
        current: { id: 'a', revision: this.revision, shot: this.shot },
      });
    this.saves++;
    this.revision++;
    this.shot = body.shot;
    if (this.losesAnswers) throw new TypeError('connection lost');
    return this.answer(200, { id: 'a', revision: this.revision, updatedAt: '' });
  };

  private answer(status: number, body: object): Response {
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  }
}

let server: Server;
let store: AppStore;
let autosave: ReturnType<typeof startAutosave>;
const status = () => store.getState().session.document?.status;

/** The page's own events; there is no page here. */
const page = new EventTarget();
Object.assign(window, {
  addEventListener: page.addEventListener.bind(page),
  removeEventListener: page.removeEventListener.bind(page),
});

const realRequest = global.Request;
beforeAll(() => {
  // Relative addresses have no page to be relative to here.
  global.Request = class extends realRequest {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init);
    }
  };
});
afterAll(() => {
  global.Request = realRequest;
});

beforeEach(() => {
  jest.useFakeTimers();
  mockKept.clear();
  mockHistories.length = 0;
  mockFailure = null;
  server = new Server();
  global.fetch = server.fetch as typeof fetch;
  store = createServerStore();
  autosave = startAutosave(store);
  store.dispatch(documentOpened({ id: 'a', revision: 1, status: 'saved', step: 'arc' }));
  autosave.settle(shot);
  store.dispatch(shotOpened(shot));
});

afterEach(() => {
  autosave.stop();
  jest.useRealTimers();
});

test('edits that follow each other are one save after a rest', async () => {
  for (const name of ['A', 'B', 'C']) store.dispatch(rename(name));
  expect(status()).toBe('unsaved');
  expect(server.saves).toBe(0);
  await jest.advanceTimersByTimeAsync(2000);
  expect(server.saves).toBe(1);
  expect(server.shot.name).toBe('C');
  expect(status()).toBe('saved');
});

test('an edit is in the browser before it is on the server, and leaves it once it is there', async () => {
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(300);
  expect(mockKept.get('a')?.shot.name).toBe('A');
  expect(server.saves).toBe(0);
  await jest.advanceTimersByTimeAsync(2000);
  expect(mockKept.size).toBe(0);
});

test('while the server is away edits are kept, and they are sent when it is back', async () => {
  server.isAway = true;
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(3000);
  expect(status()).toBe('offline');
  store.dispatch(rename('B'));
  await jest.advanceTimersByTimeAsync(20_000);
  expect(mockKept.get('a')?.shot.name).toBe('B');
  server.isAway = false;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(status()).toBe('saved');
  expect(server.shot.name).toBe('B');
});

test('an answer lost on the way is no conflict, also when there are edits since', async () => {
  server.losesAnswers = true;
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(1000);
  expect(server.shot.name).toBe('A');
  expect(status()).toBe('offline');
  store.dispatch(rename('B'));
  server.losesAnswers = false;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(store.getState().session.theirs).toBeNull();
  expect(status()).toBe('saved');
  expect(server.shot.name).toBe('B');
});

test('a save by someone else is a conflict; nothing is sent until it is settled, and the draft stays', async () => {
  server.revision = 2;
  server.shot = edits.renameShot(shot, { name: 'Theirs' });
  store.dispatch(rename('Mine'));
  await jest.advanceTimersByTimeAsync(2000);
  expect(status()).toBe('conflict');
  expect(store.getState().session.theirs?.shot.name).toBe('Theirs');
  store.dispatch(rename('Mine too'));
  await jest.advanceTimersByTimeAsync(20_000);
  expect(server.shot.name).toBe('Theirs');
  expect(mockKept.get('a')?.shot.name).toBe('Mine too');
});

test('the draft of an edit that was undone before it was sent does not come back', async () => {
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(300);
  expect(mockKept.get('a')?.shot.name).toBe('A');
  store.dispatch({ type: '@@redux-undo/UNDO' });
  await jest.advanceTimersByTimeAsync(5000);
  expect(status()).toBe('saved');
  expect(server.saves).toBe(0);
  expect(mockKept.size).toBe(0);
});

test('an edit undone before it was sent needs no save', async () => {
  store.dispatch(rename('A'));
  store.dispatch({ type: '@@redux-undo/UNDO' });
  expect(status()).toBe('saved');
  await jest.advanceTimersByTimeAsync(5000);
  expect(server.saves).toBe(0);
  expect(mockKept.size).toBe(0);
});

describe('what is said to be kept on this device is', () => {
  const isUnkept = () => store.getState().session.document?.isUnkept;

  test('an edit is in the draft within 50 ms of the hand’s rest', async () => {
    for (let i = 0; i < 10; i++) {
      store.dispatch(rename(`Drag ${i}`));
      await jest.advanceTimersByTimeAsync(16);
    }
    await jest.advanceTimersByTimeAsync(34);
    expect(mockKept.get('a')?.shot.name).toBe('Drag 9');
  });

  test('while the hand goes on it is written now and then', async () => {
    for (let i = 0; i < 30; i++) {
      store.dispatch(rename(`Drag ${i}`));
      await jest.advanceTimersByTimeAsync(16);
    }
    expect(mockKept.has('a')).toBe(true);
  });

  test('an edit is in the draft at once when the page is hidden or left', async () => {
    server.isAway = true;
    store.dispatch(rename('Left'));
    expect(mockKept.has('a')).toBe(false);
    page.dispatchEvent(new Event('pagehide'));
    await jest.advanceTimersByTimeAsync(0);
    expect(mockKept.get('a')?.shot.name).toBe('Left');
    expect(mockHistories.at(-1)?.past.map(({ name }) => name)).toEqual(['Quay']);
  });

  test.each(['throws', 'rejects', 'hangs'] as const)(
    'a browser that %s is said to keep nothing, asks before it is left, and is tried again',
    async (failure) => {
      mockFailure = failure;
      server.isAway = true;
      store.dispatch(rename('A'));
      await jest.advanceTimersByTimeAsync(4000);
      expect(status()).toBe('offline');
      expect(isUnkept()).toBe(true);
      const leaving = new Event('beforeunload', { cancelable: true });
      page.dispatchEvent(leaving);
      expect(leaving.defaultPrevented).toBe(true);

      // Later edits are still tried, and once the browser keeps one that is said.
      store.dispatch(rename('B'));
      mockFailure = null;
      await jest.advanceTimersByTimeAsync(4000);
      expect(mockKept.get('a')?.shot.name).toBe('B');
      expect(isUnkept()).toBe(false);
      const again = new Event('beforeunload', { cancelable: true });
      page.dispatchEvent(again);
      expect(again.defaultPrevented).toBe(false);
    },
  );

  test('what the browser cannot keep is no longer said once the server has it', async () => {
    mockFailure = 'rejects';
    store.dispatch(rename('A'));
    await jest.advanceTimersByTimeAsync(100);
    expect(isUnkept()).toBe(true);
    await jest.advanceTimersByTimeAsync(3000);
    expect(status()).toBe('saved');
    expect(isUnkept()).toBe(false);
  });

  test('the draft has what the server last took, as a way back', async () => {
    store.dispatch(rename('A'));
    await jest.advanceTimersByTimeAsync(100);
    expect(mockKept.get('a')?.good).toBe(shot);
  });
});

test('a server error is no silence: it is said, and tried again', async () => {
  const real = server.fetch;
  global.fetch = (async () =>
    new Response(JSON.stringify({ detail: 'The server’s disk is full.' }), {
      status: 507,
      headers: { 'content-type': 'application/json' },
    })) as typeof fetch;
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(1000);
  expect(status()).toBe('failed');
  expect(store.getState().session.message?.text).toBe('The server’s disk is full.');
  global.fetch = real as typeof fetch;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(status()).toBe('saved');
  expect(server.shot.name).toBe('A');
});

test('a draft says what was on its way when it was kept', async () => {
  server.losesAnswers = true;
  store.dispatch(rename('A'));
  await jest.advanceTimersByTimeAsync(1000);
  store.dispatch(rename('B'));
  await jest.advanceTimersByTimeAsync(300);
  expect(mockKept.get('a')).toMatchObject({ revision: 1, shot: { name: 'B' }, sent: { name: 'A' } });
  server.losesAnswers = false;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(status()).toBe('saved');
});
