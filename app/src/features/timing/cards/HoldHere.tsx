import { timingWords as words } from '../../../words/timing';
import { frameNumber, LONGEST_SHOT, type Move } from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useEdit, useSettings } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';

const FRESH_HOLD = 8;

/** The figure stays where it is from a frame on. */
export function HoldHere({ move, frame }: { readonly move: Move; readonly frame: number }) {
  const edit = useEdit();
  const { takesLater } = useSettings();
  const [frames, setFrames] = useState(FRESH_HOLD);
  return (
    <View className="mt-1 flex-row flex-wrap items-end gap-x-3">
      <View className="min-w-[132px] flex-1">
        <NumberField
          label={words.holdFor}
          unit={words.frames}
          value={frames}
          min={1}
          max={LONGEST_SHOT}
          onChange={setFrames}
          isStacked
        />
      </View>
      <View className="pb-1">
        <Button
          label={words.holdFromFrame(frameNumber(frame))}
          onPress={() => edit('insertHold', { moveId: move.id, frame, frames, takesLater })}
        />
      </View>
    </View>
  );
}
