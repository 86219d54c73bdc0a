import { uiWords as words } from '../words/ui';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { memo, useCallback, useMemo, useRef, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Button } from './Button';
import { colour } from './colour';
import { createUndoGroup } from './undoGroup';
import { readNumber, writeNumber } from './numbers';
import { usePad } from './padEntry';
import { withSumDone } from './sums';
import { useLatest } from './useLatest';
import { useLayout } from './layout';
import { isLargeText } from './textScale';
import { Words } from './Words';

export interface FieldNote {
  readonly text: string;
  readonly action?: { readonly label: string; readonly onPress: () => void };
}

export interface BeyondMost {
  readonly sentence: string;
  readonly label: string;
  /** @param wanted what was typed */
  readonly onPress: (wanted: number) => void;
}

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  /** @param undoGroup the same name for every change of one drag, so that it is one undo step */
  readonly onChange: (value: number, undoGroup?: string) => void;
  readonly min: number;
  readonly max: number;
  /** What a press on plus or minus adds, and what 8 pixels of dragging add. */
  readonly step?: number;
  readonly decimals?: number;
  readonly unit?: string;
  readonly disabled?: boolean;
  /** What the last change did, where that is not plain to see. */
  readonly note?: FieldNote | null;
  readonly beyondMost?: BeyondMost;
  /** Units that can be typed besides the one that is shown. */
  readonly moreUnits?: readonly string[];
  /**
   * What typed text stands for, where that is more than a number; null when it is nothing that is known.
   * @param from the value before the first letter
   */
  readonly read?: (text: string, from: number) => number | { readonly problem: string } | null;
  /** The value as it is typed in one of `moreUnits`, so that a change of units changes nothing else. */
  readonly inUnit?: (value: number, unit: string) => number;
  /** The name stands above the number, so that two fields fit side by side. */
  readonly isStacked?: boolean;
}

const MAX_QUOTE_LENGTH = 20;
const MAX_UNIT_DECIMALS = 2;
const NO_UNITS: readonly string[] = [];

const PIXELS_PER_STEP = 8;
/** A phone narrower than this is a small one. */
const SMALL_PX = 380;

