import NativeSlider from '@react-native-community/slider';
import { useState } from 'react';
import { View } from 'react-native';
import { colour } from './colour';
import { createUndoGroup } from './undoGroup';
import { keyNudge, TO_ENDS } from './keyNudge';
import { NumericText, Words } from './Words';

interface SliderProps {
  readonly label: string;
  /** What the value stands for, with its unit. */
  readonly text: string;
  readonly value: number;
  /** @param undoGroup the same for every change of one slide */
  readonly onChange: (value: number, undoGroup: string) => void;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
}

/** The arrow keys go from end to end in so many steps, or in those of the slider where they are longer. */
const NUDGES = 50;

export function Slider({ label, text, value, onChange, min, max, step = 0 }: SliderProps) {
  const [slide, setSlide] = useState(() => createUndoGroup('slide'));
  const nudge = (by: number): void => {
    const next = Math.min(max, Math.max(min, value + by * Math.max(step, (max - min) / NUDGES)));
    if (next !== value) onChange(next, slide);
  };
  return (
    <View className="min-h-[64px]">
      <View className="flex-row justify-between">
        <Words>{label}</Words>
        <NumericText tone="soft">{text}</NumericText>
      </View>
      <View
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuetext={text}
        aria-valuenow={Math.round(value * 100) / 100}
        aria-valuemin={min}
        aria-valuemax={max}
        {...keyNudge(nudge, TO_ENDS)}
      >
        <View aria-hidden>
          <NativeSlider
            value={value}
            minimumValue={min}
            maximumValue={max}
            step={step}
            onSlidingStart={() => setSlide(createUndoGroup('slide'))}
            onValueChange={(next) => onChange(next, slide)}
            minimumTrackTintColor={colour.brass}
            maximumTrackTintColor={colour.line}
            thumbTintColor={colour.brass}
            style={{ height: 44, width: '100%' }}
          />
        </View>
      </View>
    </View>
  );
}
