import X from 'lucide-react-native/icons/x';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconButton } from './Button';
import { Words } from './Words';

interface TrayProps {
  readonly title: string;
  readonly closes: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A choice that opens within a panel, beside what it changes: nothing is covered, and it stays until it is closed. */
export const Tray = ({ title, closes, onClose, children }: TrayProps) => (
  <View role="region" aria-label={title} className="rounded-large border border-brass bg-card">
    <View className="flex-row items-center justify-between pl-4">
      <Words role="heading" strong>
        {title}
      </Words>
      <IconButton label={closes} icon={X} onPress={onClose} />
    </View>
    <View className="gap-3 px-4 pb-4">{children}</View>
  </View>
);