interface Typing {
  /** The value before the first letter. */
  readonly from: number;
  readonly undoGroup: string;
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
  note = null,
  beyondMost,
  isStacked = false,
  moreUnits = NO_UNITS,
  read: readPlain = readNumber,
  inUnit,
}: NumberFieldProps) {
  const { layout, width } = useLayout();
  const [typing, setTyping] = useState<Typing | null>(null);
  const readText = (text: string) => readPlain(withSumDone(text), typing?.from ?? value);
  /** The number of what was typed; null when it has none. */
  const read = (text: string): number | null => {
    const found = readText(text);
    return typeof found === 'number' ? found : null;
  };
  /** Why the field does not show the number that was typed. */
  const [refusal, setRefusal] = useState<FieldNote | null>(null);
  const clamp = (wanted: number): number => Math.min(max, Math.max(min, Number(wanted.toFixed(decimals))));
  const change = (wanted: number, undoGroup?: string): void => {
    const next = clamp(wanted);
    setRefusal(null);
    if (next !== value && !disabled) onChange(next, undoGroup);
  };
  const refusalOf = (text: string): FieldNote | null => {
    const wanted = readText(text);
    if (wanted === null)
      return text.trim() === '' ? null : { text: words.isNotANumber(text.slice(0, MAX_QUOTE_LENGTH)) };
    if (typeof wanted !== 'number') return { text: wanted.problem };
    const rounded = Number(wanted.toFixed(decimals));
    if (rounded < min) return { text: words.isTheLeastHere(writeNumber(min, decimals)) };
    if (rounded <= max) return null;
    if (!beyondMost) return { text: words.isTheMostHere(writeNumber(max, decimals)) };
    const { sentence, label: does, onPress } = beyondMost;
    const act = (): void => {
      setRefusal(null);
      onPress(rounded);
    };
    return { text: sentence, action: { label: does, onPress: act } };
  };
  // All that is typed from coming to leaving is one gesture: everything follows letter by letter, and
  // what turns out to be no number goes back to where it was.
  const type = (text: string): void => {
    const now = typing ?? { from: value, undoGroup: createUndoGroup('typing'), text };
    setTyping({ ...now, text });
    const wanted = read(text);
    if (wanted !== null && wanted === clamp(wanted)) change(wanted, now.undoGroup);
  };
  /** What was cancelled is not typed by leaving. */
  const isCancelled = useRef(false);
  const finishTyping = (): void => {
    const wasCancelled = isCancelled.current;
    isCancelled.current = false;
    if (!typing || wasCancelled) return;
    setTyping(null);
    change(read(typing.text) ?? typing.from, typing.undoGroup);
    setRefusal(refusalOf(typing.text));
  };
  const cancelTyping = (): void => {
    isCancelled.current = true;
    if (!typing) return;
    setTyping(null);
    change(typing.from, typing.undoGroup);
  };
  const shownText = typing?.text ?? writeNumber(value, decimals);
  const pad = usePad({
    label,
    units: unit === undefined ? NO_UNITS : [unit, ...moreUnits],
    text: shownText,
    before: writeNumber(typing?.from ?? value, decimals),
    isFresh: typing === null,
    type,
    inUnit: inUnit && ((other) => writeNumber(inUnit(value, other), MAX_UNIT_DECIMALS)),
    step: (by) => type(writeNumber(clamp(value + by * step), decimals)),
    cancel: cancelTyping,
  });
  const said = refusal ?? note;
  const live = useLatest({ value, change, step });
  const less = useCallback(() => live().change(live().value - live().step), [live]);
  const more = useCallback(() => live().change(live().value + live().step), [live]);
  const drag = useMemo(() => {
    const held = { from: 0, name: '' };
    return Gesture.Pan()
      .runOnJS(true)
      .activeOffsetX([-6, 6])
      .failOffsetY([-14, 14])
      .onStart(() => {
        Object.assign(held, { from: live().value, name: createUndoGroup('number') });
      })
      .onUpdate(({ translationX }) => {
        live().change(held.from + Math.round(translationX / PIXELS_PER_STEP) * live().step, held.name);
      });
  }, [live]);
  // Two beside each other on a small phone, or on one on its side, have the room for their numbers, and less for the rest.
  const isNarrow = isStacked && (layout === 'side' || width < SMALL_PX);
  const entry = (
    <View className="flex-row items-center rounded-large border border-line bg-ground">
      <Stepper
        label={words.less(label)}
        icon={Minus}
        onPress={less}
        disabled={disabled || value <= min}
        isNarrow={isNarrow}
      />
      <TextInput
        aria-label={unit ? `${label}, ${unit}` : label}
        inputMode={pad.hasPad ? 'none' : 'decimal'}
        onFocus={pad.enter}
        editable={!disabled}
        value={shownText}
        onChangeText={type}
        onBlur={() => {
          pad.leave();
          finishTyping();
        }}
        onSubmitEditing={finishTyping}
        selectTextOnFocus
        className={`h-[44px] text-center font-mono ${isNarrow ? 'text-small' : 'text-body'} text-ink ${isStacked ? 'min-w-0 flex-1' : decimals > 0 ? 'w-[4.25rem]' : 'w-[3rem]'}`}
      />
      <Stepper
        label={words.more(label)}
        icon={Plus}
        onPress={more}
        disabled={disabled || value >= max}
        isNarrow={isNarrow}
      />
    </View>
  );
  const field = (
    <GestureDetector gesture={drag} touchAction="pan-y">
      {isStacked ? (
        <View
          collapsable={false}
          role="group"
          aria-disabled={disabled}
          className={`min-w-0 gap-1 py-1 ${disabled ? 'opacity-40' : 'cursor-ew-resize'}`}
        >
          <Words tone="soft" size="tiny" numberOfLines={1} className="select-none">
            {unit ? `${label}, ${unit}` : label}
          </Words>
          {entry}
        </View>
      ) : (
        <View
          collapsable={false}
          role="group"
          aria-disabled={disabled}
          className={`min-h-[48px] flex-row items-center justify-between gap-x-2 ${isLargeText() ? 'flex-wrap' : ''} ${disabled ? 'opacity-40' : 'cursor-ew-resize'}`}
        >
          <Words size="body" className="shrink select-none">
            {label}
          </Words>
          <View className="flex-row items-center gap-1">
            {entry}
            {unit !== undefined && (
              <Words tone="soft" size="tiny" className="min-w-[40px]" numberOfLines={1}>
                {unit}
              </Words>
            )}
          </View>
        </View>
      )}
    </GestureDetector>
  );
  return (
    <View>
      {field}
      {said && <Note note={said} isRefusal={refusal !== null} />}
    </View>
  );
}

/** Two numbers that belong together, on one line: an x and a y, a width and a height. */
export function NumberPair(props: { readonly pair: readonly [NumberFieldProps, NumberFieldProps] }) {
  return (
    <View className={isLargeText() ? '' : 'flex-row gap-3'}>
      {props.pair.map((field) => (
        <View key={field.label} className={isLargeText() ? '' : 'min-w-0 flex-1'}>
          <NumberField {...field} isStacked />
        </View>
      ))}
    </View>
  );
}

function Note({
  note: { text, action },
  isRefusal,
}: {
  readonly note: FieldNote;
  readonly isRefusal: boolean;
}) {
  return (
    <View className="flex-row flex-wrap items-center gap-2 pb-2">
      <Words
        role="status"
        aria-live="polite"
        tone={isRefusal ? 'plum' : 'soft'}
        className="min-w-[55%] flex-1"
      >
        {text}
      </Words>
      {action && <Button label={action.label} onPress={action.onPress} />}
    </View>
  );
}

interface StepperProps {
  readonly label: string;
  readonly icon: typeof Plus;
  readonly onPress: () => void;
  readonly disabled: boolean;
  readonly isNarrow: boolean;
}

const Stepper = memo(function Stepper({ label, icon: Icon, onPress, disabled, isNarrow }: StepperProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`h-[44px] items-center justify-center ${isNarrow ? 'w-[34px]' : 'w-[44px]'} ${disabled ? 'opacity-30' : ''}`}
    >
      <Icon size={16} strokeWidth={2} color={colour.soft} />
    </Pressable>
  );
});
