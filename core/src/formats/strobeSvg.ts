import { exposedFrames } from '../exposure/exposures';
import type { Shot } from '../model/schema';
import { sceneOn } from '../motion/scene';
import { type SceneOptions, scenesSvg } from './sceneSvg';

/** The frames on which any figure of a shot is exposed anew, in order. */
export function exposedInShot({ moves, figures, lengthFrames }: Shot): readonly number[] {
  const seen = new Set(figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const frames = new Set(
    moves.filter(({ figureId }) => seen.has(figureId)).flatMap((move) => exposedFrames(move, lengthFrames)),
  );
  return [...frames].filter((frame) => frame <= lengthFrames).sort((a, b) => a - b);
}

/**
 * All exposures of a shot in one picture, or every n-th, those that come later on top.
 * @param every at least 1
 */
export function strobeSvg(
  shot: Shot,
  { every = 1, withBackdrop = true, ...options }: SceneOptions & { readonly every?: number },
): string {
  const frames = exposedInShot(shot).filter((_, i) => i % every === 0);
  const [first = 1] = frames;
  const back = withBackdrop
    ? sceneOn(shot, first).slice(0, shot.backdrop && !shot.backdrop.hidden ? 1 : 0)
    : [];
  return scenesSvg(shot, [back, ...frames.map((frame) => sceneOn(shot, frame, false))], options);
}
