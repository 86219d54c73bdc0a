import { minimise } from '../minimise';
import type { ChartDistance } from './easingDefinition';

/**
 * The best of an easing with some numbers, in the mean square, from several starts.
 * @param of the easing with some numbers; it brings them within their limits
 * @param step how far from a start to look first, for each number
 */
export function nearestOf<Easing>(
  of: (numbers: readonly number[]) => Easing,
  starts: readonly (readonly number[])[],
  step: readonly number[],
  { square }: ChartDistance<Easing>,
): Easing {
  const found = starts.map((start) => of(minimise((numbers) => square(of(numbers)), start, step)));
  return nearestAmong(found, square);
}

export const nearestAmong = <Easing>(
  easings: readonly Easing[],
  square: ChartDistance<Easing>['square'],
): Easing => easings.reduce((best, one) => (square(one) < square(best) ? one : best));
