import { evaluate, type Travel, travelOfFigure } from '@humble/core';
import { type PartOn, partsOn } from '@humble/core/views';
import { currentFrame } from '../../../playback/playhead';
import { takeOfTurn } from '../../../playback/takeOfTurn';
import { seenFrameOf } from '../../../store/selectors/comparison';
import type { RootState } from '../../../store/store';
import { currentPointerScene } from '../pointerScene';
import { selectActiveMove } from '../../../store/selectors/active';

/** How a figure travels: in the current take, or in the other one where takes are played by turns and it is its turn. */
export const selectTravel = (state: RootState, figureId: string): Travel | undefined => {
  const shot = takeOfTurn(state)?.other ?? state.shot.present.shot;
  return shot ? travelOfFigure(evaluate(shot), figureId) : undefined;
};

export const selectSeenFrame = (state: RootState, travel: Travel): number =>
  seenFrameOf(travel, currentFrame(), takeOfTurn(state)?.shift);

/** What is acted out by hand does not play meanwhile: its outline follows the pointer. */
export const selectIsActedNow = (state: RootState, figureId: string): boolean =>
  currentPointerScene().acting !== null &&
  state.editor.actsFor === 'this' &&
  selectActiveMove(state)?.figureId === figureId;

interface Seen {
  readonly frame: number;
  readonly parts: ReadonlyMap<string | null, PartOn>;
}

const seen = new WeakMap<Travel, Seen>();

/** The parts of a travel at the playhead by their ids, the figure itself under null: worked out once for each frame. */
export function selectSeenParts(state: RootState, travel: Travel): Seen['parts'] {
  const frame = selectSeenFrame(state, travel);
  const known = seen.get(travel);
  if (known?.frame === frame) return known.parts;
  const parts = new Map(partsOn(travel, frame - 1).map((part) => [part.rider?.id ?? null, part]));
  seen.set(travel, { frame, parts });
  return parts;
}
