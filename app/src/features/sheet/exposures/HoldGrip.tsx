import { type Move } from '@humble/core';
import type { SheetCell } from '@humble/core/sheet';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { useAppStore, useEdit } from '../../../store/hooks';
import { createUndoGroup } from '../../../ui/undoGroup';
import { keyNudge } from '../../../ui/keyNudge';
import { useLatest } from '../../../ui/useLatest';
import { exposureSheetWords as words } from '../../../words/exposures';
import { SHEET_WIDTHS } from './sheetColumns';
import { frameNumber } from '../../../store/frameNumbers';

interface HoldGripProps {
  readonly move: Move;
  readonly figure: string;
  readonly cell: SheetCell;
  readonly rowHeight: number;
  /** Where its end is in the list, pixels. */
  readonly left: number;
  readonly top: number;
  readonly isInSight: boolean;
}

const HEIGHT = 28;

export function HoldGrip({ move, figure, cell, rowHeight, left, top, isInSight }: HoldGripProps) {
  const { begins, framesHeld } = cell;
  const store = useAppStore();
  const edit = useEdit();
  const hold = (frames: number, undoGroup?: string): void => {
    const last = store.getState().shot.present.shot!.lengthFrames;
    const within = Math.min(last - begins, Math.max(1, frames));
    edit('holdPicture', { moveId: move.id, frame: begins, frames: within }, undoGroup);
  };
  const latest = useLatest({ framesHeld, rowHeight, hold });
  // It is carried along by its own edits: what counts is how far the pointer went, not where it is on the tab.
  const drag = useMemo(() => {
    const held = { from: 0, asked: 0, undoGroup: '' };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onStart(() => {
        const from = latest().framesHeld;
        Object.assign(held, { from, asked: from, undoGroup: createUndoGroup('hold') });
      })
      .onUpdate(({ translationY }) => {
        const frames = Math.max(1, held.from + Math.round(translationY / latest().rowHeight));
        if (frames === held.asked) return;
        held.asked = frames;
        latest().hold(frames, held.undoGroup);
      });
  }, [latest]);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        collapsable={false}
        role="slider"
        tabIndex={0}
        aria-label={words.heldFor(figure, frameNumber(begins))}
        aria-valuemin={1}
        aria-valuenow={framesHeld}
        testID="hold-grip"
        style={{
          position: 'absolute',
          left,
          top: top - HEIGHT / 2,
          width: Math.max(44, SHEET_WIDTHS.picture),
          height: HEIGHT,
          display: isInSight ? 'flex' : 'none',
        }}
        className="cursor-ns-resize items-center justify-center"
        {...keyNudge((by) => hold(framesHeld - by))}
      >
        <View className="h-[8px] w-[32px] rounded-full border border-card bg-brass" />
      </View>
    </GestureDetector>
  );
}
