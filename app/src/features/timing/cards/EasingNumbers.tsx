import type { Easing } from '@humble/core';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { describeEasing } from '../../../kinds/easings';

interface EasingNumbersProps {
  readonly easing: Easing;
  readonly frames: number;
  readonly onChange: (easing: Easing, undoGroup?: string) => void;
}

/** What can be typed of an easing: frames, shares of the way, counts. */
export function EasingNumbers({ easing, frames, onChange }: EasingNumbersProps) {
  const numbers = describeEasing(easing.kind).numbers?.(easing, frames) ?? [];
  const fields = numbers.map(({ set, ...field }) => ({
    ...field,
    onChange: (value: number, undoGroup?: string) => onChange(set(value), undoGroup),
  }));
  const [first, second, ...rest] = fields;
  if (first && second && rest.length === 0) return <NumberPair pair={[first, second]} />;
  return fields.map((field) => <NumberField key={field.label} {...field} />);
}
