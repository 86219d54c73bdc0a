import { durationOf, framesTimes, type HoldsInDuration, MAX_SHOT_FRAMES, type Move } from '@humble/core';
import { useState } from 'react';
import { selectEditProblem } from '../../../store/doEdit';
import { DURATION_UNITS, durationIn, readDuration } from '../../../store/durations';
import { useAppStore, useEdit } from '../../../store/hooks';
import { useThrottledShotValue } from '../../../store/throttled/hooks';
import { NumberField } from '../../../ui/NumberField';
import { Toggle } from '../../../ui/Toggle';
import { timingWords as words } from '../../../words/timing';

/** How long a move lasts: frames, seconds, or so many times or percent of what it was; with its holds or without. */
export function DurationField({ move }: { readonly move: Move }) {
  const rate = useThrottledShotValue((shot) => shot.rate);
  const store = useAppStore();
  const edit = useEdit();
  const [holds, setHolds] = useState<HoldsInDuration>('stretch');
  const { frames, held } = durationOf(move);
  const read = (text: string, from: number) => {
    const times = (factor: number): number => framesTimes({ frames: from, held }, factor, holds);
    const wanted = readDuration(text, { from, rate, times });
    if (wanted === null || wanted === frames) return wanted;
    const problem = selectEditProblem(store.getState(), 'setDuration', {
      moveId: move.id,
      frames: wanted,
      holds,
    });
    return problem === null ? wanted : { problem };
  };
  return (
    <>
      <NumberField
        label={words.lasts}
        unit={words.frames}
        moreUnits={DURATION_UNITS}
        value={frames}
        min={1}
        max={MAX_SHOT_FRAMES - 1}
        read={read}
        inUnit={(value, unit) => durationIn(value, unit, rate)}
        onChange={(value, undoGroup) =>
          edit('setDuration', { moveId: move.id, frames: value, holds }, undoGroup)
        }
      />
      {held > 0 && held < frames && (
        <Toggle
          label={words.holdsKeepTheirFrames}
          value={holds === 'keep'}
          onChange={(keeps) => setHolds(keeps ? 'keep' : 'stretch')}
        />
      )}
    </>
  );
}
