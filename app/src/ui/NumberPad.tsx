import ArrowLeft from 'lucide-react-native/icons/chevron-left';
import ArrowRight from 'lucide-react-native/icons/chevron-right';
import Check from 'lucide-react-native/icons/check';
import Delete from 'lucide-react-native/icons/delete';
import X from 'lucide-react-native/icons/x';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { uiWords as words } from '../words/ui';
import { IconButton } from './Button';
import { colour } from './colour';
import { finishPad, goToPadField, type PadEntry, usePadEntry } from './padEntry';
import { NumericText, Words } from './Words';

const ROWS = [
  ['7', '8', '9', '−', '+'],
  ['4', '5', '6', '×', '÷'],
  ['1', '2', '3', 'back', 'sign'],
] as const;

/** While a key rests it counts on this often, milliseconds. */
const COUNT_MS = 120;

const isOperator = (key: string): boolean => '−+×÷'.includes(key);

/** What was typed, and the unit behind it. */
function splitUnit(text: string, units: readonly string[]): readonly [number: string, unit: string] {
  // Without a space before it × is a sign of arithmetic.
  const unit = units.find((one) => text.endsWith(` ${one}`) || (one !== '×' && text.endsWith(one)));
  return unit === undefined ? [text, ''] : [text.slice(0, -unit.length).trimEnd(), unit];
}

/** The text after a key. */
export function afterKey(
  { text, isFresh, units }: Pick<PadEntry, 'text' | 'isFresh' | 'units'>,
  key: string,
): string {
  const [number, unit] = splitUnit(text, units);
  const withUnit = (next: string): string => (unit ? `${next} ${unit}` : next);
  if (key === 'back') return isFresh ? '' : withUnit(number.slice(0, -1));
  if (key === 'sign') return withUnit(/^[-−]/.test(number) ? number.slice(1) : `−${number}`);
  if (isOperator(key)) return withUnit(number + key);
  return withUnit(isFresh ? key : number + key);
}

/** The pad for numbers, in the place of what it covers, while a number is being typed by touch. */
export function NumberPad() {
  const entry = usePadEntry();
  return entry ? <Pad entry={entry} /> : null;
}

function Pad({ entry }: { readonly entry: PadEntry }) {
  const { label, units, text, before, type, step } = entry;
  /** What stands there since the unit was changed: like a fresh number, it goes with the first digit. */
  const [converted, setConverted] = useState<string | null>(null);
  const press = (key: string): void =>
    type(afterKey({ ...entry, isFresh: entry.isFresh || text === converted }, key));
  const unit = splitUnit(text, units)[1] || units[0];
  const change = (to: string): void => {
    const next = `${entry.inUnit?.(to) ?? splitUnit(text, units)[0]} ${to}`;
    setConverted(entry.inUnit ? next : null);
    type(next);
  };
  return (
    <View
      role="group"
      aria-label={words.numberPad(label)}
      testID="number-pad"
      className="absolute inset-0 gap-2 bg-desk px-3 pb-2 pt-1"
      {...KEEPS_FOCUS}
    >
      <View className="flex-row items-center justify-between">
        <IconButton label={words.previousNumber} icon={ArrowLeft} onPress={() => goToPadField(-1)} />
        <Words tone="soft" numberOfLines={1} className="shrink">
          {label}
        </Words>
        <IconButton label={words.nextNumber} icon={ArrowRight} onPress={() => goToPadField(1)} />
      </View>
      <View className="min-h-[48px] flex-row items-center justify-between rounded-large border-2 border-brass bg-card px-4">
        <NumericText size="title" strong numberOfLines={1} className="shrink">
          {text}
          <NumericText size="title" tone="brass">
            |
          </NumericText>
        </NumericText>
        <Words tone="soft" numberOfLines={1}>
          {words.wasBefore(units[0] ?? '', before)}
        </Words>
      </View>
      {units.length > 1 && (
        <View role="radiogroup" aria-label={words.unit} className="flex-row gap-2">
          {units.map((one) => (
            <Pressable
              key={one}
              role="radio"
              aria-label={one}
              aria-checked={one === unit}
              onPress={() => change(one)}
              className={`min-h-[40px] flex-1 items-center justify-center rounded-large border ${one === unit ? 'border-ink bg-card' : 'border-line'}`}
            >
              <Words strong={one === unit}>{one}</Words>
            </Pressable>
          ))}
        </View>
      )}
      {ROWS.map((row) => (
        <View key={row[0]} className="min-h-[40px] flex-1 flex-row gap-2">
          {row.map((key) => (
            <Key key={key} name={key} onPress={() => press(key)} onCount={countOf(key, step)}>
              {key === 'back' ? <Delete size={20} color={colour.ink} /> : key === 'sign' ? '±' : key}
            </Key>
          ))}
        </View>
      ))}
      <View className="min-h-[40px] flex-1 flex-row gap-2">
        <Key name="0" isWide onPress={() => press('0')}>
          0
        </Key>
        <Key name="." onPress={() => press('.')}>
          .
        </Key>
        <Key
          name="cancel"
          onPress={() => {
            entry.cancel();
            finishPad();
          }}
        >
          <X size={20} color={colour.ink} />
        </Key>
        <Key name="done" isMain onPress={finishPad}>
          <Check size={22} color={colour.onbrass} />
        </Key>
      </View>
    </View>
  );
}

/** A press on the pad takes the focus from no field. Web only. */
const KEEPS_FOCUS = { onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault() };

const countOf = (key: string, step: PadEntry['step']): (() => void) | undefined =>
  step && (key === '+' ? () => step(1) : key === '−' ? () => step(-1) : undefined);

interface KeyProps {
  readonly name: string;
  readonly children: ReactNode;
  readonly onPress: () => void;
  /** What it does again and again while it rests. */
  readonly onCount?: () => void;
  readonly isWide?: boolean;
  readonly isMain?: boolean;
}

function Key({ name, children, onPress, onCount, isWide = false, isMain = false }: KeyProps) {
  const counting = useRef<ReturnType<typeof setInterval>>(undefined);
  const count = useRef(onCount);
  useEffect(() => {
    count.current = onCount;
  });
  useEffect(() => () => clearInterval(counting.current), []);
  return (
    <Pressable
      role="button"
      aria-label={words.padKey(name)}
      onPress={onPress}
      onLongPress={onCount && (() => (counting.current = setInterval(() => count.current?.(), COUNT_MS)))}
      onPressOut={() => clearInterval(counting.current)}
      style={{ flexGrow: isWide ? 2.1 : 1, flexBasis: 0 }}
      className={`items-center justify-center rounded-large border ${isMain ? 'border-brass bg-brass' : 'border-line bg-card'}`}
    >
      {typeof children === 'string' ? <NumericText size="title">{children}</NumericText> : children}
    </Pressable>
  );
}
