import { countRoom } from './countRoom';

/** On a phone 390 pixels wide. */
const ROOM = 118;

test('frames, seconds and the rate of a usual shot have their room', () => {
  expect(countRoom(ROOM, 57, '4.67', '12')).toMatchObject({ total: 'small', showsRate: true });
  expect(countRoom(ROOM, 480, '20.00', '23.976')).toMatchObject({ total: 'small', showsRate: false });
  expect(countRoom(ROOM, 36, '1.46', '23.976')).toMatchObject({ total: 'small', showsRate: true });
});

test('where it becomes narrow the number of frames is smaller, then left out; the frame itself stays', () => {
  expect(countRoom(ROOM, 1500, '62.46', '24').total).toBe('small');
  expect(countRoom(110, 1500, '62.46', '24').total).toBe('tiny');
  expect(countRoom(ROOM, 12000, '500.00', '24').total).toBeNull();
  expect(countRoom(88, 57, '2.33', '24')).toMatchObject({ total: 'small', showsRate: true });
  expect(countRoom(88, 480, '20.00', '24')).toMatchObject({ total: 'tiny', showsRate: false });
});

test('what is free is what the longest line leaves', () => {
  // Two digits of 12, six of 8.4, and twelve of 7.2 pixels.
  expect(countRoom(ROOM, 57, '4.67', '12').free).toBeCloseTo(ROOM - 12 * 7.2, 6);
});
