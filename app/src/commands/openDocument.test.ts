import { edits, freshShot, type Shot } from '@humble/core';
import type { Draft, KeptHistory } from '../persistence/drafts';
import { closeDocument, type NotOpened, openDocument, saveAsCopy, settleConflict } from './openDocument';
import { importShotFile } from './importShotFile';
import { doEdit } from '../store/doEdit';
import { store } from '../persistence/appStore';

const mockKept = new Map<string, Draft>();
let mockHistory: KeptHistory | null = null;
jest.mock('../persistence/drafts', () => ({
  keepDraft: async (draft: Draft) => void mockKept.set(draft.shotId, draft),
  dropDraft: async (id: string) => void mockKept.delete(id),
  dropKept: async (key: string) => void mockKept.delete(key),
  keptDrafts: async () => [],
  draftOf: async (id: string) => (mockKept.has(id) ? { ...mockKept.get(id), key: id } : null),
  keepHistory: async () => undefined,
  historyOf: async () => mockHistory,
}));

const named = (name: string): Shot =>
  freshShot({ name, rate: 24, lengthFrames: 48, width: 1920, height: 1080 });

interface Stored {
  revision: number;
  shot: Shot;
}

/** A server in memory: shots by id, and whether it answers. */
const server = {
  shots: new Map<string, Stored>(),
  removed: new Set<string>(),
  isAway: false,
  /** Answers everything with this error. */
  error: null as { status: number; body: object } | null,
  /** Names that it refuses. */
  refuses: '',
};

const answer = (status: number, body: object): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

async function respond(input: unknown): Promise<Response> {
  if (server.isAway) throw new TypeError('fetch failed');
  if (server.error) return answer(server.error.status, server.error.body);
  const request = input as Request;
  const id = new URL(request.url).pathname.split('/')[3] ?? '';
  const known = server.shots.get(id);
  if (request.method === 'POST') {
    const { shot } = JSON.parse(await request.text()) as Stored;
    server.shots.set('copy', { revision: 1, shot });
    return answer(201, { id: 'copy', revision: 1, shot });
  }
  if (server.removed.has(id)) return answer(410, { detail: 'This shot was removed. It can be restored.' });
  if (!known) return answer(404, { detail: 'There is no such shot.' });
  if (request.method === 'GET') return answer(200, { id, ...known });
  const { revision, shot } = JSON.parse(await request.text()) as Stored;
  if (server.refuses && shot.name === server.refuses) return answer(422, { detail: 'The name is taken.' });
  if (revision !== known.revision) return answer(409, { detail: 'Changed.', current: { id, ...known } });
  server.shots.set(id, { revision: revision + 1, shot });
  return answer(200, { id, revision: revision + 1 });
}

const RealRequest = global.Request;
beforeAll(() => {
  global.fetch = respond as typeof fetch;
  // Relative addresses have no page to be relative to here.
  global.Request = class extends RealRequest {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init);
    }
  };
});
afterAll(() => {
  global.Request = RealRequest;
});

beforeEach(() => {
  server.shots = new Map([['a', { revision: 3, shot: named('Stored') }]]);
  server.removed.clear();
  server.isAway = false;
  server.error = null;
  server.refuses = '';
  mockKept.clear();
  mockHistory = null;
});
afterEach(async () => {
  server.isAway = false;
  await closeDocument('a');
});

const open = () => store.getState().session.document;
const shotName = () => store.getState().shot.present.shot?.name;
const draft = (name: string, revision: number): void => {
  mockKept.set('a', { shotId: 'a', revision, shot: named(name), good: null, at: 1 });
};

test('a shot comes from the server, saved', async () => {
  expect(await openDocument('a')).toBe('opened');
  expect(open()).toEqual({ id: 'a', revision: 3, status: 'saved', isUnkept: false });
  expect(shotName()).toBe('Stored');
});

test('a file that is imported crosses the wire twice: there as it is, and back as the shot that is opened', async () => {
  const requests: string[] = [];
  global.fetch = (async (input: Request) => {
    requests.push(`${input.method} ${new URL(input.url).pathname}`);
    return answer(201, { id: 'new', revision: 1, updatedAt: '', shot: named('Imported'), notes: [] });
  }) as typeof fetch;
  const id = await store.dispatch(importShotFile({ name: 'a.json', bytes: new Uint8Array([123]) }));
  expect(await openDocument(id!)).toBe('opened');
  expect(requests).toEqual(['POST /api/imports']);
  expect(shotName()).toBe('Imported');
  global.fetch = respond as typeof fetch;
  await closeDocument('new');
});

test('edits that never got there come first, and are sent', async () => {
  draft('Mine', 3);
  await openDocument('a');
  expect(shotName()).toBe('Mine');
  await closeDocument('a');
  expect(server.shots.get('a')).toMatchObject({ revision: 4, shot: { name: 'Mine' } });
  expect(mockKept.size).toBe(0);
});

test('a draft that the server already has is no change', async () => {
  draft('Stored', 2);
  await openDocument('a');
  expect(open()?.status).toBe('saved');
  expect(mockKept.size).toBe(0);
});

test('a draft that the server has with its members in another order is no change', async () => {
  const reordered = Object.fromEntries(Object.entries(named('Stored')).reverse()) as unknown as Shot;
  mockKept.set('a', { shotId: 'a', revision: 2, shot: reordered, good: null, at: 1 });
  await openDocument('a');
  expect(open()?.status).toBe('saved');
  expect(mockKept.size).toBe(0);
});

