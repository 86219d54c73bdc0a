import { lengthsFor } from './lengths';

const field = (unit: 'mm' | 'units', onChange = jest.fn()) => {
  const scale = { unit, fieldUnits: unit === 'mm' ? 8 : 1, unitsPerMm: unit === 'mm' ? 8 : null };
  return {
    ...lengthsFor(scale).field({ label: 'Across', value: 400, min: -800, max: 8000, onChange }),
    onChange,
  };
};

test('a length is shown in millimetres and given back in field units', () => {
  const shown = field('mm');
  expect(shown).toMatchObject({ unit: 'mm', value: 50, min: -100, max: 1000 });
  const onChange = jest.fn();
  field('mm', onChange);
  lengthsFor({ unit: 'mm', fieldUnits: 8, unitsPerMm: 8 })
    .field({ label: 'Across', value: 0, min: 0, max: 1, onChange })
    .onChange(12.5, 'drag');
  expect(onChange).toHaveBeenCalledWith(100, 'drag');
});

test('a typed unit is understood, and millimetres without a scale are refused with a way out', () => {
  expect(field('mm').read!('3 cm', 0)).toBe(30);
  expect(field('mm').read!('0,5 in', 0)).toBeCloseTo(12.7, 12);
  expect(field('mm').read!('200 u', 0)).toBe(25);
  expect(field('mm').read!('many', 0)).toBeNull();
  expect(field('units').read!('12 mm', 0)).toEqual({ problem: expect.stringContaining('need a scale') });
});
