import { Pressable, View } from 'react-native';
import { Words } from './Words';

interface SegmentedProps<Value extends string | number> {
  /** What is chosen here, for screen readers. */
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** One of a few choices, all in sight. */
export function Segmented<Value extends string | number>({
  label,
  value,
  options,
  onChange,
}: SegmentedProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row rounded-large bg-desk p-1">
      {options.map((option) => {
        const isChosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={isChosen}
            aria-label={option.label}
            onPress={() => onChange(option.value)}
            className={`min-h-[40px] flex-1 items-center justify-center rounded-[9px] border px-2 ${isChosen ? 'border-line bg-card' : 'border-transparent'}`}
          >
            <Words strong={isChosen} tone={isChosen ? 'ink' : 'soft'} numberOfLines={1}>
              {option.label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
