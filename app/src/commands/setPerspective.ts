import { distance, type Perspective, type Vector } from '@humble/core';
import type { Corners } from '@humble/core/shoot';
import { doEdit } from '../store/doEdit';
import { cornersTapped, toolChosen } from '../store/editorSlice';
import { selectOpenShot } from '../store/selectors/active';
import type { AppThunk } from '../store/store';

/** Sheets of paper that are at hand, millimetres, upright. */
export const PAPERS = { a4: [210, 297], letter: [215.9, 279.4] } as const;

const centreOf = (spots: readonly Vector[]): Vector => ({
  x: spots.reduce((sum, { x }) => sum + x, 0) / spots.length,
  y: spots.reduce((sum, { y }) => sum + y, 0) / spots.length,
});

/** Four spots, tapped in any order, as the corners of a sheet: clockwise, from the one nearest to the upper left. */
export function cornersFrom(spots: readonly Vector[]): Corners {
  const { x, y } = centreOf(spots);
  const round = [...spots].sort((a, b) => Math.atan2(a.y - y, a.x - x) - Math.atan2(b.y - y, b.x - x));
  const least = round.reduce(
    (best, spot, i) => (spot.x + spot.y < round[best]!.x + round[best]!.y ? i : best),
    0,
  );
  const [upperLeft, upperRight, lowerRight, lowerLeft] = [
    ...round.slice(least),
    ...round.slice(0, least),
  ] as [Vector, Vector, Vector, Vector];
  return { upperLeft, upperRight, lowerRight, lowerLeft };
}

/** A sheet of A4 as it lies: across where its upper and lower edges together look longer than the other two. */
function freshSheet({
  upperLeft,
  upperRight,
  lowerRight,
  lowerLeft,
}: Corners): Pick<Perspective, 'widthMm' | 'heightMm'> {
  const across = distance(upperLeft, upperRight) + distance(lowerLeft, lowerRight);
  const down = distance(upperLeft, lowerLeft) + distance(upperRight, lowerRight);
  const [short, long] = PAPERS.a4;
  return across >= down ? { widthMm: long, heightMm: short } : { widthMm: short, heightMm: long };
}

/** One more of the four corners was tapped; after the last of them the perspective is known. */
export const tapCorner =
  (at: Vector): AppThunk =>
  (dispatch, getState) => {
    const tapped = [...getState().editor.tappedCorners, at];
    if (tapped.length < 4) {
      dispatch(cornersTapped(tapped));
      return;
    }
    dispatch(cornersTapped([]));
    dispatch(toolChosen('shape'));
    const corners = cornersFrom(tapped);
    const before = selectOpenShot(getState()).shoot.perspective;
    const sheet = before ? { widthMm: before.widthMm, heightMm: before.heightMm } : freshSheet(corners);
    dispatch(doEdit('setPerspective', { perspective: { ...corners, ...sheet } }));
  };

export const moveCorner =
  (corner: keyof Corners, to: Vector, undoGroup: string): AppThunk =>
  (dispatch, getState) => {
    const { perspective } = selectOpenShot(getState()).shoot;
    if (perspective)
      dispatch(doEdit('setPerspective', { perspective: { ...perspective, [corner]: to } }, undoGroup));
  };
