import { uiWords as words } from '../words/ui';
import X from 'lucide-react-native/icons/x';
import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';
import { IconButton } from './Button';
import { useLayout } from './layout';
import { useFocusReturn } from './returnedFocus';
import { Words } from './Words';

interface DialogProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A short task on top of the page: from the bottom on a phone, in the middle on a wide screen. */
export function Dialog({ title, isOpen, onClose, children }: DialogProps) {
  const { isWide, height } = useLayout();
  useFocusReturn(isOpen);
  return (
    <Modal visible={isOpen} transparent animationType="none" onRequestClose={onClose}>
      <View
        role="dialog"
        aria-modal
        aria-label={title}
        className={`flex-1 ${isWide ? 'items-center justify-center' : 'justify-end'}`}
      >
        <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 bg-veil" />
        <View
          style={{ maxHeight: height - 48 }}
          className={`border border-line bg-card ${isWide ? 'w-[420px] rounded-large' : 'w-full rounded-t-large'}`}
        >
          <View className="flex-row items-center justify-between py-2 pl-5 pr-2">
            <Words role="heading" size="title" strong>
              {title}
            </Words>
            <IconButton label={words.close} icon={X} onPress={onClose} />
          </View>
          <ScrollView contentContainerClassName="gap-3 px-5 pb-6">{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}
