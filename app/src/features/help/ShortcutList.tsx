import { View } from 'react-native';
import type { ShortcutGroup } from '../../words/shortcuts';
import { NumericText, Words } from '../../ui/Words';

/** Keys of one place, a line each. */
export const ShortcutList = ({ where, shortcuts }: ShortcutGroup) => (
  <View>
    <Words role="heading" strong>
      {where}
    </Words>
    {shortcuts.map(([keys, action]) => (
      <View key={action} className="flex-row items-center justify-between gap-4 border-b border-line py-2">
        <Words size="body" className="shrink">
          {action}
        </Words>
        <NumericText tone="soft">{keys}</NumericText>
      </View>
    ))}
  </View>
);
