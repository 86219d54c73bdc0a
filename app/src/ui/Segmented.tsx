import { Pressable, View } from 'react-native';
import { isLargeText } from './textScale';
import { Words } from './Words';

interface SegmentedProps<Value extends string | number> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** Letters that the room around a label is worth. */
const AROUND = 4;
/** A label that is so much longer than they are on average is given more room. */
const UNEVEN = 1.5;
/** So many letters need more than an equal share on a narrow panel, too. */
const LONG = 11;

/** Shares of the width: equal ones, unless one label would not fit while others have room to spare. */
export function segmentShares(labels: readonly string[]): number[] {
  const lengths = labels.map(({ length }) => length);
  const mean = lengths.reduce((total, length) => total + length, 0) / lengths.length;
  const longest = Math.max(...lengths);
  const isUneven = longest > UNEVEN * mean || longest >= LONG;
  return lengths.map((length) => (isUneven ? length + AROUND : 1));
}

export function Segmented<Value extends string | number>({
  label,
  value,
  options,
  onChange,
}: SegmentedProps<Value>) {
  const shares = segmentShares(options.map((option) => option.label));
  return (
    <View
      role="radiogroup"
      aria-label={label}
      className={`flex-row rounded-large bg-desk p-1 ${isLargeText() ? 'flex-wrap' : ''}`}
    >
      {options.map((option, i) => {
        const isChosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={isChosen}
            aria-label={option.label}
            onPress={() => onChange(option.value)}
            style={{ flexGrow: shares[i], flexBasis: isLargeText() ? 'auto' : 0 }}
            className={`min-h-[40px] items-center justify-center rounded-[9px] border ${isLargeText() ? 'px-2' : 'px-px'} ${isChosen ? 'border-line bg-card' : 'border-transparent'}`}
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
