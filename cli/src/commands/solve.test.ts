import { solved } from './solve';

test('the frames of a span from its way, its easing and its largest increment', () => {
  expect(solved({ distance: '120', leave: '6', arrive: '6', most: '6' })).toBe(
    '26 frames, distance 120, leave 6, arrive 6, largest 6.000\n',
  );
  expect(solved({ distance: '200', leave: '10', arrive: '4', most: '7.5' })).toMatch(
    /^34 frames.*largest 7\.407/,
  );
  expect(solved({ distance: '360', 'slow-place': '0,0.6', most: '25' })).toBe(
    '24 frames, distance 360, largest 23.898\n',
  );
  expect(solved({ distance: '240', curve: '.42,0,.58,1', most: '12' })).toMatch(/^35 frames.*11\.817/);
});

test('the distance, the ramps, or the largest increment from the others', () => {
  expect(solved({ frames: '26', leave: '6', arrive: '6', most: '6' })).toMatch(/^26 frames, distance 120,/);
  expect(solved({ distance: '120', frames: '26', leave: '12', arrive: '12', most: '6' })).toMatch(
    /leave 6, arrive 6/,
  );
  expect(JSON.parse(solved({ distance: '100', frames: '10', json: true }))).toEqual({
    distance: 100,
    frames: 10,
    easing: { kind: 'even' },
    framesHeld: 1,
    largest: 10,
  });
});

test.each([
  [{ distance: '120' }, 'Say at least two of --distance, --frames and --most.'],
  [{ distance: 'far', most: '6' }, '--distance takes a number, not “far”.'],
  [{ distance: '1', most: '6', curve: '1,2' }, '--curve takes 4 numbers with commas between, not “1,2”.'],
  [
    { distance: '1', most: '6', curve: '0,0,1,1', leave: '4' },
    'Choose one easing: ramps, a curve, or a slow place.',
  ],
  [{ distance: '1', frames: '1.5' }, '--frames is a whole number from 1 to 20000.'],
  [{ distance: '1', most: '6', held: '4' }, '--held is 1, 2 or 3.'],
  [{ distance: '1', most: '0' }, 'The largest increment has to be above 0.'],
])('%o gets a sentence', (values, sentence) => {
  expect(() => solved(values)).toThrow(sentence);
});
