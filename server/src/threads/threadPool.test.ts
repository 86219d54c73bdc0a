import { join } from 'node:path';
import { heavyShot } from '@humble/core/testing/heavyShots';
import { createThreadPool, LimitError, type ThreadPool } from './threadPool';
import { startThreads } from './threads';

let pool: ThreadPool;

beforeEach(() => {
  pool = createThreadPool(join(__dirname, 'slow.testing.ts'), { size: 1, memoryMb: 64 });
});

afterEach(() => pool.close());

const run = (task: string, timeLimitMs = 20_000): Promise<unknown> => pool.run(task, { timeLimitMs });

test('tasks are done one after the other, and one that throws does not stop the next', async () => {
  const [first, failed, last] = await Promise.allSettled([run('a'), run('throw'), run('b')]);
  expect(first).toMatchObject({ value: 'done: a' });
  expect(failed).toMatchObject({ reason: { status: 500 } });
  expect(last).toMatchObject({ value: 'done: b' });
}, 30_000);

test('a task that never ends is ended, and the next one gets another thread', async () => {
  await run('a');
  await expect(run('never', 300)).rejects.toEqual(new LimitError('time'));
  expect(await run('b')).toBe('done: b');
}, 30_000);

test('a task that takes too much memory is ended, and the server goes on', async () => {
  await expect(run('memory')).rejects.toEqual(new LimitError('memory'));
  expect(await run('b')).toBe('done: b');
}, 60_000);

test('a card that takes too long is a plain one, and a document that does is refused with a sentence', async () => {
  const document = JSON.stringify(heavyShot({ points: 2000 }));
  const slow = startThreads(__dirname, { cardMs: -1 });
  const { card, ...columns } = await slow.openDocument(document, true);
  await slow.close();
  expect(columns).toMatchObject({ name: 'Heavy', rate: 24 });
  expect(JSON.parse(card)).toEqual({
    width: 1920,
    height: 1080,
    backdrop: null,
    arcs: [],
    ticks: '',
    ghosts: [],
    outlines: [],
  });
  const threads = startThreads(__dirname, { checkMs: 1 });
  await expect(threads.openDocument(document, true)).rejects.toMatchObject({
    status: 422,
    message: 'This shot is too large to be checked. Split it into several shots.',
  });
  await threads.close();
}, 30_000);
