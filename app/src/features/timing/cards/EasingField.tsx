import { timingWords as words } from '../../../words/timing';
import type { Easing } from '@humble/core';
import ChartSpline from 'lucide-react-native/icons/chart-spline';
import { useState } from 'react';
import { View } from 'react-native';
import { describeEasing } from '../../../kinds/easings';
import { Button } from '../../../ui/Button';
import { Words } from '../../../ui/Words';
import { LazyEasingTray } from './LazyEasingTray';
import { EasingNumbers } from './EasingNumbers';
import { useEasingChoice } from './useEasingChoice';

interface EasingFieldProps {
  readonly id: string;
  readonly label: string;
  readonly easing: Easing;
  readonly frames: number;
  readonly onChange: (easing: Easing, undoGroup?: string) => void;
}

export function EasingField({ id, label, easing, frames, onChange }: EasingFieldProps) {
  const [isChoosing, setChoosing] = useState(false);
  const { offered, choose } = useEasingChoice(id, easing, frames, onChange);
  const { name, sentence } = describeEasing(easing.kind);
  return (
    <View className="mt-3">
      <Words tone="soft">{label}</Words>
      <Words strong>{name}</Words>
      <EasingNumbers easing={easing} frames={frames} onChange={onChange} />
      <Words tone="soft" className="mb-2 mt-1">
        {sentence(easing)}
      </Words>
      <View className="flex-row">
        <Button
          label={words.otherEasings}
          icon={ChartSpline}
          pressed={isChoosing}
          onPress={() => setChoosing(!isChoosing)}
        />
      </View>
      {isChoosing && (
        <View className="mt-3">
          <LazyEasingTray
            easing={easing}
            frames={frames}
            offered={offered}
            onChoose={(next) => choose(next)}
            onClose={() => setChoosing(false)}
          />
        </View>
      )}
    </View>
  );
}
