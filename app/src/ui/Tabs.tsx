import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { bringIntoSight } from './bringIntoSight';
import { Words } from './Words';

interface TabsProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** Tabs in one line, scrolled sideways where they are too many for its width. */
export function Tabs<Value extends string>({ label, value, options, onChange }: TabsProps<Value>) {
  const chosen = useRef<View>(null);
  useEffect(() => bringIntoSight(chosen.current), [value]);
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} className="border-b border-line">
      <View role="tablist" aria-label={label} className="flex-row px-2">
        {options.map((option) => {
          const isChosen = option.value === value;
          return (
            <Pressable
              key={option.value}
              ref={isChosen ? chosen : undefined}
              role="tab"
              aria-selected={isChosen}
              aria-label={option.label}
              onPress={() => onChange(option.value)}
              className={`min-h-[44px] justify-center border-b-[3px] px-[10px] ${isChosen ? 'border-ink' : 'border-transparent'}`}
            >
              <Words size="body" strong={isChosen} tone={isChosen ? 'ink' : 'soft'} numberOfLines={1}>
                {option.label}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </ScrollView>
  );
}
