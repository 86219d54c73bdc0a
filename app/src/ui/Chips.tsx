import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, type View } from 'react-native';
import { bringIntoSight } from './bringIntoSight';
import { Words } from './Words';

interface ChipsProps<Value extends string> {
  /** What is chosen here, for screen readers. */
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** Tabs in a row that can be longer than the screen is wide; the chosen one is always in sight. */
export function Chips<Value extends string>({ label, value, options, onChange }: ChipsProps<Value>) {
  const chosen = useRef<View>(null);
  useEffect(() => bringIntoSight(chosen.current), [value]);
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="tablist"
      aria-label={label}
      contentContainerClassName="gap-2 px-4"
    >
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
            className={`min-h-[44px] items-center justify-center rounded-full border px-3 ${isChosen ? 'border-ink bg-card' : 'border-line'}`}
          >
            <Words strong={isChosen} tone={isChosen ? 'ink' : 'soft'}>
              {option.label}
            </Words>
          </Pressable>
        );
      })}
    </ScrollView>
  );
}
