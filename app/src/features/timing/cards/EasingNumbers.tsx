import type { Easing } from '@humble/core';
import { NumberField } from '../../../ui/NumberField';
import { describeEasing } from '../../../kinds/easings';

interface EasingNumbersProps {
  readonly easing: Easing;
  /** Length of the span. */
  readonly frames: number;
  readonly onChange: (easing: Easing, undoGroup?: string) => void;
}

/** What can be typed of an easing: frames, shares of the way, counts. */
export function EasingNumbers({ easing, frames, onChange }: EasingNumbersProps) {
  const numbers = describeEasing(easing.kind).numbers?.(easing, frames) ?? [];
  return numbers.map(({ set, ...field }) => (
    <NumberField
      key={field.label}
      {...field}
      onChange={(value, undoGroup) => onChange(set(value), undoGroup)}
    />
  ));
}
