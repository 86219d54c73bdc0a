import { shownExposures } from '../exposure/shownFrames';
import type { Shot } from '../model/schema';
import { cameraOn } from '../motion/cameraView';
import { planeItems, type SceneItem, sceneOn } from '../motion/scene';
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
  /** In-betweens as outlines, in place of the drawing before them. */
  readonly outlines?: boolean;
}

export function strobeScenes(
  shot: Shot,
  { every = 1, from = 1, until = shot.lengthFrames, outlines = false }: StrobeChoice,
  withBackdrop: boolean,
): readonly (readonly SceneItem[])[] {
  const frames = exposedInShot(shot)
    .filter((frame) => frame >= from && frame <= until)
    .filter((_, i) => i % every === 0);
  const on = frames[0] ?? from;
  const back = withBackdrop ? planeItems(shot, on, cameraOn(shot, on)).behind : [];
  return [back, ...frames.map((frame) => sceneOn(shot, frame, false, { outlines }))];
}

export function strobeSvg(
  shot: Shot,
  {
    every,
    withTicks = false,
    from,
    until,
    outlines,
    withBackdrop = true,
    ...options
  }: SceneOptions & StrobeChoice,
): string {
  const scenes = strobeScenes(shot, { every, from, until, outlines }, withBackdrop);
  const { d, strokeWidth } = tickLines(shot);
  // Ticks lie on the field: what a camera sees of it changes from picture to picture.
  const over =
    withTicks && !cameraOn(shot, 1)
      ? `<path id="ticks" d="${d}" fill="none" stroke="${TICK_COLOUR}" stroke-width="${strokeWidth}"/>`
      : '';
  return scenesSvg(shot, scenes, options, over);
}
