import NativeSlider from '@react-native-community/slider';
import { useState } from 'react';
import { View } from 'react-native';
import { colour } from './colour';
import { gestureName } from './gestureName';
import { Figures, Words } from './Words';

interface SliderProps {
  readonly label: string;
  /** What the value stands for, with its unit. */
  readonly text: string;
  readonly value: number;
  /** @param gesture the same for every change of one slide */
  readonly onChange: (value: number, gesture: string) => void;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
}

/** A value that is slid between two ends. */
export function Slider({ label, text, value, onChange, min, max, step = 0 }: SliderProps) {
  const [slide, setSlide] = useState(() => gestureName('slide'));
  return (
    <View className="min-h-[64px]">
      <View className="flex-row justify-between">
        <Words>{label}</Words>
        <Figures tone="soft">{text}</Figures>
      </View>
      <NativeSlider
        accessibilityLabel={`${label}, ${text}`}
        value={value}
        minimumValue={min}
        maximumValue={max}
        step={step}
        onSlidingStart={() => setSlide(gestureName('slide'))}
        onValueChange={(next) => onChange(next, slide)}
        minimumTrackTintColor={colour.brass}
        maximumTrackTintColor={colour.line}
        thumbTintColor={colour.brass}
        style={{ height: 44, width: '100%' }}
      />
    </View>
  );
}
