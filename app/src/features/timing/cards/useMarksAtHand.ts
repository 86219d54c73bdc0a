import type { Mark } from '@humble/core';
import { useMemo } from 'react';
import { useThrottledPlayhead } from '../../../playback/playhead';
import { useThrottledEditor, useThrottledMove } from '../../../store/throttled/hooks';

/** The marks that are selected, else the one on the frame at the playhead, in order of time; none while it plays. */
export function useMarksAtHand(): readonly Mark[] {
  const move = useThrottledMove();
  const selectedIds = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  // A card that came and went with every mark would hold playback up.
  const frame = useThrottledPlayhead((playhead) => (playhead.isPlaying ? 0 : playhead.frame));
  return useMemo(() => {
    const marks = move?.marks ?? [];
    const selected = marks.filter(({ id }) => selectedIds.includes(id));
    return selected.length > 0 ? selected : marks.filter((mark) => mark.frame === frame);
  }, [move, selectedIds, frame]);
}
