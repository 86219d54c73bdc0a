import { shownExposures } from '../exposure/shownFrames';
import type { Shot } from '../model/schema';
import { type SceneItem, sceneOn } from '../motion/scene';
import { type SceneOptions, scenesSvg } from './sceneSvg';
import { TICK_COLOUR, tickLines } from './tickLines';

export function exposedInShot(shot: Shot): readonly number[] {
  const { moves, figures } = shot;
  const seen = new Set(figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const frames = new Set(
    moves
      .filter(({ figureId }) => seen.has(figureId))
      .flatMap((move) => shownExposures(move, shot).map(({ frame }) => frame)),
  );
  return [...frames].sort((a, b) => a - b);
}

export interface StrobeChoice {
  /** Every n-th exposure, at least 1. */
  readonly every?: number;
  readonly withTicks?: boolean;
  readonly from?: number;
  readonly until?: number;
}

export function strobeScenes(
  shot: Shot,
  { every = 1, from = 1, until = shot.lengthFrames }: StrobeChoice,
  withBackdrop: boolean,
): readonly (readonly SceneItem[])[] {
  const frames = exposedInShot(shot)
    .filter((frame) => frame >= from && frame <= until)
    .filter((_, i) => i % every === 0);
  const hasBackdrop = withBackdrop && shot.backdrop !== null && !shot.backdrop.hidden;
  const back = hasBackdrop ? sceneOn(shot, frames[0] ?? from).slice(0, 1) : [];
  return [back, ...frames.map((frame) => sceneOn(shot, frame, false))];
}

export function strobeSvg(
  shot: Shot,
  { every, withTicks = false, from, until, withBackdrop = true, ...options }: SceneOptions & StrobeChoice,
): string {
  const scenes = strobeScenes(shot, { every, from, until }, withBackdrop);
  const { d, strokeWidth } = tickLines(shot);
  const over = withTicks
    ? `<path id="ticks" d="${d}" fill="none" stroke="${TICK_COLOUR}" stroke-width="${strokeWidth}"/>`
    : '';
  return scenesSvg(shot, scenes, options, over);
}
