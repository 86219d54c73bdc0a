import type { Transform } from '../arc/transform';
import type { SceneItem } from './scene';

/** The spot of an item that its travel is measured at, in its own units. */
const cornersOf = (item: SceneItem): readonly (readonly [number, number])[] =>
  item.kind === 'picture'
    ? [
        [0, 0],
        [item.picture.width, item.picture.height],
      ]
    : [
        [0, 0],
        [100, 100],
      ];

const moved = (a: Transform, b: Transform, [x, y]: readonly [number, number]): number =>
  Math.hypot((b.a - a.a) * x + (b.c - a.c) * y + b.e - a.e, (b.b - a.b) * x + (b.d - a.d) * y + b.f - a.f);

/** Whether two items are the same thing on two frames, so that one can be led to the other. */
const isSame = (a: SceneItem, b: SceneItem | undefined): b is SceneItem =>
  b !== undefined &&
  a.kind === b.kind &&
  (a.kind !== 'picture' || b.kind !== 'picture' || a.picture.sha256 === b.picture.sha256);

const between = (a: number, b: number, share: number): number => a + (b - a) * share;

const lerped = (a: Transform, b: Transform, share: number): Transform => ({
  a: between(a.a, b.a, share),
  b: between(a.b, b.b, share),
  c: between(a.c, b.c, share),
  d: between(a.d, b.d, share),
  e: between(a.e, b.e, share),
  f: between(a.f, b.f, share),
});

/** Most samples of one frame. */
const MAX_SAMPLES = 32;

/**
 * What a shutter sees that is open for a share of a frame: what moves from this scene to the next one, at moments in
 * even steps, so many that nothing jumps further than a step from one to the next. What does not move is alike in all.
 * @param next the scene of the next frame; null at the end
 * @param openShare 0 to 1 of a frame
 * @param step field units
 * @returns at least one scene
 */
export function blurredScenes(
  scene: readonly SceneItem[],
  next: readonly SceneItem[] | null,
  openShare: number,
  step: number,
): readonly (readonly SceneItem[])[] {
  if (!next || openShare <= 0) return [scene];
  const travel = scene.reduce((most, item, i) => {
    const other = next[i];
    if (!isSame(item, other)) return most;
    return cornersOf(item).reduce(
      (further, corner) => Math.max(further, moved(item.placement, other.placement, corner)),
      most,
    );
  }, 0);
  const count = Math.min(MAX_SAMPLES, Math.max(1, Math.ceil((travel * openShare) / step)));
  if (count === 1) return [scene];
  return Array.from({ length: count }, (_, k) => {
    const share = (openShare * k) / (count - 1);
    return scene.map((item, i): SceneItem => {
      const other = next[i];
      return isSame(item, other)
        ? { ...item, placement: lerped(item.placement, other.placement, share) }
        : item;
    });
  });
}
