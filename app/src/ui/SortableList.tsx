import type { ReactNode } from 'react';
import { View } from 'react-native';

export interface SortableListProps {
  readonly label: string;
  readonly ids: readonly string[];
  /** The row of an item. @param grip what it is dragged by */
  readonly renderRow: (id: string, grip: ReactNode) => ReactNode;
  readonly gripLabel: (id: string) => string;
  /** An item is dropped. @param to its index among the others */
  readonly onMove: (id: string, to: number) => void;
}

/** A list whose items are put in order by hand. Without a pointer of the web it is a list alone. */
export const SortableList = ({ label, ids, renderRow }: SortableListProps) => (
  <View role="list" aria-label={label}>
    {ids.map((id) => (
      <View key={id} role="listitem">
        {renderRow(id, null)}
      </View>
    ))}
  </View>
);
