import { uiWords as words } from '../words/ui';
import { type NumberFieldProps, NumberPair } from './NumberField';

/** Further out than this nothing can be typed, field units. */
const MAX_COORDINATE = 1e6;
const RANGE = { min: -MAX_COORDINATE, max: MAX_COORDINATE } as const;

type LengthField = Pick<NumberFieldProps, 'label' | 'value' | 'min' | 'max' | 'onChange'>;

interface PlaceFieldsProps {
  readonly label?: string;
  /** Makes a field for a length: see `useLengths`. */
  readonly length: (props: LengthField) => NumberFieldProps;
  /** Field units. */
  readonly x: number;
  readonly y: number;
  readonly onChange: (to: { readonly x: number; readonly y: number }, undoGroup?: string) => void;
}

export function PlaceFields({ label, length, x, y, onChange }: PlaceFieldsProps) {
  const named = (axis: string): string => (label ? `${label}, ${axis}` : axis);
  return (
    <NumberPair
      pair={[
        length({
          ...RANGE,
          label: named(words.across),
          value: x,
          onChange: (to, group) => onChange({ x: to, y }, group),
        }),
        length({
          ...RANGE,
          label: named(words.down),
          value: y,
          onChange: (to, group) => onChange({ x, y: to }, group),
        }),
      ]}
    />
  );
}
