import type { IncrementRow } from '@humble/core/views';
import { along } from './railView';

/** Room between the numbers of drawings, pixels. */
const DRAWING_APART_PX = 15;

interface DrawingLabel {
  readonly x: number;
  readonly text: string;
}

/**
 * The numbers of the drawings on the exposures where they change. Where there is no room for all of them only the first
 * drawing is named, where a cycle begins anew.
 */
export function drawingLabels(
  rows: readonly Pick<IncrementRow, 'frame' | 'drawing'>[],
  lengthFrames: number,
  width: number,
): readonly DrawingLabel[] {
  const changes = rows
    .filter(({ drawing }, i) => drawing !== rows[i - 1]?.drawing)
    .map(({ frame, drawing }) => ({ drawing, x: along(frame, lengthFrames, width) }));
  const fitting = (all: typeof changes): typeof changes => {
    let free = -Infinity;
    return all.filter(({ x }) => {
      const fits = x >= free;
      if (fits) free = x + DRAWING_APART_PX;
      return fits;
    });
  };
  const shown = fitting(changes);
  const labels =
    shown.length === changes.length ? shown : fitting(changes.filter(({ drawing }) => drawing === 1));
  return labels.map(({ x, drawing }) => ({ x, text: drawing === 0 ? '–' : String(drawing) }));
}
