import type { Vector } from '@humble/core';

/** Height of an editor on a picture, pixels. */
export const LOOK_HEIGHT = 220;
const MARGIN = 30;

export function fittedLook(look: { readonly width: number; readonly height: number }, width: number) {
  const scale = Math.min((width - 2 * MARGIN) / look.width, (LOOK_HEIGHT - 2 * MARGIN) / look.height);
  const x = (width - scale * look.width) / 2;
  const y = (LOOK_HEIGHT - scale * look.height) / 2;
  return {
    scale,
    x,
    y,
    toView: (p: Vector): Vector => ({ x: x + scale * p.x, y: y + scale * p.y }),
    toLook: (p: Vector): Vector => ({ x: (p.x - x) / scale, y: (p.y - y) / scale }),
  };
}
