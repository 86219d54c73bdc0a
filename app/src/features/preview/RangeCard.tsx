import type { Passage, Shot } from '@humble/core';
import { View } from 'react-native';
import { rangePicked } from '../../store/editorSlice';
import { frameField } from '../../store/frames';
import { useAppDispatch } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberPair } from '../../ui/NumberField';
import { previewWords as words } from '../../words/preview';
import { useThrottledShot } from '../../store/throttled/hooks';

export const rangeOf = ({ lengthFrames }: Shot, passage: Passage | null): Passage => ({
  from: passage?.from ?? 1,
  until: Math.min(passage?.until ?? lengthFrames, lengthFrames),
});

/** Which frames are played and saved: picked here, they are picked in every view. */
export function RangeCard({ passage }: { readonly passage: Passage | null }) {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  const { from, until } = rangeOf(shot, passage);
  const pick = (range: Passage): void => {
    dispatch(rangePicked({ by: 'frames', ...range }));
  };
  return (
    <Card title={words.range}>
      <NumberPair
        pair={[
          frameField({
            label: words.firstFrame,
            value: from,
            min: 1,
            max: until - 1,
            onChange: (first) => pick({ from: first, until }),
          }),
          frameField({
            label: words.lastFrame,
            value: until,
            min: from + 1,
            max: shot.lengthFrames,
            onChange: (last) => pick({ from, until: last }),
          }),
        ]}
      />
      {passage && (
        <View className="flex-row">
          <Button label={words.allFrames} kind="quiet" onPress={() => dispatch(rangePicked(null))} />
        </View>
      )}
    </Card>
  );
}
