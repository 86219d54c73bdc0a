import { FADES, ghostStep } from './ghostSteps';

test('ghosts get fainter with time, in steps of equal numbers', () => {
  expect(Array.from({ length: 8 }, (_, i) => ghostStep(i, 8, 1))).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  expect(ghostStep(0, 1, 1)).toBe(2);
});

test('what the figure has faded is a fainter ghost, down to none', () => {
  // 0.85 of which 60 % is left is 0.51: nearest to 0.55, the third step.
  expect(ghostStep(0, 8, 0.6)).toBe(2);
  expect(ghostStep(0, 8, 0.45)).toBe(FADES - 1);
  expect(ghostStep(0, 8, 0.1)).toBeNull();
  expect(ghostStep(7, 8, 0)).toBeNull();
  expect(ghostStep(7, 8, 0.7)).toBe(FADES - 1);
});
