import type { NumberFieldProps } from '../ui/NumberField';
import { frameNumber, frameNumbered } from './frameNumbers';

/** A field for a frame: all its numbers are frames from 1, and it shows them as the user counts. */
export function frameField({
  value,
  min,
  max,
  onChange,
  beyondMost,
  ...rest
}: NumberFieldProps): NumberFieldProps {
  return {
    ...rest,
    value: frameNumber(value),
    min: frameNumber(min),
    max: frameNumber(max),
    onChange: (number, undoGroup) => onChange(frameNumbered(number), undoGroup),
    beyondMost: beyondMost && {
      ...beyondMost,
      onPress: (number) => beyondMost.onPress(frameNumbered(number)),
    },
  };
}
