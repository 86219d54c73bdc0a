import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode, Ref } from 'react';
import { Pressable, View } from 'react-native';
import { FlatCards } from './Card';
import { colour } from './colour';
import { Words } from './Words';

interface FoldingSectionProps {
  readonly title: string;
  /** What is in it, in a few words: it stands beside the title while it is folded. */
  readonly summary?: ReactNode;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
  readonly ref?: Ref<View>;
}

export function FoldingSection({ title, summary, isOpen, onToggle, children, ref }: FoldingSectionProps) {
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <View ref={ref} className="border-b border-line">
      <Pressable
        role="button"
        aria-label={title}
        aria-expanded={isOpen}
        onPress={onToggle}
        className="min-h-[44px] flex-row items-center gap-2"
      >
        <Chevron size={20} strokeWidth={1.75} color={colour.soft} />
        <Words size="body" strong className="shrink-0">
          {title}
        </Words>
        <View className="min-w-0 flex-1 items-end">{!isOpen && summary}</View>
      </Pressable>
      {isOpen && (
        <View className="gap-4 px-1 pb-4">
          <FlatCards>{children}</FlatCards>
        </View>
      )}
    </View>
  );
}
