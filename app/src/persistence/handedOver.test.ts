import { freshShot } from '@humble/core';
import { handOver, takeHandedOver } from './handedOver';

const shot = freshShot({ name: 'Quay', rate: 24, lengthFrames: 24, width: 1920, height: 1080 });
const stored = { id: 'a', revision: 1, updatedAt: '', shot };

afterEach(() => jest.useRealTimers());

test('a shot is handed over once, and only to whoever opens it', () => {
  handOver(stored);
  expect(takeHandedOver('a')).toBe(stored);
  expect(takeHandedOver('a')).toBeNull();
  handOver(stored);
  expect(takeHandedOver('b')).toBeNull();
  expect(takeHandedOver('a')).toBeNull();
});

test('one that nobody opened at once is asked for anew: the server may have a newer one', () => {
  jest.useFakeTimers();
  handOver(stored);
  jest.setSystemTime(Date.now() + 10_000);
  expect(takeHandedOver('a')).toBeNull();
});
