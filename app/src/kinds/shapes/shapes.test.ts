import { freshShape, FRESH_SHAPES, shapePoints } from '@humble/core';
import { nameOfShape, shapeNumbers } from '.';

const FIELD = { width: 1920, height: 1080 };

test('every size of every ready shape can be typed, and typing what it is changes nothing', () => {
  for (const kind of FRESH_SHAPES) {
    const shape = freshShape(kind, FIELD);
    const sizes = shapeNumbers(shape);
    expect(new Set(sizes.map(({ label }) => label)).size).toBe(sizes.length);
    for (const { value, min, max, with: withValue } of sizes) {
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
      expect(withValue(value)).toEqual(shape);
      const other = withValue(value === max ? min : Math.min(max, value + 1));
      expect(shapePoints(other)).not.toEqual(shapePoints(shape));
    }
  }
});

test('the radius of a circle is one number, and it says what it is', () => {
  const circle = freshShape('circle', FIELD);
  expect(nameOfShape(circle)).toBe('Circle');
  expect(nameOfShape(freshShape('ellipse', FIELD))).toBe('Ellipse');
  const [radius] = shapeNumbers(circle);
  expect(radius!.with(70)).toMatchObject({ radiusX: 70, radiusY: 70 });
});
