import type { Figure, Move } from '@humble/core';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { cycleEnds, flip, selectFlipFrames, showFlip } from '../../../commands/flipping';
import { flipChosen } from '../../../store/editorSlice';
import { frameField } from '../../../store/frames';
import { useAppDispatch, useAppStore } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberPair } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { cycleWords as words } from '../../../words/cycle';
import { useThrottledSelector, useThrottledShotValue } from '../../../store/throttled/hooks';

export function FlipCard({ move, figure }: { readonly move: Move; readonly figure: Figure }) {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const frames = useThrottledSelector(selectFlipFrames, shallowEqual);
  if (!frames) return null;
  const [first, second] = frames;
  const pressed = ({ key }: { readonly key?: string }): void => {
    if (key === ' ' || key === 'Enter') flip(store);
  };
  const ends = cycleEnds(move, figure);
  const field = (label: string, value: number, onChange: (frame: number) => void) =>
    frameField({ label, value, min: 1, max: lengthFrames, onChange });
  return (
    <Card title={words.flip}>
      <Words tone="soft">{words.flipSentence}</Words>
      <NumberPair
        pair={[
          field(words.flipFirst, first, (frame) => dispatch(flipChosen([frame, second]))),
          field(words.flipSecond, second, (frame) => dispatch(flipChosen([first, frame]))),
        ]}
      />
      <View className="mt-2 flex-row flex-wrap gap-2">
        <View
          role="button"
          tabIndex={0}
          aria-label={words.holdToFlip}
          onPointerDown={() => showFlip(store, 1)}
          onPointerUp={() => showFlip(store, 0)}
          onPointerCancel={() => showFlip(store, 0)}
          {...{ onKeyDown: pressed }}
          className="min-h-[44px] cursor-pointer touch-none select-none items-center justify-center rounded-large border border-brass bg-brasswash px-5"
        >
          <Words strong selectable={false}>
            {words.holdToFlip}
          </Words>
        </View>
        {ends && <Button label={words.flipCycle} onPress={() => dispatch(flipChosen(ends))} />}
      </View>
    </Card>
  );
}
