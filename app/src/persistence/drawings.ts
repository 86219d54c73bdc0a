import type { DrawingPicture } from '@humble/core';

/** Pictures of figures are traced by the browser's canvas; there is none here. */
export const keepDrawing = (_: File, __: AbortSignal): Promise<{ kept: DrawingPicture; note: string }> =>
  Promise.reject(new Error('Pictures of figures can only be imported in a browser.'));
