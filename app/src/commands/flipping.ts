import { cycleFrames, type Figure, firstFrame, lastFrame, type Move } from '@humble/core';
import { currentFrame, goTo, pause } from '../playback/playhead';
import type { AppStore, RootState } from '../store/store';
import { selectActiveMove } from '../store/selectors/active';

/** The first and the last frame of the cycle of a move; null where it has none. */
export function cycleEnds(move: Move, { artwork }: Figure): readonly [number, number] | null {
  if (!move.cycle || move.cycle.by === 'way' || artwork.kind !== 'pictures') return null;
  const { from, swings } = move.cycle;
  return [from, from + cycleFrames(artwork.drawings, swings) - 1];
}

/** The two frames that are flipped between: those chosen, else the ends of the cycle, else those of the move. */
export function selectFlipFrames(state: RootState): readonly [number, number] | null {
  const { shot } = state.shot.present;
  if (!shot) return null;
  const move = selectActiveMove(state);
  const figure = shot.figures.find(({ id }) => id === move?.figureId);
  const [a, b] =
    state.editor.flip ??
    (move && figure && cycleEnds(move, figure)) ??
    (move ? [firstFrame(move), lastFrame(move)] : [1, shot.lengthFrames]);
  const within = (frame: number): number => Math.min(shot.lengthFrames, Math.max(1, frame));
  return [within(a), within(b)];
}

export function flip(store: AppStore): void {
  const frames = selectFlipFrames(store.getState());
  if (!frames) return;
  pause();
  goTo(currentFrame() === frames[0] ? frames[1] : frames[0]);
}

export function showFlip(store: AppStore, which: 0 | 1): void {
  const frames = selectFlipFrames(store.getState());
  if (!frames) return;
  pause();
  goTo(frames[which]);
}
