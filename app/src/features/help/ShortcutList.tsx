import { View } from 'react-native';
import { type KeyPlace, KEYS } from '../../words/keys';
import { NumericText, Words } from '../../ui/Words';

interface ShortcutListProps {
  readonly place: KeyPlace;
  readonly title?: string;
}

export const ShortcutList = ({ place, title }: ShortcutListProps) => (
  <View>
    <Words role="heading" strong>
      {title ?? KEYS[place].where}
    </Words>
    {KEYS[place].lines.map(({ shown, does }) => (
      <View key={does} className="flex-row items-center justify-between gap-4 border-b border-line py-2">
        <Words size="body" className="shrink">
          {does}
        </Words>
        <NumericText tone="soft">{shown}</NumericText>
      </View>
    ))}
  </View>
);
