import { freshShape, shapePoints } from '@humble/core';
import { shapeChoices } from '.';

const FIELD = { width: 1920, height: 1080 };

test.each([
  ['Top', 'y', -1],
  ['Bottom', 'y', 1],
  ['Left', 'x', -1],
  ['Right', 'x', 1],
] as const)('a circle that starts at the %s has its first point there', (label, axis, sign) => {
  const circle = freshShape('circle', FIELD);
  const [choice] = shapeChoices(circle);
  const moved = choice!.with(choice!.options.find((option) => option.label === label)!.value);
  const [first] = shapePoints(moved).points;
  const centre = { x: 960, y: 540 };
  const across = axis === 'x' ? 'y' : 'x';
  expect(first![across]).toBeCloseTo(centre[across], 6);
  expect(Math.sign(first![axis] - centre[axis])).toBe(sign);
  expect(
    shapeChoices(moved)[0]!.options.find(({ value }) => value === shapeChoices(moved)[0]!.value)?.label,
  ).toBe(label);
});

test('a fresh circle starts at the top; an angle between the sides has no name, a shape turned aslant no sides', () => {
  const circle = freshShape('circle', FIELD);
  if (circle.kind !== 'ellipse') throw new Error('A circle is an ellipse.');
  expect(shapeChoices(circle)[0]!.value).toBe(270);
  expect(shapeChoices({ ...circle, startDeg: -90 })[0]!.value).toBe(270);
  expect(shapeChoices({ ...circle, startDeg: 45 })[0]!.value).toBeNull();
  expect(shapeChoices({ ...circle, turnDeg: 30 })).toEqual([]);
  expect(shapeChoices(freshShape('line', FIELD))).toEqual([]);
});
