import { MAX_SHOT_FRAMES, type Note } from '@humble/core';
import { Path } from 'react-native-svg';
import { defineTarget } from '../../interaction/target';
import { goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { selectShot } from '../../store/selectors/active';
import { messageShown } from '../../store/sessionSlice';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { colour } from '../../ui/colour';
import { createUndoGroup } from '../../ui/undoGroup';
import type { RailLayerProps, RailTarget } from './railTarget';
import { isOnKnob, railFrame, railX } from './railView';

/** Where the sheet of paper stands that marks a note, pixels from the top of the rail. */
const TOP = 1;
const HEIGHT = 9;
const HALF_WIDTH = 3.5;
/** It is taken from so far away, pixels: the playhead is scrubbed beneath it. */
const REACH_PX = 11;

const sheetPath = (x: number): string =>
  `M${(x - HALF_WIDTH).toFixed(1)} ${TOP}h${2 * HALF_WIDTH - 3}l3 3v${HEIGHT - 3}h${-2 * HALF_WIDTH}z`;

function NoteLayer({ x, lengthFrames }: RailLayerProps) {
  const notes = useThrottledShotValue((shot) => shot.notes);
  const seen = notes.filter(({ from }) => from <= lengthFrames);
  return (
    <Path
      d={seen.map(({ from }) => sheetPath(x(from))).join('')}
      fill={colour.card}
      stroke={colour.soft}
      strokeWidth={1.25}
      testID="rail-notes"
    />
  );
}

/** A note: a tap goes to its first frame and shows what it says, a drag takes it to other frames. */
export const noteTarget: RailTarget = {
  Layer: NoteLayer,
  find: defineTarget<Parameters<RailTarget['find']>[0], { readonly note: Note }>({
    kind: 'note',
    reachPx: () => REACH_PX,
    items: (rail) =>
      (selectShot(rail.store.getState())?.notes ?? []).map((note) => ({
        note,
        x: railX(rail, note.from),
        y: TOP + HEIGHT / 2,
      })),
    press: (rail, { note: { id: noteId, from, until, text } }, start) => {
      if (isOnKnob(rail, start)) return null;
      const undoGroup = createUndoGroup('note');
      const began = railFrame(rail, start);
      return {
        tap: () => {
          goTo(from);
          rail.store.dispatch(messageShown(text));
        },
        drag: (now) => {
          const wanted = Math.round(railFrame(rail, now) - began);
          const by = Math.min(MAX_SHOT_FRAMES - until, Math.max(1 - from, wanted));
          const frames = { from: from + by, until: until + by };
          rail.store.dispatch(doEdit('changeNote', { noteId, ...frames }, undoGroup));
        },
      };
    },
  }),
};
