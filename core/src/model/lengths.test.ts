import { freshShot } from './freshShot';
import { inScale, lengthScaleOf, splitLength } from './lengths';

const shot = freshShot({ name: 'Quay', rate: 12, lengthFrames: 48, width: 1920, height: 1080 });
const scaled = (units: 'mm' | 'field') => ({
  field: { ...shot.field, unitsPerMm: 8 },
  sheet: { ...shot.sheet, units },
});

test('lengths are in millimetres once there is a scale and the shot says so', () => {
  expect(lengthScaleOf(shot)).toEqual({ unit: 'units', fieldUnits: 1, unitsPerMm: null });
  expect(lengthScaleOf(scaled('mm'))).toEqual({ unit: 'mm', fieldUnits: 8, unitsPerMm: 8 });
  expect(lengthScaleOf(scaled('field'))).toEqual({ unit: 'units', fieldUnits: 1, unitsPerMm: 8 });
});

test.each([
  ['12 mm', 12],
  ['3 cm', 30],
  ['0.5 in', 12.7],
  ['2"', 50.8],
  ['200 u', 25],
  ['-40 units', -5],
  ['7', 7],
])('“%s” at 8 units a millimetre is %d mm', (text, mm) => {
  const { number, unit } = splitLength(text)!;
  expect(inScale(Number(number), unit, lengthScaleOf(scaled('mm')))).toBeCloseTo(mm, 12);
  expect(inScale(Number(number), unit, lengthScaleOf(scaled('field')))).toBeCloseTo(
    unit === null ? 7 : mm * 8,
    12,
  );
});

test('an unknown unit is none, and millimetres need a scale', () => {
  expect(splitLength('3 ells')).toBeNull();
  expect(inScale(12, 'mm', lengthScaleOf(shot))).toBeNull();
  expect(inScale(12, 'units', lengthScaleOf(shot))).toBe(12);
});
