import { timingWords as words } from '../../../words/timing';
import { holdOn, MAX_SHOT_FRAMES, type Move } from '@humble/core';
import { useEdit, useSettings } from '../../../store/hooks';
import { NumberField } from '../../../ui/NumberField';
import { frameNumber } from '../../../store/frameNumbers';

export function HoldHere({ move, frame }: { readonly move: Move; readonly frame: number }) {
  const edit = useEdit();
  const { takesLater } = useSettings();
  const hold = holdOn(move, frame);
  return (
    <NumberField
      label={words.holdFromFrame(frameNumber(hold ? move.marks[hold.index]!.frame : frame))}
      unit={words.frames}
      value={hold?.frames ?? 0}
      min={0}
      max={MAX_SHOT_FRAMES}
      onChange={(frames, undoGroup) =>
        edit('setHold', { moveId: move.id, frame, frames, takesLater }, undoGroup)
      }
    />
  );
}
