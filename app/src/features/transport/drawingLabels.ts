import type { IncrementRow } from '@humble/core';
import { along } from './railSurface';

/** Room between the numbers of drawings, pixels. */
const DRAWING_APART_PX = 15;

/** The numbers of the drawings on the exposures where they change, as far as there is room. */
export function drawingLabels(
  rows: readonly Pick<IncrementRow, 'frame' | 'drawing'>[],
  lengthFrames: number,
  width: number,
): { readonly x: number; readonly text: string }[] {
  const labels: { readonly x: number; readonly text: string }[] = [];
  let shown = -1;
  let free = -Infinity;
  for (const { frame, drawing } of rows) {
    const x = along(frame, lengthFrames, width);
    if (drawing === shown) continue;
    shown = drawing;
    if (x < free) continue;
    labels.push({ x, text: drawing === 0 ? '–' : String(drawing) });
    free = x + DRAWING_APART_PX;
  }
  return labels;
}
