import type { Easing } from '../model/schema';
import { easingDefinition } from './easings';

/**
 * An easing of a span that gets another number of frames: what is counted in frames gets its share.
 * @param factor new frames over old ones
 */
export const stretchedEasing = (easing: Easing, factor: number): Easing =>
  factor === 1 ? easing : (easingDefinition(easing.kind).stretched?.(easing, factor) ?? easing);
