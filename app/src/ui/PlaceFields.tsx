import { View } from 'react-native';
import { NumberField } from './NumberField';

/** Further out than this nothing can be typed, field units. */
const FURTHEST = 1e6;
const RANGE = { unit: 'units', min: -FURTHEST, max: FURTHEST, decimals: 1 } as const;

interface PlaceFieldsProps {
  /** Field units. */
  readonly x: number;
  readonly y: number;
  readonly onChange: (to: { readonly x: number; readonly y: number }, undoGroup?: string) => void;
}

/** A place in the field, to be typed. */
export function PlaceFields({ x, y, onChange }: PlaceFieldsProps) {
  return (
    <View>
      <NumberField
        label="Across"
        value={x}
        onChange={(to, undoGroup) => onChange({ x: to, y }, undoGroup)}
        {...RANGE}
      />
      <NumberField
        label="Down"
        value={y}
        onChange={(to, undoGroup) => onChange({ x, y: to }, undoGroup)}
        {...RANGE}
      />
    </View>
  );
}