test('an edit made while an earlier one was on its way is no conflict after a reload', async () => {
  const sent = named('Stored');
  mockKept.set('a', { shotId: 'a', revision: 2, shot: named('Mine'), good: named('Older'), sent, at: 1 });
  await openDocument('a');
  expect(store.getState().session.theirs).toBeNull();
  expect(shotName()).toBe('Mine');
  await closeDocument('a');
  expect(server.shots.get('a')).toMatchObject({ revision: 4, shot: { name: 'Mine' } });
});

test('a version that somebody else saved is a conflict still', async () => {
  const sent = named('Sent');
  mockKept.set('a', { shotId: 'a', revision: 2, shot: named('Mine'), good: named('Older'), sent, at: 1 });
  await openDocument('a');
  expect(open()?.status).toBe('conflict');
  expect(store.getState().session.theirs?.shot.name).toBe('Stored');
  await settleConflict('theirs');
});

test('with the server away a draft opens all the same, and without one it says so', async () => {
  server.isAway = true;
  expect(await openDocument('a')).toMatchObject({ kind: 'offline', draft: null });
  draft('Mine', 3);
  expect(await openDocument('a')).toBe('opened');
  expect(shotName()).toBe('Mine');
  expect(open()?.status).toBe('offline');
});

test('an unknown shot is gone; a removed one can be brought back', async () => {
  expect(await openDocument('b')).toMatchObject({ kind: 'gone' });
  server.removed.add('a');
  expect(await openDocument('a')).toMatchObject({ kind: 'removed' });
});

test.each([
  [500, {}, 'failed', 'The server answered with an error (500).'],
  [507, { detail: 'The disk is full.' }, 'failed', 'The disk is full.'],
  [429, { detail: 'Too many requests.' }, 'failed', 'Too many requests.'],
  [422, { type: '/problems/damaged-shot', detail: 'Torn.' }, 'damaged', 'Torn.'],
  [422, { type: '/problems/newer-version', detail: 'Newer.' }, 'damaged', 'Newer.'],
  [400, { detail: 'Not right.' }, 'failed', 'Not right.'],
] as const)('an answer of %d is told from none', async (status, body, kind, sentence) => {
  server.error = { status, body };
  expect(await openDocument('a')).toEqual({ kind, sentence, draft: null });
});

test('a damaged shot of which this device has edits offers them', async () => {
  server.error = { status: 422, body: { type: '/problems/damaged-shot', detail: 'Torn.' } };
  draft('Mine', 3);
  const result = await openDocument('a');
  expect(result).toMatchObject({ kind: 'damaged', draft: { name: 'Mine' } });
  server.error = null;
  expect(await saveAsCopy((result as NotOpened).draft!)).toBe('copy');
  expect(server.shots.get('copy')?.shot.name).toBe('Mine (my version)');
});

const undo = () => store.dispatch({ type: '@@redux-undo/UNDO' });

test('what could be undone can still be undone when the shot is opened again', async () => {
  mockHistory = {
    shotId: 'a',
    past: [named('First'), named('Second')],
    present: named('Stored'),
    future: [named('Undone')],
    at: 1,
  };
  await openDocument('a');
  expect(store.getState().shot.past).toHaveLength(2);
  expect(store.getState().shot.future).toHaveLength(1);
  undo();
  expect(shotName()).toBe('Second');
});

test('an edit that was refused can be undone after a reload, and nothing is unsent then', async () => {
  server.refuses = 'Refused';
  mockKept.set('a', { shotId: 'a', revision: 3, shot: named('Refused'), good: named('Stored'), at: 1 });
  await openDocument('a');
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(open()?.status).toBe('refused');
  expect(store.getState().session.message?.text).toBe('The name is taken. Undo the last change.');
  undo();
  expect(shotName()).toBe('Stored');
  expect(open()?.status).toBe('saved');
  expect(server.shots.get('a')?.revision).toBe(3);
});

test('closing keeps what is unsent and sends it', async () => {
  await openDocument('a');
  store.dispatch(doEdit('renameShot', { name: 'Later' }));
  await closeDocument('a');
  expect(open()).toBeNull();
  expect(server.shots.get('a')?.shot.name).toBe('Later');
});

describe('a draft on an older revision is a conflict', () => {
  beforeEach(async () => {
    draft('Mine', 2);
    await openDocument('a');
    expect(open()?.status).toBe('conflict');
  });

  test('my version stays, theirs becomes a copy', async () => {
    await settleConflict('mine');
    expect(server.shots.get('a')?.shot.name).toBe('Mine');
    expect(server.shots.get('copy')?.shot.name).toBe('Stored (other version)');
    expect(open()?.status).toBe('saved');
  });

  test('theirs stays, my version becomes a copy', async () => {
    await settleConflict('theirs');
    expect(shotName()).toBe('Stored');
    expect(server.shots.get('copy')?.shot).toEqual(
      edits.renameShot(named('Mine'), { name: 'Mine (my version)' }),
    );
    expect(mockKept.size).toBe(0);
  });

  test('when the copy cannot be made, the conflict stays as it is', async () => {
    server.isAway = true;
    await settleConflict('theirs');
    expect(open()?.status).toBe('conflict');
    expect(shotName()).toBe('Mine');
    expect(store.getState().session.message?.text).toMatch('isn’t answering');
    server.isAway = false;
    await settleConflict('theirs');
  });
});
