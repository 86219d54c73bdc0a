import { withSumDone } from './sums';

test('a sum is worked out, products first, and its unit stays', () => {
  expect(withSumDone('40+2×3 mm')).toBe('46 mm');
  expect(withSumDone('12,5 − 2.5')).toBe('10');
  expect(withSumDone('100÷8*2')).toBe('25');
  expect(withSumDone('-3+5 %')).toBe('2 %');
  expect(withSumDone('0.1+0.2')).toBe('0.3');
});

test('what is no sum, or divides by nothing, stays as it is', () => {
  for (const text of ['12', '+12', '-4', '1.5 s', '3÷0', '5+', 'a+b', ''])
    expect(withSumDone(text)).toBe(text);
});
