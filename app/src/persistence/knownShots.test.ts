import { straightShot } from '../testing/bench';
import type { ListedShot } from './api';
import {
  forgetKnown,
  keepKnown,
  keepList,
  knownIds,
  knownList,
  knownShot,
  MAX_KNOWN_SHOTS,
} from './knownShots';

/** Whether the browser keeps anything. */
let mockKeeps = true;
jest.mock('./browserStore', () => ({
  browserStore: () => {
    const values = new Map<string, unknown>();
    return {
      put: async (...entries: [string, unknown][]) => {
        if (!mockKeeps) throw new Error('quota');
        for (const [key, value] of entries) values.set(key, value);
      },
      remove: async (...keys: string[]) => void keys.forEach((key) => values.delete(key)),
      keys: async () => [...values.keys()],
      get: async (keys: string[]) => keys.map((key) => values.get(key)),
    };
  },
}));

beforeEach(async () => {
  mockKeeps = true;
  await forgetKnown();
});

const stored = (id: string) => ({ id, revision: 2, updatedAt: '', shot: straightShot() });
const listed = (id: string): ListedShot => ({ id, name: id }) as ListedShot;

test('a shot that was open is known by what the server last had', async () => {
  await keepKnown(stored('a'));
  expect(await knownShot('a')).toMatchObject({ id: 'a', revision: 2, shot: straightShot() });
  expect(await knownShot('b')).toBeNull();
});

test('so many are kept, those that were open last', async () => {
  for (let i = 0; i < MAX_KNOWN_SHOTS + 5; i++) await keepKnown(stored(`s${i}`), 1000 + i);
  await keepKnown(stored('s5'), 5000);
  const ids = await knownIds();
  expect(ids.size).toBe(MAX_KNOWN_SHOTS);
  expect(ids.has('s4')).toBe(false);
  expect(ids.has('s5')).toBe(true);
});

test('what the server no longer lists is forgotten, the rest stays', async () => {
  await keepKnown(stored('a'));
  await keepKnown(stored('gone'));
  await keepList([listed('a'), listed('never-open')]);
  expect([...(await knownIds())]).toEqual(['a']);
  expect((await knownList())?.map(({ id }) => id)).toEqual(['a', 'never-open']);
  await forgetKnown();
  expect(await knownList()).toBeNull();
  expect((await knownIds()).size).toBe(0);
});

test('a browser that keeps nothing is no obstacle', async () => {
  mockKeeps = false;
  await keepKnown(stored('a'));
  await keepList([listed('a')]);
  expect(await knownShot('a')).toBeNull();
});
