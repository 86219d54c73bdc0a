import { lastFrame, type Mark, type Move, type Passage, spanIndexAt, type Travel } from '@humble/core';
import {
  type FrameRange,
  framesOnArcRange,
  frameRangeWithin,
  type ArcRange,
  arcRangeOn,
} from '@humble/core/views';
import type { PickedRange } from '../editorSlice';
import { selectActiveTravel } from './selection';
import type { RootState } from '../store';
import { selectActiveMove } from './active';

export function selectSelectedMarks(state: RootState): readonly Mark[] {
  const { selectedMarkIds } = state.editor;
  return selectActiveMove(state)?.marks.filter(({ id }) => selectedMarkIds.includes(id)) ?? NO_MARKS;
}

const NO_MARKS: readonly Mark[] = [];

/** The span that is being worked on: the one after the mark that is selected, else the one at the playhead. */
export function currentSpan(move: Move, selectedMarkIds: readonly string[], frame: number): number {
  const selected = move.marks.findIndex(({ id }) => selectedMarkIds.includes(id));
  const last = move.marks.length - 2;
  return selected >= 0 ? Math.min(selected, last) : Math.min(spanIndexAt(move, frame), last);
}

/** Frames and stretch of what was chosen: either one gives the other. */
export interface RangeOnTravel {
  readonly runs: readonly FrameRange[];
  readonly stretch: ArcRange;
}

let latest: { readonly travel: Travel; readonly chosen: PickedRange; readonly found: RangeOnTravel } | null =
  null;

export function rangeOnTravel(travel: Travel, chosen: PickedRange): RangeOnTravel {
  if (latest?.travel === travel && latest.chosen === chosen) return latest.found;
  let found: RangeOnTravel;
  if (chosen.by === 'frames') {
    const run = frameRangeWithin(chosen, travel.arcDistance.length);
    found = { runs: [run], stretch: arcRangeOn(travel, run) };
  } else {
    const stretch = { from: chosen.from * travel.arcLength, to: chosen.to * travel.arcLength };
    found = { runs: framesOnArcRange(travel, stretch), stretch };
  }
  latest = { travel, chosen, found };
  return found;
}

let passage: Passage | null = null;

/**
 * The frames that were picked as a passage, within the shot, or those on a stretch of the arc that is travelled once;
 * null where none were, or a single one.
 */
export function selectPassage(state: RootState): Passage | null {
  const {
    editor: { pickedRange: all },
    shot,
  } = state;
  const runs = all?.by === 'stretch' ? (selectPickedRange(state)?.runs ?? []) : [];
  const chosen = all?.by === 'frames' ? all : runs.length === 1 ? runs[0] : undefined;
  if (!chosen || !shot.present.shot) return null;
  const last = Math.max(shot.present.shot.lengthFrames, ...shot.present.shot.moves.map(lastFrame));
  const [from, until] = [Math.max(1, chosen.from), Math.min(last, chosen.until)];
  if (until <= from) return null;
  return passage?.from === from && passage.until === until ? passage : (passage = { from, until });
}

export function selectPickedRange(state: RootState): RangeOnTravel | null {
  const travel = selectActiveTravel(state);
  return travel && state.editor.pickedRange ? rangeOnTravel(travel, state.editor.pickedRange) : null;
}
