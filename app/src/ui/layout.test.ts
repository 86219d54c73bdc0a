import { layoutOf } from './layout';

test.each([
  [390, 844, 'phone'],
  [360, 640, 'phone'],
  [844, 390, 'side'],
  [1100, 420, 'side'],
  [768, 1024, 'phone'],
  [1024, 768, 'wide'],
  [1280, 800, 'wide'],
  [1920, 1080, 'wide'],
])('a window of %i by %i is laid out as a %s', (width, height, layout) => {
  expect(layoutOf(width, height)).toBe(layout);
});
