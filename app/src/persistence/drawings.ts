import type { DrawingPicture } from '@humble/core';

/** Pictures of figures are traced by the browser's canvas; there is none here. */
export const keepDrawing = (_: File, __: AbortSignal): Promise<{ kept: DrawingPicture; note: string }> =>
  Promise.reject(new Error('Pictures of figures can only be imported in a browser.'));

/** The same: a drawing whose outline is known comes from a browser as well. */
export const keepOutlined = (
  _: File,
  __: DrawingPicture['outline'],
  ___: AbortSignal,
): Promise<DrawingPicture> =>
  Promise.reject(new Error('Pictures of figures can only be imported in a browser.'));
