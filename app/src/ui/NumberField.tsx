import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { memo, useCallback, useMemo, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { colour } from './colour';
import { gestureName } from './gestureName';
import { readNumber, writeNumber } from './numbers';
import { useLive } from './useLive';
import { Words } from './Words';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  /** @param gesture the same name for every change of one drag, so that it is one undo step */
  readonly onChange: (value: number, gesture?: string) => void;
  readonly min: number;
  readonly max: number;
  /** What a press on plus or minus adds, and what 8 pixels of dragging add. */
  readonly step?: number;
  readonly decimals?: number;
  readonly unit?: string;
  readonly disabled?: boolean;
}

const PIXELS_PER_STEP = 8;

interface Typing {
  /** The value before the first letter. */
  readonly from: number;
  readonly gesture: string;
  readonly text: string;
}

/**
 * A number with its name and unit: typed, stepped, or dragged sideways by its name (with a finger by the
 * number too; with the mouse that selects its text).
 */
export function NumberField({
  label,
  value,
  onChange,
  min,
  max,
  step = 1,
  decimals = 0,
  unit,
  disabled = false,
}: NumberFieldProps) {
  const [typing, setTyping] = useState<Typing | null>(null);
  const clamp = (wanted: number): number => Math.min(max, Math.max(min, Number(wanted.toFixed(decimals))));
  const change = (wanted: number, gesture?: string): void => {
    const next = clamp(wanted);
    if (next !== value && !disabled) onChange(next, gesture);
  };
  // All that is typed from coming to leaving is one gesture: everything follows letter by letter, and
  // what turns out to be no number goes back to where it was.
  const type = (text: string): void => {
    const now = typing ?? { from: value, gesture: gestureName('typing'), text };
    setTyping({ ...now, text });
    const wanted = readNumber(text);
    if (wanted !== null && wanted === clamp(wanted)) change(wanted, now.gesture);
  };
  const finishTyping = (): void => {
    if (!typing) return;
    setTyping(null);
    change(readNumber(typing.text) ?? typing.from, typing.gesture);
  };
  const live = useLive({ value, change, step });
  const less = useCallback(() => live().change(live().value - live().step), [live]);
  const more = useCallback(() => live().change(live().value + live().step), [live]);
  const drag = useMemo(() => {
    const held = { from: 0, name: '' };
    return Gesture.Pan()
      .runOnJS(true)
      .activeOffsetX([-6, 6])
      .failOffsetY([-14, 14])
      .onStart(() => {
        Object.assign(held, { from: live().value, name: gestureName('number') });
      })
      .onUpdate(({ translationX }) => {
        live().change(held.from + Math.round(translationX / PIXELS_PER_STEP) * live().step, held.name);
      });
  }, [live]);
  return (
    <GestureDetector gesture={drag} touchAction="pan-y">
      <View
        collapsable={false}
        role="group"
        aria-disabled={disabled}
        className={`min-h-[48px] flex-row items-center justify-between gap-2 ${disabled ? 'opacity-40' : 'cursor-ew-resize'}`}
      >
        <Words size="body" className="shrink select-none">
          {label}
        </Words>
        <View className="flex-row items-center gap-1">
          <View className="flex-row items-center rounded-large border border-line bg-ground">
            <Stepper
              label={`Less: ${label}`}
              icon={Minus}
              onPress={less}
              disabled={disabled || value <= min}
            />
            <TextInput
              aria-label={unit ? `${label}, ${unit}` : label}
              inputMode="decimal"
              editable={!disabled}
              value={typing?.text ?? writeNumber(value, decimals)}
              onChangeText={type}
              onBlur={finishTyping}
              onSubmitEditing={finishTyping}
              selectTextOnFocus
              className={`h-[44px] text-center font-mono text-body text-ink ${decimals > 0 ? 'w-[68px]' : 'w-[48px]'}`}
            />
            <Stepper
              label={`More: ${label}`}
              icon={Plus}
              onPress={more}
              disabled={disabled || value >= max}
            />
          </View>
          {unit !== undefined && (
            <Words tone="soft" size="tiny" className="min-w-[40px]" numberOfLines={1}>
              {unit}
            </Words>
          )}
        </View>
      </View>
    </GestureDetector>
  );
}

interface StepperProps {
  readonly label: string;
  readonly icon: typeof Plus;
  readonly onPress: () => void;
  readonly disabled: boolean;
}

const Stepper = memo(function Stepper({ label, icon: Icon, onPress, disabled }: StepperProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`h-[44px] w-[44px] items-center justify-center ${disabled ? 'opacity-30' : ''}`}
    >
      <Icon size={16} strokeWidth={2} color={colour.soft} />
    </Pressable>
  );
});
