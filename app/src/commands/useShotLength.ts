import { commandsWords as words } from '../words/commands';
import { firstFrame, lastFrame, type MovesInLength, type Shot } from '@humble/core';
import { useState } from 'react';
import { createUndoGroup } from '../ui/undoGroup';
import type { FieldNote } from '../ui/NumberField';
import { useAppStore, useEdit } from '../store/hooks';
import { selectActiveMove } from '../store/selectors/active';
import { useThrottledSelector } from '../store/throttled/hooks';

interface LengthChange {
  readonly shot: Shot;
  readonly lengthFrames: number;
  readonly undoGroup: string;
  readonly isStretched: boolean;
}

/**
 * Changes the length of the shot, and tells what that did to the move which is being worked on: it was
 * stretched with the shot, or left as it is. The other of the two is offered, within the same undo step.
 */
export function useShotLength(): {
  readonly change: (lengthFrames: number, undoGroup?: string) => void;
  readonly note: FieldNote | null;
} {
  const store = useAppStore();
  const edit = useEdit();
  const [latest, setLatest] = useState<LengthChange | null>(null);
  const isLatest = useThrottledSelector((state) => state.shot.present.shot === latest?.shot);

  const change = (
    lengthFrames: number,
    undoGroup = createUndoGroup('length'),
    moves?: MovesInLength,
  ): void => {
    const before = selectActiveMove(store.getState());
    const isSameStep = latest?.undoGroup === undoGroup;
    if (!edit('setLength', { lengthFrames, moves }, undoGroup)) return;
    const after = selectActiveMove(store.getState());
    const { shot } = store.getState().shot.present;
    if (!before || !after || !shot) return setLatest(null);
    const hasMoved = firstFrame(before) !== firstFrame(after) || lastFrame(before) !== lastFrame(after);
    const isStretched = moves ? moves === 'stretch' : hasMoved || (isSameStep && latest.isStretched);
    setLatest({ shot, lengthFrames, undoGroup, isStretched });
  };

  if (!latest || !isLatest) return { change, note: null };
  const { lengthFrames, undoGroup, isStretched } = latest;
  const other = (): void => change(lengthFrames, undoGroup, isStretched ? 'keep' : 'stretch');
  return {
    change,
    note: isStretched
      ? {
          text: words.moveStretched,
          action: { label: words.dontStretchTheMove, onPress: other },
        }
      : { text: words.moveNotStretched, action: { label: words.stretchTheMove, onPress: other } },
  };
}
