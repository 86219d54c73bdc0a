import { Pressable, View } from 'react-native';
import { useLayout } from './layout';
import { Words } from './Words';

interface ChipsProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** Tabs that share the width; where they are too many for one row they go on in the next. */
export function Chips<Value extends string>({ label, value, options, onChange }: ChipsProps<Value>) {
  const { layout } = useLayout();
  return (
    <View
      role="tablist"
      aria-label={label}
      className={`flex-row flex-wrap gap-1 ${layout === 'side' ? 'px-2' : 'px-4'}`}
    >
      {options.map((option) => {
        const isChosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="tab"
            aria-selected={isChosen}
            aria-label={option.label}
            onPress={() => onChange(option.value)}
            className={`min-h-[44px] grow items-center justify-center rounded-full border ${layout === 'side' ? 'px-[3px]' : 'px-[5px]'} ${isChosen ? 'border-ink bg-card' : 'border-line'}`}
          >
            <Words
              size={layout === 'side' ? 'tiny' : 'small'}
              strong={isChosen}
              tone={isChosen ? 'ink' : 'soft'}
              numberOfLines={1}
            >
              {option.label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
